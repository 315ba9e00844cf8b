/** How long the first look at the Bench has the network to itself, ms: what is wanted later is fetched after it. */
export const REST = 1_500
