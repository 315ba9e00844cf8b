import dicomParser, { type DataSet } from 'dicom-parser'
import { unpacked, type Locate, type Packing } from './codecs'
import type { DeepPicture, Window } from './deep-picture'
import { packedSize } from './packed-size'
import { fileScale, type FileScale } from './scale'

/** A radiograph out of a DICOM file. */
export interface ReadRadiograph {
  picture: DeepPicture
  /** The lowest values are white (MONOCHROME1). */
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
const PLAIN = ['1.2.840.10008.1.2', '1.2.840.10008.1.2.1']
const PACKED: Readonly<Record<string, Packing>> = {
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

/**
 * Reads a grey picture of 8 to 16 bits out of a DICOM file, plain or packed without loss, one frame.
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
  if (!isDicom(file))
    return no('This is no radiograph: a DICOM file, or a picture of one (PNG, JPEG), is read.')
  const said = dicomParser.parseDicom(file)
  const syntax = said.string('x00020010') ?? ''
  const packing = PACKED[syntax]
  if (!packing && !PLAIN.includes(syntax))
    return no(
      'The radiograph is packed in a way that is not read here: ask for it uncompressed, or as JPEG lossless, JPEG-LS or JPEG 2000.',
    )
  const shape = shapeOf(said)
  if (typeof shape === 'string') return no(shape)
  const pixels = said.elements['x7fe00010']
  if (!pixels) return no('There is no picture in this file.')
  const { width, height } = shape
  let { bytes, signed } = {
    bytes: file.subarray(pixels.dataOffset, pixels.dataOffset + pixels.length),
    signed: shape.signed,
  }
  let bits = shape.allocated
  if (packing) {
    const packed = wholeFrame(said)
    // What it says of itself is looked at first: a decoder makes room for whatever it is told.
    const size = packedSize(packing, packed)
    if (size?.width !== width || size.height !== height) return no(DAMAGED)
    const frame = await unpacked(packing, packed, locate)
    if (frame.width !== width || frame.height !== height) return no(DAMAGED)
    ;[bytes, signed, bits] = [frame.bytes, shape.signed || frame.signed, frame.bits > 8 ? 16 : 8]
  }
  const picture = pictureOf(bytes, bits, { ...shape, signed }, said)
  if (!picture) return no(DAMAGED)
  return {
    ok: true,
    picture,
    inverted: shape.photometric === 'MONOCHROME1',
    window: windowOf(said),
    scale: fileScale({
      imagerSpacing: numbers(said, 'x00181164'),
      pixelSpacing: numbers(said, 'x00280030'),
      ...optional('calibration', said.string('x00280a02')),
      ...optional('magnification', number(said, 'x00181114')),
      ...optional('sourceToDetector', number(said, 'x00181110')),
      ...optional('sourceToObject', number(said, 'x00181111')),
    }),
    told: TOLD.flatMap(([tag, label]) => {
      const text = said.string(tag)?.replaceAll('^', ' ').trim()
      return text ? [{ label, text }] : []
    }),
  }
}

const no = (problem: string): DicomRead => ({ ok: false, problem })

/** 128 bytes of anything, then four letters (DICOM PS3.10 7.1). */
const isDicom = (file: Uint8Array): boolean =>
  file.length > 132 && String.fromCharCode(...file.subarray(128, 132)) === 'DICM'

interface Shape {
  width: number
  height: number
  allocated: number
  stored: number
  signed: boolean
  photometric: string
}

/** What the file says of its picture, or why it is none that is read here. */
function shapeOf(said: DataSet): Shape | string {
  const [height, width] = [said.uint16('x00280010') ?? 0, said.uint16('x00280011') ?? 0]
  const allocated = said.uint16('x00280100') ?? 0
  const stored = said.uint16('x00280101') ?? allocated
  const photometric = said.string('x00280004') ?? ''
  if (width < 16 || height < 16) return 'There is no picture in this file.'
  if (width * height > MOST_PIXELS)
    return `The radiograph has ${Math.round((width * height) / 1e6)} million pixels; at most ${MOST_PIXELS / 1e6} million are read.`
  if ((said.uint16('x00280002') ?? 1) !== 1 || !photometric.startsWith('MONOCHROME'))
    return 'The picture in this file is coloured: a radiograph is grey.'
  if (![8, 16].includes(allocated) || stored < 8 || stored > allocated)
    return `The radiograph has ${stored} bits to a pixel; 8 to 16 are read.`
  if (Number(said.string('x00280008') ?? 1) > 1)
    return 'There is more than one picture in this file: ask for the lateral alone.'
  return { width, height, allocated, stored, photometric, signed: said.uint16('x00280103') === 1 }
}

/** The packed bytes of the one frame, its fragments put together. */
function wholeFrame(said: DataSet): Uint8Array {
  const pixels = said.elements['x7fe00010']!
  const fragments = pixels.fragments ?? []
  const parts = fragments.map(({ position, length }) => said.byteArray.subarray(position, position + length))
  const whole = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0))
  let at = 0
  for (const part of parts) {
    whole.set(part, at)
    at += part.length
  }
  return whole
}

/**
 * The picture out of its bytes: values of so many bits, those above the stored ones cut off, after slope and intercept.
 *
 * @returns undefined where bytes are missing
 */
function pictureOf(bytes: Uint8Array, bits: number, shape: Shape, said: DataSet): DeepPicture | undefined {
  const { width, height, signed, stored } = shape
  const count = width * height
  if (bytes.length < count * (bits / 8)) return undefined
  const slope = number(said, 'x00281053') ?? 1
  const intercept = number(said, 'x00281052') ?? 0
  const mask = 2 ** stored - 1
  const raw = bits === 8 ? bytes.subarray(0, count) : words(bytes, count)
  // Nothing to be worked out, and nothing to be cut off: the values stay where they are.
  if (!signed && slope === 1 && intercept === 0 && keepTo(raw, mask)) return { width, height, data: raw }
  // What lies above it is less than nothing, in two's complement.
  const top = signed ? mask >> 1 : mask
  const data = new Float32Array(count)
  for (let i = 0; i < count; i++) {
    const kept = raw[i]! & mask
    data[i] = (kept > top ? kept - mask - 1 : kept) * slope + intercept
  }
  return { width, height, data }
}

/** Whether no value has a bit that the mask, of 8 bits or more, has not. */
function keepTo(raw: Uint8Array | Uint16Array, mask: number): boolean {
  if (raw instanceof Uint8Array || mask === 0xffff) return true
  // Two at once, as whole numbers: there are millions of them. Those that do not begin where such a number may come singly.
  const single = raw.byteOffset % 4 === 0 ? 0 : 1
  const pairs = new Int32Array(raw.buffer, raw.byteOffset + 2 * single, (raw.length - single) >> 1)
  let bits = (raw[0] ?? 0) | (raw[raw.length - 1] ?? 0)
  for (let i = 0; i < pairs.length; i++) bits |= pairs[i]!
  return ((bits | (bits >>> 16)) & 0xffff & ~mask) === 0
}

/** Two bytes a value, the lower first, as DICOM writes them and nearly every machine keeps them. */
function words(bytes: Uint8Array, count: number): Uint16Array {
  if (!LOW_FIRST) {
    const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
    return Uint16Array.from({ length: count }, (_, i) => view.getUint16(i * 2, true))
  }
  // A value must begin at an even byte of its memory.
  return bytes.byteOffset % 2 === 0
    ? new Uint16Array(bytes.buffer, bytes.byteOffset, count)
    : new Uint16Array(bytes.slice(0, count * 2).buffer)
}
const LOW_FIRST = new Uint8Array(Uint16Array.of(1).buffer)[0] === 1

function windowOf(said: DataSet): Window | undefined {
  const [centre, width] = [number(said, 'x00281050'), number(said, 'x00281051')]
  return centre !== undefined && width !== undefined && width >= 1 ? { centre, width } : undefined
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
