import type { ListedPicture, PictureKind, Vec } from '@crescent/core'
import { laidOver } from '@crescent/core/photographs'

/** How a later picture is laid over an earlier one, and by what. */
export interface Over {
  /** As a transform of SVG. */
  transform: string
  /** Both are to one scale. */
  scaled: boolean
  words: string
  /** How far apart the places lie by which they were laid, mm; nothing where that says nothing. */
  off?: number
}

type Placed = Pick<ListedPicture, 'kind' | 'width' | 'height' | 'mmPerPixel' | 'marks'>

/** By what pictures are laid over each other, and how that is said. */
interface LaidBy {
  keys: readonly string[]
  by: string
}
const BY_LINE: LaidBy = { keys: ['a1', 'a2'], by: 'By the line that was drawn on both.' }
const BY_TAPS: LaidBy = {
  keys: ['toe', 'lateralWidest', 'medialWidest', 'lateralHeel', 'medialHeel'],
  by: 'By toe, widest places and heels.',
}
/** Kinds that have places of their own; all have lines. */
const LAID_BY: Partial<Record<PictureKind, LaidBy>> = {
  radiograph: { keys: ['E', 'T', 'U'], by: 'Bone on bone: by top, tip and underside of P3.' },
  sole: BY_TAPS,
  shoe: BY_TAPS,
}

/** Lays the later of two pictures of a kind over the earlier. */
export function laidPictures(below: Placed, above: Placed): Over {
  const scale =
    below.mmPerPixel !== null && above.mmPerPixel !== null ? above.mmPerPixel / below.mmPerPixel : undefined
  for (const { keys, by } of [LAID_BY[below.kind] ?? BY_LINE, BY_LINE]) {
    const both = keys.filter((key) => below.marks[key] && above.marks[key])
    const places = (one: Placed): Vec[] => both.map((key) => one.marks[key]!)
    const laid = laidOver(places(above), places(below), scale)
    if (!laid) continue
    const [c, s] = laid.turn
    return {
      transform: `matrix(${c} ${s} ${-s} ${c} ${laid.by[0]} ${laid.by[1]})`,
      scaled: scale !== undefined,
      words: scale === undefined ? `${by} Without a scale on both, one is made as large as the other.` : by,
      ...(below.mmPerPixel !== null && both.length > 2 && { off: laid.off * below.mmPerPixel }),
    }
  }
  const size = scale ?? Math.min(below.width / above.width, below.height / above.height)
  const [x, y] = [(below.width - above.width * size) / 2, (below.height - above.height * size) / 2]
  return {
    transform: `matrix(${size} 0 0 ${size} ${x} ${y})`,
    scaled: scale !== undefined,
    words: 'Middle on middle: draw the same line on both, and they are laid by it.',
  }
}
