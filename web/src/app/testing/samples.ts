import {
  provideZonelessChangeDetection,
  type EnvironmentProviders,
  type Provider,
  type Type,
} from '@angular/core'
import { TestBed } from '@angular/core/testing'
import {
  planShoe,
  snapshotOf,
  type FootInput,
  type ShoeInput,
  type StoredPattern,
  type VisitPage,
} from '@crescent/core'
import { provideStore } from '@ngrx/store'
import { provideIcons } from '../shell/icons'
import { benchFeature } from '../state/bench/bench.feature'
import { PLAIN_SHOE } from '@crescent/core'
import { lookFeature } from '../state/look/look.feature'
import { recordsFeature } from '../state/records/records.feature'
import { settingsFeature } from '../state/settings/settings.feature'

/** For tests: the 5 x 5 in foot. */
export const FOOT: FootInput = {
  side: 'LF',
  width: 127,
  length: 127,
  heelWidth: 89,
  toeAngle: 52,
  wallThickness: 9.5,
}

export const planOf = (foot: Partial<FootInput> = {}, shoe: Partial<ShoeInput> = {}) =>
  planShoe({ ...FOOT, ...foot }, { ...PLAIN_SHOE, ...shoe })

/** For tests: a stored pattern of the left fore. */
export const pattern = (id: string, changes: Partial<StoredPattern> = {}): StoredPattern => ({
  id,
  version: 1,
  horseId: 'horse',
  side: 'LF',
  name: 'Road set',
  visitId: null,
  foot: FOOT,
  shoe: { ...PLAIN_SHOE, fit: 'supportive' },
  workshop: {},
  notes: '',
  archived: false,
  updatedAt: '2026-10-01T12:00:00.000Z',
  result: snapshotOf(planOf()),
  ...changes,
})

/** For tests: an open visit of a pony that was measured once before. */
export const PAGE = {
  visit: {
    id: 'visit',
    version: 1,
    horseId: 'horse',
    date: '2026-11-23',
    state: 'open',
    notes: '',
    feet: {},
    nextDue: null,
    closeList: {},
    archived: false,
  },
  horse: {
    id: 'horse',
    version: 1,
    animal: 'pony',
    name: 'Fig',
    cycleWeeks: 7,
    bodyWeight: null,
    born: null,
    breakoverSchool: 'perimeter',
  },
  owner: null,
  footRecords: [],
  look: null,
  lookBefore: null,
  lastVisit: { id: 'before', date: '2026-10-05', notes: '', feet: {}, closeList: {} },
  previous: {
    visit: { id: 'before', date: '2026-10-05' },
    footRecords: [
      { id: 'r0', version: 1, visitId: 'before', side: 'LF', foot: FOOT, patternId: 'p1', notes: '' },
    ],
  },
  patterns: [pattern('p1')],
  workshop: { id: 'w', version: 0, figures: {} },
} as unknown as VisitPage

/** For tests: the whole store and the icons. */
export const STORE: (Provider | EnvironmentProviders)[] = [
  provideZonelessChangeDetection(),
  provideIcons(),
  provideStore({
    [settingsFeature.name]: settingsFeature.reducer,
    [recordsFeature.name]: recordsFeature.reducer,
    [lookFeature.name]: lookFeature.reducer,
    [benchFeature.name]: benchFeature.reducer,
  }),
]

/** For tests: shows a component with its inputs; its element, its text, and its buttons by what stands on them. */
export async function show<T>(component: Type<T>, inputs: Record<string, unknown> = {}) {
  const fixture = TestBed.createComponent(component)
  for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value)
  await fixture.whenStable()
  const element = fixture.nativeElement as HTMLElement
  const text = () => element.textContent.replace(/\s+/g, ' ')
  const press = async (name: string | RegExp) => {
    const button = [...element.querySelectorAll('button')].find((one) => {
      const said = one.getAttribute('aria-label') ?? one.textContent.trim()
      return typeof name === 'string' ? said === name : name.test(said)
    })
    if (!button) throw new Error(`no button ${String(name)}`)
    button.click()
    await fixture.whenStable()
  }
  return { fixture, element, text, press }
}
