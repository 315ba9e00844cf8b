import type { Locator, Page } from '@playwright/test'
import {
  cut,
  expect,
  field,
  FIVE,
  openBench,
  savePattern,
  test,
  typeFive,
  typeOver,
  onDevice,
  PHONE,
  atRest,
  dayFromNow,
  typeDay,
} from '../support/fixtures'

/** Types as a hand does, key by key into the field that has the focus, and looks that the focus stays there. */
async function typeInto(page: Page, key: string, text: string): Promise<void> {
  const box = field(page, key)
  await box.focus()
  for (const letter of text) await page.keyboard.type(letter)
  await expect(box).toBeFocused()
  await expect(box).toHaveValue(text)
}

/** Names of the figures that can be typed there, in their order. */
const fieldsOf = (place: Locator): Promise<string[]> =>
  place
    .locator('input[data-field]')
    .evaluateAll((boxes) => boxes.map((box) => (box as HTMLElement).dataset['field']!))

// A hand is there before what slides in has come to rest.
test.use({ contextOptions: { reducedMotion: 'no-preference' } })

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
    for (const fold of await folds.all()) await fold.locator('> summary').click()
    const keys = await fieldsOf(page.locator('cr-map-step'))
    expect(keys.length).toBeGreaterThan(25)
    const five = FIVE.map(([key]) => key)
    for (const key of keys.filter((one) => !five.includes(one))) {
      await typeInto(page, key, '3 1/16')
      await expect(page).toHaveURL(/\/LF(\?|$)/)
      await page.keyboard.press('Control+z')
    }
    // From the first to the last by Enter alone.
    await field(page, keys[0]!).focus()
    for (const key of keys) {
      await expect(field(page, key)).toBeFocused()
      await page.keyboard.press('Enter')
    }
  })

  test('every field of the Look takes what is typed key by key, folded or not', async ({ page }) => {
    await openBench(page, 'Merryweather', 'Look')
    const panel = page.locator('cr-look-step')
    for (const fold of await panel.locator('details.fold').all())
      if (!(await fold.evaluate((one) => (one as HTMLDetailsElement).open)))
        await fold.locator('summary').click()
    const keys = await fieldsOf(panel)
    expect(keys.length).toBeGreaterThan(5)
    for (const key of keys) {
      await typeInto(page, key, '3 1/16')
      await expect(page).toHaveURL(/\/LF(\?|$)/)
    }
    // Letters and digits that are keys of the Bench elsewhere.
    const said = panel.locator('textarea:visible, input.typed[type=text]:visible')
    expect(await said.count()).toBeGreaterThan(3)
    for (const box of await said.all()) {
      await box.focus()
      for (const letter of 'm 2 n ?u') await page.keyboard.type(letter)
      await expect(box).toBeFocused()
      await expect(box).toHaveValue(/m 2 n \?u$/)
    }
    await expect(page.getByRole('dialog')).toHaveCount(0)
    await expect(page.getByRole('tab', { name: 'Look' })).toHaveAttribute('aria-selected', 'true')
  })

  test('every field of the Shoe takes a fraction typed key by key, with each modification on it', async ({
    page,
  }) => {
    test.slow()
    await openBench(page, 'Merryweather')
    await typeFive(page)
    await page.getByRole('tab', { name: 'Shoe' }).click()
    const step = page.locator('cr-shoe-step')
    await step.locator('summary').filter({ hasText: 'Fit in figures' }).click()
    // Whatever it wears, the plain shoe is begun from.
    await expect(field(page, 'section.width')).toBeVisible()
    for (let worn = await step.locator('[data-modification]').count(); worn > 0; worn--) {
      await step
        .getByRole('button', { name: /^Take off/ })
        .first()
        .click()
      await expect(step.locator('[data-modification]')).toHaveCount(worn - 1)
    }
    const plain = await fieldsOf(step)
    expect(plain).toHaveLength(5)
    for (const key of plain) {
      await typeInto(page, key, '1 1/32')
      await page.keyboard.press('Control+z')
    }
    const offers = step.locator('[data-offers]')
    const kinds = await offers.locator('details button strong').allTextContents()
    expect(kinds.length).toBeGreaterThan(20)
    for (const kind of kinds) {
      const offer = offers.getByRole('button', { name: kind, includeHidden: true }).first()
      await offer.evaluate((one) => (one.closest('details')!.open = true))
      // What was taken off last shuts nothing any more.
      await expect(offer).toBeEnabled()
      await offer.click()
      await expect(step.getByRole('button', { name: `Take off ${kind}` })).toBeVisible()
      for (const key of (await fieldsOf(step)).filter((one) => !plain.includes(one)))
        await typeInto(page, key, '1 1/32')
      await step.getByRole('button', { name: `Take off ${kind}` }).click()
    }
    await expect(page).toHaveURL(/\/LF(\?|$)/)
  })

  test('every field of the Nails takes a fraction typed key by key, and Enter goes through all', async ({
    page,
  }) => {
    test.slow()
    await openBench(page, 'Merryweather')
    await typeFive(page)
    await page.getByRole('tab', { name: 'Nail' }).click()
    const step = page.locator('cr-nail-step')
    const typed = new Set<string>()
    for (const side of ['outer', 'inner'])
      for (const hole of [1, 2, 3, 4]) {
        await step.getByRole('button', { name: `More of ${side} ${hole}` }).click()
        const half = side === 'outer' ? 'lateral' : 'medial'
        await expect(field(page, `nails.${half}.${hole}.inset`)).toBeVisible()
        for (const key of (await fieldsOf(step)).filter((one) => !typed.has(one))) {
          await typeInto(page, key, key.endsWith('lean') ? '61' : '15/16')
          await page.keyboard.press('Control+z')
          typed.add(key)
        }
      }
    // Four figures a hole, and both ends of both branches.
    expect(typed.size).toBe(4 * 8 + 4)
    await step.getByText('How high the nails came out').click()
    const keys = await fieldsOf(step)
    await field(page, keys[0]!).first().focus()
    for (let i = 0; i < keys.length; i++) {
      await expect(step.locator('input[data-field]').nth(i)).toBeFocused()
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
    await expect(page).toHaveURL(/\/LF(\?|$)/)
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
    await typeOver(field(page, 'width'), '5 1/2')
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
    await typeOver(page.getByLabel('Paused:'), 'sore, gone for a walk')
    await page.keyboard.press('Enter')
    await expect(page.getByText('LH paused: sore, gone for a walk')).toBeVisible()
    await page.reload()
    await page.getByRole('radio', { name: /left hind/ }).click()
    await expect(page.getByLabel('Paused:')).toHaveValue('sore, gone for a walk')
    await page.getByRole('button', { name: 'Go on with LH' }).click()
    await expect(page.getByRole('radio', { name: 'left hind, bare', exact: true })).toBeVisible()
    // Two taps where one was meant: the dialog stays.
    await page.getByRole('button', { name: 'Finish visit' }).dblclick()
    const dialog = page.getByRole('dialog')
    await expect(dialog).toContainText('LH bare')
    await dialog.getByRole('button', { name: 'Another day' }).click()
    await typeDay(dialog.getByLabel('Next visit'), dayFromNow(65))
    await dialog.getByLabel('Note for next time').pressSequentially('Look at the frog')
    await dialog.getByRole('button', { name: 'Finish', exact: true }).click()
    await expect(page.getByText('Visit finished')).toBeVisible()
    await page.getByRole('link', { name: 'Round' }).click()
    await expect(page.getByRole('listitem').filter({ hasText: 'Parsley' })).toContainText('LH bare')

    // One at which something was found is not empty, even before it is stored.
    await openBench(page, 'Bellwether', 'Look')
    await page.getByRole('button', { name: 'outside first' }).click()
    const visit = page.getByRole('dialog', { name: 'This visit' })
    await page.getByRole('button', { name: / \d{4}$/ }).click()
    await expect(visit.getByRole('button', { name: 'Take this visit back' })).toBeDisabled()
    await expect(visit).toContainText('Something is recorded at it already')
    await visit.getByRole('button', { name: 'Close' }).click()
    await page.getByRole('button', { name: 'Undo' }).click()
    await page.getByRole('button', { name: / \d{4}$/ }).click()
    await page.getByRole('dialog').getByRole('button', { name: 'Take this visit back' }).click()
    await expect(page.getByRole('heading', { level: 1, name: 'Bellwether' })).toBeVisible()
    await expect(page).toHaveURL(/\/stable\//)
  })

  test('what cannot be made is told in every view, and is not printed', async ({ page }) => {
    await openBench(page, 'Lantern')
    await typeFive(page)
    await page.getByRole('tab', { name: 'Shoe' }).click()
    await typeOver(field(page, 'section.width'), '5')
    for (const view of ['Off the foot', 'Side', 'Cut', 'Against', 'Sole']) {
      await page.getByRole('button', { name: view, exact: true }).click()
      await expect(page.locator('cr-problem-list')).toContainText('Bar width: 5" is not possible here')
    }
    await expect(page.getByRole('button', { name: 'Print at true size' })).toBeDisabled()
  })
})

test('on a phone a swipe over the drawing scrolls, a short rest takes hold', async ({ browser, server }) => {
  await onDevice(browser, server, PHONE, async (page) => {
    await openBench(page, 'Copperkettle')
    await typeFive(page)
    const intoView = () => page.locator('cr-foot-drawing').evaluate((drawing) => drawing.scrollIntoView())
    await intoView()
    const touch = await page.context().newCDPSession(page)
    const swipe = async (rest: number) => {
      const knob = await atRest(page.locator('[data-handle="length"] .knob'))
      const [x, y] = [knob.x + knob.width / 2, knob.y + knob.height / 2]
      const finger = (type: 'touchStart' | 'touchMove' | 'touchEnd', dy: number) =>
        touch.send('Input.dispatchTouchEvent', {
          type,
          touchPoints: type === 'touchEnd' ? [] : [{ x, y: y + dy }],
        })
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
    // A rest on the handle, then the same way: the foot grows shorter, the page stays, and one tap takes it back.
    await swipe(420)
    await expect(field(page, 'length')).not.toHaveValue('5"')
    expect(await scrolled()).toBe(before)
    await page.getByRole('button', { name: 'Take that back' }).click()
    await expect(field(page, 'length')).toHaveValue('5"')
    // Without the rest the page goes with the finger.
    await swipe(0)
    await expect.poll(scrolled).toBeGreaterThan(before + 20)
    await expect(field(page, 'length')).toHaveValue('5"')
    // Woken by a tap beside the foot, the handle follows at once; it is said, and a button sends it to sleep again.
    // A page that was swiped runs on for a while.
    await atRest(page.locator('cr-foot-drawing'))
    await intoView()
    const paper = await atRest(page.locator('cr-foot-drawing svg.sheet'))
    await page.touchscreen.tap(paper.x + 12, paper.y + paper.height / 2)
    await expect(page.getByText('Handles follow the finger.')).toBeVisible()
    await swipe(0)
    await expect(field(page, 'length')).not.toHaveValue('5"')
    await page.getByRole('button', { name: 'Scroll again' }).click()
    await expect(page.getByText('Handles follow the finger.')).toBeHidden()
  })
})
