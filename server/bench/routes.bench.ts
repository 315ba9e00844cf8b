// What is read every day, over a practice of 5,000 horses with 60,000 visits. With --json one line for a program.
import { FOOT } from '../src/testing'
import { base, close, HORSES, ids, VISITS_EACH, word } from './big-practice'
import { heldFigures } from './held'

const REQUESTS = 400
const json = process.argv.includes('--json')
const figures: Record<string, number> = {}

/** The median and the 95th of a hundred, ms; `name` is how a program knows it. */
async function measure(
  title: string,
  name: string,
  path: (i: number) => string,
  aim: number,
  body?: (i: number) => unknown,
): Promise<void> {
  const times: number[] = []
  for (let i = 0; i < REQUESTS; i++) {
    const start = performance.now()
    const answer = await fetch(
      base + path(i),
      body && {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(body(i)),
      },
    )
    await answer.arrayBuffer()
    if (!answer.ok) throw new Error(`${path(i)} answered ${answer.status}`)
    if (i >= 20) times.push(performance.now() - start)
  }
  times.sort((a, b) => a - b)
  const at = (share: number) => times[Math.floor(times.length * share)]!
  figures[`${name}P95Ms`] = Number(at(0.95).toFixed(2))
  if (!json)
    console.log(
      `${title}: median ${at(0.5).toFixed(1)} ms, p95 ${at(0.95).toFixed(1)} ms (aim: p95 under ${aim} ms)`,
    )
}

if (!json) console.log(`practice: ${HORSES} horses, ${HORSES * VISITS_EACH} visits`)
const visits = (await (await fetch(`${base}/horses/${ids[5]}/page`)).json()) as { visits: { id: string }[] }
const visit = visits.visits[0]!.id
await measure('round', 'round', () => '/round?date=2024-06-20', 20)
await measure('horse page', 'horse', (i) => `/horses/${ids[(i * 37) % ids.length]}/page`, 20)
await measure(
  'search, letters typed',
  'search',
  (i) => `/horses?search=${word(i * 13).slice(0, 2 + (i % 4))}&limit=50`,
  20,
)
await measure('visit page', 'visit', () => `/visits/${visit}/page`, 25)
await measure('pattern search', 'patternSearch', (i) => `/patterns?search=${word(i * 7).slice(0, 3)}`, 25)
await measure('patterns for a width', 'patternWidth', (i) => `/patterns?width=${100 + (i % 60)}`, 25)
await measure(
  'nearest of 20,000 patterns by shape',
  'nearest',
  () => '/patterns/nearest',
  300,
  (i) => ({ foot: { ...FOOT, width: 118 + (i % 20) }, limit: 12 }),
)
await measure('nails as they came out', 'turning', () => '/nails/turning', 25)
await measure('practice', 'practice', () => '/practice', 25)
await measure('health', 'health', () => '/health', 25)
Object.assign(figures, await heldFigures((line) => !json && console.log(line)))
if (json) console.log(JSON.stringify(figures))
close()
