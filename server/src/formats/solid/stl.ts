import type { Mesh, Point } from '@crescent/core/solid'

const HEAD = 80
const TRIANGLE = 50

/** A closed surface as binary STL: its figures are millimetres, which the format cannot say and everybody takes it for. */
export function writeStl({ corners, triangles }: Mesh): Buffer {
  const count = triangles.length / 3
  const file = Buffer.alloc(HEAD + 4 + count * TRIANGLE)
  // Not "solid" at the start: readers would take it for the kind that is text.
  file.write('Crescent, mm', 0, 'ascii')
  file.writeUInt32LE(count, HEAD)
  for (let i = 0; i < count; i++) {
    const [a, b, c] = [0, 1, 2].map((k) => corners[triangles[i * 3 + k]!]!) as [Point, Point, Point]
    const at = HEAD + 4 + i * TRIANGLE
    ;[...normal(a, b, c), ...a, ...b, ...c].forEach((value, k) => file.writeFloatLE(value, at + k * 4))
  }
  return file
}

function normal(a: Point, b: Point, c: Point): Point {
  const [ux, uy, uz] = [b[0] - a[0], b[1] - a[1], b[2] - a[2]]
  const [vx, vy, vz] = [c[0] - a[0], c[1] - a[1], c[2] - a[2]]
  const [x, y, z] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx]
  const long = Math.hypot(x, y, z) || 1
  return [x / long, y / long, z / long]
}
