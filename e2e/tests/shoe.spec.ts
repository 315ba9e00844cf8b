import { MODIFICATIONS } from '@crescent/core'
import type { Page } from '@playwright/test'
import {
  cut,
  expect,
  expectAccessible,
  field,
  openBench,
  savePattern,
  test,
  typeFive,
} from '../support/fixtures'

const offer = (page: Page, label: string) =>
  page
    .getByRole('group', { name: 'Add a modification' })
    .getByRole('button', { name: new RegExp(`^${label}`) })
const chosen = (page: Page, label: string) => page.getByRole('region', { name: label, exact: true })

test.describe('modifications', () => {
  test.beforeEach(async ({ page, open }) => {
    await open('/round')
    await openBench(page, 'Nock')
    await typeFive(page)
    await page.getByRole('tab', { name: 'Shoe' }).click()
  })

  test('each one is added, changed by number, drawn, undone and taken off', async ({ page }) => {
    test.slow()
    for (const { label, kind, fields } of MODIFICATIONS) {
      const before = await cut(page)
      await offer(page, label).click()
      await expect(chosen(page, label)).toBeVisible()
      // A wedge is seen only from the side: it is told by the bar it takes.
      if (kind === 'wedge') await expect.poll(() => cut(page)).not.toBe(before)
      else await expect(page.locator('cr-foot-drawing .part').first()).toBeVisible()
      const first = field(page, `mod.${kind}.${fields[0]!.key}`)
      await expect(first).not.toHaveAttribute('placeholder', '')
      const shown = (await first.getAttribute('placeholder'))!
      await first.focus()
      await page.keyboard.press('ArrowUp')
      await expect(first).not.toHaveValue('')
      await expect(first).not.toHaveValue(shown)
      await expect(page.getByRole('button', { name: 'Save pattern' })).toBeEnabled()
      await first.blur()
      await page.getByRole('button', { name: 'Undo' }).click()
      await expect(first).toHaveValue('')
      await chosen(page, label)
        .getByRole('button', { name: `Take off ${label}` })
        .click()
      await expect(chosen(page, label)).toHaveCount(0)
      await expect.poll(() => cut(page)).toBe(before)
    }
  })

  test('two that cannot stand together: the second is shut, with the reason', async ({ page }) => {
    await offer(page, 'Egg bar').click()
    await expect(offer(page, 'Straight bar')).toBeDisabled()
    await expect(offer(page, 'Straight bar')).toContainText('closed by one bar')
    await expect(offer(page, 'Wedge')).toBeEnabled()
    await expectAccessible(page)
  })

  test('a figure out of range is named and kept; a shoe without room says why', async ({ page }) => {
    await offer(page, 'Wedge').click()
    await field(page, 'mod.wedge.rise').fill('3')
    await expect(
      page.getByRole('alert').filter({ hasText: 'Wedge, rise at the heels: 3" is not possible' }),
    ).toBeVisible()
    await expect(page.getByRole('button', { name: 'Save pattern' })).toBeDisabled()
    await field(page, 'mod.wedge.rise').fill('1/4')
    await expect(page.getByText(/Steepens the hoof by \d\.\d°/)).toBeVisible()
    await offer(page, 'Egg bar').click()
    await page.getByRole('radio', { name: /^Slide/ }).click()
    await expect(page.getByRole('alert').filter({ hasText: 'already reach the bulb line' })).toBeVisible()
  })

  test('pieces of their own have their own line, and the pattern keeps all of it', async ({ page }) => {
    await offer(page, 'Heart bar').click()
    await expect(page.getByTestId('part')).toHaveCount(2)
    await expect(page.getByText('Stop: The true apex was not found')).toBeVisible()
    await page.getByRole('tab', { name: 'Map' }).click()
    await field(page, 'frogApex').evaluate((input) => (input.closest('details')!.open = true))
    await field(page, 'frogApex').fill('1 1/2')
    await page.getByRole('tab', { name: 'Shoe' }).click()
    await expect(page.getByText('Stop: The true apex was not found')).toHaveCount(0)
    await expect(page.locator('[data-part="Frog plate"]')).toBeVisible()
    await savePattern(page, 'With a heart')
    await page.reload()
    await expect(chosen(page, 'Heart bar')).toBeVisible()
    await page.getByRole('link', { name: 'Nock' }).click()
    await expect(page.getByText('LF With a heart')).toBeVisible()
  })
})
