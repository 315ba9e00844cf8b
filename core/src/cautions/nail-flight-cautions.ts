import type { Nail } from '../nails/nails'
import { SCHOOLS_OF_NAILING } from '../nails/schools'
import type { Caution } from '../notices/caution'
import { told } from '../notices/told'
import { ruleOf, type OneCaution } from './context'
import { namedNails } from '../nails/named-nails'

type Verdict = Nail['verdict']

/** What is said of driven nails whose way has gone wrong in one of some ways; with one of the gravest no nail is driven. */
interface Gone extends Omit<Caution, 'text'> {
  verdicts: readonly Verdict[]
  gravest?: Verdict
}

const GONE: readonly Gone[] = [
  {
    verdicts: ['would-prick'],
    code: 'nail-pricks',
    severity: 'stop',
    title: 'Nail would prick',
    action:
      'Leave the hole empty or punch it finer. If a horse is pricked: pull the nail, say so, call the vet.',
  },
  {
    verdicts: ['ruled-out'],
    code: 'nail-ruled-out',
    severity: 'stop',
    title: 'Nail where none may be driven',
    action:
      'Leave the hole empty, or put it where the limit allows. Overrule the limit only with a reason, agreed with the vet.',
  },
  {
    verdicts: ['close'],
    code: 'nail-close',
    severity: 'caution',
    title: 'Nail close',
    action: 'Punch it finer, take a slimmer nail, or leave it out.',
  },
  {
    verdicts: ['low', 'misses'],
    code: 'nail-low',
    severity: 'caution',
    title: 'Nail holds little wall',
    action: 'Punch it coarser or take a wider web.',
  },
  {
    verdicts: ['too-low', 'too-high', 'never-out'],
    gravest: 'never-out',
    code: 'nail-exit',
    severity: 'caution',
    title: 'Nail comes out in the wrong place',
    action: 'Lean it as the wall leans there, or move its hole.',
  },
  {
    verdicts: ['in-the-way'],
    code: 'nail-in-the-way',
    severity: 'caution',
    title: 'Nail where the wall does not hold',
    action: 'Move the hole along the crease, or leave it empty.',
  },
]

const saidOf =
  ({ verdicts, gravest, ...caution }: Gone): OneCaution =>
  ({ nails }) => {
    const gone = nails.filter(({ driven, verdict }) => driven && verdicts.includes(verdict))
    if (gone.length === 0) return undefined
    return {
      ...caution,
      severity: gone.some(({ verdict }) => verdict === gravest) ? 'stop' : caution.severity,
      text: told`${namedNails(gone)}: ${gone[0]!.why}`,
    }
  }

/** The school that places the nails has limits of its own. */
const beyondLimit: OneCaution = ({ nails, nailing }) => {
  const school = SCHOOLS_OF_NAILING.find(({ name }) => name === nailing.school)
  const beyond = nails.filter((nail) => nail.driven && nail.beyond)
  if (!school || beyond.length === 0) return undefined
  return {
    code: 'nail-beyond-limit',
    severity: 'caution',
    title: `Nail beyond the limit: ${school.label.toLowerCase()}`,
    text: `${namedNails(beyond)}: ${beyond[0]!.beyond === 'forward' ? 'too far forward' : 'too far back'}. ${school.rule}`,
    action: 'Move the hole within the limit, or leave it empty.',
  }
}

/** Cautions that come from where driven nails go. Empty holes are judged, and warned of only where a shoe is bought. */
export const nailFlightCautions = ruleOf(...GONE.map(saidOf), beyondLimit)
