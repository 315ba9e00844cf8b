// npm test: types, lint, unit tests of core, server and screens, then the browser tests on the built application.
// Ends with one line that counts every test: `N passed, N failed`.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBuilt, ensureChromium, ensurePackages, notBuilt, npm, root, run, told } from './lib.mjs'

ensurePackages()
ensureChromium()

const reports = mkdtempSync(join(tmpdir(), 'crescent-reports-'))
let passed = 0
let failed = 0

/**
 * Lanes of steps without tests of their own, side by side (each keeps one core busy); within a lane one after the
 * other, each told when it is done. One that fails counts as one failed test.
 */
async function lanes(...lanes) {
  const walk = async (steps) => {
    for (const [title, ...args] of steps) {
      const { well, text } = await told(npm, ['run', ...args])
      console.log(`\n== ${title}\n${text}`)
      if (well) continue
      failed++
      console.error(`${title}: FAILED`)
    }
  }
  await Promise.all(lanes.map(walk))
}

/** Runs a suite that writes a JSON report and adds up what it says; a suite that wrote none has failed. */
function suite(title, args, file, count, options) {
  console.log(`\n== ${title}`)
  const well = run(npm, args, options)
  try {
    const counted = count(JSON.parse(readFileSync(file, 'utf8')))
    passed += counted.passed
    failed += counted.failed
    // A runner that ends badly without a failed test (a crash, an unhandled error) must not look green.
    if (!well && counted.failed === 0) failed++
    if (counted.passed + counted.failed === 0) failed++
  } catch {
    console.error(`${title}: no report`)
    failed++
  }
}

const vitest = ({ numPassedTests, numFailedTests }) => ({ passed: numPassedTests, failed: numFailedTests })
/** A browser test that passed only the second time counts as passed, and is told. */
const playwright = ({ stats }) => {
  if (stats.flaky > 0) console.log(`${stats.flaky} browser test(s) passed at the second try only`)
  return { passed: stats.expected + stats.flaky, failed: stats.unexpected }
}

await lanes(
  [['types', 'types'], ...notBuilt().map((part) => [`build of ${part}`, 'build', '-w', part])],
  [['lint', 'lint']],
)
for (const part of ['core', 'server']) {
  const file = join(reports, `${part}.json`)
  const args = [
    'run',
    'test',
    '-w',
    part,
    '--',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${file}`,
  ]
  suite(`${part}: unit tests`, args, file, vitest)
}
{
  const file = join(reports, 'web.json')
  const args = [
    'run',
    'test',
    '-w',
    'web',
    '--',
    '--reporters=default',
    '--reporters=json',
    `--output-file=${file}`,
  ]
  suite('web: unit tests', args, file, vitest)
}
ensureBuilt()
{
  const file = join(root, 'e2e/test-results/results.json')
  rmSync(file, { force: true })
  suite('browser tests', ['run', 'test', '-w', 'e2e'], file, playwright)
}

rmSync(reports, { recursive: true, force: true })
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed === 0 ? 0 : 1)
