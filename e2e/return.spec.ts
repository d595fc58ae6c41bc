import { expect, test, type Page } from '@playwright/test'
import { clean, lead, openJob, press, signIn } from './people'

const TITLE = 'Sail loft: cold every morning'

test('a return visit: the record read, a logger left for the night, its chart read in the morning', async ({
    page,
}) => {
    await signIn(page, 'isolde')
    const row = page.getByText(TITLE).locator('xpath=ancestor::div[2]')
    await expect(row.getByText('practice, return visit')).toBeVisible()
    await openJob(page, TITLE)
    await page.getByRole('tab', { name: 'Logger' }).click()
    const paper = page.getByLabel('Logger', { exact: true })
    await expect(paper.getByText('When he left, it ran.')).toBeVisible()
    const leave = paper.getByRole('button', { name: 'Leave clips where the leads are' })
    await expect(leave).toBeDisabled()
    await clean(page, 'a logger')

    // the clips go where the leads are, once the panel is off
    await door(page, 'Door off')
    await lead(page, 'valve.MV')
    await lead(page, 'valve.MVC')
    await expect(leave).toBeEnabled()
    await leave.press('Enter')
    await expect(paper.getByRole('button', { name: 'Take the clips off Gas valve MV and Gas valve MVC' })).toBeVisible()

    // what is in the hand is taken along
    page.on('dialog', (dialog) => void dialog.accept())
    const back = paper.getByRole('button', { name: 'Come back tomorrow morning' })
    await back.press('Enter')
    await expect(page.getByText(/other instruments off first/).first()).toBeVisible()
    await press(page, 'Remove leads')
    await door(page, 'Door on')
    await back.click()
    const chart = paper.getByRole('img', { name: /^Gas valve MV to Gas valve MVC: .*26 V AC/ })
    await expect(chart).toBeVisible()
    await expect(page.getByTestId('clock')).toHaveText(/^14:00:/)
    await page.reload()
    await page.getByRole('tab', { name: 'Logger' }).click()
    await expect(chart).toBeVisible()
    await clean(page, 'the chart of a logger')
    await page.getByRole('button', { name: 'Close the call' }).click()
    await expect(page.getByTestId('total')).toBeVisible()
    await expect(page.getByText('What the night told').first()).toBeVisible()
})

async function door(page: Page, does: 'Door off' | 'Door on') {
    await page.getByRole('button', { name: /^Doors/ }).click()
    const panel = page.getByRole('group', { name: 'Control panel' })
    await panel.getByRole('button', { name: does }).click()
    await expect(panel.getByRole('button', { name: does === 'Door off' ? 'Door on' : 'Door off' })).toBeVisible()
    await page.keyboard.press('Escape')
}
