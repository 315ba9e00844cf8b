import { formatLength, parseLength, type LengthStyle, type SizeHole } from '@crescent/core'

/** Holes as they are typed: `1 1/2 : 3/8; 2 1/4 : 3/8`, from the toe and from the rim, with the pitch in degrees where it is known. */
export const holeText = (holes: readonly SizeHole[], style: LengthStyle): string =>
  holes
    .map(({ fromToe, inset, pitch }) =>
      [
        formatLength(fromToe, style, false),
        formatLength(inset, style, false),
        ...(pitch === undefined ? [] : [String(pitch)]),
      ].join(' : '),
    )
    .join('; ')

/** What was typed as holes; or what of it cannot be read. */
export function readHoleText(text: string, { unit }: LengthStyle): { holes: SizeHole[] } | { wrong: string } {
  const holes: SizeHole[] = []
  for (const one of text.split(';').map((part) => part.trim())) {
    if (one === '') continue
    const [from, inset, pitch, ...more] = one.split(':')
    const [a, b] = [parseLength(from ?? '', unit), parseLength(inset ?? '', unit)]
    const lean = pitch === undefined ? undefined : Number(pitch)
    if (!a.ok || !b.ok || more.length > 0 || (lean !== undefined && !Number.isFinite(lean)))
      return { wrong: `${one}: a hole is written as its place from the toe, a colon, and how far in it lies` }
    holes.push({ fromToe: a.mm, inset: b.mm, ...(lean !== undefined && { pitch: lean }) })
  }
  return { holes }
}
