import { expect, type Page } from '@playwright/test'
import { answered } from './people'

/** On with Tab until what has the focus goes by this name, as someone without a mouse does it. */
export async function reach(page: Page, name: string | RegExp) {
    const wanted = typeof name === 'string' ? name : name.source
    for (let i = 0; i < 400; i++) {
        const at = await page.evaluate(() => {
            const el = document.activeElement as HTMLElement | null
            if (!el || el === document.body) return ''
            const label =
                el.getAttribute('aria-label') ?? (el instanceof HTMLInputElement ? el.labels?.[0]?.textContent : null)
            return (label ?? el.textContent ?? '').trim()
        })
        if (typeof name === 'string' ? at === name : name.test(at)) return
        await page.keyboard.press('Tab')
    }
    throw new Error(`Tab never came to ${wanted}`)
}

/** On by some tabs with the arrow: each has the focus before the next is gone to. */
export async function alongTabs(page: Page, count: number) {
    const tabs = page.getByRole('tab')
    await expect(page.locator('[role=tab]:focus')).toHaveCount(1)
    const first = await tabs.evaluateAll((all) => all.indexOf(document.activeElement as HTMLElement))
    for (let i = 1; i <= count; i++) {
        await page.keyboard.press('ArrowRight')
        await expect(tabs.nth(first + i)).toBeFocused()
        await expect(tabs.nth(first + i)).toHaveAttribute('aria-selected', 'true')
    }
}

/** Presses what is reached, and waits until the page shows what was answered. */
export async function strike(page: Page, name: string | RegExp) {
    await reach(page, name)
    await answered(page, () => page.keyboard.press('Enter'))
}

/** Goes to a part or a terminal by its name. */
export async function find(page: Page, name: string) {
    const field = page.getByLabel('Find a part or a terminal')
    await expect(async () => {
        await page.keyboard.press('/') // a page that has just come listens a moment later
        await expect(field).toBeFocused({ timeout: 500 })
    }).toPass()
    await field.fill('')
    await page.keyboard.type(name)
    await page.keyboard.press('Enter')
}

/** Signs in with the keys alone. */
export async function signInByKeys(page: Page, mailbox: string) {
    await page.goto('/login')
    await reach(page, 'Mail address or sign-in name')
    await page.keyboard.type(`${mailbox}@demo.example`)
    await reach(page, 'Password')
    await page.keyboard.type('copper-lamp')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('button', { name: 'Sign out' })).toBeVisible()
}
