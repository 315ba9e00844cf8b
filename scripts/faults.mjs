// npm run faults [-- ROUNDS]: kills, stops and disturbs servers of its own, and counts what was lost by it.
import { ensure, ensureBuilt, must, npm } from './lib.mjs'

ensure('packages', 'engine')
ensureBuilt()
must(npm, ['run', '--silent', 'faults', '-w', 'e2e', '--', ...process.argv.slice(2)])
