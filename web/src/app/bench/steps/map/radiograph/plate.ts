import type { Vec } from '@crescent/core'
import type { FileScale, Window } from '@crescent/core/dicom'
import {
  RADIOGRAPH_FIGURES,
  RADIOGRAPH_POINTS,
  radiographFigures,
  type RadiographFigure,
  type RadiographPointKey,
  type RadiographPoints,
} from '@crescent/core/radiographs'
import type { OpenedPlate } from './plate-work'

/** How large the picture is known to be by: a marker of known length, what the file says, or what it was known by before. */
export type ScaleBy = 'marker' | 'file' | 'kept'
/** The two ends of the marker. */
export type MarkerEnd = 'from' | 'to'

/** A radiograph as it is stored with a visit; its file where it was opened from there. */
export interface KeptAs {
  id: string
  version: number
  visitId: string
  mmPerPixel: number | undefined
  file?: string
}

/** A radiograph that is worked on: what was opened, how it is shown, what was marked on it. */
export interface Plate {
  name: string
  /** What it is opened from again, once another one was looked at. */
  source: { file: Blob; dicom: boolean } | { seed: number }
  opened: OpenedPlate
  window: Window
  inverted: boolean
  points: RadiographPoints
  past: readonly RadiographPoints[]
  /** Places that cannot be seen on it. */
  leftOut: readonly RadiographPointKey[]
  /** The place that is asked for next, where one was chosen. */
  chosen: RadiographPointKey | undefined
  scaleBy: ScaleBy | undefined
  marker: Partial<Record<MarkerEnd, Vec>> & { long?: number | undefined }
  /** As it is stored, where it is. */
  kept: KeptAs | undefined
  /** What its file says of patient and owner is wanted with it, and so is the file's name. */
  named: boolean
}

/** A plate as it is when it was just opened: nothing marked, and no scale taken for granted. */
export const freshPlate = (name: string, source: Plate['source'], opened: OpenedPlate): Plate => ({
  ...{ name, source, opened, window: opened.windows.file ?? opened.windows.usual, inverted: opened.inverted },
  ...{
    points: {},
    past: [],
    leftOut: [],
    chosen: undefined,
    scaleBy: undefined,
    marker: {},
    kept: undefined,
    named: false,
  },
})

/** What is asked for next: an end of the marker, a place, or nothing more. */
export type AskedNext =
  { end: MarkerEnd; label: string; where: string } | { key: RadiographPointKey; label: string; where: string }

export function askedNext({ points, leftOut, chosen, scaleBy, marker }: Plate): AskedNext | undefined {
  const end = (['from', 'to'] as const).find((each) => !marker[each])
  if (scaleBy === 'marker' && end)
    return {
      end,
      label: end === 'from' ? 'One end of the marker' : 'Its other end',
      where: 'The rod or the ball of known length that lay beside the foot.',
    }
  if (chosen) return RADIOGRAPH_POINTS.find(({ key }) => key === chosen)
  return RADIOGRAPH_POINTS.find(({ key }) => !points[key] && !leftOut.includes(key))
}

/** A place set or moved; asked once more it can be taken back. */
export function withPoint(plate: Plate, key: RadiographPointKey, at: Vec): Plate {
  return {
    ...plate,
    points: { ...plate.points, [key]: at },
    past: [...plate.past, plate.points],
    leftOut: plate.leftOut.filter((each) => each !== key),
    chosen: plate.chosen === key ? undefined : plate.chosen,
  }
}

/** A place that was set, taken away again. */
export function withoutPoint(plate: Plate, key: RadiographPointKey): Plate {
  const { [key]: _gone, ...points } = plate.points
  return { ...plate, points, past: [...plate.past, plate.points], chosen: key }
}

/** The last place that was set, moved or taken away, as it was before. */
export function takenBack(plate: Plate): Plate {
  const before = plate.past[plate.past.length - 1]
  return before ? { ...plate, points: before, past: plate.past.slice(0, -1) } : plate
}

/** What a marker can measure, mm. */
export const MARKER = [5, 300] as const
export const canBeMarker = (mm: number): boolean => mm >= MARKER[0] && mm <= MARKER[1]

/** mm of a pixel in the plane of the foot; nothing until somebody said by what. */
export function mmPerPixel({ scaleBy, marker, opened, kept }: Plate): number | undefined {
  if (scaleBy === 'kept') return kept?.mmPerPixel
  if (scaleBy === 'file') return opened.scale.mmPerPixel
  const { from, to, long } = marker
  if (scaleBy !== 'marker' || !from || !to || long === undefined || !canBeMarker(long)) return undefined
  const pixels = Math.hypot(to[0] - from[0], to[1] - from[1])
  return pixels > 0 ? long / pixels : undefined
}

/** About how large a pixel is where nobody said: enough for angles and their error, for no length. */
const ACROSS = 240
export const aboutMm = (plate: Plate): number => mmPerPixel(plate) ?? ACROSS / plate.opened.width

/** The figures as far as they are known: without a scale no length is. */
export function figuresOf(plate: Plate): RadiographFigure[] {
  const scaled = mmPerPixel(plate) !== undefined
  return radiographFigures(plate.points, aboutMm(plate)).map((one) =>
    one.unit === 'mm' && one.value !== null && !scaled
      ? { ...one, value: null, uncertainty: null, lacks: ['the scale'] }
      : one,
  )
}

/** Whether a figure lies outside what is usual by more than its own error. */
export function unusual({ key, value, uncertainty }: RadiographFigure): boolean {
  const usual = RADIOGRAPH_FIGURES.find((one) => one.key === key)?.usual
  if (!usual || value === null) return false
  return value + (uncertainty ?? 0) < usual[0] || value - (uncertainty ?? 0) > usual[1]
}

/** What the file says of its scale, in words. */
export function scaleSaid({ by, magnification }: FileScale): string {
  if (by === 'magnification')
    return `The file says the detector’s pixels and a magnification of ${magnification!.toFixed(3)}; they were divided by it.`
  if (by === 'calibrated') return 'The file says that its pixels were calibrated.'
  if (by === 'detector')
    return 'The file says only the detector’s pixels: the foot stood before it, and all lengths come out too long, often by a tenth.'
  return 'The file says nothing of its scale: a marker of known length is needed.'
}

/** Whether the same is marked on both, at the same scale; how bright they are shown does not matter. */
export const markedAlike = (a: Plate, b: Plate): boolean =>
  a.points === b.points && a.scaleBy === b.scaleBy && a.marker === b.marker && a.named === b.named

/** What it is called once it is kept: what its file says of whose it is stays out unless it is wanted. */
export function keptName({ named, kept, name, opened }: Plate): string {
  if (named) return [name, ...opened.told.map(({ text }) => text)].join(', ')
  return kept?.file === undefined ? 'Lateral radiograph' : name
}

/** What is stored of a plate whose picture is kept `width` pixels wide: places and scale go with it. */
export function marksKept(
  plate: Plate,
  width: number,
): { marks: Record<string, [number, number]>; mmPerPixel: number | null } {
  const by = width / plate.opened.width
  const scale = mmPerPixel(plate)
  return {
    marks: Object.fromEntries(
      Object.entries(plate.points).map(([key, [x, y]]) => [key, [x * by, y * by] as [number, number]]),
    ),
    mmPerPixel: scale === undefined ? null : scale / by,
  }
}

/** What a drag over the whole width does: up brightens by all the greys, to the right makes the window so much narrower. */
const DRAGGED = 12

/** The window after a drag, shares of the picture's width to the right and up. */
export function shaded({ window, opened, inverted }: Plate, [right, up]: Vec): Window {
  const { width } = opened.windows.whole
  const narrower = window.width * DRAGGED ** -right
  return {
    // Brighter is a lower middle, or a higher one where black and white are turned.
    centre: window.centre - (inverted ? -up : up) * width,
    width: Math.min(2 * width, Math.max(width / 100, narrower)),
  }
}
