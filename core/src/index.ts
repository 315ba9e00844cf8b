export * from './units/length'
export * from './units/angle'
export * from './units/weight'
export * from './units/figure'
export * from './problem'
export { describeProblem } from './range'
export type { Vec } from './geometry/vector'
export type { Caution, Severity } from './cautions/caution'
export { describeCaution } from './cautions/question'
export {
  FOOT_FIGURES,
  footFigure,
  type FootFigure,
  type FootFigureKey,
  type KnownFigures,
} from './foot/figures'
export { readFoot, type Foot } from './foot/measurements'
export type { Landmarks } from './foot/landmarks'
export { footOutline } from './foot/outline'
export { PLAIN_SHOE } from './shoe/starting-shoe'
export { FIT_PRESETS, type Fit, type FitPreset } from './shoe/fit'
export { COMMON_SECTIONS, commonName, suggestSection, type CommonSection } from './shoe/common-sections'
export type { BarMark, Branch, Iron } from './iron/iron'
export type { Nail, Verdict } from './nails/nails'
export { resolveNails, type NailPlan } from './nails/holes'
export { checkWorkshop, resolveWorkshop, USUAL_WORKSHOP, WORKSHOP_FIGURES, type Workshop } from './workshop'
export { planShoe, type Plan } from './plan'
export type { Animal, FootInput, Side } from './records/foot'
export type {
  FitName,
  FitNumbers,
  Material,
  Section,
  SectionShape,
  ShoeInput,
  WorkshopInput,
} from './records/shoe'
export type { FootRecord, Horse, Owner, Pattern, Visit, WorkshopRecord } from './records/practice'
export {
  currentPatterns,
  type HorsePage,
  type HorseSummary,
  type Refusal,
  type Round,
  type StoredPattern,
  type VisitPage,
} from './records/answers'
export { snapshotOf, type Snapshot } from './records/snapshot'
