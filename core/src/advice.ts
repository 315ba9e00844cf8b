// The front door to advice: what follows from what was looked at, what accepting it changes, and what is looked for afterwards.
export { adviceTitle, advise } from './advice/advise'
export type { Advice, AdviceChange, Topic, Trait } from './advice/advice'
export { accepted, type Accepted } from './advice/accepted'
export { changeClauses } from './advice/change-words'
export { contradictions, type Contradiction } from './advice/contradictions'
export {
  lookNextTime,
  seenAt,
  seenOver,
  stillAsked,
  withAgreed,
  withoutAgreed,
  withSeen,
  type AskedFor,
} from './advice/follow-up'
