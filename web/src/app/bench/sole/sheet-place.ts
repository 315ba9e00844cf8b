import type { Vec } from '@crescent/core'

/** Where the sheet lies on the screen: pixels for a millimetre, and where its origin is. */
export interface SheetPlace {
  readonly k: number
  readonly x: number
  readonly y: number
}

export const UNPLACED: SheetPlace = { k: 1, x: 0, y: 0 }

/** As an SVG transform. */
export const sheetTransform = ({ k, x, y }: SheetPlace): string => `translate(${x},${y}) scale(${k})`

/** A place of the screen on the sheet, mm. */
export const fromScreen = ({ k, x, y }: SheetPlace, [left, top]: Vec): Vec => [(left - x) / k, (top - y) / k]
