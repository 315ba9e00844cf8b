import DxfParser from 'dxf-parser'
import { parseDxf } from './read/dxf-reader'
import fc from 'fast-check'
import svgpath from 'svgpath'
import { describe, expect, it } from 'vitest'
import { distance, type Vec } from '../geometry/vector'
import { nearestAlong } from '../geometry/walked'
import { planShoe } from '../plan/plan'
import { pieceKindsOf } from '../plan/piece-kinds'
import { anyPlan, requestOf, tryPlan } from '../testing/fuzz/any-plan'
import { made } from '../testing/made'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../testing/samples'
import { shoeOfSize, sizeOf } from '../testing/sizes'
import { TEMPLATE_KINDS } from '../terms/template-kinds'
import { boundsOf, mirrored, type Drawing } from './drawing'
import { writeDxf } from './dxf'
import { writeSvg } from './svg'
import { templateOf } from './templates/index'

const MM = { unit: 'mm', denominator: 16 } as const
const sole = (side: 'LF' | 'RF' = 'LF'): Drawing =>
  templateOf(planShoe({ ...FIVE_BY_FIVE, side }, PLAIN_SHOE), 'sole', MM, 'Test')!

/** All pieces of outline of a layer. */
const linesOf = ({ layers }: Drawing, name: string) => layers.find((layer) => layer.name === name)!.lines

describe('an SVG template', () => {
  /** The paths of a group, as a reader of paths from the registry takes them, mm. */
  function pathsOf(svg: string, layer: string): Vec[][] {
    const group = new RegExp(`<g [^>]*data-layer="${layer}"[^>]*>([\\s\\S]*?)</g>`).exec(svg)![1]!
    return [...group.matchAll(/<path d="([^"]+)"/g)].map(([, d]) => {
      const points: Vec[] = []
      svgpath(d!)
        .abs()
        .iterate(([command, x, y]) => {
          if (command !== 'Z') points.push([Number(x), Number(y)])
        })
      return points
    })
  }

  it('is the planned curve to a hundredth of a millimetre, at true size', () => {
    const drawing = sole()
    const svg = writeSvg(drawing)
    const [, width, height, boxWidth, boxHeight] =
      /width="([\d.]+)mm" height="([\d.]+)mm" viewBox="0 0 ([\d.]+) ([\d.]+)"/.exec(svg)!
    expect([width, height]).toEqual([boxWidth, boxHeight])
    const { left, top } = boundsOf(drawing)
    const [shoe] = pathsOf(svg, 'Shoe')
    const [planned] = linesOf(drawing, 'Shoe')
    expect(shoe!.length).toBe(planned!.points.length)
    planned!.points.forEach(([x, y], i) =>
      expect(distance(shoe![i]!, [x - left + 5, top + 5 - y])).toBeLessThan(0.01),
    )
  })

  it('keeps words as words, whatever stands in them', () => {
    const drawing: Drawing = {
      title: 'A <b> & "c"',
      layers: [
        {
          ...{
            name: 'Say "it" <now>',
            stroke: 'fine',
            lines: [
              {
                points: [
                  [0, 0],
                  [1, 1],
                ],
                closed: false,
              },
            ],
          },
          words: [{ text: '1 < 2 & 3 \u0000', at: [0, 0], height: 3 }],
        },
      ],
    }
    const svg = writeSvg(drawing)
    expect(svg).not.toMatch(/<b>|<now>/)
    expect(svg).not.toContain('\u0000')
    expect(svg).toContain('1 &#60; 2 &#38; 3')
  })
})

describe('a DXF template', () => {
  it('is read by two readers as the planned curve, in millimetres, on layers named by the trade', () => {
    const drawing = sole()
    const text = writeDxf(drawing)
    const read = new DxfParser().parseSync(text)!
    expect(read.header['$INSUNITS']).toBe(4)
    const shoe = read.entities.filter(({ layer }) => layer === 'Shoe')
    const planned = linesOf(drawing, 'Shoe')
    expect(shoe.length).toBe(planned.length)
    const vertices = (shoe[0] as unknown as { vertices: { x: number; y: number }[]; shape: boolean }).vertices
    planned[0]!.points.forEach((point, i) =>
      expect(distance(point, [vertices[i]!.x, vertices[i]!.y])).toBeLessThan(0.01),
    )
    const second = parseDxf(text)
    const holes = second.entities.filter(({ layer, type }) => layer === 'Nail holes' && type === 'CIRCLE')
    expect(holes.length).toBe(8)
    for (const name of ['Shoe', 'Nail holes', 'Middle of the toe', 'Foot', 'White line', 'Frog'])
      expect(second.entities.some(({ layer }) => layer === name)).toBe(true)
  })
})

describe('templates of a shoe', () => {
  it('are there for every piece it has and for no other, whatever is made', () => {
    fc.assert(
      fc.property(anyPlan, (any) => {
        const plan = tryPlan(requestOf(any))
        if (!plan) return
        const kinds = pieceKindsOf(plan)
        for (const kind of TEMPLATE_KINDS) {
          const drawing = templateOf(plan, kind, MM, 'x')
          expect(drawing !== undefined, kind).toBe(kinds.includes(kind))
          if (!drawing) continue
          const { left, right, top, bottom } = boundsOf(drawing)
          expect([left, right, top, bottom].every(Number.isFinite)).toBe(true)
        }
      }),
      { numRuns: 40 },
    )
  })

  it('lie as they are seen: outside on the right from the ground on a left foot, on the left from above', () => {
    const uneven = { ...FIVE_BY_FIVE, lateralHalfWidth: 70 }
    const outside = (side: 'LF' | 'RF', kind: 'sole' | 'foot') => {
      const drawing = templateOf(planShoe({ ...uneven, side }, PLAIN_SHOE), kind, MM, 'x')!
      const xs = linesOf(drawing, 'Foot')[0]!.points.map(([x]) => x)
      return Math.max(...xs) > -Math.min(...xs) ? 'right' : 'left'
    }
    expect(outside('LF', 'sole')).toBe('right')
    expect(outside('LF', 'foot')).toBe('left')
    expect(outside('RF', 'sole')).toBe('left')
    expect(outside('RF', 'foot')).toBe('right')
  })

  it('mirrored twice are what they were', () => {
    const drawing = sole()
    expect(mirrored(mirrored(drawing))).toEqual(drawing)
    expect(boundsOf(mirrored(drawing)).left).toBeCloseTo(-boundsOf(drawing).right, 9)
  })

  it('cross bars stand hole to hole as they are told: 1 1/4 gives 1 3/8, 1 1/2, 1 5/8, 1 3/4 (common practice)', () => {
    const plan = made([{ kind: 'hinged-expander', resting: 1.25 * 25.4 }])
    const drawing = templateOf(plan, 'bars', MM, 'x')!
    const holes = drawing.layers.find(({ name }) => name === 'Drill')!.holes!
    const apart = [0, 2, 4, 6].map((i) => distance(holes[i]!.at, holes[i + 1]!.at) / 25.4)
    expect(apart.map((inches) => Math.round(inches * 8) / 8)).toEqual([1.375, 1.5, 1.625, 1.75])
  })

  it('shows where the seat begins, on the foot side only: as far outside the inner rim as it is told', () => {
    const plan = made([{ kind: 'seating-out', across: 8 }])
    const [foot, ground] = (['foot', 'sole'] as const).map((kind) => templateOf(plan, kind, MM, 'Test')!)
    const [seat] = linesOf(foot!, 'Seat')
    for (const at of seat!.points) expect(nearestAlong(plan.outline.inner, at).off).toBeCloseTo(8, 0)
    expect(ground!.layers.map(({ name }) => name)).not.toContain('Seat')
    expect(linesOf(templateOf(made([{ kind: 'boxing' }]), 'foot', MM, 'Test')!, 'Boxed edge').length).toBe(2)
    const bevelled = templateOf(made([{ kind: 'perimeter-bevel', across: 4 }]), 'sole', MM, 'Test')!
    for (const { points } of linesOf(bevelled, 'Bevel'))
      for (const at of points) {
        const { off } = nearestAlong(plan.outline.outer, at)
        expect(off).toBeGreaterThan(1)
        expect(off).toBeLessThan(5)
      }
  })

  it('the strip has each mark where the bar has it, the toe at its place', () => {
    const plan = planShoe({ ...FIVE_BY_FIVE, lateralHalfWidth: 69 }, PLAIN_SHOE)
    const drawing = templateOf(plan, 'strip', MM, 'x')!
    const edge = linesOf(drawing, 'Bar')[0]!.points.map(([x]) => x)
    expect(Math.max(...edge) - Math.min(...edge)).toBeCloseTo(plan.iron.cutLength, 9)
    const marks = linesOf(drawing, 'Marks').map(({ points }) => points[0]![0])
    plan.iron.marks.forEach(({ branch, fromEnd }, i) => {
      const end = branch === 'medial' ? Math.min(...edge) : Math.max(...edge)
      expect(Math.abs(marks[i]! - end)).toBeCloseTo(fromEnd, 9)
    })
  })

  it('a factory shoe has no strip', () => {
    const plan = planShoe(FIVE_BY_FIVE, shoeOfSize(sizeOf(320)))
    expect(templateOf(plan, 'strip', MM, 'x')).toBeUndefined()
    expect(pieceKindsOf(plan)).not.toContain('strip')
  })
})
