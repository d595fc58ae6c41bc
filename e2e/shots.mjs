// Takes the pictures of docs/screenshots from the running application with its demo data.
// With names as arguments, only those.
import { chromium } from '@playwright/test'
import { launch } from './browser.mjs'

const base = process.env.SPARK_URL ?? 'http://127.0.0.1:8717'
const folder = process.env.SHOTS ?? 'docs/screenshots'
const only = process.argv.slice(2)
const browser = await chromium.launch(launch)

async function as(mailbox, look, device = { viewport: { width: 1280, height: 800 } }) {
    const shown = [...String(look).matchAll(/shot\('([a-z-]+)'\)/g)].map(([, name]) => name)
    if (only.length && !shown.some((name) => only.includes(name))) return
    const context = await browser.newContext(device)
    const page = await context.newPage()
    page.on('pageerror', (e) => console.error('page error', e.message))
    page.on('console', (m) => m.type() === 'error' && console.error('console', m.text()))
    await page.goto(`${base}/login`)
    await page.getByLabel('Mail address').fill(`${mailbox}@demo.example`)
    await page.getByLabel('Password').fill('copper-lamp')
    await page.getByRole('button', { name: 'Sign in' }).click()
    await page.waitForURL(`${base}/`)
    const shot = async (name) => {
        if (only.length && !only.includes(name)) return
        await page.evaluate(() => document.fonts.ready)
        await page.waitForTimeout(400)
        await page.screenshot({ path: `${folder}/${name}.png` })
        console.log(name)
    }
    await look(page, shot)
    await context.close()
}

await as('ines', async (page, shot) => {
    await shot('shop')
    await page.goto(`${base}/models`)
    await page.getByRole('link', { name: /80 % furnace, hot/ }).click()
    await page.getByRole('heading', { name: 'Give it as a job' }).waitFor()
    await page.getByRole('button', { name: 'Faults', exact: true }).click()
    const find = page.getByRole('button', { name: 'Find what tells them apart' })
    const tree = page.getByLabel('Tree of questions', { exact: true })
    await find.or(tree).first().waitFor()
    if (await find.isVisible()) await find.click() // on a site where nobody has asked yet
    await tree.waitFor({ timeout: 120_000 })
    await page.getByRole('button', { name: /Igniter: cracked/ }).click()
    await page.getByRole('img', { name: /Tape with the fault/ }).waitFor()
    await page.getByRole('button', { name: 'Board', exact: true }).click()
    await page.getByRole('button', { name: /Capacitor: weak \(3.5/ }).click()
    await page.getByRole('img', { name: /Tape with the fault/ }).waitFor()
    await page.getByLabel('Title').fill('Pottery kiln shed: quits after some minutes')
    await shot('model-fault')
    await page.getByRole('link', { name: 'Lab book' }).click()
    await page.getByText('▲ the model: 58.0 Ω').waitFor({ timeout: 60_000 })
    await page.getByLabel('Unit to fit to').selectOption('bay 2')
    await page.getByRole('button', { name: 'Fit', exact: true }).click()
    await page.getByText('readings agreed').waitFor({ timeout: 60_000 })
    await page.getByText('microamps').first().scrollIntoViewIfNeeded()
    await shot('lab')
    await page.goto(`${base}/drafts`)
    await page.getByRole('link', { name: /Letterpress/ }).click()
    await page.getByText('switch in the wrong leg').waitFor()
    await page.locator('[data-part="fan-limit"]').click()
    await shot('builder')
    await page.getByRole('tab', { name: 'Run', exact: true }).click()
    await page.getByLabel('Moment, seconds after the arrival').fill('2')
    await page.getByLabel('What to ask about').fill('blower')
    await page
        .getByLabel('What can be asked about')
        .getByRole('button', { name: /Blower/ })
        .click()
    await page.getByLabel('Why', { exact: true }).waitFor()
    await page.getByRole('button', { name: 'Test every safety' }).click()
    await page.getByLabel('Safeties').waitFor()
    await page.locator('[data-place="valve.TH"]').click()
    await shot('builder-run')
    await page.goto(`${base}/`)
    await page.getByRole('link', { name: /Bookbinder/ }).click()
    await page.getByRole('heading', { name: /Bookbinder/ }).waitFor()
    await shot('job')
    await page.goto(`${base}/`)
    await page.getByRole('link', { name: 'record' }).first().click()
    await page.getByRole('button', { name: 'Competencies' }).click()
    await shot('gradebook')
    await page.goto(`${base}/rules`)
    await page.getByLabel('Pass mark, of 100').waitFor()
    await shot('house-rules')
})

await as('wendell', async (page, shot) => {
    await shot('my-jobs')
    const job = page.getByText(/Seed library/).locator('xpath=ancestor::div[2]')
    await job.getByRole('button', { name: /Begin|Continue/ }).click()
    await page.getByRole('button', { name: 'Run' }).waitFor()
    const pick = (place) => page.locator(`[data-place="${place}"]`).click()
    await page.locator('[data-part="cock"]').click()
    await page.getByRole('button', { name: 'Look at it' }).click()
    await page.getByRole('button', { name: 'Door off' }).click()
    await page.getByRole('button', { name: 'Hold door switch' }).click()
    await page.locator('[data-part="igniter"]').click()
    await page.getByRole('button', { name: 'Look at it' }).click()
    await pick('igniter.1')
    await pick('igniter.2')
    await page.getByRole('button', { name: 'Run' }).click()
    await page.getByText(/^1[12]\d\.\d V AC$/).waitFor() // the igniter is fed
    await page.waitForTimeout(4000)
    await page.getByRole('button', { name: 'Pause' }).click()
    await page.getByRole('button', { name: 'Log reading' }).click()
    await shot('bench')
    await page.getByRole('button', { name: 'Raise hand' }).click()
    await page.goto(base)
    const sheet = page.getByText(/say it before you read it/).locator('xpath=ancestor::div[2]')
    await sheet.getByRole('button', { name: /Begin|Continue/ }).click()
    for (const [i, figure] of ['120', '24', '0'].entries()) {
        const field = page.getByRole('textbox', { name: /What the meter will show/ }).first()
        await field.fill(figure)
        await field.press('Enter')
        await page.getByText('You said').nth(i).waitFor()
    }
    await shot('predict')
    await page.goto(base)
    const wiring = page.getByText(/wire the boiler/).locator('xpath=ancestor::div[2]')
    await wiring.getByRole('button', { name: /Begin|Continue/ }).click()
    await page.getByRole('button', { name: 'Door off' }).click()
    await page.getByRole('tab', { name: 'Wiring' }).click()
    await page.getByRole('button', { name: /^The whole appliance/ }).click()
    for (const [colour, from, to] of [
        ['red', 'transformer.X1', 'module.24V'],
        ['blue', 'transformer.X2', 'module.COM'],
        ['brown', 'module.PV', 'valve.PV'],
        ['violet', 'module.MV', 'valve.MV'],
    ]) {
        await page.getByLabel('Color of the wire').selectOption(colour)
        await pick(from)
        await pick(to)
        await page.getByText(/^Wires you ran/).waitFor()
    }
    await shot('wiring')
})

await as('wendell', async (page, shot) => {
    const order = page.getByText(/what comes after what/).locator('xpath=ancestor::div[2]')
    await order.getByRole('button', { name: /Begin|Continue/ }).click()
    await page
        .getByRole('button', { name: /This is the record/ })
        .first()
        .click()
    await page.getByRole('group', { name: 'Chart of one call' }).waitFor()
    await shot('sequence')
    await page.goto(base)
    const commission = page.getByText(/Paper mill archive/).locator('xpath=ancestor::div[2]')
    await commission.getByRole('button', { name: /Begin|Continue/ }).click()
    await page.getByRole('button', { name: 'Door off' }).click()
    await page.getByRole('tab', { name: 'Sheet' }).click()
    const manifold = 'Manifold, outlet tap of the gas valve'
    await page.getByLabel(`${manifold}, in in. w.c.`).fill('4.6')
    await page.getByRole('button', { name: `${manifold}: Out` }).click()
    await page.waitForTimeout(500)
    await shot('commissioning')
    await page.goto(`${base}/reference`)
    await page.getByRole('heading', { name: 'Reference' }).first().waitFor()
    await shot('reference')
})

// a phone held upright
await as(
    'marek',
    async (page, shot) => {
        if (only.length && !only.includes('bench-phone')) return
        await page
            .getByText('Seed library: went cold at noon')
            .locator('xpath=ancestor::div[2]')
            .getByRole('button', { name: /Begin|Continue/ })
            .tap()
        const close = page.getByRole('button', { name: 'Close', exact: true })
        await page.getByRole('button', { name: 'Run' }).waitFor()
        await close.tap({ timeout: 5000 }).catch(() => null) // the call sheet lies open on a first visit
        for (const name of ['Door off', 'Hold door switch'])
            if (await page.getByRole('button', { name }).count()) await page.getByRole('button', { name }).tap()
        const find = async (name) => {
            await page.getByLabel('Find a part or a terminal').fill(name)
            await page.getByLabel('Find a part or a terminal').press('Enter')
        }
        for (const terminal of ['R', 'C']) {
            await find(`Furnace control ${terminal}`)
            await page.locator(`[data-place="board.${terminal}"]`).tap()
        }
        await page.getByTestId('display').getByText(/V AC/).waitFor()
        await page.locator('[data-part="board"]').tap()
        await shot('bench-phone')
    },
    { viewport: { width: 390, height: 844 }, hasTouch: true },
)

await as('brannoc', async (page, shot) => {
    await page.getByRole('link', { name: 'Debrief' }).first().click()
    await page.getByTestId('total').waitFor()
    await shot('debrief')
})
await as('ines', async (page, shot) => {
    if (only.length && !only.includes('wall')) return
    await page.getByRole('link', { name: 'wall' }).first().click()
    await page.getByText('hand up').first().waitFor()
    await page
        .getByText(/suspects$/)
        .first()
        .waitFor()
    await page.waitForTimeout(12_000) // the suspects left are found beside the site
    await shot('wall')
})

await as('edda', async (page, shot) => {
    await page.getByRole('link', { name: 'School', exact: true }).click()
    await page.getByRole('heading', { name: 'Staff' }).waitFor()
    await shot('school')
})
await browser.close()
