import { expect, test } from '@playwright/test'
import { clean, lead, look, openJob, press, signIn } from './people'

const TITLE = 'Ferry office, by telephone'

test('by telephone: the customer puts the leads where he is told, reads them out, and nothing is mended', async ({
    page,
}) => {
    await signIn(page, 'isolde')
    const row = page.getByText(TITLE).locator('xpath=ancestor::div[2]')
    await expect(row.getByText('practice, by telephone')).toBeVisible()
    await openJob(page, TITLE)
    const line = page.getByLabel('On the telephone')
    await expect(line.getByText(/He can make mistakes/)).toBeVisible()
    await expect(page.getByRole('button', { name: 'Next event' })).toBeDisabled()
    await clean(page, 'a bench by telephone')
    await look(page, 'thermostat')
    await expect(line.getByText(/Looked at Thermostat/)).toBeVisible()
    await press(page, 'Door off')
    await lead(page, 'transformer.X1')
    await lead(page, 'transformer.X2')
    await expect(line.getByText(/Transformer X1/)).toBeVisible()
    await line.getByRole('button', { name: /read out/ }).press('Enter')
    await expect(line.getByText(/red on .*, black on .*, the meter on/)).toBeVisible()
    page.on('dialog', (dialog) => void dialog.accept())
    await press(page, 'Close the call')
    await expect(page.getByTestId('total')).toBeVisible()
    await expect(page.getByText('The customer guided').first()).toBeVisible()
    await clean(page, 'the debrief of a call by telephone')
})
