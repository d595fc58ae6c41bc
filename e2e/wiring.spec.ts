import { expect, test } from '@playwright/test'
import { clean, lead, openJob, press, signIn } from './people'

const TITLE = 'Dye house annex: wire the boiler'

/** The control circuit as its drawing has it. */
const WIRES: [string, string][] = [
    ['relay.T1', 'thermostat.R'],
    ['relay.T2', 'thermostat.W'],
    ['transformer.X1', 'module.24V'],
    ['transformer.X2', 'module.COM'],
    ['module.PV', 'valve.PV'],
    ['module.MVPV', 'valve.COM'],
    ['module.MV', 'valve.MV'],
    ['module.SENSE', 'pilot.rod'],
    ['module.SPARK', 'pilot.tip'],
]

test('an appliance is wired on its board, tried, closed, and judged by what it does', async ({ page }) => {
    await signIn(page, 'isolde')
    await openJob(page, TITLE)
    await page.getByRole('tab', { name: 'Wiring' }).click()
    await expect(page.getByText(/9 wires of the drawing are not here/)).toBeVisible()
    await expect(page.getByText('Wires you ran: 0')).toBeVisible()
    await clean(page, 'a bench at which is wired')

    await press(page, 'Door off')
    await page.locator('[data-part="service"]').click()
    await press(page, 'off')

    for (const [i, [from, to]] of WIRES.entries()) {
        await page.getByLabel('Color of the wire').selectOption(i % 2 ? 'blue' : 'red')
        await page.locator(`[data-place="${from}"]`).click()
        await expect(page.getByText(/press the other terminal/)).toBeVisible()
        await lead(page, to)
        await expect(page.getByText(`Wires you ran: ${i + 1}`)).toBeVisible()
    }
    // one that was run is taken off and run again
    await press(page, 'Take the wire off Ignition module SPARK and Pilot tip')
    await expect(page.getByText('Wires you ran: 8')).toBeVisible()

    // with the wire still missing a hint tells what belongs together
    await page.getByRole('tab', { name: 'Call' }).click()
    await page.getByRole('button', { name: /Which reading\?/ }).click()
    await expect(page.getByText('Ignition module SPARK and Pilot tip belong together.').first()).toBeVisible()
    await page.getByRole('tab', { name: 'Wiring' }).click()
    await page.locator('[data-place="module.SPARK"]').click()
    await lead(page, 'pilot.tip')

    // power on, and it runs
    await page.locator('[data-part="service"]').click()
    await press(page, 'on')
    page.on('dialog', (dialog) => void dialog.accept())
    await page.getByRole('button', { name: 'Close the call' }).click()
    await expect(page.getByTestId('total')).toBeVisible()
    await expect(page.getByText(/It does all that it should/)).toBeVisible()
    await expect(page.getByText('The sequence runs')).toBeVisible()
    await page.getByRole('tab', { name: /^Entries/ }).click()
    await expect(page.getByText('As it should be.')).toBeVisible()
    await clean(page, 'the debrief of a wiring')
})
