import { expect, test } from '@playwright/test'
import { clean, lead, look, openJob, signIn, seeAll } from './people'
import { some } from './models'

test('an instructor goes the whole way: healthy run, fault, complaint, job, own try, results', async ({ page }) => {
    await signIn(page, 'ines')
    await page.goto('/models')
    await page.getByRole('link', { name: /80 % furnace, hot/ }).click()
    await expect(page.getByText('Healthy, from the arrival on')).toBeVisible()
    await page.getByLabel('Find a fault').fill('hose slipped')
    await page.getByRole('button', { name: 'Hose: slipped off' }).click()
    await expect(page.getByRole('img', { name: 'Tape with the fault: seconds since the arrival' })).toBeVisible()
    const complaint = page.getByLabel('What the customer says')
    await expect(complaint).toHaveValue(/We have no heat at all/)
    await complaint.fill('The loom room is cold. The fan in the flue runs and runs.')
    await page.getByRole('button', { name: 'Give the job' }).click()
    await expect(page.getByText('"title" is missing.')).toBeVisible()
    await page.getByLabel('Title').fill('Loom room: cold')
    await page.getByRole('button', { name: 'Give the job' }).click()

    await expect(page.getByRole('heading', { name: 'Loom room: cold' })).toBeVisible()
    await expect(page.getByText('Hose: slipped off')).toBeVisible()
    await expect(page.getByRole('row', { name: /Wendell not started/ })).toBeVisible()

    await page.getByRole('button', { name: 'Try it myself' }).click()
    await seeAll(page)
    await expect(page.getByText('The loom room is cold.')).toBeVisible()
    page.once('dialog', (d) => void d.accept())
    await page.getByRole('button', { name: 'Close the call' }).click()
    await expect(page.getByText(/^Not passed(:| ·)/)).toBeVisible() // not the house rules' "not passed when"

    await page.getByRole('link', { name: 'Shop', exact: true }).click()
    await expect(page.getByRole('row', { name: /Loom room: cold/ })).toBeVisible()
    await page.getByRole('link', { name: /Bookbinder/ }).click()
    await page
        .getByRole('row', { name: /Brannoc/ })
        .getByRole('link', { name: 'Debrief' })
        .click()
    await expect(page.getByText('Passed · Proved, among single faults')).toBeVisible()
    await page.getByRole('button', { name: 'Could two have shown this?' }).click()
    await expect(page.getByText(/likeliest pairs would have shown all that was seen/)).toBeVisible()
})

test("a trainee given the job finds it among his own and cannot open the instructor's pages", async ({ page }) => {
    await signIn(page, 'wendell')
    await expect(page.getByText('Seed library: went cold at noon')).toBeVisible()
    expect((await page.goto('/models'))?.status()).toBe(404)
})

test('a request without its token is refused', async ({ page }) => {
    await signIn(page, 'ines')
    const status = await page.evaluate(
        async () => (await fetch('/jobs', { method: 'POST', headers: { Accept: 'application/json' } })).status,
    )
    expect(status).toBe(419)
})

test('a job is kept as a template, and the form is filled from it', async ({ page }) => {
    await signIn(page, 'ines')
    const open = async () => {
        await page.goto('/models')
        await page
            .getByRole('link', { name: /80 % furnace, hot/ })
            .first()
            .click()
        await expect(page.getByRole('heading', { name: 'Give it as a job' })).toBeVisible()
    }
    await open()
    await page.getByRole('button', { name: /^Limit: stuck open/ }).click()
    await expect(page.getByLabel('What the customer says')).toHaveValue(/heat|burner/)
    await page.getByLabel('What the customer says').fill('It blows cold all day long.')
    await page.getByLabel('Title').fill('Third week, on the bench')
    await page.getByText('Its leads are worn: now and then one does not touch').click()
    await page.getByRole('button', { name: 'Keep as a template' }).click()
    await expect(page.getByLabel('Start from a template')).toBeVisible()
    await open()
    await page.getByLabel('Start from a template').selectOption({ label: 'Third week, on the bench' })
    await expect(page.getByLabel('Title')).toHaveValue('Third week, on the bench')
    await expect(page.getByLabel('Its leads are worn: now and then one does not touch')).toBeChecked()
    await expect(page.getByLabel('What the customer says')).toHaveValue('It blows cold all day long.')
    await expect(page.getByRole('button', { name: /^Limit: stuck open/ })).toHaveAttribute('aria-pressed', 'true')
    await page.getByRole('button', { name: 'Take it out' }).click()
    await expect(page.getByLabel('Start from a template')).toHaveCount(0)
})

test('every shipped model opens with its board, its healthy tape and its tables', async ({ page }) => {
    await signIn(page, 'ines')
    await page.goto('/models')
    await expect(page.getByRole('link', { name: /^Set a fault in/ }).first()).toBeVisible()
    const names = await page
        .getByRole('link', { name: /^Set a fault in/ })
        .evaluateAll((links) => links.map((l) => l.getAttribute('aria-label')!))
    expect(names.length).toBeGreaterThanOrEqual(28)
    for (const name of some(names)) {
        await page.goto('/models')
        await page.getByRole('link', { name, exact: true }).click()
        await expect(page.getByRole('img', { name: /Tape of the healthy run/ })).toBeVisible()
        await expect(page.getByRole('group', { name: 'Board of the appliance' })).toBeVisible()
        await page.getByRole('button', { name: 'Sequence', exact: true }).click()
        await expect(page.getByLabel('Sequence tables')).toContainText(
            /every state can be reached and left|No control with a table/,
        )
    }
})

test('a job on a composed system can be given and worked', async ({ page }) => {
    await signIn(page, 'priya')
    await openJob(page, 'Music school: practice rooms far too warm')
    await lead(page, 'zv2.M1')
    await lead(page, 'zv2.M2')
    await expect(page.getByTestId('display')).toHaveText(/V AC/)
    await look(page, 'thermostat-2')
    await page.getByRole('tab', { name: /Log/ }).click()
    await expect(page.getByText(/^Zone valve 2 M1 to Zone valve 2 M2: /).first()).toBeVisible()
})

test('the trouble of a model: begun, waited for, walked with the keys, and its answer key on a job', async ({
    page,
}) => {
    await signIn(page, 'ines')
    await page.goto('/models')
    await page.getByRole('link', { name: /^Set a fault in Simple boiler/ }).click()
    await page.getByRole('button', { name: 'Faults', exact: true }).click()
    await page.getByRole('button', { name: 'Find what tells them apart' }).click()
    const tree = page.getByLabel('Tree of questions', { exact: true })
    await expect(tree).toBeVisible()
    await expect(page.getByText(/no way of asking needs fewer than/)).toBeVisible()

    const ends = () => tree.getByRole('group').getAttribute('aria-label')
    const before = await ends()
    await tree
        .getByRole('button', { name: /folded$/ })
        .first()
        .focus()
    await page.keyboard.press('Enter')
    expect(await ends()).not.toBe(before)
    await page.getByRole('button', { name: 'Fold all' }).click()
    expect(await ends()).toBe(before)

    await page.getByLabel('Find a fault').fill('fan seized')
    await page
        .getByLabel('Faults', { exact: true })
        .getByRole('button', { name: /[Ff]an.*seized|[Ss]eized/ })
        .first()
        .click()
    await expect(page.getByText(/^Grade \d of 5: \d+ questions/)).toBeVisible()
    await expect(page.getByText('Dashes under a bar')).toBeVisible()
    await clean(page, 'the trouble of a model')

    await page.getByRole('button', { name: 'Give it as a job' }).click()
    await page.getByLabel('Title').fill('Net loft: the boiler gives up')
    await page.getByRole('button', { name: 'Give the job' }).click()
    await expect(page.getByText('The shortest way to it')).toBeVisible()
    await expect(page.getByRole('listitem').first()).toBeVisible()
})

test('an answer that comes after the page was left moves nobody', async ({ page }) => {
    await signIn(page, 'ines')
    await page.goto('/jobs/2')
    await page.getByRole('button', { name: 'Try it myself' }).click()
    await seeAll(page)
    await expect(page.getByRole('button', { name: 'Close the call' })).toBeVisible()
    let release: () => void = () => undefined
    const held = new Promise<void>((resolve) => {
        release = resolve
    })
    let answered: () => void = () => undefined
    const arrived = new Promise<void>((resolve) => {
        answered = resolve
    })
    await page.route('**/attempts/*/acts', async (route) => {
        const response = await route.fetch()
        await held
        await route.fulfill({ response })
        answered()
    })
    page.once('dialog', (d) => void d.accept())
    await page.getByRole('button', { name: 'Close the call' }).click()
    await page.getByRole('link', { name: 'Shop', exact: true }).click()
    await expect(page.getByRole('heading', { name: 'Shop' })).toBeVisible()
    release()
    await arrived
    await page.getByRole('link', { name: 'Rules', exact: true }).click()
    await expect(page).toHaveURL(/\/rules$/)
    await expect(page.getByLabel('Pass mark, of 100')).toBeVisible()
    await expect(page).toHaveURL(/\/rules$/)
})
