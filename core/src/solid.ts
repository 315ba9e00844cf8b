// The front door to the shoe as a solid: what is only turned in the hand, with the triangles it takes.
export { solidOf, type Mesh, type SolidPiece } from './views/solid'
export { type Point } from './views/point'
export { elevation, footSeat, silhouette } from './views/elevation'
