import { expect, test, type Page } from '@playwright/test'
import { freshBench } from './inside.ts'

// Plants as manuals describe them: Hitchcock & Chase 1951, Hubbard, Stace, Uva et al. 1997, Kingsbury 1964; from memory.

const verdict = (page: Page) => page.getByTestId('verdict')

async function open(page: Page) {
  await freshBench(page)
}

/** Find the look, then press the number that stands on its drawn answer. */
async function byKeys(page: Page, title: string, answer: string) {
  await page.keyboard.press('/')
  await page.getByRole('textbox', { name: 'Find a plant or a character' }).fill(title)
  await page.keyboard.press('Enter')
  const drawn = page.getByRole('button', { name: new RegExp(`^[0-9]?\\s*${answer}\\s*[0-9]?$`) })
  // Numbers stand on nine answers at a time; 0 turns to the next nine.
  await expect(drawn).toBeVisible()
  for (let i = 0; i < 3 && !/[0-9]/.test(await drawn.innerText()); i++) {
    await page.keyboard.press('0')
    await page.waitForTimeout(100)
  }
  await page.keyboard.press(/[0-9]/.exec(await drawn.innerText())![0])
  await expect(page.getByRole('button', { name: new RegExp(`^Change ${title}: ${answer}`) })).toBeVisible()
}

/** Touch a part of the drawn plant, choose the look among those it offers, and touch the drawn answer. */
async function byParts(page: Page, part: string, title: string, answer: string) {
  await page.getByRole('button', { name: `Look at the ${part}` }).press('Enter')
  await page.getByText(`On the ${part}:`).waitFor()
  await page.getByRole('button', { name: new RegExp(`^${title}(?! [a-z])`) }).click()
  await page.getByRole('button', { name: new RegExp(`^[0-9]?\\s*${answer}\\s*[0-9]?$`) }).click()
  await expect(page.getByRole('button', { name: new RegExp(`^Change ${title}: ${answer}`) })).toBeVisible()
}

const keyed: [name: string, looks: [string, string][]][] = [
  [
    'Soft rush',
    [
      ['Kind of plant', 'rush'],
      ['Leaf rows', 'leafless'],
      ['Shoot across', 'round'],
      ['Inside the stem', 'pithy'],
      ['Base colour', 'straw brown'],
    ],
  ],
  [
    'Big sagebrush',
    [
      ['Kind of plant', 'shrub'],
      ['Smell', 'sage'],
      ['Leaf edge', 'three tipped'],
      ['Leaf coat', 'silver grey'],
    ],
  ],
  [
    'Whorled milkweed',
    [
      ['Sap', 'milky'],
      ['Leaf setting', 'whorled'],
      ['Leaf outline', 'linear'],
      ['Kind of plant', 'broad leaf'],
      ['Leaf edge', 'rolled under'],
    ],
  ],
  [
    'Lambsquarters',
    [
      ['Leaf coat', 'mealy or salty'],
      ['Leaf outline', 'diamond'],
      ['Leaf setting', 'alternate'],
      ['Kind of plant', 'broad leaf'],
      ['Leaf edge', 'coarse teeth'],
      ['Hairs on the stem', 'none'],
    ],
  ],
  [
    'Yellow nutsedge',
    [
      ['Kind of plant', 'sedge'],
      ['Shoot across', 'three angled'],
      ['Shine', 'glossy on both sides'],
      ['Root', 'tubers'],
      ['Blade colour', 'light green'],
      ['Look of the underground stem', 'thin and pale'],
    ],
  ],
]

test('five plants are named by keyboard alone', async ({ page }) => {
  test.setTimeout(240_000)
  await open(page)
  for (const [name, looks] of keyed) {
    for (const [title, answer] of looks) await byKeys(page, title, answer)
    await expect(verdict(page)).toContainText(new RegExp(`^${name}: right about`))
    await page.getByRole('button', { name: 'New plant' }).click()
    await expect(verdict(page)).toHaveText('Nothing seen yet')
  }
})

const touched: [name: string, kind: string, looks: [part: string, title: string, answer: string][]][] = [
  [
    'Cocklebur',
    'broad leaf',
    [
      ['leaf', 'Leaf setting', 'alternate'],
      ['leaf', 'Blade feel', 'sandpapery'],
      ['stem', 'Stem marks', 'purple blotched'],
      ['leaf', 'Leaf veins', 'three main'],
    ],
  ],
  [
    'Leafy spurge',
    'broad leaf',
    [
      ['leaf', 'Leaf outline', 'linear'],
      ['leaf', 'Leaf setting', 'alternate'],
      ['stem', 'Sap', 'milky'],
      ['below ground', 'Root', 'creeping root'],
    ],
  ],
  [
    'Ground ivy',
    'broad leaf',
    [
      ['leaf', 'Leaf outline', 'round or kidney'],
      ['leaf', 'Leaf setting', 'opposite'],
      ['stem', 'Shoot across', 'square'],
      ['leaf', 'Smell', 'minty'],
    ],
  ],
  [
    'Buffalograss',
    'grass',
    [
      ['below ground', 'Spread', 'runners that root \\(stolon\\)'],
      ['collar', 'Ligule', 'hairs'],
      ['blade', 'Blade colour', 'grey green'],
      ['blade', 'How leaves hang', 'drooping'],
    ],
  ],
]

test('more are named by touching parts of the drawn plant, with a correction on the way', async ({ page }) => {
  test.setTimeout(240_000)
  await open(page)
  for (const [name, kind, looks] of touched) {
    await page.getByRole('button', { name: kind, exact: false }).first().click()
    await page.getByRole('button', { name: /^Change Kind of plant/ }).waitFor()
    for (const [part, title, answer] of looks) await byParts(page, part, title, answer)
    await expect(page.locator('ol li').filter({ hasText: name }).first()).toBeVisible()
    await page.getByRole('button', { name: 'New plant' }).click()
    await expect(verdict(page)).toHaveText('Nothing seen yet')
  }
  // A tenth, with a slip put right: hemlock has no hairs on its stem.
  await page.getByRole('button', { name: 'broad leaf', exact: false }).first().click()
  await page.getByRole('button', { name: /^Change Kind of plant/ }).waitFor()
  await byParts(page, 'leaf', 'Leaf outline', 'like a fern')
  await byKeys(page, 'Leaf setting', 'alternate')
  await byParts(page, 'stem', 'Hairs on the stem', 'dense')
  await byParts(page, 'stem', 'Stem marks', 'purple blotched')
  await page.getByRole('button', { name: /^Change Hairs on the stem/ }).click()
  await page.getByRole('button', { name: /^[0-9]?\s*none\s*[0-9]?$/ }).click()
  await byKeys(page, 'Smell', 'mousy and rank')
  await expect(verdict(page)).toContainText('Poison hemlock: right about')
})

test('a common plant is written down in six taps and well under 25 seconds at a human pace', async ({ page }) => {
  await open(page)
  const from = Date.now()
  let taps = 0
  const tap = async (name: RegExp) => {
    await page.waitForTimeout(1500)
    await page.getByRole('button', { name }).first().click()
    taps++
  }
  await tap(/rush/)
  await page.getByRole('button', { name: /^Change Kind of plant/ }).waitFor()
  for (const answer of [/leafless/, /pithy/, /straw brown/]) await tap(answer)
  await expect(verdict(page)).toContainText('Soft rush: right about')
  await tap(/^Write down soft rush/)
  await expect(page.getByText('Soft rush was written down.')).toBeVisible()
  expect(taps).toBeLessThanOrEqual(6)
  expect(Date.now() - from).toBeLessThan(25_000)
})

test('the verdict can be replayed look by look', async ({ page }) => {
  await open(page)
  await page.getByRole('button', { name: 'broad leaf', exact: false }).first().click()
  await page.getByRole('button', { name: /^Change Kind of plant/ }).waitFor()
  await byKeys(page, 'Leaf outline', 'feathery')
  await byKeys(page, 'Smell', 'carroty')
  await page.getByText('How it came about').click()
  await page.getByRole('button', { name: /^1\. Kind of plant: broad leaf/ }).click()
  await expect(page.getByText('As it stood after 1 of 3 looks.')).toBeVisible()
  await expect(verdict(page)).not.toContainText('wild carrot')
  await page.getByRole('button', { name: 'Back to now' }).click()
  await expect(verdict(page)).toContainText('wild carrot')
})

/** What stands at hedge, in wet meadow, in a southern pasture and in a drilled field, each as far as the book goes. */
const further: [name: RegExp, stage: string | undefined, looks: [string, string][]][] = [
  [
    /^Black cherry/,
    undefined,
    [
      ['Kind of plant', 'shrub'],
      ['Buds on the twig', 'single'],
      ['Bark of the trunk', 'lines across'],
      ['Bark of a twig', 'dotted with pores'],
      ['Smell', 'bitter almond'],
      ['Look of a bud', 'many scales'],
      ['Spread', 'single crown'],
    ],
  ],
  [
    /^Capeweed/,
    undefined,
    [
      ['Kind of plant', 'broad leaf'],
      ['Leaf coat', 'woolly under'],
      ['Hairs beneath', 'woolly'],
      ['Leaf setting', 'rosette'],
      ['Leaf outline', 'pinnately cut'],
      ['Sap', 'clear'],
      ['Leaf edge', 'coarse teeth'],
    ],
  ],
  [
    /^Barley/,
    'seedling',
    [
      ['Kind of plant', 'grass'],
      ['Auricles', 'clasping'],
      ['Auricle edge', 'bare'],
      ['Old seed', 'large and pale'],
      ['Shine', 'dull'],
      ['Newest leaf', 'rolled'],
      ['Hairs above', 'none'],
    ],
  ],
]

test('a cherry twig, a southern weed and a seedling of barley are named', async ({ page }) => {
  test.setTimeout(240_000)
  await open(page)
  for (const [name, stage, looks] of further) {
    if (stage) {
      await page.getByText('vegetative, anywhere').click()
      await page.getByLabel('Stage').selectOption(stage)
    }
    for (const [title, answer] of looks) await byKeys(page, title, answer)
    await expect(verdict(page)).toContainText(name)
    await page.getByRole('button', { name: 'New plant' }).click()
    await expect(verdict(page)).toHaveText('Nothing seen yet')
  }
})

test('a sedge in head is asked whether its fruit is ripe: unripe it ends in the group, ripe it has a name', async ({
  page,
}) => {
  await open(page)
  await page.getByText('vegetative, anywhere').click()
  await page.getByLabel('Stage').selectOption('flowering')
  await byKeys(page, 'Kind of plant', 'sedge')
  await page.keyboard.press('n')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Is the fruit of the sedge ripe?')
  await page.getByRole('button', { name: /^[0-9]?\s*unripe/ }).click()
  await byKeys(page, 'Spikes', 'many alike')
  await byKeys(page, 'End of a spike', 'sacs to tip')
  await byKeys(page, 'Sac shape', 'flat with wings')
  await byKeys(page, 'Scale against the sac', 'as long')
  await expect(verdict(page)).toHaveText(/^Sedges/)
  await page.getByRole('button', { name: /^Change Ripe or not/ }).click()
  await page.getByRole('button', { name: /^[0-9]?\s*ripe\s*[0-9]?$/ }).click()
  await byKeys(page, 'Stigmas', 'two')
  await expect(verdict(page)).toHaveText(/^Oval sedge/)
})
