import { expect, test, type Locator } from '@playwright/test'
import { seeAll, signIn } from './people'
import { some } from './models'

/** What cannot be read on a board as the browser has drawn it. */
function unreadable(board: Locator) {
    return board.evaluate((svg: SVGSVGElement) => {
        const px = svg.getScreenCTM()!.a
        const paper = svg.getBoundingClientRect()
        // the ink of a line of letters: without the room above and below that the face leaves free
        const ink = (text: SVGTextElement) => {
            const r = text.getBoundingClientRect()
            const isUpright = text.closest('[transform^=rotate]') !== null
            const [dx, dy] = isUpright ? [0.22 * r.width, 0] : [0, 0.22 * r.height]
            return { l: r.left + dx, r: r.right - dx, t: r.top + dy, b: r.bottom - dy, text }
        }
        const letters = [...svg.querySelectorAll('text')].map(ink)
        const runs = [...svg.querySelectorAll<SVGPathElement>('[data-run]')].flatMap((path) => {
            const m = path.getScreenCTM()!
            return path
                .getAttribute('d')!
                .split('M')
                .filter(Boolean)
                .flatMap((piece) => {
                    const points = piece.split('L').map((p) => {
                        const [x, y] = p.split(' ').map(Number)
                        return new DOMPoint(x, y).matrixTransform(m)
                    })
                    return points.slice(1).map((q, i) => [points[i]!, q] as const)
                })
        })
        const bad: string[] = []
        for (const a of letters) {
            const say = a.text.textContent
            if (parseFloat(getComputedStyle(a.text).fontSize) * px < 10.99) bad.push(`"${say}" is too small`)
            const isNote = a.text.hasAttribute('data-note') // beside its part
            const box = isNote
                ? null
                : a.text.closest('[data-box]')?.querySelector('[data-part]')?.getBoundingClientRect()
            if (box && (a.l < box.left - 1 || a.r > box.right + 1 || a.t < box.top - 1 || a.b > box.bottom + 1))
                bad.push(`"${say}" runs past its part`)
            for (const [p, q] of runs)
                if (
                    Math.max(p.x, q.x) > a.l &&
                    Math.min(p.x, q.x) < a.r &&
                    Math.max(p.y, q.y) > a.t &&
                    Math.min(p.y, q.y) < a.b
                ) {
                    bad.push(`a wire runs through "${say}"`)
                    break
                }
            for (const b of letters)
                if (
                    a !== b &&
                    Math.min(a.r, b.r) - Math.max(a.l, b.l) > 1 &&
                    Math.min(a.b, b.b) - Math.max(a.t, b.t) > 1
                )
                    bad.push(`"${say}" lies upon "${b.text.textContent}"`)
        }
        const whole = [...svg.querySelectorAll('[data-part]')].filter((part) => {
            const b = part.getBoundingClientRect()
            return b.left >= paper.left && b.right <= paper.right && b.top >= paper.top && b.bottom <= paper.bottom
        })
        return { bad, whole: whole.length, share: (paper.width * paper.height) / (innerWidth * innerHeight) }
    })
}

test('every shipped model can be read at the first view of its bench', async ({ page }) => {
    test.slow()
    await signIn(page, 'ines')
    await page.goto('/models')
    const links = page.getByRole('link', { name: /^Set a fault in/ })
    await expect(links.first()).toBeVisible()
    const models = await links.evaluateAll((all) =>
        all.map((a) => [a.getAttribute('href')!, a.getAttribute('aria-label')!]),
    )
    expect(models.length).toBeGreaterThanOrEqual(28)
    for (const [href, name] of some(models)) {
        await page.goto(href!)
        await page.getByLabel('Faults', { exact: true }).getByRole('button').nth(1).click()
        await expect(page.getByLabel('What the customer says')).not.toHaveValue('')
        await page.getByLabel('Title').fill(`To be read: ${name}`)
        await page.getByRole('button', { name: 'Give the job' }).click()
        await page.getByRole('button', { name: 'Try it myself' }).click()
        const board = page.getByRole('group', { name: 'Board of the appliance' })
        await expect(board).toBeVisible()
        await page.evaluate(() => document.fonts.ready)
        await expect.poll(async () => (await unreadable(board)).bad, name).toEqual([])
        const seen = await unreadable(board)
        expect(seen.whole, name).toBeGreaterThanOrEqual(8)
        expect(seen.share, name).toBeGreaterThan(0.5)
        await seeAll(page)
    }
})

test('what turns is seen to turn, and stands still where motion is not wanted', async ({ page }) => {
    await signIn(page, 'marek')
    await page
        .getByText('Seed library: went cold at noon')
        .locator('xpath=ancestor::div[2]')
        .getByRole('button', { name: /Begin|Continue/ })
        .click()
    await page.locator('[data-part="inducer"]').click()
    await page.getByRole('button', { name: 'Run', exact: true }).click()
    await expect(page.locator('[data-move="inducer.sound"] animateTransform')).toHaveCount(1)
    await page.emulateMedia({ reducedMotion: 'reduce' })
    await expect(page.locator('[data-move="inducer.sound"]')).toHaveAttribute('data-shows', 'runs')
    await expect(page.locator('[data-move] animateTransform')).toHaveCount(0)
})
