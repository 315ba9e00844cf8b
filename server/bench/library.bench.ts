// A library of 5,000 horses with 60,000 visits going out and coming in, and what else is answered meanwhile.
import { once } from 'node:events'
import { createReadStream, createWriteStream, statSync } from 'node:fs'
import { request, type IncomingMessage } from 'node:http'
import { join } from 'node:path'
import { Readable } from 'node:stream'
import type { ReadableStream } from 'node:stream/web'
import { text } from 'node:stream/consumers'
import { pipeline } from 'node:stream/promises'
import { base, bed, close, ids } from './big-practice'

/** Runs something long and tells its time, the most memory, and how long a small request beside it took at most. */
async function beside<T>(title: string, work: () => Promise<T>): Promise<T> {
  let going = true
  let slowest = 0
  let most = 0
  const asking = (async () => {
    while (going) {
      const start = performance.now()
      await (await fetch(`${base}/horses/${ids[7]}`)).arrayBuffer()
      slowest = Math.max(slowest, performance.now() - start)
      most = Math.max(most, process.memoryUsage().rss)
      await new Promise((done) => setTimeout(done, 25))
    }
  })()
  const start = performance.now()
  const done = await work()
  const seconds = (performance.now() - start) / 1000
  going = false
  await asking
  console.log(
    `${title}: ${seconds.toFixed(1)} s, at most ${Math.round(most / 1e6)} MB (aim 600), slowest request beside it ${slowest.toFixed(0)} ms (aim 200)`,
  )
  return done
}

const file = join(bed.dataFolder, 'library.json')
await beside('library out', async () => {
  const { body } = await fetch(`${base}/library`)
  await pipeline(Readable.fromWeb(body as unknown as ReadableStream), createWriteStream(file))
})
console.log(`  of ${Math.round(statSync(file).size / 1e6)} MB`)
bed.practice.db.exec(
  ['foot_records', 'looks', 'pattern_versions', 'patterns'].map((table) => `DELETE FROM ${table}`).join(';'),
)
const report = await beside('library in, feet and patterns of it anew', async () => {
  const sending = request(`${base}/library`, { method: 'POST' })
  await pipeline(createReadStream(file), sending)
  const [answer] = (await once(sending, 'response')) as [IncomingMessage]
  return JSON.parse(await text(answer)) as { added: number; unchanged: number }
})
console.log(`  ${report.added} added, ${report.unchanged} unchanged`)
close()
