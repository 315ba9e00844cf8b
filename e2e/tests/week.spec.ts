import { atRest, expect, expectAccessible, onDevice, PHONE, test } from '../support/fixtures'

test('a horse is dragged to another day, and put back by keys; it stays there', async ({ page, open }) => {
  await open('/round')
  await page.getByRole('radio', { name: 'Week' }).click()
  const days = page.locator('.days > section')
  await expect(days).toHaveCount(7)
  await expectAccessible(page)
  const cards = (day: number) => days.nth(day).locator('cr-stop-card')
  // The first day from the third on that somebody is due on.
  const counts = await Promise.all([2, 3, 4, 5].map((day) => cards(day).count()))
  const from = 2 + counts.findIndex((count) => count > 0)
  const card = cards(from).first()
  const name = (await card.getByRole('link').innerText()).trim()
  const to = from + 1
  // Much that is overdue stands above the days: what lies below the window's edge no hand takes hold of.
  await days.nth(to).locator('.list').scrollIntoViewIfNeeded()
  await card.scrollIntoViewIfNeeded()
  const [start, end] = [await atRest(card), await atRest(days.nth(to).locator('.list'))]
  await page.mouse.move(start.x + start.width / 2, start.y + start.height - 14)
  await page.mouse.down()
  await page.mouse.move(start.x + start.width / 2 + 12, start.y + start.height - 14, { steps: 4 })
  await page.mouse.move(end.x + end.width / 2, end.y + 40, { steps: 12 })
  // A hand moves on until it sees that the day makes room.
  let by = 0
  await expect
    .poll(async () => {
      await page.mouse.move(end.x + end.width / 2 + (by = 3 - by), end.y + 40)
      return days.nth(to).locator('.cdk-drag-placeholder').count()
    })
    .toBe(1)
  await page.mouse.up()
  await expect(cards(to).filter({ hasText: name })).toHaveCount(1)
  await expect(page.locator('mat-snack-bar-container')).toContainText(`${name}: `)
  // It is kept: the same over a reload.
  await page.reload()
  await page.getByRole('radio', { name: 'Week' }).click()
  await expect(cards(to).filter({ hasText: name })).toHaveCount(1)
  const earlier = page.getByRole('button', { name: `${name} one day earlier` })
  await earlier.focus()
  await page.keyboard.press('Enter')
  await expect(cards(from).filter({ hasText: name })).toHaveCount(1)
  // The keys go on from the horse that was moved.
  await expect(page.locator(':focus')).toHaveAccessibleName(new RegExp(`^${name} one day`))
  // A month shows the weeks, and the day goes back to what it was.
  await page.getByRole('radio', { name: 'Month' }).click()
  await expect(days).toHaveCount(35)
  await page.getByRole('radio', { name: 'Day' }).click()
  await expect(page.getByRole('heading', { name: /Due this week/ })).toBeVisible()
})

test('what is due stands together by its place, with its steps and calls', async ({ page, open }) => {
  await open('/round')
  await page.getByRole('radio', { name: 'Places' }).click()
  const wick = page
    .locator('cr-round-places section')
    .filter({ has: page.getByRole('heading', { name: /^Wick/ }) })
  await expect(wick).toContainText('Buttercup LF')
  await expect(wick).toContainText('call Dr Ina Sedge: New radiographs before the next rails?')
  await expectAccessible(page)
  await wick.getByRole('link', { name: 'Buttercup LF' }).first().click()
  await expect(page.getByRole('heading', { level: 1, name: 'Buttercup' })).toBeVisible()
})

test('on a phone a swipe over the days scrolls, a tap puts an overdue horse on today', async ({
  browser,
  server,
}) => {
  await onDevice(browser, server, PHONE, async (page) => {
    await page.getByRole('radio', { name: 'Week' }).tap()
    const overdue = page.getByRole('region', { name: 'Overdue' })
    const name = (await overdue.getByRole('link').first().innerText()).trim()
    await overdue.getByRole('button', { name: `${name} one day later` }).tap()
    await expect(overdue.getByRole('link', { name })).toHaveCount(0)
    await expect(page.locator('.days > section').first().getByRole('link', { name })).toBeVisible()
  })
})
