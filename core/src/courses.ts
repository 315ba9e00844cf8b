// The front door to plans over weeks: their rules, their steps, what is asked at the next visit, what goes home.
export { COURSE_KEYS, DOERS, type CourseKey, type Doer } from './terms/courses'
export { SIGN_ANSWERS, type Sign, type SignAnswer } from './terms/signs'
export type { Course, CourseEntry } from './records/course'
export { COURSES, courseKind, coursesFor } from './courses/index'
export { stepRules, type CourseFigures, type CourseKind } from './courses/kind'
export {
  answeredOn,
  answersSay,
  beginCourse,
  courseProblems,
  painSettled,
  signLines,
  signsToAsk,
  stopped,
  stoppedForPain,
  withAnswer,
  withStepAdded,
  withStepDone,
  withStepMoved,
  withStepOpened,
  withStepSkipped,
  withStepWritten,
  type StepWords,
} from './courses/course'
export { openSteps, stepState, type StepState } from './courses/steps'
export { ownerList, type ListPart } from './courses/owner-list'
