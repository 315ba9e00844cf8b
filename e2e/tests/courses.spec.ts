import type { Page } from '@playwright/test'
import {
  expect,
  expectAccessible,
  onDevice,
  openBench,
  PHONE,
  test,
  typeFive,
  typeOver,
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
  const asked = page.locator('cr-signs-asked')
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

test('on a phone a step is put on another day from the horse’s page', async ({ browser, server }) => {
  await onDevice(browser, server, PHONE, async (page) => {
    await openHorse(page, 'Fallow')
    const card = page.locator('cr-course-card')
    await card.getByRole('button', { name: 'Do it' }).click()
    const step = page.getByRole('dialog', { name: 'A little lower' })
    await step.getByLabel('Done on').fill('2027-03-01')
    await step.getByRole('button', { name: 'Put it on that day' }).click()
    await expect(step).toBeHidden()
    await expect(card).toContainText('1 Mar 2027')
  })
})
