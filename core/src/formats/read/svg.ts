import { DOMParser } from '@xmldom/xmldom'
import svgpath from 'svgpath'
import type { Vec } from '../../geometry/vector'
import { Budget, MM, Unreadable, type ReadCurve, type ReadOutlines } from './curves'
import { bezier, svgArc } from './flatten'
import { checkSvgForm } from './svg-form'

/** Groups may lie in groups so deep; deeper no program draws. */
const DEEPEST = 100

/** What of an element is read here. */
interface Read {
  nodeName: string
  getAttribute: (name: string) => string | null
  childNodes: ArrayLike<unknown>
}

/**
 * The lines of an SVG: paths, polylines, polygons, lines, rectangles, circles and ellipses, with what turns and scales them.
 * y is turned to count up. Its unit is known where the width says it.
 *
 * @throws Unreadable where it is no SVG, or one that is too deep or too large
 */
export function readSvg(text: string): ReadOutlines {
  // Entities can be made to grow without end, and no outline needs a document type of its own.
  if (/<!(DOCTYPE[^>]*\[|ENTITY)/i.test(text))
    throw new Unreadable('The file declares entities of its own. Save it as a plain SVG.')
  checkSvgForm(text)
  const root = parsed(text)
  const budget = new Budget()
  const { scale, unit, questions } = sizeOf(root)
  const curves: ReadCurve[] = []
  let skipped = 0
  const walk = (element: Read, turns: string, layer: string, depth: number): void => {
    if (depth > DEEPEST) throw new Unreadable(`Groups lie more than ${DEEPEST} deep in the file.`)
    const name = element.nodeName.replace(/^.*:/, '')
    if (['defs', 'clipPath', 'mask', 'symbol', 'pattern', 'marker', 'style', 'script'].includes(name)) return
    if (name === 'use' || name === 'image' || name === 'text') skipped++
    const own = turned(turns, element.getAttribute('transform') ?? '')
    const named =
      element.getAttribute('data-layer') ??
      element.getAttribute('inkscape:label') ??
      element.getAttribute('id') ??
      ''
    const path = pathOf(name, element)
    if (path)
      for (const curve of flattened(path, own)) {
        const points = curve.points.map(([x, y]): Vec => [x * scale, -y * scale])
        budget.take(points)
        curves.push({ ...curve, points, layer })
      }
    for (const child of Array.from(element.childNodes))
      if (isElement(child)) walk(child, own, name === 'g' && named !== '' ? named : layer, depth + 1)
  }
  walk(root, '', '', 0)
  if (skipped > 0)
    questions.push(
      'Words, pictures and copies in the file are not read: are the lines you want drawn as paths?',
    )
  return { curves, unit, questions }
}

/** All that turns and scales a line as one matrix: groups in groups would write a longer sentence at each line. */
function turned(turns: string, transform: string): string {
  if (transform.trim() === '') return turns
  const places: Vec[] = []
  svgpath('M0 0L1 0L0 1')
    .transform(`${turns} ${transform}`)
    .iterate((segment) => void places.push([Number(segment[1]), Number(segment[2])]))
  const [[e, f], [ax, ay], [cx, cy]] = places as [Vec, Vec, Vec]
  return `matrix(${[ax - e, ay - f, cx - e, cy - f, e, f].join(' ')})`
}

const isElement = (node: unknown): node is Read => (node as { nodeType?: number }).nodeType === 1

function parsed(text: string): Read {
  let root: Read | null
  try {
    const stop = (_level: string, message: string) => {
      throw new Unreadable(message)
    }
    root = new DOMParser({ onError: stop }).parseFromString(text, 'image/svg+xml').documentElement
  } catch {
    throw new Unreadable('The file is no SVG: its tags do not fit together.')
  }
  if (root?.nodeName.replace(/^.*:/, '') !== 'svg')
    throw new Unreadable('The file is no SVG: it does not begin with one.')
  return root
}

/** mm for each unit of the drawing, where its width says what it is in. */
function sizeOf(root: Read): { scale: number; unit: ReadOutlines['unit']; questions: string[] } {
  const said = /^\s*([\d.]+)\s*(mm|cm|in|pt|pc)\s*$/.exec(root.getAttribute('width') ?? '')
  const box = (root.getAttribute('viewBox') ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number)
  if (!said)
    return {
      ...{ scale: 1, unit: null },
      questions: ['The file does not say how large it is: how wide is the drawing?'],
    }
  const per = { ...MM, pt: 25.4 / 72, pc: 25.4 / 6 }[said[2] as 'mm' | 'cm' | 'in' | 'pt' | 'pc']
  const wide = Number(said[1]) * per
  const [, , units = 0] = box
  // Without a box of its own its unit is the pixel of CSS, 96 to the inch (CSS Values 3).
  const scale = units > 0 ? wide / units : 25.4 / 96
  return Number.isFinite(scale) && scale > 0
    ? { scale, unit: said[2] === 'in' ? 'in' : said[2] === 'cm' ? 'cm' : 'mm', questions: [] }
    : { scale: 1, unit: null, questions: ['The size of the file cannot be read: how wide is the drawing?'] }
}

/** An element as path data; undefined where it is no line. */
function pathOf(name: string, element: Read): string | undefined {
  const number = (key: string): number => Number(element.getAttribute(key) ?? 0)
  const round = (cx: number, cy: number, rx: number, ry: number) =>
    rx > 0 && ry > 0
      ? `M${cx - rx} ${cy}A${rx} ${ry} 0 1 0 ${cx + rx} ${cy}A${rx} ${ry} 0 1 0 ${cx - rx} ${cy}Z`
      : undefined
  switch (name) {
    case 'path':
      return element.getAttribute('d') ?? undefined
    case 'polyline':
    case 'polygon': {
      const points = (element.getAttribute('points') ?? '').trim()
      return points === '' ? undefined : `M${points}${name === 'polygon' ? 'Z' : ''}`
    }
    case 'line':
      return `M${number('x1')} ${number('y1')}L${number('x2')} ${number('y2')}`
    case 'rect': {
      const [x, y, w, h] = [number('x'), number('y'), number('width'), number('height')]
      return w > 0 && h > 0 ? `M${x} ${y}h${w}v${h}h${-w}Z` : undefined
    }
    case 'circle':
      return round(number('cx'), number('cy'), number('r'), number('r'))
    case 'ellipse':
      return round(number('cx'), number('cy'), number('rx'), number('ry'))
    default:
      return undefined
  }
}

/** Path data as lines of points, after everything that turns and scales it. */
function flattened(data: string, turns: string): Omit<ReadCurve, 'layer'>[] {
  const path = svgpath(data)
  if ((path as unknown as { err: string }).err)
    throw new Unreadable('A path of the file cannot be read: its data breaks off or is none.')
  const curves: Omit<ReadCurve, 'layer'>[] = []
  let points: Vec[] = []
  let start: Vec = [0, 0]
  const end = (closed: boolean) => {
    if (points.length > 1) curves.push({ points, closed })
    points = []
  }
  path
    .abs()
    .unshort()
    .transform(turns)
    .iterate((segment, _index, x, y) => {
      const from: Vec = [x, y]
      const [command, ...given] = segment as [string, ...number[]]
      const n = given.map(Number)
      const to: Vec = [n[n.length - 2]!, n[n.length - 1]!]
      const go = (run: readonly Vec[]) => {
        if (points.length === 0) points.push(from)
        points.push(...run.slice(1))
      }
      if (command === 'M') {
        end(false)
        start = to
        points = [to]
      } else if (command === 'L') go([from, to])
      else if (command === 'H') go([from, [n[0]!, y]])
      else if (command === 'V') go([from, [x, n[0]!]])
      else if (command === 'C') go(bezier([from, [n[0]!, n[1]!], [n[2]!, n[3]!], to]))
      else if (command === 'Q') go(bezier([from, [n[0]!, n[1]!], to]))
      else if (command === 'A') go(svgArc(from, [n[0]!, n[1]!], n[2]!, n[3] === 1, n[4] === 1, to))
      else if (command === 'Z' || command === 'z') {
        end(true)
        points = [start]
      }
    })
  end(false)
  return curves
}
