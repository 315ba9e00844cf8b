import { MODIFICATIONS } from '@crescent/core'
import type { Locator, Page } from '@playwright/test'
import {
  cut,
  cutAtRest,
  expect,
  expectAccessible,
  field,
  openBench,
  savePattern,
  test,
  typeFive,
  typeOver,
  openGroup,
} from '../support/fixtures'

const offers = (page: Page) => page.getByRole('group', { name: 'Add a modification' })
const offer = (page: Page, label: string) =>
  offers(page).getByRole('button', { name: new RegExp(`^${label}`) })
/** Unfolds every group of offers. */
async function unfold(page: Page): Promise<void> {
  await expect(offers(page)).toBeVisible()
  await offers(page)
    .locator('details')
    .evaluateAll((groups) =>
      groups.forEach((group) => {
        group.removeAttribute('name')
        group.setAttribute('open', '')
      }),
    )
}
async function add(page: Page, label: string): Promise<void> {
  await unfold(page)
  await offer(page, label).click()
  await expect(chosen(page, label)).toBeVisible()
}
const chosen = (page: Page, label: string) => page.getByRole('region', { name: label, exact: true })
const view = (page: Page, name: string) =>
  page.getByRole('group', { name: 'View' }).getByRole('button', { name, exact: true }).click()

/** Pulls a handle with the mouse, the other way where its figure is at its limit already. */
async function pull(page: Page, handle: Locator): Promise<void> {
  const value = await handle.getAttribute('aria-valuenow')
  for (const [dx, dy] of [
    [13, 6],
    [-13, -6],
  ] as const) {
    const box = (await handle.locator('.knob').boundingBox())!
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
    await page.mouse.move(x, y)
    await page.mouse.down()
    await page.mouse.move(x + dx / 2, y + dy / 2)
    await page.mouse.move(x + dx, y + dy)
    await page.mouse.up()
    if ((await handle.getAttribute('aria-valuenow')) !== value) return
  }
  // Another handle lies over it: it is reached by keyboard.
  await handle.focus()
  await page.keyboard.press('ArrowDown')
  if ((await handle.getAttribute('aria-valuenow')) === value) await page.keyboard.press('ArrowUp')
  await expect(handle).not.toHaveAttribute('aria-valuenow', value!)
}

test.describe('modifications', () => {
  test.beforeEach(async ({ page, open }) => {
    await open('/round')
    await openBench(page, 'Nock')
    await typeFive(page)
    await page.getByRole('tab', { name: 'Shoe' }).click()
  })

  // In three parts, so that one that fails names its neighbours.
  for (const part of [0, 1, 2]) {
    test(`each one is added, changed by number and by handle, undone and taken off (${part + 1} of 3)`, async ({
      page,
    }) => {
      test.setTimeout(180_000)
      for (const { label, kind, fields } of MODIFICATIONS.filter((_, i) => i % 3 === part)) {
        if (kind === 'four-rail-plate') {
          await page.getByRole('combobox', { name: 'Common sections' }).click()
          await page.getByRole('option', { name: /^aluminium 1 x 3\/8/ }).click()
        }
        const before = await cutAtRest(page)
        await add(page, label)
        await expect(page.getByRole('button', { name: 'Save pattern' })).toBeEnabled()
        const figure = fields.find(({ options }) => !options)!
        const typed = field(page, `mod.${kind}.${figure.key}`)
        await expect(typed).not.toHaveAttribute('placeholder', '')
        const shown = (await typed.getAttribute('placeholder'))!
        await typed.focus()
        // Twice: the first step may only round the default to the fraction it is shown as.
        for (let i = 0; i < 2; i++) await page.keyboard.press('ArrowDown')
        await expect(typed).not.toHaveValue('')
        if ((await typed.inputValue()) === shown)
          for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowUp')
        await expect(typed).not.toHaveValue(shown)
        await typed.blur()
        await page.getByRole('button', { name: 'Undo' }).click()
        await expect(typed).toHaveValue('')

        const onSole = page.locator(`cr-foot-drawing [data-handle^="mod.${kind}."]`)
        const fromSide = (await onSole.count()) === 0
        if (fromSide) await view(page, 'Side')
        const handle = fromSide ? page.locator(`cr-shoe-side [data-handle^="mod.${kind}."]`) : onSole
        await pull(page, handle.first())
        await page.getByRole('button', { name: 'Undo' }).click()
        if (fromSide) await view(page, 'Sole')

        await chosen(page, label)
          .getByRole('button', { name: `Take off ${label}` })
          .click()
        await expect(chosen(page, label)).toHaveCount(0)
        await expect.poll(() => cut(page)).toBe(before)
      }
    })
  }

  test('two that cannot stand together: the second is shut, with the reason', async ({ page }) => {
    await add(page, 'Egg bar')
    await unfold(page)
    await expect(offer(page, 'Straight bar')).toBeDisabled()
    await expect(offer(page, 'Straight bar')).toContainText('closed by one bar')
    await expect(offer(page, 'Wedge')).toBeEnabled()
    await expectAccessible(page)
  })

  test('a figure out of range is named and kept; a shoe without room says why', async ({ page }) => {
    await add(page, 'Wedge')
    await typeOver(field(page, 'mod.wedge.rise'), '3')
    await expect(
      page.getByRole('alert').filter({ hasText: 'Wedge, rise at the heels: 3" is not possible' }),
    ).toBeVisible()
    await expect(page.getByRole('button', { name: 'Save pattern' })).toBeDisabled()
    await typeOver(field(page, 'mod.wedge.rise'), '1/4')
    await expect(page.getByText(/Steepens the hoof by \d\.\d°/)).toBeVisible()
    await add(page, 'Egg bar')
    await page.getByRole('radio', { name: /^Slide/ }).click()
    await expect(page.getByRole('alert').filter({ hasText: 'already reach the bulb line' })).toBeVisible()
  })

  test('a choice is taken by name; what is forged shows in the cut', async ({ page }) => {
    await add(page, 'Crease')
    await page.getByRole('radiogroup', { name: 'Crease, runs' }).getByRole('radio', { name: 'full' }).click()
    await view(page, 'Cut')
    const drawn = page.getByTestId('cut-drawing')
    const creased = await drawn.getAttribute('d')
    await page.getByRole('radiogroup', { name: 'Crease, runs' }).getByRole('radio', { name: 'none' }).click()
    await expect(drawn).not.toHaveAttribute('d', creased!)
    const slider = page.getByRole('slider', { name: /Place of the cut/ })
    await slider.fill('0')
    await expect(page.locator('cr-cut-view .note')).toContainText('Middle of the toe')
    await expectAccessible(page)
  })

  test('chosen by picture, for this foot; what cannot be made says why', async ({ page }) => {
    await page.getByRole('button', { name: 'Choose by picture' }).click()
    const gallery = page.getByRole('dialog', { name: 'What is made of the bar' })
    await expect(gallery.locator('[data-kind]')).toHaveCount(MODIFICATIONS.length)
    await expect(gallery.locator('[data-kind="four-rail-plate"]')).toContainText('made of flat aluminium')
    await gallery.locator('[data-kind="trailer"]').click()
    await expect(chosen(page, 'Lateral trailer')).toBeVisible()
    await expect(page.locator('[data-guide="line of the trailer"]')).toBeVisible()
  })

  test('begins from a design; seen off the foot, from its side and in the round, turned by keys', async ({
    page,
  }) => {
    await page.getByText('Begin from a design').click()
    await page.getByRole('button', { name: /^Thin walls/ }).click()
    await expect(chosen(page, 'Quarter clips')).toBeVisible()
    await expect(page.getByText('4 of 8 holes')).toBeVisible()
    await view(page, 'Off the foot')
    await expect(page.getByRole('img', { name: /Ground side of the shoe: 8 holes/ })).toBeVisible()
    await page.getByRole('radio', { name: 'Foot side' }).click()
    await expect(page.getByRole('img', { name: /Foot side of the shoe/ })).toBeVisible()
    await view(page, 'Side')
    await expect(page.getByTestId('elevation')).toBeVisible()
    await view(page, 'In the round')
    const canvas = page.locator('cr-solid-view canvas')
    await expect.poll(async () => Number(await canvas.getAttribute('data-drawn'))).toBeGreaterThan(1000)
    const still = await canvas.screenshot()
    await canvas.focus()
    await page.keyboard.press('ArrowLeft')
    await page.keyboard.press('ArrowUp')
    await expect.poll(async () => (await canvas.screenshot()).equals(still)).toBe(false)
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(chosen(page, 'Quarter clips')).toHaveCount(0)
  })

  test('laid over another pattern, with what differs', async ({ page }) => {
    await savePattern(page, 'Plain one')
    await expect(page.locator('cr-iron-slip .state')).toHaveText('saved')
    await add(page, 'Wedge')
    await view(page, 'Against')
    await page.getByLabel('Pattern to lay against').selectOption({ label: await optionOf(page, 'Plain one') })
    const table = page.getByRole('table', { name: 'What differs' })
    await expect(table.getByRole('row', { name: /Wedge/ })).toContainText('made')
    await expect(table.getByRole('row', { name: /Cut/ })).toBeVisible()
    await expectAccessible(page)
  })
})

test.describe('a shoe that is kept', () => {
  test.beforeEach(async ({ page, open }) => {
    await open('/round')
    await openBench(page, 'Quiver')
    await typeFive(page)
    await page.getByRole('tab', { name: 'Shoe' }).click()
  })

  test('pieces of their own have their own line, and the pattern keeps all of it', async ({ page }) => {
    await add(page, 'Heart bar')
    await expect(page.getByTestId('part')).toHaveCount(2)
    await expect(page.getByText('Stop: The true apex was not found')).toBeVisible()
    await page.getByRole('tab', { name: 'Map' }).click()
    await openGroup(page, 'Apex and widest part')
    await typeOver(field(page, 'frogApex'), '1 1/2')
    await page.getByRole('tab', { name: 'Shoe' }).click()
    await expect(page.getByText('Stop: The true apex was not found')).toHaveCount(0)
    // A weld is a line: drawn, though it covers nothing.
    await expect(page.locator('[data-part="Frog plate"]')).toHaveAttribute('d', /^M[-\d.]+ [-\d.]+L/)
    await savePattern(page, 'With a heart')
    await page.reload()
    await expect(chosen(page, 'Heart bar')).toBeVisible()
    await page.getByRole('link', { name: 'Quiver' }).click()
    await expect(page.getByText('LF With a heart')).toBeVisible()
  })
})

/** The whole text of the option that names a pattern. */
const optionOf = async (page: Page, name: string): Promise<string> =>
  (await page.locator('cr-against-view option').filter({ hasText: name }).first().innerText()).trim()
