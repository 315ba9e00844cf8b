import { DOMParser } from '@xmldom/xmldom'
import svgpath from 'svgpath'
import type { Vec } from '../../geometry/vector'
import { Budget, Unreadable, type ReadCurve, type ReadOutlines } from './curves'
import { bezier, svgArc } from './flatten'
import { checkSvgForm } from './svg-form'
import { svgLength } from './svg-length'
import { rulesOf, styleOf } from './svg-style'
import { innerView, viewBoxOf, viewTransform, type Viewport } from './svg-view'

/** Groups may lie in groups so deep; deeper no program draws. */
const DEEPEST = 100

/** Elements that are drawn, copies among them, at the most. */
const MOST_WALKED = 50_000

/** What of an element is read here. */
interface Read {
  nodeName: string
  getAttribute: (name: string) => string | null
  childNodes: ArrayLike<unknown>
  textContent?: string | null
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
  const { turns: laid, viewport, scale, unit, questions } = sizeOf(root)
  const curves: ReadCurve[] = []
  const all = elementsOf(root)
  const rules = rulesOf(all.filter((one) => nameOf(one) === 'style').map((one) => one.textContent ?? ''))
  const named = new Map(
    all.flatMap((one) => (one.getAttribute('id') ? [[one.getAttribute('id')!, one] as const] : [])),
  )
  let skipped = 0
  let walked = 0
  const walk = (element: Read, { turns, layer, hidden, within, depth, copied }: Inside): void => {
    if (depth > DEEPEST) throw new Unreadable(`Groups lie more than ${DEEPEST} deep in the file.`)
    // Copies of copies of copies come to more than any file holds.
    if (++walked > MOST_WALKED)
      throw new Unreadable('The file holds more copies than any drawing: leave only the outline in it.')
    const name = nameOf(element)
    if (NOT_DRAWN.includes(name) || (name === 'symbol' && !copied)) return
    const style = styleOf(element, rules)
    if (style.display === 'none') return
    if (name === 'image' || name === 'text') skipped++
    let own = turned(turns, style.transform)
    let viewport = within
    if (depth > 0 && (name === 'svg' || name === 'symbol')) {
      const inner = innerView(element, within)
      own = turned(own, inner.turns)
      viewport = inner.viewport
    }
    const unseen = style.visibility === '' ? hidden : style.visibility !== 'visible'
    const inside = { turns: own, layer, hidden: unseen, within: viewport, depth: depth + 1, copied: false }
    const path = unseen ? undefined : pathOf(name, element, within)
    if (path)
      for (const curve of flattened(path, own)) {
        const points = curve.points.map(([x, y]): Vec => [x * scale, -y * scale])
        budget.take(points)
        curves.push({ ...curve, points, layer })
      }
    if (name === 'use') return copy(element, inside)
    const group = name === 'g' ? labelOf(element) : ''
    for (const child of Array.from(element.childNodes))
      if (isElement(child)) walk(child, { ...inside, layer: group === '' ? layer : group })
  }
  /** What is drawn a second time elsewhere; only what lies in the file itself. */
  const copy = (use: Read, inside: Inside): void => {
    const href = use.getAttribute('href') ?? use.getAttribute('xlink:href') ?? ''
    const what = href.startsWith('#') ? named.get(href.slice(1)) : undefined
    if (!what) return void skipped++
    const at = (key: 'x' | 'y', whole: number) => svgLength(use.getAttribute(key), whole) ?? 0
    const { width, height } = inside.within
    const turns = turned(inside.turns, `translate(${at('x', width)} ${at('y', height)})`)
    walk(what, { ...inside, turns, copied: true })
  }
  walk(root, { turns: laid, layer: '', hidden: false, within: viewport, depth: 0, copied: false })
  if (skipped > 0)
    questions.push(
      'Words, pictures and copies out of other files are not read: are the lines you want drawn as paths?',
    )
  return { curves, unit, questions }
}

/** What is known on the way down to an element. */
interface Inside {
  turns: string
  layer: string
  hidden: boolean
  /** What percentages are of. */
  within: Viewport
  depth: number
  /** It is drawn because a copy asks for it. */
  copied: boolean
}

/** Elements that are not drawn where they stand. */
const NOT_DRAWN = [
  'defs',
  'clipPath',
  'mask',
  'pattern',
  'marker',
  'style',
  'script',
  'linearGradient',
  'radialGradient',
]

const nameOf = ({ nodeName }: Read): string => nodeName.replace(/^.*:/, '')

const labelOf = (element: Read): string =>
  element.getAttribute('data-layer') ??
  element.getAttribute('inkscape:label') ??
  element.getAttribute('id') ??
  ''

/** All elements of a file, the root first. */
function elementsOf(root: Read): Read[] {
  const all = [root]
  for (let i = 0; i < all.length; i++)
    for (const child of Array.from(all[i]!.childNodes)) if (isElement(child)) all.push(child)
  return all
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

/** How the whole drawing is laid out, and how many mm a unit of it is, where its size says what it is in. */
interface Size {
  turns: string
  viewport: Viewport
  scale: number
  unit: ReadOutlines['unit']
  questions: string[]
}

/** A size that is told in pixels or not at all: a screen has no size of its own. */
const IN_MM = /(mm|cm|in|pt|pc|q)\s*$/i

function sizeOf(root: Read): Size {
  const box = viewBoxOf(root)
  const side = (name: 'width' | 'height') => {
    const text = root.getAttribute(name) ?? ''
    const pixels = /%\s*$/.test(text) ? undefined : svgLength(text, 0)
    return pixels !== undefined && pixels > 0 ? { pixels, real: IN_MM.test(text), text } : undefined
  }
  const [wide, high] = [side('width'), side('height')]
  const told = wide ?? high
  const share = box ? box[3] / box[2] : (high?.pixels ?? 1) / (wide?.pixels ?? 1)
  const width = wide?.pixels ?? (high ? high.pixels / share : (box?.[2] ?? 0))
  const viewport = { width, height: high?.pixels ?? width * share }
  const turns = viewTransform(root, viewport)
  const within = box ? { width: box[2], height: box[3] } : viewport
  if (told?.real) {
    const unit = /in\s*$/i.test(told.text) ? 'in' : /cm\s*$/i.test(told.text) ? 'cm' : 'mm'
    return { turns, viewport: within, scale: 25.4 / 96, unit, questions: [] }
  }
  // In units of its own box, as it is drawn.
  const scale = box && width > 0 ? box[2] / width : 1
  return {
    ...{ turns, viewport: within, scale: Number.isFinite(scale) ? scale : 1, unit: null },
    questions: ['The file does not say how large it is: how wide is the drawing?'],
  }
}

/** An element as path data; undefined where it is no line. */
function pathOf(name: string, element: Read, { width, height }: Viewport): string | undefined {
  const diagonal = Math.hypot(width, height) / Math.SQRT2
  const along = (key: string): number => svgLength(element.getAttribute(key), width) ?? 0
  const down = (key: string): number => svgLength(element.getAttribute(key), height) ?? 0
  switch (name) {
    case 'path':
      return element.getAttribute('d') ?? undefined
    case 'polyline':
    case 'polygon': {
      const points = (element.getAttribute('points') ?? '').trim()
      return points === '' ? undefined : `M${points}${name === 'polygon' ? 'Z' : ''}`
    }
    case 'line':
      return `M${along('x1')} ${down('y1')}L${along('x2')} ${down('y2')}`
    case 'rect':
      return boxPath(
        [along('x'), down('y'), along('width'), down('height')],
        [svgLength(element.getAttribute('rx'), width), svgLength(element.getAttribute('ry'), height)],
      )
    case 'circle': {
      const r = svgLength(element.getAttribute('r'), diagonal) ?? 0
      return roundPath(along('cx'), down('cy'), r, r)
    }
    case 'ellipse': {
      const [rx, ry] = [
        svgLength(element.getAttribute('rx'), width),
        svgLength(element.getAttribute('ry'), height),
      ]
      return roundPath(along('cx'), down('cy'), rx ?? ry ?? 0, ry ?? rx ?? 0)
    }
    default:
      return undefined
  }
}

const roundPath = (cx: number, cy: number, rx: number, ry: number): string | undefined =>
  rx > 0 && ry > 0
    ? `M${cx - rx} ${cy}A${rx} ${ry} 0 1 0 ${cx + rx} ${cy}A${rx} ${ry} 0 1 0 ${cx - rx} ${cy}Z`
    : undefined

/** A rectangle, its corners rounded where it says so: by one half axis where only one is told, by half a side at most. */
function boxPath(
  [x, y, w, h]: readonly [number, number, number, number],
  [rounded, also]: readonly [number | undefined, number | undefined],
): string | undefined {
  if (!(w > 0 && h > 0)) return undefined
  const rx = Math.min(w / 2, Math.max(0, rounded ?? also ?? 0))
  const ry = Math.min(h / 2, Math.max(0, also ?? rounded ?? 0))
  if (rx === 0 || ry === 0) return `M${x} ${y}h${w}v${h}h${-w}Z`
  const corner = (dx: number, dy: number) => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`
  return (
    `M${x + rx} ${y}h${w - 2 * rx}${corner(rx, ry)}v${h - 2 * ry}${corner(-rx, ry)}` +
    `h${2 * rx - w}${corner(-rx, -ry)}v${2 * ry - h}${corner(rx, -ry)}Z`
  )
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
