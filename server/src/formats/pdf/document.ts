import { createRequire } from 'node:module'
import PDFDocument from 'pdfkit'
import { POINTS, type Paper } from './paper'

const found = createRequire(import.meta.url).resolve

/** Fonts that come with the application and hold every script a horse's name may be written in. */
const FONTS = {
  plain: found('dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf'),
  strong: found('dejavu-fonts-ttf/ttf/DejaVuSansCondensed-Bold.ttf'),
}
export type Face = keyof typeof FONTS

/** A PDF that is written in millimetres, x to the right and y down from the upper left corner. */
export interface Document {
  pdf: PDFKit.PDFDocument
  /** A new sheet of paper. */
  sheet: (paper: Paper) => void
  /** Words with their upper left corner there; letters in points. Returns how high they stand, mm. */
  write: (text: string, x: number, y: number, options?: WriteOptions) => number
  /** How high words would stand, mm. */
  heightOf: (text: string, options?: WriteOptions) => number
  /** The whole file. */
  done: () => Promise<Buffer>
}

export interface WriteOptions {
  size?: number
  face?: Face
  /** Lines are broken at this width, mm. */
  width?: number
  align?: 'left' | 'right' | 'center'
}

/** Letters as they usually stand, points. */
const USUAL = 10

/**
 * Begins a PDF. Printers are asked not to scale it: what is drawn is as large as it is.
 *
 * @param title told in the window's bar
 */
export function beginPdf(title: string): Document {
  const pdf = new PDFDocument({
    autoFirstPage: false,
    info: { Title: title, Producer: 'Crescent', Creator: 'Crescent' },
    lang: 'en',
  })
  const parts: Buffer[] = []
  const whole = new Promise<Buffer>((done, fail) => {
    pdf.on('data', (part: Buffer) => parts.push(part))
    pdf.on('end', () => done(Buffer.concat(parts)))
    pdf.on('error', fail)
  })
  for (const [face, file] of Object.entries(FONTS)) pdf.registerFont(face, file)
  // The library ends this itself when the file ends; another one it would wait for without end.
  const { data } = (pdf as unknown as { _root: { data: Record<string, unknown> } })._root
  data['ViewerPreferences'] = pdf.ref({ PrintScaling: 'None', DisplayDocTitle: true })

  const set = ({ size = USUAL, face = 'plain', width, align }: WriteOptions) => {
    pdf.font(face).fontSize(size)
    return {
      ...(width === undefined ? { lineBreak: false } : { width: width * POINTS }),
      ...(align && { align }),
    }
  }
  const heightOf = (text: string, options: WriteOptions = {}) =>
    pdf.heightOfString(text, set(options)) / POINTS
  return {
    pdf,
    heightOf,
    sheet: ({ width, height }) => pdf.addPage({ size: [width * POINTS, height * POINTS], margin: 0 }),
    write: (text, x, y, options = {}) => {
      const high = heightOf(text, options)
      pdf.fillColor('#000').text(text, x * POINTS, y * POINTS, set(options))
      return high
    },
    done: () => {
      pdf.end()
      return whole
    },
  }
}
