// The front door to what a photograph is worked with: its card, how its plane is seen, its taps, the knots of its line.
export { CARDS, cornersOf, MARK_IDS, PRINTED_LINE, type Card } from './photographs/card'
export { FILE_WORDS, FOCAL_TAG, focalSaid, isHeic } from './photographs/file-words'
export { asOnFoot, middleOfWeb } from './photographs/middle-of-web'
export { MOST_PIXELS, type Picture } from './photographs/picture'
export { placeAt, seenAt, type View } from './photographs/view'
export { PHOTO_TAPS, type PhotoTap, type SevenTaps } from './photographs/taps'
export { knotsOf, lineThrough, withKnot, withoutKnot } from './photographs/knots'
export type { CardSeen, PhotoTrace, PhotoWork, Traced } from './photographs/trace-photo'
