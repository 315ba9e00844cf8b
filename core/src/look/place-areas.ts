import type { Landmarks } from '../foot/landmarks'
import type { FootOutline } from '../foot/outline'
import { regionsOf } from '../foot/regions'
import { placeAt } from '../geometry/track'
import { turnRight, type Vec } from '../geometry/vector'
import type { Foot } from '../foot/measurements'
import type { PlaceKey } from '../terms/places'

/** A place on the drawing that can be touched: a closed line in the foot's frame, and where to write beside it. */
export interface PlaceArea {
  place: PlaceKey
  edge: readonly Vec[]
  middle: Vec
}

/** How far the wall's areas reach outside and inside the outline, as shares of the width: broad enough for a thumb. */
const OUTSIDE = 0.1
const INSIDE = 0.075
const STEPS = 10

/** The areas of a foot's places, wall places as a band about the outline, sole places within it. */
export function placeAreas(foot: Foot, outline: FootOutline, marks: Landmarks): PlaceArea[] {
  return [
    ...soleAreas(foot, outline, marks),
    ...wallAreas(foot, outline),
    bulbArea(foot, marks),
    frogArea(marks),
  ]
}

function wallAreas(foot: Foot, outline: FootOutline): PlaceArea[] {
  const names = { 'toe quarter': 'toe-quarter', quarter: 'quarter', heel: 'heel' } as const
  const stretches = regionsOf(outline)
  const toes = stretches.filter(({ region }) => region === 'toe')
  const pieces = [
    { place: 'toe-wall' as PlaceKey, from: toes[0]!.to, to: toes[1]!.to },
    ...stretches.flatMap(({ region, half, from, to }) =>
      region === 'toe'
        ? []
        : [{ place: `${half === 'lateral' ? 'outer' : 'inner'}-${names[region]}` as PlaceKey, from, to }],
    ),
  ]
  return pieces.map(({ place, from, to }) => {
    const along = (reach: number) =>
      Array.from({ length: STEPS + 1 }, (_, i): Vec => {
        const at = placeAt(outline.track, from + ((to - from) * i) / STEPS)
        const out = turnRight(at.tangent)
        return [at.point[0] + out[0] * reach, at.point[1] + out[1] * reach]
      })
    const outer = along(foot.width * OUTSIDE)
    const inner = along(-foot.width * INSIDE)
    return {
      place,
      edge: [...outer, ...inner.reverse()],
      middle: along(foot.width * OUTSIDE * 0.45)[STEPS / 2]!,
    }
  })
}

/** The sole between the walls' areas: toe, two sides, two seats of corn. Simple shapes, cut by the frog drawn over them. */
function soleAreas(foot: Foot, outline: FootOutline, marks: Landmarks): PlaceArea[] {
  const within = (from: number, to: number): Vec[] =>
    Array.from({ length: STEPS + 1 }, (_, i): Vec => {
      const at = placeAt(outline.track, from + ((to - from) * i) / STEPS)
      const out = turnRight(at.tangent)
      return [at.point[0] - out[0] * foot.width * INSIDE, at.point[1] - out[1] * foot.width * INSIDE]
    })
  const { toe, lateralWidest, medialWidest } = outline
  const end = outline.track.stations[outline.track.stations.length - 1]!
  const apex = marks.frogApex
  const shoulder = (from: number, to: number) => from + (to - from) * 0.45
  const heelward = (from: number, to: number) => from + (to - from) * 0.45
  const quarterY = -foot.length * 0.2
  const beside = foot.frogWidth * 0.62
  const area = (place: PlaceKey, edge: Vec[], middle: Vec): PlaceArea => ({ place, edge, middle })
  const side = (name: 'outer' | 'inner', sign: number, widest: number, buttress: number) => {
    const x = sign * beside
    return [
      area(
        `${name}-sole`,
        [...within(shoulder(toe, widest), heelward(widest, buttress)), [x, quarterY], [0, apex[1]]],
        [sign * foot.width * 0.27, -foot.length * 0.02],
      ),
      area(
        `${name}-corn`,
        [
          ...within(heelward(widest, buttress), widest + (buttress - widest) * 0.96),
          [x * 1.05, marks.lateralButtress[1] + foot.length * 0.04],
          [x, quarterY],
        ],
        [sign * foot.heelWidth * 0.37, marks.lateralButtress[1] + foot.length * 0.16],
      ),
    ]
  }
  return [
    area(
      'toe-sole',
      [...within(shoulder(toe, lateralWidest), shoulder(toe, medialWidest)), [0, apex[1]]],
      [0, (apex[1] + foot.widestFromToe) / 2],
    ),
    ...side('outer', 1, lateralWidest, 0),
    ...side('inner', -1, medialWidest, end),
  ]
}

const frogArea = (marks: Landmarks): PlaceArea => ({
  place: 'frog',
  edge: marks.frog,
  middle: [0, marks.frogApex[1] - (marks.frogApex[1] - marks.lateralButtress[1]) * 0.6],
})

const bulbArea = (foot: Foot, marks: Landmarks): PlaceArea => ({
  place: 'bulbs',
  edge: marks.bulbs,
  middle: [0, marks.bulbY + foot.bulbLine * 0.25],
})
