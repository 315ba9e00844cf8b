// npm run screenshots: takes the pictures of docs/screenshots anew from the demo practice.
import { ensureBuilt, ensureChromium, ensurePackages, must, npm } from './lib.mjs'

ensurePackages()
ensureChromium()
ensureBuilt()
must(npm, ['run', '--silent', 'screenshots', '-w', 'e2e'])
