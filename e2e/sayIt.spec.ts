import { expect, test } from '@playwright/test'

test('a plant is named by words alone: what is said is underlined, stands as answers, and is corrected as one talks', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/bench')
  await page.getByRole('button', { name: /^Say it/ }).click()
  const line = page.getByRole('textbox', { name: 'Say it in your own words' })
  await expect(line).toBeFocused()
  await line.fill(
    'Hollow stem without hairs, purple blotches all over it, ferny leaves, smells of mice, white taproot.',
  )
  const understood = page.getByRole('list', { name: 'Understood' })
  await expect(understood.getByRole('listitem')).toHaveCount(7)
  await expect(understood).toContainText('Stem marks')
  await expect(page.getByTestId('said').locator('u').first()).toHaveText('Hollow stem')
  // Where it leads stands under the words: on a phone the other half is folded away.
  await expect(page.getByTestId('said-verdict')).toContainText('Poison hemlock')
  await page.getByRole('button', { name: 'Done' }).click()
  await page.getByRole('button', { name: 'What follows' }).click()
  await expect(page.getByRole('link', { name: 'Poison hemlock' }).first()).toBeVisible()
})

test('a word of two meanings is asked about, a wrong reading is taken away, an unknown word is taught', async ({
  page,
}) => {
  await page.goto('/bench')
  await expect(page.getByRole('button', { name: /^Say it/ })).toBeVisible()
  // The key is heard once the bench is there.
  await expect(async () => {
    await page.keyboard.press('i')
    await expect(page.getByRole('textbox', { name: 'Say it in your own words' })).toBeFocused({ timeout: 1000 })
  }).toPass()
  const line = page.getByRole('textbox', { name: 'Say it in your own words' })
  await line.fill('It is purple. Rolled, clasping auricles. Zebra stripes everywhere.')
  await expect(page.getByText('"purple": of which part?')).toBeVisible()
  const understood = page.getByRole('list', { name: 'Understood' })
  await expect(understood.getByRole('listitem')).toHaveCount(2)
  await page.getByRole('button', { name: 'Zebra stripes everywhere' }).click()
  await page.getByLabel('It is about').selectOption({ label: 'Base colour' })
  await page.getByRole('button', { name: 'pink veined' }).click()
  await expect(understood).toContainText('Base colour')
  await understood.getByRole('button', { name: 'Take away Newest leaf' }).click()
  await expect(understood).not.toContainText('Newest leaf')
  await line.press('End')
  await line.pressSequentially(' Shiny.')
  await expect(understood).toContainText('gloss')
  await expect(understood).not.toContainText('Newest leaf')
  await page.getByText('Words of ours').click()
  await page.getByRole('button', { name: 'Forget it' }).click()
  await expect(understood).not.toContainText('Base colour')
  // What was said of one plant is not said of the next.
  await page.getByRole('button', { name: 'New plant' }).click()
  await expect(line).toHaveValue('')
})

test('the same words by the API: observations, questions and a name', async ({ request }) => {
  const answer = await request.post('/api/describe', {
    data: { text: 'Gefaltet, Kahnspitze, Doppelrille in der Mitte, unterirdische Ausläufer.', context: { month: 5 } },
  })
  const { observations, language, identification } = await answer.json()
  expect(language).toBe('de')
  expect(observations.map((o: { character: string }) => o.character)).toEqual([
    'vernation',
    'blade.tip',
    'blade.midrib',
    'habit',
  ])
  expect(identification.candidates[0].plant).toBe('kentucky-bluegrass')
})
