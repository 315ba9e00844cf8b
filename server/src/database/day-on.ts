import { format } from 'date-fns'

/** The day it is where this practice is, 2026-11-23: not the day of Greenwich, which is another each evening or morning. */
export const dayOn = (moment: Date): string => format(moment, 'yyyy-MM-dd')
