import { savePattern } from '../patterns/save'
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { request as httpRequest } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { randomUUID } from 'node:crypto'
import Database from 'better-sqlite3'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { addHorse, FOOT, makeBed, SHOE, type Bed } from '../../testing'
import { asideFile, finishExchange } from './aside'
import { backUp, backUpInto } from '../../database/backup'
import { practiceFiles, tidy } from '../../database/files'
import { databaseFile } from '../../database/open'
import { openPractice } from '../../practice'
import { lookAt, prepare, restore } from '../../database/restore'
import { lookThrough } from '../../database/looked'
import { WITHOUT_STOPS } from '../../testing/older'
import { BAD_FILES, type BadFile } from '../../testing/bad-files'
import { finishSwap, incomingFile, swapFolder } from '../../database/swap'

let bed: Bed
beforeEach(() => (bed = makeBed()))
afterEach(() => {
  vi.restoreAllMocks()
  bed.remove()
})

const namesIn = (file: string): string[] => {
  const practice = openPractice(file)
  const names = practice.horses.list().map(({ name }) => name)
  practice.db.close()
  return names.sort()
}
/** Pages of a database made unreadable, past its header. */
function damage(file: string): void {
  const size = statSync(file).size
  const whole = Buffer.alloc(size, 0xee)
  whole.write('SQLite format 3\0', 0, 'latin1')
  writeFileSync(file, whole)
}
/** A folder with the database as it lies there while it is open: the last writes are in the log beside it. */
function copiedWhileOpen(): string {
  const folder = mkdtempSync(join(bed.dataFolder, 'copied-'))
  const file = databaseFile(bed.dataFolder)
  for (const tail of ['', '-wal']) copyFileSync(file + tail, join(folder, `crescent.sqlite${tail}`))
  return join(folder, 'crescent.sqlite')
}

describe('backups', () => {
  it('two at once both succeed, under names of their own', async () => {
    addHorse(bed.practice)
    const at = new Date()
    const folder = join(bed.dataFolder, 'backups')
    const files = await Promise.all([1, 2, 3].map(() => backUpInto(bed.practice.db, folder, at)))
    expect(new Set(files).size).toBe(3)
    for (const file of files) expect(namesIn(file)).toEqual(['Tansy'])
    expect(readdirSync(folder).filter((name) => name.includes('.partial'))).toEqual([])
  })

  it('go over no file that is there, unless that was said, and never over what is no plain file', async () => {
    const file = join(bed.dataFolder, 'mine.txt')
    writeFileSync(file, 'letters')
    await expect(backUp(bed.practice.db, file)).rejects.toThrow('is there already')
    expect(statSync(file).size).toBe(7)
    await backUp(bed.practice.db, file, { replace: true })
    expect(namesIn(file)).toEqual([])
    const folder = join(bed.dataFolder, 'folder')
    mkdirSync(folder)
    await expect(backUp(bed.practice.db, folder, { replace: true })).rejects.toThrow('no plain file')
  })

  it('of damaged data are none', async () => {
    addHorse(bed.practice)
    bed.practice.db.pragma('wal_checkpoint(TRUNCATE)')
    const file = join(bed.dataFolder, 'damaged.sqlite')
    copyFileSync(databaseFile(bed.dataFolder), file)
    // A page in the middle: the file opens, and is not sound.
    const page = Buffer.alloc(4_096, 0xab)
    const db = new Database(file)
    const pages = db.pragma('page_count', { simple: true }) as number
    db.close()
    const handle = await import('node:fs/promises').then((fs) => fs.open(file, 'r+'))
    for (let i = 3; i < pages; i += 2) await handle.write(page, 0, page.length, i * 4_096)
    await handle.close()
    const broken = new Database(file, { readonly: true })
    await expect(backUp(broken, join(bed.dataFolder, 'copy.sqlite'))).rejects.toThrow('damaged')
    broken.close()
    expect(existsSync(join(bed.dataFolder, 'copy.sqlite'))).toBe(false)
  })

  it('and the data are for their owner alone', async () => {
    const file = await backUpInto(bed.practice.db, join(bed.dataFolder, 'backups'), new Date())
    const mode = (path: string) => statSync(path).mode & 0o777
    expect(mode(file)).toBe(0o600)
    expect(mode(join(bed.dataFolder, 'backups'))).toBe(0o700)
    expect(mode(databaseFile(bed.dataFolder))).toBe(0o600)
  })
})

describe('restore', () => {
  it('keeps the last writes of a folder that was copied with its log', async () => {
    addHorse(bed.practice, 'Written last')
    const copied = copiedWhileOpen()
    bed.practice.db.close()
    await restore(bed.dataFolder, copied)
    expect(namesIn(databaseFile(bed.dataFolder))).toEqual(['Written last'])
  })

  it('goes over damaged data, and keeps it beside', async () => {
    addHorse(bed.practice, 'Sound')
    const backup = await backUpInto(bed.practice.db, join(bed.dataFolder, 'backups'), new Date())
    bed.practice.db.pragma('wal_checkpoint(TRUNCATE)')
    bed.practice.db.close()
    damage(databaseFile(bed.dataFolder))
    const kept = await restore(bed.dataFolder, backup)
    expect(namesIn(databaseFile(bed.dataFolder))).toEqual(['Sound'])
    expect(statSync(kept!).size).toBeGreaterThan(0)
  })

  it('says "in use" only where it is', async () => {
    addHorse(bed.practice)
    const backup = await backUpInto(bed.practice.db, join(bed.dataFolder, 'backups'), new Date())
    await expect(restore(bed.dataFolder, backup)).rejects.toThrow('in use')
    bed.practice.db.close()
    await restore(bed.dataFolder, backup)
  })

  it('cut short before everything is ready changes nothing; after that the next start finishes it', async () => {
    addHorse(bed.practice, 'Old')
    const backup = await backUpInto(bed.practice.db, join(bed.dataFolder, 'backups'), new Date())
    addHorse(bed.practice, 'Newer')
    bed.practice.db.close()
    // Killed while the copy was being looked at.
    await prepare(bed.dataFolder, backup)
    finishSwap(bed.dataFolder)
    expect(namesIn(databaseFile(bed.dataFolder))).toEqual(['Newer', 'Old'])
    expect(existsSync(swapFolder(bed.dataFolder))).toBe(false)
    // Killed after it was ready.
    await prepare(bed.dataFolder, backup)
    writeFileSync(join(swapFolder(bed.dataFolder), 'ready'), '')
    finishSwap(bed.dataFolder)
    expect(namesIn(databaseFile(bed.dataFolder))).toEqual(['Old'])
    // Killed after the name was changed, before the folder was cleared.
    mkdirSync(swapFolder(bed.dataFolder))
    writeFileSync(join(swapFolder(bed.dataFolder), 'ready'), '')
    finishSwap(bed.dataFolder)
    expect(namesIn(databaseFile(bed.dataFolder))).toEqual(['Old'])
    expect(existsSync(incomingFile(bed.dataFolder))).toBe(false)
  })

  it('by route keeps what was there among the backups', async () => {
    addHorse(bed.practice, 'Kept')
    const backup = await backUpInto(bed.practice.db, join(bed.dataFolder, 'backups'), new Date())
    const { body } = await request(bed.app)
      .post('/api/restore')
      .set('Content-Type', 'application/octet-stream')
      .send(await import('node:fs').then((fs) => fs.readFileSync(backup)))
      .expect(200)
    expect(existsSync(join(bed.dataFolder, 'backups', body.kept))).toBe(true)
    expect(bed.practice.horses.list().map(({ name }) => name)).toEqual(['Kept'])
  })
})

describe('an exchange with the practice aside that was cut short', () => {
  it('goes back from its first step and forward from its second; nothing is lost', () => {
    const file = databaseFile(bed.dataFolder)
    bed.practice.db.close()
    const other = openPractice(asideFile(bed.dataFolder))
    addHorse(other, 'Aside')
    other.db.pragma('wal_checkpoint(TRUNCATE)')
    other.db.close()
    const waiting = `${asideFile(bed.dataFolder)}.passing`
    renameSync(asideFile(bed.dataFolder), waiting)
    finishExchange(bed.dataFolder)
    expect(namesIn(asideFile(bed.dataFolder))).toEqual(['Aside'])
    renameSync(asideFile(bed.dataFolder), waiting)
    renameSync(file, asideFile(bed.dataFolder))
    finishExchange(bed.dataFolder)
    expect(namesIn(file)).toEqual(['Aside'])
    expect(namesIn(asideFile(bed.dataFolder))).toEqual([])
  })
})

describe('what an earlier run left', () => {
  it('is cleared away at start, and nothing else', () => {
    for (const name of [
      'crescent-x.sqlite.1a.partial',
      'incoming-1.sqlite',
      'incoming-1.sqlite-wal',
      'seeding.sqlite',
      'notes.txt',
    ])
      writeFileSync(join(bed.dataFolder, name), '')
    mkdirSync(join(bed.dataFolder, 'passing'))
    tidy(bed.dataFolder)
    const left = readdirSync(bed.dataFolder)
    expect(left).toEqual(expect.arrayContaining(['crescent.sqlite', 'notes.txt']))
    expect(left.filter((name) => /partial|incoming|seeding|passing/.test(name))).toEqual([])
  })

  it('of a practice is seen, so that no demo is put beside it', () => {
    const folder = mkdtempSync(join(tmpdir(), 'crescent-test-'))
    expect(practiceFiles(folder)).toEqual([])
    expect(practiceFiles(join(folder, 'none'))).toEqual([])
    for (const name of ['aside.sqlite', 'notes.txt', 'seeding.sqlite']) writeFileSync(join(folder, name), '')
    mkdirSync(join(folder, 'backups'))
    expect(practiceFiles(folder).sort()).toEqual(['aside.sqlite', 'backups'])
    rmSync(folder, { recursive: true })
  })
})

describe('the data folder', () => {
  it('taken away while the server runs is noticed at the next write; reading and planning go on', async () => {
    const { horse } = addHorse(bed.practice)
    const moved = `${bed.dataFolder}-moved`
    renameSync(bed.dataFolder, moved)
    const put = () =>
      request(bed.app)
        .put(`/api/horses/${horse.id}`)
        .send({ ...horse, name: 'Lost' })
    expect((await put().expect(503)).body.errors[0].message).toContain('not where it was')
    await request(bed.app).get(`/api/horses/${horse.id}`).expect(200)
    await request(bed.app).post('/api/plan').send({ foot: FOOT, shoe: SHOE }).expect(200)
    // Another database at its name is not it.
    mkdirSync(bed.dataFolder)
    openPractice(databaseFile(bed.dataFolder)).db.close()
    await put().expect(503)
    rmSync(bed.dataFolder, { recursive: true })
    renameSync(moved, bed.dataFolder)
    await put().expect(200)
  })

  it.each([
    ['SQLITE_FULL', 'disk is full'],
    ['SQLITE_READONLY', 'only be read'],
    ['SQLITE_IOERR_WRITE', 'does not answer'],
    ['SQLITE_CORRUPT', 'damaged'],
  ])('in trouble (%s) is told in words, and nothing is answered as stored', async (code, words) => {
    const { horse } = addHorse(bed.practice)
    vi.spyOn(bed.practice.horses, 'put').mockImplementation(() => {
      throw Object.assign(new Error('raw words of the engine'), { code })
    })
    const { body } = await request(bed.app).put(`/api/horses/${horse.id}`).send(horse).expect(503)
    expect(body.errors[0].message).toContain(words)
    expect(body.errors[0].message).not.toContain('engine')
  })
})

describe('a clock that was set back a day', () => {
  it('leaves what is stored later the newer', () => {
    const { horse } = addHorse(bed.practice)
    const save = (name: string) =>
      savePattern(bed.practice, {
        ...{ id: randomUUID(), version: 0, horseId: horse.id, side: 'LF', name, visitId: null },
        ...{ foot: FOOT, shoe: SHOE, workshop: {}, notes: '', archived: false },
      })
    const first = save('first')
    vi.spyOn(Date, 'now').mockReturnValue(Date.now() - 24 * 3_600_000)
    const second = save('second')
    expect(second.updatedAt! > first.updatedAt!).toBe(true)
    expect(bed.practice.patterns.ofHorse(horse.id)[0]!.name).toBe('second')
    // And for a server that was started after the clock was set.
    bed.practice.db.close()
    const again = openPractice(databaseFile(bed.dataFolder))
    const third = again.horses.put({ ...horse, name: 'third' })
    expect(third.updatedAt! > second.updatedAt!).toBe(true)
    again.db.close()
  })
})

describe('what cannot be', () => {
  const api = () => request(bed.app)
  it.each([
    ['a foot five millimetres too narrow to be one', -5],
    ['a foot as wide as a door', 900],
  ])('%s is refused with the range', async (_what, width) => {
    const { visit } = addHorse(bed.practice)
    const record = { id: randomUUID(), version: 0, visitId: visit.id, side: 'LF', foot: { ...FOOT, width } }
    const { body } = await api().put(`/api/foot-records/${record.id}`).send(record).expect(400)
    expect(body.errors[0].message).toMatch(/Width: .* it lies between/)
    expect(bed.practice.footRecords.list()).toEqual([])
  })

  it('a visit that was finished in years to come', async () => {
    const { visit } = addHorse(bed.practice)
    const { body } = await api()
      .put(`/api/visits/${visit.id}`)
      .send({ ...visit, date: '2099-01-01' })
      .expect(400)
    expect(body.errors[0].message).toContain('lies between 1990-01-01 and')
    await api()
      .put(`/api/visits/${visit.id}`)
      .send({ ...visit, date: '2099-01-01', state: 'open' })
      .expect(200)
  })

  it('a grade or a place that its kind does not have', async () => {
    const { visit } = addHorse(bed.practice)
    const bare = { findings: [], oldShoe: {}, untrimmed: {}, solePlane: '' }
    const finding = {
      id: randomUUID(),
      kind: 'flare',
      place: 'outer-quarter',
      grade: 4,
      note: '',
      answer: 'new',
      since: '2026-10-01',
    }
    const look = (change: object) => ({
      ...{ id: randomUUID(), version: 0, visitId: visit.id, advice: [], acknowledged: [] },
      vet: { diagnosis: 'none' },
      ways: { interference: [], notes: '' },
      feet: { LF: { ...bare, findings: [{ ...finding, ...change }] }, RF: bare, LH: bare, RH: bare },
    })
    const put = (sent: { id: string }) => api().put(`/api/looks/${sent.id}`).send(sent)
    const { body } = await put(look({})).expect(400)
    expect(body.errors[0]).toMatchObject({
      path: 'feet.LF.findings.0.grade',
      message: expect.stringContaining('they are 1 to') as string,
    })
    await put(look({ grade: 1, place: 'frog' })).expect(400)
    await put(look({ grade: 1 })).expect(200)
  })

  it('stops at a hundred problems and says how many more there are', async () => {
    const { visit } = addHorse(bed.practice)
    const each = Array.from({ length: 300 }, () => ({ number: 'x' }))
    const shoe = { ...SHOE, modifications: each }
    const { body } = await api().post('/api/plan').send({ foot: FOOT, shoe }).expect(400)
    expect(body.errors.length).toBe(101)
    expect(body.errors[100].message).toMatch(/^And \d+ more problems$/)
    expect(visit).toBeDefined()
  })
})

it('a library cannot go out of a folder that is gone: it is said, and the connection stays', async () => {
  const away = `${bed.dataFolder}-away`
  renameSync(bed.dataFolder, away)
  try {
    const { body } = await request(bed.app).get('/api/library').expect(503)
    expect(body.errors[0].message).toMatch(/data (cannot be opened|folder)/)
    await request(bed.app).get('/api/health').expect(200)
  } finally {
    renameSync(away, bed.dataFolder)
  }
})

describe('a file that is put back', () => {
  const api = () => request(bed.app)
  /** A sound backup of a practice with one horse and one visit, and the same file made bad. */
  async function bad({ make }: BadFile): Promise<string> {
    addHorse(bed.practice, 'Sound')
    const sound = await backUp(bed.practice.db, join(bed.dataFolder, 'sound.sqlite'))
    const file = join(bed.dataFolder, 'bad.sqlite')
    make(sound, file)
    return file
  }

  it.each(BAD_FILES)('is refused with the reason before anything is swapped: $name', async (one) => {
    const file = await bad(one)
    const before = readFileSync(file)
    // Looked through in the same way where it is only asked what would be lost, and by npm run check.
    const first = one === BAD_FILES[0]
    for (const query of first ? ['', '?look=1'] : ['']) {
      const { body } = await api()
        .post(`/api/restore${query}`)
        .set('Content-Type', 'application/vnd.sqlite3')
        .send(readFileSync(file))
        .expect(400)
      expect(body.errors[0].message).toMatch(one.says)
    }
    expect((await api().get('/api/horses').expect(200)).body).toHaveLength(1)
    if (first) await expect(lookAt(file)).rejects.toThrow(one.says)
    // What lies there stays as it was: a copy was looked through.
    expect(readFileSync(file).equals(before)).toBe(true)
  })

  it('is given up where to look through it has no end', async () => {
    const file = await bad({
      ...{ name: '', says: /./ },
      make: (sound, to) => {
        copyFileSync(sound, to)
        const db = new Database(to)
        // Fires while it is brought up to date, before anybody can see that it is none of ours.
        db.function('stops_of', { deterministic: true }, () => '[]')
        db.exec(`${WITHOUT_STOPS}; CREATE TRIGGER endless AFTER UPDATE ON horses BEGIN
          SELECT count(*) FROM (WITH RECURSIVE n(x) AS (SELECT 1 UNION ALL SELECT x + 1 FROM n) SELECT x FROM n); END`)
        db.close()
      },
    })
    await expect(lookThrough(file, undefined, 8)).rejects.toThrow(/takes longer than 8 s/)
  })

  it('that comes slowly takes no turn from others, and a table sent meanwhile is stored or told that it is not', async () => {
    addHorse(bed.practice, 'Before')
    const backup = readFileSync(await backUp(bed.practice.db, join(bed.dataFolder, 'sound.sqlite')))
    const head = 'range,label,kind,feet,web,thickness,length\n'
    const server = bed.app.listen(0)
    try {
      const { port } = server.address() as { port: number }
      const slow = (rows: number) =>
        new Promise<number>((done, fail) => {
          const sending = httpRequest(
            {
              port,
              method: 'POST',
              path: '/api/sizes/csv?keep=true',
              headers: { 'Content-Type': 'text/csv' },
            },
            (response) => response.resume().on('end', () => done(response.statusCode!)),
          )
          sending.on('error', fail)
          sending.write(head)
          // Its rows come while the backup is put back.
          let row = 0
          const next = () => {
            if (row === rows) return sending.end()
            sending.write(`Slow,${rows}-${row++},plain,front,20,8,300\n`)
            setTimeout(next, 60)
          }
          next()
        })
      const sent = Promise.all([2, 6, 12, 20, 30].map(async (rows) => [rows, await slow(rows)] as const))
      const restored = await request(server).post('/api/restore').send(backup).expect(200)
      expect(restored.body.kept).toMatch(/^before-/)
      for (const [rows, status] of await sent) {
        const here = bed.practice.sizes.all().filter(({ label }) => label.startsWith(`${rows}-`)).length
        const kept = namesOfSizes(join(bed.dataFolder, 'backups', restored.body.kept as string), `${rows}-`)
        // Answered and stored, here or in what was there before; or told to come again, and nowhere.
        if (status === 200) expect(here + kept).toBe(rows)
        else expect([status, here, kept]).toEqual([503, 0, 0])
      }
    } finally {
      await new Promise((done) => server.close(done))
    }
  })
})

const namesOfSizes = (file: string, begin: string): number => {
  const db = new Database(file, { readonly: true })
  const { n } = db.prepare(`SELECT count(*) AS n FROM sizes WHERE label LIKE ? || '%'`).get(begin) as {
    n: number
  }
  db.close()
  return n
}
