import { expect, test } from '@playwright/test'
import { clean, signIn } from './people'

test('a job with its time: minutes each, more for one, closed, and what it adds to the record', async ({
    page,
    browser,
}) => {
    await signIn(page, 'ines')
    await page.getByRole('link', { name: 'Ferry ticket hall: on and off' }).click()
    await expect(page.getByText('Open at any time, for as long as it takes.')).toBeVisible()
    await page.getByRole('button', { name: 'Change the time' }).click()
    await page.getByLabel('Minutes each').fill('30')
    await page.getByRole('button', { name: 'Keep this time' }).click()
    await expect(page.getByText('30 minutes', { exact: true })).toBeVisible()
    await page.getByRole('button', { name: '15 more minutes for Oyelaran' }).click()
    await expect(page.getByText('+15 min')).toBeVisible()
    await clean(page, 'job with its time')

    const oyelaran = await (await browser.newContext()).newPage()
    await signIn(oyelaran, 'oyelaran')
    const row = oyelaran.getByText('Ferry ticket hall: on and off').locator('xpath=ancestor::div[2]')
    await expect(row.getByText('30 minutes')).toBeVisible()
    await row.getByRole('button', { name: 'Begin' }).click()
    await expect(oyelaran.getByRole('timer')).toHaveText('45 min left')
    const bench = oyelaran.url()

    await page.getByRole('button', { name: '15 more minutes for Oyelaran' }).click()
    await expect(page.getByText('+30 min')).toBeVisible()
    await oyelaran.reload()
    await expect(oyelaran.getByRole('timer')).toHaveText('60 min left')

    // closed: the others cannot begin, and with her extra minutes she goes on
    await page.getByRole('button', { name: 'Close it now' }).click()
    await expect(page.getByText(/^closed /)).toBeVisible()
    const marek = await (await browser.newContext()).newPage()
    await signIn(marek, 'marek')
    await expect(
        marek
            .getByText('Ferry ticket hall: on and off')
            .locator('xpath=ancestor::div[2]')
            .getByRole('button', { name: 'Begin' }),
    ).toBeDisabled()
    await oyelaran.goto(bench)
    await expect(oyelaran.getByRole('timer')).toHaveText(/^(29|30) min left$/)
    oyelaran.once('dialog', (d) => void d.accept())
    await oyelaran.getByRole('button', { name: 'Close the call' }).click()
    await expect(oyelaran.getByText('It was:', { exact: true })).toBeVisible()
    await oyelaran.getByRole('link', { name: 'My progress' }).click()
    await expect(oyelaran.getByText('Ferry ticket hall: on and off')).toBeVisible()
    await clean(oyelaran, 'my progress')

    await page.getByRole('link', { name: 'Shop', exact: true }).click()
    await page.getByRole('link', { name: 'record' }).first().click()
    await expect(page.getByRole('row', { name: /^Brannoc/ }).getByText('✓')).toBeVisible()
    await page.getByRole('button', { name: 'Competencies' }).click()
    await expect(page.getByRole('img', { name: /^Oyelaran, safety: \d+%, between/ })).toBeVisible()
    await clean(page, 'record of a class')

    // once more, from the arrival
    await page.goto('/')
    await page.getByRole('link', { name: 'Ferry ticket hall: on and off' }).click()
    page.once('dialog', (d) => void d.accept())
    await page.getByRole('button', { name: 'Once more for Oyelaran' }).click()
    await expect(page.getByRole('row', { name: /Oyelaran at the bench 0/ })).toBeVisible()
})
