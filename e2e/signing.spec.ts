import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { expect, test } from '@playwright/test'
import { ownServer } from './ownServer.ts'

/** An advisor puts a name to the pages: what stands in the way, the signature, and what a later change makes of it. */
const { address, start, end } = ownServer(4188)
test.beforeAll(start)
test.afterAll(end)

const handOver = async (title: string) => {
  const rounds = (await (await fetch(`${address}/api/rounds`)).json()) as { id: string; title: string }[]
  return `${address}/rounds/${rounds.find((r) => r.title === title)!.id}/hand-over`
}

test('a draft says what is open, is signed with it, and is a draft again when something changes', async ({ page }) => {
  await page.goto(await handOver('Harm walk and count'))
  const sheet = page.getByRole('article')
  await expect(sheet).toContainText('Draft, not signed')
  const panel = page.getByRole('region', { name: 'Sign the pages' })
  await expect(panel).toContainText('Unknown A has no name: it could be a poison')
  const press = panel.getByRole('button', { name: 'Sign', exact: true })
  await expect(press).toBeDisabled()
  await panel.getByLabel('I have seen what is open and sign with it').check()
  await press.click()
  const signed = page.getByRole('region', { name: 'Signed, issue 1' })
  await expect(signed).toContainText('Issue 1: Rosalind Quern')
  await expect(sheet).toContainText(/Signed by Rosalind Quern.*555-0142/)
  await expect(sheet).not.toContainText('Draft')

  // The file is the page that was signed, with its own hash in it (SHA-256 of it with noughts in that place).
  const [saved] = await Promise.all([page.waitForEvent('download'), signed.getByRole('button', { name: 'Save the file' }).click()]) // prettier-ignore
  const file = readFileSync(await saved.path(), 'utf8')
  const hash = (await page.getByTestId('page-hash').textContent())!.trim()
  expect(hash).toMatch(/^[0-9a-f]{64}$/)
  const noughts = file.replace(hash, '0'.repeat(64))
  expect(createHash('sha256').update(noughts, 'utf8').digest('hex')).toBe(hash)
  expect(file).toContain('tansy ragwort')

  await page.reload()
  await expect(page.getByRole('region', { name: 'Signed, issue 1' })).toBeVisible()
  // A telephone number is corrected: that is another page.
  await page.getByText('Advisor, veterinarian, poison line').click()
  await page.getByLabel('Telephone of the advisor').fill('555-0143')
  const again = page.getByRole('region', { name: 'Sign the pages' })
  await expect(again).toContainText('Something has changed since the last issue')
  await expect(sheet).toContainText('Draft, not signed')
  await again.getByLabel('I have seen what is open and sign with it').check()
  await again.getByRole('button', { name: 'Sign', exact: true }).click()
  await expect(page.getByRole('region', { name: 'Signed, issue 2' })).toContainText(/Issue 2.*Issue 1/)
})

test('nothing is signed without a name and a number to call', async ({ page }) => {
  await page.goto(await handOver('Hay worth'))
  const panel = page.getByRole('region', { name: 'Sign the pages' })
  await panel.getByText('Advisor, veterinarian, poison line').click()
  await panel.getByLabel('Advisor', { exact: true }).fill('')
  await panel.getByLabel('Telephone of the advisor').fill('')
  await expect(panel).toContainText('The name of the advisor')
  await expect(panel).toContainText('A telephone number of the advisor')
  await panel.getByLabel('I have seen what is open and sign with it').check()
  await expect(panel.getByRole('button', { name: 'Sign', exact: true })).toBeDisabled()
  await expect(page.getByTestId('signature')).toContainText('not to be acted on')
})
