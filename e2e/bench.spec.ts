import { expect, test, type Page } from '@playwright/test'
import { answered, clean, drawn, fits, lead, openJob, press, signIn } from './people'
import { startServer, stopServer } from './server'

/** How many entries the log has. */
async function logged(page: Page): Promise<number> {
    return Number(/\((\d+)\)/.exec((await page.getByRole('tab', { name: /^Log/ }).textContent())!)![1])
}

test('the board has half of the window, opens so that it can be read, and the whole is one key away', async ({
    page,
}) => {
    for (const [title, mailbox] of [
        ['Seed library: went cold at noon', 'tova'],
        ['Music school: practice rooms far too warm', 'tova'],
        ["Bookbinder's workshop", 'tova'],
    ] as const) {
        await page.context().clearCookies()
        await signIn(page, mailbox)
        const row = page.getByText(title).locator('xpath=ancestor::div[2]')
        await row.getByRole('button', { name: /Begin|Continue/ }).click()
        const board = page.getByRole('group', { name: 'Board of the appliance' })
        await expect(board).toBeVisible()
        const seen = () =>
            board.evaluate((svg: SVGSVGElement) => {
                const box = svg.getBoundingClientRect()
                const px = svg.getScreenCTM()!.a
                const whole = [...svg.querySelectorAll('[data-part]')].filter((part) => {
                    const b = part.getBoundingClientRect()
                    return b.left >= box.left && b.right <= box.right && b.top >= box.top && b.bottom <= box.bottom
                })
                const letters = [...svg.querySelectorAll('text')].map(
                    (t) => parseFloat(getComputedStyle(t).fontSize) * px,
                )
                return {
                    share: (box.width * box.height) / (1280 * 800),
                    parts: whole.length,
                    least: Math.min(...letters),
                }
            })
        await expect.poll(async () => (await seen()).least, title).toBeGreaterThanOrEqual(10.99)
        expect((await seen()).share, title).toBeGreaterThan(0.5)
        expect((await seen()).parts, title).toBeGreaterThanOrEqual(8)
        const all = await board.locator('[data-part]').count()
        await drawn(page)
        if ((await page.getByRole('img', { name: 'The whole appliance, small' }).count()) > 0)
            await page.keyboard.press('0')
        await expect.poll(async () => (await seen()).parts, title).toBe(all)
    }
})

test('the network is lost and comes back: the act that waited is done once, and a reload in the midst keeps it', async ({
    page,
    context,
}) => {
    await page.clock.install()
    await signIn(page, 'priya')
    await openJob(page, "Bookbinder's workshop")
    const begun = await logged(page)
    await press(page, 'Door off')
    await expect.poll(() => logged(page)).toBe(begun + 1)
    await context.setOffline(true)
    await page.locator('[data-place="limit.a"]').click()
    await expect(page.getByText('The server cannot be reached.')).toBeVisible()
    await page.clock.runFor(30_000)
    await context.setOffline(false)
    await expect(page.getByText('The server cannot be reached.')).toBeHidden()
    await page.getByRole('tab', { name: /Log/ }).click()
    await expect(page.getByLabel('Log', { exact: true }).getByText('Red lead alone on Limit a')).toHaveCount(1)

    // the server is away for a moment, as when it is restarted, and the page is loaded anew meanwhile
    let away = true
    await page.route('**/acts', (route) => (away ? route.fulfill({ status: 503, body: '' }) : route.continue()))
    await page.locator('[data-place="limit.b"]').click()
    await expect(page.getByText('The server cannot be reached.')).toBeVisible()
    away = false
    await page.reload()
    await page.getByRole('tab', { name: /Log/ }).click()
    await expect(page.getByLabel('Log', { exact: true }).getByText(/Limit b/)).toHaveCount(1)
    await page.reload()
    await expect.poll(() => logged(page)).toBe(begun + 3)
})

test('the server is stopped and started again in the midst of a job: nothing lost, nothing doubled', async ({
    page,
}) => {
    await signIn(page, 'priya')
    await openJob(page, "Bookbinder's workshop")
    const before = await logged(page)
    stopServer()
    try {
        await page.locator('[data-place="board.R"]').click()
        await expect(page.getByText('The server cannot be reached.')).toBeVisible()
        for (let i = 0; i < 2; i++) await page.waitForResponse((r) => r.url().endsWith('/acts') && r.status() >= 500)
    } finally {
        startServer()
    }
    await expect(page.getByText('The server cannot be reached.')).toBeHidden()
    await expect.poll(() => logged(page)).toBe(before + 1)
    await page.reload()
    await expect.poll(() => logged(page)).toBe(before + 1)
})

test('the mouse draws the board along and the wheel makes it larger where it is; neither presses anything', async ({
    page,
}) => {
    await signIn(page, 'priya')
    await openJob(page, "Bookbinder's workshop")
    const before = await logged(page)
    const board = page.getByRole('group', { name: 'Board of the appliance' })
    const piece = async () => (await board.getAttribute('viewBox'))!.split(' ').map(Number)
    const whole = await piece()
    const frame = (await board.boundingBox())!
    const parts = await page.locator('[data-part]').evaluateAll((all) =>
        all.map((e) => {
            const { x, y, width, height } = e.getBoundingClientRect()
            return { id: e.getAttribute('data-part')!, x: x + width / 2, y: y + height / 2 }
        }),
    )
    const away = (p: { x: number; y: number }) =>
        Math.hypot(p.x - frame.x - frame.width / 2, p.y - frame.y - frame.height / 2)
    const { id, x, y } = parts.sort((a, b) => away(a) - away(b))[0]! // in the middle: no edge of the paper is near
    const middle = async () => {
        const box = (await page.locator(`[data-part="${id}"]`).boundingBox())!
        return [box.x + box.width / 2, box.y + box.height / 2] as const
    }

    await page.mouse.move(x, y)
    await page.mouse.wheel(0, -400 * Math.LN2)
    await expect.poll(async () => whole[2]! / (await piece())[2]!).toBeCloseTo(2, 1)
    for (const [i, at] of (await middle()).entries()) expect(Math.abs(at - [x, y][i]!)).toBeLessThan(3)

    await page.mouse.down()
    await page.mouse.move(x - 50, y - 30, { steps: 5 })
    await page.mouse.up()
    const [mx, my] = await middle()
    expect(x - mx).toBeGreaterThan(40)
    expect(x - mx).toBeLessThan(52)
    expect(y - my).toBeGreaterThan(20)
    expect(y - my).toBeLessThan(32)
    await expect(page.getByLabel('Part', { exact: true })).toBeHidden()

    await page.mouse.click(mx, my)
    await press(page, 'Look at it')
    await expect.poll(() => logged(page)).toBe(before + 1)
})

test('the laptop sleeps for an hour while time runs: the bench has waited', async ({ page }) => {
    await page.clock.install()
    await signIn(page, 'priya')
    await openJob(page, "Bookbinder's workshop")
    const seconds = async () => {
        const [m, s] = (await page.getByTestId('clock').textContent())!.split(':').map(Number)
        return 60 * m! + s!
    }
    const before = await seconds()
    const entries = await logged(page)
    await page.getByRole('button', { name: 'Run', exact: true }).click()
    await page.clock.fastForward('01:00:00')
    await page.clock.runFor(1500)
    await page.getByRole('button', { name: 'Pause' }).click()
    expect(await seconds()).toBeLessThan(before + 15)
    await lead(page, 'board.C')
    await expect.poll(() => logged(page)).toBe(entries + 1)
})

test('signed out in the midst: by way of the sign-in back to the bench, and what was done last is done once', async ({
    page,
    context,
}) => {
    await signIn(page, 'priya')
    await openJob(page, "Bookbinder's workshop")
    const entries = await logged(page)
    await context.clearCookies()
    await page.locator('[data-place="board.W"]').click()
    await page.getByLabel('Mail address').fill('priya@demo.example')
    await page.getByLabel('Password').fill('copper-lamp')
    await page.getByRole('button', { name: 'Sign in' }).click()
    await expect.poll(() => logged(page)).toBe(entries + 1)
    await page.reload()
    await expect.poll(() => logged(page)).toBe(entries + 1)
})

test("the ladder is linked with the board, the list is one's own, and a suspect has a why", async ({ page }) => {
    await signIn(page, 'priya')
    await openJob(page, 'Seed library: went cold at noon')
    await press(page, 'Door off')
    await page.getByRole('button', { name: 'Ladder', exact: true }).click()
    await answered(page, () => page.locator('[data-rung-place="igniter.1"]').click())
    await page.getByRole('button', { name: 'Ladder', exact: true }).click()
    await expect(page.getByLabel('Red lead on Igniter 1')).toBeAttached()
    await lead(page, 'igniter.2')

    await page.getByRole('tab', { name: 'List' }).click()
    await page.getByLabel('To verify or put back').fill('Door on, switch let go')
    await press(page, 'Add')
    await page.getByLabel('To verify or put back').fill('Flame current')
    await press(page, 'Add')
    await page.getByText('Flame current', { exact: true }).click()
    await press(page, 'Take off the list: Door on, switch let go')
    await expect(page.getByRole('list', { name: 'To verify and to put back' }).getByRole('listitem')).toHaveCount(1)
    await page.reload()
    await page.getByRole('tab', { name: 'List' }).click()
    await expect(page.getByRole('checkbox', { name: 'Flame current' })).toBeChecked()

    await page.getByRole('tab', { name: 'Suspects' }).click()
    await page.getByLabel('Find a suspect').fill('igniter crack')
    await page.getByRole('button', { name: 'Say why of Igniter: cracked, open' }).click()
    await page.getByLabel('Why: Igniter: cracked, open').fill('fed and dark')
    await press(page, 'Keep')
    await expect(page.getByText('because fed and dark')).toBeVisible()
})

test('dark, more contrast, other units: kept on this device, and nothing serious in the way', async ({ page }) => {
    await signIn(page, 'priya')
    await page.goto('/reference')
    await expect(page.getByText('5.02 µF')).toBeVisible()
    await page.getByLabel('Flame loop: Flame and feed in series').fill('')
    await expect(page.getByText('Flame and feed in series: a figure is missing.')).toBeVisible()
    await clean(page, 'reference')
    await page.getByRole('button', { name: 'How it looks, and units' }).click()
    await page.getByLabel('Theme').selectOption('dark')
    await page.getByLabel('Degrees and pressures').selectOption('metric')
    await clean(page, 'reference, dark, menu open')
    await page.goto('/')
    await clean(page, 'my jobs, dark')
    await openJob(page, 'Seed library: went cold at noon')
    await expect(page.locator('html')).toHaveClass(/dark/)
    await page.locator('[data-part="thermostat"]').click()
    await press(page, 'Look at it')
    await expect(page.getByText(/set point: 21.1 °C/)).toBeVisible()
    await clean(page, 'bench, dark')
    await page.getByRole('button', { name: 'Ladder', exact: true }).click()
    await clean(page, 'ladder, dark')
    await page.getByRole('button', { name: 'How it looks, and units' }).click()
    await page.getByText('More contrast').click()
    await page.keyboard.press('Escape')
    await expect(page.getByLabel('Theme')).toBeHidden()
    await clean(page, 'ladder, dark, more contrast')
    await page.getByRole('button', { name: 'How it looks, and units' }).click()
    await page.getByText('Open the tape while time runs').click()
    await page.keyboard.press('Escape')
    const tape = page.getByRole('img', { name: /^Tape/ })
    const strip = (await tape.boundingBox())!.height
    await page.getByRole('button', { name: 'Run', exact: true }).click()
    await expect.poll(async () => (await tape.boundingBox())!.height).toBeGreaterThan(2 * strip)
    await page.getByRole('button', { name: 'Pause', exact: true }).click()
    await expect.poll(async () => (await tape.boundingBox())!.height).toBe(strip)
})

test('bench and meter in Spanish: longer words push nothing away, and the choice stays on this device', async ({
    page,
}) => {
    await signIn(page, 'wendell')
    await page.getByRole('button', { name: 'How it looks, and units' }).click()
    await page.getByLabel('Words', { exact: true }).selectOption('es')
    await expect(page.getByRole('link', { name: 'Mis trabajos' })).toBeVisible()
    await page
        .getByText("Bookbinder's workshop")
        .locator('xpath=ancestor::div[2]')
        .getByRole('button', { name: /Begin|Continue/ })
        .click()
    await expect(page.getByRole('button', { name: 'Marcha' })).toBeVisible()
    await page.getByRole('tab', { name: 'Sospechosos' }).click()
    await expect(page.getByLabel('Buscar un sospechoso')).toBeVisible()
    await fits(page, 'bench in Spanish')
    await page.getByRole('tab', { name: 'Sospechosos' }).click() // laid aside
    await expect(page.getByLabel('Buscar un sospechoso')).toBeHidden()
    await page.locator('[data-part="breaker"]').click()
    await press(page, 'Mirarlo')
    await page.getByRole('tab', { name: 'Registro' }).click()
    await expect(page.getByText(/^Mirado/).first()).toBeVisible() // what the server says, too
    await page.getByRole('button', { name: 'Aspecto y unidades' }).click()
    await page.getByLabel('Idioma', { exact: true }).selectOption('en-US')
    await expect(page.getByRole('button', { name: 'Run', exact: true })).toBeVisible()
})

test("the instructor's pages, dark and with more contrast: nothing serious in the way", async ({ page }) => {
    await signIn(page, 'ines')
    await page.getByRole('button', { name: 'How it looks, and units' }).click()
    await page.getByLabel('Theme').selectOption('dark')
    await page.getByText('More contrast').click()
    await page.keyboard.press('Escape')
    await expect(page.locator('html')).toHaveClass(/dark/)
    for (const [where, path] of [
        ['shop', '/'],
        ['rules', '/rules'],
        ['models', '/models'],
    ] as const) {
        await page.goto(path)
        await clean(page, `${where}, dark, more contrast`)
    }
    await page.getByRole('link', { name: /80 % furnace, hot/ }).click()
    await expect(page.getByRole('heading', { name: 'Give it as a job' })).toBeVisible()
    await clean(page, 'model, dark, more contrast')
    await page.goto('/')
    await page.getByRole('link', { name: /Bookbinder/ }).click()
    await page
        .getByRole('row', { name: /Brannoc/ })
        .getByRole('link', { name: 'Debrief' })
        .click()
    await expect(page.getByTestId('total')).toBeVisible()
    await clean(page, 'debrief, dark, more contrast')
})
