import { select } from 'd3-selection'
import { zoom, zoomIdentity, type ZoomTransform } from 'd3-zoom'
import type { SheetPlace } from './sheet-place'

/** Hands on the sheet: it is moved and sized by them, and laid where it is wanted. */
export interface SheetHands {
  lay(place: SheetPlace): void
}

/**
 * Lets hands move and size the sheet: wheel, pinch and pull.
 *
 * @param may whether this event may move it
 * @param moved told each place it comes to, and whether a hand brought it there
 */
export function letHandsMove(
  svg: SVGSVGElement,
  may: (event: Event) => boolean,
  moved: (place: SheetPlace, byHand: boolean) => void,
): SheetHands {
  const zoomer = zoom<SVGSVGElement, unknown>()
    .scaleExtent([0.6, 24])
    .filter(may)
    .on('zoom', (event: { transform: ZoomTransform; sourceEvent: unknown }) =>
      moved(event.transform, Boolean(event.sourceEvent)),
    )
  select(svg).call(zoomer).on('dblclick.zoom', null)
  return {
    lay: ({ k, x, y }) => zoomer.transform(select(svg), zoomIdentity.translate(x, y).scale(k)),
  }
}
