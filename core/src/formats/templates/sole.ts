import { bevelLines, creaseLines, footLayers, layerOf, shoeLayers } from './shoe-layers'
import { ring, type TrueSize } from './template'

/** The shoe as it lies under the foot, seen from the ground. */
export const SOLE: TrueSize = {
  kind: 'sole',
  faces: '',
  missing: '',
  from: 'ground',
  draw: (plan) => [
    ...shoeLayers(plan),
    ...layerOf('Crease', 'fine', creaseLines(plan)),
    ...layerOf('Bevel', 'fine', bevelLines(plan)),
    ...layerOf(
      'Added parts',
      'look',
      plan.parts
        .filter(
          ({ join, layer, edge, face }) => !join && layer !== 'clip' && face !== 'foot' && edge.length > 2,
        )
        .map(({ edge }) => ring(edge)),
    ),
    ...footLayers(plan),
  ],
}
