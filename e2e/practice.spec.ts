import { expect, type Page } from '@playwright/test'
import { goInside } from './inside.ts'
import { test } from './onePage.ts'
import { readFileSync } from 'node:fs'
import { ownServer } from './ownServer.ts'

/** Training the eye, keeping score, and the daybook: a session, a group's answers, a name put right in flower. */
const { address, start, end } = ownServer(4176)
test.beforeAll(start)
test.afterAll(end)

interface Answer {
  kind: string
  about: string
  right: boolean
  sure: number
}
const answers = async () => (await (await fetch(`${address}/api/practice-answers`)).json()) as Answer[]
const post = (url: string, body: object, method = 'POST') =>
  fetch(`${address}${url}`, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })

async function begin(page: Page, name: string) {
  await goInside(page, `${address}/practice`)
  // A session that was left goes on when one comes back.
  const stop = page.getByRole('button', { name: 'Stop here' })
  if (await stop.isVisible()) await stop.click()
  await page
    .getByRole('button', { name: new RegExp(`^${name}`) })
    .first()
    .click()
}

test('a session is played by keyboard: each answer says how sure, is scored, and is still there tomorrow', async ({
  page,
}) => {
  await begin(page, 'Name it')
  for (let i = 0; i < 8; i++) {
    await expect(page.getByRole('heading', { name: 'What is it?' })).toBeVisible()
    await expect(page.getByRole('img', { name: 'The specimen' })).toBeVisible()
    // Nothing tells before the answer.
    await expect(page.getByTestId('outcome')).toHaveCount(0)
    if (i === 7) {
      // Without the four names: any plant of the book.
      await page.getByLabel('Or any plant of the book').fill('Velvetgrass')
      await page.getByLabel('Or any plant of the book').blur()
    } else await page.keyboard.press(String((i % 4) + 1))
    await page.keyboard.press('d')
    await expect(page.getByTestId('outcome')).toContainText(/Right|It is/)
    await page.keyboard.press('Enter')
  }
  await expect.poll(async () => (await answers()).length).toBe(8)
  const kept = await answers()
  expect(kept.every((a) => a.kind === 'name' && a.sure === 0.9)).toBe(true)
  const right = kept.filter((a) => a.right).length
  await expect(page.getByText(`${right} of 8`).first()).toBeVisible()
  await expect(page.getByRole('img', { name: new RegExp(`said 90, right ${right} of 8`) })).toBeVisible()
  // By hand: the mean of what 9 in 10 costs when right and when wrong.
  const log = (-right * Math.log(0.9) - (8 - right) * Math.log(0.1)) / 8
  await expect(page.getByText(`Log score ${log.toFixed(2)}`)).toBeVisible()
  await page.reload()
  await expect(page.getByText(`${right} of 8`).first()).toBeVisible()
})

test('on a phone the leaf turns to what came of an answer, and back to the next specimen', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await begin(page, 'Which check')
  const question = page.getByRole('heading', { name: 'Which look tells these two apart?' })
  for (let i = 0; i < 2; i++) {
    await expect(question).toBeInViewport()
    await page.getByRole('button', { name: /^1 / }).click()
    await page.getByRole('button', { name: /7 in 10/ }).click()
    await expect(page.getByTestId('outcome')).toBeInViewport()
    await expect(question).toBeHidden()
    await page.getByRole('button', { name: /^Next.*Next one/ }).click()
  }
  await expect(question).toBeInViewport()
})

test('cover by eye is judged against pixels, and a poison that is let pass is said plainly', async ({ page }) => {
  await begin(page, 'Cover by eye')
  const frame = page.getByRole('img', { name: 'A frame of sward from above' })
  await expect(frame).toBeVisible()
  await page.getByLabel('Percent of the frame').fill('120')
  await expect(page.getByText('A percentage from 0 to 100 is needed.')).toBeVisible()
  await page.getByLabel('Percent of the frame').fill('1')
  await page.getByRole('button', { name: /7 in 10/ }).click()
  await expect(page.getByText(/It is [\d.]+\s%, counted pixel by pixel/)).toBeVisible()

  await begin(page, 'Poison round')
  for (let i = 0; i < 8; i++) {
    await expect(page.getByRole('heading', { name: 'Is it one of the harmful plants?' })).toBeVisible()
    await page.getByRole('button', { name: /Not one of the harmful plants/ }).click()
    await page.getByRole('button', { name: /19 in 20/ }).click()
    await expect(page.getByTestId('outcome')).toContainText(/Right|A poison was let pass/)
    await page.keyboard.press('Enter')
  }
  // The last answer may still be on its way to the server.
  const poison = async () => (await answers()).filter((a) => a.kind === 'poison')
  await expect.poll(async () => (await poison()).length).toBe(8)
  const missed = (await poison()).filter((a) => !a.right).length
  const letPass = page.getByText(/let pass\. That is the mistake that counts/)
  await expect(letPass).toHaveCount(missed > 0 ? 1 : 0)
  if (missed > 0) await expect(letPass).toContainText(missed === 1 ? 'One poison was' : `${missed} poisons were`)
  await expect(page.locator('body')).not.toContainText(/\bsafe\b/i)
})

test('a trainer makes a set, two people answer the same specimens, and the group is read together', async ({
  page,
}) => {
  await goInside(page, `${address}/practice`)
  await page.getByText('For trainers and groups').click()
  await page.getByLabel('Title of the set').fill('Clovers before turnout')
  await page.getByLabel('Questions').fill('3')
  await page.getByLabel('Only these plants').fill('no such plant')
  await expect(page.getByText('No plant of the book fits these names.')).toBeVisible()
  await page.getByLabel('Only these plants').fill('red clover, alsike, white clover')
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Make the set and save it' }).click(),
  ])
  const set = JSON.parse(readFileSync(await saved.path(), 'utf8')) as { questions: { about: string }[] }
  expect(set.questions).toHaveLength(3)

  const files: string[] = []
  for (const [who, sure] of [
    ['Wren', 's'],
    ['Ash', 'f'],
  ] as const) {
    await goInside(page, `${address}/practice`)
    await page.getByText('For trainers and groups').click()
    await page.getByLabel('Open a set').setInputFiles(await saved.path())
    await page.getByRole('button', { name: 'Answer "Clovers before turnout"' }).click()
    for (let i = 0; i < 3; i++) {
      await expect(page.getByText(`${i + 1} of 3`).first()).toBeVisible()
      await expect(page.getByRole('img', { name: 'The specimen' })).toBeVisible()
      await page.keyboard.press('1')
      await page.keyboard.press(sure)
      await expect(page.getByTestId('outcome')).toBeVisible()
      await page.keyboard.press('Enter')
    }
    const done = page.getByRole('region', { name: 'Answers for the trainer' })
    await done.getByLabel('Your name for the trainer').fill(who)
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      done.getByRole('button', { name: 'Save the answers' }).click(),
    ])
    files.push(await file.path())
  }
  await page.getByText('For trainers and groups').click()
  await page.getByLabel('Open a set').setInputFiles(await saved.path())
  for (const file of files) await page.getByLabel("Add somebody's answers").setInputFiles(file)
  // Both saw the same and pressed the same: they agree wholly.
  const read = files.map(
    (f) => JSON.parse(readFileSync(f, 'utf8')) as { answers: { answered: string; right: boolean }[] },
  )
  expect(read[0]!.answers.map((a) => a.answered)).toEqual(read[1]!.answers.map((a) => a.answered))
  const right = read[0]!.answers.filter((a) => a.right).length
  await expect(page.getByTestId('group')).toContainText(`Wren ${right} of 3, Ash ${right} of 3`)
  // On paper: three drawn specimens with four names each, and the answers on a page of their own.
  await page.getByRole('link', { name: 'Print it' }).click()
  const paper = page.getByRole('article', { name: 'Clovers before turnout' })
  await expect(paper.getByRole('region', { name: 'Question 3' })).toBeVisible()
  await expect(paper.getByRole('img', { name: 'The specimen' })).toHaveCount(3)
  await expect(paper.getByRole('region', { name: 'Answers' }).getByRole('listitem')).toHaveText([/^[A-D], ./, /^[A-D], ./, /^[A-D], ./]) // prettier-ignore
  await page.getByRole('link', { name: 'Back to Practice' }).click()
  await page.getByText('For trainers and groups').click()
  await page.getByLabel("Add somebody's answers").setInputFiles({ name: 'no.json', mimeType: 'application/json', buffer: Buffer.from('{}') }) // prettier-ignore
  await expect(page.getByText('no.json: This is not a file of answers.')).toBeVisible()
})

test('a name is put right in flower: the score says so, the pair comes up in practice', async ({ page }) => {
  for (const [i, plant] of ['wild-carrot', 'red-fescue'].entries())
    await post('/api/namings', { id: crypto.randomUUID(), plant, probability: 0.9, context: {}, observations: [{ character: 'smell', states: ['minty'] }], namedAt: `2026-05-0${i + 1}T10:00:00.000Z`, place: 'River Meadow' }) // prettier-ignore
  await goInside(page, `${address}/daybook`)
  await page.getByRole('link', { name: /^Look again 2 wait/ }).click()
  const back = page.getByRole('region', { name: 'Come back and check' })
  const carrot = back.getByRole('listitem').filter({ hasText: 'Wild carrot' })
  await carrot.getByLabel('No, it was').fill('Poison hemlock')
  await carrot.getByLabel(/What showed it/).fill('Blotched stem')
  await carrot.getByRole('button', { name: 'Write it' }).click()
  await back.getByRole('listitem').filter({ hasText: 'Red fescue' }).getByRole('button', { name: 'It was' }).click()
  await expect(back.getByTestId('hit-rate')).toContainText('1 of 2 names were right in flower')
  await expect(back).toContainText('Wild carrot was Poison hemlock: Blotched stem')
  await expect
    .poll(async () => ((await (await fetch(`${address}/api/naming-checks`)).json()) as unknown[]).length)
    .toBe(2)
  await page.reload()
  await expect(back.getByTestId('hit-rate')).toContainText('1 of 2')
  // Hemlock smells of mice, in the cold of nothing, never of mint (usual field mark): "minty" was misread, and the bench reckons with it once asked to.
  const own = page.getByRole('region', { name: 'How you read the parts' })
  await expect(own.getByRole('listitem').filter({ hasText: 'Smell' })).toContainText(/1 of \d+,/)
  await own.getByRole('checkbox', { name: /reckons with my own mistakes/ }).check()
  await goInside(page, `${address}/bench`)
  await expect(page.getByText(/your own mistakes/)).toBeVisible()
})

test('the daybook: four counts of one paddock with their trend, found again by a word and by a month', async ({
  page,
}) => {
  await goInside(page, `${address}/daybook`)
  await expect(page.getByRole('heading', { name: 'Pond Paddock, year on year' })).toBeVisible()
  await expect(page.getByRole('img', { name: /Shares year on year: .*Tansy ragwort/ })).toBeVisible()
  // Made with less ryegrass each year (demo data): the line says so with its range.
  await expect(
    page.getByText(/Perennial ryegrass: falling; .* points a year \(−[\d.]+ to −[\d.]+\) over 4 counts/),
  ).toBeVisible()
  await page.getByLabel('Find in it').fill('ragwort')
  await expect(page.getByText(/lift the crown/)).toBeVisible()
  await expect(page.getByText('Hay worth')).toHaveCount(0)
  await page.getByLabel('Find in it').fill('')
  await page.getByLabel('Place', { exact: true }).selectOption({ label: 'Tarrow Parish, Sports Ground' })
  await expect(page.getByRole('heading', { name: 'Sports Ground, year on year' })).toBeVisible()
  await page
    .getByRole('button', { name: /November .*entries/ })
    .last()
    .click()
  await expect(page.getByRole('region', { name: /^November/ })).toHaveCount(1)
})

test('a copy of everything is taken away from the daybook, and one that is cut short is told from a whole one', async ({
  page,
}) => {
  await goInside(page, `${address}/daybook/device`)
  const copies = page.getByRole('region', { name: 'Copies' })
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    copies.getByRole('link', { name: 'Take a copy away' }).click(),
  ])
  expect(saved.suggestedFilename()).toMatch(/^fold-sprig-\d{4}-\d{2}-\d{2}\.zip$/)
  const bytes = readFileSync(await saved.path())
  const input = copies.getByLabel('Is this copy whole?')
  await input.setInputFiles({ name: 'monday.zip', mimeType: 'application/zip', buffer: bytes })
  await expect(copies.getByText(/monday\.zip is whole: made .*, 11 rounds, \d+ entries in all/)).toBeVisible()
  await input.setInputFiles({ name: 'half.zip', mimeType: 'application/zip', buffer: bytes.subarray(0, bytes.length / 2) }) // prettier-ignore
  await expect(copies.getByText('half.zip: This file is not a zip, or only a part of one.')).toBeVisible()
  await page.reload()
  // The server keeps one beside the data each day, the first soon after it starts.
  await expect(copies.getByText(/One copy is kept beside the data/)).toBeVisible()
})

test('thirty runners by three keys each: the share in groups that could harm ewes, and a colleague who agrees', async ({
  page,
}) => {
  await goInside(page, `${address}/group-key`)
  await expect(page.getByTestId('step')).toHaveText('Is the runner hairy?')
  for (let i = 0; i < 30; i++)
    for (const key of i < 7 ? ['1', '1', '1'] : ['2', '2', '1']) await page.keyboard.press(key)
  await page.getByRole('checkbox', { name: /red, hairy/ }).check()
  // The usual worked example of this key: 7 of 30, 23 %, 12 to 41 %.
  await expect(page.getByTestId('runner-share')).toHaveText(
    /30 runners, 7 fall in groups .*: 23 %, 95 % interval 12 to 41 %/,
  )
  await page.keyboard.press('1')
  await page.keyboard.press('?')
  await page.keyboard.press('2')
  await expect(page.getByText('1 could not be placed and are left out.')).toBeVisible()
  await page.keyboard.press('z')
  await expect(page.getByTestId('step')).toHaveText('Any red on the stipule?')
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the runners' }).click(),
  ])
  await page.getByLabel("Open a colleague's runners").setInputFiles(await saved.path())
  await expect(page.getByTestId('second')).toContainText(
    'Of 30 runners that both placed, in the order pulled, 30 are in the same group',
  )
  await page.reload()
  await expect(page.getByTestId('runner-share')).toContainText('7 fall in groups')
})

test('a new sowing is counted by key against its live seed, and too early is said', async ({ page }) => {
  const { paddocks } = (await (await fetch(`${address}/api/places`)).json()) as {
    paddocks: { id: string; name: string }[]
  }
  const strip = paddocks.find((p) => p.name === 'Native Strip')!
  const on = new Date(Date.now() - 20 * 86_400_000).toISOString().slice(0, 10)
  const sown = [
    { plant: 'switchgrass', kgPerHa: 5, pls: 0.8 },
    { plant: 'big-bluestem', kgPerHa: 6, pls: 0.7 },
  ]
  await post(
    `/api/paddocks/${strip.id}/events/${crypto.randomUUID()}`,
    { kind: 'sown', onDate: on, note: '', detail: { sown } },
    'PUT',
  )
  await goInside(page, `${address}/places/${strip.id}`)
  await page.getByRole('link', { name: 'Count what came up' }).click()
  await expect(page.getByTestId('verdict-sowing')).toContainText('Too early to judge until')
  for (const [a, s] of [
    [4, 0],
    [6, 0],
    [5, 0],
  ] as const) {
    for (let i = 0; i < a; i++) await page.keyboard.press('a')
    for (let i = 0; i < s; i++) await page.keyboard.press('s')
    await page.keyboard.press('Enter')
  }
  // By hand: 5 in a frame of 0.1 m2 are 50; 5 kg x 0.8 x 700,000 seeds are 280 live seeds, 18 % of them stand.
  await expect(page.getByRole('listitem').filter({ hasText: 'Switchgrass: 15 seedlings' })).toContainText(
    /50 on a square metre \(.*of 280 live seeds sown 18\s% stand/,
  )
  await expect(page.getByRole('listitem').filter({ hasText: 'Big bluestem: 0 seedlings' })).toContainText(
    '0.0 on a square metre (0.0 to 12)',
  )
  await page.getByRole('button', { name: 'Add a weed seedling' }).click()
  await page.getByLabel('Another plant').fill('lambsquarters')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'One Lambsquarters more' })).toBeVisible()
  await page.getByText('Rows, tug test, weather').click()
  await page.getByRole('button', { name: 'Tug: they come out' }).click()
  await expect(page.getByText('stock would pull them up')).toBeVisible()
  await page.getByLabel('Row looked along, metres').fill('40')
  await page.getByLabel('Of it bare, metres').fill('60')
  await expect(page.getByText('The bare metres are at most those looked along')).toBeVisible()
  await page.getByLabel('Of it bare, metres').fill('6')
  await expect(page.getByText(/Of 40 m of row\s+15\s% is bare/)).toBeVisible()
  await page.getByRole('button', { name: /Put the next look in the plan/ }).click()
  await expect(page.getByRole('status').filter({ hasText: 'In the plan for' })).toBeVisible()
  await page.reload()
  await expect(page.getByRole('listitem').filter({ hasText: 'Switchgrass: 15 seedlings' })).toBeVisible()
})

test('a stand is counted in the cells of a grid, and half of them full is a full stand', async ({ page }) => {
  const { paddocks } = (await (await fetch(`${address}/api/places`)).json()) as {
    paddocks: { id: string; name: string }[]
  }
  const id = crypto.randomUUID()
  const strip = paddocks.find((p) => p.name === 'Native Strip')!.id
  const detail = { sown: [{ plant: 'switchgrass', kgPerHa: 5, pls: 0.8 }] }
  await post(`/api/paddocks/${strip}/events/${id}`, { kind: 'sown', onDate: '2026-04-01', note: '', detail }, 'PUT')
  await goInside(page, `${address}/places/${strip}/sowing/${id}`)
  await page.getByRole('radio', { name: /Cells of a grid/ }).click()
  for (const cells of [20, 19, 21, 20]) {
    for (let i = 0; i < cells; i++) await page.keyboard.press('s')
    await page.keyboard.press('Enter')
  }
  // By hand: 80 of 100 cells; 0.4 x 80 are at the least 32 plants on a square metre.
  const stand = page.getByTestId('grid-stand')
  await expect(stand).toContainText(/A sown plant stands in\s+80\s% of 100 cells/)
  await expect(stand).toContainText('a full stand, at the least 32 plants on a square metre')
  await expect(page.getByRole('radio', { name: /Seedlings in frames/ })).toBeDisabled()
  // The server has it as well.
  const kept = async () => JSON.stringify(await (await fetch(`${address}/api/kept`)).json())
  await expect.poll(kept).toContain('"any-sown":20,')
  await expect(page.getByText(/Not saved/)).toHaveCount(0)
})

test('words of the trade are found from where they stand, and the first round ticks what was done', async ({
  page,
}) => {
  const list = (await (await fetch(`${address}/api/rounds`)).json()) as { id: string; title: string }[]
  await goInside(page, `${address}/rounds/${list.find((r) => r.title === 'Hay worth')!.id}/weigh-up/worth`)
  await page.getByRole('link', { name: 'NDF' }).click()
  await expect(page.getByText('Neutral detergent fibre: all of the cell wall.', { exact: false })).toBeInViewport()
  await page.getByLabel('Find a word').fill('claw')
  await expect(page.getByRole('link', { name: 'Auricle', exact: true })).toBeVisible()
  await expect(page.getByText('Neutral detergent', { exact: false })).toHaveCount(0)

  await post('/api/practice-answers', { answers: [{ id: crypto.randomUUID(), kind: 'name', about: 'timothy', answered: 'timothy', right: true, sure: 0.9, seconds: 6, at: '2026-05-01T10:00:00.000Z' }] }) // prettier-ignore
  await goInside(page, `${address}/first-round`)
  const steps = page.getByRole('region', { name: 'First round' }).getByRole('listitem')
  // Practice was done, nothing counted yet.
  await expect(steps.filter({ hasText: 'Warm the eye up' })).toContainText('✓')
  await expect(steps.filter({ hasText: 'Count the first stop' })).not.toContainText('✓')
  await steps.filter({ hasText: 'Count the first stop' }).getByRole('link').click()
  await expect(page.getByTestId('points')).toBeVisible()
})
