// The front door to the tracing of photographs: marks found, planes and heights, edges followed. Heavy: for workers and the server.
export { planeByLength } from './photographs/by-length'
export { viewAbove } from './photographs/height'
export { squaresOf } from './photographs/squares'
export { cardSeen, traceIn, tracePhoto } from './photographs/trace-photo'
