import { expect, test } from '@playwright/test'
import { clean, signIn } from './people'

const TITLE = 'Paper mill office: say it before you read it'

test('readings are said before they are taken: with the keys, judged at once, handed in, gone over', async ({
    page,
}) => {
    await signIn(page, 'isolde')
    const row = page.getByText(TITLE).locator('xpath=ancestor::div[2]')
    await expect(row.getByText('practice, predictions')).toBeVisible()
    await row.getByRole('button', { name: 'Begin' }).click()
    await expect(page.getByText(/No fault: everything works/)).toBeVisible()
    const figures = page.getByRole('textbox', { name: /What the meter will show/ })
    await expect(figures).toHaveCount(8)
    await clean(page, 'a sheet of predictions')

    // the leads lie where the reading is asked for, on the board and in the drawing
    await page.getByRole('button', { name: /^Reading 2:/ }).click()
    await expect(page.getByRole('button', { name: /^Reading 2:/ })).toHaveAttribute('aria-pressed', 'true')
    await expect(page.getByRole('group', { name: 'Readings' })).toBeVisible()

    // a hint tells what lies between, and what the next costs
    await page.getByRole('button', { name: 'A hint at reading 1' }).click()
    await expect(page.getByText(/^(Between the leads is|No single part is between the leads)/)).toBeVisible()

    // what is no figure cannot be said
    await figures.first().fill('much')
    await expect(page.getByRole('button', { name: 'Say it' }).first()).toBeDisabled()

    await figures.first().fill('0')
    await figures.first().press('Enter')
    await expect(page.getByText(/^You said 0 V AC\. The meter shows/)).toBeVisible()
    await expect(page.getByText(/^(Right|Wrong)\./).first()).toBeVisible()
    await expect(figures).toHaveCount(7)
    await page
        .getByRole('button', { name: /^Say OL/ })
        .first()
        .click()
    await expect(page.getByText(/^You said OL/)).toBeVisible()

    // what was said stands when the page is left
    await page.reload()
    await expect(page.getByText(/^You said 0 V AC\. The meter shows/)).toBeVisible()
    await expect(figures).toHaveCount(6)

    await page.getByRole('button', { name: 'Hand the sheet in' }).click()
    await expect(page.getByText('6 readings have no answer. They count as wrong.')).toBeVisible()
    await page.getByRole('button', { name: 'Hand it in anyway' }).click()
    await expect(page.getByTestId('total')).toBeVisible()
    await expect(page.getByText('Nothing live called dead').first()).toBeVisible()
    await page.getByRole('tab', { name: 'Entries (8)' }).click()
    await page
        .getByRole('button', { name: /nothing said, shows/ })
        .first()
        .click()
    await expect(page.getByLabel('What was known').getByText('No answer.')).toBeVisible()
    await expect(page.getByRole('img', { name: /seconds since the arrival/ })).toBeVisible()
    await clean(page, 'the debrief of a sheet')
})

test('an instructor gives a sheet of any model in a few steps', async ({ page }) => {
    await signIn(page, 'ines')
    await page.goto('/models')
    await page.getByRole('link', { name: /Oil furnace, primary control/ }).click()
    await page.getByLabel('What is done').selectOption({ label: 'Predict 6 readings' })
    await page.getByLabel('Title').fill('Oil, said beforehand')
    await page.getByRole('button', { name: 'Give the job' }).click()
    await expect(page.getByRole('heading', { name: 'Oil, said beforehand' })).toBeVisible()
    await expect(page.getByText(/practice, predictions/)).toBeVisible()
    await page.getByRole('button', { name: 'Try it myself' }).click()
    await expect(page.getByRole('textbox', { name: /What the meter will show/ })).toHaveCount(6)
})
