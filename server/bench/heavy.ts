// Forty requests that are legal and heavy: what of them holds the one thread that answers everybody.
import { randomUUID } from 'node:crypto'
import { fatterSizes } from './sizes'
import { FOOT, SHOE } from '../src/testing'

/** A request that anybody may send. */
export interface Heavy {
  what: string
  path: string
  body?: unknown
  /** Sent as it is. */
  text?: string
}

const svg = (body: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="200mm" viewBox="0 0 200 200">${body}</svg>`
const places = (n: number) => Array.from({ length: n }, (_, i) => `${(i * 7) % 190} ${(i * 3) % 170}`)
const dxf = (lines: number, at: (i: number) => number) =>
  `0\nSECTION\n2\nENTITIES\n${Array.from({ length: lines }, (_, i) => `0\nLINE\n8\n0\n10\n0\n20\n0\n11\n${at(i)}\n21\n9\n`).join('')}0\nENDSEC\n0\nEOF\n`
const outline = (what: string, name: string, content: string): Heavy => ({
  what: `outline: ${what}`,
  path: '/outlines',
  body: { name, content },
})
const ring = (n: number) =>
  Array.from({ length: n }, (_, i): [number, number] => {
    const at = (i / n) * 2 * Math.PI
    return [62 * Math.cos(at), 64 * Math.sin(at)]
  })
const shape = (stretched: number) => ring(300).map(([x, y]): [number, number] => [x * stretched, y])

/** @param of a horse, a visit and a pattern of the practice */
export const heavyRequests = (of: { horse: string; visit: string; pattern: string }): Heavy[] => {
  const shoe = { foot: FOOT, shoe: SHOE }
  return [
    outline('polygon of 245,000 points', 'a.svg', svg(`<polygon points="${places(110_000).join(' ')}"/>`)),
    outline('polyline of 50,000', 'a.svg', svg(`<polyline points="${places(50_000).join(' ')}"/>`)),
    outline('polygon of 19,000', 'a.svg', svg(`<polygon points="${places(19_000).join(' ')}"/>`)),
    outline(
      'nested transforms',
      'a.svg',
      svg(
        '<g transform="rotate(1) scale(1.01)">'.repeat(95) +
          '<path d="M0 0L9 9"/>'.repeat(4_900) +
          '</g>'.repeat(95),
      ),
    ),
    outline(
      'one long transform',
      'a.svg',
      svg(`<path transform="${'rotate(1) '.repeat(60_000)}" d="M0 0L9 9"/>`),
    ),
    outline('30,000 groups', 'a.svg', svg('<g>'.repeat(30_000) + '</g>'.repeat(30_000))),
    outline(
      '4,900 lines from one place',
      'a.svg',
      svg(
        places(4_900)
          .map((p) => `<path d="M0 0L${p}"/>`)
          .join(''),
      ),
    ),
    outline(
      '4,900 equal lines',
      'a.dxf',
      dxf(4_900, () => 9),
    ),
    outline(
      '20,000 lines',
      'a.dxf',
      dxf(20_000, (i) => i),
    ),
    outline(
      '50,000 points',
      'a.csv',
      places(50_000)
        .map((p) => p.replace(' ', ','))
        .join('\n'),
    ),
    { what: 'taps of 20,000 points', path: '/outlines/taps', body: { points: ring(20_000), closed: true } },
    {
      what: '20,000 points placed',
      path: '/outlines/placed',
      body: {
        points: ring(20_000),
        closed: true,
        taps: { toe: [0, 64], lateralHeel: [40, -45], medialHeel: [-40, -45] },
      },
    },
    { what: 'ranking the table', path: '/sizes/rank', body: { foot: FOOT } },
    {
      what: 'ranking 500 moulded sizes',
      path: '/sizes/rank',
      body: { foot: FOOT, sizes: fatterSizes(500, 'polymer') },
    },
    {
      what: 'ranking 1,500 steel sizes',
      path: '/sizes/rank',
      body: { foot: FOOT, sizes: fatterSizes(1_500, 'plain-steel') },
    },
    { what: 'a table of 2,000 rows', path: '/sizes/csv?unit=mm', text: table(2_000) },
    {
      what: 'a table of quotes',
      path: '/sizes/csv?unit=mm',
      text: 'label,kind,feet,web,thickness,length\n' + '"'.repeat(1_500_000),
    },
    { what: 'bends', path: '/bend-plan', body: { target: shape(1), shape: shape(1.08) } },
    {
      what: 'going, sand',
      path: '/going',
      body: { ...shoe, ground: { kind: 'sand' }, load: { newtons: 5_000 } },
    },
    {
      what: 'going, off the edge',
      path: '/going',
      body: { ...shoe, ground: { kind: 'sand' }, load: { newtons: 5_000, at: [60, 0] } },
    },
    { what: 'solid, STL', path: '/solids', body: { ...shoe, format: 'stl' } },
    { what: 'solid, 3MF', path: '/solids', body: { ...shoe, format: '3mf' } },
    { what: 'template, PDF', path: '/templates', body: { ...shoe, format: 'pdf' } },
    { what: 'template, DXF', path: '/templates', body: { ...shoe, format: 'dxf' } },
    { what: 'forge card', path: '/cards', body: shoe },
    { what: 'plan', path: '/plan', body: shoe },
    { what: 'nearest patterns', path: '/patterns/nearest', body: { foot: FOOT, limit: 12 } },
    { what: 'calendar', path: '/calendar.ics' },
    { what: 'week', path: '/round/week?date=2024-06-20' },
    { what: 'six weeks', path: '/round/week?date=2024-06-20&days=42' },
    { what: 'iron of the day', path: '/round/iron?date=2024-06-20&due=true' },
    { what: 'round', path: '/round?date=2024-06-20' },
    { what: 'over time', path: '/tries/over-time' },
    { what: 'forecast', path: `/horses/${of.horse}/forecast?date=2024-08-20` },
    { what: 'a horse’s library', path: `/horses/${of.horse}/library` },
    { what: 'horse page', path: `/horses/${of.horse}/page` },
    { what: 'sheet for the vet', path: `/visits/${of.visit}/sheet?for=vet` },
    { what: 'template of a pattern', path: `/patterns/${of.pattern}/template` },
    { what: 'card of a pattern', path: `/patterns/${of.pattern}/card` },
    { what: 'solid of a pattern', path: `/patterns/${of.pattern}/solid` },
    { what: 'description', path: '/openapi.json' },
    { what: 'scale card', path: '/scale-card?card=frame' },
    { what: 'search', path: '/horses?search=a&limit=500' },
    { what: 'a table of 2,000 rows kept', path: '/sizes/csv?unit=mm&keep=true', text: table(2_000) },
  ]
}

const table = (rows: number): string =>
  'range,label,kind,feet,web,thickness,length\n' +
  Array.from(
    { length: rows },
    (_, i) => `${randomUUID().slice(0, 8)},${i},plain-steel,front,20,8,${280 + (i % 60)}`,
  ).join('\n')
