import { parseLength } from '@crescent/core'
import sharp from 'sharp'
import type { Locator, Page } from '@playwright/test'
import { PHOTO_TAPS } from '@crescent/core/photographs'
import {
  expect,
  expectAccessible,
  field,
  onDevice,
  openBench,
  PHONE,
  test,
  typeFive,
  typeOver,
  openGroup,
} from '../support/fixtures'
import { madePhoto, onScreen } from '../support/made-photo'

const made = madePhoto({ seed: 4, tilt: 18, width: 1600, tapping: 2 })

async function opened(page: Page) {
  await page.getByRole('button', { name: 'Outline from a photograph' }).click()
  const dialog = page.getByRole('dialog', { name: 'Outline from a photograph' })
  await dialog.getByLabel('Choose a photograph').setInputFiles((await made).file)
  await expect(dialog.getByTestId('card-seen')).toContainText('4 of 4 marks found')
  return partsOf(dialog)
}

const partsOf = (dialog: Locator) => ({
  dialog,
  sheet: dialog.getByTestId('picture-sheet'),
  ask: dialog.getByTestId('photo-ask'),
})

test('a photograph of the sole becomes the foot: card, seven taps, the line mended, the outline taken', async ({
  page,
  open,
}) => {
  await open('/round')
  await openBench(page, 'Fallow')
  await page.getByRole('button', { name: 'Outline from a photograph' }).click()
  const first = page.getByRole('dialog', { name: 'Outline from a photograph' })
  await expectAccessible(page)
  const choose = first.getByLabel('Choose a photograph')
  await choose.setInputFiles({ name: 'sole.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('a text') })
  await expect(first.getByRole('alert')).toContainText('no photograph')
  await page.keyboard.press('Escape')
  await expect(first).toHaveCount(0)

  const { dialog, sheet, ask } = await opened(page)
  const { truth } = await made
  for (const { key, ask: words } of PHOTO_TAPS) {
    await expect(ask).toHaveText(words)
    const { x, y } = await onScreen(sheet, truth.taps[key])
    await page.mouse.click(x, y)
  }
  // A tap beside the dialog throws nothing away.
  await page.mouse.click(4, 400)
  const measures = dialog.getByTestId('outline-measures')
  await expect(measures).toContainText('Width')
  await expectAccessible(page)
  // A knot is pulled and the pull taken back: the figures change and come back.
  const before = await measures.textContent()
  const middle = async (number: number) => {
    const box = (await dialog.getByRole('button', { name: `Knot ${number} of 41` }).boundingBox())!
    return [box.x + box.width / 2, box.y + box.height / 2] as const
  }
  const [toe, one, other] = [await middle(21), await middle(1), await middle(41)]
  const back = [toe[0] - (one[0] + other[0]) / 2, toe[1] - (one[1] + other[1]) / 2] as const
  const long = Math.hypot(...back)
  await page.mouse.move(...toe)
  await page.mouse.down()
  await page.mouse.move(toe[0] + (back[0] / long) * 40, toe[1] + (back[1] / long) * 40, { steps: 4 })
  await page.mouse.up()
  await expect(measures).not.toHaveText(before!)
  await dialog.getByRole('button', { name: 'Undo' }).click()
  await expect(measures).toHaveText(before!)
  // An absurd figure is named with what it can be, stays as typed and moves nothing; a true one moves the measures.
  const line = field(page, 'photo-line')
  await typeOver(line, '9 mm')
  await line.blur()
  await expect(dialog.getByRole('alert')).toContainText('Printed line: from')
  await expect(measures).toHaveText(before!)
  await typeOver(line, '95 mm')
  await line.blur()
  await expect(measures).not.toHaveText(before!)
  await typeOver(line, '100 mm')
  await line.blur()
  await expect(measures).toHaveText(before!)
  // So by the keys: a knot moves with the arrows.
  await dialog.getByRole('button', { name: 'Knot 21 of 41' }).focus()
  const ahead =
    Math.abs(back[0]) > Math.abs(back[1]) ? (back[0] > 0 ? 'Right' : 'Left') : back[1] > 0 ? 'Down' : 'Up'
  for (let i = 0; i < 3; i++) await page.keyboard.press(`Shift+Arrow${ahead}`)
  await expect(measures).not.toHaveText(before!)
  for (let i = 0; i < 3; i++) await dialog.getByRole('button', { name: 'Undo' }).click()
  // The apex of the frog on the same picture: half way from the toe to the line between the heels.
  await dialog.getByRole('button', { name: 'Frog apex' }).click()
  await expect(ask).toContainText('true apex')
  const { toe: front, lateralHeel, medialHeel } = truth.taps
  const half = ([0, 1] as const).map((i) => front[i] / 2 + (lateralHeel[i] + medialHeel[i]) / 4)
  const apex = await onScreen(sheet, half as [number, number])
  await page.mouse.click(apex.x, apex.y)
  await expect(dialog.getByRole('button', { name: /^Frog apex \d/ })).toBeVisible()
  await dialog.getByRole('button', { name: 'Take this outline' }).click()
  await expect(dialog).toHaveCount(0)
  await expect(page.getByTestId('traced')).toContainText('The outline is traced')
  const read = parseLength(await field(page, 'width').inputValue(), 'in')
  expect(Math.abs((read.ok ? read.mm : 0) - truth.foot.width)).toBeLessThan(1.5)
  await typeOver(field(page, 'toeAngle'), '52')
  await typeOver(field(page, 'wallThickness'), '3/8')
  await expect(page.getByTestId('cut')).toBeVisible()
  // It is a figure of the foot now, about half its length (half way in a picture taken askew is not quite half way), and the sole stays with the visit, seen from straight above.
  await openGroup(page, 'Apex and widest part')
  const frog = parseLength(await field(page, 'frogApex').inputValue(), 'in')
  expect(Math.abs((frog.ok ? frog.mm : 0) - truth.foot.length / 2)).toBeLessThan(truth.foot.length / 15)
  await page.getByRole('group', { name: 'View' }).getByRole('button', { name: 'Photos' }).click()
  await expect(page.getByRole('button', { name: /^Sole, / })).toHaveCount(1)
})

test('the page is reloaded half way: the photograph is there, with what was tapped on it', async ({
  page,
  open,
}) => {
  await open('/round')
  await openBench(page, 'Fallow')
  const { truth } = await made
  const tap = async (
    taps: readonly (typeof PHOTO_TAPS)[number][],
    { sheet, ask }: ReturnType<typeof partsOf>,
  ) => {
    for (const { key, ask: words } of taps) {
      await expect(ask).toHaveText(words)
      const { x, y } = await onScreen(sheet, truth.taps[key])
      await page.mouse.click(x, y)
    }
  }
  const first = await opened(page)
  await tap(PHOTO_TAPS.slice(0, 4), first)
  await expect(first.ask).toHaveText(PHOTO_TAPS[4].ask)
  // What was tapped last is put away in a moment; no sign of it is wanted on the screen.
  await page.waitForTimeout(600)
  await page.reload()
  await page.getByRole('button', { name: 'Outline from a photograph' }).click()
  const dialog = page.getByRole('dialog', { name: 'Outline from a photograph' })
  const begun = dialog.getByRole('group', { name: 'A photograph that was begun' })
  await expect(begun).toContainText(/\(\d\d:\d\d\)/)
  await expectAccessible(page)
  await begun.getByRole('button', { name: 'Go on with it' }).click()
  await tap(PHOTO_TAPS.slice(4), partsOf(dialog))
  await expect(dialog.getByTestId('outline-measures')).toContainText('Width')
  await dialog.getByRole('button', { name: 'Take this outline' }).click()
  await expect(dialog).toHaveCount(0)
  await expect(page.getByTestId('traced')).toContainText('The outline is traced')
  // It is done with: nothing is offered any more.
  await page.getByRole('button', { name: 'Outline from a photograph' }).click()
  await expect(dialog.getByText('Lay the printed scale card')).toBeVisible()
  await expect(begun).toHaveCount(0)
})

test('by keys alone: the cross is moved, Enter sets each place', async ({ page, open }) => {
  await open('/round')
  await openBench(page, 'Fallow')
  const { dialog, sheet } = await opened(page)
  const { truth, width: wide } = await made
  await sheet.focus()
  const step = wide / 900
  let at: [number, number] | undefined
  for (const { key } of PHOTO_TAPS) {
    const [u, v] = truth.taps[key]
    at ??= [wide / 2, (wide * 0.75) / 2]
    for (const [axis, minus, plus] of [
      [0, 'ArrowLeft', 'ArrowRight'],
      [1, 'ArrowUp', 'ArrowDown'],
    ] as const) {
      const many = Math.round(([u, v][axis]! - at[axis]) / (step * 8))
      for (let i = 0; i < Math.abs(many); i++) await page.keyboard.press(`Shift+${many < 0 ? minus : plus}`)
      at[axis] += many * step * 8
    }
    await page.keyboard.press('Enter')
  }
  await expect(dialog.getByTestId('outline-measures')).toContainText('Width')
})

test('a photograph of the shoe on the anvil becomes the shape that bends are planned from', async ({
  page,
  open,
}) => {
  const shoe = await madePhoto({ seed: 9, tilt: 12, width: 1600, object: 'shoe', tapping: 1 })
  await open('/round')
  await openBench(page, 'Fallow')
  await typeFive(page)
  await page.getByRole('tab', { name: 'Try' }).click()
  await page.getByRole('radio', { name: 'By points' }).click()
  await page.getByRole('button', { name: 'From a photograph of the shoe' }).click()
  const dialog = page.getByRole('dialog', { name: 'Shape from a photograph' })
  await dialog.getByLabel('Choose a photograph').setInputFiles(shoe.file)
  await expect(dialog.getByTestId('card-seen')).toContainText('4 of 4')
  const sheet = dialog.getByTestId('picture-sheet')
  for (const { key, shoe: words } of PHOTO_TAPS) {
    await expect(dialog.getByTestId('photo-ask')).toHaveText(words)
    const { x, y } = await onScreen(sheet, shoe.truth.taps[key])
    await page.mouse.click(x, y)
  }
  await expect(dialog.getByRole('button', { name: /^Knot 21 of/ })).toBeVisible()
  await expectAccessible(page)
  await dialog.getByRole('button', { name: 'Take this shape' }).click()
  await expect(dialog).toHaveCount(0)
  // Many points, each of which can be mended, and bends from them.
  const points = await page.getByRole('textbox', { name: /Points along the middle/ }).inputValue()
  expect(points.split('\n').length).toBeGreaterThan(40)
  await expect(page.getByTestId('bends').getByRole('listitem').first()).toBeVisible()
})

test('where the edge is doubtful one more tap on it is enough: it is followed anew, and the tap can be taken back', async ({
  page,
  open,
}) => {
  const hard = await madePhoto({ seed: 106, ground: 'straw', width: 1600, height: 0, tapping: 4 })
  await open('/round')
  await openBench(page, 'Fallow')
  await page.getByRole('button', { name: 'Outline from a photograph' }).click()
  const { dialog, sheet, ask } = partsOf(page.getByRole('dialog', { name: 'Outline from a photograph' }))
  await dialog.getByLabel('Choose a photograph').setInputFiles(hard.file)
  await expect(dialog.getByTestId('card-seen')).toContainText('4 of 4 marks found')
  for (const { key } of PHOTO_TAPS) {
    const { x, y } = await onScreen(sheet, hard.truth.taps[key])
    await page.mouse.click(x, y)
  }
  await expect(ask).toContainText('The edge is not clear where it is dotted: tap it once there')
  /** How long all dotted stretches are together, and the middle of the longest on the screen. */
  const dotted = () =>
    sheet.evaluate((svg) => {
      const lines = [...svg.querySelectorAll<SVGGeometryElement>('.doubtful')]
      // While it is followed there is no line at all.
      if (lines.length === 0) return { long: svg.querySelector('.edge') ? 0 : NaN, x: 0, y: 0 }
      const longest = lines.reduce((a, b) => (b.getTotalLength() > a.getTotalLength() ? b : a))
      const onScreen = (share: number) => {
        const at = longest.getPointAtLength(longest.getTotalLength() * share)
        return new DOMPoint(at.x, at.y).matrixTransform(longest.getScreenCTM()!)
      }
      // Beside the knots: those are pulled.
      const shares = Array.from({ length: 60 }, (_, i) => 0.4 + i / 300)
      const free = shares.find((share) => {
        const { x, y } = onScreen(share)
        return !document.elementFromPoint(x, y)?.closest('.mark')
      })!
      const { x, y } = onScreen(free)
      return { long: lines.reduce((sum, line) => sum + line.getTotalLength(), 0), x, y }
    })
  const before = await dotted()
  await page.mouse.click(before.x, before.y)
  await expect.poll(async () => (await dotted()).long, { timeout: 20_000 }).toBeLessThan(before.long)
  await expectAccessible(page)
  await dialog.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(async () => (await dotted()).long, { timeout: 20_000 }).toBeCloseTo(before.long, 0)
})

test('by touch on a phone: the magnifier shows what is under the finger; a length stands for the card', async ({
  browser,
  server,
}) => {
  await onDevice(browser, server, PHONE, async (page) => {
    await openBench(page, 'Fallow')
    const { dialog, sheet } = await opened(page)
    const { truth } = await made
    for (const { key } of PHOTO_TAPS) {
      const { x, y } = await onScreen(sheet, truth.taps[key])
      await page.touchscreen.tap(x, y)
    }
    await expect(dialog.getByTestId('outline-measures')).toContainText('Width')
    await expectAccessible(page)
    await dialog.getByRole('radio', { name: 'No card: a length I know' }).click()
    await expect(dialog.getByTestId('photo-ask')).toHaveText('Tap one end of the length you know')
  })
})

test('a photograph of slide tracks turns the slide shoe: the line of travel, the track, and the shoe turned by what lies between', async ({
  page,
  open,
}) => {
  const plain = { width: 800, height: 600, channels: 3 as const, background: '#a08060' }
  const buffer = await sharp({ create: plain }).png().toBuffer()
  await open('/round')
  await openBench(page, 'Nock')
  await typeFive(page)
  await page.getByRole('tab', { name: 'Shoe' }).click()
  await expect(page.locator('[data-offers] summary').first()).toBeVisible()
  for (const group of await page.locator('[data-offers] details').all())
    await group.evaluate((one: HTMLDetailsElement) => {
      one.removeAttribute('name')
      one.open = true
    })
  await page.getByRole('button', { name: /^Slide shoe/ }).click()
  await page.getByRole('button', { name: 'From a photograph of the tracks' }).click()
  const dialog = page.getByRole('dialog')
  const choose = dialog.getByLabel('Choose a photograph')
  await choose.setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: Buffer.from('a text') })
  await expect(dialog.getByRole('alert')).toContainText('no photograph')
  await choose.setInputFiles({ name: 'tracks.png', mimeType: 'image/png', buffer })
  const [sheet, ask] = [dialog.getByTestId('picture-sheet'), dialog.getByTestId('tracks-ask')]
  // The horse goes up the picture; the track of its left foot leans nine pixels in a hundred to the left.
  for (const [words, pixel] of [
    ['far behind', [400, 420]],
    ['far ahead', [400, 60]],
    ['back of this foot', [300, 350]],
    ['its toe', [282, 150]],
  ] as const) {
    await expect(ask).toContainText(words)
    const { x, y } = await onScreen(sheet, pixel)
    await page.mouse.click(x, y)
  }
  await expect(ask).toContainText('points 5° out')
  await expectAccessible(page)
  await dialog.getByRole('button', { name: 'Turn the shoe by it' }).click()
  await expect(field(page, 'mod.slide-shoe.turn')).toHaveValue('5')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(field(page, 'mod.slide-shoe.turn')).toHaveValue('')
  // The photograph stays with the visit, with both lines and the angle between them.
  await page.getByRole('tab', { name: 'Map' }).click()
  await page.getByRole('group', { name: 'View' }).getByRole('button', { name: 'Photos' }).click()
  await page.getByRole('button', { name: /^Tracks, / }).click()
  await expect(page.getByRole('dialog').getByTestId('read-off')).toContainText('Between the two 5°')
})

test('one to practise on is made up on this machine, and its card is found', async ({ page, open }) => {
  await open('/round')
  await openBench(page, 'Nock')
  await page.getByRole('button', { name: 'Outline from a photograph' }).click()
  const dialog = page.getByRole('dialog', { name: 'Outline from a photograph' })
  await dialog.getByRole('button', { name: 'Practise on a made-up one' }).click()
  await expect(dialog.getByTestId('card-seen')).toContainText('4 of 4 marks found', { timeout: 40_000 })
  await expect(dialog.getByTestId('photo-ask')).toHaveText(PHOTO_TAPS[0].ask)
})
