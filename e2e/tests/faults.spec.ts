import { expect, test } from '@playwright/test'
import { FAULTS } from '../support/faults'

/** The short form of `npm run faults`. */
const ROUNDS = 2

for (const { name, run } of FAULTS)
  test(`nothing is lost: ${name}`, async () => {
    test.slow()
    for (let i = 0; i < ROUNDS; i++) expect((await run()).lost).toBe(0)
  })
