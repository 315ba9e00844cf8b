/** A figure of a size that is a length, typed in the unit that is chosen. */
export type SizeLength = 'web' | 'thickness' | 'length' | 'width' | 'toeToHeels' | 'crease'
/** A figure of a size that is none. */
export type SizeNumber = 'weight' | 'price' | 'onVan' | 'keepOnVan'

/** What a field is called, and what to know while it is typed. */
interface SizeField {
  label: string
  where: string
}

/** The lengths of a size, in the order they are asked for. */
export const SIZE_LENGTHS: Readonly<Record<SizeLength, SizeField>> = {
  web: { label: 'Web', where: 'Width of the steel.' },
  thickness: { label: 'Thickness', where: 'From the foot to the ground.' },
  length: { label: 'Length', where: 'Along the middle of the web, heel to heel round the toe.' },
  width: { label: 'Width', where: 'Outside, at its widest, as it comes. May stay empty.' },
  toeToHeels: {
    label: 'Toe to heels',
    where: 'As it comes. With the width it stands in for a length nobody measured.',
  },
  crease: {
    label: 'Crease from the rim',
    where: 'Where it begins: no saw goes further in. May stay empty.',
  },
}

/** The other figures of a size, in the order they are asked for. */
export const SIZE_NUMBERS: Readonly<Record<SizeNumber, SizeField>> = {
  onVan: { label: 'On the van', where: 'How many hang there now.' },
  keepOnVan: { label: 'Keep on the van', where: 'With fewer it is to be ordered.' },
  weight: { label: 'Weight', where: 'Of one. May stay empty.' },
  price: { label: 'Price', where: 'Of one. May stay empty.' },
}
