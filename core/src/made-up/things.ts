import { mix, type Vec } from '../geometry/vector'
import { planShoe } from '../plan/plan'
import type { SevenTaps } from '../photographs/taps'
import type { FootInput } from '../records/foot'
import { PLAIN_SHOE } from '../shoe/starting-shoe'

/** What lies on the ground, mm in its own frame (x lateral, y toward the toe): its edge, and where it is tapped. */
export interface Thing {
  outline: Vec[]
  /** Of a shoe: its inner rim from the lateral to the medial heel. Its outline is the outer rim then. */
  inner?: Vec[]
  /** The whole edge as one closed line. */
  body: Vec[]
  holes: Vec[]
  taps: SevenTaps
}

/** Some foot out of a stable, by a seed. */
export function someFoot(draw: () => number): FootInput {
  const width = 112 + draw() * 30
  const long = width * (0.97 + draw() * 0.12)
  return {
    side: 'LF',
    width,
    length: long,
    heelWidth: width * (0.62 + draw() * 0.14),
    toeAngle: 50 + draw() * 6,
    wallThickness: 9 + draw() * 2,
    lateralHalfWidth: width * (0.5 + draw() * 0.03),
  }
}

/** The sole of a foot: its wall from heel to heel, closed behind over the bars and the frog. */
export function soleOf(foot: FootInput): Thing {
  const wall = planShoe(foot, PLAIN_SHOE).outline.foot
  const [lateral, medial] = [wall[0]!, wall[wall.length - 1]!]
  const wide = lateral[0] - medial[0]
  const across = (share: number, back: number): Vec => {
    const [x, y] = mix(medial, lateral, share)
    return [x, y - back]
  }
  // Behind the buttresses: a rounded heel, a shallow notch beside the frog, the frog's end a little further back.
  const behind = rounded([
    medial,
    across(0.02, 4),
    across(0.1, 6),
    across(0.2, 2),
    across(0.3, -wide * 0.02),
    across(0.4, 2),
    across(0.5, 4),
    across(0.6, 2),
    across(0.7, -wide * 0.02),
    across(0.8, 2),
    across(0.9, 6),
    across(0.98, 4),
    lateral,
  ])
  const whole = [...wall, ...behind.slice(1, -1)]
  const most = (of: (point: Vec) => number) =>
    wall.reduce((best, point) => (of(point) > of(best) ? point : best))
  const [lateralWidest, medialWidest, toe] = [most(([x]) => x), most(([x]) => -x), most(([, y]) => y)]
  const between = (a: Vec, b: Vec) => wall[Math.round((wall.indexOf(a) + wall.indexOf(b)) / 2)]!
  return {
    outline: whole,
    body: whole,
    holes: [],
    taps: {
      toe,
      lateralToeQuarter: between(toe, lateralWidest),
      medialToeQuarter: between(toe, medialWidest),
      lateralWidest,
      medialWidest,
      lateralHeel: lateral,
      medialHeel: medial,
    },
  }
}

/** The shoe of a foot as it lies on the anvil. Taps run along the middle of its web. */
export function shoeOf(foot: FootInput): Thing {
  const { outline, nails } = planShoe(foot, PLAIN_SHOE)
  const { outer, inner, body } = outline
  const at = (share: number) => {
    const i = Math.round(share * (outer.length - 1))
    return mix(outer[i]!, inner[i]!, 0.5)
  }
  return {
    outline: [...outer],
    inner: [...inner],
    body: [...body],
    holes: nails.map(({ x, y }): Vec => [x, y]),
    taps: {
      toe: at(0.5),
      lateralToeQuarter: at(0.375),
      medialToeQuarter: at(0.625),
      lateralWidest: at(0.25),
      medialWidest: at(0.75),
      lateralHeel: at(0.03),
      medialHeel: at(0.97),
    },
  }
}

/** Corners cut off three times (Chaikin): a smooth line that keeps its ends. */
function rounded(points: readonly Vec[]): Vec[] {
  let line = [...points]
  for (let round = 0; round < 3; round++)
    line = [
      line[0]!,
      ...line.slice(1).flatMap((to, i): Vec[] => [mix(line[i]!, to, 0.25), mix(line[i]!, to, 0.75)]),
      line[line.length - 1]!,
    ]
  return line
}
