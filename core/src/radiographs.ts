// The front door to lateral radiographs: the places that are marked, the figures read from them, trim and shoe planned.
export { RADIOGRAPH_POINTS, RADIOGRAPH_POINT_KEYS, type RadiographPointKey } from './terms/radiograph-points'
export type { RadiographPoints } from './radiographs/frame'
export {
  RADIOGRAPH_FIGURES,
  radiographFigures,
  TAPPING,
  type RadiographFigure,
  type RadiographFigureKind,
} from './radiographs/figures'
export { LEAST_SOLE, trimPlan, type TrimPlan, type Wanted } from './radiographs/trim-plan'
export { drawnLines, type DrawnKind, type DrawnLine } from './radiographs/drawn-lines'
export { likelyPlaces } from './radiographs/likely-places'
export { markingProblems } from './radiographs/marking-problems'
export { footFromRadiograph, limitsFromRadiograph, type FootFromRadiograph } from './radiographs/onto-foot'
export { looksLikeDicom } from './dicom/head'
