/** What a picture that stays with a visit shows. */
export const PICTURE_KINDS = ['radiograph'] as const
export type PictureKind = (typeof PICTURE_KINDS)[number]

/** At most so many signs of a picture, packed as JPEG and written in base 64: some half a megabyte. */
export const PICTURE_SIGNS = 900_000
