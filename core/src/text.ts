// The small front door: figures, lengths and what is done as they are written. It leads to no foot and no shoe, so that a
// page that only shows them need not bring the whole computation.
export * from './units/length'
export * from './units/angle'
export * from './units/area'
export * from './units/weight'
export * from './units/figure'
export * from './notices/problem'
export { describeProblem } from './notices/range'
export { writeTold, type Quantity, type Told } from './notices/told'
export { ageOn, BORN_RANGE, DAY_RANGE, TOLD_OVER } from './terms/days'
export { OPPOSITE, SIDE_NAMES, SIDES, type Side } from './terms/sides'
export { FOOT_WORKS, workWords, type FootWork } from './terms/work'
