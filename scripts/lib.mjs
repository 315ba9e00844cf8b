// What start, test, dev and bench share: making sure that everything needed is there.
import { spawn, spawnSync } from 'node:child_process'
import { existsSync, readdirSync, statSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = dirname(dirname(fileURLToPath(import.meta.url)))
/** Debian's Chromium without a window of its own: a sixth quicker than the whole browser, and drawn the same. */
export const CHROMIUM = '/usr/bin/chromium-headless-shell'
const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm'

/** Runs a command to its end and returns whether it went well. */
export function run(command, args, options = {}) {
  const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options })
  return status === 0
}

/** Runs a command beside others: whether it went well, and all that it said, when it is done. */
export function told(command, args, options = {}) {
  return new Promise((done) => {
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'], ...options })
    let text = ''
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => (text += part))
    child.on('error', (fault) => done({ well: false, text: `${text}${fault.message}` }))
    child.on('close', (status) => done({ well: status === 0, text }))
  })
}

/** Runs a command and gives up with its fault when it fails. */
export function must(command, args, options = {}) {
  if (!run(command, args, options)) {
    console.error(`\nFailed: ${command} ${args.join(' ')}`)
    process.exit(1)
  }
}

/**
 * What everything needs, and the commands that bring it: none where it is there. The database engine is compiled by itself,
 * so that what does without it need not wait.
 */
export const NEEDS = {
  packages: {
    says: 'Installing packages (a minute or two the first time)',
    commands() {
      const installed = join(root, 'node_modules/.package-lock.json')
      const wanted = join(root, 'package-lock.json')
      if (existsSync(installed) && statSync(installed).mtimeMs >= statSync(wanted).mtimeMs) return []
      return [[npm, ['ci', '--ignore-scripts', '--no-audit', '--no-fund']]]
    },
  },
  engine: {
    says: 'Compiling the database engine (two minutes the first time)',
    commands() {
      if (existsSync(join(root, 'node_modules/better-sqlite3/build/Release/better_sqlite3.node'))) return []
      return [[npm, ['rebuild', 'better-sqlite3']]]
    },
  },
  chromium: {
    says: 'Installing Chromium',
    commands() {
      if (existsSync(CHROMIUM)) return []
      const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
      const apt = (...args) =>
        process.getuid?.() === 0 ? ['apt-get', args, { env }] : ['sudo', ['apt-get', ...args], { env }]
      return [
        apt('update', '-qq'),
        apt('install', '-y', '-qq', '--no-install-recommends', 'chromium-headless-shell'),
      ]
    },
  },
}

/** Brings what is missing, one after the other, or gives up. */
export function ensure(...needs) {
  for (const { says, commands } of needs.map((need) => NEEDS[need])) {
    const wanted = commands()
    if (wanted.length > 0) console.log(says)
    for (const command of wanted) must(...command)
  }
}

/** Newest change below a folder, in ms. */
function newest(folder) {
  let latest = 0
  for (const entry of readdirSync(folder, { withFileTypes: true, recursive: true })) {
    if (!entry.isFile() || /\.spec\.ts$/.test(entry.name)) continue
    latest = Math.max(latest, statSync(join(entry.parentPath ?? entry.path, entry.name)).mtimeMs)
  }
  return latest
}

/** Which of server and screens have a source newer than what was built. */
export function notBuilt() {
  const core = newest(join(root, 'core/src'))
  const stale = (built, ...sources) =>
    !existsSync(built) || statSync(built).mtimeMs < Math.max(core, ...sources)
  const parts = []
  if (stale(join(root, 'server/dist/main.js'), newest(join(root, 'server/src')))) parts.push('server')
  const web = [newest(join(root, 'web/src')), statSync(join(root, 'web/angular.json')).mtimeMs]
  if (stale(join(root, 'web/dist/browser/index.html'), ...web)) parts.push('web')
  return parts
}

/** Builds server and screens where a source is newer than what was built. */
export function ensureBuilt() {
  for (const part of notBuilt()) must(npm, ['run', 'build', '-w', part])
}

/** Starts a long-running process that ends with this one. */
export function start(command, args, options = {}) {
  const child = spawn(command, args, { cwd: root, stdio: 'inherit', ...options })
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal))
  return child
}

export { npm }
