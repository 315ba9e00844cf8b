// npm run fuzz: plans drawn at random over all modifications, each looked at from outside. Takes how many, and a seed.
import fc from 'fast-check'
import { anyPlan, requestOf, tryPlan, type AnyPlan } from '../src/testing/fuzz/any-plan'
import { faultsOf, jumpAt } from '../src/testing/fuzz/checks'

const count = Number(process.argv[2] ?? 20_000)
const seed = Number(process.argv[3] ?? 1)
/** Told in full; the rest are counted. */
const TOLD = 40

let plans = 0
let refused = 0
const found = new Map<string, { times: number; first: string }>()

function note(fault: string, any: AnyPlan): void {
  // Faults that differ in their figures only are one.
  const kind = fault.replace(/-?\d+(\.\d+)?/g, '#')
  const known = found.get(kind) ?? { times: 0, first: `${fault}\n    ${JSON.stringify(requestOf(any))}` }
  found.set(kind, { ...known, times: known.times + 1 })
}

const started = Date.now()
for (const [any, figure] of fc.sample(fc.tuple(anyPlan, fc.nat(60)), { numRuns: count, seed })) {
  plans++
  try {
    const request = requestOf(any)
    const plan = tryPlan(request)
    if (!plan) {
      refused++
      continue
    }
    for (const fault of faultsOf(plan)) note(fault, any)
    const jump = jumpAt(request, figure)
    if (jump) note(jump, any)
  } catch (error) {
    note(`threw ${(error as Error).message}`, any)
  }
}

for (const [, { times, first }] of [...found].slice(0, TOLD)) console.log(`${times} x ${first}`)
console.log(
  `${plans} plans, seed ${seed}: ${plans - refused} made, ${refused} refused by name, ` +
    `${found.size} kinds of fault, in ${Math.round((Date.now() - started) / 1000)} s`,
)
process.exit(found.size === 0 ? 0 : 1)
