// npm test: types, lint, unit tests of core, server and screens, then the browser tests on the built application.
// Ends with one line that counts every test: `N passed, N failed`.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { NEEDS, notBuilt, npm, root, run, told } from './lib.mjs'

const reports = mkdtempSync(join(tmpdir(), 'crescent-reports-'))
let passed = 0
let failed = 0
/** What failed, told once more at the end: the foot of a long log is what is read. */
const failures = []

/** Rows of work side by side, one piece of each after the other: two cores are kept busy. */
const lanes = (...lanes) =>
  Promise.all(
    lanes.map(async (pieces) => {
      for (const piece of pieces) await piece()
    }),
  )

/** Who makes much and drops it soon is tidied up after less often: a seventh of the time of core's tests. */
const NODE_OPTIONS = `${process.env.NODE_OPTIONS ?? ''} --max-semi-space-size=64`.trim()
const roomy = { env: { ...process.env, NODE_OPTIONS } }

/** Brings what is missing of a need; without it nothing can be said of anything. */
const bring = (need) => async () => {
  const { says, commands } = NEEDS[need]
  const wanted = commands()
  if (wanted.length > 0) console.log(says)
  for (const command of wanted) {
    const { well, text } = await told(...command)
    if (well) continue
    console.error(text)
    console.log('\n0 passed, 1 failed')
    process.exit(1)
  }
}

/** A step without tests of its own, told when it is done; one that fails counts as one failed test. */
const step = (title, args, options) => async () => {
  const { well, text } = await told(npm, ['run', ...args], options)
  console.log(`\n== ${title}\n${text}`)
  if (well) return
  failed++
  console.error(`${title}: FAILED`)
  failures.push(`${title}\n${text.trimEnd().split('\n').slice(-10).join('\n')}`)
}

/** Adds up what a suite wrote into its JSON report; one that wrote none has failed. */
function add(title, well, file, count) {
  try {
    const counted = count(JSON.parse(readFileSync(file, 'utf8')))
    passed += counted.passed
    failed += counted.failed
    failures.push(...counted.names.map((name) => `${title}: ${name}`))
    // A runner that ends badly without a failed test (a crash, an unhandled error) must not look green.
    if ((!well && counted.failed === 0) || counted.passed + counted.failed === 0) {
      failed++
      failures.push(`${title}: ended badly without a failed test`)
    }
  } catch {
    failures.push(`${title}: no report`)
    failed++
  }
}

const vitest = ({ numPassedTests, numFailedTests, testResults }) => ({
  passed: numPassedTests,
  failed: numFailedTests,
  names: testResults
    .flatMap(({ assertionResults }) => assertionResults)
    .filter(({ status }) => status === 'failed')
    .map(({ fullName }) => fullName),
})
/** Every browser test of a report's suites, which hold suites. */
const specsOf = (suites = []) => suites.flatMap(({ suites, specs }) => [...specsOf(suites), ...specs])
/** A browser test that passed only the second time counts as passed, and is told. */
const playwright = ({ stats, suites }) => {
  if (stats.flaky > 0) console.log(`${stats.flaky} browser test(s) passed at the second try only`)
  const names = specsOf(suites)
    .filter(({ ok }) => !ok)
    .map(({ title }) => title)
  return { passed: stats.expected + stats.flaky, failed: stats.unexpected, names }
}

/** The unit tests of a part, told when they are done. */
const units = (part, reporters, output) => async () => {
  const file = join(reports, `${part}.json`)
  const report = [`--${reporters}=default`, `--${reporters}=json`, `--${output}=${file}`]
  const { well, text } = await told(npm, ['run', 'test', '-w', part, '--', ...report], roomy)
  console.log(`\n== ${part}: unit tests\n${text}`)
  add(`${part}: unit tests`, well, file, vitest)
}

await lanes([bring('packages')], [bring('chromium')])

// The screens' types are checked where they are compiled: for their unit tests.
const checks = [
  step('types', ['types', '-w', 'core', '-w', 'server', '-w', 'e2e'], roomy),
  step('lint', ['lint'], roomy),
]
const builds = notBuilt().map((part) => step(`build of ${part}`, ['build', '-w', part], roomy))
await lanes([bring('engine')], builds, checks)

/** The demo that the browser tests begin with. */
const seeded = join(reports, 'seeded')
await lanes(
  ['core', 'server'].map((part) => units(part, 'reporter', 'outputFile.json')),
  [
    units('web', 'reporters', 'output-file'),
    step('demo for the browser tests', ['seed'], { env: { ...process.env, CRESCENT_DATA: seeded } }),
  ],
)
{
  console.log('\n== browser tests')
  const file = join(root, 'e2e/test-results/results.json')
  rmSync(file, { force: true })
  const env = { ...process.env, CRESCENT_TEST_SEEDED: seeded }
  add('browser tests', run(npm, ['run', 'test', '-w', 'e2e'], { env }), file, playwright)
}

rmSync(reports, { recursive: true, force: true })
for (const failure of failures) console.log(`\nFAILED ${failure}`)
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed === 0 ? 0 : 1)
