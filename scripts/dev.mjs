// npm run dev: server and screens from source, rebuilt on every change. Screens at http://localhost:4200
import { ensurePackages, npm, start } from './lib.mjs'

ensurePackages()
start(npm, ['run', 'seed', '-w', 'server']).on('exit', () => {
  start(npm, ['run', 'dev', '-w', 'server'])
  start(npm, ['run', 'start', '-w', 'web'])
})
