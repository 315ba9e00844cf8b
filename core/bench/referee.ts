// npm run referee: what plans drawn at random claim, recomputed by walking and summing alone. Takes how many, and a seed.
import fc from 'fast-check'
import { anyPlan, requestOf, tryPlan } from '../src/testing/fuzz/any-plan'
import { disputes } from '../src/testing/referee/referee'

const count = Number(process.argv[2] ?? 50_000)
const seed = Number(process.argv[3] ?? 1)
const found = new Map<string, { times: number; first: string }>()
const started = Date.now()
let looked = 0

for (const any of fc.sample(anyPlan, { numRuns: count, seed })) {
  const request = requestOf(any)
  const plan = tryPlan(request)
  if (!plan) continue
  looked++
  for (const dispute of disputes(plan)) {
    const kind = dispute.replace(/-?\d+(\.\d+)?/g, '#')
    const known = found.get(kind) ?? { times: 0, first: `${dispute}\n    ${JSON.stringify(request)}` }
    found.set(kind, { ...known, times: known.times + 1 })
  }
}
for (const { times, first } of found.values()) console.log(`${times} x ${first}`)
console.log(
  `${looked} plans of ${count}, seed ${seed}: ${found.size} kinds of dispute, in ${Math.round((Date.now() - started) / 1000)} s`,
)
process.exit(found.size === 0 ? 0 : 1)
