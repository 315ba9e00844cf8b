import type { Losses } from '@crescent/core'
import { many } from '../common/many'

/** What putting a backup back would lose, in words. */
export function lossesText({ records, horses, moreHorses, brings }: Losses): string {
  const holds = `It holds ${many(brings.horses, 'horse')} and ${many(brings.visits, 'visit')}.`
  if (records === 0) return `${holds} Nothing that is here now is missing in it.`
  const named = horses.length > 0 ? ` of ${horses.join(', ')}` : ''
  const rest = moreHorses > 0 ? ` and ${many(moreHorses, 'more horse')}` : ''
  return `${holds} ${many(records, 'newer record')}${named}${rest} would be lost; all that is here now is kept as a copy among the backups.`
}
