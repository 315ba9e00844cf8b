import { svgLength } from './svg-length'

/** A place that is drawn in: how wide and high it is in its own units. */
export interface Viewport {
  width: number
  height: number
}

/** What of an element tells how its inside is laid into its place. */
interface Viewed {
  getAttribute: (name: string) => string | null
}

/** The four numbers of a viewBox; undefined where there is none that can be used. */
export function viewBoxOf(element: Viewed): readonly [number, number, number, number] | undefined {
  const numbers = (element.getAttribute('viewBox') ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number)
  const [x, y, width, height] = numbers
  return numbers.length === 4 && numbers.every(Number.isFinite) && width! > 0 && height! > 0
    ? [x!, y!, width!, height!]
    : undefined
}

/** How the inside of an element with a viewBox is scaled and shifted into its place (SVG 2, 8.2: equivalent transform). */
export function viewTransform(element: Viewed, { width, height }: Viewport): string {
  const box = viewBoxOf(element)
  if (!box) return ''
  const [x, y, wide, high] = box
  const words = (element.getAttribute('preserveAspectRatio') ?? '').trim().split(/\s+/)
  const align = words.find((word) => /^(none|x(Min|Mid|Max)Y(Min|Mid|Max))$/.test(word)) ?? 'xMidYMid'
  let [sx, sy] = [width / wide, height / high]
  if (align !== 'none') sx = sy = words.includes('slice') ? Math.max(sx, sy) : Math.min(sx, sy)
  const shift = (way: string, room: number) =>
    way === 'Min' || way === 'none' ? 0 : way === 'Mid' ? room / 2 : room
  const [, across = 'none', down = 'none'] = /^x(Min|Mid|Max)Y(Min|Mid|Max)$/.exec(align) ?? []
  const [dx, dy] = [shift(across, width - wide * sx), shift(down, height - high * sy)]
  return `translate(${dx - x * sx} ${dy - y * sy}) scale(${sx} ${sy})`
}

/** A picture within a picture: where it lies, and what it is drawn in. */
export function innerView(element: Viewed, within: Viewport): { turns: string; viewport: Viewport } {
  const own = (name: string, whole: number, otherwise: number) =>
    svgLength(element.getAttribute(name), whole) ?? otherwise
  const viewport = {
    width: own('width', within.width, within.width),
    height: own('height', within.height, within.height),
  }
  const at = `translate(${own('x', within.width, 0)} ${own('y', within.height, 0)})`
  const box = viewBoxOf(element)
  return {
    turns: `${at} ${viewTransform(element, viewport)}`,
    viewport: box ? { width: box[2], height: box[3] } : viewport,
  }
}
