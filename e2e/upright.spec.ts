import { expect, test, type Page } from '@playwright/test'
import { answered, clean, drawn, fits, onUntil, press, reads, signIn } from './people'

const SCREENS = {
    'a phone': { viewport: { width: 390, height: 844 }, who: 'brannoc' },
    'an upright tablet': { viewport: { width: 820, height: 1180 }, who: 'marek' },
}

/** Brings a part or a terminal into view by its name, as one does where not all of the board has room. */
async function find(page: Page, name: string) {
    const field = page.getByLabel('Find a part or a terminal')
    await field.fill(name)
    await field.press('Enter')
    await expect(field).toHaveValue('')
}

async function place(page: Page, name: string, at: string) {
    await find(page, name)
    await answered(page, () => page.locator(`[data-place="${at}"]`).tap())
}

/** The paper of a tab lies open, as it may do from the beginning: pressed then, it is laid aside. */
async function lay(page: Page, name: string) {
    const tab = page.getByRole('tab', { name })
    await expect(tab).toBeVisible()
    await drawn(page)
    if ((await tab.getAttribute('aria-selected')) !== 'true') await tab.tap()
    await expect(tab).toHaveAttribute('aria-selected', 'true')
}

for (const [name, { viewport, who }] of Object.entries(SCREENS)) {
    test.describe(`on ${name}`, () => {
        test.use({ viewport, hasTouch: true })

        test(`a whole job by touch on ${name}: call sheet, readings, name, repair, hand back`, async ({ page }) => {
            await signIn(page, who)
            await page
                .getByText('Seed library: went cold at noon')
                .locator('xpath=ancestor::div[2]')
                .getByRole('button', { name: /Begin|Continue/ })
                .tap()
            const sheet = page.locator('[data-sheet]')
            await lay(page, 'Call')
            await expect(page.getByText('No heat since noon.')).toBeVisible()
            await fits(page, 'call sheet')
            await page.getByRole('button', { name: 'Close', exact: true }).tap()
            await expect(sheet).toBeHidden()
            await fits(page, 'board')

            const board = (await page.getByRole('group', { name: 'Board of the appliance' }).boundingBox())!
            expect((board.width * board.height) / (viewport.width * viewport.height)).toBeGreaterThan(0.5)

            // hands beside the picked part
            await find(page, 'Thermostat')
            await page.locator('[data-part="thermostat"]').tap()
            await press(page, 'Look at Thermostat')
            await fits(page, 'hands beside a part')
            for (const [label, part] of [
                ['Breaker 15 A', 'breaker'],
                ['Gas cock', 'cock'],
            ] as const) {
                await find(page, label)
                await page.locator(`[data-part="${part}"]`).tap()
                await press(page, `Look at ${label}`)
            }
            if ((await page.getByRole('button', { name: 'Door off' }).count()) > 0) await press(page, 'Door off')
            if ((await page.getByRole('button', { name: 'Hold door switch' }).count()) > 0)
                await press(page, 'Hold door switch')
            await place(page, 'Igniter 1', 'igniter.1')
            await place(page, 'Igniter 2', 'igniter.2')
            await onUntil(page, () => reads(page, /^1[12]\d\.\d V AC$/))
            await press(page, 'Log reading')
            await press(page, 'Bad')
            await fits(page, 'meter bar')
            await clean(page, name)

            await press(page, 'Release door switch')
            await find(page, 'Service switch')
            await page.locator('[data-part="service"]').tap()
            await press(page, /^Service switch, .*: off$/)
            await page.getByRole('tab', { name: 'Suspects' }).tap()
            await page.getByLabel('Find a suspect').fill('igniter crack')
            await fits(page, 'suspects')
            await press(page, 'Name Igniter: cracked, open')
            await page.getByRole('button', { name: 'Close', exact: true }).tap()

            await find(page, 'Igniter')
            await page.locator('[data-part="igniter"]').tap()
            await page.getByRole('tab', { name: 'Part' }).tap()
            await page.getByText('Mend it…').tap()
            await press(page, 'Replace')
            await page.getByRole('tab', { name: 'Meter' }).tap()
            await press(page, 'Remove leads')
            await page.getByRole('button', { name: 'Close', exact: true }).tap()
            await press(page, 'Door on')
            await find(page, 'Service switch')
            await page.locator('[data-part="service"]').tap()
            await press(page, /^Service switch, .*: on$/)
            await onUntil(page, () =>
                page
                    .getByText(/blower runs/)
                    .first()
                    .isVisible(),
            )
            page.once('dialog', (d) => void d.accept())
            await page.getByRole('button', { name: 'Close the call' }).tap()
            await expect(page.getByText('It was:')).toBeVisible()
            await expect(page.getByText(/^Passed/)).toBeVisible()
        })
    })
}

test.describe('a line of the suspects', () => {
    test.use({ viewport: SCREENS['a phone'].viewport, hasTouch: true })

    test('is struck by drawing it to the left, starred to the right, and its part grows faint', async ({ page }) => {
        await signIn(page, 'priya')
        await page
            .getByText("Bookbinder's workshop")
            .locator('xpath=ancestor::div[2]')
            .getByRole('button', { name: /Begin|Continue/ })
            .tap()
        const list = page.getByRole('list', { name: 'Suspects' })
        await lay(page, 'Suspects')
        await page.getByLabel('Find a suspect').fill('filter')
        const line = (title: string) =>
            list.getByRole('listitem').filter({ has: page.getByRole('button', { name: `Star ${title}`, exact: true }) })
        const titles = (
            await list
                .getByRole('button', { name: /^Star Filter: / })
                .evaluateAll((all) => all.map((b) => b.ariaLabel!))
        ).map((label) => label.slice('Star '.length))
        expect(titles.length).toBeGreaterThan(0)
        const touch = await page.context().newCDPSession(page)
        const swipe = async (title: string, by: number) => {
            const box = (await line(title).boundingBox())!
            const at = (x: number) => [{ x: box.x + box.width / 2 + x, y: box.y + 16 }]
            await answered(page, async () => {
                await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: at(0) })
                for (const share of [0.2, 0.4, 0.6, 0.8, 1])
                    await touch.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: at(by * share) })
                await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
            })
        }
        const pressed = (title: string, name: RegExp) =>
            expect(line(title).getByRole('button', { name })).toHaveAttribute('aria-pressed', 'true')
        await swipe(titles[0]!, 110)
        await pressed(titles[0]!, /^Star/)
        const part = page.locator('[data-box="filter"]')
        const before = await part.getAttribute('opacity')
        for (const title of titles) {
            await swipe(title, -110)
            await pressed(title, /^Rule out/)
        }
        expect(Number(await part.getAttribute('opacity'))).toBeLessThan(Number(before))
    })
})
