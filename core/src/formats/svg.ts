import type { Vec } from '../geometry/vector'
import { boundsOf, crossAt, DRAWN_AS, type Drawing, type DrawnLine, type Hole, type Layer } from './drawing'

/** Its size is told in millimetres, whatever its reader measures in. */
const UNIT = 'mm'

/** Room about a drawing, mm. */
const ROOM = 5

/** To a ten-thousandth of a millimetre: what is read back is what was planned. */
const figure = (mm: number): string => String(Number(mm.toFixed(4)) + 0)

/** A text as it stands between tags and in attributes. */
const escaped = (text: string): string =>
  text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`).replace(/[^\t\n\r\u0020-\uFFFD]/g, '')

/** A drawing as SVG at true size: its unit is the millimetre, its groups carry the layers' names. */
export function writeSvg(drawing: Drawing): string {
  const { left, bottom, right, top } = boundsOf(drawing)
  const [width, height] = [right - left + 2 * ROOM, top - bottom + 2 * ROOM]
  // SVG counts y down from the top.
  const place = ([x, y]: Vec) => `${figure(x - left + ROOM)} ${figure(top + ROOM - y)}`
  const path = ({ points, closed }: DrawnLine) =>
    `<path d="M${points.map(place).join('L')}${closed ? 'Z' : ''}"/>`
  const hole = (one: Hole) => {
    const [x, y] = place(one.at).split(' ')
    const round = one.diameter ? `<circle cx="${x}" cy="${y}" r="${figure(one.diameter / 2)}"/>` : ''
    return round + crossAt(one).map(path).join('')
  }
  const layer = ({ name, stroke, lines, holes = [], words = [] }: Layer) => {
    const { width: thick, dashes } = DRAWN_AS[stroke]
    const dashed = dashes ? ` stroke-dasharray="${dashes.join(' ')}"` : ''
    const written = words.map(({ text, at, height: high }) => {
      const [x, y] = place(at).split(' ')
      return `<text x="${x}" y="${y}" font-size="${figure(high)}" fill="#000" stroke="none">${escaped(text)}</text>`
    })
    return [
      `<g id="${escaped(name.replace(/\s+/g, '-'))}" data-layer="${escaped(name)}" fill="none" stroke="#000" stroke-width="${thick}"${dashed}>`,
      ...lines.map(path),
      ...holes.map(hole),
      ...written,
      '</g>',
    ].join('\n')
  }
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${figure(width)}${UNIT}" height="${figure(height)}${UNIT}" viewBox="0 0 ${figure(width)} ${figure(height)}" font-family="sans-serif">`,
    `<title>${escaped(drawing.title)}</title>`,
    ...drawing.layers.map(layer),
    '</svg>',
    '',
  ].join('\n')
}
