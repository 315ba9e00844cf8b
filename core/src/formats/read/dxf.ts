import { parseDxf, withoutFrames, type DxfEntity, type DxfFile } from './dxf-reader'
import type { Vec } from '../../geometry/vector'
import { Budget, MM, Unreadable, type ReadCurve, type ReadOutlines } from './curves'
import { checkForm, BROKEN } from './dxf-form'
import { bSpline, bulgeArc, ellipseArc } from './flatten'

/** Blocks may lie in blocks so deep. */
const DEEPEST = 12

/** Units by the number the file says ($INSUNITS of the DXF reference), as one of those that are told, and how many of it they are. */
const UNITS: Readonly<Record<number, readonly [unit: NonNullable<ReadOutlines['unit']>, times: number]>> = {
  1: ['in', 1],
  2: ['ft', 1],
  4: ['mm', 1],
  5: ['cm', 1],
  6: ['m', 1],
  8: ['in', 1e-6],
  9: ['in', 1e-3],
  10: ['ft', 3],
  13: ['mm', 1e-3],
  14: ['mm', 100],
}

const vec = ({ x = 0, y = 0 }: { x?: number; y?: number }): Vec => [x, y]

/**
 * The lines of a DXF as they are seen in it: lines, polylines with their bulges, arcs, circles, ellipses, splines and blocks,
 * without what lies on layers that are off or frozen, is invisible, or belongs to a sheet about the drawing.
 *
 * @throws Unreadable where it is no DXF, holds too much, or holds what cannot be drawn as it is meant
 */
export function readDxf(text: string): ReadOutlines {
  const file = parsed(text)
  const { unit, scale } = unitOf(file)
  const budget = new Budget()
  const curves: ReadCurve[] = []
  const blocks = new Map(file.blocks.map((block) => [block.name, block]))
  const isShown = shownIn(file)
  let hidden = 0
  const walk = (
    entities: readonly DxfEntity[],
    place: (point: Vec) => Vec,
    depth: number,
    within: string,
  ): void => {
    if (depth > DEEPEST) throw new Unreadable(`Blocks lie more than ${DEEPEST} deep in the file.`)
    for (const entity of entities) {
      // Of a block what lies on no layer of its own lies on that of the block.
      const layer = entity.layer === undefined || (entity.layer === '0' && depth > 0) ? within : entity.layer
      if (!isShown(entity, layer)) {
        hidden++
        continue
      }
      if (entity.type === 'INSERT') {
        const block = blocks.get(entity.block ?? '')
        if (!block) continue
        const [bx, by] = vec(block)
        for (const inserted of insertedBy(entity, place))
          walk(block.entities ?? [], ([x, y]) => inserted([x - bx, y - by]), depth + 1, layer)
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
  walk(file.entities, (point) => point, 0, '0')
  if (curves.length === 0 && hidden > 0)
    throw new Unreadable(
      'Every line of the file is hidden: its layers are off or frozen, or it lies on a sheet about the drawing.',
    )
  return {
    ...{ curves, unit },
    questions: unit ? [] : ['The file does not say its unit: is it drawn in millimetres or in inches?'],
  }
}

function unitOf({ header }: DxfFile): { unit: ReadOutlines['unit']; scale: number } {
  const said = header.insUnits ?? 0
  const [unit, times] = UNITS[said] ?? []
  if (unit !== undefined && times !== undefined) return { unit, scale: MM[unit] * times }
  if (said === 0) return { unit: null, scale: 1 }
  throw new Unreadable(
    'The file is drawn in a unit that no foot is measured in: save it in millimetres or inches.',
  )
}

/** Whether an entity is seen on its layer. */
function shownIn({ tables }: DxfFile): (entity: DxfEntity, layer: string) => boolean {
  const layers = tables?.layers ?? {}
  return (entity, name) => {
    const layer = Object.hasOwn(layers, name) ? layers[name] : undefined
    const off = (layer?.colorNumber ?? 1) < 0 || ((layer?.flags ?? 0) & 1) !== 0
    return !off && entity.visible !== false && !entity.paperSpace
  }
}

function parsed(text: string): DxfFile {
  const lines = checkForm(text)
  try {
    return parseDxf(withoutFrames(lines).join('\n'))
  } catch {
    throw new Unreadable(BROKEN)
  }
}

/** No block is laid side by side more often. */
const MOST_COPIES = 1000

/** Where points of a block come to lie: once, or in rows and columns. */
function insertedBy(insert: DxfEntity, place: (point: Vec) => Vec): ((point: Vec) => Vec)[] {
  const { scaleX = 1, scaleY = 1, rotation = 0, columnSpacing = 0, rowSpacing = 0 } = insert
  const [columns, rows] = [insert.columnCount ?? 1, insert.rowCount ?? 1].map((count) =>
    Math.max(1, count),
  ) as [number, number]
  if (columns * rows > MOST_COPIES)
    throw new Unreadable(`A block lies side by side more than ${MOST_COPIES} times in the file.`)
  const turn = (rotation * Math.PI) / 180
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)]
  const [px, py] = vec(insert)
  const seen = isFromBelow(insert) ? ([x, y]: Vec): Vec => place([-x, y]) : place
  return Array.from({ length: columns * rows }, (_, i) => {
    const [dx, dy] = [(i % columns) * columnSpacing, Math.floor(i / columns) * rowSpacing]
    return ([x, y]: Vec): Vec => {
      const [sx, sy] = [x * scaleX + dx, y * scaleY + dy]
      return seen([px + sx * cos - sy * sin, py + sx * sin + sy * cos])
    }
  })
}

/** So much of the way a plane looks must be up or down. */
const STRAIGHT = 0.999

/**
 * Whether the plane of an entity looks down: its own x runs the other way then (the arbitrary axis of the DXF reference).
 *
 * @throws Unreadable where it is tilted: what it looks like from above nobody drew
 */
function isFromBelow({ extrusionX = 0, extrusionY = 0, extrusionZ = 1 }: DxfEntity): boolean {
  const long = Math.hypot(extrusionX, extrusionY, extrusionZ)
  if (!(long > 0) || Math.abs(extrusionZ) < STRAIGHT * long)
    throw new Unreadable('A line of the file lies in a tilted plane: lay it flat, and save it again.')
  return extrusionZ < 0
}

const WHOLE = 2 * Math.PI

/** An entity as a line; undefined where it is none. */
function curveOf(entity: DxfEntity): Omit<ReadCurve, 'layer'> | undefined {
  switch (entity.type) {
    case 'LINE':
      return { points: [vec(entity.start ?? {}), vec(entity.end ?? {})], closed: false }
    case 'LWPOLYLINE':
    case 'POLYLINE':
      return inOwnPlane(entity, polyline(entity.vertices ?? [], entity.closed ?? false))
    case 'ARC':
    case 'CIRCLE':
      return inOwnPlane(entity, round(entity))
    case 'ELLIPSE':
      return ellipse(entity)
    case 'SPLINE':
      return spline(entity)
    default:
      return undefined
  }
}

/** What is drawn in the entity's own plane, as it is seen from above. */
function inOwnPlane<T extends Omit<ReadCurve, 'layer'> | undefined>(entity: DxfEntity, curve: T): T {
  if (!curve || !isFromBelow(entity)) return curve
  return { ...curve, points: curve.points.map(([x, y]): Vec => [-x, y]) }
}

function round(entity: DxfEntity): Omit<ReadCurve, 'layer'> {
  const { type, r = 0, startAngle = 0, endAngle = WHOLE } = entity
  if (type === 'CIRCLE')
    return { points: ellipseArc(vec(entity), [r, r], 0, 0, WHOLE).slice(0, -1), closed: true }
  return {
    points: ellipseArc(vec(entity), [r, r], 0, startAngle, sweepOf(startAngle, endAngle)),
    closed: false,
  }
}

/** @throws Unreadable where it is told by the points it runs through, or by knots that are not its own */
function spline({
  controlPoints = [],
  knots = [],
  weights,
  degree = 3,
  closed = false,
}: DxfEntity): Omit<ReadCurve, 'layer'> {
  const points = bSpline(controlPoints.map(vec), knots, degree, weights)
  if (points) return { points, closed }
  throw new Unreadable(
    controlPoints.length === 0
      ? 'A spline of the file is told only by the points it runs through, not how: save it as a polyline.'
      : 'A spline of the file has knots or weights that do not belong to its points: save it as a polyline.',
  )
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
  // Seen from below its middle and its long axis stay where they are; it runs round the other way.
  const short = long * axisRatio * (isFromBelow(entity) ? -1 : 1)
  const sweep = sweepOf(startAngle, endAngle)
  const closed = Math.abs(sweep - WHOLE) < 1e-6
  const points = ellipseArc(vec(entity), [long, short], Math.atan2(majorY, majorX), startAngle, sweep)
  return { points: closed ? points.slice(0, -1) : points, closed }
}
