import type { DataSet } from 'dicom-parser'
import { unpacked, type Locate, type Packing } from './codecs'
import type { DeepPicture, Window } from './deep-picture'
import { openedFile } from './file-form'
import { joinedBytes } from './joined-bytes'
import { textOf } from './letters'
import { packedSize } from './packed-size'
import { unrolled } from './run-length'
import { fileScale, type FileScale } from './scale'
import { inSquarePixels, isSquare, pixelShape, type PixelShape } from './square-pixels'
import { greyOfColours, pictureOf, type Modality } from './values'

/** A radiograph out of a DICOM file. */
export interface ReadRadiograph {
  picture: DeepPicture
  /** The lowest values are white. */
  inverted: boolean
  /** As the file wants it shown, where it says so. */
  window: Window | undefined
  scale: FileScale
  /** Whose it is and when it was taken, as the file says: shown once, kept only where that is wanted. */
  told: { label: string; text: string }[]
}

export type DicomRead = ({ ok: true } & ReadRadiograph) | { ok: false; problem: string }

/** More pixels than these are no radiograph of a foot. */
const MOST_PIXELS = 40_000_000

/** Ways in which pixels are written (DICOM PS3.5 annex A). */
const BIG_ENDIAN = '1.2.840.10008.1.2.2'
const RUNS = '1.2.840.10008.1.2.5'
const PLAIN = ['1.2.840.10008.1.2', '1.2.840.10008.1.2.1', BIG_ENDIAN]
const PACKED: Readonly<Record<string, Packing>> = {
  '1.2.840.10008.1.2.4.50': 'jpeg',
  '1.2.840.10008.1.2.4.57': 'jpeg-lossless',
  '1.2.840.10008.1.2.4.70': 'jpeg-lossless',
  '1.2.840.10008.1.2.4.80': 'jpeg-ls',
  '1.2.840.10008.1.2.4.81': 'jpeg-ls',
  '1.2.840.10008.1.2.4.90': 'jpeg-2000',
  '1.2.840.10008.1.2.4.91': 'jpeg-2000',
}

const TOLD = [
  ['x00100010', 'Patient'],
  ['x00102297', 'Owner'],
  ['x00100020', 'Number'],
  ['x00080020', 'Taken on'],
  ['x00080080', 'Practice'],
  ['x00200062', 'Side'],
  ['x00081030', 'Study'],
] as const

const DAMAGED = 'The radiograph is damaged: it could not be read to its end. Ask for the file once more.'
const NONE = 'This is no radiograph: a DICOM file, or a picture of one (PNG, JPEG), is read.'
const COLOURED = 'The picture in this file is coloured: a radiograph is grey.'

/**
 * Reads a grey picture of 8 to 16 bits out of a DICOM file, plain or packed, one frame. Pixels that are longer one way than
 * the other come out square.
 *
 * @param locate where the wasm of the decoders lies
 * @returns the radiograph, or a sentence that says why there is none; never throws
 */
export async function readDicom(file: Uint8Array, locate?: Locate): Promise<DicomRead> {
  try {
    return await reading(file, locate)
  } catch {
    return no(DAMAGED)
  }
}

async function reading(file: Uint8Array, locate: Locate): Promise<DicomRead> {
  const opened = openedFile(file)
  if (!opened) return no(NONE)
  const { said, syntax } = opened
  if (!PACKED[syntax] && syntax !== RUNS && !PLAIN.includes(syntax))
    return no(
      'The radiograph is packed in a way that is not read here: ask for it uncompressed, or as JPEG lossless, JPEG-LS or JPEG 2000.',
    )
  const shape = shapeOf(said)
  if (typeof shape === 'string') return no(shape)
  if (!said.elements['x7fe00010']) return no('There is no picture in this file.')
  const written = await writtenPixels(said, syntax, shape, locate)
  if (written === undefined) return no(DAMAGED)
  const bytes =
    shape.colours === 1
      ? written.bytes
      : greyOfColours(written.bytes, shape.width * shape.height, written.planar)
  if (bytes === 'coloured') return no(COLOURED)
  if (bytes === undefined) return no(DAMAGED)
  const form = {
    ...shape,
    allocated: written.allocated,
    signed: written.signed,
    bigEndian: syntax === BIG_ENDIAN,
  }
  const picture = pictureOf(bytes, form, modalityOf(said))
  if (!picture) return no(DAMAGED)
  return {
    ok: true,
    ...shownAs(said, shape.photometric),
    picture: isSquare(shape.pixel) ? picture : inSquarePixels(picture, shape.pixel),
    scale: scaleOf(said),
    told: TOLD.flatMap(([tag, label]) => {
      const text = textOf(said, tag)
      return text ? [{ label, text }] : []
    }),
  }
}

const no = (problem: string): DicomRead => ({ ok: false, problem })

interface Shape {
  width: number
  height: number
  allocated: 8 | 16
  stored: number
  high: number
  signed: boolean
  photometric: string
  colours: 1 | 3
  /** All values of a colour stand before all of the next. */
  planar: boolean
  pixel: PixelShape
}

/** What the file says of its picture, or why it is none that is read here. */
function shapeOf(said: DataSet): Shape | string {
  const [height, width] = [said.uint16('x00280010') ?? 0, said.uint16('x00280011') ?? 0]
  const allocated = said.uint16('x00280100') ?? 0
  const stored = said.uint16('x00280101') ?? allocated
  const high = said.uint16('x00280102') ?? stored - 1
  const photometric = said.string('x00280004') ?? ''
  const colours = said.uint16('x00280002') ?? 1
  if (width < 16 || height < 16) return 'There is no picture in this file.'
  if (width * height > MOST_PIXELS)
    return `The radiograph has ${Math.round((width * height) / 1e6)} million pixels; at most ${MOST_PIXELS / 1e6} million are read.`
  const grey = colours === 1 && photometric.startsWith('MONOCHROME')
  const asColours = colours === 3 && allocated === 8 && /^(RGB|YBR)/.test(photometric)
  if (!grey && !asColours) return COLOURED
  if ((allocated !== 8 && allocated !== 16) || stored < 8 || stored > allocated)
    return `The radiograph has ${stored} bits to a pixel; 8 to 16 are read.`
  if (high < stored - 1 || high >= allocated)
    return `The radiograph says that it uses ${stored} of ${allocated} bits, and that the highest of them is ${high}: that cannot be.`
  if (Number(said.string('x00280008') ?? 1) > 1)
    return 'There is more than one picture in this file: ask for the lateral alone.'
  const pixel = pixelShape({
    pixelSpacing: numbers(said, 'x00280030'),
    imagerSpacing: numbers(said, 'x00181164'),
    aspect: numbers(said, 'x00280034'),
  })
  if (!pixel)
    return 'The radiograph says two things of how high and how wide its pixels are: nothing can be measured on it. Ask for the file once more.'
  return {
    ...{ width, height, allocated, stored, high, photometric, pixel },
    colours: asColours ? 3 : 1,
    planar: said.uint16('x00280006') === 1,
    signed: said.uint16('x00280103') === 1,
  }
}

/** Pixels as bytes, once they are unpacked. */
interface Written {
  bytes: Uint8Array
  allocated: 8 | 16
  signed: boolean
  planar: boolean
}

/** @returns undefined where bytes are missing, or a packed picture is another than the file says */
async function writtenPixels(
  said: DataSet,
  syntax: string,
  shape: Shape,
  locate: Locate,
): Promise<Written | undefined> {
  const { width, height, allocated, signed, planar, colours } = shape
  const packing = PACKED[syntax]
  if (packing) {
    const packed = wholeFrame(said)
    // What it says of itself is looked at first: a decoder makes room for whatever it is told.
    const size = packedSize(packing, packed)
    if (size?.width !== width || size.height !== height) return undefined
    const frame = await unpacked(packing, packed, locate)
    if (frame.width !== width || frame.height !== height || frame.colours !== colours) return undefined
    return {
      bytes: frame.bytes,
      allocated: frame.bits > 8 ? 16 : 8,
      signed: signed || frame.signed,
      planar: false,
    }
  }
  if (syntax === RUNS) {
    const bytes = unrolled(wholeFrame(said), width * height, (allocated / 8) * colours)
    // Planes come out one value after the other, the last colour first.
    return bytes && { bytes, allocated, signed, planar: false }
  }
  const pixels = said.elements['x7fe00010']!
  const { dataOffset, length } = pixels
  return { bytes: said.byteArray.subarray(dataOffset, dataOffset + length), allocated, signed, planar }
}

/** The packed bytes of the one frame, its fragments put together. */
function wholeFrame(said: DataSet): Uint8Array {
  const fragments = said.elements['x7fe00010']!.fragments ?? []
  return joinedBytes(
    fragments.map(({ position, length }) => said.byteArray.subarray(position, position + length)),
  )
}

/** A table that a file lays its values out by (DICOM PS3.3 C.11.1). */
function tableOf(said: DataSet, sequence: string): { from: number; table: number[] } | undefined {
  const own = said.elements[sequence]?.items?.[0]?.dataSet
  const data = own?.elements['x00283006']
  if (!own || !data) return undefined
  const [entries, first, bits] = [0, 1, 2].map((i) => own.uint16('x00283002', i) ?? 0) as [
    number,
    number,
    number,
  ]
  const signed = said.uint16('x00280103') === 1
  const count = entries === 0 ? 65536 : entries
  const wide = data.length >= 2 * count ? 2 : 1
  if (data.length < count * wide || bits < 1) return undefined
  const table = Array.from({ length: count }, (_, i) =>
    wide === 2 ? own.uint16('x00283006', i)! : own.byteArray[data.dataOffset + i]!,
  )
  return { from: signed && first > 0x7fff ? first - 0x10000 : first, table }
}

const modalityOf = (said: DataSet): Modality =>
  tableOf(said, 'x00283000') ?? {
    slope: number(said, 'x00281053') ?? 1,
    intercept: number(said, 'x00281052') ?? 0,
  }

/** How it is to be shown: in which window, and whether its lowest values are white. */
function shownAs(said: DataSet, photometric: string): Pick<ReadRadiograph, 'window' | 'inverted'> {
  const [centre, width] = [number(said, 'x00281050'), number(said, 'x00281051')]
  // The one way of saying it goes with the other (DICOM PS3.3 C.8.11.3.1.2): together they do not turn it back.
  const inverted = photometric === 'MONOCHROME1' || said.string('x20500020')?.trim() === 'INVERSE'
  if (centre !== undefined && width !== undefined && width >= 1)
    return { window: { centre, width }, inverted }
  // Of a table for the eye its ends are minded, and which way it runs.
  const eye = tableOf(said, 'x00283010')
  if (!eye) return { window: undefined, inverted }
  const { from, table } = eye
  return {
    window: { centre: from + (table.length - 1) / 2, width: table.length },
    inverted: inverted !== table[0]! > table[table.length - 1]!,
  }
}

/** The scale of its pixels once they are square: as small as they were the shorter way. */
function scaleOf(said: DataSet): FileScale {
  const shorter = (tag: string): number[] => {
    const [high, wide] = numbers(said, tag)
    return high === undefined || wide === undefined ? [] : [Math.min(high, wide), Math.min(high, wide)]
  }
  return fileScale({
    imagerSpacing: shorter('x00181164'),
    pixelSpacing: shorter('x00280030'),
    ...optional('calibration', said.string('x00280a02')),
    ...optional('magnification', number(said, 'x00181114')),
    ...optional('sourceToDetector', number(said, 'x00181110')),
    ...optional('sourceToObject', number(said, 'x00181111')),
  })
}

function numbers(said: DataSet, tag: string): number[] {
  return (said.string(tag) ?? '')
    .split('\\')
    .map(Number)
    .filter((value) => Number.isFinite(value) && value !== 0)
}
const number = (said: DataSet, tag: string): number | undefined => {
  const value = said.string(tag)?.split('\\')[0]
  return value !== undefined && value.trim() !== '' && Number.isFinite(Number(value))
    ? Number(value)
    : undefined
}
const optional = <K extends string, T>(key: K, value: T | undefined): { [key in K]?: T } =>
  value === undefined ? {} : ({ [key]: value } as { [key in K]?: T })
