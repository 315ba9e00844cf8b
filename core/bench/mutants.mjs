// Puts slips into the source of core, one at a time, and says which of them no test notices: `npm run mutants` for foot,
// shoe, nails, modifications and iron (hours), `npm run mutants -- nails/holes.ts iron` for what is named. What was tried
// already and has not changed since is not tried again.
import { execFileSync } from 'node:child_process'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'

const core = join(import.meta.dirname, '..')
const stryker = join(
  dirname(createRequire(import.meta.url).resolve('@stryker-mutator/core/package.json')),
  'bin/stryker.js',
)
const named = process.argv
  .slice(2)
  .map((name) => (name.endsWith('.ts') ? `src/${name}` : `src/${name}/**/*.ts`))
const mutate = named.length > 0 ? ['--mutate', [...named, '!src/**/*.spec.ts'].join(',')] : []
try {
  execFileSync(process.execPath, [stryker, 'run', 'stryker.config.mjs', ...mutate], {
    cwd: core,
    stdio: 'inherit',
  })
} catch {
  process.exitCode = 1
}
