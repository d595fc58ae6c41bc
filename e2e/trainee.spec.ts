import { expect, test } from '@playwright/test'
import { answered, lead, look, onUntil, openJob, press, reads, signIn } from './people'

test('a trainee goes the whole way: call sheet, basics, readings, name, repair, hand back, debrief', async ({
    page,
}) => {
    await signIn(page, 'tova')
    await openJob(page, 'Seed library: went cold at noon')
    await expect(page.getByText('No heat since noon.')).toBeVisible()

    await look(page, 'thermostat')
    await look(page, 'breaker')
    await look(page, 'cock')
    await press(page, 'Door off')
    await press(page, 'Hold door switch')
    await lead(page, 'igniter.1')
    await lead(page, 'igniter.2')
    await onUntil(page, () => reads(page, /^1[12]\d\.\d V AC$/)) // the igniter is fed
    await press(page, 'Log reading')
    await press(page, 'Bad')
    await page.getByRole('tab', { name: /Log/ }).click()
    await expect(page.getByText(/^Read again: 1[12]\d\.\d V AC/)).toBeVisible()

    await page.getByRole('tab', { name: 'Suspects' }).click()
    await page.getByLabel('Find a suspect').fill('igniter crack')
    await press(page, 'Star Igniter: cracked, open')
    await press(page, 'Release door switch')
    await page.locator('[data-part="service"]').click()
    await press(page, 'off')
    // mounted it shows nothing; in the hand it does
    await look(page, 'igniter')
    await expect(page.getByLabel('Part', { exact: true }).getByText(/Seated in its bracket/)).toBeVisible()
    await page.getByText('Listen, feel, tap…').click()
    await press(page, 'Take it off')
    await expect(page.getByText('It is in your hand.')).toBeVisible()
    await look(page, 'igniter')
    await expect(page.getByText('A hairline across one leg.').first()).toBeVisible()
    await press(page, 'Ohms of a new one')
    await press(page, 'Name Igniter: cracked, open')

    await page.locator('[data-part="igniter"]').click()
    await page.getByText('Mend it…').click()
    await press(page, 'Replace')
    await press(page, 'Remove leads')
    await press(page, 'Door on')
    await page.locator('[data-part="service"]').click()
    await press(page, 'on')
    await onUntil(page, () =>
        page
            .getByText(/blower runs/)
            .first()
            .isVisible(),
    )
    page.once('dialog', (d) => void d.accept())
    await page.getByRole('button', { name: 'Close the call' }).click()

    await expect(page.getByText('It was:')).toBeVisible()
    await expect(page.getByText('Igniter: cracked, open').first()).toBeVisible()
    await expect(page.getByText(/^Passed/)).toBeVisible()
    expect(Number(await page.getByTestId('total').textContent())).toBeGreaterThan(70)
    await page.getByRole('tab', { name: /Entries/ }).click()
    await page.getByLabel('Entries', { exact: true }).getByText('Igniter 1 to Igniter 2').first().click()
    await expect(page.getByText('Best reading here')).toBeVisible()
    await expect(page.getByRole('img', { name: /Suspects left after each entry/ })).toBeVisible()
})

test('reload, second tab and back button: nothing lost, nothing done twice', async ({ page, context }) => {
    await signIn(page, 'marek')
    await openJob(page, 'Seed library: went cold at noon')
    await look(page, 'thermostat')
    await press(page, 'Door off')
    const entries = page.getByRole('tab', { name: /Log/ })
    await expect(entries).toHaveText('Log (2)')

    await page.reload()
    await expect(entries).toHaveText('Log (2)')
    await expect(page.getByRole('button', { name: 'Door on' })).toBeVisible()

    const other = await context.newPage()
    await other.goto(page.url())
    await press(other, 'Hold door switch')
    await press(other, 'Next event')
    await look(other, 'breaker')
    await page.bringToFront()
    // this window is behind now: what it does is refused, it catches up, and nothing is doubled
    await page.locator('[data-part="cock"]').click()
    await page.getByRole('button', { name: 'Look at it' }).click()
    await expect(page.getByRole('tab', { name: 'Log (4)' })).toBeVisible()

    await page.goto('/')
    await page.goBack()
    await expect(page.getByRole('tab', { name: 'Log (4)' })).toBeVisible()
    await look(page, 'cock')
    await expect(page.getByRole('tab', { name: 'Log (5)' })).toBeVisible()
})

test('unsafe acts are told plainly, and what cannot be done says why', async ({ page }) => {
    await signIn(page, 'isolde')
    await openJob(page, 'Seed library: went cold at noon')
    await look(page, 'igniter')
    await expect(page.getByRole('alert')).toHaveText(/behind the door/)
    await press(page, 'Door off')
    await press(page, 'Hold door switch')
    await press(page, 'Ohms')
    await lead(page, 'l-nut.out')
    await lead(page, 'n-nut.out')
    await expect(page.getByRole('alert')).toHaveText(/Ohms on a live circuit/)
    await expect(page.getByTestId('display')).toHaveText('⚠ LIVE')
})

test('everything at the bench can be done with the keys', async ({ page }) => {
    await signIn(page, 'sunniva')
    await openJob(page, 'Seed library: went cold at noon')
    await press(page, 'Door off')
    await page.locator('body').press('ArrowRight')
    await page.keyboard.press('r')
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
    await answered(page, () => page.keyboard.press('Enter'))
    await expect(page.getByRole('tab', { name: 'Log (2)' })).toBeVisible()
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
    await page.keyboard.press('w')
    await page.keyboard.press('b')
    await answered(page, () => page.keyboard.press('Enter'))
    await expect(page.getByTestId('display')).toHaveText(/V AC/)
    const before = await page.getByTestId('clock').textContent()
    await page.keyboard.press('Space')
    await expect(page.getByTestId('clock')).not.toHaveText(before!)
    await page.keyboard.press('Space')
    await expect(page.getByRole('button', { name: 'Run' })).toBeVisible()
})

test('time plays on and past what was known at first', async ({ page }) => {
    await signIn(page, 'oyelaran')
    await openJob(page, 'Seed library: went cold at noon')
    await page.getByRole('button', { name: '4×' }).click()
    await page.getByRole('button', { name: 'Run' }).click()
    await expect(page.getByTestId('clock')).toHaveText(/0:[2-5]\d/)
    await page.getByRole('button', { name: 'Pause' }).click()
    await expect(page.getByRole('button', { name: 'Run', exact: true })).toBeVisible()
    const stopped = await page.getByTestId('clock').textContent()
    await page.evaluate(
        () =>
            new Promise<void>((done) => {
                let frames = 0
                const next = () => (++frames > 40 ? done() : requestAnimationFrame(next))
                next()
            }),
    )
    expect(await page.getByTestId('clock').textContent()).toBe(stopped)
})

test('clamp, manometer, thermometer, tester, range by hand and least and most are at hand', async ({ page }) => {
    await signIn(page, 'wendell')
    await openJob(page, 'Seed library: went cold at noon')
    await press(page, 'Door off')
    await press(page, 'Hold door switch')
    await lead(page, 'board.N')
    await lead(page, 'board.IND')
    await press(page, 'Min / Max')
    await press(page, 'Clamp round the black wire end at Furnace control IND')
    await page.locator('[data-part="hose"]').click()
    await press(page, 'Manometer: tee in the pressure hose')
    await onUntil(page, () =>
        page
            .getByText(/inducer runs/)
            .first()
            .isVisible(),
    )
    await page.getByRole('group', { name: 'Speed' }).getByRole('button', { name: '4×' }).click()
    const seconds = async () => {
        const [m, s] = (await page.getByTestId('clock').textContent())!.split(':').map(Number)
        return 60 * m! + s!
    }
    const begun = await seconds()
    await page.getByRole('button', { name: 'Run' }).click()
    await expect.poll(seconds).toBeGreaterThan(begun + 8) // the inducer has come up
    await page.getByRole('button', { name: 'Pause' }).click()
    const gauge = page.getByRole('region', { name: 'Manometer' })
    await gauge.getByRole('button', { name: 'Log reading' }).click()
    await expect(gauge.getByText(/^1\.[23]\d in\. w\.c\.$/)).toBeVisible()
    const clamp = page.getByRole('region', { name: 'Clamp' })
    await clamp.getByRole('button', { name: 'Log reading' }).click()
    await expect(clamp.getByText(/^1\.\d\d A AC$/)).toBeVisible()
    await expect(page.getByRole('img', { name: /^Clamp round black, / })).toBeAttached()
    await page.getByRole('region', { name: 'Meter', exact: true }).getByRole('button', { name: 'Log reading' }).click()
    await page.getByRole('tab', { name: /Log/ }).click()
    await expect(page.getByText(/most 1[12]\d\.\d V AC/).first()).toBeVisible()
    await press(page, 'Range: chosen by the meter')
    await expect(page.getByTestId('display')).toHaveText('OL V AC')
    await press(page, 'Amps AC, in series')
    await expect(
        page.getByRole('img', { name: 'Meter in series from Furnace control N to Furnace control IND' }),
    ).toBeAttached()
    await page.locator('[data-part="hose"]').click()
    await press(page, 'off')
    await expect(
        page.getByRole('group', { name: 'Board of the appliance' }).getByText('off', { exact: true }),
    ).toBeVisible()
})

test('the customer is asked, ears and hands are used, a jumper goes on and is told', async ({ page }) => {
    await signIn(page, 'sunniva')
    await openJob(page, "Bookbinder's workshop")
    await page.getByRole('tab', { name: 'Call' }).click()
    await press(page, 'Since when?')
    await expect(page.getByText(/“Since I first noticed/)).toBeVisible()
    await page.getByRole('tab', { name: 'Call' }).click() // laid aside again
    await expect(page.getByText(/“Since I first noticed/)).toBeHidden()
    await press(page, 'Door off')
    await press(page, 'Hold door switch')
    await page.locator('[data-part="inducer"]').click()
    await page.getByText('Listen, feel, tap…').click()
    await press(page, 'Listen')
    await expect(
        page.getByRole('region', { name: 'Part' }).getByText(/Listened at Inducer: inducer (runs|silent)/),
    ).toBeVisible()
    await press(page, 'Turn by hand')
    await lead(page, 'limit.a')
    await page.getByRole('button', { name: 'Jumper from Limit a' }).click()
    await lead(page, 'limit.b')
    await press(page, 'Jumper Limit a to Limit b')
    await expect(page.getByRole('alert')).toHaveText(/A safety was bridged/)
    await press(page, 'Take the jumper off Limit a and Limit b')
})
