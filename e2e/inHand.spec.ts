import { chromium, expect, test } from '@playwright/test'

test('a plant is taken in the hand: built, turned by keys, held under the lens and to the sky, pulled up', async ({
  baseURL,
}) => {
  test.setTimeout(180_000)
  // A browser of its own, since it draws in three dimensions by software.
  const browser = await chromium.launch({
    executablePath: test.info().project.use.launchOptions!.executablePath!,
    args: ['--no-sandbox', '--use-angle=swiftshader', '--enable-unsafe-swiftshader', '--ignore-gpu-blocklist'],
  })
  try {
    const page = await browser.newPage({ viewport: { width: 900, height: 900 }, locale: 'en-GB' })
    await page.goto(`${baseURL}/plants/tall-fescue`)
    await page.getByRole('button', { name: 'Take it in the hand' }).click()
    const status = page.getByRole('region', { name: 'In the hand' }).getByRole('status')
    await expect(status).toContainText('Stands in the light', { timeout: 60_000 })
    const plant = page.getByRole('application', { name: /^Tall fescue.* in three dimensions/ })
    /** How many points of the picture are of the plant, and a sum that another picture would hardly have. */
    const seen = () =>
      plant.evaluate((on: HTMLCanvasElement) => {
        const flat = document.createElement('canvas')
        flat.width = flat.height = 100
        const context = flat.getContext('2d')!
        context.drawImage(on, 0, 0, 100, 100)
        const { data } = context.getImageData(0, 0, 100, 100)
        let [drawn, sum] = [0, 0]
        for (let i = 0; i < data.length; i += 4) {
          if (data[i + 3]! > 128) drawn++
          sum += data[i]! * (i % 97) + data[i + 1]!
        }
        return { drawn, sum }
      })
    await expect.poll(async () => (await seen()).drawn).toBeGreaterThan(500)
    const standing = await seen()
    await plant.focus()
    await page.keyboard.press('ArrowRight')
    await page.keyboard.press('ArrowRight')
    await expect.poll(async () => (await seen()).sum).not.toBe(standing.sum)
    await page.getByRole('button', { name: 'Pull it up' }).click()
    await expect(status).toContainText('Roots: fibrous')
    // Without its soil less of the picture is filled.
    await expect.poll(async () => (await seen()).drawn).toBeLessThan(standing.drawn)
    await page.getByRole('button', { name: 'Hold it to the sky' }).click()
    await expect(status).toContainText('Held to the sky')
    await page.getByRole('button', { name: 'Hand lens' }).click()
    await expect(status).toContainText('ten times nearer')
    await page.getByRole('button', { name: 'Hand lens' }).click()
    // An open panicle (Hitchcock and Chase 1951, from memory).
    await page.getByRole('button', { name: 'Its head, when lucky' }).click()
    await expect(status).toContainText('Seed head: open panicle')
  } finally {
    await browser.close()
  }
})

test('a browser that draws nothing in three dimensions says so, and the drawing serves', async ({ page }) => {
  await page.addInitScript(() => {
    HTMLCanvasElement.prototype.getContext = () => null
  })
  await page.goto('/plants/tall-fescue')
  await page.getByRole('button', { name: 'Take it in the hand' }).click()
  await expect(
    page.getByText('This browser draws nothing in three dimensions: the drawing above serves.'),
  ).toBeVisible()
})

test('pictures of plants stand in the book; where they cannot be had the ink drawing serves', async ({ page }) => {
  await page.goto('/plants/white-clover')
  const picture = page.getByRole('img', { name: /drawn without its flower/ })
  await expect
    .poll(() => picture.evaluate((img) => (img instanceof HTMLImageElement ? img.naturalWidth : 0)))
    .toBeGreaterThan(300)
  await page.route('**/plates/**', (route) => route.abort())
  await page.goto('/plants/red-clover')
  // The drawing has its close looks beside it.
  await expect(page.locator('svg.portrait[role="img"]')).toBeVisible()
})

test('a name is practised on a specimen in the hand: looks cost effort, a wrong name is shown beside the right one', async ({
  baseURL,
}) => {
  test.setTimeout(180_000)
  const browser = await chromium.launch({
    executablePath: test.info().project.use.launchOptions!.executablePath!,
    args: ['--no-sandbox', '--use-angle=swiftshader', '--enable-unsafe-swiftshader', '--ignore-gpu-blocklist'],
  })
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 900 }, locale: 'en-GB' })
    await page.goto(`${baseURL}/practice`)
    await page.getByRole('button', { name: /^Name it/ }).click()
    await expect(page.getByText('Effort so far 0 of 12', { exact: false })).toBeVisible({ timeout: 60_000 })
    await page.getByRole('application', { name: /^The specimen in three dimensions/ }).focus()
    await page.getByRole('button', { name: 'Hand lens' }).click()
    await expect(page.getByText('Effort so far 2 of 12', { exact: false })).toBeVisible()
    await page.getByRole('button', { name: 'Hand lens' }).click()
    await page.getByRole('button', { name: 'Hold it to the sky' }).click()
    await expect(page.getByText('Effort so far 3 of 12', { exact: false })).toBeVisible()
    // A bush is never taken for this: the name is wrong whatever the specimen is.
    await page.getByLabel('Or any plant of the book').fill('Oleander')
    await page.getByRole('button', { name: /7 in 10/ }).click()
    await expect(page.getByTestId('outcome')).toContainText('Not so')
    // By hand: 1 - 0.7 squared is 0.51 of 100.
    await expect(page.getByTestId('outcome')).toContainText('51 of 100 points')
    await expect(page.getByTestId('outcome').getByRole('img', { name: 'Oleander' })).toBeVisible({ timeout: 60_000 })
    await page.getByRole('button', { name: 'Turn both' }).click()
  } finally {
    await browser.close()
  }
})

test('a tray of seed is looked over with a lens, and told in words to those who ask', async ({ page }) => {
  await page.goto('/practice')
  await page.getByRole('button', { name: /^Seed tray/ }).click()
  const tray = page.getByRole('application', { name: /^60 seeds on a tray/ })
  await expect(tray).toBeVisible()
  await tray.focus()
  await page.keyboard.press('ArrowRight')
  await page.getByText('In words', { exact: true }).click()
  await expect(page.getByText(/about [\d.]+ mm/)).toBeVisible()
})
