import type { ShoeInput } from '../records/shoe'

/**
 * A design for a foot that is shaped as the other's mirror image: nails, what is cut off the heels of a factory shoe and how
 * a moulded one was moved change sides. What is made for the outer or the inner side of the horse stays there: a trailer
 * supports the outer heel of any foot.
 */
export function mirroredDesign(shoe: ShoeInput): ShoeInput {
  const { nails, stock, ...rest } = shoe
  return {
    ...rest,
    ...(nails && { nails: swapped(nails) }),
    ...(stock && {
      stock: {
        ...stock,
        ...(stock.cutOff && { cutOff: swapped(stock.cutOff) }),
        ...(stock.moved && { moved: turnedOver(stock.moved) }),
      },
    }),
  }
}

/** Lateral for medial, where they are said. */
function swapped<Each, T extends { lateral?: Each | undefined; medial?: Each | undefined }>({
  lateral,
  medial,
  ...rest
}: T) {
  return {
    ...rest,
    ...(medial !== undefined && { lateral: medial }),
    ...(lateral !== undefined && { medial: lateral }),
  }
}

type Moved = NonNullable<NonNullable<ShoeInput['stock']>['moved']>

const turnedOver = ({ across, turn, ...rest }: Moved): Moved => ({
  ...rest,
  ...(across !== undefined && { across: -across }),
  ...(turn !== undefined && { turn: -turn }),
})
