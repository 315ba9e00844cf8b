import {
  atRest,
  cut,
  cutAtRest,
  expect,
  field,
  openBench,
  test,
  typeFive,
  typeOver,
  openGroup,
} from '../support/fixtures'

test.describe('figures', () => {
  test.beforeEach(async ({ page, open }) => {
    await open('/round')
    await openBench(page, 'Nock')
    await typeFive(page)
  })

  test('a typed 4 7/8 is a length, in every way it is written, and follows the unit', async ({ page }) => {
    for (const text of ['4 7/8', '4-7/8"', '4.875 in', '123.825 mm']) {
      await typeOver(field(page, 'width'), text)
      await field(page, 'length').focus()
      await expect(field(page, 'width')).toHaveValue('4 7/8"')
    }
    const inches = await cutAtRest(page)
    await page.getByRole('button', { name: /change to millimetres/ }).click()
    await expect(field(page, 'width')).toHaveValue('124 mm')
    await typeOver(field(page, 'length'), '128')
    await field(page, 'width').focus()
    await expect(field(page, 'length')).toHaveValue('128 mm')
    await page.getByRole('button', { name: /change to inches/ }).click()
    await typeOver(field(page, 'length'), '5')
    await expect.poll(() => cut(page)).toBe(inches)
  })

  test('a wrong figure stays, is named with its range, and the last good drawing stays in view', async ({
    page,
  }) => {
    const good = await cut(page)
    await typeOver(field(page, 'heelWidth'), '6')
    const alert = page.getByRole('alert').filter({ hasText: 'Heel width' })
    await expect(alert).toContainText('6" is not possible here, it lies between 1 1/2" and 4 13/16"')
    await expect.poll(() => cut(page)).toBe(good)
    await expect(page.getByRole('button', { name: 'Save pattern' })).toBeDisabled()
    await field(page, 'width').focus()
    await expect(field(page, 'heelWidth')).toHaveValue('6"')

    await typeOver(field(page, 'heelWidth'), 'three')
    await expect(page.getByRole('alert').filter({ hasText: '“three” is not a length' })).toBeVisible()
    await field(page, 'width').focus()
    await expect(field(page, 'heelWidth')).toHaveValue('three')
    await typeOver(field(page, 'heelWidth'), '3 1/4')
    await expect(page.getByRole('alert')).toHaveCount(0)
    await expect(page.getByRole('button', { name: 'Save pattern' })).toBeEnabled()
  })

  test('an unlikely figure is asked about, not refused', async ({ page }) => {
    await openGroup(page)
    await page.getByRole('button', { name: 'pony', exact: true }).click()
    await typeOver(field(page, 'width'), '6 1/2')
    await typeOver(field(page, 'length'), '6 1/2')
    await expect(page.getByText('Is the width really 6 1/2"?')).toBeVisible()
    await expect(page.getByRole('button', { name: 'Save pattern' })).toBeEnabled()
    await page.getByRole('button', { name: 'heavy horse' }).click()
    await expect(page.getByText('Is the width really')).toHaveCount(0)
  })

  test('handles on the drawing and numbers move together, and a drag is undone in one go', async ({
    page,
  }) => {
    const drag = async (id: string, dx: number, dy: number) => {
      const knob = page.locator(`[data-handle="${id}"] .knob`)
      const box = await atRest(knob)
      const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
      await page.mouse.move(x, y)
      await page.mouse.down()
      for (let i = 1; i <= 8; i++) await page.mouse.move(x + (dx * i) / 8, y + (dy * i) / 8)
      await page.mouse.up()
      const after = await atRest(knob)
      // The handle is under the hand that moved it.
      expect(Math.abs(after.x + after.width / 2 - (x + dx))).toBeLessThan(1.5)
      expect(Math.abs(after.y + after.height / 2 - (y + dy))).toBeLessThan(1.5)
    }
    const cases: [string, string, number, number][] = [
      ['width-outer', 'width', 20, 0],
      ['width-inner', 'width', 12, 0],
      ['heel-outer', 'heelWidth', -14, 0],
      ['heel-inner', 'heelWidth', -10, 0],
      ['length', 'length', 0, 16],
      ['widest', 'widestFromToe', 0, -12],
    ]
    for (const [handle, key, dx, dy] of cases) {
      const was = await field(page, key).inputValue()
      await drag(handle, dx, dy)
      await expect(field(page, key)).not.toHaveValue(was)
      await page.getByRole('button', { name: 'Undo' }).click()
      await expect(field(page, key)).toHaveValue(was)
      await page.getByRole('button', { name: 'Redo' }).click()
      await expect(field(page, key)).not.toHaveValue(was)
      await page.getByRole('button', { name: 'Undo' }).click()
      // The next case reads its field: not before this one is back.
      await expect(field(page, key)).toHaveValue(was)
    }
  })

  test('bar, fit and nails change the iron', async ({ page }) => {
    const before = await cut(page)
    await page.getByRole('tab', { name: 'Shoe' }).click()
    await page.getByRole('radio', { name: /Slide/ }).click()
    await expect.poll(() => cut(page)).not.toBe(before)
    await expect(page.getByText('Branches behind the bulbs')).toBeVisible()
    await page.getByRole('combobox', { name: 'Common sections' }).click()
    await page.getByRole('option', { name: /1 x 5\/16/ }).click()
    await expect(page.getByTestId('section')).toHaveText('1 x 5/16')
    await page.getByRole('tab', { name: 'Nail' }).click()
    for (const n of [1, 2, 3]) await page.getByRole('checkbox', { name: `Drive inner ${n}` }).uncheck()
    await expect(page.getByText('Only 3 nails')).toBeVisible()
    await page.keyboard.press('Control+z')
    await expect(page.getByText('Only 3 nails')).toHaveCount(0)
  })

  test('a pricking nail is a stop, above everything, and is told again before it is saved', async ({
    page,
  }) => {
    await typeOver(field(page, 'wallThickness'), '4 mm')
    await page.getByRole('tab', { name: 'Shoe' }).click()
    await page.locator('summary').filter({ hasText: 'Fit in figures' }).click()
    await typeOver(field(page, 'fit.toeSetBack'), '12 mm')
    await page.getByRole('tab', { name: 'Nail' }).click()
    await expect(page.getByRole('cell', { name: 'would prick' }).first()).toBeVisible()
    await expect(page.locator('cr-cautions-list').getByText('Nail would prick')).toBeVisible()
    await page.keyboard.press('Control+s')
    await expect(page.getByRole('dialog').getByRole('alert')).toContainText('Nail would prick')
  })
})
