// The front door to what goes out and comes in as files: drawings at true size and what writes and reads them. The server's, and scripts'.
export {
  boundsOf,
  crossAt,
  DRAWN_AS,
  mirrored,
  type Drawing,
  type DrawnLine,
  type Layer,
} from './formats/drawing'
export { writeDxf } from './formats/dxf'
export { MM, Unreadable, type ReadCurve, type ReadOutlines } from './formats/read/curves'
export { readOutlines } from './formats/read/outlines'
export { holeSize } from './formats/hole-size'
export { writeSvg } from './formats/svg'
export { templateOf, trueSize, TRUE_SIZES } from './formats/templates/index'
export { boresOf, type Bore } from './views/bores'
export { TEMPLATE_KINDS, type TemplateKind } from './terms/template-kinds'
export { placeOutline, type DrawnOutline, type Placed, type Taps, type TracedFoot } from './tracing/placed'
export { proposedTaps } from './tracing/proposed'
