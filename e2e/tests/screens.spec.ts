import { readFileSync } from 'node:fs'
import { TestServer } from '../support/server'
import { expect, expectAccessible, field, openBench, test, typeFive, typeOver } from '../support/fixtures'

const SIZES = [
  { width: 1280, height: 800 },
  { width: 820, height: 1180 },
  { width: 390, height: 844 },
]

for (const size of SIZES) {
  // The colours are the same at every size: dark is looked at once.
  for (const colorScheme of size.width === 1280 ? (['light', 'dark'] as const) : (['light'] as const)) {
    test.describe(`${size.width} x ${size.height}, ${colorScheme}`, () => {
      test.use({ viewport: size, colorScheme })
      test.slow()

      test('every screen is accessible, and nothing runs off its side', async ({ page, open }) => {
        const check = async () => {
          // What stands in between is laid out anew and has the same parts: it is looked at for its width only.
          if (size.width !== 820) await expectAccessible(page)
          const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
          expect(overflow).toBeLessThanOrEqual(0)
        }
        await open('/round')
        await expect(page.getByRole('heading', { name: /Overdue/ })).toBeVisible()
        await check()
        await page.getByRole('link', { name: 'Stable' }).click()
        await expect(page.getByRole('list', { name: 'Horses' })).toBeVisible()
        await check()
        await page.getByRole('button', { name: 'New horse' }).click()
        await expect(page.getByRole('dialog')).toBeVisible()
        await check()
        await page.getByRole('button', { name: 'Not now' }).click()
        await openBench(page, 'Bellwether')
        await typeFive(page)
        await check()
        // Once for each scheme and once on a phone will do: the same views, the same colours.
        const views =
          colorScheme === 'dark' || size.width < 500 ? ['Side', 'Compare', 'Over time', 'Sole'] : []
        for (const view of views) {
          await page.getByRole('button', { name: view, exact: true }).click()
          await check()
        }
        for (const step of ['Shoe', 'Nail', 'Look']) {
          await page.getByRole('tab', { name: step }).click()
          await check()
        }
        await page.getByRole('link', { name: 'Bellwether' }).click()
        await expect(page.getByRole('heading', { name: /Visits/ })).toBeVisible()
        await check()
        for (const name of ['Workshop and settings', 'Help']) {
          await page.getByRole('button', { name }).click()
          await expect(page.getByRole('dialog')).toBeVisible()
          await check()
          await page.getByRole('dialog').getByRole('button', { name: 'Close', exact: true }).click()
          await expect(page.getByRole('dialog')).toBeHidden()
        }
      })
    })
  }
}

test('on a phone the drawing comes first and the two figures stay in view', async ({ page, open }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await open('/round')
  await openBench(page, 'Copperkettle')
  await page.locator('section.waiting').getByRole('button', { name: 'Copy last visit' }).click()
  await expect(page.locator('cr-foot-drawing')).toBeInViewport({ ratio: 0.9 })
  await expect(page.getByTestId('cut')).toBeInViewport()
  await page.locator('main').evaluate((main) => main.scrollTo(0, main.scrollHeight))
  await expect(page.getByTestId('cut')).toBeInViewport()
  await expect(page.getByRole('button', { name: 'Save' })).toBeInViewport()
})

test('true size: a millimetre of the drawing is a millimetre of the measured screen; on paper it is the server’s PDF, the page itself is whole and not to scale', async ({
  page,
  open,
}) => {
  await open('/round')
  await openBench(page, 'Fallow')
  await typeFive(page)
  await page.getByRole('button', { name: '1:1' }).click()
  await expect(page.getByText('true size', { exact: true })).toBeVisible()
  const across = async () => {
    const [a, b] = await Promise.all(
      ['width-outer', 'width-inner'].map((id) => page.locator(`[data-handle="${id}"] .knob`).boundingBox()),
    )
    return Math.abs(a!.x - b!.x)
  }
  // The last key's drawing comes a moment after the scale is said.
  await expect.poll(across).toBeCloseTo(5 * 96, 0)
  const file = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Print at true size' }).click()
  expect((await file).suggestedFilename()).toMatch(/\.pdf$/)
  // As the browser prints it: drawn before it counts its pages, or all after the first is cut off.
  await page.waitForFunction(() => document.querySelector('cr-print-sheets'))
  const printed = (await page.pdf({ format: 'A4' })).toString('latin1')
  expect([...printed.matchAll(/\/Type\s*\/Page\b/g)].length).toBeGreaterThanOrEqual(2)
  await page.emulateMedia({ media: 'print' })
  const sheet = page.locator('cr-print-sheet')
  await expect(sheet).toContainText('Not to scale')
  await expect(sheet.locator('ol li').last()).toBeVisible()
  await expect(page.locator('cr-iron-slip')).toBeHidden()
})

test('an empty practice says how to begin', async ({ page }) => {
  const server = await TestServer.start('empty')
  try {
    await page.goto(server.url)
    await expect(page.getByRole('heading', { name: 'No horses yet' })).toBeVisible()
    await page.getByRole('link', { name: 'Add a horse' }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByRole('button', { name: 'Save' }).click()
    await expect(dialog.getByText('A name is needed')).toBeVisible()
    await typeOver(dialog.getByLabel('Name', { exact: true }), 'Fig')
    await typeOver(dialog.getByLabel('Cycle in weeks'), '40')
    await dialog.getByRole('button', { name: 'Save' }).click()
    await expect(dialog.getByText('A cycle lasts 2 to 16 whole weeks')).toBeVisible()
    await typeOver(dialog.getByLabel('Cycle in weeks'), '6')
    await dialog.getByRole('combobox', { name: 'Owner' }).click()
    await page.getByRole('option', { name: 'a new owner' }).click()
    await typeOver(dialog.getByLabel('New owner’s name'), 'Ada Reed')
    await dialog.getByRole('button', { name: 'Save' }).click()
    await expect(page.getByRole('heading', { name: 'Fig' })).toBeVisible()
    await expect(page.getByRole('definition').filter({ hasText: 'Ada Reed' })).toBeVisible()
    await page.getByRole('link', { name: 'Bench' }).click()
    await expect(page.getByRole('heading', { name: 'Nothing on the bench' })).toBeVisible()
    await page.goto(`${server.url}/nowhere/at/all`)
    await expect(page.getByRole('heading', { name: 'Nothing is kept here' })).toBeVisible()
  } finally {
    await server.stop()
  }
})

test('a horse and a pattern are archived and brought back; a failed reading can be tried again', async ({
  page,
  open,
}) => {
  await open('/stable')
  await page.getByRole('link', { name: /Marrow/ }).click()
  await page
    .getByRole('button', { name: /^Archive LF/ })
    .first()
    .click()
  await page.getByRole('button', { name: '1 archived' }).click()
  await page.getByRole('button', { name: /^Bring back LF/ }).click()
  await expect(page.getByRole('button', { name: /archived/ })).toHaveCount(0)
  await page.getByRole('button', { name: 'Archive', exact: true }).click()
  await expect(page.getByText('Archived.')).toBeVisible()
  await page.getByRole('link', { name: 'Stable' }).click()
  await expect(page.getByRole('link', { name: /Parsley/ })).toBeVisible()
  await expect(page.getByRole('link', { name: /Marrow/ })).toHaveCount(0)
  await page.getByRole('checkbox', { name: 'Archived' }).check()
  await page.getByRole('link', { name: /Marrow/ }).click()
  await page.getByRole('button', { name: 'Bring back', exact: true }).click()
  // Whether somebody began a visit of it today or not.
  await expect(page.getByRole('button', { name: /^(Start|Go on with the) visit/ })).toBeVisible()

  await page.route('**/api/round*', (route) => route.abort())
  await page.getByRole('link', { name: 'Round' }).click()
  await expect(page.getByText('The server does not answer')).toBeVisible()
  await page.unroute('**/api/round*')
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByRole('heading', { name: /Due this week/ })).toBeVisible()
})

test('the workshop’s own figures reach the cut; library and backup go out and in', async ({ page, open }) => {
  await open('/round')
  await openBench(page, 'Old Granite')
  await page.getByRole('button', { name: 'Copy last visit' }).first().click()
  const before = await page.getByTestId('cut').getAttribute('aria-label')
  await page.getByRole('button', { name: 'Workshop and settings' }).click()
  await typeOver(field(page, 'correction'), '200 mm')
  await expect(page.getByRole('alert')).toContainText('It lies between')
  await typeOver(field(page, 'correction'), '1/2')
  await page.getByRole('button', { name: 'Save the workshop’s figures' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'figures are saved' })).toBeVisible()
  await page.getByRole('button', { name: 'Back up now' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'backups/crescent-' })).toBeVisible()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Library out' }).click(),
  ])
  const library = JSON.parse(readFileSync(await download.path(), 'utf8'))
  expect(library.horses.length).toBeGreaterThanOrEqual(12)
  await page.getByLabel('Library file').setInputFiles(await download.path())
  // The server plans every pattern anew before it believes the file: seconds, more beside other tests.
  await expect(page.getByText(/^0 records added/)).toBeVisible({ timeout: 60_000 })
  await page.getByRole('button', { name: 'Close', exact: true }).click()
  await expect(page.getByTestId('cut')).not.toHaveAttribute('aria-label', before!)
  // Other tests of this server reckon without it.
  await page.getByRole('button', { name: 'Workshop and settings' }).click()
  await typeOver(field(page, 'correction'), '0')
  await page.getByRole('button', { name: 'Save the workshop’s figures' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'figures are saved' })).toBeVisible()
  await page.getByRole('button', { name: 'Close', exact: true }).click()
  await expect(page.getByTestId('cut')).toHaveAttribute('aria-label', before!)
})
