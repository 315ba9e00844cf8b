import { existsSync } from 'node:fs'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { TestServer } from '../support/server'
import {
  cut,
  expect,
  expectAccessible,
  field,
  openBench,
  savePattern,
  test,
  typeFive,
  typeOver,
} from '../support/fixtures'

// A hand is there before what slides in has come to rest.
test.use({ contextOptions: { reducedMotion: 'no-preference' } })

test.describe('nothing is lost', () => {
  test('unsaved work survives a reload, wrong figures and all, and each foot keeps its own', async ({
    page,
    open,
  }) => {
    await open('/round')
    await openBench(page, 'Quiver')
    await typeFive(page)
    await page.getByRole('radio', { name: 'right hind' }).click()
    await typeOver(field(page, 'width'), '4 quarters')
    await page.waitForTimeout(250)
    await page.reload()
    await expect(field(page, 'width')).toHaveValue('4 quarters')
    await page.getByRole('radio', { name: /left fore.*not saved/ }).click()
    await expect(field(page, 'heelWidth')).toHaveValue('3 1/2"')
    await expect(page.getByTestId('cut')).toBeVisible()
  })

  test('two windows save the same foot: the second is asked, and neither loses anything', async ({
    browser,
    server,
  }) => {
    const windows = await Promise.all([0, 1].map(async () => (await browser.newContext()).newPage()))
    const [one, two] = windows as [Page, Page]
    await one.goto(`${server.url}/round`)
    await openBench(one, 'Sandpiper')
    await two.goto(one.url())
    await two.getByRole('tab', { name: 'Map' }).click()
    await typeFive(one)
    await typeFive(two)
    await typeOver(field(two, 'width'), '5 1/4')
    await savePattern(one, 'From the truck')
    await expect(one.getByText('Saved: From the truck')).toBeVisible()

    await savePattern(two, 'From the tablet')
    const asked = two.getByRole('dialog', { name: 'Changed in another window' })
    await expect(asked).toBeVisible()
    await expectAccessible(two)
    // Foot and pattern are asked about at once; what differs is shown, and one answer is enough.
    await expect(asked.getByRole('row', { name: /Width 5 1\/4" 5"/ })).toBeVisible()
    await asked.getByRole('button', { name: 'Save mine' }).click()
    await expect(two.getByText('Saved: From the tablet')).toBeVisible()

    const page = await two.evaluate(async () => {
      const id = location.pathname.split('/')[2]
      return (await fetch(`/api/visits/${id}/page`)).json()
    })
    const record = page.footRecords.find((r: { side: string }) => r.side === 'LF')
    expect(record.foot.width).toBeCloseTo(133.35, 6)
    const versions = await two.evaluate(
      async (id) => (await fetch(`/api/patterns/${id}/versions`)).json(),
      record.patternId as string,
    )
    expect(versions.map((v: { name: string }) => v.name)).toEqual(
      expect.arrayContaining(['From the tablet', 'From the truck']),
    )

    // And the other way: the first window takes what stands there now.
    await typeOver(field(one, 'length'), '5 1/8')
    await savePattern(one)
    await one.getByRole('dialog').getByRole('button', { name: 'Take theirs' }).click()
    await expect(field(one, 'width')).toHaveValue('5 1/4"')
    await Promise.all(windows.map((window) => window.context().close()))
  })

  test('a place that cannot be fetched says so, and the place that is open goes on', async ({
    browser,
    server,
  }) => {
    const context = await browser.newContext()
    const page = await context.newPage()
    await page.goto(`${server.url}/rack`)
    await expect(page.getByRole('heading', { name: 'Rack' })).toBeVisible()
    await context.setOffline(true)
    await page.getByRole('link', { name: 'Stable' }).click()
    await expect(page.getByText('This place could not be opened')).toBeVisible()
    await expect(page.getByRole('heading', { name: 'Rack' })).toBeVisible()
    await context.setOffline(false)
    await page.getByRole('link', { name: 'Stable' }).click()
    await expect(page).toHaveURL(/\/stable$/)
    await context.close()
  })

  test('the server killed in the middle of saving and started again: nothing is lost', async ({ page }) => {
    const server = await TestServer.start()
    try {
      await page.goto(`${server.url}/round`)
      await openBench(page, 'Lantern')
      await typeFive(page)
      await savePattern(page, 'Before the cut')
      await expect(page.getByText('Saved: Before the cut')).toBeVisible()
      const first = await cut(page)

      // Every change is saved at once, as fast as it goes, and the power fails among them.
      const visitId = new URL(page.url()).pathname.split('/')[2]!
      const answered = page.evaluate(async (id) => {
        const { horse } = await (await fetch(`/api/visits/${id}/page`)).json()
        let last = 0
        let { version } = horse
        try {
          for (let i = 1; i < 5_000; i++) {
            const body = JSON.stringify({ ...horse, version, notes: `note ${i}` })
            const sent = await fetch(`/api/horses/${horse.id}`, {
              method: 'PUT',
              headers: { 'content-type': 'application/json' },
              body,
            })
            if (!sent.ok) break
            version = (await sent.json()).version
            last = i
            Object.assign(window, { savedSoFar: i })
          }
        } catch {
          // The server is gone.
        }
        return { last, horseId: horse.id as string }
      }, visitId)
      // However fast the machine is: the power fails after some of them and before the last.
      await expect
        .poll(() => page.evaluate(() => (window as { savedSoFar?: number }).savedSoFar ?? 0))
        .toBeGreaterThan(5)
      await server.kill()
      const { last, horseId } = await answered
      expect(last).toBeGreaterThan(3)

      // What is done now cannot be saved: it is kept, and said.
      await typeOver(field(page, 'width'), '5 1/4')
      await page.getByRole('button', { name: 'Save pattern' }).click()
      const asked = page.getByRole('dialog', { name: 'Save pattern' })
      await typeOver(asked.getByLabel('What changed, and why'), 'wider since')
      await asked.getByRole('button', { name: 'Save', exact: true }).click()
      await expect(page.getByText('Not stored yet: the server does not answer.')).toBeVisible()
      await expect(asked).toHaveCount(0)
      await expect(page.getByText('waits for the server')).toBeVisible()
      // On the horse's page and back: the work is there without the server.
      await page.goBack().catch(() => undefined)
      await page.goForward()
      await expect(page.getByText('waits for the server')).toBeVisible()

      await server.run()
      const health = await (await fetch(`${server.url}/api/health`)).json()
      expect(health).toMatchObject({ status: 'ok' })
      const horse = await (await fetch(`${server.url}/api/horses/${horseId}`)).json()
      // Everything that was answered is there; at most the one in flight beside it.
      expect([`note ${last}`, `note ${last + 1}`]).toContain(horse.notes)

      // It goes out by itself, with what was said of it.
      await expect(page.getByText('Stored now: Lantern LF, Before the cut')).toBeVisible({ timeout: 40_000 })
      await page.reload()
      await expect(field(page, 'width')).toHaveValue('5 1/4"')
      await expect.poll(() => cut(page)).not.toBe(first)
      await expect(page.locator('cr-iron-slip .state')).toHaveText('saved')
      const { patterns } = await (await fetch(`${server.url}/api/visits/${visitId}/page`)).json()
      expect(patterns[0]).toMatchObject({
        name: 'Before the cut',
        why: 'wider since',
        foot: { width: 133.35 },
      })
    } finally {
      await server.stop()
    }
  })

  test('backup and restore by command, and a graceful stop', async () => {
    const server = await TestServer.start()
    try {
      const file = join(server.dataFolder, 'copy.sqlite')
      server.command('backup', file)
      expect(existsSync(file)).toBe(true)
      const horses = await (await fetch(`${server.url}/api/horses`)).json()
      const gone = { ...horses[0], archived: true }
      for (const extra of ['ownerName', 'lastVisit', 'due']) delete gone[extra]
      await fetch(`${server.url}/api/horses/${gone.id}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(gone),
      })
      expect(() => server.command('restore', file)).toThrow('in use')
      expect(await server.kill('SIGTERM')).toBe(0)
      server.command('restore', file)
      await server.run()
      expect(await (await fetch(`${server.url}/api/horses`)).json()).toHaveLength(horses.length)
    } finally {
      await server.stop()
    }
  })
})
