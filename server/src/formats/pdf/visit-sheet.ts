import { writeTold, type LengthStyle, type SheetPart } from '@crescent/core'
import { beginPdf } from './document'
import { MARGIN, PAPERS, type PaperName } from './paper'

/** Letters of a sheet, points; room between parts and lines, mm. */
const [TITLE, HEADING, TEXT] = [18, 13, 11]
const [PART, LINE] = [4, 1.5]
/** A sheet that is read has a wide edge, mm. */
const EDGE = MARGIN + 8

/** A sheet about a visit, on as many pages as it takes. */
export function visitSheetPdf(
  title: string,
  under: string,
  parts: readonly SheetPart[],
  paper: PaperName,
  style: LengthStyle,
): Promise<Buffer> {
  const sheet = PAPERS[paper]
  const document = beginPdf(title)
  const width = sheet.width - 2 * EDGE
  let y = EDGE
  const put = (text: string, size: number, face: 'plain' | 'strong', keep = 0) => {
    const high = document.heightOf(text, { size, face, width })
    if (y + high + keep > sheet.height - EDGE) {
      document.sheet(sheet)
      y = EDGE
    }
    y += document.write(text, EDGE, y, { size, face, width }) + LINE
  }
  document.sheet(sheet)
  put(title, TITLE, 'strong')
  put(under, TEXT, 'plain')
  for (const { title: heading, lines } of parts) {
    y += PART
    // A heading does not stand alone at the end of a page.
    if (heading) put(heading, HEADING, 'strong', 12)
    for (const line of lines) put(writeTold(line, style), TEXT, 'plain')
  }
  return document.done()
}
