/** What is put in or on a foot beside the shoe, in the order it is told. */
export const PUT_IN = [
  'packing',
  'impression cushion',
  'antiseptic',
  'sealant',
  'filler',
  'dressing',
] as const
export type PutIn = (typeof PUT_IN)[number]
