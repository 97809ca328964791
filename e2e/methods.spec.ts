import { expect, type Page } from '@playwright/test'
import { goInside } from './inside.ts'
import { test } from './onePage.ts'

/** One round by each school, by keyboard, from the plan to a figure with its interval. */
async function lay(page: Page, method: string, stops: number, more?: () => Promise<unknown>) {
  await goInside(page, '/plan')
  await page.getByLabel('Paddock', { exact: true }).selectOption({ label: 'Long Croft, Withy Bank Goat Dairy' })
  await page.getByLabel('Method').selectOption({ label: method })
  await page.getByLabel(/^(Stop|Frame|Grid|Reading|Leg)s$/).fill(String(stops))
  await more?.()
  await page.getByRole('button', { name: 'Lay the route' }).first().click()
  await expect(page.getByTestId('points')).toBeVisible()
}

const press = async (page: Page, keys: string[]) => {
  for (const key of keys) await page.keyboard.press(key)
}
const soFar = (page: Page) => page.getByRole('region', { name: 'So far' })

test('turf grid: a number before the key counts that many', async ({ page }) => {
  await lay(page, 'Turf grid', 3)
  for (let i = 0; i < 3; i++) await press(page, ['1', '4', 'a', '5', 's', 'b', 'Enter'])
  // 14 of 20 in each: no grid differs from another, so exact limits of 42 in 60 (Clopper & Pearson 1934).
  await expect(soFar(page)).toContainText('60 points')
  await expect(soFar(page)).toContainText('70 % 57 to 81')
  await expect(page.getByTestId('uniformity')).toContainText(/varies by\s+0(\.0)?\s%/)
})

test('keys pressed while the counting is still on its way are counted, in their order', async ({ page, context }) => {
  await lay(page, 'Step points, first hit', 3)
  const address = page.url()
  await page.close()
  // A thin line: the round is known, the script of the counting is not there yet.
  const visit = await context.newPage()
  let go = () => {}
  const held = new Promise<void>((r) => (go = r))
  await visit.route('**/assets/CountView-*.js', async (route) => {
    await held
    await route.continue()
  })
  await visit.goto(address, { waitUntil: 'commit' })
  await expect(visit.getByText('0 of 3 stops counted. Opening …')).toBeVisible()
  await press(visit, ['3', 'a', 'd', ' '])
  // What is pressed on a button is the button's: the light changes, no stop is closed.
  await visit.getByRole('button', { name: /^Light/ }).press('Enter')
  go()
  await expect(visit.getByTestId('points')).toHaveText('5 of 20 points')
  await expect(visit.getByText(/Press Next stop again/)).toHaveCount(0)
  await press(visit, ['d'])
  await expect(visit.getByTestId('points')).toHaveText('6 of 20 points')
})

test('a stop touched on the map is gone to, the nearest one where the finger is wide', async ({ page }) => {
  await lay(page, 'Step points, first hit', 6)
  const map = soFar(page).getByRole('img', { name: /^Map of Long Croft/ })
  await map.locator('circle').nth(4).click()
  await expect(page.getByRole('heading', { name: 'Stop 5 of 6' })).toBeVisible()
  const second = (await map.locator('circle').nth(1).boundingBox())!
  await page.mouse.click(second.x + second.width / 2 + 6, second.y + second.height / 2 + 5)
  await expect(page.getByRole('heading', { name: 'Stop 2 of 6' })).toBeVisible()
})

test('layers: a plant counts once on a pin, and cover is by pins', async ({ page }) => {
  await lay(page, 'Pin points, all layers', 3, async () => page.getByLabel('Points a stop').fill('2'))
  for (let i = 0; i < 3; i++) await press(page, ['a', 'a', 'd', ' ', 'a', 'b', 'Enter'])
  await expect(page.getByRole('button', { name: 'Go back to stop 1, 2 points' })).toBeVisible()
  await expect(soFar(page)).toContainText('Cover, any layer: Perennial ryegrass 100')
  await expect(soFar(page)).toContainText('White clover (small and intermediate) 50')
})

test('cover classes: mid-points of both scales', async ({ page }) => {
  await lay(page, 'Cover classes in frames', 3)
  // Six classes, mid-points 37.5 and 15 (Daubenmire 1959): 37.5 / 52.5 = 71 %.
  for (let i = 0; i < 3; i++) await press(page, ['a', '3', 'd', '2', 'Enter'])
  await expect(soFar(page)).toContainText('71 %')
  await lay(page, 'Cover classes in frames', 3, async () => {
    await page.getByLabel('Scale').selectOption({ label: 'r + 1 to 5 (Braun-Blanquet)' })
  })
  // 87.5 against 0.5.
  for (let i = 0; i < 3; i++) await press(page, ['a', '5', 'd', '+', 'Enter'])
  await expect(soFar(page)).toContainText('99 %')
})

test('dry-weight rank: three ranks by three pairs of keys', async ({ page }) => {
  await lay(page, 'Dry-weight rank', 4)
  for (let i = 0; i < 4; i++) await press(page, ['a', '1', 's', '2', 'd', '3', 'Enter'])
  // 't Mannetje & Haydock 1963: 0.7019, 0.2108, 0.0873.
  for (const share of ['70 %', '21 %', '8.7 %']) await expect(soFar(page)).toContainText(share)
  await press(page, ['z', 'z'])
  await expect(page.getByRole('heading', { name: 'Frame 4 of 4' })).toBeVisible()
  await page.getByRole('textbox', { name: /Yield of the frame/ }).fill('3')
  await expect(page.getByTestId('points')).toHaveText('2 plants')
})

test('hand-sorted clips: weights typed or read from the scale, shares and mass', async ({ page }) => {
  await lay(page, 'Hand-sorted clips', 3, async () => page.getByLabel('Dry matter in what is cut').selectOption('0.2'))
  for (const grams of [60, 80, 100]) {
    await press(page, ['a'])
    await page.getByLabel('Weight in g').fill(String(grams))
    await page.keyboard.press('Enter')
    await press(page, ['d'])
    await page.getByLabel('Weight in g').fill('20')
    await page.keyboard.press('Enter')
    await page.keyboard.press('Enter')
  }
  // 240 of 300 g; 100 g fresh in 0.25 m2 at a fifth dry is 800 kg a hectare.
  await expect(soFar(page)).toContainText('80 %')
  await expect(page.getByTestId('mass')).toContainText('800 kg of dry matter a hectare')
})

test('frequency in nested frames, and in a grid walked with the arrow keys', async ({ page }) => {
  await lay(page, 'Frequency in nested frames', 4)
  for (const nest of ['1', '1', '2', '4']) await press(page, ['a', nest, 'Enter'])
  // In the smallest nest 2 of 4 frames: Wilson 1927 gives 15 to 85 %.
  await expect(soFar(page)).toContainText('Perennial ryegrass, 0.1 m')
  await expect(soFar(page)).toContainText('50 % 15 to 85')
  await lay(page, 'Frequency in a 5 by 5 grid', 3)
  for (let i = 0; i < 3; i++) {
    await press(page, ['a'])
    await page.getByRole('button', { name: 'Cell 1: empty' }).focus()
    await press(page, [' ', 'ArrowRight', ' ', 'ArrowDown', ' '])
    await page.getByRole('button', { name: 'Next grid Enter' }).click()
  }
  await expect(soFar(page)).toContainText('12 %')
  // 12 % of cells times 0.4 (Vogel & Masters 2001, from memory): 4.8 at the least; at random -ln 0.88 / 0.0225 m2, 5.7.
  await expect(soFar(page)).toContainText('Perennial ryegrass at the least 5 a m² (6)')
})

for (const [method, label] of [
  ['Plate meter', 'Compressed height'],
  ['Ruler height', 'Sward height'],
  ['Comparative yield', 'Score'],
] as const)
  test(`${method}: readings and a few clips give mass with its interval`, async ({ page }) => {
    await lay(page, method, 6)
    const readings = [1, 2, 3, 4, 5, 3]
    for (const [i, reading] of readings.entries()) {
      const field = page.getByLabel(label, { exact: true })
      await field.fill(String(reading))
      if (i < 5) {
        await page.getByRole('button', { name: 'Clip this one too' }).click()
        await page.getByLabel('Dry weight, when it is dried', { exact: true }).fill(String(10 + 10 * reading))
      }
      await field.focus()
      await page.keyboard.press('Enter')
    }
    // 10 + 10 x grams in 0.25 m2: on the line, at the mean reading 3, 40 g are 1600 kg a hectare.
    await expect(page.getByTestId('mass')).toContainText('1600 kg of dry matter a hectare')
    await expect(soFar(page)).toContainText('6 readings, 5 of them clipped')
    await page.getByRole('link', { name: /Weigh it up/ }).click()
    await expect(page.getByText('it does not add up to a sward')).toBeVisible()
  })

test('search walk: what was found, and what could be there though nothing was', async ({ page }) => {
  await lay(page, 'Search walk for a harmful plant', 2, async () => {
    await page.getByLabel('Plant looked for').selectOption({ label: 'Poison hemlock' })
    await page.getByLabel('Of the plants in it you would see').selectOption('1')
  })
  for (let i = 0; i < 2; i++) {
    await page.getByLabel('Metres walked on this leg').fill('500')
    await page.getByRole('button', { name: 'Next leg Enter' }).click()
  }
  // 1000 m by 4 m are 0.4 ha; one-sided 2.996 (Hanley & Lippman-Hand 1983), by an eye that may see 3 in 4: 10 a hectare.
  await expect(soFar(page)).toContainText(
    'Not found over 1000 m, but up to 10.0 a hectare could be there if they stand singly',
  )
  await page.getByRole('button', { name: /Poison hemlock/ }).click()
  // 1 in 0.4 ha: 2.5, 0.06 to 13.9 (Garwood 1936), the upper end over three quarters.
  await expect(soFar(page)).toContainText('1 found: 2.5 a hectare, 0.1 to 19')
})

test('a stop is skipped with a reason, another is added, and the way is told by a simulated GPS', async ({ page }) => {
  await lay(page, 'Step points, first hit', 3)
  await page.getByText('The way').click()
  await page.getByRole('button', { name: 'simulated GPS' }).click()
  await expect(page.getByText('within 4 m, simulated')).toBeVisible()
  await expect(page.getByTestId('way')).toContainText('from where you stand')
  await page.getByRole('button', { name: 'Skip this stop' }).click()
  await page.getByRole('button', { name: 'under water' }).click()
  await expect(page.getByText('skipped: under water')).toBeVisible()
  await page.getByRole('button', { name: 'Add a stop here' }).click()
  await expect(page.getByRole('heading', { name: 'Stop 4 of 4' })).toBeVisible()
  await press(page, ['2', '0', 'a'])
  await expect(page.getByText('to send')).toHaveCount(0)
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Stop 2 of 4' })).toBeVisible()
})

test('two observers at the same stops: agreement, bias, and a correction when asked', async ({ page }) => {
  await lay(page, 'Step points, first hit', 4, async () => page.getByLabel('Points a stop').fill('10'))
  const id = page.url().split('/').at(-1)!
  for (const n of ['6', '4', '7', '5']) await press(page, [n, 'a', '9', 'd', 'Enter'])
  await expect(page.getByText('to send')).toHaveCount(0)
  await goInside(page, `/rounds/${id}/beside`)
  await page.getByLabel('Another observer counts the same stops').fill('Wren')
  await page.getByRole('button', { name: 'Lay the same stops again' }).click()
  await expect(page.getByRole('heading', { name: 'Stop 1 of 4' })).toBeVisible()
  for (const n of ['8', '6', '8', '6']) await press(page, [n, 'a', '9', 'd', 'Enter'])
  await expect(page.getByText('to send')).toHaveCount(0)
  await goInside(page, `/rounds/${id}/beside`)
  // Ryegrass 22 of 40 against 28 of 40: a bias of 15 points, which the correction takes off again.
  const observers = page.getByRole('region', { name: 'Two observers' })
  await expect(observers).toContainText('Perennial ryegrass: first 55 %, Wren 70 %')
  await expect(observers).toContainText('Wren reads +15 %')
  // Leaders: ryegrass, clover, ryegrass, and a tie that goes to ryegrass; Wren ryegrass at all four: 3 of 4 alike.
  await expect(page.getByTestId('kappa')).toContainText('agree at 75 in 100 stops')
  await page.getByLabel(/Correct Wren by the bias/).check()
  await expect(page.getByTestId('corrected').first()).toContainText('55 %')
})

test('pocket sheet and field sheet for paper', async ({ page }) => {
  await lay(page, 'Step points, first hit', 6)
  const id = page.url().split('/').at(-1)!
  await goInside(page, `/rounds/${id}/pocket`)
  const pocket = page.getByRole('article', { name: 'Pocket sheet' })
  await expect(pocket).toContainText('Perennial ryegrass')
  await expect(pocket).toContainText('Harmful, to look for')
  await goInside(page, `/rounds/${id}/field-sheet`)
  const sheet = page.getByRole('article', { name: 'Field sheet' })
  await expect(sheet.getByRole('columnheader')).toHaveText(['stop', '1', '2', '3', '4', '5', '6'])
  await expect(sheet.getByRole('rowheader', { name: 'a Perennial ryegrass' })).toBeVisible()
})

test('frame of ten pins: ten pins a frame, the frame is the unit', async ({ page }) => {
  await lay(page, 'Frame of ten pins', 4)
  await press(page, [
    '6',
    'a',
    '4',
    's',
    'Enter',
    '2',
    'a',
    '8',
    's',
    'Enter',
    '7',
    'a',
    '3',
    'b',
    'Enter',
    '5',
    'a',
    '5',
    's',
    'Enter',
  ])
  await expect(soFar(page)).toContainText('40 points')
  // 20 of 40, standard error by frames 0.108: effective size 21.4 (40 if pins were independent), by the t of 3 against 39 degrees 8.7;
  // Clopper & Pearson of 4.3 in 8.7 (Korn & Graubard 1998, by hand).
  await expect(soFar(page)).toContainText('50 % 17 to 83')
})
