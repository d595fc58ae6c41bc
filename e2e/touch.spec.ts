import { expect, test, type Page } from '@playwright/test'
import { signIn } from './people'

/** A 10-inch tablet held across: fingers only, no hovering. */
test.use({ viewport: { width: 1080, height: 810 }, hasTouch: true })

async function tap(page: Page, selector: string) {
    const reply = page.waitForResponse((r) => /\/(acts|next|play)$/.test(r.url()))
    await page.locator(selector).first().tap()
    await reply
}

async function tapButton(page: Page, name: string | RegExp) {
    const reply = page.waitForResponse((r) => /\/(acts|next|play)$/.test(r.url()))
    await page.getByRole('button', { name, exact: typeof name === 'string' }).first().tap()
    await reply
}

test('the warm-up, by touch on a tablet: every step tried, nothing marked, and begun anew', async ({ page }) => {
    await signIn(page, 'priya')
    await page.getByRole('button', { name: /Warm-up/ }).tap()
    await expect(page.getByText('0 of 12 tried.')).toBeVisible()
    const place = (p: string) => tap(page, `[data-place="${p}"]`)
    const hand = (lead: 'Red' | 'Black') => page.getByLabel('Meter', { exact: true }).getByRole('button', { name: lead }).tap()

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
    await tapButton(page, 'Note it now')
    await page.getByRole('button', { name: 'Ladder', exact: true }).tap()
    await hand('Red')
    await tap(page, '[data-rung-place="relay.A"]')
    await hand('Black')
    await tap(page, '[data-rung-place="relay.B"]')
    await page.getByRole('button', { name: 'Ladder', exact: true }).tap()
    await expect(page.getByText('8 of 12 tried.')).toBeVisible()

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
    await tapButton(page, 'Leads off')
    await tapButton(page, 'on')
    await expect(page.getByText('All tried.')).toBeVisible()

    page.once('dialog', (d) => void d.accept())
    await page.getByRole('button', { name: 'Hand back' }).tap()
    await expect(page.getByRole('heading', { name: 'My jobs' })).toBeVisible()
    await page.getByRole('button', { name: /Warm-up/ }).tap()
    await expect(page.getByText('0 of 12 tried.')).toBeVisible()
})
