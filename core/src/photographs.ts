// The front door to photographs: the scale card, the plane it lies in, the edge of a foot or a shoe followed.
export { CARDS, cornersOf, MARK_IDS, PRINTED_LINE, squaresOf, type Card } from './photographs/card'
export { MOST_PIXELS, type Picture } from './photographs/picture'
export { placeAt, seenAt, type SeenPlane, type View } from './photographs/plane'
export { viewAbove } from './photographs/height'
export { planeByLength } from './photographs/by-length'
export { PHOTO_TAPS, type PhotoTap, type SevenTaps } from './photographs/taps'
export {
  cardSeen,
  traceIn,
  tracePhoto,
  type CardSeen,
  type PhotoTrace,
  type PhotoWork,
  type Traced,
} from './photographs/trace-photo'
