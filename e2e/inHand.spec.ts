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
