import type { Type } from '@angular/core'
import { TestBed } from '@angular/core/testing'
import { provideRouter } from '@angular/router'
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog'
import type { Horse, HorseSummary, Owner, Round } from '@crescent/core'
import { provideMockActions } from '@ngrx/effects/testing'
import { Store, type Action } from '@ngrx/store'
import { of, Subject } from 'rxjs'
import { RoundPage } from '../round/round-page'
import { Api } from '../state/api'
import { recordsActions } from '../state/records/records.feature'
import { STORE } from '../testing/samples'
import { HorseDialog } from './horse-dialog'
import { OwnerDialog } from './owner-dialog'

const HORSE: Horse = {
  id: 'h',
  version: 4,
  ownerId: null,
  name: 'Fig',
  animal: 'pony',
  work: 'carting',
  going: '',
  living: '',
  place: '',
  cycleWeeks: 7,
  bodyWeight: null,
  born: null,
  breakoverSchool: 'thirds',
  notes: '',
  archived: false,
}

/** Opens a dialog over a store whose actions are caught, and answers them by hand. */
async function open<T>(component: Type<T>, data: unknown) {
  const closed: unknown[] = []
  const actions = new Subject<Action>()
  TestBed.configureTestingModule({
    providers: [
      ...STORE,
      provideMockActions(() => actions),
      { provide: MAT_DIALOG_DATA, useValue: data },
      { provide: MatDialogRef, useValue: { close: (answer: unknown) => closed.push(answer) } },
      { provide: Api, useValue: { owners: () => of([] as Owner[]) } },
    ],
  })
  const dispatched: Action[] = []
  vi.spyOn(TestBed.inject(Store), 'dispatch').mockImplementation(((action: Action) => {
    dispatched.push(action)
  }) as Store['dispatch'])
  const fixture = TestBed.createComponent(component)
  await fixture.whenStable()
  const element = fixture.nativeElement as HTMLElement
  const fill = async (name: string, value: string) => {
    const field = element.querySelector<HTMLInputElement>(`[formControlName=${name}]`)!
    field.value = value
    field.dispatchEvent(new Event('input'))
    await fixture.whenStable()
  }
  const submit = async () => {
    element.querySelector('form')!.dispatchEvent(new Event('submit', { cancelable: true }))
    await fixture.whenStable()
  }
  return { fixture, element, actions, dispatched, closed, fill, submit }
}

describe('HorseDialog', () => {
  it('refuses a horse without a name and a cycle of a year, naming both', async () => {
    const { element, dispatched, fill, submit } = await open(HorseDialog, {})
    await fill('cycleWeeks', '52')
    await submit()
    expect(dispatched).toEqual([])
    expect(element.textContent).toContain('A name is needed')
    expect(element.textContent).toMatch(/2 to 16/)
  })

  it('changes a horse on top of the version it read, keeps its school, and closes only once it is stored', async () => {
    const { dispatched, closed, actions, fill, submit } = await open(HorseDialog, { horse: HORSE })
    await fill('work', 'hacking')
    await submit()
    const horse = { ...HORSE, work: 'hacking' }
    expect(dispatched).toEqual([recordsActions.saveHorse({ horse })])
    expect(closed).toEqual([])
    actions.next(recordsActions.horseSaved({ horse }))
    expect(closed).toEqual([horse])
  })

  it('says why it was not stored, and can be sent again', async () => {
    const { element, actions, dispatched, fixture, submit } = await open(HorseDialog, { horse: HORSE })
    await submit()
    actions.next(recordsActions.saveFailed({ failure: 'Not saved: changed in another window.' }))
    await fixture.whenStable()
    expect(element.textContent).toContain('changed in another window')
    await submit()
    expect(dispatched).toHaveLength(2)
  })
})

describe('OwnerDialog', () => {
  const owner: Owner = {
    id: 'o',
    version: 2,
    name: 'Bram',
    phone: '9',
    email: '',
    place: '',
    notes: '',
    archived: false,
  }

  it('refuses an address that is none, and stores the change on top of what it read', async () => {
    const { dispatched, fill, submit } = await open(OwnerDialog, { owner })
    await fill('email', 'bram at hut')
    await submit()
    expect(dispatched).toEqual([])
    await fill('email', 'bram@hut.example')
    await submit()
    expect(dispatched).toEqual([recordsActions.saveOwner({ owner: { ...owner, email: 'bram@hut.example' } })])
  })
})

describe('RoundPage', () => {
  const due = (name: string, day: string): HorseSummary => ({
    ...HORSE,
    id: name,
    name,
    ownerName: 'Bram',
    lastVisit: '2026-10-01',
    due: day,
    stops: [],
  })
  const round: Round = {
    date: '2026-11-23',
    overdue: [due('Nettle', '2026-11-01')],
    due: [due('Fig', '2026-11-25')],
    seen: [],
    steps: [],
    calls: [],
    counts: { horses: 2, patterns: 0, overdue: 1, due: 1 },
  }

  it('lists who is overdue and who is due, and starts a visit', async () => {
    TestBed.configureTestingModule({ imports: [RoundPage], providers: [...STORE, provideRouter([])] })
    await TestBed.compileComponents()
    const store = TestBed.inject(Store)
    const fixture = TestBed.createComponent(RoundPage)
    store.dispatch(recordsActions.roundRead({ round }))
    await fixture.whenStable()
    const element = fixture.nativeElement as HTMLElement
    expect(element.textContent).toContain('Nettle')
    expect(element.textContent).toContain('Fig')
    const dispatch = vi.spyOn(store, 'dispatch')
    ;[...element.querySelectorAll('button')].find((one) => one.textContent.includes('Start visit'))!.click()
    expect(dispatch).toHaveBeenCalledWith(expect.objectContaining({ horseId: 'Nettle' }))
  })

  it('says what went wrong when the day cannot be read', async () => {
    TestBed.configureTestingModule({ imports: [RoundPage], providers: [...STORE, provideRouter([])] })
    await TestBed.compileComponents()
    const fixture = TestBed.createComponent(RoundPage)
    await fixture.whenStable()
    TestBed.inject(Store).dispatch(recordsActions.failed({ failure: 'The server does not answer.' }))
    await fixture.whenStable()
    expect((fixture.nativeElement as HTMLElement).textContent).toContain('The server does not answer.')
  })
})
