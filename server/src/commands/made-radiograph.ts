// Writes a made-up radiograph and its truth beside it: npm run -s made-radiograph -- --seed 7 --out r.dcm
import { writeFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { madeUpRadiograph } from '@crescent/core/made-up'
import { dicomOf } from '../formats/dicom/write-dicom'
import { figure } from './asked'
import { failPlainly } from './plainly'

try {
  const text = { type: 'string' } as const
  const { values } = parseArgs({ options: { seed: text, width: text, out: text } })
  const seed = figure('seed', values.seed, 0, 2 ** 31) ?? 1
  const width = figure('width', values.width, 400, 4000)
  const { picture, truth } = madeUpRadiograph({
    seed,
    ...(width !== undefined && { width: Math.round(width) }),
  })
  const out = resolve(process.env['INIT_CWD'] ?? '.', values.out ?? 'radiograph.dcm')
  const { mmPerPixel } = truth
  writeFileSync(out, dicomOf(picture, { mmPerPixel, patient: 'Made^Up', side: 'L', date: '2026-11-20' }))
  const beside = `${out.replace(/\.dcm$/i, '')}.truth.json`
  writeFileSync(beside, JSON.stringify(truth))
  console.log(`${out}\n${beside}`)
} catch (error) {
  failPlainly(error)
}
