import { resolve } from 'node:path'
import { fileURLToPath } from 'node:url'

/** How this server is run, read once from the environment. */
export interface Config {
  /** Folder of the database and its backups. */
  dataFolder: string
  host: string
  port: number
  /** Folder of the built screens. */
  webFolder: string
  logLevel: string
}

const root = fileURLToPath(new URL('../../', import.meta.url))

/**
 * Reads the configuration: CRESCENT_DATA, CRESCENT_PORT, CRESCENT_HOST, CRESCENT_WEB, CRESCENT_LOG.
 *
 * @throws Error when the port is not a port
 */
export function readConfig(env: NodeJS.ProcessEnv = process.env): Config {
  const port = Number(env['CRESCENT_PORT'] ?? 4300)
  if (!Number.isInteger(port) || port < 0 || port > 65_535) {
    throw new Error(`CRESCENT_PORT: “${env['CRESCENT_PORT']}” is not a port, it lies between 0 and 65535`)
  }
  return {
    dataFolder: resolve(env['CRESCENT_DATA'] ?? resolve(root, 'data')),
    host: env['CRESCENT_HOST'] ?? '127.0.0.1',
    port,
    webFolder: resolve(env['CRESCENT_WEB'] ?? resolve(root, 'web/dist/browser')),
    logLevel: env['CRESCENT_LOG'] ?? 'info',
  }
}
