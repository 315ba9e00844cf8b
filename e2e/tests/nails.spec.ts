import type { Page } from '@playwright/test'
import {
  atRest,
  expect,
  expectAccessible,
  field,
  openBench,
  savePattern,
  test,
  typeFive,
  typeOver,
} from '../support/fixtures'

const verdict = (page: Page, branch: 'Outer' | 'Inner', hole: number) =>
  page
    .locator('cr-nail-step section')
    .filter({ has: page.getByRole('heading', { name: `${branch} branch` }) })
    .getByRole('row')
    .filter({ has: page.getByRole('checkbox', { name: `Drive ${branch.toLowerCase()} ${hole}` }) })

test.describe('nails', () => {
  test.beforeEach(async ({ page, open }) => {
    await open('/round')
    await openBench(page, 'Fallow')
    await typeFive(page)
    await page.getByRole('tab', { name: 'Nail' }).click()
  })

  test('a pricking nail is a stop, in words with why, and cannot be printed away', async ({ page }) => {
    await expect(verdict(page, 'Outer', 2)).toContainText('sound')
    await page.getByRole('button', { name: 'More of outer 2' }).click()
    await expect(page.getByRole('img', { name: /Cut through the wall at outer hole 2/ })).toBeVisible()
    // Coarser by a quarter of an inch, and leaned out against the wall.
    await typeOver(field(page, 'nails.lateral.2.inset'), '9/16')
    await typeOver(field(page, 'nails.lateral.2.lean'), '40')
    await expect(verdict(page, 'Outer', 2)).toContainText('would prick')
    await expect(page.getByText('past the white line into live tissue. Do not drive.').first()).toBeVisible()
    await expect(page.getByText('Stop: Nail would prick')).toBeVisible()
    await page.emulateMedia({ media: 'print' })
    await expect(page.locator('cr-print-sheet .stop')).toContainText('STOP: Nail would prick')
    await page.emulateMedia({ media: 'screen' })
    // Left empty it is no stop any more.
    await page.getByRole('checkbox', { name: 'Drive outer 2' }).uncheck()
    await expect(page.getByText('Stop: Nail would prick')).toHaveCount(0)
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByText('Stop: Nail would prick')).toBeVisible()
  })

  test('a hole is pulled along the crease; one on top of the other is refused by name', async ({ page }) => {
    const handle = page.locator('[data-handle="nails.medial.2.fromToe"]')
    const before = Number(await handle.getAttribute('aria-valuenow'))
    await handle.focus()
    await page.keyboard.press('PageUp')
    await expect.poll(async () => Number(await handle.getAttribute('aria-valuenow'))).toBeGreaterThan(before)
    await page.getByRole('button', { name: 'More of inner 2' }).click()
    await expect(field(page, 'nails.medial.2.fromToe')).not.toHaveValue('')
    await typeOver(field(page, 'nails.medial.2.fromToe'), '1/2')
    await expect(page.getByRole('alert').filter({ hasText: 'Inner holes 1 and 2' }).first()).toBeVisible()
    await expect(page.getByRole('button', { name: 'Save pattern' })).toBeDisabled()
    await expect(field(page, 'nails.medial.2.fromToe')).toHaveValue('1/2')
  })

  test('each school has its own zone; holes, nail and marks of the wall are kept', async ({ page }) => {
    const hole = page.locator('[data-handle="nails.lateral.1.fromToe"]')
    const sound = Number(await hole.getAttribute('aria-valuenow'))
    await page.getByRole('radio', { name: 'Laminitic foot' }).click()
    await expect
      .poll(async () => Number(await hole.getAttribute('aria-valuenow')))
      .toBeGreaterThan(sound + 40)
    await expect(page.getByText('Only behind the widest part, away from the toe.')).toBeVisible()
    await page.getByRole('radio', { name: 'Sound foot' }).click()
    await page.getByRole('button', { name: 'One hole less, inner' }).click()
    await expect(page.getByRole('checkbox', { name: 'Drive inner 4' })).toHaveCount(0)
    await page.getByText('Keep nails clear of (0)').click()
    await page.getByLabel('At hole').selectOption('outer 3')
    await page.getByRole('radio', { name: 'crack', exact: true }).click()
    await page.getByRole('button', { name: 'Mark crack' }).click()
    // Anywhere on the wall, not only at a hole: touched on its picture.
    const marks = page.locator('cr-keep-clear-list li')
    const before = await marks.count()
    const wall = await atRest(page.locator('cr-wall-tap svg path.wall'))
    await page.mouse.click(wall.x + 1, wall.y + wall.height / 2)
    await expect(marks).toHaveCount(before + 1)
    await marks.last().getByRole('button').click()
    await expect(verdict(page, 'Outer', 3)).toContainText('no wall there')
    // The second goes from the drawing a moment after it goes from the list.
    await expect(page.locator('[data-clear="crack"]')).toHaveCount(1)
    await expectAccessible(page)
    await savePattern(page, 'With a crack')
    await page.reload()
    await expect(verdict(page, 'Outer', 3)).toContainText('no wall there')
  })

  test('exits that are written down say how nails turn; the table of nails is one’s own', async ({
    page,
  }) => {
    // Down the line of nails in one go, key by key, Enter to the next.
    await page.getByText('How high the nails came out').click()
    await field(page, 'nails.lateral.1.seen').focus()
    for (let i = 0; i < 3; i++) {
      await page.keyboard.type('3/4')
      await page.keyboard.press('Enter')
    }
    await expect(field(page, 'nails.medial.1.seen')).toBeFocused()
    for (const hole of [1, 2, 3]) await expect(field(page, `nails.lateral.${hole}.seen`)).toHaveValue('3/4"')
    await savePattern(page, 'Seen')
    await expect(page.locator('cr-iron-slip .state')).toHaveText('saved')
    await page.getByRole('button', { name: 'Shelf' }).click()
    const shelf = page.getByRole('dialog', { name: 'Nails on the shelf' })
    await expect(shelf.getByText(/\d+ nails of which the exit was written down turn along/)).toBeVisible()
    await shelf.getByRole('button', { name: /Reckon with/ }).click()
    await typeOver(shelf.getByLabel('Name of nail 1', { exact: true }), 'Tin 0')
    await typeOver(shelf.getByLabel('Blade mm of Tin 0'), '900')
    await shelf.getByRole('button', { name: 'Save' }).click()
    await expect(shelf.getByRole('alert')).toContainText('Blade mm of Tin 0: it lies between 20 and 120')
    await typeOver(shelf.getByLabel('Blade mm of Tin 0'), '41')
    await shelf.getByRole('button', { name: 'Save' }).click()
    await expect(shelf).toBeHidden()
    await page.getByLabel('Nail to drive').selectOption({ label: 'Tin 0, 1 5/8"' })
    await expect(page.locator('cr-iron-slip').getByText('Tin 0', { exact: true })).toBeVisible()
  })

  test('the close list is ticked off for each foot and kept with the visit', async ({ page }) => {
    await savePattern(page, 'Nailed on')
    await expect(page.locator('cr-iron-slip .state')).toHaveText('saved')
    await page.getByRole('button', { name: 'Finish visit' }).click()
    const dialog = page.getByRole('dialog', { name: 'Finish the visit' })
    await dialog.getByRole('checkbox', { name: 'LF: Two nails first' }).check()
    await dialog.getByRole('checkbox', { name: 'LF: Clinched' }).check()
    await typeOver(dialog.getByLabel('LF: note'), 'Inner 3 a touch low')
    await dialog.getByRole('button', { name: 'Finish' }).click()
    await expect(dialog).toBeHidden()
    await page.reload()
    await page.getByRole('button', { name: 'Visit notes' }).click()
    await expect(dialog.getByText('2 of 6')).toBeVisible()
    await expect(dialog.getByLabel('LF: note')).toHaveValue('Inner 3 a touch low')
  })
})
