import { readFileSync } from 'node:fs'
import { expect, test } from '@playwright/test'
import { clean, lead, press, seeAll, signIn, wholeBoard } from './people'
import { EVERY } from './models'
import { Hand, parts } from './hand'

test('a standing-pilot furnace from an empty board by mouse: every safety acts, a fault, a job, worked', async ({
    page,
}) => {
    await signIn(page, 'ines')
    await page.getByRole('link', { name: 'Build', exact: true }).click()
    await page.getByLabel('Title').fill('Letterpress room furnace')
    await page.getByRole('button', { name: 'Blank board' }).click()
    await expect(page.getByText('An empty board')).toBeVisible()
    await clean(page, 'builder, empty')
    const hand = new Hand(page)
    const parts: [string, string, number, number][] = [
        ['120 V supply', '120 V supply at the panel', 90, 660],
        ['service', 'service switch', 90, 420],
        ['gas meter', 'gas meter', 90, 90],
        ['cock', 'gas cock', 90, 190],
        ['fan and limit', 'fan and limit control', 400, 460],
        ['40 VA 120', 'control transformer 120:24 V, 40 VA', 640, 640],
        ['thermocouple valve', 'combination gas valve, 24 V, thermocouple', 400, 260],
        ['thermocouple 30', 'thermocouple, 30 mV', 620, 170],
        ['pilot burner', 'pilot burner', 620, 70],
        ['burners', 'burners', 830, 80],
        ['heat exchanger', 'heat exchanger', 980, 190],
        ['blower one', 'blower, one speed', 900, 460],
        ['mechanical', 'mechanical thermostat', 1120, 640],
        ['filter', 'filter', 1120, 400],
        ['registers', 'registers', 1120, 260],
        ['room with air', 'room with air ducts', 1120, 520],
        ['draft hood', 'draft hood', 700, 330],
        ['chimney', 'chimney', 560, 330],
    ]
    for (const [words, title, x, y] of parts) await hand.place(words, title, x, y)
    const id = (label: string) => page.locator(`[data-part][aria-label="${label}"]`).getAttribute('data-part')
    const [panel, service, fan, transformer, valve, couple, blower, stat] = (await Promise.all(
        [
            '120 V supply at the panel',
            'Service switch',
            'Fan and limit control',
            'Control transformer 120:24 V',
            'Combination gas valve',
            'Thermocouple',
            'Blower',
            'Mechanical thermostat',
        ].map(id),
    )) as string[]
    for (const [from, to] of [
        [`${panel}.L`, `${service}.line`],
        [`${service}.load`, `${fan}.L1`],
        [`${fan}.L1`, `${fan}.F1`],
        [`${fan}.L2`, `${transformer}.H1`],
        [`${panel}.N`, `${transformer}.H2`],
        [`${fan}.F2`, `${blower}.L`],
        [`${panel}.N`, `${blower}.N`],
        [`${transformer}.X1`, `${stat}.R`],
        [`${stat}.W`, `${valve}.TH`],
        [`${valve}.TR`, `${transformer}.X2`],
        [`${couple}.core`, `${valve}.core`],
        [`${couple}.sheath`, `${valve}.sheath`],
    ] as const)
        await hand.wire(from, to)

    await page.getByRole('tab', { name: 'Circuits' }).click()
    await expect(page.getByText(/From Control transformer 120:24 V X1 through Mechanical thermostat/)).toBeVisible()
    await expect(page.getByText(/millivolts/)).toBeVisible()

    // nothing burns yet: it is said what sits nowhere, and joined by a press
    await page.getByRole('tab', { name: 'Run' }).click()
    await expect(page.getByText(/It cannot run yet/)).toBeVisible()
    await expect(page.getByText(/sits nowhere yet/).first()).toBeVisible()
    await hand.pipe('gas-meter.out', 'gas-cock.in')
    await hand.view('Process')
    await page.getByLabel('As in').selectOption('furnace-standing-pilot')
    await hand.press('Copy from it')
    await expect(page.getByRole('img', { name: /Tape of the healthy run/ })).toBeVisible()
    await hand.view('Board')
    await expect(page.locator('[data-pipe]')).toHaveCount(16)

    // the checks say what is not bonded, and mend it
    await page.getByRole('tab', { name: /^Checks/ }).click()
    for (let i = 3; i > 0; i--) {
        await expect(page.getByText(/has no path to ground/)).toHaveCount(i)
        await hand.fix()
    }
    await expect(page.getByText('Wiring checks passed.')).toBeVisible()
    await page.getByRole('tab', { name: 'Run' }).click()
    await hand.view('Board')
    await page.getByLabel('Moment, seconds after the arrival').fill('2')
    await wholeBoard(page)
    await page.locator(`[data-place="${valve}.TH"]`).click()
    await expect(page.getByTestId('here')).toContainText(/2[5678]\.\d V AC/)
    await page.getByLabel('What to ask about').fill('blower')
    await page
        .getByLabel('What can be asked about')
        .getByRole('button', { name: /Blower/ })
        .click()
    await expect(page.getByLabel('Why', { exact: true })).toContainText('Fan and limit control: fan is open')
    await page.getByRole('button', { name: 'Test every safety' }).click()
    await expect(page.getByLabel('Safeties')).toContainText('Fan and limit control: limit opens: the fuel stops')
    await expect(page.getByLabel('Safeties')).toContainText('All flame is lost: the fuel stops')
    await expect(page.getByLabel('Safeties')).not.toContainText('goes on')
    await clean(page, 'builder, running')

    await hand.view('Faults')
    await page.getByRole('button', { name: 'List its faults' }).click()
    await expect(page.getByLabel('Weight of Thermocouple: weak')).toBeVisible()
    await clean(page, 'builder, trouble')
    await hand.press('Publish')
    await page.getByRole('link', { name: 'Set a fault, give a job' }).click()
    await expect(page.getByRole('heading', { name: 'Give it as a job' })).toBeVisible()
    await page.getByLabel('Find a fault').fill('valve coil open')
    await page.getByLabel('Faults').getByRole('button').first().click()
    await expect(page.getByLabel('What the customer says')).not.toHaveValue('')
    await page.getByLabel('Title').fill('Letterpress room: no heat')
    await page.getByRole('button', { name: 'Give the job' }).click()
    await page.getByRole('button', { name: 'Try it myself' }).click()
    await seeAll(page)
    await expect(page.getByRole('button', { name: 'Run', exact: true })).toBeVisible()
    await press(page, 'Door off')
    for (const place of [`${valve}.TH`, `${valve}.TR`]) await lead(page, place)
    await expect(page.getByTestId('display')).toHaveText(/^2\d\.\d+ V AC/) // fed, and it does not open
    await press(page, 'Bad')
    await page.getByRole('tab', { name: 'Suspects' }).click()
    await page.getByLabel('Find a suspect').fill('valve main coil open')
    await press(page, 'Name Combination gas valve: main coil open')
    await page.locator(`[data-part="${service}"]`).click()
    await press(page, 'off')
    await page.locator(`[data-part="${valve}"]`).click()
    await page.getByText('Mend it…').click()
    await press(page, 'Replace')
    await press(page, 'Remove leads')
    await page.locator(`[data-part="${service}"]`).click()
    await press(page, 'on')
    await press(page, 'Door on')
    for (let i = 0; i < 3; i++) await press(page, 'Next event')
    page.once('dialog', (d) => void d.accept())
    await page.getByRole('button', { name: 'Close the call' }).click()
    await expect(page.getByText('It was:')).toBeVisible()
    await expect(page.getByText('Combination gas valve: main coil open').first()).toBeVisible()
})

test("a first model of one's own, of twelve parts, takes no more than sixty acts", async ({ page }) => {
    await signIn(page, 'ines')
    await page.getByRole('link', { name: 'Build', exact: true }).click()
    await page.getByLabel('Title').fill('Typesetting attic')
    await page.getByRole('button', { name: 'Blank board' }).click()
    const hand = new Hand(page)
    hand.acts = 3
    for (const words of [
        '120 v supply',
        'gas meter',
        'fan and limit',
        '40 va 120',
        'thermocouple valve',
        'thermocouple 30',
        'pilot burner',
        'burners',
        'heat exchanger',
        'blower one',
        'mechanical',
        'room with air',
    ])
        await hand.placeByName(words)
    await expect(page.locator('rect[data-part]')).toHaveCount(12)
    for (const [from, to] of [
        ['120-v-supply-at-the-panel.L', 'fan-and-limit-control.L1'],
        ['fan-and-limit-control.L1', 'fan-and-limit-control.F1'],
        ['fan-and-limit-control.L2', 'control-transformer-120-24-v.H1'],
        ['120-v-supply-at-the-panel.N', 'control-transformer-120-24-v.H2'],
        ['fan-and-limit-control.F2', 'blower.L'],
        ['120-v-supply-at-the-panel.N', 'blower.N'],
        ['control-transformer-120-24-v.X1', 'mechanical-thermostat.R'],
        ['mechanical-thermostat.W', 'combination-gas-valve.TH'],
        ['combination-gas-valve.TR', 'control-transformer-120-24-v.X2'],
        ['thermocouple.core', 'combination-gas-valve.core'],
        ['thermocouple.sheath', 'combination-gas-valve.sheath'],
    ] as const)
        await hand.wire(from, to)
    await hand.pipe('gas-meter.out', 'combination-gas-valve.in')
    await hand.view('Process')
    await page.getByLabel('As in').selectOption('furnace-standing-pilot')
    hand.acts++
    await hand.press('Copy from it')
    await page.getByRole('tab', { name: /^Checks/ }).click()
    for (let i = 0; i < 3; i++) await hand.mend()
    await hand.view('Faults')
    await hand.press('Publish')
    await expect(page.getByRole('link', { name: 'Set a fault, give a job' })).toBeVisible()
    expect(hand.acts).toBeLessThanOrEqual(60)
})

/** What is built from an empty board, part by part and connection by connection; core tests do the same acts. */
interface Build {
    title: string
    acts: (
        | { do: 'place'; kind: string; at: [number, number]; id: string }
        | { do: 'wire'; from: string; to: string }
        | { do: 'pipe'; from: string; to: string }
        | { do: 'param'; part: string; primitive: string; key: string; value: number }
    )[]
}

const OWN = 'core/tests/Building/builds'
const SHIPPED = 'core/models/builds'

for (const [name, from] of [
    ['tube-heater', SHIPPED],
    ...(EVERY
        ? ([
              ['two-zone-boiler', OWN],
              ['condensing-furnace', OWN],
              ['unit-heater', SHIPPED],
              ['furnace-surface-module', SHIPPED],
          ] as const)
        : []),
] as const)
    test(`${name} from an empty board with nothing taken over, pipes and wires, and it burns`, async ({ page }) => {
        test.slow()
        const build = JSON.parse(readFileSync(`${from}/${name}.json`, 'utf8')) as Build
        // of a shipped one what is drawn; its texts and figures are set otherwise
        const acts = build.acts.filter(
            (a) => ['place', 'wire', 'pipe'].includes(a.do) || (a.do === 'param' && from === OWN),
        )
        expect(acts.length).toBeLessThanOrEqual(140)
        await signIn(page, 'ines')
        await page.getByRole('link', { name: 'Build', exact: true }).click()
        await page.getByLabel('Title').fill(build.title)
        await page.getByRole('button', { name: 'Blank board' }).click()
        await expect(page.getByText('An empty board')).toBeVisible()
        const hand = new Hand(page)
        const ids: Record<string, string> = {}
        const here = (place: string) => {
            const [part, end] = place.split('.') as [string, string]
            return `${ids[part]}.${end}`
        }
        for (const act of acts) {
            if (act.do === 'place') {
                const kind = JSON.parse(readFileSync(`core/kinds/${act.kind}.json`, 'utf8')) as {
                    title: string
                    size: [number, number]
                }
                const before = await parts(page)
                await hand.place(kind.title, kind.title, act.at[0] + kind.size[0] / 2, act.at[1] + kind.size[1] / 2)
                ids[act.id] = (await parts(page)).find((id) => !before.includes(id))!
            } else if (act.do === 'wire') await hand.wire(here(act.from), here(act.to))
            else if (act.do === 'pipe') await hand.pipe(here(act.from), here(act.to))
            else {
                await wholeBoard(page)
                await page.locator(`[data-part="${ids[act.part]}"]`).click({ position: { x: 4, y: 4 } })
                await hand.figure(`Intake: ${act.key}`, String(act.value))
            }
        }
        await page.getByRole('tab', { name: 'Run' }).click()
        await expect(page.getByRole('img', { name: /Tape of the healthy run/ })).toBeVisible()
        await page.getByRole('button', { name: 'Test every safety' }).click()
        await expect(page.getByLabel('Safeties')).toContainText('All flame is lost: the fuel stops')
        await expect(page.getByLabel('Safeties')).not.toContainText('goes on')
        await clean(page, `builder, ${name}`)
    })
