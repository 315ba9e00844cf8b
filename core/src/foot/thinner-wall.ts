import type { Foot } from './measurements'

/** The wall where the nails go, on the side where it is thinner, mm: what presses, pricks or carries is judged by it. */
export const thinnerWall = ({
  wallThickness,
  medialWallThickness,
}: Pick<Foot, 'wallThickness' | 'medialWallThickness'>): number =>
  Math.min(wallThickness, medialWallThickness)
