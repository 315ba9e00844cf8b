import { expect, expectAccessible, openBench, savePattern, test, typeFive } from '../support/fixtures'
import { TestServer } from '../support/server'

// A server of its own: the practice is exchanged under every window that looks at it.
let own: TestServer
test.beforeEach(async () => {
  own = await TestServer.start()
})
test.afterEach(() => own.stop())

test('the demo says that it is one; a practice of one’s own begins, and each is found again', async ({
  page,
}) => {
  await page.goto(`${own.url}/stable`)
  const bar = page.getByRole('complementary', { name: 'Demo practice' })
  await expect(bar).toContainText('Demo')
  await page.getByRole('button', { name: 'Begin my own practice' }).click()
  const dialog = page.getByRole('dialog', { name: 'Your own practice' })
  await dialog.getByRole('button', { name: 'Begin' }).click()
  await expect(dialog).toContainText('A name is needed')
  await expectAccessible(page)
  await dialog.getByLabel('Name of the practice').pressSequentially('Forge by the mill')
  await dialog.getByRole('combobox', { name: 'Usual bar' }).click()
  await page.getByRole('option', { name: '5/8 x 1/4' }).click()
  await dialog.getByRole('combobox', { name: 'Usual fit' }).click()
  await page.getByRole('option', { name: 'Conservative' }).click()
  await dialog.getByLabel('First horse').pressSequentially('Bramble')
  await dialog.getByLabel('Its owner').pressSequentially('Jo Reed')
  await dialog.getByRole('button', { name: 'Begin' }).click()

  await expect(page.getByRole('heading', { level: 1, name: 'Bramble' })).toBeVisible()
  await expect(bar).toHaveCount(0)
  // Its first shoe begins with the usual bar and fit of this practice.
  await openBench(page, 'Bramble', 'Map')
  await typeFive(page)
  await savePattern(page)
  await expect(page.getByRole('region', { name: 'Iron' }).or(page.locator('cr-iron-slip'))).toContainText(
    '5/8 x 1/4',
  )

  await page.getByRole('button', { name: 'Workshop and settings' }).click()
  await page.getByRole('button', { name: 'Look at the demo' }).click()
  await expect(bar).toContainText('Demo')
  await page.getByRole('button', { name: 'Back to my practice' }).click()
  await expect(bar).toHaveCount(0)
  await page.getByRole('link', { name: 'Stable' }).click()
  await expect(page.getByRole('list', { name: 'Horses' }).getByRole('link')).toHaveCount(1)
})

test('a backup is put back from the settings: what would be lost is named first', async ({ page }) => {
  await page.goto(`${own.url}/round`)
  await page.getByRole('button', { name: 'Workshop and settings' }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Download a backup' }).click(),
  ])
  const backup = await download.path()
  await page.getByRole('button', { name: 'Close', exact: true }).click()
  await openBench(page, 'Sandpiper', 'Map')
  await page.getByRole('button', { name: 'Workshop and settings' }).click()
  await page.getByLabel('Backup file').setInputFiles(backup)
  const ask = page.getByRole('dialog', { name: /back\?$/ })
  await expect(ask).toContainText('Sandpiper would be lost')
  await ask.getByRole('button', { name: 'Leave all as it is' }).click()
  await page.getByLabel('Backup file').setInputFiles(backup)
  await ask.getByRole('button', { name: 'Put it back' }).click()
  await expect(page).toHaveURL(/\/round$/)
  await expect(page.getByRole('listitem').filter({ hasText: 'Sandpiper' })).toContainText('Start visit')
})

test('a design is found among all horses, and fitted to this foot as a pattern of its own', async ({
  page,
}) => {
  await page.goto(`${own.url}/round`)
  await openBench(page, 'Nock', 'Map')
  await typeFive(page)
  await page.getByRole('button', { name: 'More for this foot' }).click()
  await page.getByRole('menuitem', { name: 'Load a pattern' }).click()
  const dialog = page.getByRole('dialog', { name: 'Load a pattern' })
  await dialog.getByRole('radio', { name: 'All horses' }).click()
  await dialog.getByLabel('Find a pattern').pressSequentially('egg')
  const first = dialog.getByRole('listitem').first()
  await expect(first).toContainText('Egg bar')
  await expect(first).toContainText('Thrift')
  await expectAccessible(page)
  await first.getByRole('button').first().click()
  await expect(page.locator('cr-iron-slip')).toContainText('from one bar')
  // The name of a new pattern says what it is, its modifications first.
  await page.getByRole('button', { name: 'Save pattern' }).click()
  const save = page.getByRole('dialog')
  await expect(save.getByLabel('Name', { exact: false }).first()).toHaveValue(/^Egg bar, /)
})

test('a design taken up before the foot is measured is told, and waits in Map for the measures', async ({
  page,
}) => {
  await page.goto(`${own.url}/round`)
  await openBench(page, 'Quiver', 'Look')
  await page.getByRole('button', { name: 'More for this foot' }).click()
  await page.getByRole('menuitem', { name: 'Load a pattern' }).click()
  const dialog = page.getByRole('dialog', { name: 'Load a pattern' })
  await dialog.getByRole('radio', { name: 'All horses' }).click()
  await dialog.getByLabel('Find a pattern').pressSequentially('trailer')
  await dialog
    .getByRole('listitem')
    .filter({ hasText: 'Dunlin RH' })
    .first()
    .getByRole('button')
    .first()
    .click()
  await expect(
    page.getByText(/Taken up for LF, mirrored: .+ It shows when the foot is measured\./),
  ).toBeVisible()
  await expect(page.getByRole('tab', { name: 'Map' })).toHaveAttribute('aria-selected', 'true')
  await page.getByRole('button', { name: 'Copy last visit' }).first().click()
  await page.getByRole('tab', { name: 'Shoe' }).click()
  await expect(page.getByRole('heading', { name: 'Lateral trailer' })).toBeVisible()
  // However far down one step was left, the next is read from its top.
  const panel = page.getByRole('tabpanel')
  await panel.evaluate((element) => element.scrollTo({ top: 400 }))
  await page.getByRole('tab', { name: 'Iron' }).click()
  await expect(page.getByRole('heading', { name: 'Log the cut' })).toBeAttached()
  expect(await panel.evaluate((element) => element.scrollTop)).toBe(0)
  // The horse's own page goes on with the visit that is open.
  await page.getByRole('link', { name: 'Quiver' }).click()
  await page.getByRole('button', { name: 'Go on with the visit' }).click()
  await expect(page).toHaveURL(/\/bench\//)
})

test('two records of one horse become one', async ({ page }) => {
  await page.goto(`${own.url}/stable`)
  await page.getByRole('list', { name: 'Horses' }).getByRole('link').filter({ hasText: 'Quiver' }).click()
  await page.getByRole('button', { name: 'Join', exact: true }).click()
  const dialog = page.getByRole('dialog', { name: 'Join with Quiver' })
  await dialog.getByLabel('The other record').first().pressSequentially('nock')
  await dialog.getByRole('radio', { name: /Nock/ }).check()
  await expectAccessible(page)
  const visits = page.locator('h2', { hasText: 'Visits' }).locator('.muted')
  const before = Number(await visits.textContent())
  await dialog.getByRole('button', { name: 'Take Nock into Quiver' }).click()
  await expect.poll(async () => Number(await visits.textContent())).toBeGreaterThan(before)
})

test('all feet are printed in one go, each with its widths', async ({ page }) => {
  await page.goto(`${own.url}/round`)
  await openBench(page, 'Bellwether', 'Map')
  await typeFive(page)
  await page
    .getByRole('radio', { name: /^RF|right fore/i })
    .first()
    .click()
  await page.getByRole('button', { name: 'Copy last visit' }).first().click()
  await page.evaluate(() => {
    window.print = () => undefined
  })
  await page.getByRole('button', { name: 'More for this foot' }).click()
  await page.getByRole('menuitem', { name: 'Print all feet, not to scale' }).click()
  await page.emulateMedia({ media: 'print' })
  const sheets = page.locator('cr-print-sheet')
  await expect(sheets).toHaveCount(2)
  await expect(sheets.first()).toContainText('outside')
  await expect(sheets.first()).toContainText('from middle to middle of the web')
  await expect(sheets.nth(1)).toContainText('Bellwether, RF')
})
