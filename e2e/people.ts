import AxeBuilder from '@axe-core/playwright'
import { expect, type Cookie, type Page } from '@playwright/test'

/** Sessions that were begun at the sign-in, by mailbox: who signed in once is known again, as on his own device. */
const sessions = new Map<string, Cookie[]>()

export async function signIn(page: Page, mailbox: string) {
    const known = sessions.get(mailbox)
    if (known) {
        await page.context().addCookies(known)
        await page.goto('/')
        if (!page.url().endsWith('/login')) return
    }
    await page.goto('/login')
    await page.getByLabel('Mail address').fill(`${mailbox}@demo.example`)
    await page.getByLabel('Password').fill('copper-lamp')
    await page.getByRole('button', { name: 'Sign in' }).click()
    await expect(page.getByRole('button', { name: 'Sign out' })).toBeVisible()
    sessions.set(mailbox, await page.context().cookies())
}

export async function openJob(page: Page, title: string) {
    const row = page.getByText(title).locator('xpath=ancestor::div[2]')
    await row.getByRole('button', { name: /Begin|Continue/ }).click()
    await seeAll(page)
}

/** The whole appliance in view, so that every part of it can be pressed. */
export async function seeAll(page: Page) {
    await expect(page.getByRole('button', { name: 'Run' })).toBeVisible()
    const all = page.getByRole('button', { name: /^The whole appliance/ })
    if ((await all.getAttribute('aria-pressed')) === 'false') await all.click()
    await expect(all).toHaveAttribute('aria-pressed', 'true')
}

/** All of a board that is being built in view, where it is shown and can be. */
export async function wholeBoard(page: Page) {
    await page.locator('[data-step]').waitFor()
    await drawn(page)
    const all = page.getByRole('button', { name: /^The whole appliance/ })
    if ((await all.count()) === 0 || (await all.getAttribute('aria-pressed')) === 'true') return
    await all.click()
    await expect(all).toHaveAttribute('aria-pressed', 'true')
}

/**
 * The page has drawn all that it was told: it has nothing left to do. Not when it is idle: a page that draws no frame
 * for a while is never said to be (seen in Chromium 156).
 */
export async function drawn(page: Page) {
    await page.evaluate(
        () =>
            new Promise<void>((done) => {
                requestAnimationFrame(() => void scheduler.postTask(() => done(), { priority: 'background' }))
            }),
    )
}

/** Does something at the bench, and waits until the page shows what was answered. */
export async function answered(page: Page, what: () => Promise<unknown>) {
    const reply = page.waitForResponse((r) => /\/(acts|next|play)$/.test(r.url()))
    await what()
    await (await reply).finished()
    await drawn(page)
}

/** Puts the lead in hand on a place of the board. */
export async function lead(page: Page, place: string) {
    await answered(page, () => page.locator(`[data-place="${place}"]`).click())
}

export async function press(page: Page, name: string | RegExp) {
    const button = page.getByRole('button', { name, exact: typeof name === 'string' }).first()
    await answered(page, () => button.click())
}

/** On from event to event until something shows: the sequence is waited for, not jumped to. */
export async function onUntil(page: Page, shows: () => Promise<boolean>) {
    for (let i = 0; i < 40; i++) {
        await press(page, 'Next event')
        if (await shows()) return
    }
    throw new Error('It has not come in 40 events.')
}

export async function reads(page: Page, figure: RegExp) {
    return figure.test((await page.getByTestId('display').textContent()) ?? '')
}

export async function look(page: Page, part: string) {
    await page.locator(`[data-part="${part}"]`).click()
    await press(page, 'Look at it')
}

/**
 * Nothing that axe calls serious stands on a view. Colours do not fade while it looks: what comes in the midst (a
 * button that may be pressed again) would be caught half-way. The content policy lets a page have a sheet of its own.
 */
export async function clean(page: Page, where: string) {
    await page.evaluate(() => {
        const still = new CSSStyleSheet()
        still.replaceSync('*, *::before, *::after { transition: none !important }')
        document.adoptedStyleSheets = [...document.adoptedStyleSheets, still]
        return Promise.allSettled(
            document
                .getAnimations()
                .filter((a) => a.effect?.getComputedTiming().endTime !== Infinity)
                .map((a) => a.finished),
        )
    })
    // in the page itself: nothing here has frames, and what it finds is not carried through another page
    const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] })
    const found = (await axe.analyze()).violations.filter((v) => v.impact === 'serious' || v.impact === 'critical')
    await page.evaluate(() => (document.adoptedStyleSheets = document.adoptedStyleSheets.slice(0, -1)))
    expect(
        found.map(
            (v) =>
                `${where}: ${v.id} ${v.nodes
                    .slice(0, 3)
                    .map((n) => n.target.join(' '))
                    .join(' | ')}`,
        ),
    ).toEqual([])
}

/** Nothing runs past the edge, and everything that can be pressed can be reached with a finger. */
export async function fits(page: Page, where: string) {
    const found = await page.evaluate(() => {
        const bad: string[] = []
        const root = document.documentElement
        if (root.scrollWidth > innerWidth) bad.push(`page is ${root.scrollWidth} px wide`)
        if (root.scrollHeight > innerHeight) bad.push(`page is ${root.scrollHeight} px high`)
        const sheet = document.querySelector('[data-sheet]')?.getBoundingClientRect()
        /** Within something that scrolls, and out of sight there. */
        const isScrolledOut = (button: HTMLElement, x: number, y: number) => {
            for (let el = button.parentElement; el; el = el.parentElement) {
                if (!/auto|scroll|hidden/.test(getComputedStyle(el).overflow)) continue
                const box = el.getBoundingClientRect()
                if (x < box.left || x > box.right || y < box.top || y > box.bottom) return true
            }
            return false
        }
        for (const button of document.querySelectorAll<HTMLElement>('button, [role=tab]')) {
            const box = button.getBoundingClientRect()
            const [x, y] = [box.left + box.width / 2, box.top + box.height / 2]
            const isScrolledAway = x < 0 || y < 0 || x > innerWidth || y > innerHeight
            const isUnderSheet = sheet && !button.closest('[data-sheet]') && y > sheet.top && y < sheet.bottom
            if (box.width === 0 || isScrolledAway || isUnderSheet || button.closest('details:not([open])')) continue
            const scrolls = isScrolledOut(button, x, y)
            const top = document.elementFromPoint(x, y)
            if (!scrolls && top !== button && !button.contains(top))
                bad.push(`"${button.textContent}" lies under another`)
        }
        return bad
    })
    expect(found, where).toEqual([])
}
