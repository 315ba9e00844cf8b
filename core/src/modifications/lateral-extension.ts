import { placeAt } from '../geometry/track'
import { turnRight } from '../geometry/vector'
import { ease } from '../geometry/ease'
import { barPlaces } from '../shoe/profile'
import { bevelled, perShoe, stationAt } from './kit'
import { fieldsOf, modificationOf, type ShoeContext } from './modification'

/** Of the radius of a hollow in the rim, so much is taken: set out by all of it the rim would come to a point there. */
const OF_HOLLOW = 0.7

/** How far the rim can be set out before it turns back on itself where it is hollow, as before heels that are turned in, mm. */
const mostOut = perShoe(({ plain }: ShoeContext): number => {
  const hollows = barPlaces(plain).flatMap(({ branch, bend }) =>
    branch === 'lateral' && bend < 0 ? [-1 / bend] : [],
  )
  return Math.min(Infinity, ...hollows) * OF_HOLLOW
})

const fields = fieldsOf([
  {
    key: 'out',
    label: 'Outside the wall',
    kind: 'length',
    ofFoot: true,
    where: 'How far the outer rim stands out at its heel, beside what the fit gives.',
    range: (context) => [2, Math.max(2, Math.min(context.section.width * 0.9, mostOut(context)))],
    fallback: ({ section }) => section.width * 0.45,
  },
])

/** Share of the outer branch at which its boxing begins. */
const BOXED_FROM = 0.45

/** The outer branch carried outside the wall from the quarter back, the web as it was. */
export const lateralExtension = modificationOf({
  kind: 'lateral-extension',
  ofMetal: true,
  group: 'branches',
  label: 'Lateral extension',
  purpose:
    'The outer branch stands outside the wall from the quarter back: bearing for a limb that falls outward.',
  brings: ['wide fit'],
  fields,
  excludes: { trailer: 'The outer heel is either turned out or set out; choose one' },
  lay: (lay, { outline }, values) => ({
    ...lay,
    reach: (station) => {
      const behind = (outline.lateralWidest * 1.25 - station) / outline.lateralWidest
      return lay.reach(station) + values.out * ease(behind)
    },
  }),
  // Boxed: its foot-surface edge bevelled where it stands out.
  rasp: (form, { branch, share }, _context, values) =>
    branch === 'lateral' && share > BOXED_FROM
      ? bevelled(form, 'outerFoot', Math.min(4, values.out * 0.6), 3)
      : form,
  handles: (context) => {
    const { point, tangent } = placeAt(context.rims.outer, stationAt(context, 'lateral', 0.86))
    return [{ field: 'out', point, along: turnRight(tangent) }]
  },
  forging: () => [{ stage: 'edges', text: 'Box the outer branch where it stands outside the wall.' }],
  tell: () => ['Nail it by the wall, not by the rim: the holes stay over the white line.'],
  cautions: (_context, values) =>
    values.out > 6
      ? [
          {
            code: 'extension-stepped-on',
            severity: 'caution',
            title: 'Branch stands out wide',
            text: 'Stepped on in herds and deep ground; it levers on the wall it is nailed to.',
            action: 'Box it, and set it no further out than is needed.',
          },
        ]
      : [],
})
