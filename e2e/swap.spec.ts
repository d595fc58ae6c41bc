import { expect, test } from '@playwright/test'
import { clean, openJob, signIn } from './people'

const TITLE = 'Net store: another make of control'

test('a control is swapped: leaflet, picture of the old one, its link taken off, its switch set, judged', async ({
    page,
}) => {
    await signIn(page, 'isolde')
    const row = page.getByText(TITLE).locator('xpath=ancestor::div[2]')
    await expect(row.getByText('practice, a control swapped')).toBeVisible()
    await openJob(page, TITLE)
    await page.getByRole('tab', { name: 'Wiring' }).click()
    const paper = page.getByLabel('Wiring', { exact: true })
    await expect(paper.getByText('Leaflet of the new control')).toBeVisible()
    await expect(paper.getByText(/: what was on PS-IN$/)).toBeVisible()
    await clean(page, 'a control to be swapped')

    // its switch stands where the factory left it, and is set
    await page.getByRole('button', { name: 'Door off' }).click()
    await page.locator('[data-part="board"]').click()
    const option = page.getByRole('group', { name: /option switch/ })
    await expect(option.getByRole('button')).toHaveCount(3)
    await option.getByRole('button').nth(1).click()
    await expect(option.getByRole('button').nth(1)).toHaveAttribute('aria-pressed', 'true')

    page.on('dialog', (dialog) => void dialog.accept())
    await page.getByRole('button', { name: 'Close the call' }).click()
    await expect(page.getByTestId('total')).toBeVisible()
    await expect(page.getByText(/It does not do all that it should/)).toBeVisible()
    await clean(page, 'the debrief of a swap')
})
