import type { Told } from '@crescent/core'
import type { HelpPicture } from './help-picture'

/** One thing to do or to know, with a picture where one says more; several stand in a row beneath it. */
export interface HelpLine {
  text: Told
  picture?: HelpPicture
  pictures?: readonly HelpPicture[]
}

/** What explains one place, step or dialog. */
export interface HelpTopic {
  key: string
  title: string
  lines: readonly HelpLine[]
}
