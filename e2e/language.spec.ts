import { expect, test, type Page } from '@playwright/test'

test.use({ locale: 'de-DE' })

const idOf = async (page: Page, title: string) => {
  const list = (await (await page.request.get('/api/rounds')).json()) as { id: string; title: string }[]
  return list.find((r) => r.title === title)!.id
}

/** Words that no German sentence holds; what people of the demo wrote is English and is taken off first. */
const ENGLISH = /\b(the|and|of|is|are|with|this|that|not|from|to)\b/
const WRITTEN = [
  // Titles, purposes and plans of the demo rounds, names of firms, and sources as they are cited.
  /Before turnout|Harm walk and count|Hay worth|Count of \d+|Wear before the season|First spring after sowing/g,
  /The Green Keepers of Tarrow|Feed for milking goats; what must come out first|What (must|could|may)[^.]*/g,
  /Oxytropis and Astragalus spp\.|Carduus pycnocephalus and relatives/g,
  /(from memory|common practice, no source)/g,
]

async function expectGerman(page: Page, where: string) {
  await page.locator('h1').first().waitFor({ state: 'attached' })
  const lines = (await page.locator('body').innerText()).split('\n')
  const left = lines
    .map((line) => WRITTEN.reduce((l, w) => l.replace(w, ''), line))
    .filter((line) => ENGLISH.test(line))
  expect(left, where).toEqual([])
}

test('a browser that reads German is spoken to in German', async ({ page }) => {
  await page.goto('/bench')
  await expect(page.locator('html')).toHaveAttribute('lang', 'de')
  await expect(page.getByRole('link', { name: 'Pflanzenbuch' })).toBeVisible()
  await expect(page.getByTestId('verdict')).toHaveText('Noch nichts gesehen')
  await page.getByRole('button', { name: /^Suchen/ }).click()
  await page.getByRole('textbox').fill('Gefleckter')
  await expect(page.getByRole('button', { name: 'Gefleckter Schierling Pflanze' })).toBeVisible()
  // The English name is found too: books and labels carry it.
  await page.getByRole('textbox').fill('poison hemlock')
  await expect(page.getByRole('button', { name: 'Gefleckter Schierling Pflanze' })).toBeVisible()
})

test('the verdict, which another thread works out, is German, and a poison that is open is named', async ({ page }) => {
  await page.goto('/bench')
  await expect(page.getByTestId('verdict')).toHaveText('Noch nichts gesehen')
  await page.keyboard.press('5')
  await expect(page.getByRole('region', { name: 'Schädlich, und nicht ausgeschlossen' })).toBeVisible()
  await expect(page.getByTestId('verdict')).toContainText('Noch offen')
  await expectGerman(page, 'bench')
})

for (const [where, address] of [
  ['plant', '/plants/tansy-ragwort'],
  ['plant book', '/plants'],
  ['glossary', '/glossary'],
  ['group key', '/group-key'],
  ['first round', '/first-round'],
  ['bring in', '/rounds/bring-in'],
  ['practice', '/practice'],
] as const)
  test(`no English is left on ${where}`, async ({ page }) => {
    await page.goto(address)
    await expectGerman(page, where)
  })

test('the pages for a client are German, with the comma and the dates of German', async ({ page }) => {
  await page.goto(`/rounds/${await idOf(page, 'Harm walk and count')}/hand-over`)
  const sheet = page.getByLabel('Seite für den Auftraggeber').first()
  await expect(sheet).toContainText('Was Vieh oder Menschen schaden könnte')
  await expect(sheet).toContainText('Jakobs-Greiskraut')
  await expect(sheet).toContainText(/\d,\d\s%/)
  await expect(sheet).not.toContainText(/\d\.\d\s%/)
  await expect(sheet).toContainText(/Gegangen am \d+\. [A-ZÄÖÜ][a-zä]+ \d{4}/)
})

test('another language is chosen in the daybook and kept', async ({ page }) => {
  await page.goto('/daybook/device')
  // Nothing is opened anew: what the page holds is still there.
  await page.evaluate(() => Object.assign(window, { held: 'typed before' }))
  await page.getByRole('group', { name: 'Sprache' }).getByRole('button', { name: 'English' }).click()
  await expect(page.getByRole('heading', { name: 'Language' })).toBeVisible()
  await page.getByRole('link', { name: 'Bench' }).click()
  await expect(page.getByTestId('verdict')).toHaveText('Nothing seen yet')
  expect(await page.evaluate(() => (window as unknown as { held?: string }).held)).toBe('typed before')
  await page.goto('/rounds')
  await expect(page.getByRole('link', { name: 'Plant book' })).toBeVisible()
  await expect(page.locator('html')).toHaveAttribute('lang', 'en')
})

test('what the server refuses is said in German too', async ({ page }) => {
  await page.goto('/daybook/device')
  const file = { name: 'kopie.zip', mimeType: 'application/zip', buffer: Buffer.from('not a zip at all') }
  await page.getByLabel('Ist diese Kopie ganz?').setInputFiles(file)
  await expect(page.getByText(/^kopie\.zip: Diese Datei ist kein ZIP oder nur ein Teil von einem\.$/)).toBeVisible()
})
