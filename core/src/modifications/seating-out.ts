import { placeAt } from '../geometry/track'
import { bevelled, dressed, roundBar, runOut, stationAt } from './kit'
import { webAt } from '../shoe/rims'
import { fieldsOf, modificationOf } from './modification'
import { HALVES } from '../terms/half'

const fields = fieldsOf([
  {
    key: 'across',
    label: 'Across the web',
    kind: 'length',
    where: 'From the inner rim outward, no further than the white line.',
    range: ({ section }) => [2, section.width * 0.7],
    fallback: ({ section }) => section.width * 0.45,
  },
  {
    key: 'depth',
    label: 'Depth at the inner rim',
    kind: 'length',
    where: 'How far the foot surface falls away.',
    range: ({ section }) => [0.5, section.thickness * 0.6],
    fallback: ({ section }) => section.thickness * 0.3,
  },
])

/** Share of a branch at which the seating ends: the heels bear on their full web. */
const TO = 0.85

/** The inner foot surface relieved, so that steel cannot press on the sole. */
export const seatingOut = modificationOf({
  kind: 'seating-out',
  group: 'surfaces',
  label: 'Seating out',
  purpose: 'The inner foot surface relieved so that steel cannot press on the sole: flat and dropped soles.',
  fields,
  refuse: roundBar,
  forge: (form, { share }, _context, { across, depth }) => {
    const deep = runOut(share, [0, TO])
    return deep > 0 ? bevelled(form, 'innerFoot', across, depth * deep) : form
  },
  parts: (context, { across }) => {
    const inset = (station: number): [number, number] => {
      const web = webAt(context.rims, station)
      return [web - across, web]
    }
    const ends = HALVES.map((branch) => stationAt(context, branch, TO))
    return [dressed(context, 'Seated out', 'foot', ends[0]!, ends[1]!, inset)]
  },
  handles: ({ rims }, { across }) => {
    const { point } = placeAt(rims.outer, rims.toe)
    return [{ field: 'across', point: [point[0], point[1] - webAt(rims, rims.toe) + across], along: [0, 1] }]
  },
  forging: () => [
    {
      stage: 'edges',
      text: 'Seat out the inner foot surface with the shoe hot and level; keep the web fair.',
    },
  ],
  cautions: ({ foot, rims }, { across }) =>
    Math.min(...rims.web.filter((_, i) => rims.places[i]!.share < TO)) - across <
    // The thicker of the two walls wants the wider seat.
    Math.max(foot.wallThickness, foot.medialWallThickness) + foot.whiteLineWidth * 0.5
      ? [
          {
            code: 'seating-wall',
            severity: 'caution',
            title: 'Seated out under the wall',
            text: 'The level seat that is left is narrower than the wall that stands on it.',
            action: 'Seat out less, or take a wider web.',
          },
        ]
      : [],
})
