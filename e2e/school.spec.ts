import { createHmac } from 'node:crypto'
import { expect, test, type Page } from '@playwright/test'
import { clean, lead, look, signIn } from './people'

const PASSWORD = 'seven grey herons'

/** The code that an authenticator shows for a key (RFC 6238), some steps of 30 s from now. */
function authenticator(key: string, steps = 0): string {
    const bits = [...key.replace(/\s/g, '')]
        .map((c) => 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(c).toString(2).padStart(5, '0'))
        .join('')
    const bytes = Buffer.from(bits.match(/.{8}/g)!.map((b) => parseInt(b, 2)))
    const step = Buffer.alloc(8)
    step.writeBigUInt64BE(BigInt(Math.floor(Date.now() / 30_000) + steps))
    const hash = createHmac('sha1', bytes).update(step).digest()
    const at = hash[19]! & 15
    return String((hash.readUInt32BE(at) & 0x7fffffff) % 1_000_000).padStart(6, '0')
}

async function comeIn(page: Page, link: string) {
    await page.goto(link)
    await page.getByLabel('Password').fill(PASSWORD)
    await page.getByRole('button', { name: 'Keep it and go on' }).click()
    await expect(page.getByRole('button', { name: 'Sign out' })).toBeVisible()
}

test('staff by a link, a second factor set up and asked for, a code on paper, and what is grave asks for the password', async ({
    page,
    browser,
}) => {
    await signIn(page, 'edda')
    await page.getByRole('link', { name: 'School', exact: true }).click()
    await page.getByRole('button', { name: 'Add somebody' }).click()
    await page.getByLabel('Name', { exact: true }).fill('Rowan Teal')
    await page.getByLabel('Mail address', { exact: true }).fill('rowan@school.example')
    await page.getByLabel('What the person is').selectOption('instructor')
    await page.getByRole('button', { name: 'Add', exact: true }).click()
    const link = (await page.locator('[data-link="Rowan Teal"]').textContent())!
    await expect(page.getByRole('row', { name: /^Rowan Teal/ })).toBeVisible()
    await page.getByRole('button', { name: 'Handed out' }).click()
    await page.getByRole('button', { name: /^Show the last/ }).click()
    await expect(page.getByLabel('Entries')).toContainText('add person')
    await clean(page, 'school')

    const rowan = await (await browser.newContext()).newPage()
    await comeIn(rowan, link)
    await rowan.getByRole('link', { name: 'Account of Rowan Teal' }).click()
    await rowan.getByRole('button', { name: 'Set it up' }).click()
    const key = (await rowan.getByTestId('factor-key').textContent())!
    await rowan.getByLabel('Code').fill('000000')
    await rowan.getByRole('button', { name: 'Turn it on' }).click()
    await expect(rowan.getByText('That is not its code now.')).toBeVisible()
    await clean(rowan, 'second factor')
    await rowan.getByLabel('Code').fill(authenticator(key))
    await rowan.getByRole('button', { name: 'Turn it on' }).click()
    await expect(rowan.getByTestId('recovery-code')).toHaveCount(10)
    const paper = (await rowan.getByTestId('recovery-code').first().textContent())!
    await rowan.getByRole('button', { name: 'Sign out', exact: true }).click()

    const enter = async () => {
        await rowan.getByLabel('Mail address').fill('rowan@school.example')
        await rowan.getByLabel('Password').fill(PASSWORD)
        await rowan.getByRole('button', { name: 'Sign in' }).click()
        await expect(rowan.getByRole('heading', { name: 'Second factor' })).toBeVisible()
    }
    await enter()
    await clean(rowan, 'second factor asked')
    await rowan.getByLabel('Code').fill(authenticator(key, 1)) // the one before was used
    await rowan.getByRole('button', { name: 'Sign in' }).click()
    await expect(rowan.getByRole('heading', { name: 'Shop' })).toBeVisible()
    await rowan.getByRole('button', { name: 'Sign out' }).click()
    await enter()
    await rowan.getByLabel('Code').fill(paper)
    await rowan.getByRole('button', { name: 'Sign in' }).click()
    await expect(rowan.getByRole('heading', { name: 'Shop' })).toBeVisible()

    // what was just signed in needs no password; a page that was left open does
    await rowan.clock.install()
    await rowan.reload()
    await rowan.getByRole('link', { name: 'Account of Rowan Teal' }).click()
    await expect(rowan.getByText(/Backup codes left: 9/)).toBeVisible()
    await rowan.clock.fastForward('20:00')
    await rowan.getByRole('button', { name: 'Turn it off' }).click()
    const again = rowan.getByRole('dialog', { name: 'Your password again' })
    await again.getByLabel('Password now').fill('not this one')
    await again.getByRole('button', { name: 'Go on' }).click()
    await expect(again.getByText('That is not your password now.')).toBeVisible()
    await again.getByLabel('Password now').fill(PASSWORD)
    await again.getByRole('button', { name: 'Go on' }).click()
    await expect(rowan.getByText('Adds a code from your phone to your password')).toBeVisible()
})

test('a class at work: on the wall at once, a hand, words, a look over the shoulder, all stopped, ended', async ({
    page,
    browser,
}) => {
    await signIn(page, 'edda')
    await page.getByRole('link', { name: 'People', exact: true }).click()
    await page.getByLabel('Name of a new class').fill('Saturday class')
    await page.getByRole('button', { name: 'New class' }).click()
    await page.getByRole('button', { name: 'Add people from a list' }).click()
    await page.getByLabel('List of people').fill('Aspen\nBirch\n')
    await page.getByRole('button', { name: 'Look it over' }).click()
    await page.getByRole('button', { name: 'Add 2 people' }).click()
    await expect(page.locator('[data-link]')).toHaveCount(2)
    const links = await page.locator('[data-link]').allTextContents()
    await page.getByRole('button', { name: 'Handed out' }).click()
    await page.getByLabel('A colleague').selectOption({ label: 'Anselm Pike' })
    await page.getByRole('button', { name: 'marks here' }).click()
    await expect(page.getByText('Anselm Pike marks here.')).toBeVisible()

    await page.goto('/models')
    await page.getByRole('link', { name: /80 % furnace, hot/ }).click()
    await page.getByLabel('Find a fault').fill('igniter crack')
    await page.getByRole('button', { name: 'Igniter: cracked, open' }).click()
    await page.getByLabel('Title').fill('Rope works: cold since six')
    await page.getByRole('button', { name: 'Give the job' }).click()
    await expect(page.getByRole('heading', { name: 'Rope works: cold since six', exact: true })).toBeVisible()
    await page.getByRole('link', { name: 'Shop', exact: true }).click()
    await page.getByRole('link', { name: 'wall' }).click()
    await expect(page.getByText('Nobody in this class is working right now.')).toBeVisible()

    const aspen = await (await browser.newContext()).newPage()
    await comeIn(aspen, links[0]!)
    await aspen.getByRole('button', { name: 'Begin: Rope works' }).click()
    await expect(aspen.getByRole('button', { name: 'Run' })).toBeVisible()
    const card = page.getByRole('article', { name: 'Aspen' })
    await expect(card).toBeVisible()
    await aspen.getByRole('button', { name: 'Raise hand' }).click()
    await expect(card.getByText('hand up')).toBeVisible()
    await look(aspen, 'thermostat')
    await expect(card.getByTestId('last')).toContainText('hermostat')
    await expect(card.getByText(/suspects$/)).toBeVisible()
    await clean(page, 'wall')

    await card.getByRole('button', { name: 'Talk' }).click()
    await card.getByLabel('Say to Aspen').fill('The lamp on the board first.')
    await card.getByRole('button', { name: 'Say it' }).click()
    await expect(aspen.getByText('The lamp on the board first.')).toBeVisible()
    await clean(aspen, 'spoken to')
    await aspen.getByRole('button', { name: 'Read', exact: true }).click()

    await page.getByRole('button', { name: 'Stop all benches' }).click()
    await expect(aspen.getByText('Your instructor has stopped all benches.')).toBeVisible()
    await page.getByRole('button', { name: 'Resume all' }).click()
    await expect(aspen.getByText('Your instructor has stopped all benches.')).toBeHidden()

    // over the shoulder: as she works, and nothing can be done there
    await card.getByRole('link', { name: 'Look' }).click()
    await expect(page.getByText('The bench of Aspen; you only look.')).toBeVisible()
    await aspen.getByRole('button', { name: /^The whole appliance/ }).click()
    await lead(aspen, 'thermostat.R')
    await expect(page.getByText('Log (2)')).toBeVisible()
    await page.getByRole('link', { name: 'Back to the wall' }).click()

    page.once('dialog', (d) => void d.accept())
    await card.getByRole('button', { name: 'End the call of Aspen' }).click()
    await expect(aspen.getByText('It was:', { exact: true })).toBeVisible()
    await expect(card.getByText('call closed')).toBeVisible()

    // the assessor reads and marks there, and sets nothing
    const anselm = await (await browser.newContext()).newPage()
    await signIn(anselm, 'anselm')
    await anselm.getByRole('link', { name: 'Rope works: cold since six' }).click()
    await expect(anselm.getByRole('row', { name: /^Aspen closed/ })).toBeVisible()
    await expect(anselm.getByRole('button', { name: 'Change the time' })).toHaveCount(0)
    await clean(anselm, 'job as an assessor sees it')

    // the mark is contested, marked by a second one who sees nothing of the first, and both are kept
    await aspen.getByRole('button', { name: 'Contest this mark' }).click()
    await aspen.getByLabel('What should be marked otherwise, and why').fill('The call was ended before I had begun.')
    await aspen.getByRole('button', { name: 'Ask for a second marking' }).click()
    await expect(aspen.getByText('Waiting for a second marker.')).toBeVisible()
    await clean(aspen, 'contested')
    await anselm.getByRole('link', { name: 'Debrief' }).click()
    await expect(anselm.getByText('You are the second marker')).toBeVisible()
    await anselm.getByRole('button', { name: 'Finish my marking' }).click()
    await expect(anselm.getByText(/^First mark \d+\.\d, second mark \d+\.\d/)).toBeVisible()
    await aspen.reload()
    await expect(aspen.getByText(/^First mark/)).toBeVisible()
    const paper = aspen.waitForEvent('download')
    await aspen.getByRole('link', { name: 'Signed paper for the file' }).click()
    expect(await (await paper).path()).toBeTruthy()

    // the record: a sheet for each, and a workbook
    await page.goto('/')
    await page.getByRole('link', { name: 'record' }).first().click()
    const sheet = page.waitForEvent('download')
    await page.getByRole('link', { name: 'Record sheet of Aspen (PDF)' }).click()
    expect((await sheet).suggestedFilename()).toMatch(/^record-\d+\.pdf$/)
    const workbook = page.waitForEvent('download')
    await page.getByRole('link', { name: 'Spreadsheet' }).click()
    expect((await workbook).suggestedFilename()).toMatch(/\.xlsx$/)
    await clean(page, 'record of a class')
})
