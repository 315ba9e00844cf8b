// The front door to plans over weeks: their rules, their steps, what is asked at the next visit, what goes home.
export { COURSE_KEYS, DOERS, SIGN_ANSWERS, type CourseKey, type Doer, type SignAnswer } from './terms/courses'
export type { Course, CourseEntry } from './records/course'
export { COURSES, courseKind, coursesFor } from './courses/index'
export type { CourseKind, Sign } from './courses/kind'
export {
  answersSay,
  beginCourse,
  courseProblems,
  lineOfSign,
  signsToAsk,
  stopped,
  withAnswer,
  withStepDone,
  withStepMoved,
  withStepOpened,
  withStepSkipped,
} from './courses/course'
export { openSteps, stepState, type StepState } from './courses/steps'
export { ownerList, type ListPart } from './courses/owner-list'
