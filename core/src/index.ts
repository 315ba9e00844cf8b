export * from './text'
export type { Vec } from './geometry/vector'
export type { Caution, Severity } from './notices/caution'
export { FIGURE_GROUPS, figuresIn } from './foot/figure-groups'
export {
  FOOT_FIGURES,
  footFigure,
  type FootFigure,
  type FootFigureKey,
  type KnownFigures,
} from './foot/figures'
export { readFoot, type Foot } from './foot/measurements'
export { heldWithin, type Handle } from './foot/handle'
export { asTaken, footHandles } from './foot/foot-handles'
export type { Landmarks } from './foot/landmarks'
export { footOutline, type FootOutline } from './foot/outline'
export { widestPart, type WidestPart, type WidestWay } from './foot/widest-part'
export { wallThicknessAt } from './foot/wall'
export { regionsOf, REGIONS, type Region } from './foot/regions'
export { differencesByRegion, nearestShapes, SHAPE_PLACES, shapeOf } from './foot/likeness'
export { asymmetry, compareOutlines, type RegionDifference } from './foot/comparison'
export { sideView, type SideFigures, type SideView } from './views/side-view'
export { trend, type Measured, type Trend } from './foot/trend'
export {
  FOLLOWED,
  seriesOf,
  wallGrowth,
  type DatedFoot,
  type Followed,
  type Growth,
  type Series,
} from './foot/growth'
export { aheadShare } from './foot/balance/ahead-share'
export { widestKnown, type Balance, type HeelSupport } from './foot/balance/balance'
export type { SchoolResult } from './foot/balance/breakover'
export type { HoofPastern } from './foot/balance/hoof-pastern'
export { BREAKOVER_SCHOOLS } from './foot/balance/schools/index'
export { openSteps, stepState } from './courses/steps'
export { addDays, DAY_RANGE, daysBetween, TOLD_OVER } from './terms/days'
export { PUT_IN, type PutIn } from './terms/put-in'
export { BODY_WEIGHT } from './terms/loads'
export * from './terms/choices'
export { PLACES, placeNamed, type PlaceKey } from './terms/places'
export {
  FINDING_KINDS,
  findingKind,
  kindsFor,
  type FindingKind,
  type FindingKindKey,
} from './terms/finding-kinds'
export { footMap, usualFoot, type FootMap } from './look/foot-map'
export { placeAreas, type PlaceArea } from './look/place-areas'
export { lookProblems } from './look/check-look'
export { lookProblem, OLD_SHOE_FIGURES, UNTRIMMED_FIGURES, type LookFigure } from './look/figures'
export { newLook } from './look/new-look'
export { answered, leftOpen, openQuestions, standing, withTap } from './look/carry'
export { endProportion } from './look/old-shoe'
export {
  beforeShoe,
  closedGates,
  gatesOf,
  standingGates,
  stopsOf,
  type Gate,
  type StandingGate,
  type Stop,
} from './look/gates'
export { leftOf, shareLeft, WEAR_SHARES, type WearShare } from './look/wear-shares'
export { SAID, type Sign, type SignAnswer, type SignLine } from './terms/signs'
export { clashOf, modification, MODIFICATIONS } from './modifications/index'
export {
  offersBeside,
  clashWith,
  withModification,
  withoutModification,
  withValue,
  type ModificationList,
} from './modifications/list'
export { MODIFICATION_GROUPS, type ModificationGroup } from './modifications/modification'
export { nailHandles, shoeHandles, withFigure } from './plan/handles'
export type {
  CourseStep,
  Guide,
  Modification,
  ModificationField,
  ModificationHandle,
  ShoePart,
  ShoeContext,
} from './modifications/modification'
export { PLAIN_SHOE } from './shoe/starting-shoe'
export { FIT_FIGURES, FIT_PRESETS, setBackBy, type Fit, type FitFigure, type FitPreset } from './shoe/fit'
export { COMMON_SECTIONS, commonName, suggestSection, type CommonSection } from './shoe/common-sections'
export { markName, type BarMark, type Iron, type IronPart } from './iron/iron'
export { spreadLabels } from './views/spread-labels'
export type { Heat, HeatMeasure } from './iron/heats'
export { correctedTold, shownDifference, shownIron, shownParts } from './iron/shown'
export { dayIron, type DayIron, type DayShoe } from './sheets/day-iron'
export { SHEET_FOR, visitSheet, type SheetFor, type SheetPart } from './sheets/visit-sheet'
export type { ReadOutlines } from './formats/read/curves'
export type { DrawnOutline, Taps, TracedFoot } from './tracing/placed'
export { forgeCard, type ForgeCard } from './sheets/forge-card'
export { pieceKindsOf } from './plan/piece-kinds'
export { TEMPLATE_LABELS, type TemplateKind } from './terms/template-kinds'
export type { Nail } from './nails/nails'
export {
  bySchool,
  MOST_HOLES,
  withDriven,
  withEnd,
  withHole,
  withHoles,
  type BranchNails,
  type HoleChange,
  type NailPlan,
} from './nails/nail-plan'
export { askedNails } from './nails/asked-nails'
export {
  heldToLimits,
  keptNails,
  limitWords,
  overrulable,
  overruling,
  ruling,
  withoutOverruled,
  type StandingLimit,
} from './nails/limits'
export { clause, sentence } from './notices/sentence'
export { findingWords } from './look/finding-words'
export { nailLimitsOf } from './look/nail-limits'
export { limitsInWords } from './look/limits-in-words'
export { VET_NAIL_RULES, NAIL_LIMIT_WORDS, type VetNailRule } from './terms/nail-limits'
export { markAt, oldHoles, type ClearStretch } from './nails/keep-clear'
export type { Nailing } from './nails/nailing'
export { SCHOOLS_OF_NAILING } from './nails/schools'
export { USUAL_NAIL_SIZES } from './workshop/sizes'
export { turningRadius, type NailTurning, type SeenNail, type TurningRadius } from './nails/turning'
export { sectionOutline, type SectionForm } from './shoe/section-form'
export { cutAt, type SectionCut } from './modifications/build'
export { wallSection, type WallSection } from './views/wall-section'
export { clearOfFindings } from './look/keep-clear'
export { FORGING_STAGES, type ForgingStep } from './modifications/forging'
export {
  checkWorkshop,
  resolveWorkshop,
  USUAL_WORKSHOP,
  WORKSHOP_FIGURES,
  type Workshop,
} from './workshop/workshop'
export { planShoe, type Plan, type PlannedModification } from './plan/plan'
export type {
  Animal,
  BreakoverSchoolName,
  FootInput,
  HeelMeasure,
  KeepClear,
  NailLimit,
  TipSource,
  Trace,
} from './records/foot'
export type {
  Acknowledgement,
  AdviceChoice,
  Answer,
  Finding,
  FootLook,
  Look,
  OldShoe,
  Untrimmed,
  VetWord,
} from './records/look'
export type { Correction, DatedTry, Try } from './records/try'
export type { PatternFile } from './records/pattern-file'
export type { DatedJob, Job, LearnedCut } from './records/job'
export type { ListedPicture, StoredPicture } from './records/picture'
export { PHOTOGRAPHS, PICTURE_SIGNS, type PictureKind } from './terms/picture-kinds'
export { checkJob, JOB_RANGES } from './iron/check-job'
export { jobWithin, learnedCuts, learnedFor, learnedWorkshop, styleOfShoe } from './iron/calibration'
export type { FitNumbers, NailSize, Section, ShoeInput, WorkshopInput } from './records/shoe'
export { CLOSE_LIST, type CloseStep } from './nails/close-list'
export type {
  CloseCheck,
  CloseList,
  FootRecord,
  Horse,
  Owner,
  Fork,
  Pattern,
  Visit,
  VisitFeet,
  WorkshopRecord,
} from './records/practice'
export { ANIMALS, HEEL_MEASURES, TIP_SOURCES } from './terms/foot-choices'
export { WAYS_BACK, type WayBack } from './terms/ways-back'
export { PATTERNS_FOUND } from './terms/patterns-found'
export { currentPatterns, workOf } from './records/worn'
export type { PromisedCall } from './records/call'
export type {
  HorsePage,
  HorseSummary,
  Refusal,
  Round,
  RoundCall,
  RoundStep,
  RoundStop,
  RoundWeek,
  PagePattern,
  StoredPattern,
  VisitPage,
  FoundPattern,
} from './records/answers'
export { snapshotOf } from './plan/snapshot'
export type { Snapshot } from './records/snapshot'
export { RULES_ADD } from './iron/iron'
export type {
  Beginning,
  Erasure,
  ImportReport,
  Losses,
  PracticeFacts,
  UsualShoe,
} from './records/practice-facts'
export { designName, modificationWords } from './plan/design-name'
export { mirroredDesign } from './plan/mirrored-design'
export { refit } from './plan/refit'
export { wallPlace, type WallPlace } from './nails/keep-clear'
export { piecesOf, WORDS, wordNamed, type Piece, type Word } from './terms/words'
export { HALVES, type Half } from './terms/half'
export type { Verdict } from './terms/verdicts'
export type { NailSchoolName } from './terms/nail-schools'
export { NAIL_RANGES } from './terms/nail-ranges'
export type { FitName } from './terms/fits'
export type { Material, SectionShape } from './terms/sections'
export { checkSize, SIZE_RANGES } from './shoe/check-size'
export { lengthFromSold, soldMeasures, soldWidth, type SoldMeasures } from './shoe/as-sold'
export {
  sectionOf,
  bends,
  SIZE_CLIPS,
  type SizeClips,
  SIZE_FEET,
  SIZE_FEET_LABELS,
  SIZE_KINDS,
  SIZE_KIND_LABELS,
} from './terms/size-kinds'
export type { SizeFeet, SizeKind } from './terms/size-kinds'
export type { SizeFacts, SizeHole } from './records/size'
export type { Size } from './records/size-record'
export type { SizeStock } from './records/shoe'
export { VERDICTS } from './terms/verdicts'
