import { expect, type Page } from '@playwright/test'
import { goInside } from './inside.ts'
import { test } from './onePage.ts'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { ownServer } from './ownServer.ts'

/** From counts to what a client keeps: what to do, the plan, and two printed pages, whose words are read back. */
const { address, start, end } = ownServer(4174)

interface Summary {
  id: string
  title: string
}
interface Counted {
  pointsPerStop: number
  stops: { id: string; seq: number }[]
}

test.beforeAll(start)
test.afterAll(end)

const summaries = async () => (await (await fetch(`${address}/api/rounds`)).json()) as Summary[]
const titled = async (title: string) => (await summaries()).find((r) => r.title === title)!

/** Text of each page of what the browser would print. */
async function printed(page: Page, format: 'A4' | 'Letter'): Promise<string[]> {
  const pdf = await getDocument({ data: new Uint8Array(await page.pdf({ format })) }).promise
  return Promise.all(
    Array.from({ length: pdf.numPages }, async (_, i) => {
      const { items } = await (await pdf.getPage(i + 1)).getTextContent()
      return items
        .map((item) => ('str' in item ? item.str : ''))
        .join(' ')
        .replace(/\s+/g, ' ')
    }),
  )
}

/** Count a planned round through the API, every stop alike but for one hit. */
async function count(title: string, plants: string[]) {
  const { id } = await titled(title)
  const round = (await (await fetch(`${address}/api/rounds/${id}`)).json()) as Counted
  for (const stop of round.stops) {
    const hits = Array.from({ length: round.pointsPerStop }, (_, i) => ({
      taxon: plants[(i + (i === 0 ? stop.seq : 0)) % plants.length]!,
      amount: 1,
    }))
    const body = { id: stop.id, hits, doneAt: '2027-04-02T09:00:00.000Z' }
    const { ok } = await fetch(`${address}/api/rounds/${id}/stops/${stop.seq}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    })
    expect(ok, `stop ${stop.seq} of ${title}`).toBe(true)
  }
  return id
}

test('what to do goes from the weigh-up into the plan, to the first screen, and onto the page', async ({ page }) => {
  const { id } = await titled('Harm walk and count')
  await goInside(page, `${address}/rounds/${id}/weigh-up/do`)
  const act = page.getByRole('region', { name: 'What to do' })
  await act.getByText('Bull thistle').click()
  const thistle = act.getByRole('group').filter({ hasText: 'Bull thistle' })
  await thistle.getByLabel('Stage it stands in').selectOption('flowering')
  await expect(thistle.getByText(/No longer: Too late/)).toBeVisible()
  await thistle.getByLabel('Stage it stands in').selectOption('rosette')
  await thistle.getByRole('button', { name: 'Put it in the plan' }).first().click()
  await expect(thistle.getByRole('button', { name: 'In the plan', exact: true })).toBeDisabled()

  const plan = page.getByRole('region', { name: 'The plan for Pond Paddock' })
  const line = plan.getByRole('listitem').filter({ hasText: 'Bull thistle' })
  await line.getByText('Who, when, what came of it').click()
  await line.getByLabel('Who').fill('Perrin Oakhanger')
  await line.getByLabel('Who').blur()
  await expect(line.getByText(/Perrin Oakhanger/)).toBeVisible()
  await plan.getByLabel('Something else to do').fill('Fence off the pond')
  await plan.getByRole('button', { name: 'Add it' }).click()
  await expect(plan.getByText('Fence off the pond')).toBeVisible()

  await goInside(page, `${address}/rounds`)
  const due = page.getByRole('region', { name: 'To do within two weeks' })
  await expect(due.getByText('Fence off the pond')).toBeVisible()
  await due.getByRole('checkbox', { name: /Fence off the pond/ }).check()
  await page.reload()
  // Ticked off today: still there, so that a slip can be taken back.
  await expect(due.getByRole('checkbox', { name: /Fence off the pond/ })).toBeChecked()

  await goInside(page, `${address}/rounds/${id}/hand-over`)
  const client = page.getByRole('article', { name: 'Page for the client' })
  await expect(client.getByRole('row', { name: /Bull thistle.*Perrin Oakhanger/ })).toBeVisible()
  await expect(client.getByText('Fence off the pond')).toHaveCount(0)
  // What is read on the page is what the weigh-up says.
  const share = /tansy ragwort \(Jacobaea vulgaris\), ([\d.]+)\s%/i.exec(await client.innerText())![1]!
  await goInside(page, `${address}/rounds/${id}/weigh-up/harm`)
  await expect(page.getByRole('region', { name: 'What could harm' })).toContainText(
    new RegExp(`Tansy ragwort, ${share}\\s%`),
  )
})

test('the sward is read under another outlook with one switch', async ({ page }) => {
  const { id } = await titled('Harm walk and count')
  await goInside(page, `${address}/rounds/${id}/weigh-up/says`)
  const read = page.getByRole('region', { name: 'Read as' })
  await expect(read).toContainText('Mostly refused')
  await read.getByRole('radio', { name: 'hay' }).click()
  await expect(read).toContainText(/Harmful in hay: .*Tansy ragwort/)
  await read.getByRole('radio', { name: 'turf' }).click()
  await expect(read).toContainText(/mowing height/i)
})

test('the doses and the table of harm are for the stock that is kept', async ({ page }) => {
  const { id } = await titled('Harm walk and count')
  await goInside(page, `${address}/rounds/${id}/weigh-up/stock`)
  await page.getByRole('combobox', { name: 'Stock' }).selectOption('horse-idle')
  await page.getByRole('link', { name: /^Harm/ }).click()
  const harm = page.getByRole('region', { name: 'What could harm' })
  // 3 to 25 % of 500 kg (Burrows & Tyrl and extension sheets, from memory).
  await expect(harm).toContainText('one animal of 500 kg (Horse, no work) that ate 15 kg to 125 kg')
  await harm.getByText(/By animal, standing/).click()
  await expect(harm.getByRole('row', { name: /Tansy ragwort horses/ })).toContainText('reported harmful')
  const table = harm.getByRole('group', { name: 'Plants by animal and form' })
  await expect(table.getByRole('row', { name: /cattle/ })).toHaveCount(0)
})

test('a laboratory result, opened from a file, stands beside the estimate and on the page', async ({ page }) => {
  const { id } = await titled('Hay worth')
  await goInside(page, `${address}/rounds/${id}/weigh-up/worth`)
  const lab = page.getByRole('region', { name: 'Laboratory' })
  await lab.getByText('Type or open a result').click()
  const open = (text: string) =>
    lab
      .getByLabel('Open a CSV file')
      .setInputFiles({ name: 'lab.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await open('Sample,CP,ADF\n7,14,30\n')
  await expect(lab.getByRole('alert')).toContainText('There is no column for NDF.')
  await open('Sample,CP,ADF,NDF,NO3-N\n7,14.0,41,53,1500\n')
  // A nitrate is looked at by a person before anything is said of it.
  await lab.getByRole('button', { name: /nitrate read as 1500 ppm NO3-N/ }).click()
  await expect(lab).toContainText(/Sample 7.*Relative feed value 100 \(/)
  await expect(lab).toContainText(/1500 ppm NO3-N \(6645 ppm as NO3\).*at most half of the ration/)
  await goInside(page, `${address}/rounds/${id}/hand-over`)
  await expect(page.getByRole('article')).toContainText('Laboratory, sample 7: crude protein 14.0 %')
  await expect(page.getByRole('article')).toContainText(/Nitrate: 1,?500 ppm NO3-N.*at most half of the ration/)
})

const places = [
  ['Before turnout', 'Read for grazing', ['perennial-ryegrass', 'timothy', 'white-clover', 'poison-hemlock', 'bare']],
  ['Harm walk and count', 'Read for grazing', undefined],
  ['Hay worth', 'Read for hay', undefined],
  ['Wear before the season', 'Read for turf', undefined],
  ['First spring after sowing', 'Read as a native planting', ['switchgrass', 'canada-thistle', 'bare', 'dandelion']],
] as const

for (const [title, heading, plants] of places)
  test(`two pages for "${title}", on A4 and on Letter, every figure with its range`, async ({ page }) => {
    const id = plants ? await count(title, [...plants]) : (await titled(title)).id
    await goInside(page, `${address}/rounds/${id}/hand-over`)
    await expect(page.getByRole('heading', { name: heading })).toBeVisible()
    for (const format of ['A4', 'Letter'] as const) {
      const pages = await printed(page, format)
      expect(pages, format).toHaveLength(2)
      const text = pages.join(' ')
      expect(pages[0]).toContain('What could harm stock or people')
      expect(text).toContain(heading)
      expect(text).toContain('What to do')
      expect(pages[1]).toContain('not a veterinary, medical or legal service')
      expect(text).not.toMatch(/\bsafe\b/i)
      if (title === 'Harm walk and count')
        expect(pages[0]).toMatch(
          /Grazed or as hay, [^:]*horses[^:]*: not for them until this is out and it was walked again \(tansy ragwort/,
        )
      // What becomes of each harm in hay goes by its kind: bloat is of the green plant, oestrogens stay.
      if (title === 'Hay worth') expect(pages[0]).toMatch(/bloat, as hay less.*sheep: oestrogens, as hay too/)
      if (plants?.[3] === 'poison-hemlock') expect(pages[0]).toMatch(/Found: poison hemlock.*Call a veterinarian/)
      // "Mostly a 23 % (17 to 30 %), b 18 % (...": none stands alone.
      const opening = /Mostly (.*?)\. Counted/.exec(pages[0]!)![1]!
      expect(opening.match(/% \(/g)!.length).toBe(opening.match(/\d %(?! ?\))/g)!.length)
    }
  })

test('the pages are saved as one file that opens without a server', async ({ page, context }) => {
  await goInside(page, `${address}/rounds/${(await titled('Harm walk and count')).id}/hand-over`)
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save them as one file' }).click(),
  ])
  expect(saved.suggestedFilename()).toMatch(/^pond-paddock-[\d-]+\.html$/)
  const file = test.info().outputPath('page.html')
  await saved.saveAs(file)
  await context.setOffline(true)
  const alone = await context.newPage()
  const asked: string[] = []
  alone.on('request', (r) => asked.push(r.url()))
  await alone.goto(`file://${file}`)
  await expect(alone.getByRole('heading', { name: /Pond Paddock/ })).toBeVisible()
  await expect(alone.getByText('Found: tansy ragwort', { exact: true })).toBeVisible()
  await expect(alone.locator('script')).toHaveCount(0)
  expect(asked.filter((u) => !/^(file|data):/.test(u))).toEqual([])
})

test('the pages fit a phone: nothing reaches over the edge', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  // Turned to while the pages are still on their way: they lie on top when they come.
  let go = () => {}
  const held = new Promise<void>((r) => (go = r))
  await page.route('**/assets/HandOverView-*.js', async (route) => {
    await held
    await route.continue()
  })
  await page.goto(`${address}/rounds/${(await titled('Harm walk and count')).id}/hand-over`, { waitUntil: 'commit' })
  await page.getByRole('button', { name: /turn to/ }).click()
  await expect(page.getByText('Working out the pages …')).toBeVisible()
  go()
  await expect(page.getByRole('list', { name: 'The plants that matter, drawn' })).toBeVisible()
  const wide = await page.evaluate(() => document.documentElement.scrollWidth)
  expect(wide).toBeLessThanOrEqual(390)
})
