// npm run dev: server and screens from source, rebuilt on every change. Screens at http://localhost:4200
import { ensure, npm, start } from './lib.mjs'

ensure('packages', 'engine')
start(npm, ['run', 'seed', '-w', 'server']).on('exit', () => {
  start(npm, ['run', 'dev', '-w', 'server'])
  start(npm, ['run', 'start', '-w', 'web'])
})
