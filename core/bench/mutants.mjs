// Puts slips into the source of core, one at a time, and says which of them no test notices: `npm run mutants` for foot,
// shoe, nails, modifications and iron (hours), `npm run mutants -- nails/holes.ts iron` for what is named, and
// `npm run mutants -- --lines 100 7` for so many lines drawn from all of them with a seed: what the whole would come to,
// as nearly as a sample says. What was tried already and has not changed since is not tried again.
import { execFileSync } from 'node:child_process'
import { readdirSync, readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { storeys } from '../stryker.config.mjs'

const core = join(import.meta.dirname, '..')
const runner = join(
  dirname(createRequire(import.meta.url).resolve('@stryker-mutator/core/package.json')),
  'bin/stryker.js',
)

/** Steady numbers from 0 to 1 for a seed. */
function* numbers(seed) {
  for (let state = seed >>> 0; ;) {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    yield state / 2 ** 32
  }
}

/** Lines of code drawn from the storeys that are tried, as ranges; each at most once. */
function drawnLines(count, seed) {
  const files = storeys
    .flatMap((storey) =>
      readdirSync(join(core, 'src', storey), { recursive: true }).map((name) => `src/${storey}/${name}`),
    )
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.spec.ts'))
    .sort()
  const lines = files.flatMap((file) =>
    readFileSync(join(core, file), 'utf8')
      .split('\n')
      .flatMap((line, i) =>
        /^\s*(\/?\*|\/\/|import|export type|[}\])]|$)/.test(line) ? [] : [`${file}:${i + 1}-${i + 1}`],
      ),
  )
  const drawn = new Set()
  for (const number of numbers(seed)) {
    drawn.add(lines[Math.floor(number * lines.length)])
    if (drawn.size >= Math.min(count, lines.length)) return [...drawn]
  }
}

const [first, ...rest] = process.argv.slice(2)
const asked =
  first === '--lines'
    ? drawnLines(Number(rest[0]), Number(rest[1] ?? 1))
    : process.argv.slice(2).map((name) => (name.endsWith('.ts') ? `src/${name}` : `src/${name}/**/*.ts`))
const mutate = asked.length > 0 ? ['--mutate', [...asked, '!src/**/*.spec.ts'].join(',')] : []
try {
  execFileSync(process.execPath, [runner, 'run', 'stryker.config.mjs', ...mutate], {
    cwd: core,
    stdio: 'inherit',
  })
} catch {
  process.exitCode = 1
}
