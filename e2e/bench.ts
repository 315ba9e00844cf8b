// In Chromium: from a pointer's move to the painted drawing, and what the first load downloads. With --json one line for a
// program.
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { PHOTO_TAPS } from '@crescent/core/photographs'
import { chromium, type BrowserContext, type Locator, type Page } from '@playwright/test'
import { CHROMIUM } from './support/chromium'
import { typeFive } from './support/fixtures'
import { madePhoto, onScreen } from './support/made-photo'
import { madeRadiograph } from './support/made-radiograph'
import { TestServer } from './support/server'

const json = process.argv.includes('--json')
const figures: Record<string, number> = {}
const tell = (text: string) => void (json || console.log(text))

/** Nothing is on its way for so long: what the page needs has come, ms. */
const QUIET = 250

/** Files that are chosen. */
const folder = mkdtempSync(join(tmpdir(), 'crescent-bench-'))
const server = await TestServer.start()
const browser = await chromium.launch(CHROMIUM)

/** What the first look at an address downloads until it shows what it is about, kB. */
async function firstLoad(context: BrowserContext, path: string, about: string): Promise<number> {
  const page = await context.newPage()
  const network = await context.newCDPSession(page)
  let bytes = 0
  const open = new Set<string>()
  let quietSince = Date.now()
  await network.send('Network.enable')
  await network.send('Network.setCacheDisabled', { cacheDisabled: true })
  network.on('Network.requestWillBeSent', ({ requestId }) => open.add(requestId))
  const ended = (requestId: string) => {
    open.delete(requestId)
    quietSince = Date.now()
  }
  network.on('Network.loadingFailed', ({ requestId }) => ended(requestId))
  network.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    bytes += encodedDataLength
    ended(requestId)
  })
  await page.goto(server.url + path)
  await page.locator(about).first().waitFor()
  // What is still on its way belongs to it; what is fetched ahead comes later.
  while (open.size > 0 || Date.now() - quietSince < QUIET) await page.waitForTimeout(20)
  const loaded = bytes
  await page.close()
  return Math.round(loaded / 1000)
}

/** Drags a handle and times each move of the pointer, from its arrival in the page to the end of the frame's paint. */
async function dragTimes(page: Page, handle: string, moves: number): Promise<number[]> {
  await page.evaluate((handle) => {
    const shoe = document.querySelector('path.shoe')!
    const times: number[] = []
    Object.assign(window, { times })
    document.querySelector(`[data-handle="${handle}"]`)!.addEventListener('pointermove', () => {
      const start = performance.now()
      const before = shoe.getAttribute('d')
      requestAnimationFrame(() => {
        // A message posted in a frame's callback arrives once its style, layout and paint are done.
        const { port1, port2 } = new MessageChannel()
        port1.onmessage = () => {
          // Counted only if this frame shows the moved shoe.
          if (shoe.getAttribute('d') !== before) times.push(performance.now() - start)
        }
        port2.postMessage(0)
      })
    })
  }, handle)
  const box = (await page.locator(`[data-handle="${handle}"] .knob`).boundingBox())!
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  for (let i = 1; i <= moves; i++) await page.mouse.move(x + 12 * Math.sin(i / 3), y)
  await page.mouse.up()
  const times = await page.evaluate(() => (window as unknown as { times: number[] }).times)
  if (times.length < moves * 0.8)
    throw new Error(`Only ${times.length} of ${moves} moves were in the frame after them`)
  return times.slice(moves / 10).sort((a, b) => a - b)
}

/** Chooses a file that lies on the disk, as it does for whoever chooses one; when the page had it, ms. */
async function chooseFromDisk(field: Locator, file: { name: string; buffer: Buffer }): Promise<number> {
  const onDisk = join(folder, file.name)
  writeFileSync(onDisk, file.buffer)
  await field.evaluate((input) =>
    input.addEventListener('change', () => (document.body.dataset['chosenAt'] = String(Date.now())), {
      ...{ once: true, capture: true },
    }),
  )
  await field.setInputFiles(onDisk)
  return field.page().evaluate(() => Number(document.body.dataset['chosenAt']))
}

/** From a chosen photograph of 12 megapixels to its outline and measures, ms; the time of the taps is left out. */
async function photoTime(page: Page): Promise<number> {
  const { file, truth, width } = await madePhoto({ seed: 7, tilt: 20, width: 4000 })
  if (width !== 4000) throw new Error('no photograph of 12 megapixels')
  await page.getByRole('button', { name: 'Outline from a photograph' }).click()
  const dialog = page.getByRole('dialog')
  const chosen = await chooseFromDisk(dialog.getByLabel('Choose a photograph'), file)
  await dialog.getByTestId('card-seen').waitFor()
  const seen = Date.now()
  const sheet = dialog.getByTestId('picture-sheet')
  let tapped = seen
  for (const { key } of PHOTO_TAPS) {
    const { x, y } = await onScreen(sheet, truth.taps[key])
    tapped = Date.now()
    await page.mouse.click(x, y)
  }
  await dialog.getByTestId('outline-measures').waitFor()
  return Date.now() - tapped + (seen - chosen)
}

/**
 * Milliseconds from the file of a radiograph of 3000 x 2500 pixels of 16 bits to its picture, and to the next one in another
 * window: the middle of five.
 */
async function radiographTimes(page: Page): Promise<{ drawn: number; windowed: number }> {
  const { file } = await madeRadiograph({ seed: 3, width: 3125 })
  await page.getByRole('group', { name: 'View' }).getByRole('button', { name: 'Radiograph' }).click()
  // The picture is there when what is drawn on the screen is no longer what was.
  const painted = (since: number, before: number | null) =>
    page.evaluate(
      async ([from, old]) => {
        for (;;) {
          const canvas = document.querySelector<HTMLCanvasElement>('[role=dialog] cr-picture-sheet canvas')
          const row = canvas?.getContext('2d')?.getImageData(0, canvas.height / 2, canvas.width, 1).data
          // Nothing drawn yet is all nought; each pixel weighs by its place.
          const sum = row?.reduce((all, value, i) => all + (i % 4 === 0 ? value * (i % 97) : 0), 0)
          const seen = sum ? sum : null
          if (seen !== null && seen !== old) return [Date.now() - from, seen] as const
          await new Promise((next) => requestAnimationFrame(next))
        }
      },
      [since, before] as const,
    )
  const dialog = page.getByRole('dialog')
  const times: { drawn: number; windowed: number }[] = []
  // The first one fetches the worker and the dialog.
  for (let i = 0; i < 6; i++) {
    const at = await chooseFromDisk(page.getByLabel('Open a radiograph'), file)
    const [drawn, first] = await painted(at, null)
    const asked = await dialog.getByRole('button', { name: 'Bone', exact: true }).evaluate((button) => {
      const now = Date.now()
      button.dispatchEvent(new MouseEvent('click', { bubbles: true }))
      return now
    })
    const [windowed] = await painted(asked, first)
    if (i > 0) times.push({ drawn, windowed })
    await dialog.getByRole('button', { name: 'Done' }).click()
    await page.getByRole('button', { name: 'Another radiograph' }).click()
  }
  const middle = (key: 'drawn' | 'windowed') => times.map((one) => one[key]).sort((a, b) => a - b)[2]!
  return { drawn: middle('drawn'), windowed: middle('windowed') }
}

try {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  // The runner's compiler marks functions with this helper, which the page does not have.
  await context.addInitScript('globalThis.__name = (f) => f')
  figures['firstLoadRoundKb'] = await firstLoad(context, '/round', 'cr-round-page li')
  tell(
    `first load, Round: ${figures['firstLoadRoundKb']} kB (aim: under 220, compressed, fonts and data included)`,
  )
  const page = await context.newPage()
  await page.goto(`${server.url}/round`)
  await page.getByRole('button', { name: 'Start visit' }).first().click()
  await page.getByRole('tab', { name: 'Map' }).click()
  await page.getByText('Type the five measurements').waitFor()
  await typeFive(page)
  // Unsaved work is kept in the browser a moment after the last key.
  await page.waitForTimeout(1_000)
  figures['firstLoadBenchKb'] = await firstLoad(context, new URL(page.url()).pathname, 'path.shoe')
  tell(
    `first load, Bench: ${figures['firstLoadBenchKb']} kB (aim: under 330; the other steps are fetched ahead after it)`,
  )
  await page.bringToFront()
  const times = await dragTimes(page, 'width-outer', 200)
  const at = (share: number) => Number(times[Math.floor(times.length * share)]!.toFixed(2))
  figures['dragMedianMs'] = at(0.5)
  figures['dragP95Ms'] = at(0.95)
  tell(
    `pointer move to painted drawing: median ${at(0.5)} ms, p95 ${at(0.95)} ms (aim: median under 14, p95 under 22)`,
  )
  figures['photoMs'] = await photoTime(page)
  tell(
    `12 megapixel photograph to outline: ${figures['photoMs']} ms (aim: under 4000, without the hand that taps)`,
  )
  await page.keyboard.press('Escape')
  const { drawn, windowed } = await radiographTimes(page)
  figures['radiographMs'] = drawn
  figures['windowMs'] = windowed
  tell(
    `radiograph of 3125 x 2500 x 16 bits: drawn ${drawn} ms, windowed ${windowed} ms (aim: under 200 and 80)`,
  )
  if (json) console.log(JSON.stringify(figures))
} finally {
  rmSync(folder, { recursive: true })
  await browser.close()
  await server.stop()
}
