// npm run bench [-- --json]: prints the performance figures, each with its aim; with --json one object, so that two commits
// can be compared.
import { spawnSync } from 'node:child_process'
import { cpus } from 'node:os'
import { ensure, ensureBuilt, must, npm } from './lib.mjs'

const WORKSPACES = ['core', 'server', 'e2e']
const json = process.argv.includes('--json')

ensure('packages', 'engine', 'chromium')
ensureBuilt()
if (json) {
  const figures = WORKSPACES.map((workspace) => {
    const { status, stdout } = spawnSync(npm, ['run', '--silent', 'bench', '-w', workspace, '--', '--json'], {
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'inherit'],
    })
    if (status !== 0) process.exit(status ?? 1)
    return JSON.parse(stdout.trim().split('\n').at(-1))
  })
  console.log(JSON.stringify(Object.assign({}, ...figures)))
} else {
  console.log(`on ${cpus().length} cores, Node ${process.version}`)
  for (const workspace of WORKSPACES) must(npm, ['run', '--silent', 'bench', '-w', workspace])
  console.log(
    'npm run bench:library -w server measures a whole library going out and coming in (some minutes)',
  )
}
