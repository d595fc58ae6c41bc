import { expect, test } from '@playwright/test'
import { alongTabs, find, reach, signInByKeys } from './keys'
import { clean, signIn, wholeBoard } from './people'
import { shown, Hand, blurred } from './hand'

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
