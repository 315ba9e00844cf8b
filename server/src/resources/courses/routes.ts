import * as z from 'zod'
import { format, parseISO } from 'date-fns'
import { courseKind, ownerList, type Course } from '@crescent/core/courses'
import { courseSchema, idSchema } from '@crescent/core/records/index'
import { visitSheetPdf } from '../../formats/pdf/visit-sheet'
import { NotFound, read } from '../../http/door'
import type { Route } from '../../http/route'
import type { Practice } from '../../practice'
import { CHECKS } from '../checks'
import { fileName, PAPER_QUERY, paperField, STYLE_QUERY, styleFields, styleOf } from '../drawn/asked'
import { recordRoutes } from '../record-routes'

const listQuery = z.object({ horse: idSchema })
const paperQuery = z.object({ ...paperField, ...styleFields })

/** A day as it is read on paper. */
const day = (date: string): string => format(parseISO(date), 'EEEE d MMMM yyyy')

/** What was put in or on the foot at the last visit. */
const putLast = (practice: Practice, { horseId, side }: Course) =>
  practice.visits
    .ofHorse(horseId)
    .filter(({ archived }) => !archived)
    .sort((a, b) => (a.date < b.date ? 1 : -1))[0]?.feet[side]?.put ?? []

/** Plans over weeks. */
export const courseRoutes: Route[] = [
  {
    method: 'get',
    path: '/courses',
    summary: 'Courses of a horse: those that run first, the newest first',
    query: { horse: 'id of the horse' },
    answer: z.array(courseSchema),
    answers: { 400: 'No horse was named' },
    run: ({ practice, request }) => practice.courses.ofHorse(read(listQuery, request.query).horse),
  },
  {
    method: 'get',
    path: '/courses/:id/list',
    beside: 'drawing',
    summary: 'What the owner is given of a course: what to do, when, what pain looks like, whom to call',
    query: { ...PAPER_QUERY, ...STYLE_QUERY },
    answer: { file: 'application/pdf' },
    answers: { 404: 'No such course' },
    run: async ({ practice, request, response }) => {
      const asked = read(paperQuery, request.query)
      const course = practice.courses.get(request.params['id'] as string)
      const horse = course && practice.horses.get(course.horseId)
      if (!course || !horse) throw new NotFound('course')
      const title = `${horse.name}: ${courseKind(course.kind).label}`
      const owner = horse.ownerId ? practice.owners.get(horse.ownerId)?.name : undefined
      const file = await visitSheetPdf(
        title,
        owner ? `For ${owner}` : '',
        ownerList(course, day, putLast(practice, course)),
        asked.paper,
        styleOf(asked),
      )
      response.attachment(fileName(title, 'pdf')).type('application/pdf').send(file)
    },
  },
  ...recordRoutes({
    path: 'courses',
    what: 'course',
    schema: courseSchema,
    table: ({ courses }) => courses,
    check: CHECKS.course,
  }),
]
