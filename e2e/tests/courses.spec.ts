import type { Page } from '@playwright/test'
import { TestServer } from '../support/server'
import {
  dayFromNow,
  expect,
  expectAccessible,
  field,
  onDevice,
  openBench,
  PHONE,
  test,
  typeFive,
  typeOver,
  typeDay,
} from '../support/fixtures'

/** The page of a horse. */
async function openHorse(page: Page, horse: string) {
  await page.getByRole('link', { name: 'Stable' }).click()
  await typeOver(page.getByRole('searchbox', { name: 'Find a horse' }), horse)
  const rows = page.getByRole('list', { name: 'Horses' }).getByRole('link')
  await expect(rows).toHaveCount(1)
  await rows.filter({ hasText: horse }).click()
  await expect(page.getByRole('heading', { level: 1, name: horse })).toBeVisible()
}

test('an expander’s course: begun from the shoe, a bar done, pain stops it, nothing is asked any more', async ({
  page,
  open,
}) => {
  await open('/round')
  await openBench(page, 'Parsley')
  await typeFive(page)
  await page.getByRole('tab', { name: 'Shoe' }).click()
  await page.getByText('Begin from a design').click()
  await page.getByRole('button', { name: /^Contracted heels/ }).click()
  await page.getByRole('button', { name: 'Begin this course' }).click()
  const begin = page.getByRole('dialog', { name: 'Begin a course' })
  await expect(begin.getByRole('combobox', { name: /^Course/ })).toHaveValue('expander')
  await typeOver(begin.getByLabel('Why'), 'Heels drawn together')
  await typeOver(begin.getByLabel('Which vet leads'), 'Dr Ina Sedge')
  await expectAccessible(page)
  await begin.getByRole('button', { name: 'Begin it' }).click()
  await expect(begin).toBeHidden()

  // What is due stands at the Bench, and leads to where it is done.
  await page.getByRole('button', { name: /LF Cross bar 1: due today/ }).click()
  const card = page.locator('cr-course-card')
  await expect(card).toContainText('Heel expander, left fore')
  await card.getByRole('button', { name: 'Do it' }).click()
  const step = page.getByRole('dialog', { name: 'Cross bar 1' })
  await expect(step).toContainText('Stops it:')
  const measure = step.getByLabel('Resting measure, hole to hole')
  await typeOver(measure, '99')
  await step.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(step.getByRole('alert')).toContainText('Resting measure, hole to hole: from')
  await expect(measure).toHaveValue('99')
  await typeOver(measure, '1 1/4')
  await step.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(step).toBeHidden()
  await expect(card).toContainText('Cross bar 2')
  await card.getByText('What was done').click()
  await expect(card).toContainText('resting measure, hole to hole 1 1/4"')

  // It stays over a reload; the owner's list is a PDF.
  await page.reload()
  await expect(card).toContainText('Cross bar 2')
  const [list] = await Promise.all([
    page.waitForEvent('download'),
    card.getByRole('link', { name: 'List for the owner' }).click(),
  ])
  expect(list.suggestedFilename()).toBe('parsley-heel-expander.pdf')

  // Pain: it is stopped with its reason, and asks for nothing more.
  await card.getByRole('button', { name: 'Do it' }).click()
  await page.getByRole('dialog', { name: 'Cross bar 2' }).getByRole('button', { name: 'Pain: stop' }).click()
  const stop = page.getByRole('dialog', { name: 'Stop the course' })
  await expect(stop.getByRole('alert')).toContainText('call the vet')
  await typeOver(stop.getByLabel('Why'), '')
  await stop.getByRole('button', { name: 'Stop it' }).click()
  await expect(stop).toContainText('Say why')
  await typeOver(stop.getByLabel('Why'), 'Pointing the foot after the first bar')
  await stop.getByRole('button', { name: 'Stop it' }).click()
  await expect(stop).toBeHidden()
  await expect(card).toHaveCount(0)
  await openHorse(page, 'Parsley')
  await expect(card).toContainText('stopped')
  await expect(card).toContainText('Pointing the foot after the first bar')
  await page.getByRole('link', { name: 'Round' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Courses' })).not.toContainText('Parsley')
})

test('the next visit asks what should have come, one by one; late steps stand out everywhere', async ({
  page,
  open,
}) => {
  await open('/round')
  const courses = page.getByRole('region', { name: 'Courses' })
  await expect(courses.getByRole('listitem').filter({ hasText: 'overdue' }).first()).toContainText(
    'Buttercup LF',
  )
  await openHorse(page, 'Buttercup')
  await expect(page.locator('cr-course-card .overdue').first()).toContainText('overdue')
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Start visit' }).click()
  await expect(page.getByRole('button', { name: /^LF .*overdue/ })).toBeVisible()
  const asked = page.locator('cr-course-card cr-signs-asked')
  await expect(asked.getByRole('group')).toHaveCount(3)
  await asked
    .getByRole('group', { name: 'Sole under the tip thicker' })
    .getByRole('button', { name: 'Better' })
    .click()
  await expect(asked.getByRole('group')).toHaveCount(2)
  await expect(asked).toContainText('Sole under the tip thicker: better')
  await expectAccessible(page)
  // Answered once, it is not asked again at this visit.
  await page.reload()
  await expect(asked.getByRole('group')).toHaveCount(2)
})

test('a step of one’s own is added and said otherwise; it stands on the round', async ({ page, open }) => {
  await open('/round')
  await openHorse(page, 'Lantern')
  const card = page.locator('cr-course-card')
  await card.getByRole('button', { name: 'Add a step' }).click()
  const own = page.getByRole('dialog', { name: 'A step of your own' })
  await own.getByRole('button', { name: 'Add it' }).click()
  await expect(own.getByRole('alert')).toContainText('what is to be done?')
  await typeOver(own.getByLabel('What is to be done'), 'Picture of the wear')
  await own.getByRole('combobox', { name: /^Who does it/ }).selectOption('owner')
  await expectAccessible(page)
  await own.getByRole('button', { name: 'Add it' }).click()
  await expect(own).toBeHidden()
  const row = card.getByRole('listitem').filter({ hasText: 'Picture of the wear' })
  await expect(row).toContainText('owner')
  await row.getByRole('button').click()
  const step = page.getByRole('dialog', { name: 'Picture of the wear' })
  await step.getByRole('button', { name: 'Say it otherwise' }).click()
  const words = page.getByRole('dialog', { name: 'The step in other words' })
  await expect(words.getByLabel('What is to be done')).toHaveValue('Picture of the wear')
  await typeOver(words.getByLabel('What is to be done'), 'Two pictures of the wear')
  await page.keyboard.press('Enter')
  await expect(words).toBeHidden()
  await expect(card).toContainText('Two pictures of the wear')
  await page.getByRole('link', { name: 'Round' }).click()
  await expect(page.getByRole('region', { name: 'Courses' })).toContainText('Two pictures of the wear')
})

test('a call is promised, stands on the round until it was made, and what came of it with the horse', async ({
  page,
  open,
}) => {
  await open('/round')
  const calls = page.getByRole('region', { name: 'Calls' })
  await expect(calls.getByRole('listitem').filter({ hasText: 'overdue' })).toContainText('Buttercup')
  await openHorse(page, 'Dunlin')
  await page.getByRole('button', { name: 'Promise a call' }).click()
  const promise = page.getByRole('dialog', { name: 'Promise a call about Dunlin' })
  await typeOver(promise.getByLabel('What it is about'), 'Sound on the stones?')
  await typeDay(promise.getByLabel('On', { exact: true }), dayFromNow(2))
  await expectAccessible(page)
  await promise.getByRole('button', { name: 'Promise it' }).click()
  await expect(promise).toBeHidden()
  await expect(page.getByRole('region', { name: 'Calls' })).toContainText('Sound on the stones?')
  await page.getByRole('link', { name: 'Round' }).click()
  const row = calls.getByRole('listitem').filter({ hasText: 'Dunlin' })
  await expect(row).toContainText('due in 2 days')
  await page.reload()
  await row.getByRole('button', { name: 'Called' }).click()
  const called = page.getByRole('dialog', { name: 'Sound on the stones?' })
  await typeOver(called.getByLabel('What came of it'), 'Sound, and quick')
  await called.getByRole('button', { name: 'Called', exact: true }).click()
  await expect(called).toBeHidden()
  await expect(row).toHaveCount(0)
  await row.waitFor({ state: 'detached' })
  await openHorse(page, 'Dunlin')
  await page.getByText('Calls that were made').click()
  await expect(page.getByRole('region', { name: 'Calls' })).toContainText('Sound, and quick')
})

async function agreedAndFinished(page: Page) {
  await openBench(page, 'Merryweather', 'Look')
  const asked = page.getByRole('region', { name: 'Looked for since last time' })
  const sign = (name: string) => asked.getByRole('group', { name })
  await expect(asked.getByRole('group')).toHaveCount(2)
  await expect(asked).toContainText('Flare smaller')
  await expectAccessible(page)
  // It was worse at the last two visits; once more, and it stays behind other ways and says so.
  await sign('Heels no longer crushed').getByRole('button', { name: 'Worse' }).click()
  await page
    .getByRole('region', { name: 'From the visits before' })
    .getByRole('group', { name: /^Heels run forward/ })
    .getByRole('button', { name: 'same' })
    .click()
  const advice = page.locator('cr-advice-list article')
  await expect(advice.last()).toContainText('worse at two visits running')
  await sign('Flare smaller').getByRole('button', { name: 'ask no more' }).click()
  await expect(asked.getByRole('group')).toHaveCount(0)
  await page.reload()
  await expect(asked).toContainText('Heels no longer crushed: worse')
  await expect(asked).toContainText('Flare smaller: not asked any more')
  // Accepted, it says what will be asked next time.
  await advice.first().getByRole('button', { name: 'Accept' }).click()
  await expect(page.getByText(/Next time it is asked/).first()).toBeVisible()

  await page.getByText('The old shoe, before pulling').click()
  const half = page.getByRole('group', { name: 'Left at the toe' }).getByRole('button', { name: 'half' })
  await half.click()
  await expect(half).toHaveAttribute('aria-pressed', 'true')
  await expect(field(page, 'old-leftToe')).toHaveValue('3/16"')
  await half.click()
  await expect(field(page, 'old-leftToe')).toHaveValue('')

  await page.getByRole('radio', { name: 'Left bare' }).click()
  await page.getByRole('button', { name: 'Finish visit' }).click()
  const finish = page.getByRole('dialog', { name: 'Finish the visit' })
  const proposed = finish.locator('cr-proposed-cycle')
  await expect(proposed).toContainText('Proposed')
  const day = (await proposed.locator('strong').innerText()).trim()
  await proposed.getByRole('button', { name: 'Take that day' }).click()
  await expect(proposed.getByRole('button')).toHaveCount(0)
  await finish.getByRole('button', { name: 'Finish', exact: true }).click()
  await expect(finish).toBeHidden()
  await openHorse(page, 'Merryweather')
  await page.getByRole('button', { name: 'Change', exact: true }).waitFor()
  await page.getByText('What to expect').click()
  await expect(page.locator('cr-horse-forecast')).toContainText('Come again')
  await expectAccessible(page)
  // It stands in the days of the Round where it was put.
  await page.getByRole('link', { name: 'Round' }).click()
  await page.getByRole('radio', { name: 'Month' }).click()
  const days = page.locator('.days > section')
  await expect(days).toHaveCount(35)
  const there = page.getByRole('region', { name: day })
  if ((await there.count()) === 0) {
    const first = (await days.first().getAttribute('aria-label'))!
    await page.getByRole('button', { name: 'Later', exact: true }).click()
    await expect(days.first()).not.toHaveAttribute('aria-label', first)
  }
  await expect(there.getByRole('link', { name: 'Merryweather' })).toBeVisible()
}

test('what was agreed is asked at the next visit and changes the advice; wear by a tap; the proposed day is taken', async ({
  page,
}) => {
  // A visit is finished here: others look at this horse as the demo has it.
  const own = await TestServer.start()
  try {
    await page.goto(`${own.url}/round`)
    await agreedAndFinished(page)
  } finally {
    await own.stop()
  }
})

test('on a phone a step is put on another day from the horse’s page', async ({ browser, server }) => {
  await onDevice(browser, server, PHONE, async (page) => {
    await openHorse(page, 'Fallow')
    const card = page.locator('cr-course-card')
    await card.getByRole('button', { name: 'Do it' }).click()
    const step = page.getByRole('dialog', { name: 'A little lower' })
    await typeDay(step.getByLabel('Done on'), dayFromNow(92))
    await step.getByRole('button', { name: 'Put it on that day' }).click()
    await expect(step).toBeHidden()
    await expect(card).toContainText('due in 92 days')
  })
})
