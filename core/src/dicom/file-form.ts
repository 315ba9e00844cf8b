import dicomParser, { type DataSet } from 'dicom-parser'
import { Inflate } from 'fflate'
import { bareForm, hasLetters, LETTERS, PREAMBLE } from './head'
import { joinedBytes } from './joined-bytes'

/** Explicit and implicit little endian (DICOM PS3.5 annex A): what every file is brought to before it is read. */
const EXPLICIT = '1.2.840.10008.1.2.1'
const IMPLICIT = '1.2.840.10008.1.2'
const DEFLATED = '1.2.840.10008.1.2.1.99'

/** More than this nothing unpacks to, bytes: a small file may hold endless zeros. */
const MOST_INFLATED = 400e6

/** A file as it is read: its elements, and how its pixels are written. */
export interface OpenedFile {
  said: DataSet
  syntax: string
}

/**
 * Opens a file: one without preamble gets its own, one that is deflated is unpacked.
 *
 * @returns undefined where it is no DICOM file
 * @throws what the parser throws of a damaged one
 */
export function openedFile(file: Uint8Array): OpenedFile | undefined {
  const bare = hasLetters(file) ? undefined : bareForm(file)
  if (!bare && !hasLetters(file)) return undefined
  const whole =
    bare === undefined
      ? file
      : bare === 'meta'
        ? joinedBytes([preamble(), file])
        : withSyntax(bare === 'explicit' ? EXPLICIT : IMPLICIT, file)
  const meta = dicomParser.readPart10Header(whole) as DataSet & { position: number }
  const syntax = meta.string('x00020010') ?? IMPLICIT
  if (syntax === DEFLATED)
    return {
      said: dicomParser.parseDicom(withSyntax(EXPLICIT, inflated(whole.subarray(meta.position)))),
      syntax: EXPLICIT,
    }
  return { said: dicomParser.parseDicom(whole), syntax }
}

const preamble = (): Uint8Array => Uint8Array.from([...new Array<number>(PREAMBLE).fill(0), ...LETTERS])

/** Data with a head that says how it is written. */
function withSyntax(syntax: string, data: Uint8Array): Uint8Array {
  const value = new TextEncoder().encode(syntax.length % 2 === 0 ? syntax : `${syntax}\0`)
  const element = Uint8Array.from([2, 0, 0x10, 0, 85, 73, value.length, 0, ...value])
  return joinedBytes([preamble(), element, data])
}

/** @throws Error where it unpacks to more than any radiograph has */
function inflated(packed: Uint8Array): Uint8Array {
  const parts: Uint8Array[] = []
  let size = 0
  const inflate = new Inflate((part) => {
    size += part.length
    if (size > MOST_INFLATED) throw new Error('too large')
    parts.push(part)
  })
  inflate.push(packed, true)
  return joinedBytes(parts)
}
