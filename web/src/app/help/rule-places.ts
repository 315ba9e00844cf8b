import type { FootFigureKey, FootMap, SideView, Vec } from '@crescent/core'

/** Where the rule is laid for a figure: on the sole or from the side, as lines in that view's own frame, mm. */
export interface RulePlace {
  view: 'sole' | 'side'
  lines: (foot: FootMap, side: SideView) => Vec[][]
}

const sole = (lines: (foot: FootMap) => Vec[][]): RulePlace => ({
  view: 'sole',
  lines: (foot) => lines(foot),
})
const beside = (lines: (side: SideView) => Vec[][]): RulePlace => ({
  view: 'side',
  lines: (_foot, side) => lines(side),
})

const toeY = ({ foot }: FootMap): number => foot.widestFromToe
const buttressY = ({ foot }: FootMap): number => foot.widestFromToe - foot.length
/** From the toe straight back by so much. */
const back = (by: (foot: FootMap) => number): RulePlace =>
  sole((map) => [
    [
      [0, toeY(map)],
      [0, toeY(map) - by(map)],
    ],
    [
      [-30, toeY(map) - by(map)],
      [30, toeY(map) - by(map)],
    ],
  ])
/** An angle at a foot: the ground ahead or behind, and up the wall. */
const angle = (at: Vec, ground: Vec, up: Vec): Vec[][] => [[ground, at, up]]

/** For every figure that is measured with rule, gauge or line; shapes that are judged by eye have none. */
export const RULES: Partial<Record<FootFigureKey, RulePlace>> = {
  width: sole(({ foot }) => [
    [
      [foot.lateralHalfWidth, 0],
      [foot.lateralHalfWidth - foot.width, 0],
    ],
  ]),
  length: sole((map) => [
    [
      [0, toeY(map)],
      [0, buttressY(map)],
    ],
    [map.landmarks.lateralButtress, map.landmarks.medialButtress],
  ]),
  heelWidth: sole(({ landmarks }) => [[landmarks.lateralButtress, landmarks.medialButtress]]),
  heelWeb: sole(
    ({
      landmarks: {
        lateralButtress: [x, y],
      },
    }) => [
      [
        [x, y],
        [x - 19, y + 2],
      ],
    ],
  ),
  wallThickness: sole(({ foot }) => [
    [
      [foot.lateralHalfWidth * 0.93, 22],
      [foot.lateralHalfWidth * 0.93 - foot.wallThickness, 19],
    ],
  ]),
  medialWallThickness: sole(({ foot }) => [
    [
      [(foot.lateralHalfWidth - foot.width) * 0.93, 22],
      [(foot.lateralHalfWidth - foot.width) * 0.93 + foot.wallThickness, 19],
    ],
  ]),
  toeWallThickness: sole((map) => [
    [
      [0, toeY(map)],
      [0, toeY(map) - map.foot.toeWallThickness],
    ],
  ]),
  heelWallThickness: sole(
    ({
      foot,
      landmarks: {
        lateralButtress: [x, y],
      },
    }) => [
      [
        [x + 1, y + 6],
        [x + 1 - foot.heelWallThickness, y + 7],
      ],
    ],
  ),
  widestFromToe: back(({ foot }) => foot.widestFromToe),
  lateralHalfWidth: sole(({ foot }) => [
    [
      [0, 0],
      [foot.lateralHalfWidth, 0],
    ],
  ]),
  quarterLead: sole(({ foot }) => [
    [
      [foot.lateralHalfWidth, 7],
      [foot.lateralHalfWidth - foot.width, 7],
    ],
    [
      [foot.lateralHalfWidth, -7],
      [foot.lateralHalfWidth - foot.width, -7],
    ],
  ]),
  frogApex: back(({ foot }) => foot.frogApex),
  frogLength: sole((map) => [[map.landmarks.frogApex, [0, map.landmarks.frogApex[1] - map.foot.frogLength]]]),
  frogWidth: sole((map) => {
    const y = buttressY(map) + map.foot.length * 0.1
    return [
      [
        [-map.foot.frogWidth / 2, y],
        [map.foot.frogWidth / 2, y],
      ],
    ]
  }),
  barsFromToe: sole((map) => {
    const end = map.landmarks.bars[0]!.at(-1)!
    return [
      [
        [end[0], toeY(map) - 4],
        [end[0], end[1]],
      ],
      [map.landmarks.bars[0]!.at(-1)!, map.landmarks.bars[1]!.at(-1)!],
    ]
  }),
  arcFromToe: sole((map) => [
    [
      [0, toeY(map) + 8],
      [0, buttressY(map) - 10],
    ],
    [
      [map.foot.lateralHalfWidth, 0],
      [map.foot.lateralHalfWidth - map.foot.width, 0],
    ],
  ]),
  bulbLine: sole((map) => [
    [
      [34, buttressY(map)],
      [34, map.landmarks.bulbY],
    ],
    [
      [-46, map.landmarks.bulbY],
      [46, map.landmarks.bulbY],
    ],
  ]),
  whiteLineWidth: sole(({ foot }) => [
    [
      [foot.lateralHalfWidth * 0.93 - foot.wallThickness, 20],
      [foot.lateralHalfWidth * 0.93 - foot.wallThickness - 6, 18],
    ],
  ]),
  tipFromToe: back(() => 18),
  wornBreakover: back(() => 9),
  toeAngle: beside(({ toe, coronetFront }) => angle(toe, [80, 0], coronetFront)),
  heelAngle: beside(({ heel, coronetBack }) => angle(heel, [-45, 0], coronetBack)),
  lateralWallAngle: beside(({ toe, coronetFront }) => angle(toe, [80, 0], coronetFront)),
  medialWallAngle: beside(({ toe, coronetFront }) => angle(toe, [80, 0], coronetFront)),
  dorsalLength: beside(({ toe, coronetFront }) => [[toe, coronetFront]]),
  heelHeight: beside(({ coronetBack: [x, y] }) => [
    [
      [x, 0],
      [x, y],
    ],
  ]),
  pasternAngle: beside(({ pastern }) => [
    [pastern[0], pastern[1]],
    [[pastern[0][0] - 60, pastern[0][1]], pastern[0]],
  ]),
  palmarAngle: beside(() => [
    [
      [40, 22],
      [105, 14],
    ],
  ]),
  plumbBehind: beside(({ coronetBack }) => [
    [
      [-30, 0],
      [-30, coronetBack[1] + 90],
    ],
    [
      [-30, 2],
      [0, 2],
    ],
  ]),
  soleDepth: beside(() => [
    [
      [105, 0],
      [105, 14],
    ],
  ]),
  solePlane: beside(() => [
    [
      [60, 0],
      [60, 8],
    ],
    [
      [8, 8],
      [116, 8],
    ],
  ]),
}
