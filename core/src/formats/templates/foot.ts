import { boxedLines, footLayers, layerOf, seatLines, shoeLayers } from './shoe-layers'
import { ring, type TrueSize } from './template'

/** The shoe as it is seen from the foot, with its clips and the foot that will stand on it. */
export const FOOT: TrueSize = {
  kind: 'foot',
  faces: '',
  missing: '',
  from: 'foot',
  draw: (plan) => [
    ...shoeLayers(plan),
    ...layerOf('Seat', 'fine', seatLines(plan)),
    ...layerOf('Boxed edge', 'fine', boxedLines(plan)),
    ...layerOf(
      'Clips',
      'cut',
      plan.parts
        .filter(({ layer, edge }) => layer === 'clip' && edge.length > 2)
        .map(({ edge }) => ring(edge)),
    ),
    ...footLayers(plan),
  ],
}
