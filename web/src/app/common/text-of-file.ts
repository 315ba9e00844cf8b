/** The text of a file, or why it has none. */
export type FileText = { ok: true; text: string } | { ok: false; problem: string }

/** How files that hold a sheet of a spreadsheet begin: they are packed folders, or of an older kind. */
const PACKED = [0x50, 0x4b, 0x03, 0x04]
const OLD_SHEET = [0xd0, 0xcf, 0x11, 0xe0]

const SHEET =
  'This is the file of a spreadsheet program, not its text: save the sheet as CSV there, and take that one.'

/**
 * The text of a table or drawing, in whatever letters it was saved: what begins with a mark of its letters is read by it, what
 * is no UTF-8 as Windows-1252, which older programs of this part of the world write.
 */
export async function textOfFile(file: Blob): Promise<FileText> {
  const bytes = new Uint8Array(await file.arrayBuffer())
  const begins = (start: readonly number[]) => start.every((byte, i) => bytes[i] === byte)
  if (begins(PACKED) || begins(OLD_SHEET)) return { ok: false, problem: SHEET }
  if (begins([0xff, 0xfe])) return read('utf-16le', bytes)
  if (begins([0xfe, 0xff])) return read('utf-16be', bytes)
  try {
    return { ok: true, text: new TextDecoder('utf-8', { fatal: true }).decode(bytes) }
  } catch {
    return read('windows-1252', bytes)
  }
}

const read = (letters: string, bytes: Uint8Array): FileText => ({
  ok: true,
  text: new TextDecoder(letters).decode(bytes),
})
