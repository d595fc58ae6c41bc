import { expect, test } from '@playwright/test'
import { clean, lead, openJob, press, signIn } from './people'

const TITLE = 'Net store: another make of control'

/** What was on the old control, by its terminals. */
const WIRES: [string, string][] = [
    ['cord.L', 'L'],
    ['cord.N', 'N'],
    ['screw.screw', 'GND'],
    ['fan.L', 'L'],
    ['fan.N', 'N'],
    ['box.C', 'PS-OUT'],
    ['box.NO', 'PS-IN'],
    ['valve.MV', 'V'],
    ['valve.MVC', 'VC'],
    ['rod.rod', 'FS'],
    ['igniter.1', 'IGN'],
    ['igniter.2', 'IGN-N'],
]

test('a control is swapped by its leaflet: wires moved over, its link off, its spare lead capped, its switch set, judged', async ({
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

    // the breaker off before anything is touched
    await page.locator('[data-part="breaker"]').click()
    await press(page, 'off')

    // as the leaflet has it
    const pins = new Map<string, string>()
    for (const line of await paper.getByText(/: what was on /).allTextContents()) {
        const [to, from] = line.split(': what was on ')
        pins.set(from!, to!)
    }
    for (const [i, [from, was]] of WIRES.entries()) {
        await page.locator(`[data-place="${from}"]`).click()
        await expect(page.getByText(/press the other terminal/)).toBeVisible()
        await lead(page, `board.${pins.get(was)}`)
        await expect(page.getByText(`Wires you ran: ${i + 1}`)).toBeVisible()
    }

    // its link bridges the pressure switch, its spare lead lies on the steel: both are lifted
    await page.getByRole('button', { name: 'Wire in hand' }).click()
    await page.locator(`[data-place="board.${pins.get('PS-IN')}"]`).click()
    await press(page, /^Lift the .*bare/)
    await page.locator('[data-place="board.spare"]').click()
    await press(page, /^Lift the .*violet/)

    await page.locator('[data-part="breaker"]').click()
    await press(page, 'on')
    page.on('dialog', (dialog) => void dialog.accept())
    await page.getByRole('button', { name: 'Close the call' }).click()
    await expect(page.getByTestId('total')).toBeVisible()
    await expect(page.getByText(/It does all that it should/)).toBeVisible()
    await clean(page, 'the debrief of a swap')
})
