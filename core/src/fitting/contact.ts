import { HALVES, type Half } from '../terms/half'
import { BRANCH_PARTS, CONTACT_MARKS, type BranchPart, type ContactMark } from '../terms/trying'

/** A place of the shoe where its contact with the foot is read. */
export interface ContactPlace {
  key: string
  branch: Half
  part: BranchPart
  label: string
}

/** All of them, from the outer heel round the toe to the inner heel. */
export const CONTACT_PLACES: readonly ContactPlace[] = HALVES.flatMap((branch) => {
  const places = BRANCH_PARTS.map((part): ContactPlace => ({
    key: `${branch} ${part}`,
    branch,
    part,
    label: `${branch === 'lateral' ? 'outer' : 'inner'} ${part}`,
  }))
  return branch === 'lateral' ? places.reverse() : places
})

/** The next mark at a tap: round all of them and back to nothing. */
export function nextMark(mark: ContactMark | undefined): ContactMark | undefined {
  if (mark === undefined) return CONTACT_MARKS[0]
  return CONTACT_MARKS[CONTACT_MARKS.indexOf(mark) + 1]
}

const TO_DO: Record<Exclude<ContactMark, 'even'>, string> = {
  gap: 'a low spot. Look which of the two is low: lay the shoe on the anvil’s face; level the shoe, or rasp the foot beside it. Bend nothing to fill it.',
  'chipped wall': 'a missing chip of wall: leave it alone, and set no nail there.',
  'sole pressure': 'brown on the sole: seat the web out there till the mark is gone; press nothing on it.',
}

/** What to do for what was seen, mark by mark; places of one mark together, toe to heel as they lie. */
export function contactWords(contacts: Readonly<Record<string, ContactMark>>): string[] {
  const at = (mark: ContactMark) =>
    CONTACT_PLACES.filter(({ key }) => contacts[key] === mark).map(({ label }) => label)
  const even = at('even')
  const said = (['sole pressure', 'gap', 'chipped wall'] as const).flatMap((mark) => {
    const places = at(mark)
    return places.length > 0 ? [`${capital(places.join(', '))}: ${TO_DO[mark]}`] : []
  })
  if (said.length === 0 && even.length === CONTACT_PLACES.length)
    return ['An even brown line all round: a flat shoe on a flat foot. Take it off.']
  return said
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
