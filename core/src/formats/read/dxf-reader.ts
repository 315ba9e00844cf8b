// @ts-expect-error the reader ships no types
import { parseString } from 'dxf'

interface DxfPlace {
  x?: number
  y?: number
  bulge?: number
}

/** What of an entity is used, as the reader gives it. Angles in radians; those of blocks put in in degrees. */
export interface DxfEntity extends DxfPlace {
  type: string
  layer?: string
  r?: number
  start?: DxfPlace
  end?: DxfPlace
  vertices?: DxfPlace[]
  closed?: boolean
  startAngle?: number
  endAngle?: number
  majorX?: number
  majorY?: number
  axisRatio?: number
  controlPoints?: DxfPlace[]
  knots?: number[]
  degree?: number
  block?: string
  scaleX?: number
  scaleY?: number
  rotation?: number
}

export interface DxfFile {
  header: { insUnits?: number }
  blocks: (DxfPlace & { name?: string; entities?: DxfEntity[] })[]
  entities: DxfEntity[]
}

/** A DXF in text form as the reader takes it apart; it goes on past what it does not know. */
export const parseDxf = parseString as (text: string) => DxfFile
