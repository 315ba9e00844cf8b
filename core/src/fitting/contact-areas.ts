import type { Vec } from '../geometry/vector'
import type { Plan } from '../plan/plan'
import { BRANCH_PARTS, PART_ENDS } from '../terms/trying'
import { branchLength, pointAt, stationOf, type Centreline } from './centreline'
import { CONTACT_PLACES, type ContactPlace } from './contact'
import { lineAboutToe } from './place-words'

/** A place of contact as it lies on the shoe: a closed piece of its web. */
export interface ContactArea extends ContactPlace {
  edge: Vec[]
  middle: Vec
}

/** The web of a planned shoe in the pieces in which its contact is read. */
export function contactAreas({ outline }: Plan): ContactArea[] {
  const [outer, inner] = [lineAboutToe(outline.outer), lineAboutToe(outline.inner)]
  const middle = lineAboutToe(outline.centreline)
  return CONTACT_PLACES.map((place) => {
    const [from, to] = sharesOf(place)
    const at = (line: Centreline, share: number) =>
      stationOf(line, place.branch, branchLength(line, place.branch) * share)
    const piece = (line: Centreline) => pieceOf(line, at(line, from), at(line, to))
    return {
      ...place,
      edge: [...piece(outer), ...piece(inner).reverse()],
      middle: pointAt(middle, at(middle, (from + to) / 2)),
    }
  })
}

const sharesOf = ({ part }: ContactPlace): [number, number] => {
  const before = BRANCH_PARTS[BRANCH_PARTS.indexOf(part) - 1]
  return [before ? PART_ENDS[before] : 0, PART_ENDS[part]]
}

/** The points of a line between two stations of it, whichever comes first. */
function pieceOf(line: Centreline, a: number, b: number): Vec[] {
  const [low, high] = a < b ? [a, b] : [b, a]
  const between = line.points.filter((_, i) => line.stations[i]! > low && line.stations[i]! < high)
  return [pointAt(line, low), ...between, pointAt(line, high)]
}
