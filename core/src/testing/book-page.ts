import { FOOT_FIGURES, type KnownFigures } from '../foot/figures'
import { footHandles } from '../foot/foot-handles'
import { planeArea } from '../geometry/plane-area'
import type { Vec } from '../geometry/vector'
import type { Told } from '../notices/told'
import type { Plan } from '../plan/plan'
import type { FootInput } from '../records/foot'
import { inMm } from './made'

/**
 * For tests: a plan as a page of plain text, every figure to a hundredth: what is offered where nothing was said, what is
 * possible, what is drawn, cut, marked, nailed and told. A page that has changed is a change somebody sees.
 */
export const bookPage = (plan: Plan): string =>
  [
    heading('modifications', plan.modifications.flatMap(modificationLines)),
    heading('parts', plan.parts.map(partLine)),
    heading('rims', rimLines(plan)),
    heading('sections', sectionLines(plan)),
    heading('iron', ironLines(plan)),
    heading('nails', nailLines(plan)),
    heading('balance', balanceLines(plan)),
    heading(
      'forging',
      plan.forging.map(({ stage, text }) => line(stage, said(text))),
    ),
    heading(
      'cautions',
      plan.cautions.map((one) =>
        line(one.code, one.severity, said(one.title), said(one.text), said(one.action)),
      ),
    ),
  ].join('\n')

/** For tests: the foot of a plan as such a page: its figures, whether each was said, its lines and its handles. */
export function footPage({ foot, assumed, landmarks }: Plan, input: FootInput): string {
  const handles = (['measures', 'landmarks'] as const).flatMap((what) =>
    footHandles({ input, foot, assumed }, what),
  )
  return [
    heading(
      'figures',
      FOOT_FIGURES.map(({ key, range }) =>
        line(
          key,
          foot[key],
          assumed.includes(key) ? 'taken' : 'said',
          range(foot as unknown as KnownFigures),
        ),
      ),
    ),
    heading('lines', Object.entries(landmarks).map(drawn)),
    heading(
      'handles',
      handles.map((handle) => line(handle)),
    ),
  ].join('\n')
}

const said = (sentence: Told): string => inMm(sentence)

const heading = (title: string, lines: readonly string[]): string => [`== ${title}`, ...lines, ''].join('\n')

const line = (...values: readonly unknown[]): string => values.map(written).join(' | ')

/** Numbers to a hundredth, never a minus nought; lists and objects in their order. */
function written(value: unknown): string {
  if (typeof value === 'number')
    return Number.isFinite(value) ? String(Math.round(value * 100) / 100 + 0) : String(value)
  if (Array.isArray(value)) return `[${value.map(written).join(', ')}]`
  if (value && typeof value === 'object')
    return Object.entries(value)
      .filter(([, part]) => part !== undefined)
      .map(([key, one]) => `${key} ${written(one)}`)
      .join(', ')
  return String(value)
}

/** Of a drawn line its length in points, its ends, and what it holds: a line that moved is seen. */
function shapeOf(points: readonly Vec[]): string {
  if (points.length < 3) return written(points)
  const { area, centroid } = planeArea(points)
  return line('from', points[0], 'to', points[points.length - 1], 'area', area, 'about', centroid)
}

/** A line, several lines or a single place by their name. */
function drawn([name, value]: readonly [string, unknown]): string {
  const points = value as readonly unknown[]
  if (!Array.isArray(points[0])) return line(name, value)
  const several = Array.isArray(points[0][0])
  return line(name, several ? (points as Vec[][]).map(shapeOf) : shapeOf(points as Vec[]))
}

const rimLines = ({ outline }: Plan): string[] =>
  (['foot', 'outer', 'inner', 'centreline', 'body'] as const).map((name) =>
    line(name, shapeOf(outline[name])),
  )

/** Every so many places of the bar are written out. */
const EACH = 9

const sectionLines = ({ cuts }: Plan): string[] =>
  cuts.filter((_, i) => i % EACH === 0).map(({ place, form }) => line(place.branch, place.s, form))

const modificationLines = (one: Plan['modifications'][number]): string[] => [
  line(one.kind, one.values),
  ...Object.entries(one.ranges).map(([key, range]) => line('range', key, range)),
  ...one.told.map((sentence) => line('told', said(sentence))),
  ...one.handles.map((handle) => line('handle', handle)),
  ...one.guides.map((guide) => line('guide', guide.label, shapeOf(guide.line))),
  ...one.course.map((step) => line('course', step)),
  ...one.drilled.map((hole) => line('drilled', hole)),
]

const partLine = ({ edge, join, label, turned: _run, ...rest }: Plan['parts'][number]): string =>
  line(label, rest, shapeOf(edge), join?.welds.length ?? 'not joined')

const ironLines = ({ iron, suggestion }: Plan): string[] => [
  line(
    'cut',
    iron.cutLength,
    'centreline',
    iron.centrelineLength,
    'weight',
    iron.weight,
    'closing',
    iron.closing,
  ),
  line('branches', iron.branches, 'plain', iron.plainCut, iron.rules),
  line('suggested', suggestion.section, suggestion.name, said(suggestion.reason)),
  ...iron.parts.map((part) => line('part', part)),
  ...iron.marks.map((mark) => line('mark', mark)),
]

const nailLines = ({ nails, nailing }: Plan): string[] => [
  line('nailing', nailing),
  ...nails.map(({ why, ...nail }) => line(nail, said(why))),
]

const balanceLines = ({ balance, heels, widest }: Plan): string[] => [
  ...balance.breakover.schools.map((school) => line(school.key, school.answer, school.lever, school.ratio)),
  line(
    balance.ahead,
    balance.behind,
    balance.ratio,
    balance.toeLever,
    balance.leverSaved,
    balance.aheadOfSchool,
  ),
  ...balance.heels.map((heel) => line('heel', heel)),
  line('heels', heels, 'widest', widest, 'axis', balance.hoofPastern),
]
