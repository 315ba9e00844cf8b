// npm run faults [-- ROUNDS]: kills, stops and disturbs servers of its own, and counts what was lost by it.
import { ensureBuilt, ensurePackages, must, npm } from './lib.mjs'

ensurePackages()
ensureBuilt()
must(npm, ['run', '--silent', 'faults', '-w', 'e2e', '--', ...process.argv.slice(2)])
