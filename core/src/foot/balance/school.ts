import type { BreakoverSchoolName } from '../../records/foot'
import type { Foot } from '../measurements'
import type { FootFigureKey } from '../figures'
import type { Told } from '../../notices/told'

/** What a school may look at. Lengths in mm in the foot's frame: y toward the toe from the widest-part line. */
export interface SchoolContext {
  foot: Foot
  /** Figures that stand at a default: nothing may be concluded from them. */
  assumed: readonly FootFigureKey[]
  /** The widest part was measured, or its estimates agree. */
  widestKnown: boolean
  /** Where the shoe's bearing ends behind, y. */
  heelEndY: number
}

/** A school's answer: where it puts the breakover and from what, or what it would need to know. */
export type SchoolAnswer =
  | {
      found: true
      /** Foremost place it allows, y in the foot's frame, mm. */
      y: number
      /** Hindmost place it allows, where it allows a stretch. */
      rearY?: number
      used: string[]
      note?: string
    }
  | { found: false; lacks: Told[] }

/** One school of where a shoe should break over. */
export interface BreakoverSchool {
  key: BreakoverSchoolName
  label: string
  rule: Told
  use: string
  /** The therapy it belongs to is led by the vet. */
  vetLeads?: boolean
  place: (context: SchoolContext) => SchoolAnswer
}
