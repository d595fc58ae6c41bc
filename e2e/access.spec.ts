import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { openJob, signIn } from './people'

async function clean(page: Page, where: string) {
    const found = (await new AxeBuilder({ page }).analyze()).violations.filter((v) => v.impact === 'serious' || v.impact === 'critical')
    expect(found.map((v) => `${where}: ${v.id} ${v.nodes.slice(0, 3).map((n) => n.target.join(' ')).join(' | ')}`)).toEqual([])
}

test('nothing serious stands in the way of anyone, on any view', async ({ page }) => {
    await page.goto('/login')
    await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible()
    await clean(page, 'sign-in')
    await signIn(page, 'ines')
    await clean(page, 'shop')
    await page.goto('/models')
    await page.getByRole('link', { name: /80 % furnace, hot/ }).click()
    await expect(page.getByRole('heading', { name: 'Give it as a job' })).toBeVisible()
    await clean(page, 'model')
    await page.goto('/')
    await page.getByRole('link', { name: /Bookbinder/ }).click()
    await expect(page.getByRole('button', { name: /Try it myself|Go on trying/ })).toBeVisible()
    await clean(page, 'job')
    await page.getByRole('row', { name: /Brannoc/ }).getByRole('link', { name: 'Debrief' }).click()
    await expect(page.getByTestId('total')).toBeVisible()
    await clean(page, 'debrief')
    await page.getByRole('tab', { name: /Entries/ }).click()
    await clean(page, 'debrief, entries')
    await page.goto('/rules')
    await expect(page.getByLabel('Pass mark, of 100')).toBeVisible()
    await clean(page, 'house rules')
    await page.context().clearCookies()
    await signIn(page, 'wendell')
    await clean(page, 'my jobs')
    await openJob(page, 'Seed library: went cold at noon')
    await clean(page, 'bench')
})
