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
  weights?: number[]
  degree?: number
  block?: string
  scaleX?: number
  scaleY?: number
  rotation?: number
  /** Copies of a block side by side. */
  columnCount?: number
  rowCount?: number
  columnSpacing?: number
  rowSpacing?: number
  /** Which way its plane looks; up where it does not say. */
  extrusionX?: number
  extrusionY?: number
  extrusionZ?: number
  /** Drawn on the sheet about the drawing. */
  paperSpace?: number
  visible?: boolean
}

export interface DxfLayer {
  /** Below 0 where the layer is off. */
  colorNumber?: number
  /** 1 where it is frozen. */
  flags?: number
}

export interface DxfFile {
  header: { insUnits?: number }
  tables?: { layers?: Readonly<Record<string, DxfLayer>> }
  blocks: (DxfPlace & { name?: string; entities?: DxfEntity[] })[]
  entities: DxfEntity[]
}

/** A point of a frame that a smooth line was fitted to, by its flag (DXF reference, VERTEX code 70). */
const FRAME = 16

/**
 * Pairs of lines without the points of frames: older files write them among the points of the line itself, and the reader
 * does not tell them apart.
 */
export function withoutFrames(lines: readonly string[]): string[] {
  const kept: string[] = []
  for (let i = 0; i < lines.length;) {
    let next = i + 2
    while (next < lines.length && Number(lines[next]) !== 0) next += 2
    const record = lines.slice(i, next)
    const flagged = record.some(
      (code, k) => k % 2 === 0 && Number(code) === 70 && (Number(record[k + 1]) & FRAME) !== 0,
    )
    if (!(record[1] === 'VERTEX' && flagged)) kept.push(...record)
    i = next
  }
  return kept
}

/** A DXF in text form as the reader takes it apart; it goes on past what it does not know. */
export const parseDxf = parseString as (text: string) => DxfFile
