import type { Heat, Plan } from '@crescent/core'
import type { Document } from './document'
import { POINTS } from './paper'

/** The shape when a step is done, drawn into a box, mm; lateral on the side it is seen on from the ground. */
export function drawShape(
  { pdf }: Document,
  { section, foot }: Plan,
  { shape }: Heat,
  box: { x: number; y: number; width: number; height: number },
): void {
  const right = foot.side.startsWith('L') ? 1 : -1
  const points = shape.map(([x, y]): [number, number] => [x * right, y])
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
  const room = section.width
  const [left, top] = [Math.min(...xs) - room / 2, Math.max(...ys) + room / 2]
  const [wide, high] = [Math.max(...xs) - Math.min(...xs) + room, top - Math.min(...ys) + room / 2]
  const scale = Math.min(box.width / wide, box.height / high)
  const place = ([x, y]: [number, number]): [number, number] => [
    (box.x + (box.width - wide * scale) / 2 + (x - left) * scale) * POINTS,
    (box.y + (top - y) * scale) * POINTS,
  ]
  points.forEach((point, i) => (i === 0 ? pdf.moveTo(...place(point)) : pdf.lineTo(...place(point))))
  pdf
    .lineWidth(Math.max(0.8, section.width * scale) * POINTS)
    .lineJoin('round')
    .undash()
    .strokeColor('#888')
    .stroke()
}
