// npm run fuzz: plans drawn at random over all modifications, each looked at from outside. Takes how many, and a seed.
import fc from 'fast-check'
import { anyPlan, requestOf, tryPlan, type AnyPlan } from '../src/testing/fuzz/any-plan'
import { faultsOf, jumpAt } from '../src/testing/fuzz/checks'
import { madeFaults } from '../src/testing/fuzz/made-faults'
import { anySize, sizeFaults } from '../src/testing/fuzz/size-faults'
import { anyWeeks, weekFaults } from '../src/testing/fuzz/week-faults'

const count = Number(process.argv[2] ?? 20_000)
const seed = Number(process.argv[3] ?? 1)
/** A shape is tried by so many points, and by up to so many more. */
const LEAST_POINTS = 7
const MORE_POINTS = 34
/** Told in full; the rest are counted. */
const TOLD = 40

let plans = 0
let refused = 0
const found = new Map<string, { times: number; first: string }>()

function note(fault: string, any: AnyPlan): void {
  noteOf(fault, JSON.stringify(requestOf(any)))
}

function noteOf(fault: string, of: string): void {
  // Faults that differ in their figures only are one.
  const kind = fault.replace(/-?\d+(\.\d+)?/g, '#')
  const known = found.get(kind) ?? { times: 0, first: `${fault}\n    ${of}` }
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
    for (const fault of madeFaults(plan, request, LEAST_POINTS + (figure % MORE_POINTS))) note(fault, any)
    const jump = jumpAt(request, figure)
    if (jump) note(jump, any)
  } catch (error) {
    note(`threw ${(error as Error).message}`, any)
  }
}

for (const any of fc.sample(anySize, { numRuns: Math.ceil(count / 10), seed }))
  for (const fault of sizeFaults(any)) noteOf(fault, JSON.stringify(any))
for (const any of fc.sample(anyWeeks, { numRuns: count, seed }))
  for (const fault of weekFaults(any)) noteOf(fault, JSON.stringify(any))

for (const [, { times, first }] of [...found].slice(0, TOLD)) console.log(`${times} x ${first}`)
console.log(
  `${plans} plans, seed ${seed}: ${plans - refused} made, ${refused} refused by name, ` +
    `${found.size} kinds of fault, in ${Math.round((Date.now() - started) / 1000)} s`,
)
process.exit(found.size === 0 ? 0 : 1)
