// Mutation testing: a slip put into the source that no test notices is a hole in the tests. Outside CI's time.
export const storeys = ['foot', 'shoe', 'nails', 'modifications', 'iron']

/** @type {import('@stryker-mutator/api/core').PartialStrykerOptions} */
export default {
  testRunner: 'vitest',
  vitest: { configFile: 'vitest.mutants.config.mjs', related: true },
  mutate: [...storeys.map((storey) => `src/${storey}/**/*.ts`), '!src/**/*.spec.ts'],
  // Words are told to people and read by them; a slip in one is no slip of the computation.
  mutator: { excludedMutations: ['StringLiteral'] },
  coverageAnalysis: 'perTest',
  ignoreStatic: true,
  concurrency: 2,
  timeoutMS: 20_000,
  thresholds: { high: 90, low: 80, break: 80 },
  reporters: ['clear-text', 'json'],
  clearTextReporter: { allowColor: false, logTests: false, allowEmojis: false },
  jsonReporter: { fileName: 'reports/mutants.json' },
  tempDirName: '.mutants',
  incremental: true,
  incrementalFile: 'reports/mutants-known.json',
}
