import * as z from 'zod'
import { format, parseISO } from 'date-fns'
import { SHEET_FOR, visitSheet } from '@crescent/core'
import { visitSheetPdf } from '../../formats/pdf/visit-sheet'
import { read } from '../../http/door'
import type { Route } from '../../http/route'
import { fileName, PAPER_QUERY, paperField, STYLE_QUERY, styleFields, styleOf } from '../drawn/asked'
import { visitPage } from '../visits/page'

const sheetQuery = z.object({ for: z.enum(SHEET_FOR).default('owner'), ...paperField, ...styleFields })

/** A day as it is read on paper. */
const day = (date: string): string => format(parseISO(date), 'd MMMM yyyy')

/** What goes home with the owner, and what the vet is told. */
export const sheetRoutes: Route[] = [
  {
    method: 'get',
    path: '/visits/:id/sheet',
    beside: 'drawing',
    summary: 'A sheet about a visit: for the owner, or with figures for the vet',
    query: { for: 'owner or vet; else owner', ...PAPER_QUERY, ...STYLE_QUERY },
    answer: { file: 'application/pdf' },
    answers: { 404: 'No such visit' },
    run: async ({ practice, request, response }) => {
      const asked = read(sheetQuery, request.query)
      const page = visitPage(practice, request.params['id'] as string)
      const due = page.visit.nextDue ?? practice.horses.dueOf(page.horse.id)
      const parts = visitSheet(
        { page, due, day, courses: practice.courses.ofHorse(page.horse.id) },
        asked.for,
      )
      const title = `${page.horse.name}, ${day(page.visit.date)}`
      const under = page.owner ? `Owner: ${page.owner.name}` : ''
      const file = await visitSheetPdf(title, under, parts, asked.paper, styleOf(asked))
      response
        .attachment(fileName(`${title} ${asked.for}`, 'pdf'))
        .type('application/pdf')
        .send(file)
    },
  },
]
