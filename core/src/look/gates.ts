import { SIDES, type Side } from '../terms/sides'
import type { Look } from '../records/look'
import { standing } from './carry'
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
}

/** What each may mean and what to do. Kinds without a text of their own get the general one. */
const TEXTS: Partial<Record<FindingKindKey, { text: string; action: string }>> = {
  track: {
    text: 'Pus under pressure is painful and spreads under wall and sole. Nailing over it closes it in.',
    action: 'No shoe over it. Call the vet; opening and drainage are the vet’s decision.',
  },
  puncture: {
    text: 'A puncture may reach bone, bursa or joint within a centimetre.',
    action: 'Leave what sticks in it where it is. Call the vet at once.',
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

/** A diagnosis is the vet's: without a name behind it, it is hearsay. */
function hearsay({ vet }: Look): Gate[] {
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
export function gatesOf(look: Look): Gate[] {
  return [...hearsay(look), ...findingGates(look)]
}

function findingGates(look: Look): Gate[] {
  return SIDES.flatMap((side) =>
    standing(look.feet[side].findings).flatMap(({ kind, place, grade }) => {
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

/** The gates nobody has acknowledged yet. */
export function closedGates(look: Look): Gate[] {
  const known = new Set(look.acknowledged.map(({ gate }) => gate))
  return gatesOf(look).filter(({ key }) => !known.has(key))
}
