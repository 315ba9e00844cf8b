// npm run bench: prints the performance figures, each with its aim.
import { cpus } from 'node:os'
import { ensureBuilt, ensureChromium, ensurePackages, must, npm } from './lib.mjs'

ensurePackages()
ensureChromium()
ensureBuilt()
console.log(`on ${cpus().length} cores, Node ${process.version}`)
must(npm, ['run', '--silent', 'bench', '-w', 'core'])
must(npm, ['run', '--silent', 'bench', '-w', 'server'])
must(npm, ['run', '--silent', 'bench', '-w', 'e2e'])
