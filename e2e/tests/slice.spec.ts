import { formatLength, planShoe } from '@crescent/core'
import {
  cut,
  expect,
  field,
  FIVE,
  openBench,
  savePattern,
  test,
  typeFive,
  typeOver,
} from '../support/fixtures'

const PLAIN = {
  section: { shape: 'flat', width: 19.05, thickness: 7.9375, material: 'steel' },
  fit: 'general',
} as const

test.describe('the slice, end to end', () => {
  test('by pointer: horse, foot, five measurements, bar, save, and found again', async ({ page, open }) => {
    await open('/round')
    await expect(page.getByRole('heading', { name: /Overdue/ })).toBeVisible()
    await page.getByRole('link', { name: 'Stable' }).click()
    await page.getByRole('button', { name: 'New horse' }).click()
    await typeOver(page.getByRole('dialog').getByLabel('Name', { exact: true }), 'Tansy')
    await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click()
    await expect(page.getByRole('heading', { name: 'Tansy' })).toBeVisible()
    await expect(page.getByText('No pattern yet')).toHaveCount(4)
    await page.getByRole('button', { name: 'Start visit' }).click()
    await page.getByRole('tab', { name: 'Map' }).click()
    await expect(page.getByText('Type the five measurements')).toBeVisible()
    await typeFive(page)
    const plan = planShoe(
      {
        side: 'LF',
        animal: 'horse',
        width: 127,
        length: 127,
        heelWidth: 88.9,
        toeAngle: 52,
        wallThickness: 9.525,
      },
      PLAIN,
    )
    await expect
      .poll(() => cut(page))
      .toBe(formatLength(plan.iron.cutLength, { unit: 'in', denominator: 16 }))
    await expect(page.getByTestId('section')).toHaveText('3/4 x 5/16')
    await page.getByText('The bar with its marks').click()
    await page.getByText('Marks as a list').click()
    await expect(page.getByRole('row', { name: /Hole 1, outer branch/ })).toBeVisible()

    await page.getByRole('button', { name: 'Save pattern' }).click()
    await typeOver(page.getByRole('dialog').getByLabel('Name'), 'First set')
    await page.getByRole('dialog').getByRole('button', { name: 'Save', exact: true }).click()
    await expect(page.getByText('Saved: First set')).toBeVisible()
    await expect(page.getByText('saved', { exact: true })).toBeVisible()

    await page.getByRole('button', { name: 'Finish visit' }).click()
    await typeOver(page.getByRole('dialog').getByLabel('Note for next time'), 'Look at the inner heel')
    await page.getByRole('dialog').getByRole('button', { name: 'Finish' }).click()
    await page.getByRole('link', { name: 'Tansy' }).click()
    await expect(page.getByText('LF First set')).toBeVisible()
    await expect(page.getByText('Look at the inner heel')).toBeVisible()

    // Opened again from the horse's page: all of it is there.
    await page.getByRole('link', { name: /LF 5 x 5"/ }).click()
    await expect(field(page, 'heelWidth')).toHaveValue('3 1/2"')
    await expect(page.getByTestId('section')).toHaveText('3/4 x 5/16')
  })

  test('by keyboard alone', async ({ page, open }) => {
    await open('/stable')
    const focused = () =>
      page.evaluate(() =>
        // What went away hands the focus to what holds it: that is no stop of its own.
        document.activeElement?.matches('main, body') ? '' : (document.activeElement?.textContent ?? ''),
      )
    const tabTo = async (...names: string[]) => {
      const there = async () => {
        const text = await focused()
        return names.some((name) => text.includes(name))
      }
      for (let i = 0; i < 40 && !(await there()); i++) await page.keyboard.press('Tab')
      expect(await there()).toBe(true)
    }
    await expect(page.getByRole('link', { name: /Dunlin/ })).toBeVisible()
    for (let i = 0; i < 20; i++) {
      if (await page.evaluate(() => (document.activeElement as HTMLInputElement).type === 'search')) break
      await page.keyboard.press('Tab')
    }
    await page.keyboard.type('dunlin')
    await expect(page.getByRole('list', { name: 'Horses' }).getByRole('link')).toHaveCount(1)
    await tabTo('Dunlin')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('heading', { name: 'Dunlin' })).toBeVisible()
    // Another test may have begun it today.
    await tabTo('Start visit', 'Go on with the visit')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('tab', { name: 'Look', selected: true })).toBeVisible()
    await page.keyboard.press('m')
    await expect(page.getByText('Type the five measurements')).toBeVisible()
    await page.keyboard.press('g')
    await expect(page).toHaveURL(/\/RF(\?|$)/)
    for (let i = 0; i < 30; i++) {
      if (await page.evaluate(() => document.activeElement?.getAttribute('data-field') === 'width')) break
      await page.keyboard.press('Tab')
    }
    for (const [key, text] of FIVE) {
      await expect(field(page, key)).toBeFocused()
      await page.keyboard.type(text)
      await page.keyboard.press('Enter')
    }
    await expect(page.getByTestId('cut')).toBeVisible()

    // A handle by arrow keys: it is a slider.
    const before = await field(page, 'heelWidth').inputValue()
    await page.locator('[data-handle="heel-outer"]').focus()
    await page.keyboard.press('ArrowRight')
    await expect(field(page, 'heelWidth')).toHaveValue('3 9/16"')
    await page.keyboard.press('Control+z')
    await expect(field(page, 'heelWidth')).toHaveValue(before)

    await page.keyboard.press('Control+s')
    await expect(page.getByRole('dialog').getByLabel('Name')).toBeFocused()
    await page.keyboard.press('Control+a')
    await page.keyboard.type('By keyboard')
    await page.keyboard.press('Enter')
    await expect(page.getByText('Saved:')).toBeVisible()
    await expect(page.getByText('saved', { exact: true })).toBeVisible()
  })

  test('the last visit is copied, a pattern loaded, a side mirrored', async ({ page, open }) => {
    await open('/round')
    await openBench(page, 'Thrift')
    await page.getByRole('button', { name: 'Copy last visit' }).first().click()
    await expect(field(page, 'width')).not.toHaveValue('')
    const width = await field(page, 'width').inputValue()
    await expect(page.getByText('As last visit').first()).toBeVisible()
    await page.getByRole('radio', { name: 'right fore' }).click()
    await expect(field(page, 'width')).toHaveValue('')
    await page.getByRole('button', { name: 'Mirror from LF' }).first().click()
    await expect(field(page, 'width')).toHaveValue(width)
    await page.getByRole('button', { name: 'More for this foot' }).click()
    await page.getByRole('menuitem', { name: 'Load a pattern' }).click()
    await page.getByRole('dialog').getByRole('button', { name: /RF,/ }).last().click()
    await page.getByRole('tab', { name: 'Nail' }).click()
    // The oldest pattern carried a fourth nail on the outer branch.
    await expect(page.getByRole('checkbox', { name: 'Drive outer 4' })).toBeChecked()
    await savePattern(page)
    await expect(page.getByText('Saved:')).toBeVisible()
  })
})
