import { blended } from '../geometry/blended'
import { trackLength } from '../geometry/track'
import { inches } from '../units/length'
import { barPlaces } from '../shoe/profile'
import { bevelled, stationAt } from './kit'
import { fieldsOf, modificationOf, type ShoeContext, type FiguresOf } from './modification'
import { toeWebHandles } from './toe-web'
import { length, told, type Told } from '../notices/told'
import { HALVES } from '../terms/half'

const fields = fieldsOf([
  {
    key: 'toeWeb',
    label: 'Web at the toe',
    kind: 'length',
    where: 'The toe upset wider than the bar.',
    range: ({ section, foot }) => [
      section.width,
      Math.max(section.width, Math.min(section.width * 2.2, foot.width * 0.34)),
    ],
    fallback: ({ section }) => section.width * 1.55,
  },
  {
    key: 'heelWeb',
    label: 'Web at the heels',
    kind: 'length',
    where: 'The branches drawn narrow, at their ends.',
    range: ({ section }) => [6, section.width],
    fallback: ({ section }) => Math.max(7, section.width * 0.6),
  },
])
type Figures = FiguresOf<typeof fields>

const TOE_TO = 0.32
const THIN_FROM = 0.62

/** Web by the share of a branch, mm. */
const webs = (section: ShoeContext['section'], { toeWeb, heelWeb }: Figures) =>
  blended([
    [0, toeWeb],
    [THIN_FROM, (section.width + heelWeb) / 2],
    [1, heelWeb],
  ])

/** Toe upset wide, branches drawn narrow: the heels sink where the going is soft. */
export const wideToe = modificationOf({
  kind: 'wide-toe',
  ofBar: true,
  group: 'branches',
  label: 'Wide toe, narrow heels',
  purpose: 'One school for a suspensory strain: the heels sink in soft going, the toe stays up.',
  brings: ['sinking heels'],
  fields,
  excludes: {
    wedge: 'It lets the heels sink; a wedge holds them up',
    'egg-bar': 'It lets the heels sink; a bar carries them',
    'straight-bar': 'It lets the heels sink; a bar carries them',
    'heart-bar': 'It lets the heels sink; a bar carries them',
    'wide-outer-branch': 'Both change the web of the branches; choose one',
  },
  lay: (lay, { section }, values) => {
    const web = webs(section, values)
    return { ...lay, web: (place) => (lay.web(place) / section.width) * web(place.share) }
  },
  // The outer branch is bevelled on the ground so that it sinks.
  rasp: (form, { branch, share }) =>
    branch === 'lateral' && share > THIN_FROM && form.shape !== 'half-round'
      ? bevelled(form, 'outerGround', form.width * 0.35, form.thickness * 0.5)
      : form,
  handles: (context) => toeWebHandles(context),
  marks: (context) =>
    HALVES.map((branch) => ({
      label: 'Upset to here',
      station: stationAt(context, branch, TOE_TO),
    })),
  forging: (context) => [
    {
      stage: 'upset',
      moves: 'heavier',
      text: told`Upset the toe of the straight bar to the wide web; ${upset(context)} come together there.`,
    },
    {
      stage: 'upset',
      moves: 'lighter',
      text: 'Draw the branches narrow, the outer edge of the outer one bevelled.',
    },
  ],
  tell: (context) => [told`The toe gathers about ${upset(context)} of bar. Add a toe clip.`],
  cautions: () => [
    {
      code: 'wide-toe-going',
      severity: 'caution',
      title: 'Only for soft going',
      text: 'On hard ground narrow heels cannot sink and carry the same load on less steel. Schools differ on it.',
      action: 'Agree it with the vet and keep the horse on soft ground.',
    },
  ],
})

/** Bar gathered where the web is wider than the bar it is made from, mm of that bar. */
const gathered = ({ rims, section }: ShoeContext): number =>
  barPlaces(rims).reduce(
    (sum, { s, web }, i, places) =>
      sum + (i === 0 ? 0 : Math.max(0, web / section.width - 1) * (s - places[i - 1]!.s)),
    0,
  )

/** The same in words: what 12 in of bar comes down to. */
function upset(context: ShoeContext): Told {
  const more = gathered(context)
  const long = trackLength(context.rims.centreline)
  const twelve = inches(12)
  return told`${length(more)} (${length(twelve)} of bar come down to ${length((twelve * long) / (long + more))})`
}
