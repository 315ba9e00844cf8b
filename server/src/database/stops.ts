import { stopsOf, type Look } from '@crescent/core'

/** What of a look its stops are worked out from. */
type LookForStops = Pick<Look, 'vet' | 'feet' | 'acknowledged'>

/** What of a look stands in the way of the work, as it is kept beside it. */
export const stopsText = (look: LookForStops): string => JSON.stringify(stopsOf(look))

/** What is stored of a look, read. */
export const asLook = (vet: string, feet: string, acknowledged: string): LookForStops => ({
  vet: JSON.parse(vet) as Look['vet'],
  feet: JSON.parse(feet) as Look['feet'],
  acknowledged: JSON.parse(acknowledged) as Look['acknowledged'],
})
