import type { ListedPicture } from '@crescent/core'

type Addressed = Pick<ListedPicture, 'id' | 'version'>

/** Where a kept picture's file is fetched from; of a version that is kept by the browser it is fetched once. */
export const fileOf = ({ id, version }: Addressed): string => `/api/pictures/${id}/file?version=${version}`

/** The same, small. */
export const thumbnailOf = ({ id, version }: Addressed): string =>
  `/api/pictures/${id}/thumbnail?version=${version}`
