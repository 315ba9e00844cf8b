// Time of planShoe on feet that all differ, as when a handle is dragged, beside one reference of the same run. With --json
// one line for a program.
import { inflatePathsD, JoinType, EndType } from 'clipper2-ts'
import { planShoe } from '../src/plan/plan'
import type { ShoeInput } from '../src/records/shoe'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../src/testing/samples'

const json = process.argv.includes('--json')
const RUNS = 1_500
const WARM = 400
const figures: Record<string, number> = {}

/** The median and the 95th of a hundred of something done many times, ms; the first times warm the machine up. */
function timed(what: string, name: string, work: (i: number) => void): void {
  const times: number[] = []
  for (let i = 0; i < RUNS + WARM; i++) {
    const start = performance.now()
    work(i)
    if (i >= WARM) times.push(performance.now() - start)
  }
  times.sort((a, b) => a - b)
  const at = (share: number) => times[Math.floor(times.length * share)]!
  figures[name] = Number(at(0.5).toFixed(4))
  const ratio = figures['referenceMs']
    ? `, ${(at(0.5) / figures['referenceMs']).toFixed(2)} times the reference`
    : ''
  if (!json) console.log(`${what}: median ${at(0.5).toFixed(2)} ms, p95 ${at(0.95).toFixed(2)} ms${ratio}`)
}

// A foot of 400 points, drawn in by the polygon library: what this machine needs for a known piece of work.
const outline = planShoe(FIVE_BY_FIVE, PLAIN_SHOE).outline.foot
const reference = Array.from({ length: 400 }, (_, i) => {
  const at = (i / 400) * (outline.length - 1)
  const [a, b] = [outline[Math.floor(at)]!, outline[Math.ceil(at)]!]
  const share = at - Math.floor(at)
  return { x: a[0] + (b[0] - a[0]) * share, y: a[1] + (b[1] - a[1]) * share }
})
timed('reference: clipper2-ts offsetting a foot of 400 points', 'referenceMs', (i) => {
  inflatePathsD([reference], -9 - (i % 7) / 10, JoinType.Round, EndType.Polygon)
})

const planOf = (shoe: ShoeInput) => (i: number) => {
  planShoe({ ...FIVE_BY_FIVE, width: FIVE_BY_FIVE.width + (i % 97) / 10, frogApex: 36 }, shoe)
}
const withFive = (...kinds: string[]): ShoeInput => ({
  ...PLAIN_SHOE,
  fit: 'conservative',
  modifications: kinds.map((kind) => ({ kind })),
})
timed('planShoe', 'planPlainMs', planOf(PLAIN_SHOE))
timed(
  'planShoe with five modifications',
  'planFiveMs',
  planOf(withFive('toe-clip', 'quarter-clips', 'rocker-toe', 'wedge', 'heart-bar')),
)
timed(
  'with five others',
  'planOtherFiveMs',
  planOf(withFive('side-clips', 'rolled-toe', 'egg-bar', 'crease', 'studs')),
)
if (json) console.log(JSON.stringify(figures))
