import { expect, test, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'

const verdict = (page: Page) => page.getByTestId('verdict')

async function describe(page: Page) {
  await page.goto('/bench')
  await expect(verdict(page)).toHaveText('Nothing seen yet')
  await page.getByRole('button', { name: 'broad leaf', exact: false }).first().click()
  for (const [title, answer] of [
    ['Leaf outline', 'round or kidney'],
    ['Sap', 'yellow or orange'],
  ] as const) {
    await page.keyboard.press('/')
    await page.getByRole('textbox', { name: 'Find a plant or a character' }).fill(title)
    await page.keyboard.press('Enter')
    await page.getByRole('button', { name: answer, exact: false }).first().click()
    await page.getByRole('button', { name: new RegExp(`^Change ${title}`) }).waitFor()
  }
  await page.getByLabel('Where').fill('Mill Bank, under the hedge')
}

// The smallest picture there is: one pixel, PNG.
const pixel = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR4nGNgYGBgAAAABQABpfZFQAAAAABJRU5ErkJggg==',
  'base64',
)

test('a plant that is not in the book is kept under a letter, with a picture, and reopened after a reload', async ({
  page,
}) => {
  await describe(page)
  await page
    .getByLabel('Add a picture')
    .setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('not a picture') })
  await expect(page.getByText('Only JPEG, PNG or WebP pictures can be kept.')).toBeVisible()
  await page.getByLabel('Add a picture').setInputFiles({ name: 'leaf.png', mimeType: 'image/png', buffer: pixel })
  await expect(page.getByRole('img', { name: 'Picture 1 of this plant' })).toBeVisible()
  await page.getByRole('button', { name: /keep it under a letter/ }).click()
  const said = await page
    .getByRole('status')
    .filter({ hasText: /Kept as unknown [A-Z]/ })
    .innerText()
  const letter = /unknown ([A-Z]+)/.exec(said)![1]!
  await page.getByRole('button', { name: 'New plant' }).click()
  await page.reload()
  await page.getByRole('button', { name: new RegExp(`Unknown ${letter}.*Mill Bank.*3 looks`) }).click()
  await expect(page.getByRole('button', { name: /^Change Sap: yellow or orange/ })).toBeVisible()
  await expect(page.getByLabel('Where')).toHaveValue('Mill Bank, under the hedge')
  await expect(page.getByRole('img', { name: 'Picture 1 of this plant' })).toBeVisible()
  // Once it is named it no longer waits.
  await page.getByRole('button', { name: /^Write down/ }).click()
  await expect(page.getByText('was written down.')).toBeVisible()
  await page.getByRole('button', { name: 'New plant' }).click()
  await expect(page.getByRole('button', { name: new RegExp(`Unknown ${letter}\\b`) })).toHaveCount(0)
})

test('a sheet is sent, answered by a colleague, and comes back with a second opinion', async ({ page }) => {
  await describe(page)
  await page.getByLabel('Note').fill('Rabbits leave it alone')
  const sending = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Send for a second opinion' }).click()
  const sent = await (await sending).path()
  expect(JSON.parse(readFileSync(sent, 'utf8'))).toMatchObject({
    kind: 'fold-sprig specimen',
    note: 'Rabbits leave it alone',
  })
  await page.getByRole('button', { name: 'New plant' }).click()

  await page
    .getByLabel('Open a sheet that was sent')
    .setInputFiles({ name: 'odd.json', mimeType: 'application/json', buffer: Buffer.from('{"a": 1}') })
  await expect(page.getByText('odd.json: This file is not a specimen sheet.')).toBeVisible()
  await page.getByLabel('Open a sheet that was sent').setInputFiles(sent)
  const asked = page.getByRole('region', { name: /Sent for your opinion, from Mill Bank/ })
  await expect(asked).toContainText('Rabbits leave it alone')
  await asked.getByLabel('Your name').fill('R. Hale')
  await asked.getByLabel('What you would tell them').fill('Look at it again in flower')
  const answering = page.waitForEvent('download')
  await asked.getByRole('button', { name: /^Answer: (?!not known)/ }).click()
  const answered = await (await answering).path()
  await page.getByRole('button', { name: 'New plant' }).click()

  await page.getByLabel('Open a sheet that was sent').setInputFiles(answered)
  const opinion = page.getByRole('region', { name: /Second opinion of R\. Hale/ })
  await expect(opinion).toContainText('Look at it again in flower')
  await opinion.getByRole('button', { name: /^Write down/ }).click()
  await expect(page.getByText('was written down.')).toBeVisible()
})

test('the sheet prints with the drawing, what was seen, and room for an answer', async ({ page }) => {
  await describe(page)
  await page.getByRole('link', { name: 'Print the sheet' }).click()
  const sheet = page.getByRole('article', { name: 'Specimen sheet' })
  await expect(sheet).toContainText('Mill Bank, under the hedge')
  await expect(sheet).toContainText('round or kidney')
  await expect(sheet).toContainText('Your name for it')
  await expect(sheet.getByRole('img', { name: /The plant as far as it was seen/ })).toBeVisible()
})
