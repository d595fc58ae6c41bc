import { expect, test } from '@playwright/test'
import { clean, signIn } from './people'

test('the lab book: a reading noted, a list refused and taken in, and a model fitted to a unit', async ({ page }) => {
    await signIn(page, 'ines')
    await page.goto('/models')
    await page.getByRole('link', { name: /80 % furnace, hot surface/ }).click()
    await page.getByRole('link', { name: 'Lab book' }).click()
    await expect(page.getByRole('heading', { name: 'Lab book' })).toBeVisible()
    const igniter = page.getByRole('region', { name: 'ohms, Igniter 1 to Igniter 2' })
    await expect(igniter.getByText('✓ as the model').first()).toBeVisible()
    await expect(igniter.getByText('▲ the model: 58.0 Ω')).toBeVisible()
    await clean(page, 'lab book')

    // one more, by hand: at a tap, and its unit is told
    const form = page.getByRole('form', { name: 'Note a reading' })
    await form.getByLabel('Unit', { exact: true }).fill('bay 7')
    await form.getByLabel('Seconds after the arrival').fill('120')
    await form.getByLabel('Read with').selectOption({ label: 'Gas valve, outlet tap of the gas valve' })
    await form.getByLabel('Figure, in. w.c.').fill('much')
    await form.getByRole('button', { name: 'Note it' }).click()
    await expect(form.getByRole('alert')).toHaveText('"value" must be a number.')
    await form.getByLabel('Figure, in. w.c.').fill('3.9')
    await form.getByRole('button', { name: 'Note it' }).click()
    const manifold = page.getByRole('region', { name: 'Gas valve, outlet tap of the gas valve' })
    await expect(manifold.getByRole('row', { name: /bay 7/ })).toContainText('▲ the model: 3.5')

    // a list: with a mistake nothing of it, mended all of it
    const list = page.getByRole('region', { name: 'As a list' })
    const lines = (red: string) =>
        `unit,date,visit,at_s,mode,red,black,value\nbay 7,2026-11-09,cold,1,ohm,${red},igniter.2,77\n`
    await list.getByLabel('List of readings').fill(lines('igniter.9'))
    await list.getByRole('button', { name: 'Take it in' }).click()
    await expect(list.getByRole('alert')).toHaveText('Line 2: There is no place "igniter.9" for the red lead.')
    await list.getByLabel('List of readings').fill(lines('igniter.1'))
    await list.getByRole('button', { name: 'Take it in' }).click()
    await expect(igniter.getByRole('row', { name: /bay 7/ })).toContainText('77')

    const fit = page.getByRole('region', { name: 'Fit the model to a unit' })
    await fit.getByLabel('Unit to fit to').selectOption('bay 7')
    await fit.getByRole('button', { name: 'Fit', exact: true }).click()
    await expect(fit.getByRole('status')).toContainText(
        '0 of 2 readings agreed with the model; with these figures 2 do.',
    )
    await expect(fit.getByRole('status')).toContainText('Igniter')
    await fit.getByRole('button', { name: 'Keep as a model of my own' }).click()
    await expect(page).toHaveURL(/\/drafts\/\d+$/)
    await expect(page.getByText('80 % furnace, hot surface ignition, as bay 7').first()).toBeVisible()

    // left as it was
    await page.goBack()
    for (const what of ['3.9', '77']) {
        await page.getByRole('button', { name: `Take out ${what} of bay 7` }).click()
        await expect(page.getByRole('button', { name: `Take out ${what} of bay 7` })).toBeHidden()
    }
})
