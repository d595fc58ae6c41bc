import { readFileSync } from 'node:fs'
import { expect, test, type Locator, type Page, type Response } from '@playwright/test'
import { alongTabs, find, reach, signInByKeys } from './keys'
import { clean, press, seeAll, signIn, wholeBoard } from './people'
import { EVERY } from './models'

/** Waits until the page shows what was answered: the step that an edit led to. */
async function shown(page: Page, reply: Response) {
    const text = await reply.text().catch(() => '')
    expect(reply.status(), text).toBeLessThan(400)
    const step = /^\{(?:"whole":true,)?"step":(\d+)/.exec(text)?.[1]
    if (step !== undefined) await expect(page.locator(`[data-step="${step}"]`)).toHaveCount(1)
}

/** What is done counts: every press, choice and line typed is one. */
class Hand {
    acts = 0
    constructor(readonly page: Page) {}

    private async answered(what: () => Promise<void>, path: RegExp) {
        const reply = this.page.waitForResponse(
            (r) => path.test(r.url()) && r.request().method() === 'POST' && !r.url().endsWith('/presence'),
        )
        await what()
        await shown(this.page, await reply)
    }

    /** A kind by its words, then the board where it goes. */
    async place(words: string, title: string, x: number, y: number) {
        await this.page.getByLabel('Find a kind of part').fill(words)
        const kinds = this.page.getByLabel('Kinds of parts')
        const kind = kinds.getByRole('button', { name: title, exact: true })
        await kind.click()
        await expect(kind).toHaveAttribute('aria-pressed', 'true')
        await this.answered(() => this.onBoard(x, y), /\/edits$/)
        this.acts += 3
    }

    /** The first kind that answers to some words, put where there is room. */
    async placeByName(words: string) {
        await this.page.getByLabel('Find a kind of part').fill(words)
        await this.answered(() => this.page.getByLabel('Find a kind of part').press('Enter'), /\/edits$/)
        this.acts += 2
    }

    /** The first of the checks that can be mended so, mended. */
    async mend() {
        const lacking = this.page.getByText(/has no path to ground/)
        await expect(lacking.first()).toBeVisible()
        const before = await lacking.count()
        await this.fix()
        await expect(lacking).not.toHaveCount(before)
    }

    async onBoard(x: number, y: number) {
        await wholeBoard(this.page)
        const board = this.page.getByRole('group', { name: 'Board of the appliance' })
        const at = await board.evaluate(
            (svg: SVGSVGElement, p) => {
                const m = svg.getScreenCTM()!
                return { x: p.x * m.a + m.e, y: p.y * m.d + m.f }
            },
            { x, y },
        )
        await this.page.mouse.click(at.x, at.y)
    }

    /** A wire, at the middle of its way. */
    async onWire(id: string) {
        await wholeBoard(this.page)
        const at = await this.page.locator(`[data-wire="${id}"]`).evaluate((path: SVGPathElement) => {
            const [p, m] = [path.getPointAtLength(path.getTotalLength() / 2), path.getScreenCTM()!]
            return { x: p.x * m.a + m.e, y: p.y * m.d + m.f }
        })
        await this.page.mouse.click(at.x, at.y)
    }

    async wire(from: string, to: string) {
        await wholeBoard(this.page)
        await this.page.locator(`[data-place="${from}"]`).click()
        await this.answered(() => this.page.locator(`[data-place="${to}"]`).click(), /\/edits$/)
        this.acts += 2
    }

    /** A pipe, a duct, a hose or a seat, from port to port. */
    async pipe(from: string, to: string) {
        await wholeBoard(this.page)
        await this.page.locator(`[data-port="${from}"]`).click()
        await this.answered(() => this.page.locator(`[data-port="${to}"]`).click(), /\/edits$/)
        this.acts += 2
    }

    /** A figure of the part that is picked. */
    async figure(label: string, value: string) {
        const field = this.page.getByLabel(label, { exact: true })
        await field.fill(value)
        await this.answered(() => field.press('Enter'), /\/edits$/)
        this.acts++
    }

    /** Does something that is an edit. */
    async answer(what: () => Promise<void>) {
        await this.answered(what, /\/edits$/)
        this.acts++
    }

    /** One of some named values, which is an edit unless it is only kept in hand. */
    async choose(field: Locator, label: string, isEdit = true) {
        const choice = async () => void (await field.selectOption({ label }))
        await (isEdit ? this.answer(choice) : choice())
    }

    async press(name: string | RegExp) {
        await this.answered(
            () =>
                this.page
                    .getByRole('button', { name, exact: typeof name === 'string' })
                    .first()
                    .click(),
            /\/(edits|go|publish|restore|label)$/,
        )
        this.acts++
    }

    /** The first that can be mended. What is found moves up when something of it is: it is pressed when it stands. */
    async fix() {
        await expect(this.page.getByRole('region', { name: 'Checks' })).toHaveAttribute('aria-busy', 'false')
        await this.press('Fix')
    }

    async view(name: string) {
        await this.page.getByRole('group', { name: 'View' }).getByRole('button', { name, exact: true }).click()
        this.acts++
    }
}

/** Parts on the board, by id. */
const parts = (page: Page) =>
    page.locator('rect[data-part]').evaluateAll((all) => all.map((el) => el.getAttribute('data-part')!))

/** Out of whatever field has the keys. */
async function blurred(page: Page) {
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
}

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
    const reply = page.waitForResponse((r) => r.url().endsWith('/acts'))
    await page.getByRole('button', { name: 'Door off' }).click()
    await reply
    for (const place of [`${valve}.TH`, `${valve}.TR`]) {
        const acted = page.waitForResponse((r) => r.url().endsWith('/acts'))
        await page.locator(`[data-place="${place}"]`).click()
        await acted
    }
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

test('a second zone on a boiler with the keyboard alone: placed, wired, undone and done again, and it heats', async ({
    page,
}) => {
    await signInByKeys(page, 'ines')
    await expect(page.getByRole('link', { name: 'Build', exact: true })).toBeVisible()
    await reach(page, 'Build')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('heading', { name: 'My builds' })).toBeVisible()
    await reach(page, 'Title')
    await page.keyboard.type('Practice rooms, second zone')
    await reach(page, 'Blank board')
    await page.keyboard.press('Enter')
    await expect(page.getByText('An empty board')).toBeVisible()
    const done = async (what: () => Promise<void>) => {
        const reply = page.waitForResponse((r) => /\/(edits|go|publish)$/.test(r.url()))
        await what()
        await shown(page, await reply)
    }
    await reach(page, 'Include an appliance')
    await page.keyboard.press('Enter')
    await expect(page.getByLabel('Appliance to include')).toBeFocused()
    await page.keyboard.type('Gas hot-water')
    await reach(page, 'Include')
    await done(() => page.keyboard.press('Enter'))
    await expect(page.locator('[data-part="boiler.relay"]')).toBeVisible()
    for (const words of ['40 va 120', 'mechanical', 'zone valve', 'radiators', 'room with rad']) {
        await page.keyboard.press('k')
        await page.keyboard.press('Control+A')
        await page.keyboard.type(words)
        await done(() => page.keyboard.press('Enter'))
        await page.keyboard.press('Escape')
    }
    const wire = async (from: string, to: string) => {
        await find(page, from)
        await page.keyboard.press('Enter')
        await find(page, to)
        await done(() => page.keyboard.press('Enter'))
    }
    const t = 'Control transformer 120:24 V'
    await wire(`Service switch load`, `${t} H1`)
    await wire('Neutral nut out', `${t} H2`)
    await wire(`${t} X1`, 'Mechanical thermostat R')
    await wire('Mechanical thermostat W', 'Zone valve M1')
    await wire('Zone valve M2', `${t} X2`)
    await wire('Zone valve E1', 'Switching relay T1')
    await wire('Zone valve E2', 'Switching relay T2')
    await expect(page.getByText(/frame has no path to ground/)).toBeVisible()
    await wire(`${t} frame`, 'Ground screw screw')
    await expect(page.getByText(/frame has no path to ground/)).toBeHidden()
    await blurred(page)
    await done(() => page.keyboard.press('Control+z'))
    await expect(page.getByText(/frame has no path to ground/)).toBeVisible()
    await done(() => page.keyboard.press('Control+y'))
    await expect(page.getByText(/frame has no path to ground/)).toBeHidden()
    await find(page, 'Zone valve')
    await wholeBoard(page)
    const before = (await page.locator('[data-part="zone-valve"]').boundingBox())!
    await blurred(page)
    await done(() => page.keyboard.press('Alt+ArrowDown'))
    await expect
        .poll(async () => (await page.locator('[data-part="zone-valve"]').boundingBox())!.y)
        .toBeGreaterThan(before.y)

    await reach(page, 'Process')
    await page.keyboard.press('Enter')
    await reach(page, 'As in')
    await page.keyboard.type('Three-zone')
    await reach(page, 'Copy from it')
    await done(() => page.keyboard.press('Enter'))
    await expect(page.getByRole('tab', { name: 'Checks', exact: true })).toBeVisible() // nothing is wrong
    await reach(page, 'Checks')
    await alongTabs(page, 2)
    await expect(page.getByRole('img', { name: /Tape of the healthy run/ })).toBeVisible()
    await reach(page, 'Test every safety')
    await page.keyboard.press('Enter')
    await expect(page.getByLabel('Safeties')).toContainText('High limit opens: the fuel stops')
    await expect(page.getByLabel('Safeties')).not.toContainText('goes on')
})

test('two people at one model, versions with names, a wire list in, a bad list refused, files out', async ({
    page,
    browser,
}) => {
    await signIn(page, 'ines')
    await page.getByRole('link', { name: 'Build', exact: true }).click()
    await page.getByLabel('Title').fill('Shared furnace')
    await page.getByLabel('Shipped model').selectOption('furnace-standing-pilot')
    await page.getByRole('button', { name: 'Copy of that model' }).click()
    await expect(page.getByText('Wiring checks passed.')).toBeVisible()
    const hand = new Hand(page)
    const builder = page.url()
    await page.getByRole('link', { name: 'Build', exact: true }).click()
    await page.getByRole('button', { name: 'Who may use Shared furnace' }).click()
    await page.getByLabel('All who teach at the school').selectOption('edit')
    await expect(page.getByRole('button', { name: 'Who may use Shared furnace' })).toHaveText('Shared')
    await page.goto(builder)
    const other = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
    await signIn(other, 'oona')
    await other.goto(builder)
    await expect(other.getByText('Wiring checks passed.')).toBeVisible()
    await page.evaluate(() => window.dispatchEvent(new Event('focus')))
    await expect(page.getByText(/Oona .*is here too/)).toBeVisible()

    // drawn to another place with the mouse, and told at the other's next edit
    await wholeBoard(page)
    const blower = (await page.locator('[data-part="blower"]').boundingBox())!
    await page.mouse.move(blower.x + blower.width / 2, blower.y + blower.height / 2)
    await page.mouse.down()
    await page.mouse.move(blower.x + blower.width / 2, blower.y + blower.height / 2 + 40, { steps: 4 })
    const moved = page.waitForResponse((r) => r.url().endsWith('/edits'))
    await page.mouse.up()
    await moved
    await expect
        .poll(async () => (await page.locator('[data-part="blower"]').boundingBox())!.y)
        .toBeGreaterThan(blower.y + 20)
    await wholeBoard(other)
    await other.locator('[data-part="filter"]').click()
    const fresh = other.waitForResponse((r) => /\/drafts\/\d+$/.test(r.url()) && r.request().method() === 'GET')
    await other.getByLabel('Label').fill('Air filter')
    await other.getByLabel('Label').press('Enter')
    await fresh
    await expect(other.getByText(/Somebody else has changed this model meanwhile: Ines .*Blower moved\./)).toBeVisible()
    // leaving the field sends what stands in it, upon the model as it is by now
    const named = other.waitForResponse((r) => r.url().endsWith('/edits') && r.ok())
    await other.getByRole('button', { name: 'Understood' }).click()
    await named
    await expect(other.locator('[data-part="filter"]')).toHaveAttribute('aria-label', 'Air filter')
    await other.context().close()

    await page.reload()
    await page.getByRole('tab', { name: 'Steps' }).click()
    await expect(page.getByText('Filter is now called Air filter.')).toBeVisible()
    await page.getByLabel('Versions').getByRole('button', { name: '0', exact: true }).click()
    await expect(page.getByLabel('What has changed since')).toContainText('Blower moved.')
    await page.getByLabel('Name of this version').fill('as it came')
    await hand.press('Name it')
    await expect(page.getByText('as it came', { exact: true })).toBeVisible()
    await hand.press('Restore it')
    await expect(page.getByText('As it was at step 0, "as it came".')).toBeVisible()

    await page.getByRole('tab', { name: 'Files' }).click()
    await page.getByLabel('Wire list', { exact: true }).fill('from,to,colour\nThermostat R,moon,red\n')
    await page.getByRole('button', { name: 'Import' }).click()
    await expect(page.getByText('Line 2: there is no place called "moon".')).toBeVisible()
    await page.getByRole('button', { name: 'Understood' }).click()
    await page
        .getByLabel('Wire list', { exact: true })
        .fill('id,from,to,colour\nw12,Transformer X1,Thermostat R,orange\n')
    await hand.press('Import')
    await page.getByRole('tab', { name: 'Steps' }).click()
    await expect(page.getByText(/colour was red, is now orange/)).toBeVisible()
    await page.getByRole('tab', { name: 'Files' }).click()
    for (const what of ['model.json', 'wires.csv', 'netlist.cir', 'board.svg', 'ladder.pdf']) {
        const download = page.waitForEvent('download')
        await page
            .getByLabel('Files')
            .getByRole('link', { name: new RegExp(what.replace('.', '\\.')) })
            .click()
        expect((await download).suggestedFilename()).toBe(`shared-furnace-${what}`)
    }
    await clean(page, 'builder, files')

    // out, and in again by paste; a damaged one is refused with where; then thrown away
    const text = await (await page.request.get(`${page.url()}/files/model.json`)).text()
    await page.getByRole('link', { name: 'Build', exact: true }).click()
    await expect(page.getByRole('heading', { name: 'My builds' })).toBeVisible()
    await clean(page, 'making models')
    const paste = (what: string) =>
        page.evaluate((t) => {
            const data = new DataTransfer()
            data.setData('text/plain', t)
            window.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data }))
        }, what)
    await paste(text.replace('"breaker.line"', '"breaker.attic"'))
    await expect(
        page.getByText(/Nothing was imported\. \/wires\/0\/to: "breaker" has no terminal "attic"/),
    ).toBeVisible()
    await paste(text)
    await expect(page.getByText('Wiring checks passed.')).toBeVisible()
    await page.getByRole('link', { name: 'Build', exact: true }).click()
    const rows = page.getByRole('button', { name: 'Delete Shared furnace' })
    await expect(rows).toHaveCount(2)
    page.once('dialog', (d) => void d.accept())
    await rows.first().click()
    await expect(rows).toHaveCount(1)
})

test("a kind of one's own with a table, placed; a sequence changed line by line; trouble set on the board", async ({
    page,
}) => {
    await signIn(page, 'ines')
    await page.goto('/kinds')
    await clean(page, 'own kinds')
    await page.getByLabel('What it is called').fill('Kiln sequencer')
    const names = ['R', 'C', 'W', 'L', 'M']
    for (let i = 2; i < names.length; i++) await page.getByRole('button', { name: 'Add terminal' }).click()
    for (const [i, name] of names.entries()) await page.getByLabel(`Terminal ${i + 1}`, { exact: true }).fill(name)
    await page.getByRole('button', { name: '+ control' }).click()
    await page.getByLabel('Table of control').selectOption('oil-primary')
    for (const [input, from] of [
        ['supply', 'R'],
        ['call', 'W'],
        ['flame', 'M'],
    ] as const) {
        await page.getByLabel(`${input} from`).selectOption(from)
        await page.getByLabel(`${input} to`).selectOption('C')
    }
    await page.getByRole('button', { name: '+ contact' }).click()
    await page.getByLabel('contact from').selectOption('L')
    await page.getByLabel('contact to').selectOption('M')
    await page.getByLabel('contact is driven by').selectOption('control/out.motor')
    await page.getByRole('button', { name: 'Save to catalog' }).click()
    await expect(page.getByText(/Kiln sequencer is kept/)).toBeVisible()

    await page.getByRole('link', { name: 'Build', exact: true }).click()
    await page.getByLabel('Title').fill('Kiln shed furnace')
    await page.getByLabel('Shipped model').selectOption('furnace-80')
    await page.getByRole('button', { name: 'Copy of that model' }).click()
    const hand = new Hand(page)
    await hand.placeByName('kiln')
    await expect(page.locator('[data-part="kiln-sequencer"]')).toBeVisible()
    await hand.view('Sequence')
    await expect(page.getByRole('heading', { name: /Furnace control: Single-stage gas furnace/ })).toBeVisible()
    await clean(page, 'builder, sequence')
    await page.getByLabel('prepurge', { exact: true }).fill('90')
    const set = page.waitForResponse((r) => r.url().endsWith('/edits'))
    await page.getByLabel('prepurge', { exact: true }).press('Enter')
    await set
    await expect(page.getByText(/90 s is out of the usual, 0 to 60/)).toBeVisible()
    await page.getByRole('button', { name: 'Add a line to Heating' }).click()
    const line = page.getByRole('group', { name: 'New line of Heating' })
    await line.getByRole('button', { name: 'pressure' }).click()
    await line.getByRole('button', { name: 'call' }).click()
    await hand.press('Add it')
    await expect(page.getByLabel('State Heating').getByText(/^call, pressure →|^pressure, call →/)).toBeVisible()

    await hand.view('Board')
    await wholeBoard(page)
    await page.locator('[data-part="limit"]').click()
    await hand.view('Faults')
    await page.getByRole('button', { name: 'List its faults' }).click()
    await expect(page.getByLabel('Weight of Igniter: cracked, open')).toBeVisible()
    await hand.press('Add it')
    await page.getByLabel('Find a fault').fill('loose, closes after a tap')
    await expect(page.getByLabel('Weight of Limit: contact loose, closes after a tap')).toBeVisible()
    await page.getByLabel('Find a fault').fill('igniter: cracked')
    await page.getByRole('button', { name: 'With others: Igniter: cracked, open' }).click()
    await page.getByLabel('Find a fault').fill('filter')
    await page
        .getByRole('button', { name: /^With others: Filter/ })
        .first()
        .click()
    await hand.press('These 2 at once')
    // among those that come together, and in the list
    await expect(
        page
            .getByLabel('Faults')
            .getByText(/Igniter: cracked, open and Filter/)
            .first(),
    ).toBeVisible()
    await page.getByLabel('Find a fault').fill('igniter: cracked')
    await page.getByLabel('Weight of Igniter: cracked, open', { exact: true }).fill('5')
    const weighed = page.waitForResponse((r) => r.url().endsWith('/edits'))
    await page.getByLabel('Weight of Igniter: cracked, open', { exact: true }).press('Tab')
    await weighed
    await hand.view('Board')
    await hand.onWire('w20')
    await expect(page.getByText('Wire w20')).toBeVisible()
    await page.getByRole('button', { name: 'Route by hand' }).click()
    await hand.onBoard(1190, 40)
    await page.keyboard.press('Enter')
    await expect(page.getByRole('button', { name: 'Auto route' })).toBeVisible()
})

test('readings that are expected of a model: put on the sheet, said to be right, and told when an edit breaks them', async ({
    page,
}) => {
    await signIn(page, 'ines')
    await page.getByRole('link', { name: 'Build', exact: true }).click()
    await page.getByLabel('Title').fill('Sheet furnace')
    await page.getByLabel('Shipped model').selectOption('furnace-80')
    await page.getByRole('button', { name: 'Copy of that model' }).click()
    const hand = new Hand(page)
    await page.getByRole('tab', { name: 'Sheet' }).click()
    const sheet = page.getByLabel('Expected readings')
    await expect(sheet.getByRole('button', { name: 'Add it' })).toBeDisabled()
    for (const [lead, place] of [
        ['Red', 'valve.MV'],
        ['Black', 'valve.MVC'],
    ] as const) {
        await wholeBoard(page)
        await page.locator(`[data-place="${place}"]`).click()
        await sheet.getByRole('button', { name: `${lead} on the marked terminal` }).click()
    }
    await page.keyboard.press('Escape')
    await hand.press('Add it')
    const row = sheet.getByRole('article', { name: 'Reading 1' })
    await expect(row.getByRole('status')).toHaveText(/^It shows 2\d\.\d+ V AC\.$/)
    await hand.press('That is right')
    await expect(row.getByRole('status')).toHaveText(/^✓ It shows/)
    await clean(page, 'builder, sheet')
    await page.getByRole('tab', { name: 'Checks' }).click()
    await wholeBoard(page)
    await page.locator('[data-part="transformer"]').click()
    await hand.figure('Windings: turns ratio', '6.5')
    await page.getByRole('tab', { name: 'Sheet ▲1' }).click()
    await expect(row.getByRole('status')).toHaveText(/^▲ It shows 1\d\.\d+ V AC; right is/)
})

test('a door with its switch and a visit with what people do before are made in the builder', async ({ page }) => {
    await signIn(page, 'ines')
    await page.getByRole('link', { name: 'Build', exact: true }).click()
    await page.getByLabel('Title').fill('Door furnace')
    await page.getByLabel('Shipped model').selectOption('furnace-80')
    await page.getByRole('button', { name: 'Copy of that model' }).click()
    const hand = new Hand(page)
    await hand.view('Process')
    const doors = page.getByRole('region', { name: 'Doors' })
    await hand.press('Take the door off')
    await expect(doors.getByRole('region')).toHaveCount(0)
    await hand.press('Add a door')
    const door = doors.getByRole('region', { name: 'Door door-1' })
    await hand.choose(door.getByLabel('Switch of Door'), 'Door switch')
    await hand.choose(door.getByLabel('One more behind Door'), 'Burners', false)
    await hand.press('Add this part')
    await expect(door.getByRole('button', { name: 'Burners ✕' })).toBeVisible()
    await hand.choose(door.getByLabel('One more behind Door'), 'Gas valve', false)
    await hand.press('Add this part')
    await hand.choose(door.getByLabel('One more that sticks out of Door'), 'Gas valve, knob', false)
    await hand.press('Add this one')
    await expect(door.getByRole('button', { name: 'Gas valve, knob ✕' })).toBeVisible()

    await page.getByLabel('A new visit, in a word').fill('noon')
    await page.getByLabel('A new visit, in a word').press('Enter')
    const visits = page.getByRole('region', { name: 'Visits' })
    await hand.answer(() => visits.getByRole('button', { name: 'Add it' }).last().click())
    const noon = visits.getByRole('region', { name: 'Visit noon' })
    await noon.getByLabel('Switch, dial, knob, reset or door').selectOption({ label: 'Thermostat, mode' })
    await noon.getByLabel('to', { exact: true }).selectOption('off')
    await hand.answer(() => noon.getByRole('button', { name: 'Add it' }).click())
    await expect(noon.getByText('after 3600 s: Thermostat, mode to off')).toBeVisible()
    for (const [doing, said] of [
        ['Rollout, left, reset', 'after 3600 s: Rollout, left, reset'],
        ['Door (door)', 'after 3600 s: Door (door) to open'],
    ] as const) {
        await noon.getByLabel('Switch, dial, knob, reset or door').selectOption({ label: doing })
        await hand.answer(() => noon.getByRole('button', { name: 'Add it' }).click())
        await expect(noon.getByText(said)).toBeVisible()
    }
    await clean(page, 'builder, doors and visits')
    await page.getByRole('tab', { name: 'Run' }).click()
    await page.getByLabel('How it is found').selectOption({ label: 'Found noon' })
    await expect(page.getByRole('img', { name: /Tape of the healthy run/ })).toBeVisible()
})
