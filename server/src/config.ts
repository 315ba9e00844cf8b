import { isIP } from 'node:net'
import { resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { isLoopback } from './http/callers'

/** How this server is run, read once from the environment. */
export interface Config {
  /** Folder of the database and its backups. */
  dataFolder: string
  host: string
  port: number
  /** The address it is opened at, where that is not the one it listens at. */
  origin?: URL
  /** Addresses of proxies that are believed when they say for whom they ask. */
  proxy?: string[]
  /** The password of the practice: needed where other machines can reach it. */
  password?: string
  /** Folder of the built screens. */
  webFolder: string
  logLevel: string
}

const LEAST_PASSWORD = 8

const root = fileURLToPath(new URL('../../', import.meta.url))

/**
 * Reads the configuration: CRESCENT_DATA, CRESCENT_PORT, CRESCENT_HOST, CRESCENT_ORIGIN, CRESCENT_PROXY, CRESCENT_PASSWORD, CRESCENT_WEB,
 * CRESCENT_LOG. What is set to nothing counts as not set.
 *
 * @throws Error in a sentence when one of them cannot be, or when other machines could reach it without a password
 */
export function readConfig(env: NodeJS.ProcessEnv = process.env): Config {
  const given = (name: string): string | undefined => env[name]?.trim() || undefined
  const port = Number(given('CRESCENT_PORT') ?? 4300)
  if (!Number.isInteger(port) || port < 0 || port > 65_535) {
    throw new Error(`CRESCENT_PORT: “${env['CRESCENT_PORT']}” is not a port, it lies between 0 and 65535`)
  }
  const host = given('CRESCENT_HOST') ?? '127.0.0.1'
  const origin = readOrigin(given('CRESCENT_ORIGIN'))
  const proxy = readProxy(given('CRESCENT_PROXY'))
  const password = given('CRESCENT_PASSWORD')
  if (password !== undefined && password.length < LEAST_PASSWORD)
    throw new Error(`CRESCENT_PASSWORD: at least ${LEAST_PASSWORD} characters`)
  if (!isLoopback(host.toLowerCase()) && password === undefined) {
    throw new Error(
      `CRESCENT_HOST: other machines can reach “${host}”; set CRESCENT_PASSWORD as well, or leave CRESCENT_HOST out`,
    )
  }
  return {
    dataFolder: resolve(given('CRESCENT_DATA') ?? resolve(root, 'data')),
    host,
    port,
    ...(origin && { origin }),
    ...(proxy && { proxy }),
    ...(password !== undefined && { password }),
    webFolder: resolve(given('CRESCENT_WEB') ?? resolve(root, 'web/dist/browser')),
    logLevel: given('CRESCENT_LOG') ?? 'info',
  }
}

function readOrigin(given: string | undefined): URL | undefined {
  if (given === undefined) return undefined
  const url = URL.canParse(given) ? new URL(given) : undefined
  if (!url || !/^https?:$/.test(url.protocol))
    throw new Error(`CRESCENT_ORIGIN: “${given}” is no address like http://192.168.1.20:4300`)
  return url
}

function readProxy(given: string | undefined): string[] | undefined {
  const all = given?.split(',').map((one) => one.trim())
  for (const one of all ?? []) {
    const [address = '', bits, ...more] = one.split('/')
    const most = isIP(address) === 6 ? 128 : 32
    const fits = bits === undefined || (/^\d{1,3}$/.test(bits) && Number(bits) <= most)
    if (isIP(address) === 0 || !fits || more.length > 0)
      throw new Error(`CRESCENT_PROXY: “${one}” is no address like 127.0.0.1 or 10.0.0.0/8`)
  }
  return all
}
