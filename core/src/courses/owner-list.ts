import { told, type Told } from '../notices/told'
import type { Course } from '../records/course'
import { SIDE_NAMES } from '../terms/sides'
import { openSteps } from './course'
import { courseKind } from './index'

/** A part of the list that goes home with the owner. */
export interface ListPart {
  title: string
  lines: readonly Told[]
}

const WHO = { farrier: 'the farrier', owner: 'you', vet: 'the vet' } as const

/**
 * What the owner is given of a course, in plain words: what to do meanwhile, the days, what pain looks like, whom to call.
 *
 * @param day a day as it is read, from 2026-11-29
 */
export function ownerList(course: Course, day: (date: string) => string): ListPart[] {
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
              `${course.ended.how === 'done' ? 'Done' : 'Stopped'} on ${day(course.ended.on)}${course.ended.reason ? `: ${course.ended.reason}` : ''}.`,
            ],
          },
        ]
      : [
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
