import { expect, type Page } from '@playwright/test'
import { goInside } from './inside.ts'
import { test } from './onePage.ts'

/** What somebody new asks of a counted round, each answered within two taps of opening it, at a desk and on a phone. */
const idOf = async (page: Page, title: string) => {
  const list = (await (await page.request.get('/api/rounds')).json()) as { id: string; title: string }[]
  return list.find((r) => r.title === title)!.id
}

interface Question {
  asks: string
  /** Links that are touched, in order. */
  taps: RegExp[]
  answer: (page: Page) => Promise<void>
}

const questions: Question[] = [
  {
    asks: 'what is it made of',
    taps: [],
    answer: (page) => expect(page.getByRole('button', { name: /^Velvetgrass 23\s% \(17 to 30/ }).first()).toBeVisible(),
  },
  {
    asks: 'may the horses go in',
    taps: [/^Harm/],
    answer: (page) =>
      expect(page.getByText(/^horses, standing: not for them until this is out .*Adds up over/)).toBeVisible(),
  },
  {
    asks: 'what is it worth now',
    taps: [/^Worth/],
    answer: (page) => expect(page.getByRole('row', { name: /^Energy \(ME\) [\d.]+ Mcal\/kg/ })).toBeVisible(),
  },
  {
    asks: 'how long for my herd',
    taps: [/^Stock/],
    answer: (page) => expect(page.getByTestId('days')).toContainText(/^[\d.]+ days, [\d.]+ to [\d.]+, for 8 on/),
  },
  {
    asks: 'which page do I sign',
    taps: [/^Pages/],
    answer: (page) =>
      expect(page.getByRole('article', { name: 'Page for the client' })).toContainText('Draft, not signed'),
  },
  {
    asks: 'what changed since last year',
    taps: [/^Changed/],
    answer: (page) => expect(page.getByRole('img', { name: /^Both rounds plant by plant: / })).toBeVisible(),
  },
]

/** Questions whose answer is the ground of a chapter: beside it at a desk, one turn of the leaf away on a phone. */
const onTheGround: Question[] = [
  {
    asks: 'where are the ragworts',
    taps: [],
    answer: (page) =>
      expect(page.getByRole('img', { name: /Map: Tansy ragwort was met at 8 of 30 stops/ })).toBeVisible(),
  },
  {
    asks: 'what to do this week',
    taps: [/^Do/],
    answer: (page) =>
      expect(page.getByRole('region', { name: 'The plan for Pond Paddock' })).toContainText(/lift the crown.*By /),
  },
]

async function answered(page: Page, { asks, taps, answer }: Question, turn = false) {
  await test.step(asks, async () => {
    await goInside(page, '/rounds')
    await goInside(page, `/rounds/${await idOf(page, 'Harm walk and count')}/weigh-up`)
    for (const name of taps) {
      const before = page.url()
      await page.getByRole('link', { name }).click()
      await expect(page).not.toHaveURL(before)
    }
    if (turn) await page.getByRole('button', { name: /^turn to/ }).click()
    expect(taps.length + Number(turn)).toBeLessThanOrEqual(2)
    await answer(page)
  })
}

test('at a desk each question is answered at most one touch from the opened round', async ({ page }) => {
  for (const q of [...questions, ...onTheGround]) await answered(page, q)
})

test('on a phone each question is answered within two touches', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  for (const q of questions) {
    // The pages of the hand-over lie behind what stands in the way of signing them.
    await answered(page, q, q.asks === 'which page do I sign')
  }
  for (const q of onTheGround) await answered(page, q, true)
})

test('a plant that is touched is lit in chart, table and map; a stop tells what was met; the map comes nearer by keys', async ({
  page,
}) => {
  await goInside(page, `/rounds/${await idOf(page, 'Harm walk and count')}/weigh-up/made-of`)
  const map = page.getByRole('img', { name: /^Map: / })
  await expect(map).toHaveAccessibleName(/^Map: Tansy ragwort/)
  // By its row in the table.
  await page.getByRole('button', { name: 'White clover (small and intermediate)' }).click()
  await expect(map).toHaveAccessibleName(/^Map: White clover/)
  const inChart = page.getByRole('button', { name: /^White clover 8\.7\s%/ })
  await expect(inChart).toHaveAttribute('aria-pressed', 'true')
  // By keys alone.
  await page.getByRole('button', { name: /^Red fescue 13\s%/ }).focus()
  await page.keyboard.press('Enter')
  await expect(map).toHaveAccessibleName(/^Map: Red fescue/)
  await expect(inChart).toHaveAttribute('aria-pressed', 'false')
  // It is still lit after another chapter was read.
  await page.getByRole('link', { name: /^Year/ }).click()
  await page.getByRole('link', { name: /^Made of/ }).click()
  await expect(map).toHaveAccessibleName(/^Map: Red fescue/)

  await map.locator('circle').first().click()
  await expect(page.getByText(/^Stop 1: .*(Velvetgrass|Perennial ryegrass) \d+/)).toBeVisible()
  const nearer = page.getByRole('button', { name: 'Nearer' })
  const bar = () => map.locator('text').filter({ hasText: / m$/ }).textContent()
  const before = await bar()
  await page.getByRole('group', { name: /^Map: plus and minus/ }).focus()
  await page.keyboard.press('+')
  await page.keyboard.press('+')
  await expect.poll(bar).not.toBe(before)
  await page.keyboard.press('0')
  await expect.poll(bar).toBe(before)
  await nearer.click()
  await expect(page.getByRole('button', { name: 'Farther' })).toBeEnabled()
})

test('anything is found by a few letters: a plant by another name, a paddock, a word, a screen', async ({ page }) => {
  await goInside(page, '/rounds')
  await page.getByRole('heading', { name: 'Rounds', level: 1 }).waitFor()
  const find = async (text: string) => {
    await page.keyboard.press('Control+k')
    const box = page.getByRole('combobox', { name: 'Find anything' })
    await box.fill(text)
    return page.getByRole('dialog').getByRole('option').first()
  }
  await expect(await find('yorkshire fog')).toContainText('Velvetgrass')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/\/plants\/velvetgrass$/)
  await expect(await find('pond paddock')).toContainText('Pond Paddock')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await (await find('auricle')).waitFor()
  await page.getByRole('dialog').getByRole('option', { name: 'Auricle', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Auricle' })).toBeVisible()
  await expect(await find('copies')).toContainText('Units, names, language, copies')
  await page.getByRole('combobox', { name: 'Find anything' }).fill('zzqq')
  await expect(page.getByText('Nothing of that name is here.')).toBeVisible()
})
