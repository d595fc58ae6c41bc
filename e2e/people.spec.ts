import { expect, test } from '@playwright/test'
import { clean, look, openJob, press, signIn } from './people'

const PASSWORD = 'seven grey herons'

test('a class of one’s own: three hundred from a list, by a link, by a code; an examination of 24, the wall, a mark, a record sheet', async ({
    page,
    browser,
}) => {
    await signIn(page, 'oona')
    await page.getByRole('link', { name: 'People', exact: true }).click()
    await expect(page.getByText('No class yet.')).toBeVisible()
    await page.getByLabel('Name of a new class').fill('Boilers, day release')
    await page.getByRole('button', { name: 'New class' }).click()
    const course = page.getByRole('region', { name: 'Boilers, day release' })
    await expect(course).toBeVisible()

    // a list with mistakes adds nobody and says where they are
    const people = Array.from({ length: 300 }, (_, i) => `Trainee ${i + 1},`)
    await page.getByRole('button', { name: 'Add people from a list' }).click()
    const list = page.getByLabel('List of people')
    await list.fill(['name,mail', ...people, ',nobody@school.example', 'Wren,wren at school'].join('\n'))
    await page.getByRole('button', { name: 'Look it over' }).click()
    await expect(page.getByText('2 of 302 lines need mending.')).toBeVisible()
    await expect(page.getByText('There is no name.')).toBeVisible()
    await expect(page.getByText('"wren at school" is no mail address.')).toBeVisible()
    await list.fill(['name,mail', ...people].join('\n'))
    await page.getByRole('button', { name: 'Look it over' }).click()
    await page.getByRole('button', { name: 'Add 300 people' }).click()
    await expect(page.getByText('300 links to hand out.')).toBeVisible()
    const link = (await page.locator('[data-link="Trainee 7"]').textContent())!
    await expect(course.getByRole('row')).toHaveCount(301)
    await page.getByRole('button', { name: 'Handed out' }).click()
    await page.getByRole('button', { name: '7 days' }).click()
    const code = (await page.getByTestId('join-code').textContent())!
    await clean(page, 'people')

    // by the link: a password once, and in
    const seventh = await (await browser.newContext()).newPage()
    await seventh.goto(link)
    await expect(seventh.getByRole('heading', { name: 'Welcome, Trainee 7' })).toBeVisible()
    await seventh.getByLabel('Password').fill('trainee 7 here')
    await seventh.getByLabel('Password').fill('password1234')
    await seventh.getByRole('button', { name: 'Keep it and go on' }).click()
    await expect(seventh.getByText('among the first that are guessed')).toBeVisible()
    await clean(seventh, 'link')
    await seventh.getByLabel('Password').fill(PASSWORD)
    await seventh.getByRole('button', { name: 'Keep it and go on' }).click()
    await expect(seventh.getByRole('heading', { name: 'My jobs' })).toBeVisible()
    await expect(seventh.getByText('No job has been given to you yet.')).toBeVisible()

    // by the code, as it stands on the wall
    const wren = await (await browser.newContext()).newPage()
    await wren.goto('/login')
    await wren.getByRole('link', { name: /code of a class/ }).click()
    await wren.getByLabel('Code of the class').fill(code.toLowerCase())
    await wren.getByLabel('Name', { exact: true }).fill('Wren')
    await wren.getByLabel('Password').fill(PASSWORD)
    await clean(wren, 'join')
    await wren.getByRole('button', { name: 'Join' }).click()
    await expect(wren.getByText(/^You sign in as wren\d+ from now on/)).toBeVisible()

    // an examination for twenty-four of them: who is among them finds it, and nobody else
    await page.goto('/models')
    await page.getByRole('link', { name: /80 % furnace, hot/ }).click()
    await page.getByLabel('Find a fault').fill('igniter crack')
    await page.getByRole('button', { name: 'Igniter: cracked, open' }).click()
    await expect(page.getByLabel('What the customer says')).not.toHaveValue('')
    await page.getByLabel('Title').fill('Boat shed: no heat')
    await page.getByLabel('Kind', { exact: true }).selectOption('exam')
    await page.getByLabel('Class', { exact: true }).selectOption({ label: 'Boilers, day release' })
    await expect(page.getByText('To 301 of 301')).toBeVisible()
    await page.getByRole('button', { name: 'Nobody', exact: true }).click()
    const trainees = page.getByLabel('Trainees', { exact: true })
    for (let i = 1; i <= 24; i++) await trainees.getByText(`Trainee ${i}`, { exact: true }).click()
    await expect(page.getByText('To 24 of 301')).toBeVisible()
    await page.getByRole('button', { name: 'Give the job' }).click()
    // the page that waits for it has the title in its heading too
    await expect(page.getByRole('heading', { name: 'Boat shed: no heat', exact: true })).toBeVisible()
    await wren.goto('/')
    await expect(wren.getByText('No job has been given to you yet.')).toBeVisible()
    await seventh.goto('/')
    await page.getByRole('link', { name: 'Shop', exact: true }).click()
    await page.getByRole('link', { name: 'wall' }).click()
    await openJob(seventh, 'Boat shed: no heat')
    const card = page.getByRole('article', { name: 'Trainee 7' })
    await look(seventh, 'thermostat')
    await expect(card.getByTestId('last')).toContainText('hermostat')
    await expect(card.getByText(/suspects$/)).toBeVisible()
    await seventh.getByRole('tab', { name: 'Suspects' }).click()
    await seventh.getByLabel('Find a suspect').fill('igniter crack')
    await press(seventh, 'Name Igniter: cracked, open')
    seventh.once('dialog', (d) => void d.accept())
    await seventh.getByRole('button', { name: 'Close the call' }).click()
    await expect(seventh.getByText('It was:')).toBeVisible()
    await expect(card.getByText('call closed')).toBeVisible()

    // its mark stands in the record, and on a sheet for the file
    await page.goto('/')
    await page.getByRole('link', { name: 'record' }).first().click()
    await expect(page.getByRole('row', { name: /^Trainee 7 / })).toContainText(/\d+\.\d/)
    const sheet = page.waitForEvent('download')
    await page.getByRole('link', { name: 'Record sheet of Trainee 7 (PDF)' }).click()
    expect((await sheet).suggestedFilename()).toMatch(/^record-\d+\.pdf$/)

    // the old password changes only with the old one
    await wren.getByRole('link', { name: 'Account of Wren' }).click()
    await wren.getByLabel('Password now').first().fill('not this one')
    await wren.getByLabel('New password').fill('nine slow barges')
    await wren.getByRole('button', { name: 'Change password' }).click()
    await expect(wren.getByText('That is not your password now.')).toBeVisible()
    await wren.getByLabel('Password now').first().fill(PASSWORD)
    await wren.getByRole('button', { name: 'Change password' }).click()
    await expect(wren.getByText('Your password is changed.')).toBeVisible()
    await clean(wren, 'account')
})
