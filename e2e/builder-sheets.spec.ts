import { expect, test } from '@playwright/test'
import { clean, signIn, wholeBoard } from './people'
import { Hand } from './hand'

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
