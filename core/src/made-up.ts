// The front door to made-up pictures with known truth, for the demo, for practice and for checks.
export { GROUNDS, type Ground } from './made-up/layers'
export { madeUpPhotograph, type PhotoTruth, type PhotoWish } from './made-up/photograph'
export {
  madeUpRadiograph,
  type MadeRadiograph,
  type RadiographTruth,
  type RadiographWish,
} from './made-up/radiograph'
