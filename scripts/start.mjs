// npm start: installs what is missing, builds, seeds the demo practice if there is no data, serves on one port.
// npm start -- --empty: the same with an empty practice of one's own; a demo that is there is set aside.
import { existsSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { ensure, ensureBuilt, must, root, start } from './lib.mjs'

ensure('packages', 'engine')
ensureBuilt()
const env = { ...process.env, NODE_ENV: 'production', CRESCENT_LOG: process.env.CRESCENT_LOG ?? 'info' }
const data = resolve(process.env.CRESCENT_DATA ?? join(root, 'data'))
if (process.argv.includes('--empty')) must(process.execPath, ['server/dist/begin.js'], { env })
// The seed itself looks whether anything of a practice lies there.
else if (!existsSync(join(data, 'crescent.sqlite')))
  must(process.execPath, ['server/dist/seed.js', '--if-none'], { env })
start(process.execPath, ['server/dist/main.js'], { env }).on('exit', (code) => process.exit(code ?? 1))
