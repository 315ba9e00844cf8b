// The front door to the shoe as a solid: what is only turned in the hand, with the triangles it takes.
export { solidOf, type Mesh, type Point, type SolidPiece } from './views/solid'
export { elevation, footSeat, silhouette } from './views/elevation'
