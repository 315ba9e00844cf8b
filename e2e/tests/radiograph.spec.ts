import { RADIOGRAPH_POINTS } from '@crescent/core/radiographs'
import type { Locator, Page } from '@playwright/test'
import {
  atRest,
  expect,
  expectAccessible,
  field,
  onDevice,
  openBench,
  TABLET,
  test,
  typeFive,
  typeOver,
  openGroup,
} from '../support/fixtures'
import { onScreen } from '../support/made-photo'
import { madeRadiograph } from '../support/made-radiograph'

const view = (page: Page) =>
  page.getByRole('group', { name: 'View' }).getByRole('button', { name: 'Radiograph' })
const opened = (page: Page) => {
  const dialog = page.getByRole('dialog')
  return { dialog, sheet: dialog.getByTestId('picture-sheet'), ask: dialog.getByTestId('plate-ask') }
}
/** How light the picture is on the whole, read from what is drawn. */
const lightness = (within: Locator) =>
  within
    .locator('canvas')
    .first()
    .evaluate((canvas: HTMLCanvasElement) => {
      const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height)
      return data.reduce((sum, value, i) => sum + (i % 4 === 0 ? value : 0), 0) / (data.length / 4)
    })
const row = (within: Locator, key: string) => within.locator(`tr[data-figure="${key}"]`)
const degrees = async (within: Locator, key: string) =>
  Number(/-?[\d.]+(?=°)/.exec((await row(within, key).getByRole('cell').first().textContent())!)![0])

test('a packed DICOM is opened, scaled by its marker, marked, read, planned on and handed to the shoe', async ({
  page,
  open,
}) => {
  test.slow()
  const { file, truth } = await madeRadiograph({ seed: 7, width: 1200 }, 'jpeg-2000')
  await open('/round')
  await openBench(page, 'Nock')
  await typeFive(page)
  await view(page).click()
  const file1 = page.getByLabel('Open a radiograph')
  await expectAccessible(page)
  await file1.setInputFiles({ name: 'a.dcm', mimeType: 'application/dicom', buffer: Buffer.from('a text') })
  await expect(page.getByRole('alert').filter({ hasText: 'no radiograph' })).toBeVisible()

  await file1.setInputFiles(file)
  const { dialog, sheet, ask } = opened(page)
  await expect(sheet).toBeVisible()
  await expect(dialog.getByText('Without a scale there are angles')).toBeVisible()
  const tap = async (pixel: readonly [number, number]) => {
    const { x, y } = await onScreen(sheet, pixel)
    await page.mouse.click(x, y)
  }
  await dialog.getByRole('radio', { name: 'A marker I know' }).click()
  await tap(truth.marker.from)
  await expect(ask).toContainText('Its other end')
  await tap(truth.marker.to)
  await typeOver(field(page, 'plate-marker'), `${truth.marker.long} mm`)
  for (const { key, label } of RADIOGRAPH_POINTS) {
    await expect(ask).toContainText(label)
    await tap(truth.points[key])
  }
  await expect(ask).toContainText('All is marked')
  await expectAccessible(page)
  // A click hits a pixel of the screen: three of the picture's tenths of a mm, spread over bones of 60 mm.
  const { limb } = truth
  for (const key of ['palmarAngle', 'wallAngle', 'rotation', 'alignment'] as const)
    expect(Math.abs((await degrees(dialog, key)) - limb[key]), key).toBeLessThan(1)
  // A place is pulled: the angle follows, and one tap of Undo brings it back.
  const before = await degrees(dialog, 'palmarAngle')
  const from = await onScreen(sheet, truth.points.U)
  await page.mouse.move(from.x, from.y)
  await page.mouse.down()
  await page.mouse.move(from.x, from.y - 10)
  await page.mouse.move(from.x, from.y - 24)
  await page.mouse.up()
  await expect.poll(() => degrees(dialog, 'palmarAngle')).toBeGreaterThan(before + 3)
  await dialog.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => degrees(dialog, 'palmarAngle')).toBe(before)
  // Windowed, it is another picture.
  const shown = await lightness(dialog)
  await dialog.getByRole('button', { name: 'Bone', exact: true }).click()
  await expect.poll(() => lightness(dialog)).not.toBe(shown)
  // So by a drag over the picture itself, which sets no place.
  const shade = dialog.getByRole('button', { name: 'Drag for bright and dark' })
  await shade.click()
  await expect(ask).toContainText('Drag up for brighter')
  const [bright, boned] = [dialog.getByLabel('Brightness'), await lightness(dialog)]
  const stood = Number(await bright.inputValue())
  const middle = await atRest(sheet)
  await page.mouse.move(middle.x + 200, middle.y + 200)
  await page.mouse.down()
  await page.mouse.move(middle.x + 200, middle.y + 140, { steps: 3 })
  await page.mouse.up()
  await expect.poll(() => lightness(dialog)).toBeGreaterThan(boned)
  await expect.poll(async () => Number(await bright.inputValue())).toBeGreaterThan(stood + 5)
  await shade.click()
  await expect(ask).toContainText('All is marked')
  await dialog.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByTestId('plate-state')).toContainText('17 of 17 places marked; kept with the visit')

  const plan = page.getByTestId('plate-plan')
  await expect(plan).toContainText('Raise by the shoe')
  await typeOver(field(page, 'plate-palmarAngle'), '50')
  await expect(page.getByText('Palmar angle wanted: from -5° to 20°')).toBeVisible()
  await typeOver(field(page, 'plate-palmarAngle'), '6')
  await expect(plan).toContainText('6.0°')
  const hand = page.getByRole('button', { name: 'Hand it to the shoe' })
  await expect(hand).toBeDisabled()
  await page.getByRole('radio', { name: 'Rocker toe' }).click()
  await typeOver(
    page.getByLabel('Agreed with the vet: who, and what'),
    'Dr. Made-up: break over beneath the tip',
  )
  await hand.click()
  // The foot has its figures, the school is the radiograph’s, and the shoe its rocker.
  await expect(page.getByRole('radio', { name: /Radiographic/ })).toBeChecked()
  await page.getByRole('tab', { name: 'Shoe' }).click()
  await expect(page.getByRole('region', { name: 'Rocker toe', exact: true })).toBeVisible()
  // After a reload it is there as it was marked, with its scale.
  await page.reload()
  await page.getByRole('tab', { name: 'Map' }).click()
  await view(page).click()
  const course = page.getByRole('table', { name: 'Before and after' })
  await expect(course).toContainText('Palmar angle')
  await course.getByRole('button').first().click()
  await expect(page.getByTestId('plate-state')).toContainText('17 of 17 places marked; kept with the visit')
  await expect(row(page.locator('cr-plate-figures'), 'palmarAngle')).toContainText(before.toFixed(1))
  await expect(row(page.locator('cr-plate-figures'), 'soleTip')).toContainText('±')
  await page.getByRole('tab', { name: 'Shoe' }).click()
  // The same radiograph stands beside the shoe.
  await view(page).click()
  await expect(page.getByTestId('plate-plan')).toContainText('Raise by the shoe')
})

test('by keys alone: what is proposed is not set until it is moved, and the file’s own scale is said', async ({
  page,
  open,
}) => {
  const { file } = await madeRadiograph({ seed: 12, width: 900 }, 'jpeg-ls')
  await open('/round')
  await openBench(page, 'Nock')
  await typeFive(page)
  await view(page).focus()
  await page.keyboard.press('Enter')
  await page.getByLabel('Open a radiograph').setInputFiles(file)
  const { dialog, sheet, ask } = opened(page)
  await expect(ask).toContainText('Ground, in front')
  // The proposal alone counts for nothing; moved by a key it is a place.
  const proposed = dialog.getByRole('button', { name: 'Ground, in front?' })
  await proposed.focus()
  await page.keyboard.press('ArrowDown')
  await expect(ask).toContainText('Ground, behind')
  // The cross is moved and set.
  await sheet.focus()
  for (let i = 0; i < 5; i++) await page.keyboard.press('Shift+ArrowLeft')
  await page.keyboard.press('Enter')
  await expect(ask).toContainText('Breakover')
  await page.keyboard.press('Tab')
  const set = dialog.getByRole('button', { name: 'Ground, in front', exact: true })
  await set.focus()
  await page.keyboard.press('Delete')
  await expect(ask).toContainText('Ground, in front')
  await dialog.getByRole('button', { name: 'Not to be seen' }).focus()
  await page.keyboard.press('Enter')
  await expect(ask).toContainText('Breakover')
  await dialog.getByRole('radio', { name: 'As the file says' }).focus()
  await page.keyboard.press('Space')
  await expect(dialog.getByText(/The file says/)).toBeVisible()
})

test('by touch on a tablet: one to practise on is marked, and its figures go to the foot', async ({
  browser,
  server,
}) => {
  test.slow()
  await onDevice(browser, server, TABLET, async (page) => {
    await openBench(page, 'Nock')
    await typeFive(page)
    await view(page).tap()
    await page.getByRole('button', { name: 'Practise on a made-up one' }).tap()
    const { dialog, sheet, ask } = opened(page)
    await dialog.getByRole('radio', { name: 'As the file says' }).tap()
    await expect(dialog.getByText('its pixels were calibrated')).toBeVisible()
    const tap = async (x: number, y: number) => {
      const box = await atRest(sheet)
      await page.touchscreen.tap(box.x + box.width * x, box.y + box.height * y)
    }
    for (const [x, y] of [
      [0.8, 0.88],
      [0.2, 0.88],
      [0.72, 0.88],
      [0.35, 0.88],
      [0.5, 0.5],
      [0.65, 0.76],
      [0.45, 0.72],
    ] as const) {
      const words = await ask.textContent()
      await tap(x, y)
      await expect(ask).not.toHaveText(words!)
    }
    await expect(row(dialog, 'palmarAngle')).toContainText('°')
    const read = await degrees(dialog, 'palmarAngle')
    await dialog.getByRole('button', { name: 'Done' }).tap()
    await page.getByRole('button', { name: 'Take figures to the foot' }).tap()
    await expect(page.getByText('the foot’s now')).toBeVisible()
    await openGroup(page, 'Seen from the side')
    await expect(field(page, 'palmarAngle')).toHaveValue(
      new RegExp(`^${read.toFixed(1).replace(/\.0$/, '')}`),
    )
  })
})
