import { randomUUID } from 'node:crypto'
import { TestServer } from './server'

/** What was done to the server once: how much had been answered or was there, and how much of it was gone afterwards. */
export interface Outcome {
  held: number
  lost: number
}

/** One way to do it harm. */
export interface Fault {
  name: string
  run: () => Promise<Outcome>
}

export const pause = (ms: number) => new Promise((done) => setTimeout(done, ms))
export const some = (from: number, to: number) => from + Math.random() * (to - from)

/** A request to its API. */
export async function call(
  server: TestServer,
  method: string,
  path: string,
  body?: unknown,
): Promise<Response> {
  return fetch(`${server.url}/api${path}`, {
    method,
    ...(body !== undefined && {
      headers: { 'content-type': 'application/json' },
      body: typeof body === 'string' || body instanceof Uint8Array ? body : JSON.stringify(body),
    }),
  } as RequestInit)
}

export const horse = (name: string) => ({ id: randomUUID(), version: 0, name })

/** Works with a server of its own, and takes it away afterwards. */
export async function withServer<T>(
  data: 'demo' | 'empty',
  work: (server: TestServer) => Promise<T>,
): Promise<T> {
  const server = await TestServer.start(data)
  try {
    return await work(server)
  } finally {
    await server.stop()
  }
}

/** How many horses are found. */
export const count = async (server: TestServer): Promise<number> =>
  ((await (await call(server, 'GET', '/horses?limit=500')).json()) as unknown[]).length
