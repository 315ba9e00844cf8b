import { SIDES, type Side } from '../terms/sides'
import type { Look } from '../records/look'
import { leftOpen } from './carry'
import { findingKind, type FindingKindKey } from '../terms/finding-kinds'
import { placeNamed } from '../terms/places'

/** A finding that calls for the vet: the work stops here until it is acknowledged. */
export interface Gate {
  /** Names finding, foot and grade: a finding that gets worse asks again. */
  key: string
  side?: Side
  title: string
  text: string
  action: string
  /** No shoe goes over it until the vet allows one. */
  forbids?: 'shoe'
}

/** How a gate stands: nobody answered it; it was, and still forbids a shoe; it was, and the work goes on to the vet's plan. */
export type GateState = 'closed' | 'no shoe' | 'answered'

/** A gate with how it stands, and what was said to it last. */
export interface StandingGate extends Gate {
  state: GateState
  words?: string
}

/** What each may mean and what to do. Kinds without a text of their own get the general one. */
const TEXTS: Partial<Record<FindingKindKey, Pick<Gate, 'text' | 'action' | 'forbids'>>> = {
  track: {
    text: 'Pus under pressure is painful and spreads under wall and sole. Nailing over it closes it in.',
    action: 'No shoe over it. Call the vet; opening and drainage are the vet’s decision.',
    forbids: 'shoe',
  },
  puncture: {
    text: 'A puncture may reach bone, bursa or joint within a centimetre.',
    action: 'Leave what sticks in it where it is. No shoe over it. Call the vet at once.',
    forbids: 'shoe',
  },
  pain: {
    text: 'A horse in pain may have an abscess, a bruise, founder or a fracture. Shoeing it hides the place.',
    action: 'Stop. Say so to the owner, call the vet, and go on only to the vet’s plan.',
  },
  heat: {
    text: 'Heat and a pounding pulse are signs of founder or of an abscess.',
    action: 'Do not pull, trim or hammer. Call the vet today.',
  },
  rings: {
    text: 'Rings that spread at the heel tell of founder, past or present.',
    action: 'Radiographs first. The vet leads trim and shoe.',
  },
  separation: {
    text: 'Separated wall carries nothing; disease may run up behind it.',
    action: 'No nail into it. The vet decides what is opened or taken away.',
  },
  'stretched-line': {
    text: 'A badly stretched white line goes with founder.',
    action: 'Ask for radiographs before the toe is touched.',
  },
  'resected-wall': {
    text: 'Where wall was taken away the rest carries more, and the bed is tender.',
    action: 'Work to the vet’s plan for bearing, nails and cover.',
  },
  club: {
    text: 'A club foot of this grade has a shortened tendon behind it. Lowering the heels at a stroke tears.',
    action: 'The vet grades it and reads the radiograph; change a little at a time, together.',
  },
  crack: {
    text: 'A crack that bleeds or reaches the hairline moves at every step.',
    action: 'The vet sees it before it is bridged, stitched or filled.',
  },
}

const GENERAL = {
  text: 'This goes beyond what shoeing alone should answer.',
  action: 'Stop. Let the vet see it, and go on to the vet’s plan.',
}

/** What of a look its gates follow from. */
export type LookForGates = Pick<Look, 'vet' | 'feet' | 'acknowledged'>

/** A diagnosis is the vet's: without a name behind it, it is hearsay. */
function hearsay({ vet }: Pick<Look, 'vet'>): Gate[] {
  if (vet.diagnosis === 'none' || vet.who.trim() !== '') return []
  return [
    {
      key: `vet ${vet.diagnosis} unnamed`,
      title: `${vet.diagnosis}: who says so?`,
      text: 'A diagnosis that no vet is named for may be the owner’s or your own. Shoeing for the wrong disease harms.',
      action: 'Speak to the vet, write down who said it and when, and work to that plan.',
    },
  ]
}

/** Every finding of this look that calls for the vet. */
export function gatesOf(look: Pick<Look, 'vet' | 'feet'>): Gate[] {
  return [...hearsay(look), ...findingGates(look)]
}

/** The findings of a look that call for the vet. */
export function findingGates(look: Pick<Look, 'feet'>): Gate[] {
  return SIDES.flatMap((side) =>
    // What was found before and nobody has answered yet still stands.
    leftOpen(look.feet[side]).flatMap(({ kind, place, grade }) => {
      const { label, grades, vetFrom } = findingKind(kind)
      if (vetFrom === undefined || grade < vetFrom) return []
      const where = place === 'foot' ? '' : `, ${placeNamed(place).label}`
      return [
        {
          key: `${side} ${kind} ${place} ${grade}`,
          side,
          title: `${side}: ${label.toLowerCase()}${where} (${grades[grade - 1]})`,
          ...(TEXTS[kind] ?? GENERAL),
        },
      ]
    }),
  )
}

/** Every gate of a look with how it stands. */
export const standingGates = (look: LookForGates): StandingGate[] =>
  gatesOf(look).map((gate) => {
    const answers = look.acknowledged.filter((one) => one.gate === gate.key)
    const last = answers[answers.length - 1]
    if (!last) return { ...gate, state: 'closed' }
    const allowed = gate.forbids === undefined || answers.some(({ allows }) => allows === 'shoe')
    return { ...gate, state: allowed ? 'answered' : 'no shoe', words: last.words }
  })

/** The gates nobody has acknowledged yet. */
export const closedGates = (look: LookForGates): Gate[] =>
  standingGates(look).filter(({ state }) => state === 'closed')

/** The gates of a foot that let no shoe be put on it: nobody answered them, or the vet has not allowed one. */
export const beforeShoe = (look: LookForGates, side: Side): StandingGate[] =>
  standingGates(look).filter((gate) => gate.side === side && gate.state !== 'answered')

/** What stands in the way of the work on a horse, as lists tell it: short, with its foot. */
export interface Stop {
  side?: Side
  title: string
  action: string
}

/** The stops of a horse by its newest look. */
export const stopsOf = (look: LookForGates): Stop[] =>
  standingGates(look)
    .filter(({ state }) => state !== 'answered')
    .map(({ side, title, action }) => ({ ...(side && { side }), title, action }))
