import {
  atRest,
  expect,
  expectAccessible,
  field,
  onDevice,
  openBench,
  PHONE,
  test,
  typeFive,
  typeOver,
} from '../support/fixtures'
import type { Page } from '@playwright/test'

/** Looks at the shoe in the ground. */
async function openGround(page: Page) {
  await page.getByRole('tab', { name: 'Shoe' }).click()
  await page.getByRole('group', { name: 'View' }).getByRole('button', { name: 'Ground', exact: true }).click()
  await expect(page.getByRole('region', { name: 'How the shoe stands in the ground' })).toBeVisible()
}

/** A row of the figures, as it is read. */
const row = (page: Page, label: string) =>
  page.locator('cr-standing-figures tr', { has: page.getByRole('rowheader', { name: label, exact: true }) })

test('two designs on sand and on rock: one sinks its heels, nothing sinks on rock', async ({
  page,
  open,
}) => {
  await open('/round')
  await openBench(page, 'Quiver')
  await typeFive(page)
  await openGround(page)
  await expect(row(page, 'Toe sinks')).toBeVisible()
  await page.getByRole('combobox', { name: /^Beside it/ }).selectOption({ label: 'Founder, heart bar' })
  await expect(page.locator('cr-stood-shoe')).toHaveCount(2)
  await expect(row(page, 'Frog plate').getByRole('cell').nth(1)).toHaveText(/^\d+ %$/)
  await expect(row(page, 'Frog plate').getByRole('cell').nth(0)).toHaveText('–')
  await expectAccessible(page)

  // Packing under this shoe carries as well, and is lost as the heels leave.
  await page.getByText('Load, packing and how the ground gives').click()
  await page.getByRole('combobox', { name: /Packing under this shoe/ }).selectOption('frog')
  await expect(row(page, 'Packing').getByRole('cell').nth(0)).toHaveText(/^\d+ %$/)
  await expect(page.locator('cr-going-words').first()).toContainText('nothing but the ground holds it up')

  // A horse of an absurd weight is refused by range, and what was typed stays.
  const weighs = field(page, 'going-weight')
  await typeOver(weighs, '9')
  await weighs.blur()
  await expect(page.getByText(/It lies between \d+ and \d+/)).toBeVisible()
  await expect(weighs).toHaveValue('9')
  const before = await row(page, 'Toe sinks').innerText()
  await typeOver(weighs, '700')
  await weighs.blur()
  await expect(row(page, 'Toe sinks')).not.toHaveText(before)

  // The load is moved by keys toward the toe: the toe goes deeper.
  const tilt = row(page, 'Heels down by').getByRole('cell').nth(0)
  const level = parseFloat(await tilt.innerText())
  const load = page.getByRole('button', { name: /Where the load stands/ }).first()
  await load.focus()
  for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowUp')
  await expect.poll(async () => parseFloat(await tilt.innerText())).toBeLessThan(level - 1)

  await page.getByRole('combobox', { name: /^Ground/ }).selectOption({ label: 'Rock' })
  await expect(tilt).toHaveText('0.0°')
  await expect(row(page, 'Heels down by').getByRole('cell').nth(1)).toHaveText('0.0°')
  await expect(page.locator('cr-going-words').first()).toContainText('does not give')
})

test('on a phone a tap puts the load, and the figures follow a change of the shoe', async ({
  browser,
  server,
}) => {
  await onDevice(browser, server, PHONE, async (page) => {
    await openBench(page, 'Nock')
    await typeFive(page)
    await openGround(page)
    const sideways = row(page, 'Outer side down by').getByRole('cell')
    await expect(sideways).toHaveText(/^-?\+?0\.\d°$/)
    const sole = page.locator('cr-stood-shoe svg.sole')
    await sole.evaluate((drawing) => drawing.scrollIntoView({ block: 'center' }))
    const box = await atRest(sole)
    // The outside of a left foot lies to the right.
    await page.touchscreen.tap(box.x + box.width * 0.62, box.y + box.height * 0.5)
    await expect.poll(async () => parseFloat(await sideways.innerText())).toBeGreaterThan(1)
  })
})
