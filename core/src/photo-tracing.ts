// The front door to the tracing of photographs: marks found, planes and heights, edges followed. Heavy: for workers and the server.
export { planeByLength } from './photographs/by-length'
export { fromAbove } from './photographs/from-above'
export { viewAbove } from './photographs/height'
export { smaller } from './photographs/picture'
export { squaresOf } from './photographs/squares'
export { cardSeen, traceIn, tracePhoto } from './photographs/trace-photo'
