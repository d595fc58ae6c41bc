import { expect, type Locator, type Page, type Response } from '@playwright/test'
import { wholeBoard } from './people'

/** Waits until the page shows what was answered: the step that an edit led to. */
export async function shown(page: Page, reply: Response) {
    const text = await reply.text().catch(() => '')
    expect(reply.status(), text).toBeLessThan(400)
    const step = /^\{(?:"whole":true,)?"step":(\d+)/.exec(text)?.[1]
    if (step !== undefined) await expect(page.locator(`[data-step="${step}"]`)).toHaveCount(1)
}

/** What is done counts: every press, choice and line typed is one. */
export class Hand {
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
export const parts = (page: Page) =>
    page.locator('rect[data-part]').evaluateAll((all) => all.map((el) => el.getAttribute('data-part')!))

/** Out of whatever field has the keys. */
export async function blurred(page: Page) {
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
}
