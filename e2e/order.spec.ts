import { expect, test } from '@playwright/test'
import { clean, signIn } from './people'

const TITLE = 'Paper mill office: what comes after what?'

test('a sequence is put in order by hand and keys: steps, a chart, answers, handed in, gone over', async ({ page }) => {
    await signIn(page, 'isolde')
    const row = page.getByText(TITLE).locator('xpath=ancestor::div[2]')
    await expect(row.getByText('practice, sequence')).toBeVisible()
    await row.getByRole('button', { name: 'Begin' }).click()
    await expect(page.getByRole('button', { name: /^Question \d+:/ })).toHaveCount(10)
    await clean(page, 'a sheet of a sequence')

    // a hint tells how it begins
    await page.getByRole('button', { name: 'A hint at question 1' }).click()
    await expect(page.getByRole('group', { name: 'Questions' }).getByRole('status')).toContainText('on: Inducer')

    // the steps pressed in some order, one moved up by its button with the keyboard, then all of it said
    const answers = page.getByRole('group', { name: 'Answers to question 1' })
    const steps = await answers.getByRole('button').allTextContents()
    for (const step of steps) await answers.getByRole('button', { name: step, exact: true }).click()
    const mine = page.getByRole('list', { name: 'Your answer to question 1' }).getByRole('listitem')
    await expect(mine).toHaveCount(steps.length)
    const up = page.getByRole('button', { name: `One earlier: ${steps[1]}` })
    await up.focus()
    await page.keyboard.press('Enter')
    await expect(mine.first()).toContainText(steps[1]!)
    await page.getByRole('button', { name: 'That is the order' }).click()
    await expect(page.getByText(/^(Right|Wrong)\./).first()).toBeVisible()

    // a question with a chart shows it, and the board beside it
    await page
        .getByRole('button', { name: /This is the record of another call/ })
        .first()
        .click()
    await expect(page.getByRole('group', { name: 'Chart of one call' }).getByRole('img').first()).toBeVisible()
    await clean(page, 'a chart of one call')
    await page.getByRole('group', { name: 'What is shown' }).getByRole('button', { name: 'Board' }).click()
    await expect(page.getByRole('group', { name: 'Chart of one call' })).toHaveCount(0)
    const picks = page.getByRole('group', { name: /^Answers to question/ })
    await picks.getByRole('button').first().click()
    await page.getByRole('button', { name: 'That is it' }).click()
    await expect(page.getByText(/^(Right|Wrong)\./)).toHaveCount(2)

    await page.reload()
    await expect(page.getByText(/^(Right|Wrong)\./)).toHaveCount(2)
    await page.getByRole('button', { name: 'Hand the sheet in' }).click()
    await expect(page.getByText('8 questions have no answer. They count as wrong.')).toBeVisible()
    await page.getByRole('button', { name: 'Hand it in anyway' }).click()
    await expect(page.getByTestId('total')).toBeVisible()
    await expect(page.getByText('What comes after what').first()).toBeVisible()
    await page.getByRole('tab', { name: 'Entries (10)' }).click()
    await page
        .getByRole('button', { name: /No answer/ })
        .first()
        .click()
    await expect(page.getByLabel('What was known').getByText('No answer.', { exact: true })).toBeVisible()
    await clean(page, 'the debrief of a sequence')
})
