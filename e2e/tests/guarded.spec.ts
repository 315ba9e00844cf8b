import { randomUUID } from 'node:crypto'
import { existsSync, readFileSync } from 'node:fs'
import { connect } from 'node:net'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { expect, expectAccessible, test, typeOver } from '../support/fixtures'
import { TestServer } from '../support/server'

test('a practice with a password lets nobody in without it, and goes on where it stood', async ({ page }) => {
  const server = await TestServer.start('demo', { CRESCENT_PASSWORD: 'oak and iron' })
  await page.goto(`${server.url}/stable`)
  const dialog = page.getByRole('dialog', { name: 'Sign in' })
  await dialog.getByLabel('Password of the practice').pressSequentially('oak and tin')
  await expect(page.getByRole('list', { name: 'Horses' }).getByRole('link')).toHaveCount(0)
  await page.keyboard.press('Enter')
  await expect(dialog.getByRole('alert')).toContainText('not the password')
  await expectAccessible(page)
  await typeOver(dialog.getByLabel('Password of the practice'), 'oak and iron')
  await page.keyboard.press('Enter')
  await expect(dialog).toBeHidden()
  await expect(page.getByRole('list', { name: 'Horses' }).getByRole('link').first()).toBeVisible()
  await page.reload()
  await expect(page.getByRole('list', { name: 'Horses' }).getByRole('link').first()).toBeVisible()
  // A restart signs nobody out.
  await server.kill()
  await server.run()
  await typeOver(page.getByRole('searchbox', { name: 'Find a horse' }), 'Than no horse')
  await expect(page.getByRole('list', { name: 'Horses' }).getByRole('link')).toHaveCount(0)
  await expect(dialog).toBeHidden()
  // A telephone that is signed in too is signed out from here: asked again, and nothing of the screen is lost.
  const phone = await page.context().browser()!.newContext({ userAgent: 'A telephone, Mobile' })
  const screen = await phone.newPage()
  await screen.goto(`${server.url}/stable`)
  const asked = screen.getByRole('dialog', { name: 'Sign in' })
  await asked.getByLabel('Password of the practice').pressSequentially('oak and iron')
  await screen.keyboard.press('Enter')
  await expect(asked).toBeHidden()
  await page.getByRole('button', { name: 'Workshop and settings' }).click()
  const settings = page.getByRole('dialog', { name: 'Workshop and settings' })
  const row = settings.getByRole('listitem').filter({ hasText: 'A telephone' })
  await expect(settings.getByRole('listitem').filter({ hasText: 'A computer, this one' })).toBeVisible()
  await expectAccessible(page)
  await row.getByRole('button', { name: 'Sign it out' }).click()
  await expect(row).toHaveCount(0)
  await typeOver(screen.getByRole('searchbox', { name: 'Find a horse' }), 'Fig')
  await expect(asked).toBeVisible()
  await settings.getByRole('button', { name: 'Sign out here' }).click()
  await expect(dialog).toBeVisible()
  await phone.close()
  await server.stop()
})

test('a horse is erased for good: what goes is named, it is asked twice, and a file can be had first', async ({
  page,
}) => {
  const server = await TestServer.start()
  await page.goto(`${server.url}/stable`)
  const rows = page.getByRole('list', { name: 'Horses' }).getByRole('link')
  await typeOver(page.getByRole('searchbox', { name: 'Find a horse' }), 'Parsley')
  await expect(rows).toHaveCount(1)
  await rows.click()
  await page.getByRole('button', { name: 'Erase Parsley for good' }).click()
  const dialog = page.getByRole('dialog', { name: 'Erase Parsley for good' })
  await expect(dialog).toContainText(
    /1 horse \(Parsley\), \d+ visits, \d+ measured feet, \d+ patterns with all versions go/,
  )
  await expectAccessible(page)
  const erase = dialog.getByRole('button', { name: 'Erase', exact: true })
  await expect(erase).toBeDisabled()
  const coming = page.waitForEvent('download')
  await dialog.getByRole('link', { name: 'Take it out as a file first' }).click()
  const file = await (await coming).path()
  await dialog.getByLabel('Type “Parsley” to go on').pressSequentially('parsley')
  await erase.click()
  const once = page.getByRole('dialog', { name: 'Erase Parsley?' })
  await once.getByRole('button', { name: 'Keep it' }).click()
  await erase.click()
  await once.getByRole('button', { name: 'Erase for good' }).click()
  await expect(page).toHaveURL(/\/stable$/)
  await typeOver(page.getByRole('searchbox', { name: 'Find a horse' }), 'Parsley')
  await expect(rows).toHaveCount(0)

  // The file holds that horse alone, and brings it back whole.
  const library = JSON.parse(readFileSync(file, 'utf8')) as { horses: { name: string }[]; visits: unknown[] }
  expect(library.horses.map(({ name }) => name)).toEqual(['Parsley'])
  await page.getByRole('button', { name: 'Workshop and settings' }).click()
  await page.getByLabel('Library file').setInputFiles(file)
  await expect(page.getByText(/\d+ records added/)).toBeVisible()
  await page
    .getByLabel('Library file')
    .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('{"format":') })
  await expect(page.getByText(/Nothing was brought in. This file is no library of Crescent/)).toBeVisible()
  await page.keyboard.press('Escape')
  await page.reload()
  await typeOver(page.getByRole('searchbox', { name: 'Find a horse' }), 'Parsley')
  await expect(rows).toHaveCount(1)
  await server.stop()
})

test('a visit is erased from the Bench, and an owner with every horse', async ({ page }) => {
  const server = await TestServer.start()
  const json = async <T>(path: string): Promise<T> =>
    (await (await fetch(`${server.url}/api${path}`)).json()) as T
  const [horse] = await json<{ id: string; name: string; ownerId: string }[]>('/horses?search=Parsley')
  const { id, ownerId } = horse!
  const visitsOf = async () => (await json<{ visits: { id: string }[] }>(`/horses/${id}/page`)).visits
  const [last, before] = await visitsOf()

  await page.goto(`${server.url}/bench/${last!.id}/LF`)
  await page.getByRole('button', { name: /\d{4}(, finished)?$/ }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Erase it for good' }).click()
  let dialog = page.getByRole('dialog', { name: /^Erase .* for good$/ })
  const day = /Erase (.*) for good/.exec((await dialog.getByRole('heading').textContent())!)![1]!
  await expect(dialog).toContainText(/1 visit, \d+ measured feet, 0 patterns/)
  await dialog.getByLabel(`Type “${day}” to go on`).pressSequentially(day)
  await dialog.getByRole('button', { name: 'Erase', exact: true }).click()
  await page.getByRole('button', { name: 'Erase for good' }).click()
  await expect(page).toHaveURL(new RegExp(`/stable/${id}$`))
  expect((await visitsOf())[0]!.id).toBe(before!.id)
  // The Bench asks for no visit that is gone.
  await page.getByRole('link', { name: 'Bench', exact: true }).click()
  await expect(page.getByRole('alert')).toHaveCount(0)

  await page.goto(`${server.url}/stable/${id}`)
  const { name } = await json<{ name: string }>(`/owners/${ownerId}`)
  await page.getByRole('button', { name: `Erase the owner, ${name}, for good` }).click()
  dialog = page.getByRole('dialog', { name: `Erase ${name} for good` })
  await dialog.getByLabel(`Type “${name}” to go on`).pressSequentially(name)
  await dialog.getByRole('button', { name: 'Erase', exact: true }).click()
  await page.getByRole('button', { name: 'Erase for good' }).click()
  await expect(page).toHaveURL(/\/stable$/)
  expect((await fetch(`${server.url}/api/owners/${ownerId}`)).status).toBe(404)
  expect(await json<unknown[]>('/horses?search=Parsley')).toEqual([])
  await server.stop()
})

test('what never ends is broken off after Ctrl-C, visibly, and the end is clean', async () => {
  test.slow()
  const server = await TestServer.start('empty')
  const stalled = connect(server.port, '127.0.0.1')
  const gone = new Promise((done) => stalled.once('close', done))
  stalled.write(
    `POST /api/library HTTP/1.1\r\nhost: 127.0.0.1:${server.port}\r\ncontent-type: application/json\r\n` +
      'content-length: 900000\r\n\r\n{"format":"crescent library","version":1,"owners":[',
  )
  await new Promise((done) => setTimeout(done, 300))
  const begun = performance.now()
  expect(await server.kill('SIGINT')).toBe(0)
  expect(performance.now() - begun).toBeGreaterThan(9_000)
  await gone
  await server.stop()
})

/** Stores a horse with a note of its own. */
async function addHorse({ url }: TestServer, name: string, notes: string): Promise<string> {
  const id = randomUUID()
  const { status } = await fetch(`${url}/api/horses/${id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ id, version: 0, name, notes }),
  })
  expect(status).toBe(200)
  return id
}

test('a download that nobody reads on is broken off after Ctrl-C, so that it is seen not to be whole', async () => {
  test.slow()
  const server = await TestServer.start('empty')
  // More than lies in the buffers between the two.
  for (let i = 0; i < 1_500; i++) await addHorse(server, `Horse ${i}`, 'oats '.repeat(3_900))
  const reader = connect(server.port, '127.0.0.1')
  let text = ''
  reader.on('data', (piece) => (text += piece.toString()))
  const gone = new Promise((done) => reader.once('close', done))
  reader.write(`GET /api/library HTTP/1.1\r\nhost: 127.0.0.1:${server.port}\r\n\r\n`)
  reader.pause()
  await new Promise((done) => setTimeout(done, 500))
  const begun = performance.now()
  expect(await server.kill('SIGINT')).toBe(0)
  expect(performance.now() - begun).toBeGreaterThan(9_000)
  reader.resume()
  await gone
  expect(text).toContain('HTTP/1.1 200')
  // A whole answer in pieces ends with an empty one.
  expect(text.endsWith('0\r\n\r\n')).toBe(false)
  await server.stop()
})

test('what was erased and could not be written over is written over at the next start', async () => {
  test.slow()
  const server = await TestServer.start('empty')
  const id = await addHorse(server, 'Ash', 'quillwort '.repeat(900))
  const file = join(server.dataFolder, 'crescent.sqlite')
  const inFile = () =>
    [file, `${file}-wal`].some((one) => existsSync(one) && readFileSync(one).includes('quillwort'))
  const db = new Database(file, { readonly: true })
  const reading = db.prepare('SELECT name FROM horses').iterate()
  reading.next()
  const erased = await fetch(`${server.url}/api/horses/${id}/erase`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ version: 1 }),
  })
  expect(await erased.json()).toMatchObject({ horses: ['Ash'], traces: true })
  // Killed before anything else could be done about it.
  await server.kill()
  expect(inFile()).toBe(true)
  reading.return!()
  db.close()
  await server.run()
  await expect.poll(inFile).toBe(false)
  await server.stop()
})
