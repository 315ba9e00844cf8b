// npm run faults [-- ROUNDS]: harm done to a server under load, and what was lost by it. Outside the time of the tests.
import { FAULTS } from './support/faults'

const rounds = Number(process.argv[2] ?? 25)
let lost = 0
const wide = Math.max(...FAULTS.map(({ name }) => name.length))
console.log(`${'what was done'.padEnd(wide)}  times   held   lost`)
for (const { name, run } of FAULTS) {
  const sum = { held: 0, lost: 0 }
  for (let i = 0; i < rounds; i++) {
    const outcome = await run()
    sum.held += outcome.held
    sum.lost += outcome.lost
  }
  lost += sum.lost
  const figures = [rounds, sum.held, sum.lost].map((n) => String(n).padStart(5)).join('  ')
  console.log(`${name.padEnd(wide)}  ${figures}`)
}
process.exit(lost === 0 ? 0 : 1)
