import type { HelpPicture } from '../help-picture'
import { WORD_PICTURES } from '../word-pictures'

/** The picture of one of the trade's words. */
export const word = (key: string): HelpPicture => WORD_PICTURES[key]!

/** A shoe with this made on it. */
export const made = (kind: string): HelpPicture => ({ view: 'shod', shoe: { modifications: [{ kind }] } })

/** A plain shoe on its foot. */
export const PLAIN: HelpPicture = { view: 'shod' }
