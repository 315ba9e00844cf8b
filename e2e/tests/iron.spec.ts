import { readFileSync } from 'node:fs'
import type { Download, Page } from '@playwright/test'
import {
  cut,
  expect,
  expectAccessible,
  field,
  onDevice,
  openBench,
  PHONE,
  savePattern,
  test,
  typeFive,
  typeOver,
  openGroup,
} from '../support/fixtures'

/** What is downloaded by a tap. */
async function tapped(page: Page, name: string | RegExp): Promise<{ name: string; file: Buffer }> {
  const waiting = page.waitForEvent('download')
  await page.getByRole('button', { name, exact: true }).click()
  const download: Download = await waiting
  return { name: download.suggestedFilename(), file: readFileSync(await download.path()) }
}

test.describe('iron', () => {
  test('the work heat by heat, the card and the pieces at true size as files', async ({ page, open }) => {
    await open('/round')
    await openBench(page, 'Fallow')
    await typeFive(page)
    await page.getByRole('tab', { name: 'Iron' }).click()
    const what = page.getByTestId('heat-text')
    await expect(what).toContainText('Cut the bar')
    await expect(page.getByTestId('heat-measures')).toContainText('The whole bar')
    await expectAccessible(page)
    await page.getByRole('button', { name: 'Next step' }).click()
    await expect(what).toContainText('Bend the toe first')
    await page.getByRole('button', { name: 'One heat more' }).click()
    await page.getByRole('button', { name: 'One heat more' }).click()
    // A reload leaves the work where it was.
    await page.reload()
    await expect(what).toContainText('Bend the toe first')
    await expect(page.getByRole('group', { name: 'Heats taken' })).toContainText('2 heats')
    await expect(page.getByTestId('chalk')).toContainText('Width at the widest')
    await page.getByRole('button', { name: 'Forge card' }).click()
    await expect(page.getByTestId('card-work')).toContainText('Stamp the holes')
    await expectAccessible(page)
    const card = await tapped(page, 'Card on A4')
    expect(card.name).toBe('fallow-lf-card.pdf')
    expect(card.file.subarray(0, 5).toString()).toBe('%PDF-')
    const sole = await tapped(page, 'Shoe, ground side')
    expect(sole.name).toBe('fallow-lf-sole.pdf')
    await page.getByRole('radio', { name: 'DXF' }).click()
    expect((await tapped(page, 'Bar with its marks')).file.toString()).toContain('Marks')
    const stl = await tapped(page, 'STL')
    // Binary: a head of 80, a count, 50 for each triangle.
    expect(stl.file.length).toBe(84 + 50 * stl.file.readUInt32LE(80))
  })

  test('the cut is logged, and the next one follows it until it is switched off', async ({ page, open }) => {
    await open('/round')
    await openBench(page, 'Fallow')
    await typeFive(page)
    await page.getByRole('tab', { name: 'Iron' }).click()
    await expect(page.getByTestId('learned')).toContainText('No job of this bar and style')
    const before = await cut(page)
    await typeOver(field(page, 'job.used'), '70')
    await typeOver(field(page, 'job.left'), '1/4')
    await page.getByRole('button', { name: 'Log it' }).click()
    await expect(page.getByRole('alert').filter({ hasText: 'what is marked' })).toBeVisible()
    await typeOver(field(page, 'job.used'), '12 3/8')
    await page.getByRole('button', { name: 'Log it' }).click()
    await expect(page.getByText(/Logged: cut 12 3\/8", 1\/4" left over/)).toBeVisible()
    await expect(page.getByTestId('learned')).toContainText('From one job')
    await expect.poll(() => cut(page)).not.toBe(before)
    await page.getByRole('checkbox', { name: 'Logged jobs correct the cut' }).click()
    await expect(page.getByTestId('learned')).toContainText('switched off')
    await expect.poll(() => cut(page)).toBe(before)
  })

  test('is stepped through on a phone, by touch', async ({ browser, server }) => {
    test.slow()
    await onDevice(browser, server, PHONE, async (page) => {
      await openBench(page, 'Dunlin')
      await page.getByRole('button', { name: 'Copy last visit' }).first().tap()
      await page.getByRole('tab', { name: 'Iron' }).tap()
      const which = page.getByText(/Step \d+ of \d+/)
      const count = Number(/of (\d+)/.exec((await which.textContent())!)![1])
      // What is done is read without scrolling, and nothing lies over it.
      const words = (await page.getByTestId('heat-text').boundingBox())!
      const under = (await page.getByRole('button', { name: 'Next step' }).boundingBox())!
      expect(words.y + words.height).toBeLessThan(under.y)
      const seen = new Set<string | null>()
      for (let i = 1; i <= count; i++) {
        // The next tap waits until the step has come: the last one has no button to tap.
        await expect(which).toContainText(`Step ${i} of ${count}`)
        seen.add(await page.getByTestId('heat-text').textContent())
        if (i < count) await page.getByRole('button', { name: 'Next step' }).tap()
      }
      // Every step says something else to do.
      expect(count).toBeGreaterThan(5)
      expect(seen.size).toBe(count)
      // The largest button lies where the thumb is.
      const box = await page.getByRole('button', { name: 'All done' }).boundingBox()
      expect(box!.height).toBeGreaterThanOrEqual(44)
      await page.getByRole('button', { name: 'Shoe on the foot' }).tap()
      await expect(page.getByRole('timer')).toContainText('then lift')
      // Heats that are counted here are those of the try it leads on to.
      await page.getByRole('button', { name: 'One heat more' }).tap()
      await page.getByRole('button', { name: 'All done: try it on' }).tap()
      await expect(page.getByRole('tab', { name: 'Try' })).toHaveAttribute('aria-selected', 'true')
      await expect(page.locator('cr-log-try .count').filter({ hasText: 'Heats' }).locator('b')).toHaveText(
        '1',
      )
    })
  })
})

test('the iron of the day stands on the Round, and the next visits go out as a calendar', async ({
  page,
  open,
}) => {
  await open('/round')
  await page.getByRole('button', { name: 'Iron for the day' }).click()
  const list = page.getByRole('region', { name: 'Iron for the day' })
  await expect(list).toBeVisible()
  await list.getByRole('checkbox', { name: /With all that are due/ }).click()
  await expect(list.getByRole('heading', { level: 3 }).first()).toContainText('in all')
  await expectAccessible(page)
  const waiting = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Next visits as a calendar' }).click()
  const calendar = readFileSync(await (await waiting).path(), 'utf8')
  expect(calendar).toContain('BEGIN:VEVENT')
})

test('the pattern whose foot is most like this one is found among all horses and taken up', async ({
  page,
  open,
}) => {
  await open('/round')
  await openBench(page, 'Fallow')
  await page.getByRole('button', { name: 'Copy last visit' }).first().click()
  await page.getByRole('button', { name: 'More for this foot' }).click()
  await page.getByRole('menuitem', { name: 'Load a pattern' }).click()
  const dialog = page.getByRole('dialog', { name: 'Load a pattern' })
  await dialog.getByRole('radio', { name: 'Most alike' }).click()
  const first = dialog.getByRole('listitem').first()
  // Its own last pattern was made for the same foot.
  await expect(first).toContainText('Fallow')
  await expect(first).toContainText('this foot')
  await expect(dialog.getByRole('listitem')).toHaveCount(12)
  await expectAccessible(page)
  await first.getByRole('button').first().click()
  await expect(dialog).toHaveCount(0)
  await expect(page.getByTestId('cut')).toBeVisible()
})

test('a pattern of the other side is taken up mirrored, and says so where it is kept', async ({
  page,
  open,
}) => {
  const patterns = page.getByRole('dialog', { name: 'Load a pattern' })
  const load = async () => {
    await page.getByRole('button', { name: 'More for this foot' }).click()
    await page.getByRole('menuitem', { name: 'Load a pattern' }).click()
  }
  // A wry foot, and the other of the pair wry to the other hand.
  const wry = async (half: string) => {
    await typeFive(page)
    const outerHalf = field(page, 'lateralHalfWidth')
    if (!(await outerHalf.isVisible())) await openGroup(page, 'Outline')
    await typeOver(outerHalf, half)
  }
  await open('/round')
  await openBench(page, 'Nock')
  await wry('2 3/4')
  await savePattern(page, 'Wry outside')
  await page.getByRole('radio', { name: /right fore/ }).click()
  await wry('2 1/4')
  await load()
  await patterns.getByRole('radio', { name: 'Most alike' }).click()
  const turned = patterns.getByRole('listitem').filter({ hasText: /off, mirrored;/ })
  const name = await turned.first().getByRole('strong').textContent()
  await turned.first().getByRole('button').first().click()
  await expect(patterns).toHaveCount(0)
  await expect(page.getByRole('button', { name: 'Save pattern' })).toBeEnabled()
  await savePattern(page, 'Turned over')
  await load()
  const kept = patterns.getByRole('listitem').filter({ hasText: 'Turned over' })
  await expect(kept).toContainText(`“${name}”, mirrored`)
})

test('a pattern is tagged, its next version says why, and it goes to another horse as a file', async ({
  page,
  open,
}) => {
  await open('/round')
  await openBench(page, 'Marrow')
  await page.getByRole('button', { name: 'Copy last visit' }).first().click()
  const save = page.getByRole('dialog', { name: 'Save pattern' })
  const saved = async (fields: Record<string, string>) => {
    await page.keyboard.press('Control+s')
    for (const [label, text] of Object.entries(fields)) await typeOver(save.getByLabel(label), text)
    await save.getByRole('button', { name: 'Save', exact: true }).click()
    await expect(save).toHaveCount(0)
  }
  await saved({ Name: 'Quarry shoe', Tags: 'rock, long hauls' })
  await typeOver(field(page, 'width'), '7 1/8')
  await saved({ 'What changed': 'wider since spring' })
  await page.getByRole('button', { name: 'More for this foot' }).click()
  const waiting = page.waitForEvent('download')
  await page.getByRole('menuitem', { name: 'Pattern as a file' }).click()
  const file = readFileSync(await (await waiting).path())
  expect(JSON.parse(file.toString())).toMatchObject({
    ...{ format: 'crescent-pattern', name: 'Quarry shoe', tags: ['rock', 'long hauls'] },
  })
  const dialog = page.getByRole('dialog', { name: 'Load a pattern' })
  const load = async () => {
    await page.getByRole('button', { name: 'More for this foot' }).click()
    await page.getByRole('menuitem', { name: 'Load a pattern' }).click()
  }
  await load()
  const own = dialog.getByRole('listitem').filter({ hasText: 'Quarry shoe' })
  await expect(own).toContainText('long hauls')
  await own.getByRole('button', { name: /versions$/ }).click()
  await expect(page.getByRole('dialog', { name: /^Versions/ })).toContainText('wider since spring')
  await page.keyboard.press('Escape')
  await dialog.getByRole('button', { name: 'Close' }).click()

  await openBench(page, 'Dunlin')
  await page.getByRole('button', { name: 'Copy last visit' }).first().click()
  await load()
  await dialog.getByTestId('pattern-file').setInputFiles({
    ...{ name: 'broken.json', mimeType: 'application/json', buffer: Buffer.from('{"format":') },
  })
  await expect(dialog.getByRole('alert')).toContainText('“broken.json” is no pattern file')
  await dialog.getByRole('radio', { name: 'All horses' }).click()
  await dialog.getByRole('combobox', { name: 'Tag' }).selectOption('long hauls')
  await expect(dialog.getByRole('listitem')).toHaveCount(1)
  await expectAccessible(page)
  await dialog.getByTestId('pattern-file').setInputFiles({
    ...{ name: 'quarry.json', mimeType: 'application/json', buffer: file },
  })
  await expect(dialog).toHaveCount(0)
  await expect(page.getByTestId('cut')).toBeVisible()
  await page.keyboard.press('Control+s')
  // It is the beginning of a pattern of this horse, not a version of what it wore.
  await expect(save).not.toContainText('Next version')
})
