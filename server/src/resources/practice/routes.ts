import { randomUUID } from 'node:crypto'
import { beginSchema, idSchema, practiceFactsSchema } from '@crescent/core/records/index'
import type { PracticeFacts } from '@crescent/core'
import { setAside, swapAside, whatLiesAside } from '../safekeeping/aside'
import type { Practice } from '../../practice'
import { Refused } from '../../http/door'
import { withBody, type Route } from '../../http/route'

const isEmpty = (practice: Practice): boolean => practice.horses.list('1 LIMIT 1').length === 0

const factsOf = (practice: Practice, dataFolder: string): PracticeFacts => {
  const { name, demo, usual } = practice.facts.current()
  return { name, demo, usual, empty: isEmpty(practice), aside: whatLiesAside(dataFolder) }
}

/** The practice as a whole: the demo or one's own, and the way from one to the other. */
export const practiceRoutes: Route[] = [
  {
    method: 'get',
    path: '/practice',
    summary: 'The practice that is open, and what lies aside',
    answer: practiceFactsSchema,
    run: ({ practice, dataFolder }) => factsOf(practice, dataFolder),
  },
  withBody({
    method: 'post',
    path: '/practice',
    summary: 'Begin a practice of one’s own; the demo is set aside',
    answer: practiceFactsSchema.extend({ horseId: idSchema.nullable().describe('of the first horse') }),
    body: beginSchema,
    answers: { 409: 'There is one already' },
    run: ({ practice, dataFolder, body: { name, usual, horse } }) => {
      const { demo, aside } = factsOf(practice, dataFolder)
      if (aside === 'own') throw new Refused('Your own practice lies aside already: go back to it')
      if (demo) setAside(practice, dataFolder)
      else if (!isEmpty(practice) || practice.facts.current().name !== '')
        throw new Refused('This is a practice of your own already')
      return practice.db.transaction(() => {
        practice.facts.set({ name, usual, demo: false })
        const horseId = horse && addFirst(practice, horse)
        return { ...factsOf(practice, dataFolder), horseId: horseId ?? null }
      })()
    },
  }),
  {
    method: 'post',
    path: '/practice/swap',
    summary: 'Open what lies aside and set this one aside',
    answer: practiceFactsSchema,
    answers: { 409: 'Nothing lies aside' },
    run: ({ practice, dataFolder }) => {
      if (whatLiesAside(dataFolder) === null) throw new Refused('No other practice lies aside')
      swapAside(practice, dataFolder)
      return factsOf(practice, dataFolder)
    },
  },
]

/** The first horse, with its owner where one was named. */
function addFirst(practice: Practice, { name, owner }: { name: string; owner: string }): string | undefined {
  if (name === '') return undefined
  const blank = { version: 0, place: '', notes: '', archived: false }
  const ownerId = owner === '' ? null : randomUUID()
  if (ownerId) practice.owners.put({ ...blank, id: ownerId, name: owner, phone: '', email: '' })
  return practice.horses.put({
    ...blank,
    id: randomUUID(),
    ownerId,
    name,
    animal: 'horse',
    work: '',
    going: '',
    living: '',
    cycleWeeks: 7,
    bodyWeight: null,
    born: null,
    breakoverSchool: 'perimeter',
  }).id
}
