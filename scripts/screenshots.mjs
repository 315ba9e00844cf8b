// npm run screenshots [-- NAMES]: takes the pictures of docs/screenshots anew from the demo practice, or some of them.
import { ensure, ensureBuilt, must, npm } from './lib.mjs'

ensure('packages', 'engine', 'chromium')
ensureBuilt()
must(npm, ['run', '--silent', 'screenshots', '-w', 'e2e', '--', ...process.argv.slice(2)])
