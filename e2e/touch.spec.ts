import { expect, test, type Page } from '@playwright/test'
import { answered, clean, signIn, seeAll } from './people'

/** A 10-inch tablet held across: fingers only, no hovering. */
test.use({ viewport: { width: 1080, height: 810 }, hasTouch: true })

async function tap(page: Page, selector: string) {
    await answered(page, () => page.locator(selector).first().tap())
}

async function tapButton(page: Page, name: string | RegExp) {
    const button = page.getByRole('button', { name, exact: typeof name === 'string' }).first()
    await answered(page, () => button.tap())
}

test('the warm-up, by touch on a tablet: every step tried, nothing marked, and begun anew', async ({ page }) => {
    await signIn(page, 'priya')
    await page.getByRole('button', { name: /Warm-up/ }).tap()
    await seeAll(page)
    await expect(page.getByText('0 of 12 tried.')).toBeVisible()
    const place = (p: string) => tap(page, `[data-place="${p}"]`)
    const hand = (lead: 'Red' | 'Black') =>
        page.getByLabel('Meter', { exact: true }).getByRole('button', { name: lead }).tap()

    // two fingers apart make the board larger, where they are, and press nothing
    const board = page.getByRole('group', { name: 'Board of the appliance' })
    const width = async () => Number((await board.getAttribute('viewBox'))!.split(' ')[2])
    const whole = await width()
    const touch = await page.context().newCDPSession(page)
    const at = (await page.locator('[data-part="transformer"]').boundingBox())!
    const fingers = (apart: number) =>
        [-1, 1].map((side, id) => ({ x: at.x + at.width / 2 + side * apart, y: at.y + at.height / 2, id }))
    await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: fingers(20) })
    for (const apart of [26, 32, 36, 40])
        await touch.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: fingers(apart) })
    await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
    await expect.poll(async () => whole / (await width())).toBeCloseTo(2, 1)
    await expect(page.getByRole('tab', { name: 'Log (0)' })).toBeVisible()
    await page.getByRole('button', { name: 'Zoom out' }).tap()
    await page.getByRole('button', { name: 'Zoom out' }).tap()
    expect(await width()).toBeCloseTo(whole, 3)

    await page.locator('[data-part="fuse"]').tap()
    await tapButton(page, 'Look at it')
    await place('transformer.H1')
    await place('transformer.H2')
    await expect(page.getByTestId('display')).toHaveText(/^1[12]\d\.\d V AC/)
    await hand('Red')
    await place('transformer.X1')
    await hand('Black')
    await place('transformer.X2')
    await expect(page.getByTestId('display')).toHaveText(/^2\d\.\d+ V AC/)
    await hand('Red')
    await place('toggle.line')
    await hand('Black')
    await place('toggle.load')
    await tapButton(page, 'Good')
    await expect(page.getByText('5 of 12 tried.')).toBeVisible()

    await tapButton(page, 'on')
    await page.getByRole('button', { name: 'Run', exact: true }).tap()
    await expect(page.getByTestId('clock')).toHaveText('0:02') // a meter takes a moment to come down
    await expect(page.getByTestId('display')).toHaveText(/^0\.0\d+ V AC/)
    await page.getByRole('button', { name: 'Pause' }).tap()
    await tapButton(page, 'Log reading')
    await page.getByRole('button', { name: 'Ladder', exact: true }).tap()
    await hand('Red')
    await tap(page, '[data-rung-place="relay.A"]')
    await hand('Black')
    await tap(page, '[data-rung-place="relay.B"]')
    await page.getByRole('button', { name: 'Ladder', exact: true }).tap()
    await expect(page.getByText('8 of 12 tried.')).toBeVisible()
    await clean(page, 'warm-up on a tablet')

    await hand('Red')
    await place('inducer.L')
    await tapButton(page, /^Clamp round the/)
    await page.locator('[data-part="service"]').tap()
    await tapButton(page, 'off')
    await tapButton(page, 'Ohms')
    await hand('Black')
    await place('inducer.N')
    await expect(page.getByTestId('display')).toHaveText(/Ω/)
    await expect(page.getByText('11 of 12 tried.')).toBeVisible()
    await page.locator('[data-part="service"]').tap()
    await tapButton(page, 'Remove leads')
    await tapButton(page, 'on')
    await expect(page.getByText('All tried.')).toBeVisible()

    page.once('dialog', (d) => void d.accept())
    await page.getByRole('button', { name: 'Close the call' }).tap()
    await expect(page.getByRole('heading', { name: 'My jobs' })).toBeVisible()
    await page.getByRole('button', { name: /Warm-up/ }).tap()
    await seeAll(page)
    await expect(page.getByText('0 of 12 tried.')).toBeVisible()
})

test('a job from call sheet to hand-back, by touch on a tablet: the valve of a hot-water and heating system', async ({
    page,
}) => {
    await signIn(page, 'marek')
    await page
        .getByText('Crew house: radiators only along with the bath')
        .locator('xpath=ancestor::div[2]')
        .getByRole('button', { name: 'Begin' })
        .tap()
    await seeAll(page)
    await expect(page.getByText('The radiators get a little warm')).toBeVisible()
    const look = async (part: string) => {
        await page.locator(`[data-part="${part}"]`).tap()
        await tapButton(page, 'Look at it')
    }
    for (const part of ['programmer', 'stat', 'boiler.spur', 'boiler.cock']) await look(part)
    await tapButton(page, 'Door off')
    await tap(page, '[data-place="three-port.WH"]')
    await tap(page, '[data-place="three-port.BU"]')
    await expect(page.getByTestId('display')).toHaveText(/^2[234]\d\.\d V AC/)
    await tapButton(page, 'Good')
    await tap(page, '[data-place="three-port.OG"]')
    await look('three-port')
    await clean(page, 'bench on a tablet')
    await page.getByRole('tab', { name: 'Suspects' }).tap()
    await page.getByLabel('Find a suspect').fill('mid-position motor')
    await tapButton(page, 'Name Mid-position valve: motor dead')

    await page.locator('[data-part="boiler.spur"]').tap()
    await tapButton(page, 'off')
    await page.locator('[data-part="three-port"]').tap()
    await page.getByText('Mend it…').tap()
    await tapButton(page, 'Replace')
    await tapButton(page, 'Remove leads')
    await page.locator('[data-part="boiler.spur"]').tap()
    await tapButton(page, 'on')
    await tapButton(page, 'Door on')
    for (let i = 0; i < 4; i++) await tapButton(page, 'Next event')
    page.once('dialog', (d) => void d.accept())
    await page.getByRole('button', { name: 'Close the call' }).tap()
    await expect(page.getByText('It was:')).toBeVisible()
    await expect(page.getByText('Mid-position valve: motor dead').first()).toBeVisible()
    await expect(page.getByText(/^Passed/)).toBeVisible()
})
