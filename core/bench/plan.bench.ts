// Time of planShoe on feet that all differ, as when a handle is dragged, beside one reference of the same run. With --json
// one line for a program.
import { inflatePathsD, JoinType, EndType } from 'clipper2-ts'
import { bent } from '../src/fitting/bend'
import { bendPlan } from '../src/fitting/bend-plan'
import { centrelineOfPlan } from '../src/fitting/place-words'
import { goingOf } from '../src/going/going'
import { groundOf } from '../src/terms/goings'
import { planShoe } from '../src/plan/plan'
import type { ShoeInput } from '../src/records/shoe'
import { rankSizes } from '../src/sizes/rank'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../src/testing/samples'
import { sizeOf } from '../src/testing/sizes'

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
/** Done a few times only: each is longer than a plan. */
function once(what: string, name: string, times: number, work: (i: number) => void): void {
  const taken: number[] = []
  for (let i = 0; i < times; i++) {
    const start = performance.now()
    work(i)
    taken.push(performance.now() - start)
  }
  taken.sort((a, b) => a - b)
  figures[name] = Number(taken[Math.floor(times / 2)]!.toFixed(2))
  if (!json) console.log(`${what}: median ${figures[name]} ms, longest ${taken[times - 1]!.toFixed(1)} ms`)
}

const sizes = Array.from({ length: 500 }, (_, i) => sizeOf(230 + i * 0.36, { web: 18 + (i % 6) }))
once('500 sizes ranked for four feet (aim: under 100 ms)', 'rankSizesMs', 25, (i) => {
  for (const more of [0, 2, 4, 6])
    rankSizes({ ...FIVE_BY_FIVE, width: FIVE_BY_FIVE.width + more + (i % 7) / 10 }, 'general', sizes)
})

const pattern = centrelineOfPlan(planShoe(FIVE_BY_FIVE, PLAIN_SHOE))
once('a bend plan for a shoe bent at three places (aim: under 50 ms)', 'bendPlanMs', 60, (i) => {
  const shape = [
    { branch: 'lateral' as const, fromToe: 30 + (i % 9), angle: -6 },
    { branch: 'medial' as const, fromToe: 60, angle: 5 },
    { branch: 'medial' as const, fromToe: 105 - (i % 5), angle: -8 },
  ].reduce(bent, pattern)
  bendPlan(pattern, shape)
})

once('a plan and how it stands in sand (aim: under 30 ms)', 'goingMs', 60, (i) => {
  const plan = planShoe(
    { ...FIVE_BY_FIVE, width: FIVE_BY_FIVE.width + (i % 9) / 10 },
    withFive('heart-bar', 'crease'),
  )
  goingOf(plan, { ground: groundOf('sand arena'), load: { newtons: 4_000 + 10 * i } })
})

if (json) console.log(JSON.stringify(figures))
