import { expect, test } from '@playwright/test'

test('a frame is counted from a picture: made straight, its points named under the lens, a map beside that corrects nothing by itself', async ({
  page,
}) => {
  test.setTimeout(180_000)
  await page.goto('/count-here')
  await page.getByLabel('Where').selectOption({ label: 'River Meadow, Lower Ham Commoners' })
  await page.getByRole('button', { name: /^Points on a picture of a frame/ }).click()
  await page.getByRole('button', { name: 'A painted frame (simulated)' }).click()
  const corners = page.getByTestId('corners')
  await expect(corners.getByRole('img', { name: 'The picture of the frame' })).toBeVisible()
  const box = (await corners.boundingBox())!
  // The painted frame lies askew: its corners as a finger would touch them.
  for (const [x, y] of [
    [0.12, 0.15],
    [0.88, 0.11],
    [0.92, 0.87],
    [0.08, 0.9],
  ] as const)
    // prettier-ignore
    await corners.click({ position: { x: x * box.width, y: y * box.height } })
  await page.getByRole('button', { name: 'Make it straight' }).click()
  await expect(page.getByTestId('point-at-hand')).toContainText('Point 1 of 49')
  await page.keyboard.type('20')
  await page.keyboard.press('a')
  await expect(page.getByTestId('point-at-hand')).toContainText('Point 21 of 49')
  await page.getByRole('button', { name: 'Show the map' }).click()
  await expect(page.getByText('leaf of a legume')).toBeVisible()
  await page.keyboard.type('29')
  await page.keyboard.press('b')
  await expect(page.getByText('Every point of this frame is named.')).toBeVisible()
  // A picture is still there after a reload: it stays on the device.
  await page.getByText('The map of this frame is learned and kept.').waitFor({ timeout: 60_000 })
  await page.reload()
  await expect(page.getByText('Every point of this frame is named.')).toBeVisible()
  await page.keyboard.press('Enter')
  await page.getByRole('link', { name: 'Weigh up what is counted' }).click()
  const table = page.getByRole('region', { name: 'From the pictures' })
  await expect(table.getByRole('row', { name: /^leaf 41\s%/ })).toBeVisible()
  await expect(table.getByRole('row', { name: /^bare ground 59\s%/ })).toBeVisible()
  await expect(table).toContainText('it may be wrong and the figure is not')
})

test('a file that is no picture is refused in words', async ({ page }) => {
  await page.goto('/count-here')
  await page.getByRole('button', { name: /^Points on a picture of a frame/ }).click()
  await page
    .getByRole('region', { name: 'Picture of the frame' })
    .locator('input[type=file]')
    .setInputFiles({ name: 'note.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') })
  await expect(page.getByText('This file is no picture that the browser can read.')).toBeVisible()
})
