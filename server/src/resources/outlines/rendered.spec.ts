import { readOutlines } from '@crescent/core/formats'
import sharp from 'sharp'
import { describe, expect, it } from 'vitest'

// What comes in of an SVG is held against what a renderer that nobody here wrote draws of it (librsvg, within sharp).

const [WIDE, HIGH] = [480, 360]
/** What is drawn is so thin, pixels. */
const STROKE = 2

/** The dark pixels of a drawing of 480 x 360 pixels. */
async function drawn(svg: string): Promise<(x: number, y: number) => boolean> {
  // Drawn finer than it is asked for, whichever unit it is in.
  const { data, info } = await sharp(Buffer.from(svg), { density: 96 })
    .resize(WIDE, HIGH, { fit: 'fill' })
    .flatten({ background: '#fff' })
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true })
  expect([info.width, info.height]).toEqual([WIDE, HIGH])
  return (x, y) => (data[(Math.round(y) * info.width + Math.round(x)) * info.channels] ?? 255) < 190
}

const STYLE = `fill:none;stroke:#000;stroke-width:${STROKE}px;vector-effect:non-scaling-stroke`
const SHAPES = {
  path: `<path d="M20 20C60 0 90 60 120 30S180 90 150 120A40 25 20 0 1 60 130Q10 90 20 20Z"/>`,
  rect: '<rect x="20" y="15" width="120" height="80" rx="18"/>',
  circle: '<circle cx="80" cy="60" r="12mm"/>',
  ellipse: '<ellipse cx="1in" cy="20mm" rx="15%" ry="10%"/>',
  polygon: '<polygon points="20,20 140,30 120,110 40,90"/>',
  line: '<line x1="10" y1="5%" x2="30%" y2="100"/>',
}
type Shape = keyof typeof SHAPES

/** Ways in which a shape lies in a drawing. */
const LAID: Record<string, (shape: string) => string> = {
  'as it is': (shape) => frame(shape),
  'in a wide box, in its middle': (shape) => frame(shape, 'viewBox="0 0 400 150"'),
  'in a high box, at its end': (shape) =>
    frame(shape, 'viewBox="-20 -10 200 300" preserveAspectRatio="xMaxYMax meet"'),
  'pulled to its place': (shape) => frame(shape, 'viewBox="0 0 300 180" preserveAspectRatio="none"'),
  'cut to its place': (shape) => frame(shape, 'viewBox="0 0 170 140" preserveAspectRatio="xMinYMin slice"'),
  'in a picture within': (shape) =>
    frame(`<svg x="60" y="30" width="300" height="220" viewBox="0 -10 200 180">${shape}</svg>`),
  'turned by a style': (shape) =>
    frame(`<g style="transform: translate(200px, 40px) rotate(25deg) scale(1.2)">${shape}</g>`),
  'turned by an attribute, twice': (shape) =>
    frame(`<g transform="translate(120 80) skewX(12)"><g transform="rotate(-15 60 60)">${shape}</g></g>`),
  'copied elsewhere': (shape) =>
    frame(`<defs><g id="one">${shape}</g></defs><use href="#one" x="150" y="90"/>`),
  'with others that are hidden': (shape) =>
    frame(
      `<style>.off { display: none } .gone { visibility: hidden }</style>${shape}` +
        '<g display="none"><circle cx="300" cy="200" r="40"/></g><g style="display:none"><rect x="300" y="20" width="60" height="60"/></g>' +
        '<circle class="off" cx="400" cy="80" r="30"/><g class="gone"><rect x="300" y="250" width="90" height="40"/></g>',
    ),
}

const frame = (inside: string, more = ''): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="127mm" height="95.25mm" ${more}><g style="${STYLE}">${inside}</g></svg>`

describe('an SVG', () => {
  const cases = Object.keys(LAID).flatMap((laid) =>
    (Object.keys(SHAPES) as Shape[]).map((shape) => [shape, laid] as const),
  )

  it.each(cases)('comes in as it is drawn: a %s %s', async (shape, laid) => {
    const svg = LAID[laid]!(SHAPES[shape])
    const isDark = await drawn(svg)
    const pixels = readOutlines('a.svg', svg).curves.map(({ points, closed }) =>
      (closed ? [...points, points[0]!] : points).map(([x, y]): [number, number] => [
        (x * 96) / 25.4,
        (-y * 96) / 25.4,
      ]),
    )
    const near = new Uint8Array(WIDE * HIGH)
    let [seen, dark] = [0, 0]
    for (const line of pixels)
      line.slice(1).forEach(([x1, y1], i) => {
        const [x0, y0] = line[i]!
        const steps = Math.max(1, Math.ceil(Math.hypot(x1 - x0, y1 - y0)))
        for (let k = 0; k <= steps; k++) {
          const [x, y] = [x0 + ((x1 - x0) * k) / steps - 0.5, y0 + ((y1 - y0) * k) / steps - 0.5]
          for (let v = -3; v <= 3; v++)
            for (let u = -3; u <= 3; u++) {
              const [px, py] = [Math.round(x + u), Math.round(y + v)]
              if (px >= 0 && py >= 0 && px < WIDE && py < HIGH) near[py * WIDE + px] = 1
            }
          if (x < 1 || y < 1 || x > WIDE - 2 || y > HIGH - 2) continue
          seen++
          if (isDark(x, y) || isDark(x + 1, y) || isDark(x, y + 1) || isDark(x - 1, y) || isDark(x, y - 1))
            dark++
        }
      })
    // All that was read is drawn there,
    expect(seen).toBeGreaterThan(40)
    expect(dark / seen).toBeGreaterThan(0.98)
    // and all that is drawn was read.
    let beside = 0
    for (let y = 0; y < HIGH; y++)
      for (let x = 0; x < WIDE; x++) if (isDark(x, y) && near[y * WIDE + x] === 0) beside++
    expect(beside).toBe(0)
  })

  it('of copies in copies in copies is refused, not followed for ever', () => {
    const groups = Array.from(
      { length: 12 },
      (_, i) => `<g id="g${i + 1}">${`<use href="#g${i}"/>`.repeat(10)}</g>`,
    )
    const bomb = frame(`<defs><g id="g0"></g>${groups.join('')}</defs><use href="#g12"/>`)
    expect(() => readOutlines('a.svg', bomb)).toThrow(/copies/)
    expect(() => readOutlines('a.svg', frame('<g id="a"><use href="#a"/></g>'))).toThrow(/deep|copies/)
  })
})
