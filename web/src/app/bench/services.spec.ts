import { TestBed } from '@angular/core/testing'
import { MatDialog } from '@angular/material/dialog'
import { MatSnackBar } from '@angular/material/snack-bar'
import { newLook, PLAIN_SHOE, type Finding, type Look } from '@crescent/core'
import { advise, type Advice } from '@crescent/core/advice'
import { Actions, ofType } from '@ngrx/effects'
import { Store } from '@ngrx/store'
import { of } from 'rxjs'
import { benchActions, benchFeature } from '../state/bench/bench.feature'
import { footInput } from '../state/bench/draft'
import { lookActions, lookFeature } from '../state/look/look.feature'
import { settingsActions } from '../state/settings/settings.feature'
import { FOOT, PAGE, pattern, planOf, STORE } from '../testing/samples'
import { ConflictDialog, type ConflictDialogData } from './keep/conflict-dialog'
import { FinishDialog, type FinishDialogData } from './keep/finish-dialog'
import { Desk } from './desk'
import { Keeping } from './keep/keeping'
import { GateDialog, type GateDialogData } from './steps/look/gate-dialog'
import { Advising } from './steps/look/advising'
import { Looking } from './steps/look/looking'
import { Mapping } from './steps/map/mapping'
import { SaveDialog, type SaveDialogData } from './keep/save-dialog'
import { Shaping } from './steps/shoe/shaping'

/** What was opened, and what it is answered with. */
const opened: { dialog: unknown; data: unknown }[] = []
const answers = new Map<unknown, unknown>()
const snack = vi.fn()
const store = () => TestBed.inject(Store)
const state = () => store().selectSignal(benchFeature.selectBenchState)()
const draft = () => store().selectSignal(benchFeature.selectDraft)()!
/** Dialogs are fetched when they are wanted. */
const shown = (dialog: unknown) => vi.waitFor(() => expect(opened.at(-1)?.dialog).toBe(dialog))
const settled = () => new Promise((done) => setTimeout(done, 60))
const last = <T>() => opened.at(-1)!.data as T

const finding = (changes: Partial<Finding>): Finding => ({
  ...{ id: 'f', kind: 'flare', place: 'outer-quarter', grade: 2, note: '', answer: 'new' },
  since: '2026-11-23',
  ...changes,
})
function look(findings: Finding[] = [], changes: Partial<Look> = {}): void {
  const fresh = newLook('look', 'visit')
  const stored = {
    ...fresh,
    version: 1,
    ...changes,
    feet: { ...fresh.feet, LF: { ...fresh.feet.LF, findings } },
  }
  store().dispatch(
    lookActions.opened({ visitId: 'visit', stored, before: null, kept: undefined, newId: 'n' }),
  )
}

beforeEach(() => {
  opened.length = 0
  answers.clear()
  snack.mockClear()
  const dialog = {
    open: (component: unknown, { data }: { data: unknown }) => {
      opened.push({ dialog: component, data })
      return { afterClosed: () => of(answers.get(component)) }
    },
  }
  TestBed.configureTestingModule({
    providers: [
      ...STORE,
      ...[Desk, Keeping, Looking, Mapping, Shaping],
      { provide: MatDialog, useValue: dialog },
      { provide: MatSnackBar, useValue: { open: snack } },
    ],
  })
  store().dispatch(settingsActions.change({ changes: { unit: 'in', denominator: 16 } }))
  store().dispatch(benchActions.opened({ page: PAGE, kept: {} }))
  store().dispatch(benchActions.copyLast())
  look()
})

describe('Keeping', () => {
  const keeping = () => TestBed.inject(Keeping)

  it('asks under what name, tells the stops again, and saves the side that lies on the Bench', async () => {
    answers.set(SaveDialog, { name: 'Mine', asNew: true, tags: ['winter'], why: '' })
    const plan = planOf({ wallThickness: 4 }, { fit: { toeSetBack: 12 } })
    keeping().save(plan)
    // A quick second tap, while the question is still coming.
    keeping().save(plan)
    await shown(SaveDialog)
    expect(last<SaveDialogData>()).toMatchObject({
      loaded: 'Road set',
      suggestedName: 'Supportive 3/4 x 5/16, 23 Nov 2026',
      stops: ['Nail would prick'],
    })
    await vi.waitFor(() => expect(state().saving).toBe(true))
    // While it is being saved it is not asked again.
    keeping().save(plan)
    await settled()
    expect(opened).toHaveLength(1)
  })

  it('lets nothing be saved or finished past what calls for the vet until it was read', async () => {
    look([finding({ kind: 'track', place: 'toe-sole', grade: 2 })])
    keeping().save(planOf())
    await settled()
    expect(opened.map(({ dialog }) => dialog)).toEqual([GateDialog])
    keeping().finish()
    await settled()
    expect(opened.map(({ dialog }) => dialog)).toEqual([GateDialog, GateDialog])
    answers.set(GateDialog, { words: 'Spoke to the vet' })
    keeping().save(planOf())
    await shown(SaveDialog)
    expect(store().selectSignal(lookFeature.selectLook)()!.acknowledged[0]!.words).toBe('Spoke to the vet')
  })

  it('puts no shoe on a foot with an abscess before the vet allows one; left bare it is at once', async () => {
    look([finding({ kind: 'track', place: 'toe-sole', grade: 3 })])
    const changed: unknown[] = []
    const sent = TestBed.inject(Actions)
      .pipe(ofType(benchActions.changeVisit))
      .subscribe(({ changes }) => changed.push(changes.feet))
    keeping().setWork('LF', 'shod')
    await settled()
    expect(last<GateDialogData>()).toMatchObject({ shoeOn: 'LF', gates: [{ forbids: 'shoe' }] })
    keeping().setWork('LF', 'bare')
    keeping().setWork('RF', 'shod')
    expect(changed).toEqual([{ LF: { work: 'bare' } }, { RF: { work: 'shod' } }])
    // Read is not allowed: what was told is asked about again, and the plan still says so.
    answers.set(GateDialog, { words: 'Dr Sedge comes at noon' })
    TestBed.inject(Looking).readGates()
    await settled()
    const codes = () =>
      store()
        .selectSignal(benchFeature.selectPlanning)()
        .plan!.cautions.map(({ code }) => code)
    expect(codes()).toContain('no-shoe')
    expect(TestBed.inject(Looking).stopsOf('LF')).toMatchObject([{ words: 'Dr Sedge comes at noon' }])
    answers.set(GateDialog, { words: 'Opened and dry', allows: 'shoe' })
    keeping().setWork('LF', 'shod')
    await settled()
    expect(changed).toHaveLength(3)
    expect(codes()).not.toContain('no-shoe')
    expect(TestBed.inject(Looking).stopsOf('LF')).toEqual([])
    sent.unsubscribe()
  })

  it('says of a foot that is shod and that nobody measured that no shoe is kept for it', () => {
    const told: (string | undefined)[] = []
    const sent = TestBed.inject(Actions)
      .pipe(ofType(benchActions.changeVisit))
      .subscribe((change) => told.push(change.told))
    keeping().setWork('RF', 'shod')
    store().dispatch(benchActions.chooseSide({ side: 'RF' }))
    store().dispatch(benchActions.setFigure({ key: 'width', value: 128 }))
    keeping().setWork('RF', 'shod')
    expect(told).toEqual(['RF: shod, and nothing of it was measured: no shoe is kept for it', 'RF: shod'])
    sent.unsubscribe()
  })

  it('finishes with what is open, the feet that were shod, and the day of the next visit', async () => {
    const record = { ...PAGE.previous!.footRecords[0]!, visitId: 'visit' }
    const page = {
      ...PAGE,
      visit: { ...PAGE.visit, feet: { LH: { work: 'reset' as const, paused: 'two nails in' } } },
      footRecords: [record, { ...record, id: 'r1', side: 'RF' as const, patternId: null }],
    }
    store().dispatch(benchActions.opened({ page, kept: {} }))
    keeping().finish()
    await shown(FinishDialog)
    expect(last<FinishDialogData>()).toMatchObject({
      nailed: ['LF', 'LH'],
      work: 'LF shod, LH reset',
      paused: ['LH'],
      worked: ['LF', 'LH'],
      put: {},
      // RF was measured, RH was not: nobody decided anything for it.
      unmeasured: ['RH'],
      unsaved: [],
      nextDue: null,
      byCycle: '2027-01-11',
    })
  })

  it('tells at the end of a visit what waits for the server, apart from what was never saved', async () => {
    store().dispatch(benchActions.opened({ page: PAGE, kept: {}, waiting: ['LF'] }))
    store().dispatch(benchActions.copyLast())
    store().dispatch(benchActions.chooseSide({ side: 'RF' }))
    store().dispatch(benchActions.mirror())
    keeping().finish()
    await shown(FinishDialog)
    expect(last<FinishDialogData>()).toMatchObject({
      waiting: ['LF'],
      unsaved: ['RF'],
      unmeasured: ['RF', 'LH', 'RH'],
    })
  })

  it('shows both where a foot was changed elsewhere, and takes the answer', async () => {
    keeping()
    answers.set(ConflictDialog, 'theirs')
    const current = { ...PAGE.previous!.footRecords[0]!, foot: { ...FOOT, width: 131 }, version: 7 }
    const request = { side: 'LF' as const, name: 'X', asNew: false, newPatternId: 'p', newRecordId: 'r' }
    store().dispatch(benchActions.saveRefused({ conflict: { side: 'LF', record: current }, request }))
    TestBed.tick()
    await shown(ConflictDialog)
    expect(last<ConflictDialogData>().mine.foot.width).toBe(FOOT.width)
    await vi.waitFor(() => expect(draft().foot.figures.width).toBe(131))
    expect(draft().base.record?.version).toBe(7)
  })
})

describe('Advising', () => {
  const accept = (advice: Partial<Advice>) =>
    TestBed.inject(Advising).decide({
      advice: { code: 'x', codes: ['x'], title: 'X', ...advice } as Advice,
      choice: 'accepted',
      reason: '',
    })

  it('puts what was accepted on the shoe: fit, nails, school of nailing, modification', () => {
    accept({
      change: {
        fit: 'flush',
        driven: { lateral: [1, 3], medial: [1] },
        nailSchool: 'laminitic',
        modification: 'studs',
      },
    })
    expect(draft().shoe.fit).toBe('flush')
    expect(draft().shoe.nails).toMatchObject({
      school: 'laminitic',
      lateral: { driven: [1, 3] },
      medial: { driven: [1] },
    })
    expect(draft().shoe.modifications).toEqual([{ kind: 'studs' }])
    const { advice } = store().selectSignal(lookFeature.selectLook)()!
    expect(advice).toEqual([expect.objectContaining({ code: 'x', side: 'LF', choice: 'accepted' })])
  })

  it('says so where the modification cannot stand beside what is there, and leaves the shoe alone', async () => {
    accept({ change: { modification: 'straight-bar' } })
    accept({ change: { modification: 'straight-bar' } })
    await settled()
    expect(snack).not.toHaveBeenCalled()
    accept({ change: { modification: 'heart-bar' } })
    await vi.waitFor(() => expect(snack).toHaveBeenCalled())
    expect(snack.mock.calls[0]![0]).toContain('The heart bar brings its own bar')
    expect(draft().shoe.modifications).toEqual([{ kind: 'straight-bar' }])
  })

  it('puts on nothing that this foot has no room for, and says so', async () => {
    // The fit already reaches the bulb line: an egg bar cannot close behind it.
    accept({ change: { fit: 'supportive' } })
    accept({ change: { modification: 'egg-bar' } })
    await vi.waitFor(() => expect(snack).toHaveBeenCalled())
    expect(snack.mock.calls[0]![0]).toMatch(/not put on the shoe\. .*already reach the bulb line/)
    expect(draft().shoe.modifications ?? []).toEqual([])
  })

  it('stands by advice until it is dismissed', () => {
    look([finding({ kind: 'thin-sole', place: 'toe-sole', grade: 1 })])
    const advising = TestBed.inject(Advising)
    expect(advising.standingAdvice()).toContain('seat-out')
    const advice = advise({
      ...{ side: 'LF', look: store().selectSignal(lookFeature.selectLook)()!, cycleWeeks: 7 },
    }).find(({ code }) => code === 'seat-out')!
    advising.decide({ advice, choice: 'dismissed', reason: 'dry ground' })
    expect(advising.standingAdvice()).not.toContain('seat-out')
    expect(draft().shoe).toEqual(pattern('p1').shoe)
  })
})

describe('what was found on the wall', () => {
  const crack = finding({ kind: 'crack', place: 'outer-toe-quarter', grade: 1 })

  it('keeps nails clear as soon as the foot is measured, and goes again with the finding', () => {
    const plan = () => store().selectSignal(benchFeature.selectPlanning)().plan!
    expect(plan().keepClear).toEqual([])
    look([crack])
    expect(plan().keepClear).toEqual([expect.objectContaining({ why: 'crack', half: 'lateral', look: true })])
    look([{ ...crack, answer: 'gone' }])
    expect(plan().keepClear).toEqual([])
  })

  it('is sent with the foot beside what was marked, and is not taken for a mark when the foot comes back', () => {
    const mark = { why: 'old hole', half: 'medial', fromToe: 40, width: 4 } as const
    store().dispatch(benchActions.setKeepClear({ keepClear: [mark] }))
    const sent = footInput('LF', draft().foot, { findings: [crack], limits: [] })
    expect(sent.keepClear).toHaveLength(2)
    const record = { ...PAGE.previous!.footRecords[0]!, visitId: 'visit', foot: sent }
    store().dispatch(benchActions.opened({ page: { ...PAGE, footRecords: [record] }, kept: {} }))
    expect(draft().foot.keepClear).toEqual([mark])
  })
})

describe('Mapping', () => {
  it('lays a foot over the other of its pair, once that is measured', () => {
    const mapping = TestBed.inject(Mapping)
    expect(mapping.others()).toEqual([])
    store().dispatch(benchActions.chooseSide({ side: 'RF' }))
    expect(mapping.others()).toEqual([
      expect.objectContaining({
        key: 'pair',
        label: 'LF at this visit',
        foot: expect.objectContaining({ width: 127 }),
      }),
    ])
  })

  it('sets the toe back without touching the rest of the fit, and a school for one foot or all', () => {
    const mapping = TestBed.inject(Mapping)
    mapping.setToeBack(6)
    const { spread, heelLength } = planOf({}, { fit: 'supportive' }).fit
    expect(draft().shoe.fit).toEqual({ spread, heelLength, toeSetBack: 6, behind: 'straight back' })
    mapping.useSchool({ school: 'thirds', all: false })
    expect(draft().foot.school).toBe('thirds')
    expect(state().drafts!.RF.foot.school).toBe('perimeter')
    mapping.useSchool({ school: 'thirds', all: true })
    expect(state().drafts!.RF.foot.school).toBe('thirds')
  })

  it('knows the balance of the shoe it wears, and none where it wears none', () => {
    const mapping = TestBed.inject(Mapping)
    expect(mapping.wornBalance()!.toeLever).toBeGreaterThan(40)
    store().dispatch(benchActions.opened({ page: { ...PAGE, patterns: [] }, kept: {} }))
    expect(mapping.wornBalance()).toBeUndefined()
    expect(draft().shoe).toEqual(PLAIN_SHOE)
  })
})
