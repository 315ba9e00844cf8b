import { learnedWorkshop, type ShoeInput, type VisitPage, type WorkshopInput } from '@crescent/core'
import { NO_FIGURES } from './planning'

/** The workshop as it cuts a shoe of this visit: its own figures, with what its logged jobs taught of this bar and style. */
export const workshopFor = (
  page: Pick<VisitPage, 'workshop' | 'learned'> | null | undefined,
  shoe: ShoeInput,
): WorkshopInput => (page ? learnedWorkshop(page.workshop.figures, page.learned ?? [], shoe) : NO_FIGURES)
