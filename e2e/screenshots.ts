// Takes the pictures of docs/screenshots from the demo practice: npm run screenshots
import { fileURLToPath } from 'node:url'
import { chromium, type Page } from '@playwright/test'
import { PHOTO_TAPS } from '@crescent/core/photographs'
import { RADIOGRAPH_POINTS } from '@crescent/core/radiographs'
import { CHROMIUM } from './support/chromium'
import { openBench } from './support/fixtures'
import { madePhoto, onScreen } from './support/made-photo'
import { madeRadiograph } from './support/made-radiograph'
import { TestServer } from './support/server'

const FOLDER = fileURLToPath(new URL('../docs/screenshots/', import.meta.url))
const WIDE = { width: 1280, height: 800 }
const PHONE = { width: 390, height: 844 }

const server = await TestServer.start()
const browser = await chromium.launch(CHROMIUM)

/** Only these, where any are named: npm run screenshots -- shoe-side. */
const wanted = process.argv.slice(2)

async function shoot(
  name: string,
  viewport: { width: number; height: number },
  colorScheme: 'light' | 'dark',
  prepare: (page: Page) => Promise<void>,
): Promise<void> {
  if (wanted.length > 0 && !wanted.includes(name)) return
  const context = await browser.newContext({ viewport, colorScheme, reducedMotion: 'reduce' })
  const page = await context.newPage()
  await page.goto(`${server.url}/round`)
  await page.getByRole('heading', { name: /Due this week/ }).waitFor()
  await prepare(page)
  await page.mouse.move(0, 0)
  await page.waitForTimeout(600)
  await page.screenshot({ path: `${FOLDER}${name}.png` })
  await context.close()
  console.log(name)
}

async function find(page: Page, place: string, kind: string, grade: string): Promise<void> {
  await page.locator(`[data-place="${place}"]`).click()
  const group = page.getByRole('dialog').getByRole('group', { name: kind, exact: true })
  await group.getByRole('button', { name: grade, exact: true }).click()
}

const copyLast = (page: Page) => page.getByRole('button', { name: 'Copy last visit' }).first().click()
const shoeView = async (page: Page, view: string) => {
  await page.getByRole('tab', { name: 'Shoe' }).click()
  await page.getByRole('group', { name: 'View' }).getByRole('button', { name: view, exact: true }).click()
}
const bench = (horse: string) => async (page: Page) => {
  await openBench(page, horse)
  await copyLast(page)
}

try {
  await shoot('round', WIDE, 'light', async () => {})
  await shoot('horse', WIDE, 'light', async (page) => {
    await page.getByRole('link', { name: 'Merryweather' }).click()
    await page.getByRole('heading', { name: /Patterns/ }).waitFor()
  })
  await shoot('bench-map', WIDE, 'light', bench('Merryweather'))
  await shoot('bench-look', WIDE, 'light', async (page) => {
    await openBench(page, 'Marrow', 'Look')
    await page.getByRole('radio', { name: 'left hind' }).click()
    await page.getByRole('button', { name: 'outside first' }).click()
    await find(page, 'outer-heel', 'Flare', 'clear')
    await page.getByText('Kept with the visit.').waitFor()
  })
  await shoot('bench-photographs', WIDE, 'light', async (page) => {
    await bench('Buttercup')(page)
    await page.getByRole('group', { name: 'View' }).getByRole('button', { name: 'Photos' }).click()
    await page.getByRole('button', { name: 'Lay over each other' }).click()
    await page.getByRole('radio', { name: 'Side by side' }).click()
    await page.getByTestId('over-words').waitFor()
  })
  const sole = await madePhoto({ seed: 21, tilt: 16, width: 2000, tapping: 2 })
  await shoot('bench-photo', WIDE, 'light', async (page) => {
    await bench('Old Granite')(page)
    await page.getByRole('tab', { name: 'Map' }).click()
    await page.getByRole('button', { name: 'Outline from a photograph' }).click()
    await page.getByLabel('Choose a photograph').setInputFiles(sole.file)
    await page.getByTestId('card-seen').waitFor()
    const sheet = page.getByTestId('picture-sheet')
    for (const { key } of PHOTO_TAPS) {
      const { x, y } = await onScreen(sheet, sole.truth.taps[key])
      await page.mouse.click(x, y)
    }
    await page.getByTestId('outline-measures').waitFor()
  })
  const lateral = await madeRadiograph({ seed: 10, width: 1600 })
  await shoot('bench-radiograph', WIDE, 'light', async (page) => {
    await bench('Old Granite')(page)
    await page.getByRole('tab', { name: 'Map' }).click()
    await page.getByRole('group', { name: 'View' }).getByRole('button', { name: 'Radiograph' }).click()
    await page.getByLabel('Open a radiograph').setInputFiles(lateral.file)
    const sheet = page.getByRole('dialog').getByTestId('picture-sheet')
    await sheet.waitFor()
    await page.getByRole('radio', { name: 'As the file says' }).click()
    for (const { key } of RADIOGRAPH_POINTS) {
      const { x, y } = await onScreen(sheet, lateral.truth.points[key])
      await page.mouse.click(x, y)
    }
    await page.getByText('All is marked').waitFor()
  })
  await shoot('bench-time', WIDE, 'light', async (page) => {
    await bench('Fallow')(page)
    await page.getByRole('button', { name: 'Over time' }).click()
    await page.locator('cr-change-chart svg').waitFor()
  })
  await shoot('bench-shoe', WIDE, 'light', async (page) => {
    await bench('Buttercup')(page)
    await page.getByRole('tab', { name: 'Shoe' }).click()
    await page.locator('cr-modification-list').evaluate((list) => list.scrollIntoView())
  })
  await shoot('bench-ground', WIDE, 'light', async (page) => {
    await bench('Sandpiper')(page)
    await shoeView(page, 'Ground')
    await page.getByRole('combobox', { name: /^Beside it/ }).selectOption({ label: 'Founder, heart bar' })
    await page.locator('cr-stood-shoe').nth(1).waitFor()
  })
  await shoot('courses', WIDE, 'light', async (page) => {
    await page.getByRole('link', { name: 'Stable' }).click()
    await page
      .getByRole('list', { name: 'Horses' })
      .getByRole('link', { name: /Buttercup/ })
      .click()
    await page.locator('cr-course-card').first().waitFor()
    await page.getByRole('region', { name: 'Courses' }).evaluate((list) => list.scrollIntoView())
  })
  await shoot('shoe-solid', WIDE, 'light', async (page) => {
    await bench('Lantern')(page)
    await shoeView(page, 'In the round')
    await page.locator('cr-solid-view canvas[data-drawn]:not([data-drawn="0"])').waitFor()
  })
  await shoot('bench-size', WIDE, 'light', async (page) => {
    await bench('Lantern')(page)
    await page.getByRole('tab', { name: 'Size' }).click()
    await page.getByRole('button', { name: 'Use it' }).first().click()
    await page.getByRole('button', { name: /^All \d+ sizes$/ }).click()
    await page
      .locator('cr-size-card')
      .filter({ hasText: 'too much heel' })
      .first()
      .getByRole('button', { name: 'Lay over' })
      .click()
    await page.locator('cr-size-card').first().scrollIntoViewIfNeeded()
  })
  await shoot('bench-try', WIDE, 'light', async (page) => {
    await bench('Buttercup')(page)
    await page.getByRole('tab', { name: 'Try' }).click()
    await page.getByRole('radio', { name: 'On the foot' }).click()
    for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Tighter at the heel, outer' }).click()
    for (let i = 0; i < 2; i++)
      await page.getByRole('button', { name: 'Wider at the quarter, inner' }).click()
    for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'Wider at the heel, inner' }).click()
    await page.getByTestId('bends').waitFor()
  })
  await shoot('bench-iron', WIDE, 'light', async (page) => {
    await bench('Buttercup')(page)
    await page.getByRole('tab', { name: 'Iron' }).click()
    for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'Next step' }).click()
  })
  await shoot('rack', WIDE, 'light', async (page) => {
    await page.getByRole('link', { name: 'Rack' }).click()
    await page.getByRole('heading', { name: 'To order' }).waitFor()
  })
  await shoot('bench-nail', WIDE, 'light', async (page) => {
    await bench('Dunlin')(page)
    await page.getByRole('tab', { name: 'Nail' }).click()
    await page.getByRole('button', { name: 'More of outer 1' }).click()
    await page.getByRole('button', { name: 'More of outer 1' }).scrollIntoViewIfNeeded()
  })
  await shoot('week', WIDE, 'dark', async (page) => {
    await page.getByRole('radio', { name: 'Week' }).click()
    await page.locator('cr-stop-card').first().waitFor()
  })
  await shoot('bench-phone', PHONE, 'light', async (page) => {
    await bench('Parsley')(page)
    await page.getByRole('tab', { name: 'Iron' }).click()
    for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Next step' }).click()
  })
} finally {
  await browser.close()
  await server.stop()
}
