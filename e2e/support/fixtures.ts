import AxeBuilder from '@axe-core/playwright'
import { test as base, expect, type Browser, type Locator, type Page } from '@playwright/test'
import { TestServer } from './server'

/** Tests with a server for the file's worker and what every screen test needs. */
export const test = base.extend<{ open: (path: string) => Promise<void> }, { server: TestServer }>({
  server: [
    // eslint-disable-next-line no-empty-pattern -- Playwright reads the fixtures' names from this pattern
    async ({}, use) => {
      const server = await TestServer.start()
      await use(server)
      await server.stop()
    },
    { scope: 'worker' },
  ],
  open: async ({ page, server }, use) => {
    const faults: string[] = []
    page.on('pageerror', (error) => faults.push(error.message))
    page.on('console', (message) => {
      // The browser itself reports a refused request; the screen has to deal with it.
      if (message.type() === 'error' && !/Failed to load resource/.test(message.text()))
        faults.push(message.text())
    })
    await use((path) => page.goto(server.url + path).then(() => undefined))
    expect(faults).toEqual([])
  },
})

export { expect }

/** Opens what Map does not ask at every visit, and one group of it. */
export async function openGroup(page: Page, group?: string): Promise<void> {
  const outer = page.locator('cr-map-step details.fold').filter({ hasText: 'Not asked every visit' }).first()
  if (!(await outer.evaluate((one) => (one as HTMLDetailsElement).open)))
    await outer.locator('summary').first().click()
  if (group !== undefined) await outer.locator('summary').filter({ hasText: group }).click()
}

/** A day so many days from today, `2026-11-23`, as this machine's clock has it. */
export function dayFromNow(days: number): string {
  const day = new Date()
  day.setDate(day.getDate() + days)
  const two = (part: number) => String(part).padStart(2, '0')
  return `${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}`
}

/** Where something lies once it has come to rest: a page that still builds up or scrolls would carry it away. */
export async function atRest(one: Locator): Promise<{ x: number; y: number; width: number; height: number }> {
  let box = await one.boundingBox()
  await expect
    .poll(async () => {
      const before = JSON.stringify(box)
      await one.page().waitForTimeout(120)
      box = await one.boundingBox()
      return box !== null && JSON.stringify(box) === before
    })
    .toBe(true)
  return box!
}

/** Types into a field over what stood there, key by key as a hand does. */
export async function typeOver(field: Locator, text: string): Promise<void> {
  await expect(field).toBeVisible()
  // A dialog takes the focus once it stands: what is typed before that would go to whatever it gives it to.
  // Later nothing may have it: a button that went once it was pressed, a click beside the dialog.
  await expect
    .poll(() =>
      field.evaluate((input) => {
        const dialog = input.closest('mat-dialog-container')
        const stands =
          dialog?.classList.contains('mdc-dialog--open') && !dialog.classList.contains('mdc-dialog--opening')
        const { activeElement, body } = document
        return !dialog || dialog.contains(activeElement) || (stands && activeElement === body)
      }),
    )
    .toBe(true)
  // A label that still rests in an empty field would catch a click; it hands the focus on, as here.
  await field.focus()
  await field.press('ControlOrMeta+a')
  if (text === '') await field.press('Delete')
  else await field.pressSequentially(text)
}

/** What a finger touches: a phone held upright, and a tablet on the tailgate. */
export const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }
export const TABLET = { viewport: { width: 1280, height: 800 }, hasTouch: true }

/** A device of its own, with the Round open. */
export async function onDevice(
  browser: Browser,
  server: TestServer,
  device: typeof PHONE | typeof TABLET,
  work: (page: Page) => Promise<void>,
): Promise<void> {
  const context = await browser.newContext(device)
  const page = await context.newPage()
  await page.goto(`${server.url}/round`)
  await work(page)
  await context.close()
}

/** A place of Crescent, walked to within the page that is open. */
const walkTo = (page: Page, path: string): Promise<void> =>
  page.evaluate((path) => {
    history.pushState(null, '', path)
    dispatchEvent(new PopStateEvent('popstate'))
  }, path)

/** A horse nobody has seen yet, built like another one: for what would stay with a horse that other tests need. */
export async function newHorse(page: Page, like: string, name: string): Promise<void> {
  const api = new URL('/api/horses', page.url()).href
  const found = (await (await page.request.get(`${api}?search=${like}`)).json()) as {
    id: string
    name: string
  }[]
  const { id: _id, ...other } = (await (
    await page.request.get(`${api}/${found.find((one) => one.name === like)!.id}`)
  ).json()) as { id: string }
  const id = crypto.randomUUID()
  const made = await page.request.put(`${api}/${id}`, { data: { ...other, id, version: 0, name } })
  if (!made.ok()) throw new Error(await made.text())
}

/** The visit of a horse that runs, or was made on that day; a new one where there is none. */
async function visitOf(page: Page, name: string, date: string): Promise<string> {
  const api = new URL('/api', page.url()).href
  const got = async <T>(path: string) => (await (await page.request.get(`${api}${path}`)).json()) as T
  const horses = await got<{ id: string; name: string }[]>(`/horses?search=${encodeURIComponent(name)}`)
  const horseId = horses.find((one) => one.name === name)!.id
  const { visits } = await got<{ visits: { id: string; state: string; date: string }[] }>(
    `/horses/${horseId}/page`,
  )
  const running = visits.find((one) => one.state === 'open' || one.date === date)
  if (running) return running.id
  const id = crypto.randomUUID()
  const made = await page.request.put(`${api}/visits/${id}`, {
    data: {
      ...{ id, version: 0, horseId, date, state: 'open', feet: {}, nextDue: null, closeList: {} },
      ...{ notes: '', archived: false },
    },
  })
  if (!made.ok()) throw new Error(await made.text())
  return id
}

/**
 * Starts or goes on with the visit of a horse, as its page does, and goes to a step of the Bench. The way there through
 * Stable is walked where it is what is tested.
 */
export async function openBench(page: Page, horse: string, step = 'Map'): Promise<void> {
  const visit = await visitOf(page, horse, dayFromNow(0))
  await walkTo(page, `/bench/${visit}/LF`)
  await expect(page.getByRole('radiogroup', { name: 'Foot' })).toBeVisible()
  await expect(page.getByText(horse).first()).toBeVisible()
  await page.getByRole('tab', { name: step }).click()
  // A step is fetched when it is first opened.
  await expect(page.getByText('Opening …')).toHaveCount(0)
}

/** The field of a figure. */
export const field = (page: Page, key: string): Locator => page.locator(`input[data-field="${key}"]`)

export const FIVE: [key: string, text: string][] = [
  ['width', '5'],
  ['length', '5'],
  ['heelWidth', '3 1/2'],
  ['toeAngle', '52'],
  ['wallThickness', '3/8'],
]

/** Types the five measurements of a 5 x 5 in foot. */
export async function typeFive(page: Page): Promise<void> {
  for (const [key, text] of FIVE) {
    await field(page, key).focus()
    await page.keyboard.press('ControlOrMeta+a')
    await page.keyboard.type(text)
  }
  await expect(page.getByTestId('cut')).toBeVisible()
}

/** The cut as it is read, `12"`. */
export const cut = (page: Page): Promise<string | null> => page.getByTestId('cut').getAttribute('aria-label')

/** The cut once it stands: it follows a moment after what was changed. */
export async function cutAtRest(page: Page): Promise<string | null> {
  let read = await cut(page)
  await expect
    .poll(async () => {
      const before = read
      await page.waitForTimeout(300)
      read = await cut(page)
      return read === before
    })
    .toBe(true)
  return read
}

/** Saves what is on the bench, under a name where one is asked for. */
export async function savePattern(page: Page, name?: string): Promise<void> {
  await page.keyboard.press('Control+s')
  const dialog = page.getByRole('dialog', { name: 'Save pattern' })
  if (name) await typeOver(dialog.getByLabel('Name'), name)
  await dialog.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(dialog).toBeHidden()
}

/** Types a day, `2026-11-23`, digit by digit as the browser of these tests asks for it: month, day, year. */
export async function typeDay(field: Locator, day: string): Promise<void> {
  const [year, month, date] = day.split('-')
  await field.focus()
  await field.pressSequentially(`${month}${date}${year}`)
  await expect(field).toHaveValue(day)
}

/** No fault that axe knows of, on the screen as it stands. */
export async function expectAccessible(page: Page): Promise<void> {
  // What still fades in has no contrast yet.
  await page.evaluate(() =>
    Promise.race([
      Promise.allSettled(document.getAnimations().map(({ finished }) => finished)),
      new Promise((enough) => setTimeout(enough, 1_000)),
    ]),
  )
  // In the page itself: there are no frames of others, for which a second page would be opened.
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'] })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'])
    .analyze()
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map((n) => n.html.slice(0, 120)).join(' | ')}`),
  ).toEqual([])
}
