/** Places of a foot where something is found, on the sole, on the wall, or the foot as a whole. */
export const PLACES = [
  { key: 'toe-wall', label: 'toe', part: 'wall' },
  { key: 'outer-toe-quarter', label: 'outer toe quarter', part: 'wall' },
  { key: 'inner-toe-quarter', label: 'inner toe quarter', part: 'wall' },
  { key: 'outer-quarter', label: 'outer quarter', part: 'wall' },
  { key: 'inner-quarter', label: 'inner quarter', part: 'wall' },
  { key: 'outer-heel', label: 'outer heel', part: 'wall' },
  { key: 'inner-heel', label: 'inner heel', part: 'wall' },
  { key: 'toe-sole', label: 'sole at the toe', part: 'sole' },
  { key: 'outer-sole', label: 'outer sole', part: 'sole' },
  { key: 'inner-sole', label: 'inner sole', part: 'sole' },
  { key: 'outer-corn', label: 'outer seat of corn', part: 'sole' },
  { key: 'inner-corn', label: 'inner seat of corn', part: 'sole' },
  { key: 'frog', label: 'frog', part: 'frog' },
  { key: 'bulbs', label: 'bulbs', part: 'frog' },
  { key: 'foot', label: 'whole foot', part: 'whole' },
] as const

export type PlaceKey = (typeof PLACES)[number]['key']
export type HoofPart = (typeof PLACES)[number]['part']
export const PLACE_KEYS = PLACES.map(({ key }) => key) as [PlaceKey, ...PlaceKey[]]

/** A place by its key. */
export const placeNamed = (key: PlaceKey): (typeof PLACES)[number] =>
  PLACES.find((place) => place.key === key)!
