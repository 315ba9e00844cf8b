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
export { tappedShape, TRY_PLACES, type SeenOff, type TryPlace } from './fitting/tapped-shape'
export { centrelineOfPlan } from './fitting/place-words'
export { fitChecks, type FitCheck, type SeenOnFoot } from './fitting/fit-checks'
export { soldCentreline } from './shoe/as-sold'
export { measuresOf } from './fitting/likely-shape'
export type { AnvilMeasures } from './fitting/likely-shape'
