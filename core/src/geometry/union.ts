// Its engine alone: the whole library is three times as much, and every screen that draws a shoe loads it.
import { ClipType, FillRule } from 'clipper2-ts/dist/Core.js'
import { ClipperD } from 'clipper2-ts/dist/Engine.js'
import type { Vec } from './vector'

/** Digits behind the point that outlines are joined to, mm: finer than a saw or a pen. */
const DIGITS = 3

/**
 * What closed outlines cover together, as closed lines: outer ones run counter-clockwise, holes clockwise. The one place
 * that knows the polygon library.
 */
export function union(outlines: readonly (readonly Vec[])[]): Vec[][] {
  const paths = outlines.map((outline) => ccw(outline).map(([x, y]) => ({ x, y })))
  const clipper = new ClipperD(DIGITS)
  clipper.addSubjectPaths(paths)
  const joined: { x: number; y: number }[][] = []
  clipper.execute(ClipType.Union, FillRule.NonZero, joined)
  return joined.map((path) => path.map(({ x, y }): Vec => [x, y]))
}

/** The same outline, run counter-clockwise. */
function ccw(outline: readonly Vec[]): readonly Vec[] {
  const doubled = outline.reduce((sum, [x, y], i) => {
    const next = outline[(i + 1) % outline.length]!
    return sum + x * next[1] - next[0] * y
  }, 0)
  return doubled < 0 ? [...outline].reverse() : outline
}
