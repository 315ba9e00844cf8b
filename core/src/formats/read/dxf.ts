import { parseDxf, type DxfEntity, type DxfFile } from './dxf-reader'
import type { Vec } from '../../geometry/vector'
import { Budget, MM, Unreadable, type ReadCurve, type ReadOutlines } from './curves'
import { checkForm, BROKEN } from './dxf-form'
import { bSpline, bulgeArc, ellipseArc } from './flatten'

/** Blocks may lie in blocks so deep. */
const DEEPEST = 12

/** Units by the number the file says ($INSUNITS of the DXF reference). */
const UNITS: Readonly<Record<number, NonNullable<ReadOutlines['unit']>>> = {
  1: 'in',
  2: 'ft',
  4: 'mm',
  5: 'cm',
  6: 'm',
}

const vec = ({ x = 0, y = 0 }: { x?: number; y?: number }): Vec => [x, y]

/**
 * The lines of a DXF: lines, polylines with their bulges, arcs, circles, ellipses, splines and blocks.
 *
 * @throws Unreadable where it is no DXF or holds too much
 */
export function readDxf(text: string): ReadOutlines {
  const file = parsed(text)
  const unit = UNITS[file.header.insUnits ?? 0] ?? null
  const scale = unit ? MM[unit] : 1
  const budget = new Budget()
  const curves: ReadCurve[] = []
  const blocks = new Map(file.blocks.map((block) => [block.name, block]))
  const walk = (entities: readonly DxfEntity[], place: (point: Vec) => Vec, depth: number): void => {
    if (depth > DEEPEST) throw new Unreadable(`Blocks lie more than ${DEEPEST} deep in the file.`)
    for (const entity of entities) {
      const layer = entity.layer ?? ''
      if (entity.type === 'INSERT') {
        const block = blocks.get(entity.block ?? '')
        if (!block) continue
        const [bx, by] = vec(block)
        const inserted = insertedBy(entity, place)
        walk(block.entities ?? [], ([x, y]) => inserted([x - bx, y - by]), depth + 1)
        continue
      }
      const curve = curveOf(entity)
      if (!curve) continue
      const points = curve.points.map((point): Vec => {
        const [x, y] = place(point)
        return [x * scale, y * scale]
      })
      budget.take(points)
      curves.push({ ...curve, points, layer })
    }
  }
  walk(file.entities, (point) => point, 0)
  return {
    ...{ curves, unit },
    questions: unit ? [] : ['The file does not say its unit: is it drawn in millimetres or in inches?'],
  }
}

function parsed(text: string): DxfFile {
  const lines = checkForm(text)
  try {
    return parseDxf(lines.join('\n'))
  } catch {
    throw new Unreadable(BROKEN)
  }
}

/** Where points of a block come to lie. */
function insertedBy(insert: DxfEntity, place: (point: Vec) => Vec) {
  const { scaleX = 1, scaleY = 1, rotation = 0 } = insert
  const turn = (rotation * Math.PI) / 180
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)]
  const [px, py] = vec(insert)
  return ([x, y]: Vec): Vec => {
    const [sx, sy] = [x * scaleX, y * scaleY]
    return place([px + sx * cos - sy * sin, py + sx * sin + sy * cos])
  }
}

const WHOLE = 2 * Math.PI

/** An entity as a line; undefined where it is none. */
function curveOf(entity: DxfEntity): Omit<ReadCurve, 'layer'> | undefined {
  const { r = 0, startAngle = 0, endAngle = WHOLE } = entity
  switch (entity.type) {
    case 'LINE':
      return { points: [vec(entity.start ?? {}), vec(entity.end ?? {})], closed: false }
    case 'LWPOLYLINE':
    case 'POLYLINE':
      return polyline(entity.vertices ?? [], entity.closed ?? false)
    case 'ARC':
      return {
        points: ellipseArc(vec(entity), [r, r], 0, startAngle, sweepOf(startAngle, endAngle)),
        closed: false,
      }
    case 'CIRCLE':
      return { points: ellipseArc(vec(entity), [r, r], 0, 0, WHOLE).slice(0, -1), closed: true }
    case 'ELLIPSE':
      return ellipse(entity)
    case 'SPLINE': {
      const { controlPoints = [], knots = [], degree = 3, closed = false } = entity
      const points = bSpline(controlPoints.map(vec), knots, degree)
      return points && { points, closed }
    }
    default:
      return undefined
  }
}

/** Counter-clockwise from one angle to another, radians. */
const sweepOf = (from: number, to: number): number => (to > from ? to - from : to - from + WHOLE)

function polyline(
  vertices: readonly { x?: number; y?: number; bulge?: number }[],
  closed: boolean,
): Omit<ReadCurve, 'layer'> | undefined {
  if (vertices.length < 2) return undefined
  const count = closed ? vertices.length : vertices.length - 1
  const points = [vec(vertices[0]!)]
  for (let i = 0; i < count; i++) {
    const [from, to] = [vertices[i]!, vertices[(i + 1) % vertices.length]!]
    points.push(...bulgeArc(vec(from), vec(to), from.bulge ?? 0).slice(1))
  }
  return { points, closed }
}

function ellipse(entity: DxfEntity): Omit<ReadCurve, 'layer'> {
  const { majorX = 0, majorY = 0, axisRatio = 1, startAngle = 0, endAngle = WHOLE } = entity
  const long = Math.hypot(majorX, majorY)
  const sweep = sweepOf(startAngle, endAngle)
  const closed = Math.abs(sweep - WHOLE) < 1e-6
  const points = ellipseArc(
    vec(entity),
    [long, long * axisRatio],
    Math.atan2(majorY, majorX),
    startAngle,
    sweep,
  )
  return { points: closed ? points.slice(0, -1) : points, closed }
}
