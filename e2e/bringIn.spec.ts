import { expect, type Page } from '@playwright/test'
import { goInside } from './inside.ts'
import { test } from './onePage.ts'
import JSZip from 'jszip'
import { ownServer } from './ownServer.ts'

/** Files from elsewhere: looked at, put right, taken in; a hostile one changes nothing. */
const { address, start, end } = ownServer(4175)
test.beforeAll(start)
test.afterAll(end)

const rounds = async () => (await (await fetch(`${address}/api/rounds`)).json()) as { id: string; title: string }[]

async function open(page: Page, name: string, content: string | Buffer) {
  const buffer = typeof content === 'string' ? Buffer.from(content) : content
  await page.getByLabel(/Choose (a|another) file/).setInputFiles({ name, mimeType: 'application/octet-stream', buffer })
}

test('a table with strange headings is mapped, a slip in a name is put right, and the round can be weighed up', async ({
  page,
}) => {
  await goInside(page, `${address}/rounds`)
  await page.getByRole('link', { name: 'Read a table or archive of finds' }).click()
  const table = [
    'Where;What grows;How much;Who',
    'A1;Lolium perenne;40;Perrin',
    'A1;White clovr;15,5;Perrin',
    'A1;Bare ground;5;Perrin',
    'A2;Festuca arundinacea;60;Perrin',
    'A2;=HYPERLINK("http://x");3;Perrin',
    'A2;Dactylis glomerata;lots;Perrin',
  ].join('\n')
  await open(page, 'finds of may.csv', table)
  // Headings that say nothing: the person says what they hold.
  await expect(page.getByText('Say which column holds the names of the plants.')).toBeVisible()
  await page.getByLabel('Column "Where" holds').selectOption({ label: 'Stop, plot or frame' })
  await page.getByLabel('Column "What grows" holds').selectOption({ label: 'Name of the plant' })
  await page.getByLabel('Column "How much" holds').selectOption({ label: 'Amount' })
  await expect(page.getByTestId('read-says')).toContainText('2 frames with 3 names, as "Cover classes in frames"')
  const left = page.getByRole('region', { name: 'Not understood, and left out' })
  await expect(left).toContainText('an amount that is not a number: "lots" (row 6)')
  await expect(left).toContainText('HYPERLINK')
  await left.getByRole('button', { name: 'Read as White clover' }).click()
  await expect(page.getByTestId('read-says')).toContainText('with 4 names')
  expect(
    (await rounds()).some((r) => r.title === 'finds of may'),
    'only looked at so far',
  ).toBe(false)

  await page.getByLabel('Paddock').selectOption({ label: 'Withy Bank Goat Dairy, Long Croft' })
  await page.getByLabel('Day it was counted').fill('2026-05-07')
  await page.getByLabel('What it says').getByRole('button', { name: 'Take it in' }).click()
  await expect(page.getByRole('heading', { name: 'What it is made of' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'What was counted' })).toContainText('White clover')
  await expect(page.getByRole('row', { name: /Tall fescue.* 60/ })).toBeVisible()
  expect((await rounds()).filter((r) => r.title === 'finds of may')).toHaveLength(1)
})

test('the archive that the app writes comes back as the round it was', async ({ page }) => {
  const { id } = (await rounds()).find((r) => r.title === 'Hay worth')!
  const archive = Buffer.from(await (await fetch(`${address}/api/rounds/${id}/files/darwin-core.zip`)).arrayBuffer())
  await goInside(page, `${address}/rounds/bring-in`)
  await open(page, 'darwin-core.zip', archive)
  await expect(page.getByTestId('read-says')).toContainText('24 stops')
  await expect(page.getByText('Everything in the file was understood.')).toBeVisible()
  await page.getByLabel('Paddock').selectOption({ label: 'Lower Ham Commoners, River Meadow' })
  await page.getByLabel('What it says').getByRole('button', { name: 'Take it in' }).click()
  await expect(page.getByRole('region', { name: 'What it is made of' })).toContainText('Orchardgrass')
})

test('places marked in a map program become stops to be counted', async ({ page }) => {
  await goInside(page, `${address}/rounds/bring-in`)
  const mark = (name: string, at: string) => `<Placemark><name>${name}</name><Point><coordinates>${at}</coordinates></Point></Placemark>` // prettier-ignore
  const walk = '<Placemark><LineString><coordinates>-29.41,45.61 -29.409,45.611</coordinates></LineString></Placemark>'
  const text = `<kml xmlns="http://www.opengis.net/kml/2.2"><Folder>${mark('Gate', '-29.4101,45.6101,0')}${mark('Ditch', '-29.4093,45.6108')}${walk}</Folder></kml>`
  await open(page, 'marks.kml', text)
  await expect(page.getByText('KML.', { exact: true })).toBeVisible()
  await expect(page.getByTestId('read-says')).toContainText('2 more still to count')
  await expect(page.getByText('a LineString: not a stop')).toBeVisible()
})

test('a bad or hostile file is refused with the reason, and nothing is changed', async ({ page }) => {
  const before = await rounds()
  await goInside(page, `${address}/rounds/bring-in`)
  const bomb = await new JSZip()
    .file('meta.xml', new Uint8Array(60_000_000))
    .generateAsync({ type: 'nodebuffer', compression: 'DEFLATE' })
  for (const [name, content, says] of [
    ['bomb.zip', bomb, 'unpacks to far more than it should hold'],
    ['empty.csv', '', 'is empty'],
    ['one.csv', 'only one column\n1\n', 'is not a table'],
    ['not.zip', Buffer.from('PK\u0003\u0004 broken'), 'could not be opened as a zip archive'],
    ['picture.csv', Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 1]), 'is not text'],
    ['bad.geojson', '{"type": "FeatureCollection", "features": [', 'could not be read as JSON'],
    [
      'deep.geojson',
      `${'{"type":"Feature","geometry":'.repeat(5000)}null${'}'.repeat(5000)}`,
      'not a GeoJSON collection',
    ],
    ['swell.gpx', '<!DOCTYPE x [<!ENTITY a "aaaa">]><gpx>&a;</gpx>', 'declares entities'],
    ['huge.csv', Buffer.alloc(10_000_001, 'a'), 'larger than 10 MB'],
  ] as const) {
    await open(page, name, content)
    await expect(page.getByRole('alert'), name).toContainText(says)
  }
  await expect(page.getByRole('button', { name: 'Take it in' })).toHaveCount(0)
  expect(await rounds()).toEqual(before)
})

test('stock that is typed here is there on another device', async ({ page, browser }) => {
  const { id } = (await rounds()).find((r) => r.title === 'Harm walk and count')!
  await goInside(page, `${address}/rounds/${id}/weigh-up/stock`)
  const saved = page.waitForResponse((r) => r.url().includes('/api/kept/herd/') && r.ok())
  await page.getByRole('combobox', { name: 'Stock' }).selectOption('ewe-twins')
  await saved
  const herd = page.getByRole('region', { name: 'How long, for how many' })
  await herd.getByLabel('Days wanted').fill('14')
  await expect(herd.getByTestId('other-way')).toContainText(/For 14 days it feeds \d+ \(\d+ to \d+\); 8 would need/)
  await expect.poll(async () => JSON.stringify(await (await fetch(`${address}/api/kept`)).json())).toContain('14')

  const other = await (await browser.newContext({ serviceWorkers: 'block' })).newPage()
  await other.goto(`${address}/rounds/${id}/weigh-up/stock`)
  await expect(other.getByRole('combobox', { name: 'Stock' })).toHaveValue('ewe-twins')
  await expect(other.getByLabel('Days wanted')).toHaveValue('14')
  await other.context().close()
})

test('what could be sown goes by the tag of the bag, through the drill, into the plan', async ({ page }) => {
  const { id } = (await rounds()).find((r) => r.title === 'Harm walk and count')!
  await goInside(page, `${address}/rounds/${id}/weigh-up/stock`)
  const sow = page.getByRole('region', { name: 'What could be sown' })
  const keep = async (animal: string) => {
    await page.getByRole('link', { name: /^Stock/ }).click()
    await page.getByRole('combobox', { name: 'Stock' }).selectOption(animal)
    await page.getByRole('link', { name: /^Sow/ }).click()
  }
  // Red clover can harm the breeding of ewes: a caution, for it is a matter of when they graze it.
  await keep('ewe-twins')
  await expect(sow.getByRole('group').filter({ hasText: 'Red clover' })).toContainText(
    /Only so: with the inoculant of its kind.*Caution:.*sheep: oestrogens/,
  )
  await keep('cow-suckling')
  await sow.getByText('Red clover', { exact: true }).click()
  const red = sow.getByRole('group').filter({ hasText: 'Red clover' })
  await red.getByLabel('Live seed, kg/ha').fill('6')
  await red.getByLabel('Purity, %').fill('96')
  await red.getByLabel('Germination, %').fill('75')
  await red.getByLabel('Hard or dormant, %').fill('0')
  await red.getByLabel('Coat, %').fill('0')
  // By hand: 6 / (0.96 x 0.75) = 8.33 kg/ha; 6 kg x 600,000 over 10,000 m2 = 360 seeds; on 30 m x 2.5 m 62.5 g.
  await expect(red.getByTestId('to-buy')).toContainText('8.3 kg/ha as bought')
  await expect(red.getByTestId('to-buy')).toContainText('360 live seeds on a square metre')
  await expect(red.getByTestId('drill-check')).toContainText('should drop 63 g')
  await red.getByLabel('It dropped, g').fill('50')
  await expect(red.getByTestId('drill-check')).toContainText('50 g is 6.7 kg/ha, too little by 20 in 100')
  await red.getByLabel('Purity, %').fill('960')
  await expect(red.getByText(/Purity and germination are between 1 and 100 %/)).toBeVisible()
  await red.getByLabel('Purity, %').fill('96')
  await red.getByRole('button', { name: 'Put it in the plan' }).click()
  await expect(sow.getByRole('status')).toContainText('In the plan: Sow red clover: 8.3 kg/ha as bought')
  await goInside(page, `${address}/rounds/${id}/hand-over`)
  await expect(page.getByRole('row', { name: /Sow red clover: 8.3 kg\/ha/ })).toBeVisible()
})

test('the appendix for colleagues stands on pages of its own, with what each figure stands on', async ({ page }) => {
  const { id } = (await rounds()).find((r) => r.title === 'Harm walk and count')!
  await goInside(page, `${address}/rounds/${id}/hand-over`)
  await expect(page.getByRole('region', { name: 'Appendix for colleagues' })).toHaveCount(0)
  await page.getByLabel('With an appendix for colleagues').check()
  const appendix = page.getByRole('region', { name: 'Appendix for colleagues' })
  await expect(appendix.getByRole('row', { name: /Velvetgrass Holcus lanatus 23 % \(17 to 30 %\)/ })).toBeVisible()
  await expect(appendix).toContainText('Korn and Graubard limits')
  // Limits that hold for all plants together are wider than those of one alone.
  await expect(appendix.getByRole('columnheader', { name: 'All at once, 95 %' })).toBeVisible()
  await expect(appendix).toContainText('Goodman 1965')
  await expect(appendix).toContainText('Part by part')
  await expect(appendix.getByRole('row', { name: /Frothy bloat/ })).toContainText(/White clover.*none for the field/)
})
