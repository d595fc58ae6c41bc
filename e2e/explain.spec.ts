import { expect, test } from '@playwright/test'
import { clean, signIn } from './people'

const TITLE = 'Seed store: why is it off?'

test('it is explained why a load is off: a chain picked on the board, judged, handed in, gone over', async ({
    page,
}) => {
    await signIn(page, 'isolde')
    const row = page.getByText(TITLE).locator('xpath=ancestor::div[2]')
    await expect(row.getByText('practice, explanations')).toBeVisible()
    await row.getByRole('button', { name: 'Begin' }).click()
    await expect(page.getByText(/The fault: High limit: stuck open/)).toBeVisible()
    await expect(page.getByRole('button', { name: /^Question \d:/ })).toHaveCount(3)
    await clean(page, 'a sheet of explanations')

    // a hint names the first link, and what the next costs
    await page.getByRole('button', { name: 'A hint at question 1' }).click()
    await expect(page.getByRole('group', { name: 'Questions' }).getByRole('status')).toBeVisible()

    // the drawing shows the same part that is pressed
    await page.getByRole('button', { name: 'Ladder', exact: true }).click()
    await expect(page.getByRole('button', { name: 'Ladder', exact: true })).toHaveAttribute('aria-pressed', 'true')
    await page.getByRole('button', { name: 'Ladder', exact: true }).click()

    // one pick taken back, another by the list of parts as by the board
    const items = page.getByRole('group', { name: 'What of the part is in the chain' })
    await items.getByLabel('Part').selectOption('High limit')
    await items.getByRole('button', { name: 'bulb' }).click()
    await expect(page.getByText('High limit: bulb')).toBeVisible()
    await page.getByRole('button', { name: 'Take High limit: bulb out of the chain' }).click()
    await expect(page.getByText('High limit: bulb')).toHaveCount(0)
    await items.getByRole('button', { name: 'contact' }).click()
    await page.getByRole('button', { name: 'That is why' }).first().click()
    await expect(page.getByText(/^(Right|Wrong)\./)).toBeVisible()

    await page.reload()
    await expect(page.getByText('High limit: contact')).toBeVisible()
    await expect(page.getByRole('button', { name: 'That is why' })).toHaveCount(1)
    await page.getByRole('button', { name: 'Hand the sheet in' }).click()
    await expect(page.getByText('2 questions have no answer. They count as wrong.')).toBeVisible()
    await page.getByRole('button', { name: 'Hand it in anyway' }).click()
    await expect(page.getByTestId('total')).toBeVisible()
    await expect(page.getByText('Where the chain begins').first()).toBeVisible()
    await page.getByRole('tab', { name: 'Entries (3)' }).click()
    await page
        .getByRole('button', { name: /Nothing was picked/ })
        .first()
        .click()
    await expect(page.getByLabel('What was known').getByText('No answer.')).toBeVisible()
    await clean(page, 'the debrief of explanations')
})
