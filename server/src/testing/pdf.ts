import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'

/** Pixels a millimetre a page is rendered with. */
const PIXELS = 20

/** For tests: one rendered page of a PDF. */
export interface RenderedPage {
  /** mm */
  width: number
  height: number
  /** The words on it. */
  text: string
  /** How dark a place is, 0 to 1; mm from the upper left corner. */
  dark: (x: number, y: number) => number
  /** Its pixels, so many to a mm. */
  picture: { width: number; height: number; data: Uint8ClampedArray }
  pixels: number
}

/** What of the canvas of the renderer is used here. */
interface Drawn {
  canvas: { width: number; height: number }
  context: { getImageData: (x: number, y: number, w: number, h: number) => { data: Uint8ClampedArray } }
}

/** For tests: every page of a PDF as a reader from the registry renders it. */
export async function pagesOf(file: Buffer): Promise<RenderedPage[]> {
  const pdf = await getDocument({ data: new Uint8Array(file), verbosity: 0 }).promise
  const pages: RenderedPage[] = []
  for (let number = 1; number <= pdf.numPages; number++) {
    const page = await pdf.getPage(number)
    const viewport = page.getViewport({ scale: (PIXELS * 25.4) / 72 })
    const factory = pdf.canvasFactory as { create: (width: number, height: number) => Drawn }
    const { canvas, context } = factory.create(Math.ceil(viewport.width), Math.ceil(viewport.height))
    await page.render({ canvasContext: context as never, canvas: canvas as never, viewport }).promise
    const { data } = context.getImageData(0, 0, canvas.width, canvas.height)
    const { items } = await page.getTextContent()
    pages.push({
      width: viewport.width / PIXELS,
      height: viewport.height / PIXELS,
      text: items.map((item) => ('str' in item ? item.str : '')).join(' '),
      dark: (x, y) => {
        const at = (Math.round(y * PIXELS) * canvas.width + Math.round(x * PIXELS)) * 4
        return 1 - (data[at] ?? 255) / 255
      },
      picture: { width: canvas.width, height: canvas.height, data },
      pixels: PIXELS,
    })
  }
  await pdf.destroy()
  return pages
}

/** For tests: places along a row, mm, in whose middle something dark stands. */
export function darkAlong({ dark, width }: RenderedPage, y: number): number[] {
  const middles: number[] = []
  let from: number | undefined
  for (let x = 0; x <= width; x += 1 / PIXELS) {
    const isDark = dark(x, y) > 0.4
    if (isDark && from === undefined) from = x
    if (!isDark && from !== undefined) {
      middles.push((from + x - 1 / PIXELS) / 2)
      from = undefined
    }
  }
  return middles
}
