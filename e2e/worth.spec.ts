import { expect } from '@playwright/test'
import { goInside } from './inside.ts'
import { test } from './onePage.ts'
import { ownServer } from './ownServer.ts'

/** What a sward is worth to those who graze, mow and play on it, as each of them would ask. */
const { address, start, end } = ownServer(4189)
test.beforeAll(start)
test.afterAll(end)

const weighUp = async (title: string, chapter = '') => {
  const rounds = (await (await fetch(`${address}/api/rounds`)).json()) as { id: string; title: string }[]
  return `${address}/rounds/${rounds.find((r) => r.title === title)!.id}/weigh-up${chapter}`
}

test('a groundsman: height, parts and seed go by what the ground is used for', async ({ page }) => {
  await goInside(page, await weighUp('Wear before the season', '/kept'))
  const kept = page.getByRole('region', { name: 'How it is kept' })
  await expect(kept).toContainText(
    'Mow at 20 mm to 50 mm, as sports ground, for Perennial ryegrass, Kentucky bluegrass',
  )
  await expect(kept).toContainText(/West goal: bare \d+\s% .*sow anew/)
  await expect(page.getByRole('img', { name: /Bare ground by part: .*West goal \d+\s%/ })).toBeVisible()
  await expect(kept).toContainText(/Seed, sown anew: Perennial ryegrass \(sown here\) 25 to 40 g a square metre/)
  await page.getByLabel('Used as').selectOption('lawn')
  await expect(kept).toContainText('Mow at 40 mm to 65 mm, as lawn')
  await page.reload()
  await expect(page.getByLabel('Used as')).toHaveValue('lawn')
  // Nothing of feed is asked of a turf.
  await expect(page.getByRole('link', { name: /^Kept/ })).toBeVisible()
  for (const chapter of ['Worth', 'Stock', 'Sow'])
    await expect(page.getByRole('link', { name: new RegExp(`^${chapter}`) })).toHaveCount(0)
})

test('a livery: horses are judged on digestible energy, and what they leave is taken into the days', async ({
  page,
}) => {
  await goInside(page, await weighUp('Harm walk and count', '/worth'))
  const feed = page.getByRole('region', { name: 'What it is worth as feed' })
  await expect(feed.getByRole('row', { name: /For horses \(digestible energy\)/ })).toBeVisible()
  await page.getByRole('link', { name: /^Stock/ }).click()
  const herd = page.getByRole('region', { name: 'How long, for how many' })
  await expect(herd).toContainText(/energy\s*needs 16\.7 Mcal digestible energy a day/i)
  await expect(herd).toContainText('in horses ends in founder')
  const days = async () => Number((await herd.getByTestId('days').textContent())!.split(' ')[0])
  const before = await days()
  await page.getByLabel('Refused, %').fill('50')
  await expect.poll(days).toBeLessThan(before * 0.6)
  await page.getByRole('button', { name: 'Take these figures' }).click()
  await expect.poll(days).toBe(before)
})

test('dairy goats: the year shows where growth and needs part, by the means of the place', async ({ page }) => {
  await goInside(page, await weighUp('Last grazing before winter', '/year'))
  const place = page.getByRole('region', { name: 'The place' })
  const year = page.getByRole('region', { name: 'Through the year' })
  await expect(year).toContainText(/The herd eats more than grows in August, October to April/)
  await expect(year).toContainText('simulated normals of the region')
  const file = (rows: string[]) => ({
    name: 'means.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(['month;mean °C;rain mm', ...rows].join('\n')),
  })
  const rows = [8, 9, 10, 12, 14, 17, 18, 18, 16, 13, 10, 9].map((t, i) => `${i + 1};${t};80`)
  await place.getByLabel('Means of the place, a CSV file').setInputFiles(file(rows.slice(1)))
  await expect(place.getByRole('alert')).toContainText('There are 11 rows below the names')
  await place.getByLabel('Means of the place, a CSV file').setInputFiles(file(rows))
  await expect(year).toContainText('Temperatures and rain: means of this place, typed or from a file.')
  await page.reload()
  await expect(year).toContainText('Temperatures and rain: means of this place, typed or from a file.')
  await place.getByText('Type the twelve means').click()
  const july = place.getByRole('group', { name: 'Rain of the month, mm' }).getByLabel('July')
  await expect(july).toHaveValue('80')
  await july.fill('5')
  await page.reload()
  await place.getByText('Type the twelve means').click()
  await expect(july).toHaveValue('5')
  await place.getByRole('button', { name: 'Back to the simulated ones' }).click()
  await expect(year).toContainText('simulated normals of the region')

  await page.getByRole('link', { name: /^Stock/ }).click()
  const moves = page.getByRole('region', { name: 'Rest and moves' })
  await expect(moves).toContainText(/Ready when a tiller of perennial ryegrass has 2.5 to 3 new leaves/)
  await moves.getByLabel('Days they stay').fill('2')
  await expect(moves).toContainText(/Paddocks for a stay of 2 days: 1[0-9] to 1[0-9]/)
  await expect(moves).toContainText(/\d+ of 25 \(/)
  await page.getByText('Look at the pasture').click()
  await page.getByLabel('Vigour of the plants').selectOption('2')
  await expect(moves).toContainText(/\d+ of 30 \(/)
})

test('money is reckoned at the prices that somebody types, and they stay', async ({ page }) => {
  await goInside(page, await weighUp('Harm walk and count', '/ground'))
  const ground = page.getByRole('region', { name: 'Ground, weeds and money' })
  for (const [label, value] of [
    ['Grain, dry matter, /t', '200'],
    ['Protein meal, dry matter, /t', '500'],
    ['Forage that is eaten, dry matter, /t', '90'],
    ['Weed control, /ha', '40'],
    ['It kills, %', '80'],
  ] as const)
    await page.getByLabel(label).fill(value)
  await expect(ground).toContainText(/dry matter of this growth is worth about \d{3}\/t as feed/)
  await expect(ground).toContainText(/against 50 it has to save: it /)
  await page.reload()
  await expect(page.getByLabel('It kills, %')).toHaveValue('80')
  // What the law of the place names is typed once, and stands on the client's pages.
  await page.getByLabel(/^Noxious weeds by law/).fill('Tansy ragwort, Cirsium arvense, whatsit')
  await expect(ground.getByTestId('noxious-here')).toContainText(/Not understood in that list: whatsit/)
  await goInside(page, (await weighUp('Harm walk and count')).replace('weigh-up', 'hand-over'))
  await expect(page.getByTestId('noxious-here').first()).toContainText(/On the list of noxious weeds of this place/)
})

test('hay makers and a native strip: each page opens with the answer to its own question', async ({ page }) => {
  const answerOf = async (title: string) => {
    await goInside(page, (await weighUp(title)).replace('weigh-up', 'hand-over'))
    return page.getByTestId('answer')
  }
  await expect(await answerOf('Hay worth')).toContainText(/Dried and baled about .* grass hay by protein/)
  await expect(await answerOf('First summer after sowing')).toContainText(
    /Of 5 kinds that were sown 5 were met\. Sown \d+\s%/,
  )
  await expect(await answerOf('Wear before the season')).toContainText(/Sown \d+\s% .*Bare ground and litter \d+\s%/)
})
