import { expect, test, type Page } from '@playwright/test'

interface Made {
  id: string
  title: string
  paddockId: string
}

/** Things to do in the paddock of a counted round that no other journey plans in, with the days due; the year they are due. */
async function planned(
  page: Page,
  title: string,
  items: [text: string, due: string, again: string | null][],
): Promise<string> {
  const rounds = (await (await page.request.get('/api/rounds')).json()) as Made[]
  const { id: roundId, paddockId } = rounds.find((r) => r.title === title)!
  const year = String(new Date().getFullYear() + 1)
  const put = async (text: string, dueOn: string, backOn: string | null) => {
    const id = crypto.randomUUID()
    const data = { paddockId, roundId, plant: null, text, owner: '', dueOn, backOn, lookFor: '', doneOn: null, outcome: '' } // prettier-ignore
    const answer = await page.request.put(`/api/plan-items/${id}`, { data })
    expect(answer.ok(), await answer.text()).toBe(true)
  }
  for (const [text, due, again] of items) await put(text, `${year}-${due}`, again && `${year}-${again}`)
  await page.goto(`/rounds/${roundId}/weigh-up/do`)
  return year
}

const lineOf = (page: Page, text: string) =>
  page.getByRole('listitem').filter({ has: page.getByRole('checkbox', { name: `Done: ${text}` }) })

test('work is moved to another day by hand and by keys, each with a way back, and taken out with one', async ({
  page,
}) => {
  const year = await planned(page, 'Wear before the season', [
    ['Spike the goal mouth', '03-10', '04-20'],
    ['Mend the gate', '02-01', null],
  ])
  const spike = page.getByRole('slider', { name: 'Spike the goal mouth', exact: true })
  await expect(spike).toHaveAttribute('aria-valuetext', `10 March ${year}`)

  // By hand: a month is about a twelfth of the strip.
  const flag = (await spike.boundingBox())!
  const from = { x: flag.x + 20, y: flag.y + flag.height / 2 }
  await page.mouse.move(from.x, from.y)
  await page.mouse.down()
  await page.mouse.move(from.x + 60, from.y, { steps: 4 })
  await page.mouse.up()
  const told = page.getByRole('listitem').filter({ hasText: 'Spike the goal mouth: now' })
  await expect(told).toBeVisible()
  await expect(spike).not.toHaveAttribute('aria-valuetext', `10 March ${year}`)
  await told.getByRole('button', { name: 'Undo' }).click()
  await expect(spike).toHaveAttribute('aria-valuetext', `10 March ${year}`)
  await expect(lineOf(page, 'Spike the goal mouth')).toContainText(`By 10 March ${year}; look again 20 April ${year}`)

  // By keys: a day on, a month on, put back by Escape; then a month and a day that are kept.
  await spike.focus()
  await page.keyboard.press('ArrowRight')
  await expect(spike).toHaveAttribute('aria-valuetext', `11 March ${year}`)
  await page.keyboard.press('Escape')
  await expect(spike).toHaveAttribute('aria-valuetext', `10 March ${year}`)
  await page.keyboard.press('PageUp')
  await page.keyboard.press('ArrowLeft')
  await page.keyboard.press('Enter')
  await expect(lineOf(page, 'Spike the goal mouth')).toContainText(`By 9 April ${year}; look again 20 April ${year}`)

  // Nobody looks again before it is done.
  const again = page.getByRole('slider', { name: 'Look again: Spike the goal mouth' })
  await again.focus()
  await page.keyboard.press('PageDown')
  await page.keyboard.press('Enter')
  await expect(again).toHaveAttribute('aria-valuetext', `9 April ${year}`)

  // Kept: it stands there after a reload.
  await page.reload()
  await expect(spike).toHaveAttribute('aria-valuetext', `9 April ${year}`)

  await page.getByRole('button', { name: 'Take out: Mend the gate' }).click()
  await expect(lineOf(page, 'Mend the gate')).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click()
  await expect(page.getByRole('checkbox', { name: 'Done: Mend the gate' })).toBeVisible()
  await page.reload()
  await expect(page.getByRole('checkbox', { name: 'Done: Mend the gate' })).toBeVisible()
})

test('on a phone a flag is dragged by the thumb', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const year = await planned(page, 'Hay worth', [['Paint the posts', '02-01', null]])
  await page.getByRole('button', { name: /^turn to/ }).click()
  const posts = page.getByRole('slider', { name: 'Paint the posts' }).first()
  await expect(posts).toHaveAttribute('aria-valuetext', `1 February ${year}`)
  const box = (await posts.boundingBox())!
  // A thumb finds it.
  expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(44)
  const middle = box.y + box.height / 2
  await page.mouse.move(box.x + 10, middle)
  await page.mouse.down()
  await page.mouse.move(box.x + 60, middle, { steps: 3 })
  await page.mouse.up()
  await expect(page.getByText(/^Paint the posts: now/).first()).toBeVisible()
  await expect(posts).not.toHaveAttribute('aria-valuetext', `1 February ${year}`)
})
