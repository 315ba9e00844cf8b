// The front door to how a made shoe stands in the ground. Fetched by the view that shows it.
export {
  BEARING_PARTS,
  GOING_KEYS,
  GOINGS,
  GROUND_RANGES,
  groundOf,
  PACKING_STIFFNESS,
  type BearingPart,
  type GoingKey,
  type Ground,
} from './terms/goings'
export {
  BODY_WEIGHT,
  LOAD_MOMENTS,
  loadMoment,
  newtonsOn,
  type LoadMoment,
  type LoadMomentKey,
} from './terms/loads'
export { bearingOf, type Bearing, type Packing } from './going/bearing'
export { depthAt, type Plane } from './going/footing'
export { BENEATH, goingOf, placesOf, type Going, type GoingAsked } from './going/going'
export { fetlockChange, type FetlockChange } from './going/fetlock'
export { slipOf, type Slip } from './going/slip'
export { pointOf, throughStride, type StrideMoment } from './going/stride'
export { goingWords } from './going/words'
