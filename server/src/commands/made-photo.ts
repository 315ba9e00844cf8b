// Writes a made-up photograph and its truth beside it: npm run -s made-photo -- --seed 7 --tilt 20 --out photo.jpg
import { writeFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { GROUNDS, madeUpPhotograph, type PhotoWish } from '@crescent/core/made-up'
import { CARDS } from '@crescent/core/photographs'
import { jpegOf } from '../formats/pictures/write-picture'
import { figure, oneOf } from './asked'
import { failPlainly } from './plainly'

try {
  const text = { type: 'string' } as const
  const { values } = parseArgs({
    options: {
      ...{ seed: text, tilt: text, height: text, width: text, quality: text, tapping: text },
      ...{ object: text, ground: text, card: text, out: text },
    },
  })
  const wish = {
    seed: figure('seed', values.seed, 0, 2 ** 31) ?? 1,
    object: oneOf('object', values.object, ['foot', 'shoe'] as const),
    ground: oneOf('ground', values.ground, GROUNDS),
    card: oneOf(
      'card',
      values.card,
      CARDS.map(({ key }) => key),
    ),
    tilt: figure('tilt', values.tilt, 0, 50),
    height: figure('height', values.height, 0, 60),
    width: figure('width', values.width, 800, 6000),
    tapping: figure('tapping', values.tapping, 0, 10),
  }
  const said = Object.fromEntries(
    Object.entries(wish).filter(([, value]) => value !== undefined),
  ) as unknown as PhotoWish
  const { picture, truth } = madeUpPhotograph(said)
  const out = resolve(process.env['INIT_CWD'] ?? '.', values.out ?? 'photo.jpg')
  writeFileSync(out, await jpegOf(picture, figure('quality', values.quality, 30, 100) ?? 88, truth.focal35))
  const beside = `${out.replace(/\.jpe?g$/i, '')}.truth.json`
  writeFileSync(beside, JSON.stringify(truth))
  console.log(`${out}\n${beside}`)
} catch (error) {
  failPlainly(error)
}
