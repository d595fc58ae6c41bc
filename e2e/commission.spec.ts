import { expect, test } from '@playwright/test'
import { clean, openJob, signIn } from './people'

const TITLE = 'Paper mill archive: put it into service'

test('an appliance is commissioned: its sheet filled in and signed at the bench, gone over row by row', async ({
    page,
}) => {
    await signIn(page, 'isolde')
    const row = page.getByText(TITLE).locator('xpath=ancestor::div[2]')
    await expect(row.getByText('practice, commissioning')).toBeVisible()
    await openJob(page, TITLE)
    await page.getByRole('tab', { name: 'Sheet' }).click()
    const sheet = page.getByLabel('Commissioning sheet')
    await expect(sheet.getByText('Should be: by the rating plate').first()).toBeVisible()
    await clean(page, 'a commissioning sheet')

    // a figure, by keys; it stands with how it was found
    const manifold = sheet.getByLabel('Manifold, outlet tap of the gas valve, in in. w.c.')
    await manifold.fill('4.6')
    await sheet.getByRole('button', { name: 'Manifold, outlet tap of the gas valve: Out' }).press('Enter')
    await expect(sheet.getByRole('button', { name: 'Manifold, outlet tap of the gas valve: Out' })).toHaveAttribute(
        'aria-pressed',
        'true',
    )
    await expect(manifold).toHaveValue('4.6')
    await sheet.getByRole('button', { name: /flame proving: Stops/i }).click()
    await sheet.getByRole('button', { name: 'Sign: into service' }).click()
    await expect(sheet.getByText('Signed: it goes into service.')).toBeVisible()
    await page.reload()
    await page.getByRole('tab', { name: 'Sheet' }).click()
    await expect(sheet.getByText('Signed: it goes into service.')).toBeVisible()
    await expect(manifold).toHaveValue('4.6')
    page.on('dialog', (dialog) => void dialog.accept())
    await page.getByRole('button', { name: 'Close the call' }).click()
    await expect(page.getByTestId('total')).toBeVisible()
    await expect(page.getByText('Signed into service out of order').first()).toBeVisible()
    await expect(page.getByText('it was signed into service, and is not in order')).toBeVisible()
    await page.getByRole('tab', { name: /^Entries/ }).click()
    await page
        .getByRole('button', { name: /Manifold, outlet tap/ })
        .first()
        .click()
    await expect(page.getByLabel('What was known').getByText(/written down, and not read/)).toBeVisible()
    await clean(page, 'the debrief of a commissioning')
})
