import { formatLength, parseLength, type FootFigureKey } from '@crescent/core'
import type { Page } from '@playwright/test'
import {
  atRest,
  expect,
  expectAccessible,
  field,
  openBench,
  test,
  typeFive,
  typeOver,
  typeDay,
  openGroup,
} from '../support/fixtures'

const STYLE = { unit: 'in', denominator: 16 } as const
const school = (page: Page, key: string) => page.locator(`[data-school="${key}"]`)
const view = (page: Page, name: string) => page.getByRole('button', { name, exact: true })
const copyLast = (page: Page) => page.getByRole('button', { name: 'Copy last visit' }).first().click()

/** Opens the groups of refinements so that every field can be reached. */
async function unfold(page: Page): Promise<void> {
  await expect(page.locator('cr-map-step')).toBeVisible()
  for (const details of await page.locator('cr-map-step details').all())
    await details.evaluate((element: HTMLDetailsElement) => (element.open = true))
}

test.describe('map', () => {
  test('the schools table says what each used and what it lacks, and never guesses', async ({
    page,
    open,
  }) => {
    await open('/round')
    await openBench(page, 'Fallow')
    await typeFive(page)
    await expect(school(page, 'landmark')).toContainText('lacks the widest part, measured or agreed')
    await expect(school(page, 'thirds')).toContainText('lacks the true frog apex')
    await expect(school(page, 'radiographic')).toContainText('lacks a lateral radiograph')
    await expect(school(page, 'perimeter')).toContainText('2 3/8"')
    await expect(page.locator('[data-school-line]')).toHaveCount(1)

    await unfold(page)
    await typeOver(field(page, 'frogApex'), '1 3/4')
    await typeOver(field(page, 'barsFromToe'), '2 3/4')
    await expect(page.getByText('Both agree.')).toBeVisible()
    await expect(school(page, 'landmark')).toContainText('2 – 2 1/4"')
    await expect(school(page, 'thirds')).not.toContainText('lacks')
    await typeOver(field(page, 'arcFromToe'), '3 1/2')
    await expect(page.getByText('Two agree; the odd one is the widest arc').first()).toBeVisible()
    await expect(page.locator('[data-estimate="c"]')).toContainText('odd')

    // A tip found by hoof tester will do for the landmark school, not for the radiographic one.
    await typeOver(field(page, 'tipFromToe'), '3/4')
    await page.getByRole('button', { name: 'hoof tester' }).click()
    await expect(school(page, 'radiographic')).toContainText('a tip found by hoof tester will not do')
    await page.getByRole('button', { name: 'radiograph', exact: true }).click()
    await expect(school(page, 'radiographic')).not.toContainText('lacks')
    await expect(page.locator('[data-school-line]')).toHaveCount(4)

    // The one in use is chosen for this foot, or for the horse and remembered with it.
    await school(page, 'landmark').getByRole('radio').check()
    await page.getByRole('button', { name: 'Set the shoe’s toe back to it' }).click()
    await expect(page.getByRole('button', { name: 'Set the shoe’s toe back to it' })).toHaveCount(0)
    await page.getByRole('button', { name: 'Use for the whole horse' }).click()
    await page.getByRole('radio', { name: 'right hind' }).click()
    await typeFive(page)
    await expect(school(page, 'landmark').getByRole('radio')).toBeChecked()
    await page.getByRole('link', { name: 'Fallow' }).click()
    await page.getByRole('button', { name: 'Change', exact: true }).click()
    await expect(page.getByRole('dialog').getByText('Landmark: Riding horses')).toBeVisible()
  })

  test('each landmark is dragged on the drawing and typed beside it', async ({ page, open }) => {
    test.slow()
    await open('/round')
    await openBench(page, 'Copperkettle')
    await copyLast(page)
    await unfold(page)
    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: 'Landmarks' }).click()
    const moves: [FootFigureKey, number, number][] = [
      ['frogApex', 0, 14],
      ['frogLength', 0, -12],
      ['frogWidth', -12, 0],
      ['barsFromToe', 0, 15],
      ['arcFromToe', 0, -15],
      ['widestFromToe', 0, 12],
      ['bulbLine', 0, 10],
      ['tipFromToe', 0, 12],
      ['wornBreakover', 0, 14],
      ['toeWallThickness', 0, 9],
      ['wallThickness', 9, 0],
      ['medialWallThickness', 9, 0],
      ['heelWallThickness', 8, 0],
    ]
    for (const [key, dx, dy] of moves) {
      const input = field(page, key)
      const shown = async () => (await input.inputValue()) || (await input.getAttribute('placeholder')) || ''
      const before = await shown()
      const knob = page.locator(`[data-handle="${key}"] .knob`)
      const box = await atRest(knob)
      await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
      await page.mouse.down()
      await page.mouse.move(box.x + box.width / 2 + dx, box.y + box.height / 2 + dy, { steps: 4 })
      await page.mouse.up()
      await expect.poll(shown, { message: `${key} follows the hand` }).not.toBe(before)
      await expect(input, `${key} is a figure now`).not.toHaveValue('')
      // The field follows a little behind a hand and is right once it is lifted.
      const handle = page.locator(`[data-handle="${key}"]`)
      await expect
        .poll(async () => (await shown()) === (await handle.getAttribute('aria-valuetext')), { message: key })
        .toBe(true)
    }
    await typeOver(field(page, 'frogApex'), '1 3/4')
    await expect(page.locator('[data-handle="frogApex"]')).toHaveAttribute('aria-valuetext', '1 3/4"')
    await page.locator('[data-handle="frogApex"]').focus()
    await page.keyboard.press('ArrowUp')
    await expect(field(page, 'frogApex')).toHaveValue('1 13/16"')
  })

  test('heels measured to the middle of the web are a web wider outside, on drawing and in numbers', async ({
    page,
    open,
  }) => {
    await open('/round')
    await openBench(page, 'Nock')
    await typeFive(page)
    await openGroup(page)
    await page.getByRole('button', { name: 'middle of web' }).click()
    await typeOver(field(page, 'heelWidth'), '2 3/4')
    await expect(field(page, 'heelWeb')).toHaveAttribute('placeholder', '3/4"')
    await expect(page.locator('[data-handle="heel-outer"]')).toHaveAttribute('aria-valuetext', '3 1/2"')
    await page.locator('[data-handle="heel-outer"]').focus()
    await page.keyboard.press('ArrowUp')
    await expect(field(page, 'heelWidth')).toHaveValue('2 13/16"')
    await expect(page.locator('[data-handle="heel-outer"]')).toHaveAttribute('aria-valuetext', '3 9/16"')
  })

  test('the side view is live with the numbers', async ({ page, open }) => {
    await open('/round')
    await openBench(page, 'Bellwether')
    await typeFive(page)
    await unfold(page)
    await view(page, 'Side').click()
    await expect(page.getByText('Measure the pastern angle to judge the axis.')).toBeVisible()
    await typeOver(field(page, 'pasternAngle'), '59')
    await expect(page.getByRole('status').filter({ hasText: 'broken back by 7.0°' })).toBeVisible()
    await typeOver(field(page, 'toeAngle'), '58')
    await expect(page.getByText('Hoof-pastern axis straight.')).toBeVisible()
    await typeOver(field(page, 'plumbBehind'), '1')
    await expect(page.locator('cr-side-drawing').getByText('plumb line')).toBeVisible()
    await expect(page.getByText('Heels lie ahead of the plumb line')).toBeVisible()
    await expectAccessible(page)
  })

  test('two visits, two feet, and a foot against itself are laid over each other', async ({ page, open }) => {
    await open('/round')
    await openBench(page, 'Thrift')
    await copyLast(page)
    await expect(field(page, 'width')).not.toHaveValue('')
    const width = await field(page, 'width').inputValue()
    await view(page, 'Compare').click()
    const table = page.locator('cr-compare-view table')
    await expect(table.getByRole('row', { name: 'quarter same same', exact: true })).toBeVisible()

    // A quarter of an inch wider than the last time is an eighth on each side.
    const last = await page.evaluate(() => document.querySelector('select')!.selectedOptions[0]!.text)
    expect(last).toMatch(/^LF /)
    const before = parseLength(width, 'in')
    if (!before.ok) throw new Error(before.message)
    await typeOver(field(page, 'width'), formatLength(before.mm + 25.4 / 4, STYLE))
    await expect(table.getByRole('row', { name: 'quarter +1/8" +1/8"', exact: true })).toBeVisible()
    await expect(page.locator('cr-compare-view path[fill="url(#outside)"]').first()).toBeAttached()

    await page.getByTestId('against').selectOption({ label: 'itself, inner against outer' })
    await expect(table).toContainText('Outer over inner')
    await expect(table.getByRole('row', { name: 'toe quarter same' })).toBeVisible()
    await page.getByRole('radio', { name: 'right fore' }).click()
    await copyLast(page)
    await page.getByTestId('against').selectOption('pair')
    await expect(table).toContainText('RF now against LF at this visit')
    await expectAccessible(page)
  })

  test('change over time: chart, trend, growth and what the foot will likely measure', async ({
    page,
    open,
  }) => {
    await open('/round')
    await openBench(page, 'Fallow')
    await copyLast(page)
    await view(page, 'Over time').click()
    const chart = page.locator('cr-change-chart')
    await expect(chart.locator('svg path').first()).toBeAttached()
    await expect(chart).toContainText(/Width .* It changes by \+[\d /]+" a year, give or take/)
    await expect(chart).toContainText(/The wall grows [\d /]+" over four weeks, give or take/)
    const likely = chart.locator('[data-followed="width"] td').first()
    const soon = await likely.textContent()
    await typeDay(chart.getByLabel('Likely measures on'), '2029-11-23')
    await expect(likely).not.toHaveText(soon!)
    await chart.getByRole('button', { name: 'Toe angle' }).click()
    await expect(chart).toContainText(/Toe angle \d+(\.\d)?° on/)
    await expectAccessible(page)

    await page.getByRole('link', { name: 'Fallow' }).click()
    await page.getByText('Change over time').click()
    await expect(page.locator('cr-change-chart .chart svg path').first()).toBeAttached()
    await page.locator('cr-change-chart').getByRole('button', { name: 'RH' }).click()
    await expect(page.locator('cr-change-chart')).toContainText('Width')
  })

  test('a caliper that types: each reading goes to the next field', async ({ page, open }) => {
    await open('/round')
    await openBench(page, 'Quiver')
    await page.getByRole('button', { name: 'Caliper on screen' }).click()
    await field(page, 'width').focus()
    const jaws = page.getByLabel('Opening of the jaws')
    await jaws.fill('108')
    await page.getByRole('button', { name: 'Send' }).click()
    await expect(field(page, 'width')).toHaveValue(formatLength(108, STYLE))
    await expect(field(page, 'length')).toBeFocused()
    await page.locator('cr-caliper-panel').getByRole('button', { name: 'mm', exact: true }).click()
    await jaws.fill('111.1')
    await page.getByRole('button', { name: 'Send' }).click()
    await expect(field(page, 'length')).toHaveValue(formatLength(111.1, STYLE))
    await expect(field(page, 'heelWidth')).toBeFocused()
    // One on a cable does the same: keys and Enter, nothing else.
    await page.keyboard.type('+076.20mm')
    await page.keyboard.press('Enter')
    await expect(field(page, 'heelWidth')).toHaveValue('3"')
    await expect(field(page, 'toeAngle')).toBeFocused()
  })

  test('Enter walks through every figure, opening the groups, with a picture of where the rule goes', async ({
    page,
    open,
  }) => {
    await open('/round')
    await openBench(page, 'Parsley')
    await copyLast(page)
    await field(page, 'width').focus()
    await expect(page.locator('cr-rule-picture svg')).toBeVisible()
    const walked: string[] = []
    for (let i = 0; i < 40; i++) {
      const key = await page.evaluate(() => (document.activeElement as HTMLElement).dataset['field'] ?? '')
      if (key === '') break
      walked.push(key)
      await page.keyboard.press('Enter')
    }
    expect(walked.slice(0, 5)).toEqual(['width', 'length', 'heelWidth', 'toeAngle', 'wallThickness'])
    expect(walked).toEqual(
      expect.arrayContaining([
        'frogApex',
        'barsFromToe',
        'arcFromToe',
        'heelAngle',
        'solePlane',
        'plumbBehind',
      ]),
    )
    expect(new Set(walked).size).toBe(walked.length)
  })
})

/** Points along the edge of a foot as a hand drew it, in inches, lying on its side; toe, outer and inner heel of it. */
function drawnFoot() {
  const [wide, front, back, heels] = [2.55, 2.5, 2.6, 1.75]
  const branch = (sign: 1 | -1) => [
    ...Array.from({ length: 12 }, (_, i) => {
      const share = 1 - i / 12
      return [sign * (wide - (wide - heels) * share ** 2), -back * share] as const
    }),
    ...Array.from({ length: 18 }, (_, i) => {
      const angle = (Math.PI / 2) * (i / 18)
      return [sign * wide * Math.cos(angle), front * Math.sin(angle)] as const
    }),
  ]
  const lay = ([x, y]: readonly [number, number]): [number, number] => [-y + 7, x - 3]
  return {
    points: [...branch(1), [0, front] as const, ...branch(-1).reverse()].map(lay),
    toe: lay([0, front]),
    outer: lay([heels, -back]),
    inner: lay([-heels, -back]),
    width: 2 * wide * 25.4,
  }
}

test('an outline comes in from a file: unit, three taps, and it is the foot', async ({ page, open }) => {
  const { points, toe, outer, inner, width } = drawnFoot()
  await open('/round')
  await openBench(page, 'Fallow')
  await page.getByRole('button', { name: 'Outline from a file' }).click()
  const dialog = page.getByRole('dialog', { name: 'Outline from a file' })
  await expectAccessible(page)
  const file = dialog.getByLabel('File with the outline')
  await file.setInputFiles({ name: 'foot.pdf', mimeType: 'application/pdf', buffer: Buffer.from('%PDF') })
  await expect(dialog.getByRole('alert')).toContainText('none of the files that are read here')
  await file.setInputFiles({
    name: 'foot.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(points.map((point) => point.join(',')).join('\n')),
  })
  await expect(dialog.getByRole('button', { name: 'Take this outline' })).toBeDisabled()
  await dialog.getByRole('radio', { name: 'inches' }).click()
  const ask = dialog.getByTestId('outline-ask')
  const tap = async ([x, y]: [number, number]) => {
    const at = await dialog.getByTestId('outline-sheet').evaluate(
      (svg, [px, py]) => {
        const seen = new DOMPoint(px * 25.4, -py * 25.4).matrixTransform(
          (svg as unknown as SVGSVGElement).getScreenCTM()!,
        )
        return { x: seen.x, y: seen.y }
      },
      [x, y] as const,
    )
    await page.mouse.click(at.x, at.y)
  }
  await expect(ask).toHaveText('Tap the middle of the toe')
  await tap(toe)
  await expect(ask).toHaveText('Tap the outer heel, where it bears')
  await tap(outer)
  await expect(ask).toHaveText('Tap the inner heel, where it bears')
  await tap(inner)
  await expect(dialog.getByTestId('outline-measures')).toContainText('Width')
  await expectAccessible(page)
  await dialog.getByRole('button', { name: 'Take this outline' }).click()
  await expect(dialog).toHaveCount(0)
  await expect(page.getByTestId('traced')).toContainText('The outline is traced')
  // Taps are as near as a hand's: a pixel of the screen is half a millimetre here.
  const read = parseLength(await field(page, 'width').inputValue(), 'in')
  expect(Math.abs((read.ok ? read.mm : 0) - width)).toBeLessThan(1.5)
  await typeOver(field(page, 'toeAngle'), '52')
  await typeOver(field(page, 'wallThickness'), '3/8')
  await expect(page.getByTestId('cut')).toBeVisible()
  // It is drawn out to what is typed, and back with the undo.
  await page.getByRole('button', { name: 'Take it away' }).click()
  await expect(page.getByTestId('traced')).toHaveCount(0)
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(page.getByTestId('traced')).toBeVisible()
})
