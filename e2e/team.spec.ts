import { expect, test, type Browser, type Page } from '@playwright/test'
import AxeBuilder from '@axe-core/playwright'
import { ownServer } from './ownServer.ts'

const { address, command, start, end } = ownServer(4178, { ACCOUNTS: 'on' })
let password = ''
test.beforeAll(async () => {
  password = command('account', 'add', 'Odile Marrow', 'advisor').trim().split(' ').at(-1)!
  await start()
})
test.afterAll(end)

async function signIn(page: Page, name: string, word: string) {
  await page.getByLabel('Name').fill(name)
  await page.getByLabel('Password', { exact: true }).fill(word)
  await page.getByRole('button', { name: 'Sign in' }).click()
}
const tam = 'counted thirty by noon'
const somebody = async (browser: Browser) => (await browser.newContext({ baseURL: address })).newPage()
const clean = async (page: Page) => expect((await new AxeBuilder({ page }).analyze()).violations.map((v) => v.id)).toEqual([]) // prettier-ignore

test.describe.configure({ mode: 'serial' })

test('an advisor signs in, lets a trainee in, and sees what the trainee did', async ({ browser }) => {
  const odile = await somebody(browser)
  await odile.goto('/daybook')
  await expect(odile).toHaveURL(/sign-in/)
  await clean(odile)
  await signIn(odile, 'Odile Marrow', 'not the password')
  await expect(odile.getByRole('alert')).toHaveText('There is no account with this name and password.')
  await signIn(odile, 'odile marrow', password)
  // Where one wanted to go is where one comes out.
  await expect(odile.getByRole('heading', { level: 1 })).toHaveText('Daybook')
  await odile.getByRole('link', { name: 'Odile Marrow: team' }).click()
  await odile.getByRole('button', { name: /Next.*Let somebody in/ }).click()
  await odile.getByLabel('Name').fill('Tam Rushford')
  await odile.getByLabel('First password').fill('short')
  await odile.getByRole('button', { name: 'Make the account' }).click()
  await expect(odile.getByText(/at least 12 characters/)).toBeVisible()
  await odile.getByLabel('First password').fill(tam)
  await odile.getByRole('button', { name: 'Make the account' }).click()
  await expect(odile.getByText('Tam Rushford may come in as trainee.')).toBeVisible()
  await clean(odile)

  const trainee = await somebody(browser)
  await trainee.goto('/')
  await signIn(trainee, 'Tam Rushford', tam)
  await trainee.getByRole('link', { name: /Next.*Walk Long Croft/ }).click()
  await expect(trainee.getByTestId('points')).toHaveText('0 of 20 points')
  const written = trainee.waitForResponse((r) => r.url().endsWith('/stops/1') && r.status() === 200)
  await trainee.keyboard.press('a')
  await written
  // What is not for trainees is refused in words, and what was typed is still there.
  await trainee.goto('/plan')
  await trainee.getByLabel('Title').fill('A round of my own')
  await trainee.getByRole('button', { name: 'Lay the route' }).first().click()
  await expect(trainee.getByRole('alert')).toContainText('Not saved: A trainee names, counts and practises')
  await expect(trainee.getByRole('button', { name: 'Save what was typed as a file' })).toBeVisible()
  await trainee.getByRole('button', { name: 'Throw it away' }).click()
  await trainee.getByRole('alertdialog').getByRole('button', { name: 'Throw it away' }).click()
  await trainee.goto('/team')
  await expect(trainee.getByRole('heading', { name: 'What a trainee does' })).toBeVisible()
  await expect(trainee.getByText('Let somebody in')).toHaveCount(0)

  await odile.reload()
  const trail = odile.getByRole('region', { name: 'Who did what' })
  // Left just then, a page sends a stop once more: it is there once, and both have their line.
  await expect(trail.getByText('Tam Rushford counted a stop').first()).toBeVisible()
  await expect(trail.getByText('Tam Rushford planned a round (refused)')).toBeVisible()
  // Closed, the trainee is out at once; what is typed then waits.
  await odile.getByRole('listitem').filter({ hasText: 'Tam Rushford, trainee' }).getByRole('button', { name: 'Close' }).click() // prettier-ignore
  await odile.getByRole('button', { name: 'Close it' }).click()
  await expect(odile.getByText('Tam Rushford is out, on every device.')).toBeVisible()
  await trainee.getByRole('link', { name: 'Rounds' }).click()
  await expect(trainee.getByRole('link', { name: 'Sign in' })).toBeVisible()
  for (const page of [odile, trainee]) await page.context().close()
})

test('a client reads the pages of one round with a link, until it is taken back', async ({ browser }) => {
  const odile = await somebody(browser)
  await odile.goto('/')
  await signIn(odile, 'Odile Marrow', password)
  await odile.getByRole('button', { name: /River Meadow Lower Ham/ }).click()
  await odile.getByRole('link', { name: 'Hand-over' }).click()
  await odile.getByLabel('Opens for').selectOption('a week')
  await odile.getByRole('button', { name: 'Make a link' }).click()
  const link = await odile.getByLabel('The link').inputValue()
  expect(link).toContain(`${address}/shared#`)

  const client = await somebody(browser)
  const asked: string[] = []
  client.on('request', (r) => asked.push(r.url()))
  await client.goto(link)
  await expect(client.getByText('Mostly', { exact: false }).first()).toBeVisible()
  await expect(client.getByRole('navigation')).toHaveCount(0)
  await expect(client.getByRole('button', { name: 'Print the pages' })).toBeVisible()
  await clean(client)
  // The token is in no address that a server or a proxy would write down.
  expect(asked.filter((url) => url.includes(link.split('#')[1]!))).toEqual([])
  // It opens nothing else.
  await client.goto('/rounds')
  await expect(client).toHaveURL(/sign-in/)

  await odile.getByRole('button', { name: 'Take it back' }).click()
  await odile.getByRole('alertdialog').getByRole('button', { name: 'Take it back' }).click()
  await expect(odile.getByText('Taken back: it opens nothing any more.')).toBeVisible()
  await client.goto('about:blank')
  await client.goto(link)
  await expect(client.getByText('This link has expired or was taken back.')).toBeVisible()
  for (const page of [odile, client]) await page.context().close()
})

test('signed out, the device has nothing of the records, and waits for nobody', async ({ browser }) => {
  const odile = await somebody(browser)
  await odile.goto('/')
  await signIn(odile, 'Odile Marrow', password)
  await odile.getByRole('link', { name: 'Odile Marrow: team' }).click()
  await odile.getByRole('button', { name: 'Sign out' }).click()
  await expect(odile.getByRole('heading', { name: 'Fold Sprig' })).toBeVisible()
  // The device keeps its own id, which tells nothing of anybody or anything written down.
  const left = await odile.evaluate(async () => [Object.keys(localStorage).filter((k) => !/mode|outbox|^fold-sprig-device$/.test(k)), await caches.keys()]) // prettier-ignore
  expect(left[0]).toEqual([])
  expect(left[1]).not.toContain('fold-sprig-data')
  await odile.goto('/rounds')
  await expect(odile).toHaveURL(/sign-in/)
  await odile.context().close()
})
