import { thinnerWall } from '../foot/thinner-wall'
import { ruleOf, type CautionContext, type CautionRule, type OneCaution } from './context'

/** Angles of the toe from which on it is upright, and down to which it is low, degrees (from memory). */
const UPRIGHT = 62
const LOW = 44

/** Heels that stand so much lower than the toe have run forward, degrees (from memory). */
const RUN_FORWARD = 5

/** Thinner than this there is little room for a nail, or for steel over the sole, mm (common practice, no source). */
const THIN_WALL = 6.5
const THIN_SOLE = 9

const upright: OneCaution = ({ foot }) =>
  foot.toeAngle >= UPRIGHT
    ? {
        code: 'upright-foot',
        severity: 'caution',
        title: 'Upright foot',
        text: `A toe angle of ${Math.round(foot.toeAngle)}° may be a club foot. Lowering its heels at a stroke strains the tendon.`,
        action: 'Grade it, look at the pair, and ask the vet before changing the angle.',
      }
    : undefined

const lowToe: OneCaution = ({ foot }) =>
  foot.toeAngle <= LOW
    ? {
        code: 'low-toe',
        severity: 'caution',
        title: 'Low toe angle',
        text: 'A long low toe delays breakover and loads the heels.',
        action: 'Dress the flare before measuring, and set the breakover back.',
      }
    : undefined

const runForward: OneCaution = ({ foot: { toeAngle, heelAngle } }) =>
  toeAngle - heelAngle > RUN_FORWARD
    ? {
        code: 'heels-run-forward',
        severity: 'caution',
        title: 'Heels run forward',
        text: `Heels stand ${Math.round(toeAngle - heelAngle)}° lower than the toe: they crush, and the bearing moves ahead of the limb.`,
        action:
          'Bring the heels back to the widest part of the frog if there is horn for it; support the foot behind.',
      }
    : undefined

/** Walls that differ by more than this are told apart, mm. */
const ALIKE = 0.5

/** The side on which the wall is the thinner one, where it is not alike on both. */
const thinSide = ({ wallThickness, medialWallThickness }: CautionContext['foot']) =>
  Math.abs(wallThickness - medialWallThickness) < ALIKE
    ? undefined
    : wallThickness < medialWallThickness
      ? 'outer'
      : 'inner'

const thinWall: OneCaution = ({ foot }) =>
  thinnerWall(foot) < THIN_WALL
    ? {
        code: 'thin-wall',
        severity: 'caution',
        title: thinSide(foot) === undefined ? 'Thin wall' : `Thin wall on the ${thinSide(foot)} side`,
        text: 'There is little room between the outside and live tissue.',
        action:
          'Slim nails, fewer of them, each over the white line. Two quarter clips can stand in for nails.',
      }
    : undefined

const thinSole: OneCaution = ({ foot }) =>
  foot.soleDepth !== undefined && foot.soleDepth < THIN_SOLE
    ? {
        code: 'thin-sole',
        severity: 'caution',
        title: 'Thin sole',
        text: 'Steel that touches this sole bruises it.',
        action: 'Seat the foot surface out well, never hot-fit long, and ask the vet what the sole needs.',
      }
    : undefined

const ofFigures = ruleOf(upright, lowToe, runForward, thinWall, thinSole)

/** Cautions that come from the foot alone, after the questions its figures leave. */
export const footCautions: CautionRule = (context) => [...context.questions, ...ofFigures(context)]
