import { expect, test } from '@playwright/test'
import { FAULTS } from '../support/faults'

/** The short form of `npm run faults`. */
const ROUNDS = 2

// Each has servers of its own, and they are the last to run: side by side nobody waits for one of them alone.
test.describe.configure({ mode: 'parallel' })

for (const { name, run } of FAULTS)
  test(`nothing is lost: ${name}`, async () => {
    test.slow()
    for (let i = 0; i < ROUNDS; i++) expect((await run()).lost).toBe(0)
  })
