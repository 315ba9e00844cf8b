// The front door to what is done at the anvil: sizes weighed for a foot, bends planned. Fetched by the steps that ask for it.
export { MATCHED, rankSizes, type RankedSize } from './sizes/rank'
export { madeByHand, takenSize } from './sizes/take'
export { HOT_SEATING } from './terms/hot-seating'
export { weighed, type SizeUse, type SizeWeights, type Weighed } from './sizes/use'
export {
  planBends,
  type AnvilShape,
  type BendTarget,
  type ToldBend,
  type ToldBendPlan,
} from './fitting/plan-bends'
export { TOLERANCE } from './fitting/bend-plan'
export { placesOnPattern, tappedShape, TRY_PLACES, type SeenOff, type TryPlace } from './fitting/tapped-shape'
export { straightBar } from './fitting/first-shaping'
export { centrelineOf, type Centreline } from './fitting/centreline'
export { centrelineOfPlan } from './fitting/place-words'
export { fitChecks, type FitCheck, type SeenOnFoot } from './fitting/fit-checks'
export { soldCentreline } from './shoe/as-sold'
export { rightMeasures } from './fitting/likely-shape'
export type { AnvilMeasures } from './fitting/likely-shape'
export { branchLines, type BranchLines } from './fitting/branch-lines'
export { contactWords, CONTACT_PLACES, nextMark, type ContactPlace } from './fitting/contact'
export { contactAreas, type ContactArea } from './fitting/contact-areas'
export { correctionsOf } from './fitting/corrections'
export type { SeenByEye } from './fitting/fit-checks'
export { levelWords } from './fitting/level'
export { triesOverTime, type TriesOverTime } from './fitting/over-time'
export { readPoints } from './fitting/read-points'
export { CONTACT_MARKS, CUPS, TWISTS, type ContactMark, type Cup, type Twist } from './terms/trying'
export { MOULDED_LIFE, MOVED, SOLE_REST_LABELS, SOLE_RESTS, type Moved, type SoleRest } from './terms/moulded'
export { resetOf, wornSince, type Worn } from './sizes/life'
