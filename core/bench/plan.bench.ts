// Time of planShoe on feet that all differ, as when a handle is dragged.
import { planShoe } from '../src/plan/plan'
import type { ShoeInput } from '../src/records/shoe'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../src/testing/samples'

const RUNS = 2_000

function timed(what: string, shoe: ShoeInput, aim: string): void {
  const times: number[] = []
  for (let i = 0; i < RUNS + 300; i++) {
    const foot = { ...FIVE_BY_FIVE, width: FIVE_BY_FIVE.width + (i % 97) / 10, frogApex: 36 }
    const start = performance.now()
    planShoe(foot, shoe)
    // The first runs warm the machine up.
    if (i >= 300) times.push(performance.now() - start)
  }
  times.sort((a, b) => a - b)
  const at = (share: number) => times[Math.floor(times.length * share)]!.toFixed(2)
  console.log(`${what}: median ${at(0.5)} ms, p95 ${at(0.95)} ms (aim: median under ${aim})`)
}

timed('planShoe', PLAIN_SHOE, '2 ms')
const modifications = ['toe-clip', 'quarter-clips', 'rocker-toe', 'wedge', 'heart-bar'].map((kind) => ({
  kind,
}))
timed('planShoe with five modifications', { ...PLAIN_SHOE, fit: 'conservative', modifications }, '5 ms')
