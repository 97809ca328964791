import { expect, test, type Page } from '@playwright/test'

const idOf = async (page: Page, title: string) => {
  const list = (await (await page.request.get('/api/rounds')).json()) as { id: string; title: string }[]
  return list.find((r) => r.title === title)!.id
}

test('a walk along the fence is a part of its own: laid, counted, looked round, and told of', async ({ page }) => {
  test.setTimeout(180_000)
  await page.goto('/plan')
  await page.getByLabel('Paddock').selectOption({ label: 'River Meadow, Lower Ham Commoners' })
  await page.getByLabel('Title').fill('With the fence')
  await page.getByLabel('Stops', { exact: true }).fill('2')
  await page.getByLabel('Walk the fence too').selectOption('6')
  await page.getByRole('button', { name: 'Lay the route' }).first().click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/Stop 1 of [78]/)
  const stops = Number(/of (\d)/.exec((await page.getByRole('heading', { level: 1 }).textContent())!)![1])
  for (let s = 1; s <= stops; s++) {
    await expect(page.getByRole('heading', { level: 1 })).toContainText(`Stop ${s} of`)
    if (s === 3) {
      await expect(page.getByText(': along the fence')).toBeVisible()
      await page.getByRole('button', { name: 'Look round for what harms: ten seconds' }).click()
      await page.getByRole('group', { name: 'Seen near this stop' }).getByRole('button').first().click()
    }
    await page.keyboard.type('20')
    await page.keyboard.press('a')
    await page.keyboard.press('Enter')
  }
  await page
    .getByRole('link', { name: /Weigh it up/ })
    .first()
    .click()
  await page.getByRole('link', { name: /^Harm/ }).click()
  await expect(page.getByText('Walked along the fence')).toBeVisible()
  const harm = page.getByRole('region', { name: 'What could harm' })
  await expect(harm).toContainText(/Found: [^,]+, 0(\.0)?\s%[^,]*, at 1 of/)
  await expect(harm).toContainText('however clumped')
})

test('where a plant stands is drawn over the paddock, and whether in clumps', async ({ page }) => {
  await page.goto(`/rounds/${await idOf(page, 'Harm walk and count')}/weigh-up`)
  await expect(page.getByRole('img', { name: /Map: Tansy ragwort was met at 8 of 30 stops/ })).toBeVisible()
  await expect(page.getByTestId('clumps')).toContainText('It stands in clumps')
  // The plant that is touched in the chart is lit on the map, and the stop that is touched tells what was met.
  await page.getByRole('button', { name: /^Velvetgrass 23/ }).click()
  await expect(page.getByRole('img', { name: /Map: Velvetgrass was met at 26 of 30 stops/ })).toBeVisible()
  await expect(page.getByTestId('speaks-for').first()).toContainText(/inside a strip of \d+ m; the edge, \d+\s%/)
  // What no stop came near is no ground where it does not stand.
  await expect(page.getByText('White ground: no stop came near')).toBeVisible()
})

test('two rounds stand on one line each plant, the plainest difference first and in bold', async ({ page }) => {
  const [now, before] = [await idOf(page, 'Harm walk and count'), await idOf(page, 'Count of 2023')]
  await page.goto(`/rounds/${now}/beside?with=${before}`)
  await expect(page.getByText('The same method twice')).toBeVisible()
  const chart = page.getByRole('img', { name: /^Both rounds plant by plant: Perennial ryegrass/ })
  await expect(chart).toContainText(/−\d+ points \(−\d+ to −\d+\), more than chance/)
  await expect(page.getByTestId('beside-sum')).toContainText('stop by stop at the 30 stops that both counted')
})
