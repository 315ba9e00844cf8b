import type { Page } from '@playwright/test'
import { cut, expect, field, FIVE, openBench, savePattern, test, typeFive } from '../support/fixtures'

/** Types as a hand does, key by key into the field that has the focus, and looks that the focus stays there. */
async function typeInto(page: Page, key: string, text: string): Promise<void> {
  const box = field(page, key)
  await box.focus()
  for (const letter of text) await page.keyboard.type(letter)
  await expect(box).toBeFocused()
  await expect(box).toHaveValue(text)
}

test.describe('as hands do it', () => {
  test.beforeEach(async ({ open }) => open('/round'))

  test('every field of the Map takes a fraction typed key by key, folded or not, and Enter goes through all', async ({
    page,
  }) => {
    await openBench(page, 'Merryweather')
    for (const [key, text] of FIVE) await typeInto(page, key, text)
    await expect(page.getByTestId('cut')).toBeVisible()
    // A fold that a hand opened stays open while what stands in it is no figure yet.
    const folds = page.locator('cr-map-step details.fold')
    for (const fold of await folds.all()) await fold.locator('summary').click()
    const keys = await page
      .locator('cr-map-step input[data-field]')
      .evaluateAll((boxes) => boxes.map((box) => (box as HTMLElement).dataset['field']!))
    expect(keys.length).toBeGreaterThan(25)
    const five = FIVE.map(([key]) => key)
    for (const key of keys.filter((one) => !five.includes(one))) {
      await typeInto(page, key, '3 1/16')
      await expect(page).toHaveURL(/\/LF$/)
      await page.keyboard.press('Control+z')
    }
    // From the first to the last by Enter alone.
    await field(page, keys[0]!).focus()
    for (const key of keys) {
      await expect(field(page, key)).toBeFocused()
      await page.keyboard.press('Enter')
    }
  })

  test('a forgotten space is asked about and mended with one tap', async ({ page }) => {
    await openBench(page, 'Nock')
    await typeFive(page)
    await typeInto(page, 'width', '47/8')
    await expect(page.getByText('did you mean 4 7/8?')).toBeVisible()
    await page.getByRole('button', { name: '4 7/8', exact: true }).click()
    await expect(field(page, 'width')).toHaveValue(/^4 7\/8/)
  })

  test('undo on another foot comes to it and says what it was; after a reload it goes on', async ({
    page,
  }) => {
    await openBench(page, 'Dunlin')
    await typeFive(page)
    await page.getByRole('radio', { name: /right fore/ }).click()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page).toHaveURL(/\/LF$/)
    await expect(page.getByText('Undone on LF: wall thickness')).toBeVisible()
    await page.waitForTimeout(500)
    await page.reload()
    await expect(field(page, 'heelWidth')).toHaveValue('3 1/2"')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(field(page, 'toeAngle')).toHaveValue('')
  })

  test('a pattern taken to the other foot is a new one; the first keeps its versions, which come back', async ({
    page,
  }) => {
    await openBench(page, 'Quiver')
    await typeFive(page)
    await savePattern(page, 'Left set')
    await expect(page.getByText('Saved: Left set')).toBeVisible()
    await page.getByRole('radio', { name: /right fore/ }).click()
    await typeFive(page)
    await page.getByRole('button', { name: 'More for this foot' }).click()
    await page.getByRole('menuitem', { name: 'Load a pattern' }).click()
    await page
      .getByRole('dialog')
      .getByRole('button', { name: /Left set/ })
      .click()
    await expect(page.getByRole('dialog')).toBeHidden()
    await savePattern(page, 'Right set')
    await expect(page.getByText('Saved: Right set')).toBeVisible()
    const patterns = await page.evaluate(async () => {
      const id = location.pathname.split('/')[2]
      return (await (await fetch(`/api/visits/${id}/page`)).json()).patterns
    })
    const named = (name: string) => patterns.find((one: { name: string }) => one.name === name)
    expect(named('Left set')).toMatchObject({ side: 'LF' })
    expect(named('Right set')).toMatchObject({ side: 'RF', version: 1 })
    expect(named('Left set').id).not.toBe(named('Right set').id)

    // The next version of the left one, and the first brought back on top of it.
    await page.getByRole('radio', { name: /left fore/ }).click()
    const first = await cut(page)
    await field(page, 'width').fill('5 1/2')
    await savePattern(page)
    await expect.poll(() => cut(page)).not.toBe(first)
    await page.getByRole('link', { name: 'Quiver' }).click()
    const row = page.getByRole('listitem').filter({ hasText: 'LF Left set' })
    const versions = Number(/(\d+) versions/.exec((await row.textContent())!)![1])
    await row.getByRole('button', { name: /versions/ }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByRole('button', { name: new RegExp(`^${versions - 1} `) }).click()
    await expect(dialog.getByRole('row', { name: /^Cut/ })).toBeVisible()
    await dialog.getByRole('button', { name: 'Bring it back' }).click()
    await expect(row.getByRole('button', { name: `${versions + 1} versions` })).toBeVisible()
    await expect(row).toContainText(`cut ${first!}`)
  })

  test('a foot left bare, one paused, another day for the next visit; an empty visit is taken back', async ({
    page,
  }) => {
    await openBench(page, 'Parsley')
    await page.getByRole('radio', { name: /left hind/ }).click()
    await page.getByRole('radio', { name: 'Left bare' }).click()
    await expect(page.getByRole('radio', { name: 'left hind, bare' })).toBeVisible()
    await page.getByRole('button', { name: 'Pause LH' }).click()
    await expect(page.getByRole('radio', { name: 'left hind, bare, paused' })).toBeVisible()
    await page.getByRole('button', { name: 'Go on with LH' }).click()
    await page.getByRole('button', { name: 'Finish visit' }).click()
    const dialog = page.getByRole('dialog')
    await expect(dialog).toContainText('LH bare')
    await dialog.getByRole('button', { name: 'Another day' }).click()
    await dialog.getByLabel('Next visit').fill('2027-02-03')
    await dialog.getByLabel('Note for next time').pressSequentially('Look at the frog')
    await dialog.getByRole('button', { name: 'Finish', exact: true }).click()
    await expect(page.getByText('Visit finished')).toBeVisible()
    await page.getByRole('link', { name: 'Round' }).click()
    await expect(page.getByRole('listitem').filter({ hasText: 'Parsley' })).toContainText('LH bare')

    await openBench(page, 'Bellwether')
    await page.getByRole('button', { name: /2026$/ }).click()
    await page.getByRole('dialog').getByRole('button', { name: 'Take this visit back' }).click()
    await expect(page.getByRole('heading', { level: 1, name: 'Bellwether' })).toBeVisible()
    await expect(page).toHaveURL(/\/stable\//)
  })

  test('what cannot be made is told in every view, and is not printed', async ({ page }) => {
    await openBench(page, 'Lantern')
    await typeFive(page)
    await page.getByRole('tab', { name: 'Shoe' }).click()
    await field(page, 'section.width').fill('5')
    for (const view of ['Off the foot', 'Side', 'Cut', 'Against', 'Sole']) {
      await page.getByRole('button', { name: view, exact: true }).click()
      await expect(page.locator('cr-problem-list')).toContainText('Bar width: 5" is not possible here')
    }
    await expect(page.getByRole('button', { name: 'Print at true size' })).toBeDisabled()
  })
})

test('on a phone a swipe over the drawing scrolls, a short rest takes hold', async ({ browser, server }) => {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
  })
  const page = await context.newPage()
  await page.goto(`${server.url}/round`)
  await openBench(page, 'Copperkettle')
  await typeFive(page)
  await page.evaluate(() => document.querySelector('cr-foot-drawing')!.scrollIntoView())
  const touch = await context.newCDPSession(page)
  const knob = (await page.locator('[data-handle="length"] .knob').boundingBox())!
  const [x, y] = [knob.x + knob.width / 2, knob.y + knob.height / 2]
  const finger = (type: 'touchStart' | 'touchMove' | 'touchEnd', dy: number) =>
    touch.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: type === 'touchEnd' ? [] : [{ x, y: y + dy }],
    })
  const swipe = async (rest: number) => {
    await finger('touchStart', 0)
    await page.waitForTimeout(rest)
    for (let i = 1; i <= 8; i++) await finger('touchMove', -10 * i)
    await finger('touchEnd', 0)
  }
  const scrolled = () =>
    page.evaluate(() =>
      Math.max(scrollY, ...Array.from(document.querySelectorAll('*'), (one) => one.scrollTop)),
    )
  const before = await scrolled()
  await swipe(0)
  await expect.poll(scrolled).toBeGreaterThan(before + 20)
  await expect(field(page, 'length')).toHaveValue('5"')
  await context.close()
})
