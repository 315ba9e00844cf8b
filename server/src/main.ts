import { createServer } from 'node:http'
import { pino } from 'pino'
import { makeApp } from './app'
import { readConfig } from './config'
import { databaseFile } from './database/open'
import { openPractice } from './database/practice'

const config = readConfig()
const log = pino({ level: config.logLevel })
const practice = openPractice(databaseFile(config.dataFolder))
const server = createServer(makeApp(practice, config, log))

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
})

/** Lets running requests finish, then closes the database; a second signal does not wait. */
let stopping = false
function stop(signal: string): void {
  if (stopping) process.exit(1)
  stopping = true
  log.info(`${signal}: stopping`)
  const giveUp = setTimeout(() => process.exit(1), 10_000)
  giveUp.unref()
  server.close(() => {
    practice.db.close()
    log.info('stopped')
    process.exit(0)
  })
  server.closeIdleConnections()
}
process.on('SIGTERM', () => stop('SIGTERM'))
process.on('SIGINT', () => stop('SIGINT'))
