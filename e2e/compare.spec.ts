import { expect, test } from '@playwright/test'
import { clean, lead, openJob, press, signIn } from './people'

const TITLE = 'Bottling hall: the left heater'

test('a failed unit beside its sound twin: the same read on both, by one meter, and the difference marked', async ({
    page,
}) => {
    await signIn(page, 'isolde')
    const row = page.getByText(TITLE).locator('xpath=ancestor::div[2]')
    await expect(row.getByText('practice, compared with a sound one')).toBeVisible()
    await openJob(page, TITLE)
    await press(page, 'Door off')
    const twin = page.getByRole('button', { name: 'Sound twin' })
    await expect(twin).toHaveAttribute('aria-pressed', 'false')
    await clean(page, 'a bench with a twin')

    // on the twin by keys: a look, and the leads; nothing can be repaired there
    await twin.press('Enter')
    const part = page.getByLabel('Part of the sound twin')
    await page.locator('[data-part="valve"]').click()
    await part.getByRole('button', { name: 'Look at it' }).click()
    await expect(part.getByText(/condition/)).toBeVisible()
    await expect(part.getByRole('button')).toHaveCount(1)
    await lead(page, 'valve.MV')
    await lead(page, 'valve.COM')
    await expect(page.getByLabel('Meter').getByRole('button', { name: /^Red/ })).toContainText('Gas valve MV')
    await clean(page, 'the twin')

    // on the failed unit the leads are off, for there is one meter
    await twin.click()
    await expect(page.getByLabel('Meter').getByRole('button', { name: /^Red/ })).not.toContainText('Gas valve MV')
    await lead(page, 'valve.MV')
    await lead(page, 'valve.COM')
    await page.getByRole('tab', { name: /^Log/ }).click()
    await expect(page.getByText(/On the sound twin: /).first()).toBeVisible()
    page.on('dialog', (dialog) => void dialog.accept())
    await press(page, 'Close the call')
    await expect(page.getByTestId('total')).toBeVisible()
    await expect(page.getByText('Compared with the sound one').first()).toBeVisible()
})
