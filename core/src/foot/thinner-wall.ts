/** The wall at the nails on either side, mm. */
interface Walls {
  wallThickness: number
  medialWallThickness: number
}

/** The wall where the nails go, on the side where it is thinner, mm: what presses, pricks or carries is judged by it. */
export const thinnerWall = ({ wallThickness, medialWallThickness }: Walls): number =>
  Math.min(wallThickness, medialWallThickness)
