import { monitorEventLoopDelay } from 'node:perf_hooks'
import { base, ids } from './big-practice'
import { heavyRequests, type Heavy } from './heavy'
import { libraryOf, makeBed, addHorse } from '../src/testing'

/** How often the thread is looked at, ms: what it is late beyond this it was held. */
const LOOK = 2

/** The longest that the thread was held while something ran, ms. */
async function heldWhile(work: () => Promise<unknown>): Promise<number> {
  const late = monitorEventLoopDelay({ resolution: LOOK })
  late.enable()
  await work()
  await new Promise((done) => setTimeout(done, 3 * LOOK))
  late.disable()
  return Math.max(0, late.max / 1e6 - LOOK)
}

/** What is sent, written once: the one that asks shares the thread. */
const written = new Map<unknown, string>()
function textOf({ body, text }: Heavy): string | undefined {
  if (body === undefined) return text
  if (!written.has(body)) written.set(body, JSON.stringify(body))
  return written.get(body)
}

async function send(asked: Heavy): Promise<number> {
  const { path, text } = asked
  const sent = textOf(asked)
  const answer = await fetch(base + path, {
    ...(sent !== undefined && {
      method: 'POST',
      headers: { 'Content-Type': text === undefined ? 'application/json' : 'text/csv' },
      body: sent,
    }),
  })
  await answer.arrayBuffer()
  return answer.status
}

const p95 = (times: number[]): number => times.sort((a, b) => a - b)[Math.floor(times.length * 0.95)]!

async function rounds(count: number): Promise<number[]> {
  const times: number[] = []
  for (let i = 0; i < count; i++) {
    const began = performance.now()
    await send({ what: 'round', path: `/round?date=2024-06-${10 + (i % 20)}` })
    times.push(performance.now() - began)
  }
  return times
}

/** What heavy requests do to everybody else: how long they hold the thread, and what the Round waits beside them. */
export async function heldFigures(tell: (line: string) => void): Promise<Record<string, number>> {
  const page = (await (await fetch(`${base}/horses/${ids[3]}/page`)).json()) as Record<
    'visits' | 'patterns',
    { id: string }[]
  >
  const all = heavyRequests({ horse: ids[3]!, visit: page.visits[0]!.id, pattern: page.patterns[0]!.id })
  // A thread is there before it is measured what it takes off this one.
  await send(all[12]!)
  const held: [number, Heavy, number][] = []
  for (const one of all) {
    let status = 0
    const ms = await heldWhile(async () => (status = await send(one)))
    if (status >= 500 || status === 404) throw new Error(`${one.what} answered ${status}`)
    held.push([ms, one, status])
  }
  held.sort(([a], [b]) => b - a)
  for (const [ms, { what }, status] of held.slice(0, 8)) tell(`held ${ms.toFixed(1)} ms: ${what} (${status})`)

  await rounds(20)
  const alone = p95(await rounds(120))
  let running = true
  // Eight who ask for one heavy thing after the other; who is told to come again does.
  const others = all.filter(({ path, body }) => body !== undefined && !path.startsWith('/plan')).slice(0, 8)
  const askers = others.map(async (one) => {
    while (running) if ((await send(one)) === 503) await new Promise((done) => setTimeout(done, 100))
  })
  const beside = p95(await rounds(120))
  running = false
  await Promise.all(askers)
  tell(
    `Round p95 ${alone.toFixed(1)} ms alone, ${beside.toFixed(1)} ms beside eight heavy askers (aim: 1.5 times)`,
  )

  const other = makeBed()
  for (let i = 0; i < 400; i++) addHorse(other.practice, `Brought ${i}`)
  const library = JSON.stringify(await libraryOf(other))
  other.remove()
  const importHeld = await heldWhile(async () => {
    const { status } = await fetch(`${base}/library`, { method: 'POST', body: library })
    if (status !== 200) throw new Error(`The library answered ${status}`)
  })
  tell(`held ${importHeld.toFixed(1)} ms while a library of 400 horses came in`)
  const round = (ms: number) => Number(ms.toFixed(2))
  return {
    heldMs: round(held[0]![0]),
    roundAloneP95Ms: round(alone),
    roundBesideP95Ms: round(beside),
    importHeldMs: round(importHeld),
  }
}
