import { existsSync } from 'node:fs'
import { createServer } from 'node:http'
import { makeApp } from './app'
import { failPlainly } from './commands/plainly'
import { readConfig, type Config } from './config'
import { finishExchange } from './resources/safekeeping/aside'
import { practiceFiles, tidy } from './database/files'
import { databaseFile } from './database/open'
import { openPractice, type Practice } from './practice'
import { besideInThreads } from './http/beside/pool'
import { openLog } from './http/log'
import { finishSwap } from './database/swap'
import { hasRoom, makeSmaller, writeOver } from './resources/safekeeping/written-over'
import { alone } from './http/route'

/** A signal that comes twice within this is one Ctrl-C that reached us on two ways, ms. */
const SAME_SIGNAL = 1_000
/** Its second arrival comes within this: who has ended before would die of it and answer for a clean end with a signal, ms. */
const SECOND_ARRIVAL = 300
/** A body has arrived within this, ms. */
const SLOWEST = 3_600_000
/** A connection is kept open after its last answer, ms: a proxy keeps it for 60 or 75 s. */
const KEPT_OPEN = 90_000
/** Requests that run get so long to end, ms. */
const PATIENCE = 10_000

const [config, practice] = open()
const log = openLog(config.logLevel, config.dataFolder)
const beside = besideInThreads()
const server = createServer(makeApp(practice, config, log, beside))

// A library of years comes slowly over the telephone; what stops coming is ended by its own silence.
server.requestTimeout = SLOWEST
// Longer than a proxy keeps a connection, so that none is closed while a request is on its way on it.
server.keepAliveTimeout = KEPT_OPEN
server.headersTimeout = KEPT_OPEN + 5_000

server.on('error', (error: NodeJS.ErrnoException) => {
  const reason =
    error.code === 'EADDRINUSE' ? `port ${config.port} is in use: set CRESCENT_PORT` : error.message
  log.fatal(reason)
  practice.db.close()
  process.exit(1)
})

server.listen(config.port, config.host, () => {
  const address = server.address()
  const port = typeof address === 'object' && address ? address.port : config.port
  log.info({ data: config.dataFolder }, `Crescent is at http://${config.host}:${port}`)
  if (practice.facts.current().traces) void writeOverLeft()
  setTimeout(beside.warm, WARM).unref()
})

/** At three in the morning nobody waits: what was erased leaves room, which is given back then. */
const NIGHT = 3
setInterval(() => {
  if (new Date().getHours() !== NIGHT || !hasRoom(practice)) return
  alone(practice, 'The data is being made smaller', () => makeSmaller(practice)).then(
    (left) => left !== undefined && log.error(left, 'the data could not be made smaller'),
    // Something else is under way: the next night does as well.
    () => undefined,
  )
}, 3_600_000).unref()

/** The first screen comes first; then a thread is made ready for what is heavy, ms. */
const WARM = 3_000

/** What an earlier run erased and could not write over. */
async function writeOverLeft(): Promise<void> {
  const left = await alone(practice, 'What was erased is being written over', () => writeOver(practice))
  if (left !== undefined) log.error(left, 'what was erased is not written over yet')
}

/** Everything an earlier run left half way is ended first. */
function open(): [Config, Practice] {
  try {
    const read = readConfig()
    const { dataFolder } = read
    finishSwap(dataFolder)
    finishExchange(dataFolder)
    tidy(dataFolder)
    const lying = practiceFiles(dataFolder)
    if (lying.length > 0 && !existsSync(databaseFile(dataFolder)))
      console.error(
        `No crescent.sqlite in ${dataFolder}, but ${lying.join(', ')}: an empty practice is opened beside them`,
      )
    return [read, openPractice(databaseFile(dataFolder))]
  } catch (error) {
    failPlainly(error)
  }
}

/** Lets running requests finish, then closes the database; who asks again does not wait. */
let stoppingSince: number | undefined
function stop(signal: string): void {
  if (stoppingSince !== undefined) {
    if (performance.now() - stoppingSince > SAME_SIGNAL) server.closeAllConnections()
    return
  }
  stoppingSince = performance.now()
  log.info(`${signal}: stopping`)
  // A connection that is kept open after its last answer would hold the end up.
  const idle = setInterval(() => server.closeIdleConnections(), 100)
  // What has not ended by then is broken off, so that whoever waits for it sees it.
  const giveUp = setTimeout(() => server.closeAllConnections(), PATIENCE)
  server.close(() => {
    clearInterval(idle)
    clearTimeout(giveUp)
    practice.db.close()
    void beside.close()
    log.info('stopped')
    process.exitCode = 0
    setTimeout(() => undefined, SECOND_ARRIVAL - (performance.now() - stoppingSince!))
  })
  server.closeIdleConnections()
}
process.on('SIGTERM', () => stop('SIGTERM'))
process.on('SIGINT', () => stop('SIGINT'))
