/**
 * Places that are marked on a lateral radiograph, in the order they are asked for: what each is called, and where to find it.
 * The ground comes first: every figure stands on it, and where the rest likely lies follows from it.
 */
export const RADIOGRAPH_POINTS = [
  { key: 'G1', label: 'Ground, in front', where: 'On the ground line, or under the shoe, at the toe.' },
  { key: 'G2', label: 'Ground, behind', where: 'On the same line at the heels.' },
  { key: 'B', label: 'Breakover', where: 'The foremost place that touches the ground.' },
  { key: 'H', label: 'Heel', where: 'The hindmost place that touches the ground.' },
  { key: 'E', label: 'Top of P3', where: 'The top of the extensor process, the highest place of its front.' },
  { key: 'T', label: 'Tip of P3', where: 'Its foremost end, where front and underside meet.' },
  {
    key: 'U',
    label: 'Underside of P3, behind',
    where: 'On the underside near the wing, as it runs straight from the tip.',
  },
  { key: 'W1', label: 'Front wall, high', where: 'On the front of the wall, a finger below the hairline.' },
  {
    key: 'W2',
    label: 'Front wall, low',
    where: 'On the front of the wall, above where it flares or was rasped.',
  },
  { key: 'C', label: 'Hairline', where: 'Where hair and wall meet in front: paste or a wire shows it.' },
  { key: 'O1', label: 'Coffin joint, front', where: 'On the round end of P2, at the front of the joint.' },
  { key: 'O2', label: 'Coffin joint, middle', where: 'On the round end of P2, at its lowest.' },
  { key: 'O3', label: 'Coffin joint, behind', where: 'On the round end of P2, at the back of the joint.' },
  {
    key: 'P',
    label: 'Pastern bones',
    where: 'The middle of the pastern’s bones, well above the joint: their line runs through it.',
  },
  { key: 'S1', label: 'Sole under the tip', where: 'The sole straight beneath the tip of P3.' },
  { key: 'S2', label: 'Sole under the wing', where: 'The sole straight beneath the underside, behind.' },
  { key: 'F', label: 'Frog apex', where: 'The pin or the paste that was set at the true apex.' },
] as const

export type RadiographPointKey = (typeof RADIOGRAPH_POINTS)[number]['key']
export const RADIOGRAPH_POINT_KEYS = RADIOGRAPH_POINTS.map(({ key }) => key)
