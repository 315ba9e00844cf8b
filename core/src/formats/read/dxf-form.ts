import { Unreadable } from './curves'

export const BROKEN = 'The DXF breaks off or holds what no DXF can: it cannot be read.'
const NO_DXF = 'The file is no DXF in text form: it does not begin with a section.'

/** Group codes of the format (DXF reference: group codes in numerical order). */
const CODES = [-5, 1071] as const

/**
 * Looks whether a DXF keeps to the form: pairs of a code and a value, a section first, EOF last.
 *
 * @returns its lines, without what stands about them
 * @throws Unreadable where it does not
 */
export function checkForm(text: string): string[] {
  const lines = text
    .replace(/^\uFEFF/, '')
    .split(/\r\n|\r|\n/)
    .map((line) => line.trim())
  while (lines.length > 0 && lines[lines.length - 1] === '') lines.pop()
  let began = false
  for (let i = 0; i < lines.length; i += 2) {
    const [code, value] = [lines[i]!, lines[i + 1]]
    const number = /^-?\d{1,4}$/.test(code) ? Number(code) : NaN
    if (!(number >= CODES[0] && number <= CODES[1]) || value === undefined)
      throw new Unreadable(began ? BROKEN : NO_DXF)
    if (number !== 0) continue
    if (!began && value !== 'SECTION') throw new Unreadable(NO_DXF)
    began = true
    if (value === 'EOF' && i + 2 < lines.length) throw new Unreadable(BROKEN)
  }
  if (!began) throw new Unreadable(NO_DXF)
  if (lines[lines.length - 1] !== 'EOF') throw new Unreadable(BROKEN)
  return lines
}
