import { expect, test } from '@playwright/test'
import { answered, find, reach, signInByKeys, strike } from './keys'

test('a job from sign-in to hand-back with the keyboard alone: a zone that is too warm', async ({ page }) => {
    await signInByKeys(page, 'tova')
    await expect(page.getByRole('heading', { name: 'My jobs' })).toBeVisible()
    await reach(page, 'Begin: Music school: practice rooms far too warm')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('button', { name: 'Run' })).toBeVisible()

    const look = async (part: string) => {
        await find(page, part)
        await answered(page, 'l')
    }
    await look('Thermostat 2')
    await look('Service switch')
    await strike(page, 'Door off')
    await find(page, 'Zone valve 2 M1')
    await answered(page, 'Enter')
    await expect(page.getByLabel('Red lead on Zone valve 2 M1')).toBeAttached()
    await find(page, 'Zone valve 2 M2')
    await answered(page, 'Enter')
    await expect(page.getByTestId('display')).toHaveText(/^\d\.\d+ V AC/)
    await strike(page, 'Bad')
    await look('Zone valve 2')
    await reach(page, 'Call')
    for (const tab of [/^Log/, 'Suspects']) {
        await page.keyboard.press('ArrowRight')
        await expect(page.getByRole('tab', { name: tab })).toBeFocused()
    }
    await expect(page.getByLabel('Find a suspect')).toBeVisible()
    await reach(page, 'Find a suspect')
    await page.keyboard.type('zone valve 2 seized open')
    await strike(page, 'Name Zone valve 2: seized open, end switch made')

    await find(page, 'Service switch')
    await strike(page, 'off')
    await find(page, 'Zone valve 2')
    await reach(page, 'Mend it…')
    await page.keyboard.press('Enter')
    await strike(page, 'Replace')
    await strike(page, 'Leads off')
    await find(page, 'Service switch')
    await strike(page, 'on')
    await strike(page, 'Door on')
    for (let i = 0; i < 4; i++) await answered(page, 'n')
    page.once('dialog', (d) => void d.accept())
    await reach(page, 'Hand back')
    await page.keyboard.press('Enter')
    await expect(page.getByText('It was:')).toBeVisible({ timeout: 20_000 })
    await expect(page.getByText('Zone valve 2: seized open, end switch made').first()).toBeVisible()
    expect(Number(await page.getByTestId('total').textContent())).toBeGreaterThan(50)
})
