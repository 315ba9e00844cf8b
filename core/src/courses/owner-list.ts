import { sentence } from '../notices/sentence'
import { told, type Told } from '../notices/told'
import type { Course } from '../records/course'
import type { VisitFeet } from '../records/practice'
import { SIDE_NAMES, type Side } from '../terms/sides'
import { openSteps } from './steps'
import { courseKind } from './index'

/** A part of the list that goes home with the owner. */
export interface ListPart {
  title: string
  lines: readonly Told[]
}

/** Something that was put in or on a foot. */
export type PutOn = NonNullable<NonNullable<VisitFeet[Side]>['put']>[number]

const capital = (word: string): string => `${word[0]!.toUpperCase()}${word.slice(1)}`

const WHO = { farrier: 'the farrier', owner: 'you', vet: 'the vet' } as const

/**
 * What the owner is given of a course, in plain words: what to do meanwhile, the days, what pain looks like, whom to call.
 *
 * @param day a day as it is read, from 2026-11-29
 * @param put what was put in or on the foot at the last visit, and why
 */
export function ownerList(
  course: Course,
  day: (date: string) => string,
  put: readonly PutOn[] = [],
): ListPart[] {
  const kind = courseKind(course.kind)
  const parts: ListPart[] = [
    {
      title: 'What it is',
      lines: [
        `${kind.label}, ${SIDE_NAMES[course.side]}, begun ${day(course.startedOn)}. ${kind.use}`,
        ...(course.why ? [course.why] : []),
      ],
    },
    ...(course.ended
      ? [
          {
            title: 'It has ended',
            lines: [
              sentence(
                `${course.ended.how === 'done' ? 'Done' : 'Stopped'} on ${day(course.ended.on)}${course.ended.reason ? `: ${course.ended.reason}` : ''}`,
              ),
            ],
          },
        ]
      : [
          {
            title: 'What is in or on the foot',
            lines: put.map(({ what, why }) =>
              why ? sentence(`${capital(what)}: ${why}`) : `${capital(what)}.`,
            ),
          },
          { title: 'Every day', lines: kind.meanwhile },
          {
            title: 'What comes, and when',
            lines: openSteps(course).map(
              ({ date, who, label, text }) =>
                told`${day(date)}, ${WHO[who]}: ${label}.${text === '' ? '' : told` ${text}`}`,
            ),
          },
          { title: 'What pain or trouble looks like', lines: kind.pain },
        ]),
    {
      title: 'Whom to call',
      lines: [
        `Pain, or anything said above: leave the horse standing and call the ${kind.vetLeads ? `vet${course.who ? `, ${course.who},` : ''} first, then the farrier` : 'farrier; where it is lame, the vet first'}.`,
        ...kind.stops,
      ],
    },
  ]
  return parts.filter(({ lines }) => lines.length > 0)
}
