import type { Plan } from '../../plan/plan'

/**
 * Recomputes what a plan claims from what it answered, by walking and summing alone: nothing of core's geometry, and no
 * formula of its. Slow and plain on purpose.
 */

type Point = readonly [number, number]
type Cut = Plan['cuts'][number]
type Form = Cut['form']

/** Steps across a section, and up a wall in mm. */
const ACROSS = 120
const UP = 0.04

/** Densities, g/mm3 (EN 1991-1-1 Table A.4). */
const DENSITY = { steel: 7.85e-3, aluminium: 2.7e-3, polymer: 1.2e-3 }

const clamp = (u: number): number => Math.min(1, Math.max(0, u))
/** How much of an edge is missing at a distance from it. */
const bevelAt = ([across, up]: readonly [number, number], from: number): number =>
  across > 0 && from < across ? up * (1 - from / across) : 0

/** The lowest and the highest steel of a section at a distance in from the outer rim; the crease is left out. */
function bounds(form: Form, u: number): { bottom: number; top: number } {
  const { shape, width, thickness, bend, setOn = 0 } = form
  const lift = bend ? Math.max(0, bend.from - u) * bend.slope : 0
  if (shape === 'half-round') {
    const round = Math.sqrt(Math.max(0, 1 - (2 * (u / width) - 1) ** 2))
    return {
      bottom: (thickness - setOn) * (1 - round) + lift,
      top: thickness + (bend?.of === 'section' ? lift : 0),
    }
  }
  return {
    bottom: bevelAt(form.outerGround, u) + bevelAt(form.innerGround, width - u) + lift,
    top:
      thickness -
      bevelAt(form.outerFoot, u) -
      bevelAt(form.innerFoot, width - u) +
      (bend?.of === 'section' ? lift : 0),
  }
}

/** What the crease takes away at a distance from the rim: a groove whose floor is two fifths of its mouth. */
function grooveAt({ crease }: Form, u: number): number {
  if (!crease) return 0
  const off = Math.abs(u - crease.from) / (crease.width / 2)
  return crease.depth * clamp((1 - off) / 0.6)
}

/** Area of a section and how far in its middle lies, summed strip by strip. */
function summed(form: Form): { area: number; middle: number } {
  const step = form.width / ACROSS
  let area = 0
  let moment = 0
  for (let i = 0; i < ACROSS; i++) {
    const u = (i + 0.5) * step
    const { bottom, top } = bounds(form, u)
    const high = Math.max(0, top - bottom - grooveAt(form, u))
    area += high * step
    moment += high * step * u
  }
  return { area, middle: moment / area }
}

/** A place of a cut so far in from the outer rim. */
const inFrom = ({ place }: Cut, u: number): Point => [
  place.point[0] - place.tangent[1] * u,
  place.point[1] + place.tangent[0] * u,
]

/** Volume of the branches as they are made, mm3: each slice between two sections by the way of its middle, square to them. */
export function branchVolume({ cuts }: Plan): number {
  const slices = cuts.map((cut) => {
    const { area, middle } = summed(cut.form)
    return { area, at: inFrom(cut, middle), way: cut.place.tangent }
  })
  return slices.slice(1).reduce((sum, slice, i) => {
    const before = slices[i]!
    const through = [(slice.way[0] + before.way[0]) / 2, (slice.way[1] + before.way[1]) / 2] as const
    const [dx, dy] = [slice.at[0] - before.at[0], slice.at[1] - before.at[1]]
    const along = (dx * through[0] + dy * through[1]) / Math.hypot(...through)
    return sum + ((slice.area + before.area) / 2) * along
  }, 0)
}

/** Clips thin to nothing at a tip that runs in like half an ellipse, drawn from the bar: summed row by row, mm3. */
function clipVolume({
  width,
  height,
  thickness,
}: {
  width: number
  height: number
  thickness: number
}): number {
  const rows = 400
  let volume = 0
  for (let i = 0; i < rows; i++) {
    const up = (i + 0.5) / rows
    volume += width * Math.sqrt(1 - up * up) * thickness * (1 - up) * (height / rows)
  }
  return volume
}

/** Metal gathered in the bar that no section shows, mm3: clips. */
const gathered = ({ parts }: Plan): number =>
  parts.reduce((sum, { tongue }) => sum + (tongue ? clipVolume(tongue) : 0), 0)

const barArea = ({ section }: Plan): number =>
  summed({
    ...{ shape: section.shape, width: section.width, thickness: section.thickness },
    ...{ outerGround: [0, 0], outerFoot: [0, 0], innerFoot: [0, 0] },
    innerGround: section.shape === 'concave' ? [section.width * 0.4, section.thickness * 0.55] : [0, 0],
  }).area

/** Weight of the whole shoe, g. */
export function weight(plan: Plan): number {
  const metal = DENSITY[plan.section.material]
  const added = plan.parts.reduce((sum, { volume, spare, density, edge, layer }) => {
    // A wedge that is set on is seen in the sections already.
    const shown = layer === 'fitting' && edge.length === 0
    return spare || shown ? sum : sum + volume * (density ? density * 1e-6 : metal)
  }, 0)
  return (branchVolume(plan) + gathered(plan)) * metal + added
}

/** Where the made shoe stands on the ground, y: foremost, and hindmost on either side. */
export function bearing(plan: Plan): { foremost: number; lateral: number; medial: number } {
  const found = { foremost: -Infinity, lateral: Infinity, medial: Infinity }
  for (const cut of plan.cuts) {
    for (let i = 0; i <= ACROSS; i++) {
      const u = (cut.form.width * i) / ACROSS
      if (bounds(cut.form, u).bottom > 1e-6) continue
      const y = inFrom(cut, u)[1]
      found.foremost = Math.max(found.foremost, y)
      found[cut.place.branch] = Math.min(found[cut.place.branch], y)
    }
  }
  for (const { layer, face, edge } of plan.parts)
    if (layer === 'bar' && face === undefined)
      for (const [, y] of edge) {
        found.lateral = Math.min(found.lateral, y)
        found.medial = Math.min(found.medial, y)
      }
  return found
}

/** How deep a nail goes and how high it comes out, followed step by step up the wall, mm. */
export function flight(
  nail: Plan['nails'][number],
  turningRadius: number,
): { deepest: number; exit: number } {
  const cot = (degrees: number) => 1 / Math.tan((degrees * Math.PI) / 180)
  const [lean, wall] = [cot(nail.lean), cot(nail.wallAngle)]
  let deepest = nail.insideWall
  for (let z = 0; z < 400; z += UP) {
    const inside = nail.insideWall + z * lean - (z * z) / (2 * turningRadius) - z * wall
    if (inside < 0) return { deepest, exit: z }
    deepest = Math.max(deepest, inside)
  }
  return { deepest, exit: 400 }
}

/** Sections are looked at some 3 mm apart, and summed straight between: a clip's ends or a heel's end fall between two. */
const WITHIN = 0.005

/** Says so where two figures lie further apart than is allowed. */
const compare = (what: string, told: number, found: number, allowed: number): string[] =>
  Math.abs(told - found) <= allowed
    ? []
    : [`${what} is told as ${told.toFixed(2)}, found as ${found.toFixed(2)}`]

/** Sections that turn about their own inner edge have no way of their own to be summed along. */
const turnsOnTheSpot = ({ cuts }: Plan): boolean =>
  cuts.some(({ place, form }) => 1 - place.bend * form.width < 0.1)

/** Modifications that rasp metal off, or set some on: the bar they take is not what is left. */
const changes = ({ profile }: Plan): boolean =>
  profile.area.some((area, i) => area - profile.finished[i]! > 1e-6)

/** Everything in a plan that the referee finds otherwise. */
export function disputes(plan: Plan, turningRadius = 22): string[] {
  const { balance, iron, nails, foot } = plan
  const stands = bearing(plan)
  const hindmost = Math.min(stands.lateral, stands.medial)
  const across = Math.max(...plan.cuts.map(({ form }) => form.width)) / ACROSS
  const buttressY = foot.widestFromToe - foot.length
  const found = [
    ...compare('toe lever', balance.toeLever, stands.foremost, across + 0.01),
    ...compare('bearing behind', balance.behind, -hindmost, across + 0.01),
    ...balance.heels.flatMap(({ branch, behindButtress }) =>
      compare(
        `${branch} heel behind its buttress`,
        behindButtress,
        buttressY - stands[branch],
        across + 0.01,
      ),
    ),
    ...nails.flatMap((nail) => {
      if (nail.insideWall <= 0) return []
      const { deepest, exit } = flight(nail, turningRadius)
      const name = `nail ${nail.branch} ${nail.number}`
      return [
        ...compare(`depth of ${name}`, nail.deepest, deepest, 0.01),
        ...(exit < 400 ? compare(`exit of ${name}`, nail.exitHeight, exit, 2 * UP) : []),
      ]
    }),
    ...compare('cut by its branches', iron.cutLength, iron.branches.lateral + iron.branches.medial, 1e-6),
  ]
  if (turnsOnTheSpot(plan)) return found
  const grams = weight(plan)
  found.push(...compare('weight', iron.weight, grams, grams * WITHIN))
  if (!changes(plan) && plan.parts.every(({ edge }) => edge.length > 0)) {
    const cut = (branchVolume(plan) + gathered(plan)) / barArea(plan) + iron.closing
    found.push(...compare('cut', iron.cutLength, cut, cut * WITHIN))
  }
  return found
}
