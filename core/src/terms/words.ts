import { length, told, type Told } from '../notices/told'

/** A word of the trade and what it means. */
export interface Word {
  key: string
  label: string
  /** Other forms in which a sentence has it, in small letters; the label and its plural are known. */
  forms?: readonly string[]
  says: Told
}

/** The trade's words: of the foot, of the shoe, of the work. */
export const WORDS: readonly Word[] = [
  { key: 'toe', label: 'toe', says: 'The front of the foot, where it leaves the ground last.' },
  {
    key: 'toe-quarter',
    label: 'toe quarter',
    says: 'Where the toe turns into the side of the foot, on either side of it.',
  },
  {
    key: 'quarter',
    label: 'quarter',
    forms: ['bend of the quarter'],
    says: 'The side of the foot. From its bend back the foot spreads under load, and the shoe must let it.',
  },
  { key: 'heel', label: 'heel', says: 'The hindmost part of the wall, on either side of the frog.' },
  {
    key: 'buttress',
    label: 'buttress',
    forms: ['buttresses', 'buttress line'],
    says: 'The hindmost place where the heel bears on the ground. The length of a foot is taken to the line across both.',
  },
  { key: 'bulb', label: 'bulb', says: 'The soft, round part above and behind each buttress.' },
  {
    key: 'bulb-line',
    label: 'bulb line',
    forms: ['plumb line from the bulbs'],
    says: 'A plumb line let down from the back of the bulbs. Heel ends support the foot back to it, and for ordinary work not beyond.',
  },
  {
    key: 'hairline',
    label: 'hairline',
    forms: ['coronary band', 'coronet'],
    says: 'Where hair ends and horn begins; the horn grows down from here.',
  },
  {
    key: 'wall',
    label: 'wall',
    says: 'The horn on the outside of the foot: it carries, and it takes the nails.',
  },
  {
    key: 'white-line',
    label: 'white line',
    says: 'The seam just inside the wall. Everything inside it is alive: a nail there lames the horse.',
  },
  {
    key: 'sole',
    label: 'sole',
    says: 'The floor of the foot inside the white line. Steel must not press on it.',
  },
  {
    key: 'sole-plane',
    label: 'sole plane',
    says: 'The level at which dead, chalky sole turns smooth. The wall is trimmed down to it, the foot never below it.',
  },
  {
    key: 'bars',
    label: 'bars',
    says: 'The wall folded forward along the frog. Where they run out marks the widest part.',
  },
  { key: 'frog', label: 'frog', says: 'The wedge of soft horn between the heels.' },
  {
    key: 'apex',
    label: 'true apex',
    forms: ['apex', 'frog apex', 'apex of the frog'],
    says: 'The front end of the frog, where it truly leaves the sole: found by cleaning, not by guessing.',
  },
  {
    key: 'flare',
    label: 'flare',
    forms: ['flared'],
    says: 'Wall that bends away from the line it should follow. It is dressed before the foot is measured.',
  },
  {
    key: 'tip',
    label: 'tip of P3',
    forms: ['tip of the bone', 'p3', 'coffin bone'],
    says: 'The front end of the coffin bone inside the foot: read from a radiograph, or found with a hoof tester.',
  },
  {
    key: 'axis',
    label: 'hoof-pastern axis',
    forms: ['axis'],
    says: 'The front of the wall and the front of the pastern: one straight line on a foot in balance.',
  },
  {
    key: 'widest-part',
    label: 'widest part',
    forms: ['widest-part line', 'widest place'],
    says: told`The line across the foot from which it is laid out. It shows in three ways: about ${length(25.4)} behind the true apex, where the bars run out, and by the widest arc. Take the two that agree.`,
  },
  {
    key: 'breakover',
    label: 'breakover',
    says: 'The foremost place of the shoe on the ground, over which the foot rolls off. Where it should be is argued: each school puts it somewhere else.',
  },
  {
    key: 'toe-lever',
    label: 'toe lever',
    forms: ['lever'],
    says: 'How far the breakover lies ahead of the widest part.',
  },
  {
    key: 'heel-width',
    label: 'heel width',
    forms: ['width across the heels'],
    says: 'Across the heels, from outside to outside; some take it from the middle of the web to the middle of the web, and compare the shoe the same way.',
  },
  {
    key: 'branch',
    label: 'branch',
    forms: ['branches'],
    says: 'One half of a shoe, from the middle of the toe to a heel.',
  },
  {
    key: 'web',
    label: 'web',
    says: 'The width of the bar as it lies under the foot.',
  },
  { key: 'outer-rim', label: 'outer rim', says: 'The outside edge of the shoe. A hole near it is fine.' },
  { key: 'inner-rim', label: 'inner rim', says: 'The inside edge of the shoe. A hole near it is coarse.' },
  {
    key: 'ground-surface',
    label: 'ground surface',
    forms: ['ground face'],
    says: 'The side of the shoe that lies on the ground.',
  },
  {
    key: 'foot-surface',
    label: 'foot surface',
    forms: ['foot face'],
    says: 'The side of the shoe that lies against the foot.',
  },
  {
    key: 'coarse',
    label: 'coarse',
    forms: ['coarser'],
    says: 'A hole nearer the inner rim. The nail comes out high, and may prick.',
  },
  {
    key: 'fine',
    label: 'fine',
    forms: ['finer'],
    says: 'A hole nearer the outer rim. The nail comes out low, and may tear the wall.',
  },
  {
    key: 'lean',
    label: 'lean',
    forms: ['leans', 'pitch'],
    says: 'How far a nail tips inward with the wall: most at the toe, less at the quarters, where the wall stands steeper.',
  },
  {
    key: 'exit',
    label: 'exit',
    says: 'How high up the wall a nail comes out. A third of the way up is a first guess, and all in one line.',
  },
  {
    key: 'clinch',
    label: 'clinch',
    forms: ['clinched', 'clinches'],
    says: 'The stub of the nail, turned over and bedded into the wall.',
  },
  {
    key: 'prick',
    label: 'prick',
    forms: ['pricks', 'pricking'],
    says: 'A nail driven into what is alive. Pull it, say so, call the vet.',
  },
  {
    key: 'fit',
    label: 'fit',
    says: 'How the outer rim lies against the wall: level with it ahead of the bend of the quarter, wider towards the heels.',
  },
  {
    key: 'spread',
    label: 'spread',
    says: 'How far the shoe stands wider than the foot at the heels, so that the foot can spread on it.',
  },
  {
    key: 'seating',
    label: 'seating out',
    forms: ['seated out'],
    says: 'The inner foot surface relieved, so that steel cannot press on the sole.',
  },
  {
    key: 'boxing',
    label: 'boxing',
    forms: ['boxed'],
    says: 'The edge of the foot surface bevelled where the shoe stands wider than the foot.',
  },
  {
    key: 'safeing',
    label: 'safeing',
    forms: ['safed'],
    says: 'The ground edge softened, above all inside, so that a step on the other leg does not cut.',
  },
  {
    key: 'crease',
    label: 'crease',
    forms: ['creased'],
    says: 'The groove in the ground surface that holds the nail heads.',
  },
  { key: 'upset', label: 'upset', says: 'Hot metal driven back into itself: shorter and wider.' },
  {
    key: 'cut-length',
    label: 'cut length',
    says: 'How long the straight bar is sawn: the line through the middle of the metal, with what heat and rasp take.',
  },
  {
    key: 'rule-of-thumb',
    label: 'rule of thumb',
    forms: ['rules of thumb'],
    says: told`Width and length of the foot and ${length(50.8)}, or twice the width and ${length(50.8)}: for a plain shoe. They stand beside the worked-out cut.`,
  },
  {
    key: 'toe-mark',
    label: 'toe mark',
    says: 'The mark on the straight bar that becomes the middle of the toe. All other marks are told from it and from the ends.',
  },
  { key: 'handmade', label: 'handmade', says: 'Turned from straight bar.' },
]

/** A piece of a sentence: plain, or one of the trade's words with its key. */
export type Piece = string | { key: string; text: string }

const FORMS = new Map<string, string>(
  WORDS.flatMap(({ key, label, forms = [] }) =>
    [label, ...forms].flatMap((form): [string, string][] => [
      [form.toLowerCase(), key],
      [`${form.toLowerCase()}s`, key],
    ]),
  ),
)
/** The longest form first: `white line` before `wall`, `widest part` as one. */
const PATTERN = new RegExp(
  `(?<![\\w-])(${[...FORMS.keys()].sort((a, b) => b.length - a.length).join('|')})(?![\\w-])`,
  'gi',
)

/** A word by its key. */
export const wordNamed = (key: string): Word | undefined => WORDS.find((word) => word.key === key)

/**
 * A sentence cut at the trade's words, each of them only where it stands first: a text full of marks is not read.
 *
 * @param known keys that are not marked: the word that is being explained
 */
export function piecesOf(sentence: string, known: readonly string[] = []): Piece[] {
  const seen = new Set(known)
  const pieces: Piece[] = []
  let from = 0
  for (const found of sentence.matchAll(PATTERN)) {
    const [text] = found
    const key = FORMS.get(text.toLowerCase())!
    if (seen.has(key)) continue
    seen.add(key)
    if (found.index > from) pieces.push(sentence.slice(from, found.index))
    pieces.push({ key, text })
    from = found.index + text.length
  }
  if (from < sentence.length) pieces.push(sentence.slice(from))
  return pieces
}
