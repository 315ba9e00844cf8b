import {
  footMap,
  PLAIN_SHOE,
  planShoe,
  sideView,
  type FootInput,
  type Plan,
  type ShoeInput,
} from '@crescent/core'
import type { View } from './svg-path'

/** A foot like any other, to explain things on: what is shown matters here, not this foot's own figures. */
const MODEL: FootInput = {
  side: 'LF',
  width: 127,
  length: 130,
  heelWidth: 90,
  toeAngle: 52,
  wallThickness: 10,
  bulbLine: 16,
  frogApex: 36,
}

export const MODEL_FOOT = footMap(MODEL)!
export const MODEL_SIDE = sideView({ ...MODEL_FOOT.foot, pasternAngle: 52 })
export const MODEL_VIEW: View = { mirror: 1, toeY: MODEL_FOOT.foot.widestFromToe }

/** The model foot shod with a plain shoe, or with one that differs from it in this. */
export const modelPlan = (shoe: Partial<ShoeInput> = {}): Plan => planShoe(MODEL, { ...PLAIN_SHOE, ...shoe })
