import sharp from 'sharp'
import type { Page } from '@playwright/test'
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
} from '../support/fixtures'
import { onScreen } from '../support/made-photo'

/** A hoof seen from the side, as plain as can be: a wall that leans back by 3 to 4 on level ground. */
async function fromTheSide(name: string, shade: string) {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="900"><rect width="1200" height="900" fill="#b9ad98"/>
    <path d="M300 800L600 400H900L950 800Z" fill="${shade}"/></svg>`
  return { name, mimeType: 'image/jpeg', buffer: await sharp(Buffer.from(svg)).jpeg().toBuffer() }
}
const view = (page: Page) => page.getByRole('group', { name: 'View' }).getByRole('button', { name: 'Photos' })

test('photographs of a foot: kept at once, drawn on, measured, laid over each other, erased', async ({
  page,
  open,
}) => {
  await open('/round')
  await openBench(page, 'Nock')
  await typeFive(page)
  await view(page).click()
  await expect(page.getByText('No photograph of this foot is kept yet')).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('radio', { name: 'Side', exact: true }).click()
  const choose = page.getByLabel('Choose a photograph')
  await choose.setInputFiles({ name: 'a.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('a text') })
  await expect(page.getByRole('alert').filter({ hasText: 'no photograph' })).toBeVisible()
  await choose.setInputFiles(await fromTheSide('first.jpg', '#6d5a44'))
  await expect(page.getByText('The photograph is kept with this visit.')).toBeVisible()
  const first = page.getByRole('button', { name: /^Side, / })
  await expect(first).toHaveCount(1)

  // A line down the wall by the mouse, one along the ground by the keys.
  await first.click()
  const dialog = page.getByRole('dialog')
  const sheet = dialog.getByTestId('picture-sheet')
  const tap = async (pixel: readonly [number, number]) => {
    const { x, y } = await onScreen(sheet, pixel)
    await page.mouse.click(x, y)
  }
  // A click waits until the dialog stands still.
  await dialog.getByRole('radio', { name: 'A line' }).click()
  await tap([600, 400])
  await expect(dialog.getByTestId('photograph-ask')).toContainText('Tap the other end')
  await tap([300, 800])
  const read = dialog.getByTestId('read-off')
  await expect(read).toContainText('53°')
  await dialog.getByRole('radio', { name: 'A second line' }).click()
  await sheet.focus()
  for (let i = 0; i < 25; i++) await page.keyboard.press('Shift+ArrowDown')
  await page.keyboard.press('Enter')
  for (let i = 0; i < 20; i++) await page.keyboard.press('Shift+ArrowRight')
  await page.keyboard.press('Enter')
  await expect(read).toContainText('Between the two 53°')
  // The ground is known to be long: the wall is five eighths as long again.
  await dialog.getByRole('radio', { name: 'A length I know' }).click()
  await tap([300, 800])
  await tap([950, 800])
  const known = field(page, 'photograph-known')
  await typeOver(known, '65 in')
  // As near as a mouse hits: 500 pixels of 650.
  await expect(read).toContainText(/53°, (50|49 [79]\/\d+|49 1[135]\/16|50 [1-5]\/\d+)\b/)
  await typeOver(known, '650 in')
  await expect(dialog.getByRole('alert')).toContainText('It measures: from')
  await expect(dialog.getByRole('button', { name: 'Done' })).toBeDisabled()
  await typeOver(known, '6 1/2')
  await expectAccessible(page)
  await dialog.getByRole('button', { name: 'Done' }).click()
  await expect(dialog).toHaveCount(0)
  await page.reload()
  await view(page).click()
  await first.click()
  await expect(read).toContainText(/53°, (5\b|4 15\/16)/)
  await page.keyboard.press('Escape')
  await expect(dialog).toHaveCount(0)

  // A second one, laid over the first by the same line.
  await page.getByRole('radio', { name: 'Side', exact: true }).click()
  await choose.setInputFiles(await fromTheSide('second.jpg', '#8a6f52'))
  await expect(first).toHaveCount(2)
  await page.getByRole('button', { name: 'Lay over each other' }).click()
  await expect(page.getByTestId('over-words')).toContainText('Middle on middle')
  await page.getByRole('slider', { name: 'Fade from before to after' }).press('End')
  const over = page.getByTestId('laid-over').locator('image').nth(1)
  await expect(over).toHaveCSS('opacity', '1')
  await page.getByRole('radio', { name: 'Side by side' }).click()
  await expect(page.locator('figcaption')).toHaveCount(2)
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Back to all photographs' }).click()
  await first.first().click()
  await dialog.getByRole('button', { name: 'Erase this picture' }).click()
  await page.getByRole('button', { name: 'Keep it', exact: true }).click()
  await dialog.getByRole('button', { name: 'Erase this picture' }).click()
  await page.getByRole('button', { name: 'Erase it', exact: true }).click()
  await expect(first).toHaveCount(1)

  // What pictures weigh; none of them is old yet.
  await page.getByRole('button', { name: 'Workshop and settings' }).click()
  await expect(page.getByTestId('to-thin')).toHaveText('none that is large')
  await expect(page.getByRole('button', { name: 'Make them smaller' })).toBeDisabled()
})

test('on a phone: what its camera took is kept, and drawn on by touch', async ({ browser, server }) => {
  await onDevice(browser, server, PHONE, async (page) => {
    await openBench(page, 'Parsley')
    await typeFive(page)
    await view(page).click()
    await page.getByRole('radio', { name: 'Stance' }).click()
    await page.getByLabel('Take a photograph').setInputFiles(await fromTheSide('IMG_1.jpg', '#6d5a44'))
    await page.getByRole('button', { name: /^Stance, / }).click()
    const dialog = page.getByRole('dialog')
    const sheet = dialog.getByTestId('picture-sheet')
    await dialog.getByRole('radio', { name: 'A line' }).click()
    for (const pixel of [
      [600, 400],
      [300, 800],
    ] as const) {
      const { x, y } = await onScreen(sheet, pixel)
      await page.touchscreen.tap(x, y)
    }
    // A finger hits a pixel of the screen, three of the photograph.
    await expect(dialog.getByTestId('read-off')).toContainText(/5[234](\.5)?°/)
    await expectAccessible(page)
    await dialog.getByRole('button', { name: 'Done' }).click()
    await expect(dialog).toHaveCount(0)
  })
})

test('the camera of this machine: refused it says so, allowed it shows what it sees and takes it', async ({
  page,
  open,
}) => {
  await open('/round')
  await openBench(page, 'Quiver')
  await typeFive(page)
  await view(page).click()
  const camera = page.getByRole('button', { name: 'Camera of this machine' })
  const take = page.getByRole('dialog').getByRole('button', { name: 'Take it' })
  const camerasSay = (name: string) =>
    page.evaluate((said) => {
      navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('no', said))
    }, name)
  for (const [name, words] of [
    ['NotAllowedError', 'may not be used'],
    ['NotFoundError', 'no camera'],
  ] as const) {
    await camerasSay(name)
    await camera.click()
    await expect(page.getByRole('alert').filter({ hasText: words })).toBeVisible()
    await expect(take).toBeDisabled()
    await page.getByRole('button', { name: 'Not now' }).click()
  }
  // After a reload the browser’s own answers again.
  await page.reload()
  await view(page).click()
  await camera.click()
  // Its colours change once the camera shows something.
  await expect(take).toBeEnabled()
  await expectAccessible(page)
  await take.click()
  await expect(page.getByRole('button', { name: /^Sole, / })).toHaveCount(1)
})

test('the demo’s foundered pony: soles of its visits to one scale, radiographs bone on bone and in a chart', async ({
  page,
  open,
}) => {
  await open('/round')
  await openBench(page, 'Buttercup')
  await page.getByRole('button', { name: 'Copy last visit' }).first().click()
  await view(page).click()
  await page.getByRole('button', { name: 'Lay over each other' }).click()
  await expect(page.getByTestId('over-words')).toContainText('By toe, widest places and heels. They lie')
  // Both were fetched, and what is seen of them is a picture.
  for (const image of await page.getByTestId('laid-over').locator('image').all()) {
    const address = (await image.getAttribute('href'))!
    const answer = await page.request.get(new URL(address, page.url()).href)
    expect((await sharp(await answer.body()).metadata()).width).toBeGreaterThan(300)
  }
  await page.getByRole('group', { name: 'View' }).getByRole('button', { name: 'Radiograph' }).click()
  await expect(page.getByTestId('over-words')).toContainText('Bone on bone')
  const chart = page.getByRole('img', { name: /^Sole under the tip: / })
  await expect(chart.locator('svg')).toBeVisible()
  await page.getByRole('combobox', { name: 'Figure over time' }).selectOption({ label: 'Palmar angle' })
  await expect(page.getByRole('img', { name: /^Palmar angle: / })).toBeVisible()
  await expectAccessible(page)
})
