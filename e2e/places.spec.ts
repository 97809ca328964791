import { area } from '@turf/area'
import type { Polygon } from 'geojson'
import { randomUUID } from 'node:crypto'
import { expect, type Page } from '@playwright/test'
import { goInside } from './inside.ts'
import { test } from './onePage.ts'

interface Paddock {
  id: string
  holdingId: string
  name: string
  outlook: string
  strata: unknown[]
}

const idOf = async (page: Page, title: string) => {
  const list = (await (await page.request.get('/api/rounds')).json()) as { id: string; title: string }[]
  return list.find((r) => r.title === title)!.id
}

test('a found poison, an unnamed plant and a client page for the livery yard', async ({ page }) => {
  const id = await idOf(page, 'Harm walk and count')
  await goInside(page, `/rounds/${id}/weigh-up`)
  await page.getByRole('link', { name: /^Harm found: tansy ragwort/ }).click()
  const harm = page.getByRole('region', { name: 'What could harm' })
  await expect(harm).toContainText(/Found: Tansy ragwort, [\d.]+\s%/)
  await expect(harm).toContainText('liver')
  await expect(harm).toContainText('Not found is not the same as not there')
  await expect(harm).toContainText('unknown A')
  await harm.getByText('Cautions with the feed plants').click()
  await expect(harm).toContainText('horses')
  await page.getByRole('link', { name: /^Worth/ }).click()
  await page.getByRole('radio', { name: 'Headed' }).click()
  await expect(page.getByText(/Cut, dried and baled now it would be about .* grass hay by protein/)).toBeVisible()
  await expect(page.getByText('Rohweder, Barnes & Jorgensen 1978', { exact: false })).toBeVisible()
  await expect(page.getByRole('link', { name: /Next.*Name unknown A/ })).toBeVisible()
  await goInside(page, `/rounds/${id}/hand-over`)
  const sheet = page.getByRole('article', { name: 'Page for the client' })
  await expect(sheet).toContainText('Found: tansy ragwort (Jacobaea vulgaris)')
  expect(await sheet.innerText()).not.toMatch(/\bsafe\b/i)
})

test('how long a herd can stay, from a guess and then from a measured mass', async ({ page }) => {
  await goInside(page, `/rounds/${await idOf(page, 'Hay worth')}/weigh-up/stock`)
  const herd = page.getByRole('region', { name: 'How long, for how many' })
  await page.getByRole('combobox', { name: 'Stock' }).selectOption({ label: 'Milking doe, 3 kg a day' })
  await page.getByLabel('How many', { exact: true }).fill('60')
  await page.getByLabel('Left standing, kg/ha').fill('1200')
  await expect(herd.getByTestId('days')).toContainText('for 60 on')
  await expect(herd).toContainText('The standing mass is a guess')
  const middle = async () => Number((await herd.getByTestId('days').textContent())!.split(' ')[0])
  const before = await middle()
  // Twice as many stay half as long.
  await page.getByLabel('How many', { exact: true }).fill('120')
  await expect.poll(middle).toBeCloseTo(before / 2, 0)
  await expect(herd.getByRole('list', { name: 'Needs' })).toContainText(
    /protein\s*needs 0\.34 kg a day, takes in 0\.\d+/i,
  )
  expect(await herd.innerText()).not.toMatch(/\bsafe\b/i)
  await page.reload()
  await expect(page.getByLabel('How many', { exact: true })).toHaveValue('120')
})

test('read in acres and pounds: shown and typed so, kept as before', async ({ page }) => {
  const id = await idOf(page, 'Hay worth')
  await goInside(page, '/daybook/device')
  await page.getByRole('button', { name: 'acres, pounds, yards' }).click()
  await goInside(page, `/rounds/${id}/weigh-up/stock`)
  const herd = page.getByRole('region', { name: 'How long, for how many' })
  const days = async () => (await herd.getByTestId('days').textContent())!.split(' days')[0]
  await page.getByRole('combobox', { name: 'Stock' }).selectOption({ label: 'Milking doe, 3 kg a day' })
  await page.getByLabel('Left standing, lb/acre').fill('1071')
  await page.getByLabel('Standing, lb/acre (a guess)').fill('2677')
  await expect(herd.getByTestId('days')).toContainText('acres')
  const inAcres = await days()
  await goInside(page, '/daybook/device')
  await page.getByRole('button', { name: 'hectares, kilograms, metres' }).click()
  await goInside(page, `/rounds/${id}/weigh-up/stock`)
  // 1071 and 2677 lb an acre are 1200 and 3001 kg a hectare (NIST SP 811).
  await expect(page.getByLabel('Left standing, kg/ha')).toHaveValue('1200')
  await expect(page.getByLabel('Standing, kg/ha (a guess)')).toHaveValue('3001')
  expect(await days()).toBe(inAcres)
  await expect(herd.getByTestId('days')).toContainText('ha')
})

test('the files can be taken along', async ({ page }) => {
  const id = await idOf(page, 'Hay worth')
  await goInside(page, `/rounds/${id}/hand-over`)
  const download = page.waitForEvent('download')
  await page.getByRole('link', { name: /composition\.csv/ }).click()
  expect((await download).suggestedFilename()).toBe('composition.csv')
  // What was written for a map is read as a boundary again, by a package that knows the format.
  const map = page.waitForEvent('download')
  await page.getByRole('link', { name: /stops\.kml/ }).click()
  await goInside(page, '/rounds')
  await page.getByRole('link', { name: 'A new paddock' }).click()
  await page.getByLabel('Open GeoJSON, GPX or KML').setInputFiles(await (await map).path())
  const { paddock } = (await (await page.request.get(`/api/rounds/${id}`)).json()) as { paddock: { boundary: Polygon } }
  await expect(page.getByTestId('area')).toHaveText(`${(area(paddock.boundary) / 10_000).toFixed(2)} ha`)
})

test('a paddock from a GeoJSON file, a round laid into it, and clear words for a bad file', async ({ page }) => {
  await goInside(page, '/rounds')
  await page.getByRole('link', { name: 'A new paddock' }).click()
  const file = (name: string, text: string) => ({ name, mimeType: 'application/geo+json', buffer: Buffer.from(text) })
  const boundary = page.getByLabel('Open GeoJSON, GPX or KML')
  await page.getByLabel('Name of the paddock').fill('Hill Piece')
  await boundary.setInputFiles(file('bad.geojson', 'not json at all'))
  await expect(page.getByText('bad.geojson is not GeoJSON')).toBeVisible()
  await expect(page.getByLabel('Name of the paddock')).toHaveValue('Hill Piece')
  await boundary.setInputFiles(file('point.geojson', '{"type":"Point","coordinates":[0,0]}'))
  await expect(page.getByText('A boundary must be a Polygon')).toBeVisible()
  await boundary.setInputFiles(file('bad.gpx', '<gpx><trk'))
  await expect(page.getByText('bad.gpx is neither GPX nor KML')).toBeVisible()
  // A walk round the edge: 0.002 degrees of latitude are 222.6 m, of longitude here 155.7 m, so 3.47 ha.
  const ring = [
    [-29.41, 45.61],
    [-29.408, 45.61],
    [-29.408, 45.612],
    [-29.41, 45.612],
  ]
  // An area as map programs write it (OGC 07-147r2: longitude first, height after it); half as wide, so half as large.
  const half = ring.map(([lon, lat]) => `${lon === -29.408 ? -29.409 : lon},${lat},0`)
  await boundary.setInputFiles(
    file(
      'half.kml',
      `<?xml version="1.0"?><kml xmlns="http://www.opengis.net/kml/2.2"><Document><Placemark><name>Hill</name><Polygon><outerBoundaryIs><LinearRing><coordinates>${[...half, half[0]].join(' ')}</coordinates></LinearRing></outerBoundaryIs></Polygon></Placemark></Document></kml>`,
    ),
  )
  await expect(page.getByTestId('area')).toHaveText(/^1\.7[34] ha$/)
  const track = ring.map(([lon, lat]) => `<trkpt lat="${lat}" lon="${lon}"/>`).join('')
  await boundary.setInputFiles(
    file(
      'hill.gpx',
      `<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>${track}</trkseg></trk></gpx>`,
    ),
  )
  await expect(page.getByTestId('area')).toHaveText(/^3\.4[67] ha$/)
  await page.getByRole('button', { name: 'Keep the paddock' }).last().click()
  await page.getByRole('link', { name: /Plan a round here/ }).click()
  await expect(page.getByLabel('Paddock', { exact: true }).locator('option:checked')).toContainText('Hill Piece')
  await page.getByLabel('Title').fill('First look')
  await page.getByLabel('Stops', { exact: true }).fill('15')
  await expect(page.getByRole('img', { name: 'Map of Hill Piece with 15 stops' })).toBeVisible()
  await page.getByRole('button', { name: 'Lay the route' }).first().click()
  await expect(page.getByRole('heading', { name: 'Stop 1 of 15' })).toBeVisible()
  await page.getByRole('link', { name: 'Rounds' }).click()
  await page.getByRole('button', { name: /Hill Piece/ }).click()
  await expect(page.getByText('Step points, first hit, 15 stops of 20 points')).toBeVisible()
})

test('a paddock is drawn by keys alone', async ({ page }) => {
  await goInside(page, '/places/new')
  await page.getByLabel('Name of the paddock').fill('Keyed Piece')
  const grid = page.getByRole('application')
  await grid.focus()
  // A step is a quarter of a square of 50 m: eight steps are 100 m, so a right triangle of half a hectare.
  await page.keyboard.press('Enter')
  for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowRight')
  await expect(page.getByText('The cross stands 0 m north and 100 m east.')).toBeVisible()
  await page.keyboard.press('Enter')
  for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Backspace')
  await page.getByRole('button', { name: 'Close the line' }).click()
  await expect(page.getByTestId('area')).toHaveText('0.50 ha')
})

test('a paddock drawn by hand, a part kept out of the walk, and its history', async ({ page }) => {
  await goInside(page, '/places/new')
  await page.getByLabel('Name of the paddock').fill('Drawn Piece')
  const grid = page.getByRole('application')
  const at = (x: number, y: number) => grid.click({ position: { x, y } })
  await expect(page.getByRole('button', { name: 'Close the line' })).toBeDisabled()
  for (const [x, y] of [
    [60, 60],
    [420, 60],
    [420, 420],
    [60, 420],
  ] as const)
    await at(x, y)
  await page.getByRole('button', { name: 'Close the line' }).click()
  await expect(page.getByTestId('area')).toHaveText(/ ha$/)
  await page.getByRole('button', { name: 'Draw a part' }).click()
  await page.getByLabel('Kind of part').selectOption('gateway')
  for (const [x, y] of [
    [70, 70],
    [160, 70],
    [160, 160],
  ] as const)
    await at(x, y)
  await page.getByRole('button', { name: 'Close the line' }).click()
  await expect(page.getByLabel('kept out of the walk')).toBeChecked()
  await page.getByRole('button', { name: 'Keep the paddock' }).last().click()
  await expect(page.getByRole('heading', { name: 'Drawn Piece' })).toBeVisible()
  await page.getByText('Write something down').click()
  await page.getByLabel('What', { exact: true }).selectOption('sown')
  await page.getByLabel('Plant that was sown').selectOption({ label: 'Timothy' })
  await page.getByLabel('Timothy: kilograms a hectare').fill('12')
  await page.getByLabel('Timothy: pure live seed').fill('85')
  // 12 kg of seed, 85 in 100 of it live.
  await expect(page.getByText('10.2 kg live')).toBeVisible()
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText('Timothy 12 kg/ha at 85 % live')).toBeVisible()
  await expect(page.getByText('to send')).toHaveCount(0)
  await page.reload()
  await expect(page.getByText('Timothy 12 kg/ha at 85 % live')).toBeVisible()
  await expect(page.getByText('gateway,')).toBeVisible()
  // Another name for the holding, and its old one again: other journeys look for it.
  const rename = async (from: string, to: string) => {
    await page.getByText('Rename the holding or its client').click()
    const name = page.getByLabel('Name of this holding')
    await expect(name).toHaveValue(from)
    await name.fill(to)
    await page.getByRole('button', { name: 'Keep the names' }).click()
    await expect(page.getByLabel('Holding', { exact: true }).locator('option:checked')).toHaveText(to)
    await page.reload()
    await expect(page.getByLabel('Holding', { exact: true }).locator('option:checked')).toHaveText(to)
  }
  const before = (await page.getByLabel('Holding', { exact: true }).locator('option:checked').textContent())!
  await rename(before, 'Old Mill Holding')
  await rename('Old Mill Holding', before)
})

test('a paddock that a colleague changes meanwhile: both are kept, and what meets is shown in both versions', async ({
  page,
  request,
}) => {
  const { holdings, paddocks } = (await (await request.get('/api/places')).json()) as {
    holdings: { id: string }[]
    paddocks: Paddock[]
  }
  const before: Paddock = {
    ...paddocks[0]!,
    id: randomUUID(),
    holdingId: holdings[0]!.id,
    name: 'Two Hands',
    strata: [],
  }
  await request.post('/api/paddocks', { data: before })
  const now = async () => ((await (await request.get(`/api/paddocks/${before.id}`)).json()) as { paddock: Paddock }).paddock // prettier-ignore
  const colleague = (patch: Partial<Paddock>) => request.put(`/api/paddocks/${before.id}`, { data: { ...before, ...patch } }) // prettier-ignore
  await goInside(page, `/places/${before.id}`)
  const name = page.getByLabel('Name of the paddock')
  const keep = page.getByRole('button', { name: 'Keep the paddock' })
  await name.fill('Both Hands')
  await colleague({ outlook: 'native' })
  await keep.click()
  await expect.poll(now).toMatchObject({ name: 'Both Hands', outlook: 'native' })
  await colleague({ name: 'Left Hand', outlook: 'hay' })
  await name.fill('Right Hand')
  await keep.click()
  const twice = page.getByRole('region', { name: 'Changed on two devices' })
  await expect(twice).toContainText('Name: Right Hand')
  await expect(twice).toContainText('Name: Left Hand')
  await expect(twice).not.toContainText('Read as')
  await page.reload()
  await expect(twice).toContainText('Left Hand')
  await twice.getByRole('button', { name: 'Keep this one' }).first().click()
  await expect(twice).toHaveCount(0)
  // The name was chosen; what only the colleague had changed stands.
  await expect.poll(now).toMatchObject({ name: 'Right Hand', outlook: 'hay' })
})

test('the open dune-meadow table is loaded by a button, and its diversity is the published one', async ({ page }) => {
  await goInside(page, '/rounds')
  await page.getByRole('button', { name: 'Load the open dune-meadow table' }).click()
  await expect(page.getByText('20 plots of 30 species are here')).toBeVisible()
  await page.getByRole('link', { name: 'Weigh-up' }).click()
  // R vegan 2.6-4: diversity(colMeans(dune)) = 3.08197, "simpson" 0.945244.
  await expect(page.getByTestId('diversity')).toContainText('30 plants; Shannon 3.082, Simpson 0.945')
  await expect(page.getByText('GPL-2', { exact: false }).first()).toBeVisible()
  const ryegrass = page.getByRole('row', { name: /Perennial ryegrass/ })
  await expect(ryegrass).toContainText('12 of 20')
})

test('the plant book finds by any name and tells the deciding check', async ({ page }) => {
  await goInside(page, '/plants')
  await page.getByRole('textbox', { name: 'Find a plant by any of its names' }).fill('cocksfoot')
  await page.getByRole('link', { name: /Orchardgrass/ }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Orchardgrass')
  await page.getByRole('link', { name: 'Taken for it' }).click()
  await expect(page.getByText('Decide by: shoot across').first()).toBeVisible()
  await goInside(page, '/plants/moss')
  await expect(page.getByRole('heading', { name: 'This screen could not be opened' })).toBeVisible()
  await page.getByRole('link', { name: 'Back to the rounds' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Rounds')
})

test('an address that is none says so, and the light can be changed', async ({ page }) => {
  await goInside(page, '/nowhere')
  await expect(page.getByRole('heading', { name: 'There is no such page' })).toBeVisible()
  await goInside(page, '/rounds')
  await page.getByRole('button', { name: /Light: day/ }).click()
  await expect(page.locator('html')).toHaveAttribute('data-mode', 'sun')
  await page.reload()
  await expect(page.locator('html')).toHaveAttribute('data-mode', 'sun')
})

test('all that is known of a paddock lies on one map whose layers come off, and its history along a line', async ({
  page,
}) => {
  const { paddocks } = (await (await page.request.get('/api/places')).json()) as { paddocks: { id: string; name: string }[] } // prettier-ignore
  await goInside(page, `/places/${paddocks.find((p) => p.name === 'Pond Paddock')!.id}`)
  // The made rounds of the demo: ragwort at 8, 7 and 1 stops.
  await expect(page.getByRole('img', { name: /Map of the paddock: \d{4}: tansy ragwort at 8 stops.*at 7 stops.*at one stop/ })).toBeVisible() // prettier-ignore
  await page.getByRole('checkbox', { name: /at 7 stops/ }).uncheck()
  const without = page.getByRole('img', { name: /^Map of the paddock/ })
  await expect(without).not.toHaveAccessibleName(/at 7 stops/)
  await expect(without).toHaveAccessibleName(/at 8 stops/)
  await page.getByRole('checkbox', { name: /^The walk of/ }).check()
  await expect(without).toHaveAccessibleName(/the walk of/)
  await expect(page.getByText('What was not met is not excluded.')).toBeVisible()
  await expect(page.getByRole('img', { name: /^Along the years: .*Grazed/ })).toBeVisible()
  await page.getByRole('link', { name: /^Harm walk and count, .*: what it says/ }).click()
  await expect(page).toHaveURL(/\/weigh-up/)
})
