import { expect, test, type Page } from '@playwright/test'
import { ownServer } from './ownServer.ts'

// An installation that holds nothing: what a person finds who opens it in a paddock for the first time.
const { address, start, end } = ownServer(4181, { DEMO: 'off' })
test.use({ baseURL: address, viewport: { width: 390, height: 844 } })
test.beforeAll(start)
test.afterAll(end)

const stop = (page: Page) => page.getByRole('heading', { level: 1 })

test('on an empty installation the first hit is counted in three taps and under ten seconds, and the place is named and walked round later', async ({
  page,
}) => {
  test.setTimeout(180_000)
  await page.goto('/')
  await expect(page.getByRole('link', { name: 'Count here', exact: true })).toBeVisible()
  const began = Date.now()
  await page.getByRole('link', { name: 'Count here', exact: true }).click()
  await page.getByRole('button', { name: /^Step points/ }).click()
  await page
    .getByRole('button', { name: /White clover/ })
    .first()
    .click()
  await expect(page.getByTestId('points')).toContainText('1 of 20')
  expect(Date.now() - began).toBeLessThan(10_000)

  for (let i = 0; i < 19; i++) await page.keyboard.press(' ')
  await page.getByRole('button', { name: /^Next stop/ }).click()
  await expect(stop(page)).toContainText('Stop 2')
  await page.keyboard.type('20')
  await page
    .getByRole('button', { name: /Red clover/ })
    .first()
    .click()
  await page.keyboard.press('Enter')
  await expect(stop(page)).toContainText('Stop 3')
  await page.getByRole('link', { name: 'Weigh up what is counted' }).click()
  await expect(page.getByTestId('speaks-for').first()).toContainText('Nobody drew these stops beforehand')

  // At home, at the desk.
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.goto('/rounds')
  await page.getByText('Places', { exact: true }).click()
  await page.getByRole('link', { name: /^Here, / }).click()
  await page.getByLabel('Name of the paddock').fill('Alder Piece')
  await page.getByRole('button', { name: /^Keep/ }).first().click()
  await expect(page.getByText('Alder Piece is kept.')).toBeVisible()
  await page.getByRole('button', { name: 'simulated GPS' }).click()
  for (let corner = 1; corner <= 3; corner++) {
    await page.waitForTimeout(5000)
    await page.getByRole('button', { name: 'A corner here' }).click()
    await expect(page.getByText(new RegExp(`${corner} corners touched, simulated`))).toBeVisible()
  }
  await page.getByRole('button', { name: 'Round: take the line' }).click()
  await page.getByRole('button', { name: 'Close the line' }).click()
  await page.getByRole('button', { name: /^Keep/ }).first().click()
  await expect(page.getByText('Alder Piece is kept.')).toBeVisible()
})

test('the plan of an empty installation offers the next step in place', async ({ page }) => {
  await page.goto('/plan')
  // The first journey may have drawn a paddock: then the form is there.
  await expect(
    page.getByRole('link', { name: 'Draw a paddock' }).or(page.getByLabel('Walk the fence too')),
  ).toBeVisible()
})
