import { Session } from 'node:inspector/promises'
import { readFileSync, writeFileSync } from 'node:fs'
import { cardSeen, traceIn } from '@crescent/core/photo-tracing'
import { readPicture } from './src/formats/pictures/read-picture'
const { picture } = await readPicture(readFileSync('/tmp/ph/photo.jpg'))
const truth = JSON.parse(readFileSync('/tmp/ph/photo.truth.json', 'utf8'))
console.log(picture.width, picture.height, Object.keys(truth))
const sess = new Session(); sess.connect()
await sess.post('Profiler.enable'); await sess.post('Profiler.setSamplingInterval', { interval: 200 })
for (let i = 0; i < 4; i++) {
  if (i === 1) await sess.post('Profiler.start')
  let s = performance.now()
  const seen = cardSeen(picture, 'square', 100)
  const a = performance.now() - s
  s = performance.now()
  if (!seen.ok) throw new Error(seen.problem)
  const t = traceIn(picture, seen, { object: 'foot', taps: truth.taps, height: 0 } as never)
  console.log('card', a.toFixed(0), 'trace', (performance.now() - s).toFixed(0), t.ok)
}
const { profile } = await sess.post('Profiler.stop')
writeFileSync('/tmp/ph/p.cpuprofile', JSON.stringify(profile))
