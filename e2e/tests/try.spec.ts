import {
  expect,
  expectAccessible,
  field,
  openBench,
  test,
  typeFive,
  typeOver,
  onDevice,
  PHONE,
  TABLET,
} from '../support/fixtures'

test.describe('a try-on', () => {
  test('by the tape: what is off is bent from toe to heel, and stepped through on the drawing', async ({
    page,
    open,
  }) => {
    await open('/round')
    await openBench(page, 'Fallow')
    await typeFive(page)
    await page.getByRole('tab', { name: 'Try' }).click()
    await expect(page.getByText(/When it is right it measures/)).toBeVisible()
    // Key by key, as it is read off the tape: the heels are narrow.
    await field(page, 'anvil.heelWidth').click()
    await page.keyboard.type('3 1/8')
    await page.keyboard.press('Enter')
    const bends = page.getByTestId('bends').getByRole('listitem')
    await expect(bends.first()).toBeVisible()
    const count = await bends.count()
    expect(count).toBeGreaterThan(1)
    expect(count).toBeLessThan(5)
    await expect(bends.first()).toContainText(/Open|Close/)
    await expect(bends.first()).toContainText('leave daylight beneath')
    await expectAccessible(page)
    for (let i = 1; i <= count; i++) await page.getByRole('button', { name: `Make bend ${i}` }).click()
    await expect(page.getByRole('button', { name: 'All made' })).toBeDisabled()
    await expect(
      page.getByRole('img', { name: `The shape on the anvil over its pattern, after ${count} bends` }),
    ).toBeVisible()
    // What was measured stays while another step is looked at, and no measure of a shoe is refused by name.
    await page.getByRole('tab', { name: 'Nail' }).click()
    await page.getByRole('tab', { name: 'Try' }).click()
    await expect(field(page, 'anvil.heelWidth')).toHaveValue(/3 1\/8/)
    await typeOver(field(page, 'anvil.heelWidth'), '11')
    await expect(
      page
        .getByRole('alert')
        .filter({ hasText: /Heel width: 11" beside the other measures/ })
        .first(),
    ).toBeVisible()
    await page.getByText('On the foot: what is right').click()
    await field(page, 'anvil.roomLateral').click()
    await page.keyboard.type('1/32')
    await page.keyboard.press('Enter')
    await page.keyboard.type('1/8')
    await page.keyboard.press('Enter')
    await expect(page.getByTestId('checks')).toContainText('less than a coin')
    // Measured as it should be, it is left alone.
    await page.getByRole('button', { name: 'Another try: clear' }).click()
    await expect(page.getByText(/When it is right it measures/)).toBeVisible()
    // Held it has room; on two nails it has shifted.
    const checks = page.getByTestId('checks').getByRole('listitem')
    await typeOver(field(page, 'anvil.roomLateral'), '1/8')
    await typeOver(field(page, 'anvil.roomMedial'), '1/8')
    await page.keyboard.press('Tab')
    await expect(checks).not.toHaveCount(0)
    await expect(checks.getByLabel('not right')).toHaveCount(0)
    await page.getByRole('radio', { name: 'On two nails' }).click()
    await expect(checks).toHaveCount(0)
    await typeOver(field(page, 'anvil.nailed.roomLateral'), '0')
    await typeOver(field(page, 'anvil.nailed.roomMedial'), '1/4')
    await page.keyboard.press('Tab')
    await expect(checks.first()).toContainText('less than a coin')
    await page.getByRole('radio', { name: 'Held to the foot' }).click()
    await expect(field(page, 'anvil.roomLateral')).toHaveValue('1/8"')
    await page.getByRole('button', { name: 'It fits: log it' }).click()
    await expect(page.getByTestId('tries')).toContainText('nothing bent; it fits')
  })

  test('on the foot, by touch on a phone: tight at both heels is opened until it is right', async ({
    browser,
    server,
  }) => {
    await onDevice(browser, server, PHONE, async (page) => {
      await openBench(page, 'Buttercup')
      await page.getByRole('button', { name: 'Copy last visit' }).first().tap()
      await page.getByRole('tab', { name: 'Try' }).tap()
      await page.getByRole('radio', { name: 'On the foot' }).tap()
      for (const branch of ['outer', 'inner'])
        for (let i = 0; i < 2; i++)
          await page.getByRole('button', { name: `Tighter at the heel, ${branch}` }).tap()
      await expect(page.getByText('1/4" tight')).toHaveCount(2)
      const bends = page.getByTestId('bends').getByRole('listitem')
      await expect(bends).toHaveCount(2)
      await expect(bends.first()).toContainText('Open')
      await expect(bends.last()).toContainText('Open')
      await page.getByRole('button', { name: 'Make bend 1' }).tap()
      await page.getByRole('button', { name: 'Make bend 2' }).tap()
      await expect(page.getByRole('button', { name: 'All made' })).toBeDisabled()
      // A thumb on the drawing says the same: it is wide there after all.
      await page.getByRole('button', { name: 'Inner heel: wider' }).tap()
      await expect(page.getByText('1/4" tight')).toHaveCount(1)
      // Tried again it is right: nothing was seen off, and nothing is asked for.
      await page.getByRole('button', { name: 'Another try: clear' }).tap()
      await expect(bends).toHaveCount(0)
    })
  })

  for (const { device, horse } of [
    { device: PHONE, horse: 'Dunlin' },
    // Feet that no other test of the same server stores: they begin from the last visit.
    { device: TABLET, horse: 'Old Granite' },
  ])
    test(`by touch at ${device.viewport.width} x ${device.viewport.height}: its contact is tapped, it is accepted and logged, and what comes back is told`, async ({
      browser,
      server,
    }) => {
      await onDevice(browser, server, device, async (page) => {
        await openBench(page, horse)
        await page.getByRole('button', { name: 'Copy last visit' }).first().tap()
        await page.getByRole('tab', { name: 'Try' }).tap()
        await page.getByText('Level', { exact: true }).tap()
        await page.getByRole('radio', { name: 'inner heel up' }).tap()
        await expect(page.getByTestId('level')).toContainText('strike it down')

        await page.getByText('Contact', { exact: true }).tap()
        const heel = page.getByRole('button', { name: /^outer heel:/ })
        for (const seen of ['even', 'gap', 'chipped wall', 'sole pressure']) {
          await heel.tap()
          await expect(heel).toHaveAccessibleName(`outer heel: ${seen}`)
        }
        await expect(page.getByTestId('contacts')).toContainText('seat the web out there')
        await page.getByRole('button', { name: 'The rest is even' }).tap()
        await expect(page.getByRole('button', { name: 'inner toe: even' })).toBeVisible()
        await expectAccessible(page)

        await page.getByText('Bends', { exact: true }).tap()
        await page.getByRole('radio', { name: 'On the foot' }).tap()
        for (let i = 0; i < 3; i++)
          await page.getByRole('button', { name: 'Tighter at the heel, outer' }).tap()
        // Seen off on one branch, only that branch is bent.
        const bends = page.getByTestId('bends').getByRole('listitem')
        await expect(bends.first()).toContainText('outer branch')
        await expect(bends.filter({ hasText: 'inner branch' })).toHaveCount(0)
        await page.getByRole('button', { name: 'Make bend 1' }).tap()
        await page.getByRole('button', { name: 'More: Walks to the horse' }).tap()
        await page.getByLabel('Minutes').tap()
        await page.keyboard.type('14')
        await page.getByRole('button', { name: 'Log it, try again' }).tap()
        const tries = page.getByTestId('tries').getByRole('listitem')
        await expect(tries).toHaveText([/2 walks, 14 min, .* off, 1 bend\./])
        await expect(page.getByLabel('Minutes')).toHaveValue('')
        await page.getByRole('button', { name: 'It fits: log it' }).tap()
        await expect(tries.last()).toContainText('it fits')
        await page.getByText('Usual corrections').tap()
        await expect(page.getByText(/Most often: open the outer heel/)).toBeVisible()
        await expect(page.getByTestId('first-shapes')).toContainText('Outer branch')
        await expectAccessible(page)
        // It is kept: after a reload it is listed again.
        await page.reload()
        await page.getByRole('tab', { name: 'Try' }).tap()
        await expect(tries).toHaveCount(2)
      })
    })

  test('from points that were typed; a line that is none is named, and nothing typed is lost', async ({
    page,
    open,
  }) => {
    await open('/round')
    await openBench(page, 'Fallow')
    await typeFive(page)
    await page.getByRole('tab', { name: 'Try' }).click()
    await page.getByRole('radio', { name: 'By points' }).click()
    const box = page.getByLabel(/Points along the middle of the web/)
    await box.click()
    await page.keyboard.type('1 3/4; -2 1/2\n2')
    await expect(page.getByRole('alert').filter({ hasText: 'Line 2' })).toBeVisible()
    await expect(box).toHaveValue('1 3/4; -2 1/2\n2')
    const points = Array.from({ length: 21 }, (_, i) => {
      const angle = -0.85 + (i / 20) * (Math.PI + 1.7)
      return `${(2.15 * Math.cos(angle)).toFixed(3)}; ${(2.35 * Math.sin(angle)).toFixed(3)}`
    })
    await box.fill(points.join('\n'))
    await expect(page.getByTestId('bends').getByRole('listitem').first()).toBeVisible()
  })

  test('the hot shoe is timed, seen from the first second', async ({ page, open }) => {
    await page.clock.install()
    await open('/round')
    await openBench(page, 'Fallow')
    await typeFive(page)
    await page.getByRole('tab', { name: 'Try' }).click()
    await page.getByRole('button', { name: 'Shoe on the foot' }).click()
    await page.clock.runFor(5_000)
    await expect(page.getByRole('timer')).toContainText('10')
    await page.clock.runFor(11_000)
    await expect(page.getByRole('timer')).toContainText('lift it')
    await page.clock.runFor(15_000)
    await expect(page.getByRole('button', { name: 'Shoe on the foot' })).toBeVisible()
  })
})
