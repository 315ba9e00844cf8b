import type { Side } from '@crescent/core'
import type { Dialogs } from '../../../common/dialogs'

/** A figure of a modification that is better read off something than typed. Another is an entry here. */
export interface FieldAid {
  /** The figure, `mod.<kind>.<key>`. */
  field: string
  label: string
  icon: string
  /** Asks for it; nothing where nothing was taken. */
  ask: (dialogs: Dialogs, side: Side) => Promise<number | undefined>
}

export const FIELD_AIDS: readonly FieldAid[] = [
  {
    field: 'mod.slide-shoe.turn',
    label: 'From a photograph of the tracks',
    icon: 'camera',
    ask: (dialogs, side) =>
      dialogs.ask<number, Side>(() => import('./tracks/tracks-dialog').then((m) => m.TracksDialog), {
        ...{ data: side, width: '900px', maxWidth: '96vw' },
      }),
  },
]
