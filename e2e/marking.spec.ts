import { readFileSync } from 'node:fs'
import { expect, test } from '@playwright/test'
import { look, openJob, press, signIn } from './people'

test("house rules of one's own, a job under them, hints, the mark, a line set otherwise, and marked again", async ({
    page,
}) => {
    await signIn(page, 'ines')
    await page.getByRole('link', { name: 'Rules', exact: true }).click()
    await page.getByLabel('Pass mark, of 100').fill('140')
    await page.getByLabel('Title').fill('Tuesday lab')
    await page.getByRole('button', { name: 'Save as a set of its own' }).click()
    await expect(page.getByRole('alert')).toHaveText(/pass_mark: Must be a number from 0 to 100/)
    await page.getByLabel('Pass mark, of 100').fill('55')
    await page.getByText(/^Not allowed at all/).click()
    await page.getByText('Jumpers', { exact: true }).click()
    await page.getByLabel('Where to begin').selectOption({ label: "at the control's lamp and its card" })
    await page.getByRole('button', { name: 'Save as a set of its own' }).click()
    await expect(page.getByRole('button', { name: /Tuesday lab version 1/ })).toHaveAttribute('aria-pressed', 'true')
    await page.getByLabel('Pass mark, of 100').fill('60')
    await page.getByRole('button', { name: 'Save as version 2' }).click()
    await expect(page.getByText(/version 2 of .* · version 1 of/)).toBeVisible()

    await page.goto('/models')
    await page.getByRole('link', { name: /^Set a fault in Simple boiler/ }).click()
    await page.getByRole('button', { name: 'Air switch: contact stuck open' }).click()
    await expect(page.getByRole('img', { name: /Tape with the fault/ })).toBeVisible()
    await page.getByLabel('Title').fill('Rope walk: no fire')
    await page.getByLabel('House rules').selectOption({ label: 'Tuesday lab, version 2' })
    await page.getByRole('button', { name: 'Give the job' }).click()
    await expect(page.getByText('house rules: Tuesday lab, version 2')).toBeVisible()

    await page.context().clearCookies()
    await signIn(page, 'oyelaran')
    await openJob(page, 'Rope walk: no fire')
    await page.getByRole('tab', { name: 'Call' }).click()
    await expect(page.getByText('Not allowed here: jumpers.')).toBeVisible()
    await look(page, 'stat')
    await press(page, 'Door off')
    await press(page, /^Which circuit/)
    await expect(page.getByRole('alert').getByText(/Most of what is left/)).toBeVisible()
    await page.getByRole('tab', { name: 'Suspects' }).click()
    await page.getByLabel('Find a suspect').fill('air stuck open')
    await press(page, /^Name Air switch: contact stuck open/)
    page.once('dialog', (d) => void d.accept())
    await page.getByRole('button', { name: 'Close the call' }).click()
    await expect(page.getByText('It was:')).toBeVisible()
    await expect(page.getByText('Hints taken: 1, at 6 points.')).toBeVisible()
    await expect(page.getByText(/the customer calls back/).first()).toBeVisible()
    await expect(page.getByText(/Would have shown the same as what was named/)).toBeVisible()
    await expect(page.getByRole('button', { name: /Set Trace/ })).toHaveCount(0)
    const total = Number(await page.getByTestId('total').textContent())

    // replay, and a better reading shown on the board
    await page.getByRole('button', { name: 'Entry after' }).click()
    await page.getByRole('button', { name: 'Replay' }).click()
    await expect(page.getByRole('button', { name: 'Replay' })).toBeVisible() // it has come to its end
    await page.getByRole('tab', { name: /Entries/ }).click()
    await page
        .getByLabel('Entries', { exact: true })
        .getByText(/^Named the fault/)
        .click()
    await page
        .getByRole('button', { name: /^Show on the board/ })
        .first()
        .click()
    await expect(page.getByText('Better here:')).toBeVisible()

    await page.context().clearCookies()
    await signIn(page, 'ines')
    await page.getByRole('link', { name: /Rope walk/ }).click()
    const shipped = page.getByLabel('House rules').locator('option', { hasText: /^Journeyman, version/ })
    const journeyman = (await shipped.first().textContent()) ?? ''
    await page.getByLabel('House rules').selectOption({ label: journeyman })
    await page.getByRole('button', { name: 'Mark again under these' }).click()
    await expect(page.getByRole('row', { name: /Oyelaran/ }).getByText(`${journeyman}:`)).toBeVisible()
    await page
        .getByRole('row', { name: /Oyelaran/ })
        .getByRole('link', { name: 'Debrief' })
        .click()
    await page.getByRole('button', { name: 'Change the mark of Technique' }).click()
    await page.getByLabel('Points for Technique').fill('10')
    await page.getByRole('button', { name: 'Keep' }).click()
    await expect(page.getByRole('alert').getByText(/Say why/)).toBeVisible()
    await page.getByLabel('Why').fill('He had the readings on paper.')
    await page.getByRole('button', { name: 'Keep' }).click()
    await expect(page.getByText('Set by Ines Calloway:')).toBeVisible()
    expect(Number(await page.getByTestId('total').textContent())).toBeGreaterThan(total)
    await expect(page.getByText(`Under ${journeyman}`)).toBeVisible()
    const sheet = page.waitForEvent('download')
    await page.getByRole('link', { name: 'Sheet to print (PDF)' }).click()
    expect(
        readFileSync(await (await sheet).path())
            .subarray(0, 5)
            .toString(),
    ).toBe('%PDF-')
})
