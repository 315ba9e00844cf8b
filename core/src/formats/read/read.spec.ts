import { DxfWriter, point2d, point3d, Units } from '@tarikjabiri/dxf'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { distance, type Vec } from '../../geometry/vector'
import { planShoe } from '../../plan/plan'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../../testing/samples'
import { boundsOf } from '../drawing'
import { writeDxf } from '../dxf'
import { writeSvg } from '../svg'
import { templateOf } from '../templates/index'
import { Unreadable } from './curves'
import { readOutlines } from './outlines'
import { HANGS, worked } from '../../testing/hangs'

const MM = { unit: 'mm', denominator: 16 } as const
const drawing = templateOf(planShoe(FIVE_BY_FIVE, PLAIN_SHOE), 'sole', MM, 'Test')!
const foot = drawing.layers.find(({ name }) => name === 'Foot')!.lines[0]!.points
const svg = (inside: string, size = 'width="100mm" height="100mm" viewBox="0 0 100 100"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${size}>${inside}</svg>`
const refusal = (name: string, content: string): string => {
  try {
    readOutlines(name, content)
    return ''
  } catch (error) {
    if (error instanceof Unreadable) return error.message
    throw error
  }
}
const longOf = (points: readonly Vec[], closed: boolean) =>
  points.reduce((sum, point, i) => {
    const before = points[i - 1] ?? (closed ? points[points.length - 1]! : point)
    return sum + distance(before, point)
  }, 0)

describe('what goes out comes in again', () => {
  it('as SVG: the same curve in millimetres, by its layer', () => {
    const { curves, unit, questions } = readOutlines('sole.svg', writeSvg(drawing))
    expect([unit, questions]).toEqual(['mm', []])
    const read = curves.find(({ layer }) => layer === 'Foot')!
    expect(read.closed).toBe(true)
    const { left, top } = boundsOf(drawing)
    foot.forEach(([x, y], i) =>
      expect(distance(read.points[i]!, [x - left + 5, y - top - 5])).toBeLessThan(0.01),
    )
  })

  it('as DXF: the same curve at the same place', () => {
    const { curves, unit } = readOutlines('sole.dxf', writeDxf(drawing))
    expect(unit).toBe('mm')
    const read = curves.find(({ layer }) => layer === 'Foot')!
    foot.forEach((point, i) => expect(distance(read.points[i]!, point)).toBeLessThan(0.01))
  })

  it('as rows of points: in the unit of the heading, with its ending, decimal commas and empty rows', () => {
    const rows = foot.map(([x, y]) => `${x / 25.4},${y / 25.4}`).join('\r\n')
    const { curves, unit } = readOutlines('foot.csv', `x in,y in\r\n${rows}\r\n`)
    expect(unit).toBe('in')
    foot.forEach((point, i) => expect(distance(curves[0]!.points[i]!, point)).toBeLessThan(1e-9))
    // In quotes, as RFC 4180 has it, with a decimal comma inside them too.
    const quoted = readOutlines('foot.csv', '"x mm","y mm"\r\n"1.5","-2"\r\n3,"4,25"\r\n"5", 6')
    expect(quoted.unit).toBe('mm')
    expect(quoted.curves[0]!.points).toEqual([
      [1.5, -2],
      [3, 4.25],
      [5, 6],
    ])
    const other = readOutlines('foot.txt', '1,5;2\n3;4,25\n\n7;8\n9;9')
    expect(other.curves.map(({ points }) => points)).toEqual([
      [
        [1.5, 2],
        [3, 4.25],
      ],
      [
        [7, 8],
        [9, 9],
      ],
    ])
    expect(other.questions.join()).toContain('millimetres or inches')
  })
})

describe('lines of an SVG', () => {
  it('are turned, scaled and moved as their groups say', () => {
    const { curves } = readOutlines(
      'a.svg',
      svg('<g transform="translate(10 20)"><g transform="rotate(90) scale(2)"><path d="M0 0h5v3"/></g></g>'),
    )
    // 5 along x is 10 down y, counted up: worked by hand.
    const worked: Vec[] = [
      [10, -20],
      [10, -30],
      [4, -30],
    ]
    worked.forEach((point, i) => expect(distance(curves[0]!.points[i]!, point)).toBeLessThan(1e-9))
  })

  it('have the length that geometry gives them: arcs, circles, ellipses, curves', () => {
    const { curves } = readOutlines(
      'a.svg',
      svg(
        '<circle cx="50" cy="50" r="30"/><path d="M10 10A20 20 0 0 1 50 10"/><path d="M0 80C30 80 60 80 90 80"/>',
      ),
    )
    const longs = curves.map(({ points, closed }) => longOf(points, closed)).sort((a, b) => b - a)
    expect(Math.abs(longs[0]! - 2 * Math.PI * 30)).toBeLessThan(0.02)
    expect(longs[1]).toBeCloseTo(90, 6)
    expect(Math.abs(longs[2]! - Math.PI * 20)).toBeLessThan(0.02)
  })

  it('in inches are read in mm, and those that say no size ask', () => {
    const inch = readOutlines(
      'a.svg',
      svg('<path d="M0 0H10"/>', 'width="2in" height="2in" viewBox="0 0 20 20"'),
    )
    expect(inch.curves[0]!.points[1]![0]).toBeCloseTo(25.4, 9)
    const none = readOutlines('a.svg', svg('<path d="M0 0H10"/>', 'viewBox="0 0 20 20"'))
    expect([none.unit, none.curves[0]!.points[1]![0]]).toEqual([null, 10])
    expect(none.questions.join()).toContain('how wide')
  })

  it('that meet are one, whichever way each was drawn', () => {
    const { curves } = readOutlines(
      'a.svg',
      svg('<path d="M0 0H10"/><path d="M10 10V0"/><path d="M10 10H0"/><path d="M0 0.01V10"/>'),
    )
    expect(curves.length).toBe(1)
    expect(curves[0]!.closed).toBe(true)
    expect(longOf(curves[0]!.points, true)).toBeCloseTo(40, 1)
  })
})

describe('lines of a DXF', () => {
  const written = (draw: (dxf: DxfWriter) => void, units = Units.Millimeters) => {
    const dxf = new DxfWriter()
    dxf.setUnits(units)
    draw(dxf)
    return readOutlines('a.dxf', dxf.stringify())
  }

  it('are drawn of bulges, arcs and circles as a hand works them out', () => {
    const { curves } = written((dxf) => {
      // A bulge of 1 is a half circle (DXF reference, code 42): over a chord of 20.
      dxf.addLWPolyline([{ point: point2d(0, 0), bulge: 1 }, { point: point2d(20, 0) }])
      dxf.addArc(point3d(100, 0, 0), 10, 350, 20)
      dxf.addCircle(point3d(200, 0, 0), 15)
    })
    const longs = curves.map(({ points, closed }) => longOf(points, closed)).sort((a, b) => a - b)
    expect(Math.abs(longs[0]! - (Math.PI * 10 * 30) / 180)).toBeLessThan(0.01)
    expect(Math.abs(longs[1]! - Math.PI * 10)).toBeLessThan(0.01)
    expect(Math.abs(longs[2]! - 2 * Math.PI * 15)).toBeLessThan(0.02)
    const half = curves.find(({ points }) => Math.abs(longOf(points, false) - Math.PI * 10) < 0.02)!
    // Counter-clockwise for a bulge above nought: from left to right it hangs below.
    expect(Math.min(...half.points.map(([, y]) => y))).toBeCloseTo(-10, 2)
  })

  it('in inches are read in mm; a spline goes through its ends', () => {
    const { curves, unit } = written((dxf) => {
      dxf.addSpline({
        controlPoints: [
          [0, 0],
          [1, 2],
          [3, 2],
          [4, 0],
        ].map(([x, y]) => point3d(x, y, 0)),
        degreeCurve: 3,
      })
    }, Units.Inches)
    expect(unit).toBe('in')
    const { points } = curves[0]!
    expect(distance(points[0]!, [0, 0])).toBeLessThan(1e-6)
    expect(distance(points[points.length - 1]!, [101.6, 0])).toBeLessThan(1e-6)
    // Half way a cubic Bezier of these controls lies at (2, 1.5) in: worked by hand.
    const middle = points[(points.length - 1) / 2]!
    expect(distance(middle, [50.8, 38.1])).toBeLessThan(1e-6)
  })
})

describe('files that cannot be read', () => {
  it.each([
    ['a.png', 'x', 'none of the files'],
    ['a.svg', '<svg', 'tags do not fit'],
    ['a.svg', '<html/>', 'no SVG'],
    ['a.svg', '<!DOCTYPE s [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><svg>&b;</svg>', 'entities'],
    ['a.svg', svg('<path d="M0 0 L bogus"/>'), 'breaks off or is none'],
    ['a.svg', svg('<path d="M0 0 L 1e300 5"/>'), 'lies nowhere'],
    ['a.svg', svg('<text>Hello</text>'), 'no line'],
    ['a.svg', svg('<g>'.repeat(300) + '</g>'.repeat(300)), 'deep'],
    ['a.dxf', 'no dxf at all', 'does not begin with a section'],
    ['a.dxf', '0\nSECTION\n2\nENTITIES\n0\nLWPOLYLINE', ''],
    ['a.csv', '1,2\nNaN,4', 'Row 2'],
    ['a.csv', '', 'no line'],
    ['a.csv', '=1+1,5\n2,3\n=cmd,4', 'Row 3'],
  ])('%s %s: %s', (name, content, said) => {
    const told = refusal(name, content)
    expect(told).not.toBe('')
    expect(told).toContain(said)
  })

  it('that are too much are refused quickly', () => {
    const many = Array.from({ length: 150_000 }, (_, i) => `${i % 90},${i % 80}`).join('\n')
    const began = worked()
    expect(refusal('a.csv', many)).toContain('too much')
    expect(refusal('a.csv', '1,2\n'.repeat(2_000_000))).toContain('1 MB')
    expect(refusal('a.svg', svg(`<path d="${'M0 0H5'.repeat(20_000)}"/>`))).toContain('too much')
    expect(worked() - began).toBeLessThan(10_000)
  })
})

describe('ten thousand broken and hostile files', () => {
  const whole = {
    svg: svg(
      '<g transform="scale(2)"><path d="M1 2C3 4 5 6 7 8A2 3 0 0 1 9 9Z"/><rect x="1" y="1" width="4" height="5"/></g>',
    ),
    dxf: writeDxf({
      title: 'x',
      layers: [
        {
          name: 'A',
          stroke: 'cut',
          lines: [
            {
              points: [
                [0, 0],
                [5, 5],
              ],
              closed: false,
            },
          ],
        },
      ],
    }),
    csv: 'x mm,y mm\n1,2\n3.5,4\n\n5;6\n',
  }
  const HOSTILE = [
    '1e308',
    'NaN',
    '-',
    '\u0000',
    '<',
    '&a;',
    ']]>',
    '"',
    '\n0\n',
    '\n10\n',
    '999999999',
    '<g>',
    'M',
    'A',
    ';',
    'INSERT',
    'transform="',
    '\uFFFF',
  ]

  it('are read, or refused in words within two seconds, and never end otherwise', () => {
    let slowest = 0
    let refused = 0
    fc.assert(
      fc.property(
        fc.constantFrom(...(['svg', 'dxf', 'csv'] as const)),
        fc.array(
          fc.record({
            at: fc.double({ min: 0, max: 1, noNaN: true }),
            cut: fc.integer({ min: 0, max: 40 }),
            put: fc.oneof(fc.constantFrom(...HOSTILE), fc.string({ maxLength: 6 })),
          }),
          { minLength: 1, maxLength: 5 },
        ),
        (kind, wounds) => {
          let content = whole[kind]
          for (const { at, cut, put } of wounds) {
            const from = Math.floor(at * content.length)
            content = content.slice(0, from) + put + content.slice(from + cut)
          }
          const began = worked()
          try {
            const { curves } = readOutlines(`a.${kind}`, content)
            for (const { points } of curves)
              for (const [x, y] of points) expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true)
          } catch (error) {
            expect(error).toBeInstanceOf(Unreadable)
            refused++
          }
          slowest = Math.max(slowest, worked() - began)
        },
      ),
      { numRuns: 10_000 },
    )
    expect(refused).toBeGreaterThan(500)
    expect(slowest).toBeLessThan(HANGS)
  }, 120_000)
})

describe('a drawing made to be slow', () => {
  const svg = (body: string) => `<svg xmlns="http://www.w3.org/2000/svg">${body}</svg>`
  const points = (n: number) =>
    Array.from({ length: n }, (_, i) => `${(i * 7) % 900} ${(i * 3) % 700}`).join(' ')

  it.each([
    ['a polygon of points beyond all outlines', svg(`<polygon points="${points(110_000)}"/>`), /more points/],
    [
      'a transform without end',
      svg(`<path d="M0 0L9 9" transform="${'rotate(1) '.repeat(60_000)}"/>`),
      /longer/,
    ],
    ['elements without end', svg('<g>'.repeat(30_000) + '</g>'.repeat(30_000)), /elements/],
  ])('is refused before it is read: %s', (_what, text, why) => {
    expect(() => readOutlines('a.svg', text)).toThrow(why)
  })

  it('is turned by groups in groups as by all that they say in one', () => {
    const [turns, line] = [
      'rotate(30) translate(4 1) scale(1.5 0.8)',
      '<path d="M0 0L30 10C40 0 50 5 60 60Z"/>',
    ]
    const nested = svg(
      `<g transform="rotate(30)"><g transform="translate(4 1)"><g transform="scale(1.5 0.8)">${line}</g></g></g>`,
    )
    const [one] = readOutlines('a.svg', nested).curves
    const [other] = readOutlines('a.svg', svg(`<g transform="${turns}">${line}</g>`)).curves
    expect(one!.points).toHaveLength(other!.points.length)
    one!.points.forEach(([x, y], i) => {
      expect(x).toBeCloseTo(other!.points[i]![0], 6)
      expect(y).toBeCloseTo(other!.points[i]![1], 6)
    })
  })

  it('of lines that all end at one place is joined two by two, none lost', () => {
    const spokes = Array.from(
      { length: 3_001 },
      (_, i) => `<line x1="0" y1="0" x2="${(i % 70) + 1}" y2="${i}"/>`,
    )
    const { curves } = readOutlines('a.svg', svg(spokes.join('')))
    expect(curves).toHaveLength(1_501)
    expect(curves.reduce((sum, one) => sum + one.points.length, 0)).toBe(1_500 * 3 + 2)
  })
})
