/** What a picture that stays with a visit shows. Another kind of photograph is an entry in `PHOTOGRAPHS`. */
export const PICTURE_KINDS = [
  'radiograph',
  'sole',
  'shoe',
  'front',
  'side',
  'stance',
  'wear',
  'tracks',
] as const
export type PictureKind = (typeof PICTURE_KINDS)[number]

/** Photographs in the order they are offered, with how each is best taken. */
export const PHOTOGRAPHS: readonly {
  key: Exclude<PictureKind, 'radiograph'>
  label: string
  taken: string
}[] = [
  { key: 'sole', label: 'Sole', taken: 'From straight above the sole, the whole foot in it.' },
  { key: 'front', label: 'Front', taken: 'From straight ahead, the camera as low as the foot.' },
  { key: 'side', label: 'Side', taken: 'From the side, the camera as low as the foot, the cannon upright.' },
  { key: 'stance', label: 'Stance', taken: 'The whole limb of a horse that stands square on level ground.' },
  { key: 'wear', label: 'Wear', taken: 'The pulled shoe from its ground side.' },
  { key: 'shoe', label: 'Shoe', taken: 'The shoe from straight above.' },
  { key: 'tracks', label: 'Tracks', taken: 'Tracks on even ground from straight above.' },
]

/** At most so many signs of a picture, packed as JPEG and written in base 64: some three megabytes. */
export const PICTURE_SIGNS = 4_000_000
