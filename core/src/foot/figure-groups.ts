import { FOOT_FIGURES, type FootFigure, type FootFigureKey } from './figures'

/** The refinements in the order of the work: cleaned first, then the wall, then seen from the side. */
export const FIGURE_GROUPS: readonly { group: FootFigure['group']; title: string }[] = [
  { group: 'widest', title: 'Apex and widest part' },
  { group: 'outline', title: 'Outline' },
  { group: 'wall', title: 'Wall and sole plane' },
  { group: 'landmarks', title: 'Frog, bulbs and bone' },
  { group: 'side', title: 'Seen from the side' },
]

/** Looked for in this order, where it differs from that in which figures lean on each other. */
const FIRST: readonly FootFigureKey[] = ['frogApex', 'barsFromToe', 'arcFromToe', 'widestFromToe']

/** The figures of a group in the order in which they are measured. */
export const figuresIn = (group: FootFigure['group']): readonly FootFigure[] =>
  FOOT_FIGURES.filter((figure) => figure.group === group).sort(
    (a, b) => FIRST.indexOf(a.key) - FIRST.indexOf(b.key),
  )
