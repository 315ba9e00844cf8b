import { monitorEventLoopDelay } from 'node:perf_hooks'
import type { AddressInfo } from 'node:net'
import { pino } from 'pino'
import fc from 'fast-check'
import sharp from 'sharp'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { makeApp } from '../app'
import { besideInThreads } from '../http/beside/pool'
import { addHorse, makeBed, type Bed } from '../testing'

/** `npm run fuzz -w server` tries many more, and is the one that looks at the clock. */
const ASKED = Number(process.env['FUZZ_CASES'] ?? 0)
const CASES = ASKED ? Math.ceil(ASKED / 10) : 40
/** The thread that answers everybody is held for no longer by any of them, ms. */
const LIMIT = 300

let bed: Bed
const threads = besideInThreads()
let close: () => void
let base: string
let visit: string
beforeAll(async () => {
  bed = makeBed()
  visit = addHorse(bed.practice).visit.id
  const config = { dataFolder: bed.dataFolder, host: '127.0.0.1', port: 0, webFolder: bed.dataFolder }
  const server = makeApp(
    bed.practice,
    { ...config, logLevel: 'silent' },
    pino({ level: 'silent' }),
    threads,
  ).listen(0)
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`
  close = () => server.close()
  await threads.ask('reckoning', asked('{}'), new AbortController().signal)
})
afterAll(async () => {
  close()
  await threads.close()
  bed.remove()
})

const asked = (text: string) => ({
  ...{ file: bed.practice.db.name, dataFolder: bed.dataFolder, route: 'POST /outlines' },
  ...{ params: {}, query: {}, text, json: true },
})

const svg = (body: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="90mm" viewBox="0 0 90 90">${body}</svg>`
const WHOLE = {
  svg: svg(
    '<g transform="rotate(3) scale(2)"><path d="M1 2C3 4 5 6 7 8A2 3 0 0 1 9 9Z"/><polygon points="1 1 2 2 3 1"/></g>',
  ),
  dxf: '0\nSECTION\n2\nENTITIES\n0\nLINE\n8\n0\n10\n0\n20\n0\n11\n9\n21\n9\n0\nENDSEC\n0\nEOF\n',
  csv: 'range,label,kind,feet,web,thickness,length\nHill,1,plain-steel,front,20,8,300\nHill,2,polymer,hind,20,8,310\n',
}
/** What makes a reader go round in circles, or take a short thing for a long one. */
const HOSTILE = [
  ...['1e308', 'NaN', '-', '<', '&a;', ']]>', '"', '\n0\n', '\n10\n', '999999999', ';', ',', 'A', 'M'],
  ...['<g>', '<g transform="rotate(1)">', 'transform="', 'INSERT', '<!DOCTYPE a [<!ENTITY a "&a;">]>', '((('],
]

/** A file with pieces cut out, put in, and one of them said over and over, up to two megabytes. */
const spoiled = (whole: string) =>
  fc
    .array(
      fc.record({
        at: fc.double({ min: 0, max: 1, noNaN: true }),
        take: fc.integer({ min: 0, max: 60 }),
        put: fc.oneof(fc.constantFrom(...HOSTILE), fc.string({ maxLength: 6 })),
        times: fc.oneof(fc.constant(1), fc.integer({ min: 2, max: 60_000 })),
      }),
      { minLength: 1, maxLength: 3 },
    )
    .map((wounds) =>
      wounds
        .reduce((content, { at, take, put, times }) => {
          const from = Math.floor(at * content.length)
          const said = put + content.slice(from, from + take)
          return content.slice(0, from) + said.repeat(times) + content.slice(from + take)
        }, whole)
        .slice(0, 2_000_000),
    )

const photograph = await sharp({
  create: { width: 400, height: 300, channels: 3, background: '#964' },
})
  .jpeg({ progressive: true })
  .toBuffer()

/** With bytes that are others, and every other time cut off as well. */
const brokenJpeg = fc
  .tuple(
    fc.array(fc.tuple(fc.nat(), fc.integer({ min: 0, max: 255 })), { minLength: 1, maxLength: 12 }),
    fc.boolean(),
    fc.double({ min: 0.02, max: 0.98, noNaN: true }),
  )
  .map(([changes, cut, share]) => {
    const file = Buffer.from(photograph)
    for (const [at, value] of changes) file[at % file.length] = value
    return file.subarray(0, cut ? Math.floor(file.length * share) : file.length).toString('base64')
  })

interface Sent {
  path: string
  method: 'POST' | 'PUT'
  type: string
  body: string
}
const outline =
  (kind: string) =>
  (content: string): Sent => ({
    ...{ path: '/outlines', method: 'POST', type: 'application/json' },
    body: JSON.stringify({ name: `a.${kind}`, content }),
  })
const table = (body: string): Sent => ({
  ...{ path: '/sizes/csv?unit=mm', method: 'POST', type: 'text/csv' },
  body,
})
const picture = (file: string): Sent => {
  const id = crypto.randomUUID()
  return {
    ...{ path: `/pictures/${id}`, method: 'PUT', type: 'application/json' },
    body: JSON.stringify({
      ...{ id, version: 0, visitId: visit, side: 'LF', kind: 'radiograph', name: 'lateral', file },
      ...{ width: 400, height: 300, mmPerPixel: 0.25, marks: {} },
    }),
  }
}

it.each([
  ['SVG', spoiled(WHOLE.svg), outline('svg')],
  ['DXF', spoiled(WHOLE.dxf), outline('dxf')],
  ['CSV', spoiled(WHOLE.csv), table],
  ['JPEG', brokenJpeg, picture],
] as const)(
  'is read or refused, whatever is broken in it (%s), and nobody else waits for it',
  async (kind, files, asSent) => {
    const late = monitorEventLoopDelay({ resolution: 5 })
    const answered = new Map<number, number>()
    let longest = 0
    const about = async (content: string) => {
      const { path, method, type, body } = asSent(content)
      late.reset()
      late.enable()
      const { status } = await fetch(base + path, { method, headers: { 'Content-Type': type }, body })
      late.disable()
      answered.set(status, (answered.get(status) ?? 0) + 1)
      expect([200, 400, 413, 503]).toContain(status)
      longest = Math.max(longest, late.max / 1e6)
      if (ASKED) expect(late.max / 1e6).toBeLessThan(LIMIT)
    }
    await fc.assert(fc.asyncProperty(files, about), { numRuns: CASES })
    // A table tells its faults row by row beside what it could read.
    if (kind !== 'CSV') expect(answered.get(400) ?? 0).toBeGreaterThan(CASES / 10)
    if (ASKED) console.log(kind, Object.fromEntries(answered), `held ${longest.toFixed(1)} ms at most`)
  },
  30 * 60_000,
)
