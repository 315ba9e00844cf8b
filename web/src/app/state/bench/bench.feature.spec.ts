import { FOOT, PAGE, pattern } from '../../testing/samples'
import { recordsActions } from '../records/records.feature'
import { benchActions, benchFeature } from './bench.feature'
import type { BenchState, SaveRequest } from './bench.state'
import { PLAIN_SHOE } from '@crescent/core'

const REQUEST: SaveRequest = {
  side: 'LF',
  name: 'X',
  asNew: false,
  newPatternId: 'new-p',
  newRecordId: 'new-r',
}

const after = (...actions: Parameters<typeof benchFeature.reducer>[1][]): BenchState =>
  actions.reduce<BenchState>(
    (state, action) => benchFeature.reducer(state, action),
    benchFeature.reducer(undefined, benchActions.opened({ page: PAGE, kept: {} })),
  )

const width = (value: number | undefined) => benchActions.setFigure({ key: 'width', value })
const widthOf = (state: BenchState) => state.drafts!.LF.foot.figures.width

describe('what the Bench starts from', () => {
  it('has an empty foot of the horse’s kind and the shoe that it wears', () => {
    const { drafts } = after()
    expect(drafts!.LF.foot).toEqual({ animal: 'pony', school: 'perimeter', figures: {}, entries: {} })
    expect(drafts!.LF.shoe.fit).toBe('supportive')
    expect(drafts!.RF.shoe).toEqual(PLAIN_SHOE)
    expect(drafts!.LF.dirty).toBe(false)
  })

  it('goes on with what this browser kept', () => {
    const kept = { ...after(width(120)).drafts!.LF }
    const state = benchFeature.reducer(undefined, benchActions.opened({ page: PAGE, kept: { LF: kept } }))
    expect(widthOf(state)).toBe(120)
    expect(state.drafts!.LF.dirty).toBe(true)
  })
})

describe('undo', () => {
  it('takes back one go at a time: a drag of many changes is one', () => {
    const dragged = [width(120), width(121), width(122)]
    const state = after(width(110), benchActions.settle(), ...dragged, benchActions.settle())
    expect(widthOf(state)).toBe(122)
    const back = benchFeature.reducer(state, benchActions.undo())
    expect(widthOf(back)).toBe(110)
    expect(widthOf(benchFeature.reducer(back, benchActions.redo()))).toBe(122)
    expect(widthOf(benchFeature.reducer(back, benchActions.undo()))).toBeUndefined()
  })

  it('keeps the versions of what was saved meanwhile', () => {
    const first = after(width(120))
    const sent = first.drafts!.LF
    const saved = benchFeature.reducer(
      benchFeature.reducer(first, benchActions.save({ request: REQUEST })),
      benchActions.saved({
        side: 'LF',
        sent,
        record: {
          id: 'r1',
          version: 1,
          visitId: 'visit',
          side: 'LF',
          foot: FOOT,
          patternId: 'p1',
          notes: '',
        },
        pattern: pattern('p1', { version: 2 }),
      }),
    )
    expect(saved.drafts!.LF.dirty).toBe(false)
    const undone = benchFeature.reducer(saved, benchActions.undo())
    expect(undone.drafts!.LF.base).toMatchObject({
      record: { id: 'r1', version: 1 },
      pattern: { version: 2 },
    })
    expect(undone.drafts!.LF.dirty).toBe(true)
  })

  it('forgets what was undone once something new is done', () => {
    const state = after(width(120), benchActions.undo(), width(130))
    expect(state.future).toEqual([])
  })
})

describe('saving', () => {
  it('gives ids before sending, so that a repeat after a lost answer makes no second record', () => {
    const asNew = { ...REQUEST, asNew: true }
    const first = after(
      width(120),
      benchActions.save({ request: asNew }),
      benchActions.saveFailed({ failure: 'gone' }),
    )
    expect(first.drafts!.LF.base.pattern).toMatchObject({ id: 'new-p', version: 0 })
    const again = benchFeature.reducer(
      first,
      benchActions.save({ request: { ...asNew, newPatternId: 'other' } }),
    )
    expect(again.drafts!.LF.base.pattern!.id).toBe('new-p')
    expect(again.drafts!.LF.base.record!.id).toBe('new-r')
  })

  it('leaves work done while it was saving as unsaved work', () => {
    const first = after(width(120))
    const sent = first.drafts!.LF
    const record = {
      id: 'r1',
      version: 1,
      visitId: 'visit',
      side: 'LF' as const,
      foot: FOOT,
      patternId: 'p1',
      notes: '',
    }
    const state = [
      benchActions.save({ request: REQUEST }),
      width(125),
      benchActions.saved({ side: 'LF', sent, record, pattern: pattern('p1', { version: 2 }) }),
    ].reduce<BenchState>((now, action) => benchFeature.reducer(now, action), first)
    expect(widthOf(state)).toBe(125)
    expect(state.drafts!.LF.dirty).toBe(true)
  })

  it('builds on all that is stored when the farrier keeps his own, and takes all of the other’s when he wants it', () => {
    const current = pattern('p1', { version: 7, foot: { ...FOOT, width: 140 } })
    const record = { ...PAGE.previous!.footRecords[0]!, id: 'r1', version: 4, foot: { ...FOOT, width: 141 } }
    const conflict = { side: 'LF' as const, pattern: current, record }
    const refused = after(width(120), benchActions.saveRefused({ conflict, request: REQUEST }))
    const mine = benchFeature.reducer(refused, benchActions.keepMine())
    expect(mine.drafts!.LF.base).toMatchObject({ pattern: { version: 7 }, record: { id: 'r1', version: 4 } })
    expect(widthOf(mine)).toBe(120)
    const theirs = benchFeature.reducer(refused, benchActions.takeTheirs())
    expect(widthOf(theirs)).toBe(141)
    expect(theirs.drafts!.LF.shoe).toEqual(current.shoe)
    // It is what is stored: nothing of it waits. Brought back, the own work does.
    expect(theirs.drafts!.LF.dirty).toBe(false)
    expect(benchFeature.reducer(theirs, benchActions.undo()).drafts!.LF.dirty).toBe(true)
    expect(widthOf(benchFeature.reducer(theirs, benchActions.undo()))).toBe(120)
  })
})

describe('what is taken over from elsewhere', () => {
  const run = (state: BenchState, ...actions: Parameters<typeof benchFeature.reducer>[1][]) =>
    actions.reduce<BenchState>((now, action) => benchFeature.reducer(now, action), state)
  const base = (state: BenchState) => state.drafts![state.side].base.pattern

  it('is a new pattern on another foot, and on another horse', () => {
    const own = benchActions.loadPattern({ pattern: pattern('p1'), withFoot: false })
    expect(base(after(own))?.id).toBe('p1')
    const right = run(after(), benchActions.chooseSide({ side: 'RF' }), own)
    expect(base(right)).toBeNull()
    expect(right.drafts!.RF.shoe).toEqual(pattern('p1').shoe)
    const strange = pattern('p9', { horseId: 'another' })
    expect(base(after(benchActions.loadPattern({ pattern: strange, withFoot: true })))).toBeNull()
    // Saved, it gets an id of its own.
    const saving = run(right, benchActions.save({ request: { ...REQUEST, side: 'RF' } }))
    expect(base(saving)).toMatchObject({ id: 'new-p', version: 0 })
  })

  it('is a new pattern where the other foot is mirrored', () => {
    const page = { ...PAGE, patterns: [...PAGE.patterns, pattern('p4', { side: 'RF' })] }
    const opened = benchFeature.reducer(undefined, benchActions.opened({ page, kept: {} }))
    const right = run(opened, benchActions.copyLast(), benchActions.chooseSide({ side: 'RF' }))
    expect(base(right)?.id).toBe('p4')
    expect(base(run(right, benchActions.mirror()))).toBeNull()
  })

  it('is not mirrored from a foot nobody measured: nothing typed goes away', () => {
    const typed = run(after(), benchActions.chooseSide({ side: 'RF' }), width(120))
    expect(benchFeature.selectCanMirror({ bench: typed })).toBe(false)
    expect(run(typed, benchActions.mirror())).toBe(typed)
  })

  it('goes back with undo to the pattern it had before, as it is stored now', () => {
    const taken = run(
      after(width(120), benchActions.settle()),
      benchActions.loadPattern({ pattern: pattern('p2'), withFoot: false }),
    )
    expect(base(taken)?.id).toBe('p2')
    expect(base(run(taken, benchActions.undo()))?.id).toBe('p1')
    expect(base(run(taken, benchActions.undo(), benchActions.redo()))?.id).toBe('p2')
  })
})

describe('undo across feet', () => {
  it('comes to the foot it changed, and knows what it was', () => {
    const state = after(
      width(120),
      benchActions.settle(),
      benchActions.chooseSide({ side: 'RF' }),
      benchActions.setShoe({ shoe: { ...PLAIN_SHOE, fit: 'slide' }, touched: 'fit' }),
      benchActions.chooseSide({ side: 'LH' }),
    )
    expect(benchFeature.selectLastStep({ bench: state })).toMatchObject({ side: 'RF', what: 'fit' })
    const one = benchFeature.reducer(state, benchActions.undo())
    expect(one.side).toBe('RF')
    expect(one.drafts!.RF.shoe).toEqual(PLAIN_SHOE)
    const two = benchFeature.reducer(one, benchActions.undo())
    expect(two.side).toBe('LF')
    expect(widthOf(two)).toBeUndefined()
    expect(benchFeature.reducer(two, benchActions.redo()).side).toBe('LF')
  })

  it('goes on after a reload', () => {
    const { past, future, drafts } = after(width(110), benchActions.settle(), width(120))
    const history = JSON.parse(JSON.stringify({ past, future })) as { past: BenchState['past']; future: [] }
    const again = benchFeature.reducer(
      undefined,
      benchActions.opened({ page: PAGE, kept: { LF: drafts!.LF }, history }),
    )
    expect(widthOf(again)).toBe(120)
    expect(widthOf(benchFeature.reducer(again, benchActions.undo()))).toBe(110)
  })

  it('takes a school set for all feet back in one go', () => {
    const state = after(benchActions.copyLast(), benchActions.setSchool({ school: 'thirds', all: true }))
    expect(state.drafts!.RH.foot.school).toBe('thirds')
    const back = benchFeature.reducer(state, benchActions.undo())
    expect(Object.values(back.drafts!).map(({ foot }) => foot.school)).toEqual(Array(4).fill('perimeter'))
  })
})

describe('carrying over', () => {
  it('copies the last visit, mirrors the other side, loads a pattern with or without its foot', () => {
    const copied = after(benchActions.copyLast())
    expect(widthOf(copied)).toBe(127)
    const mirrored = [benchActions.chooseSide({ side: 'RF' }), benchActions.mirror()].reduce<BenchState>(
      (now, action) => benchFeature.reducer(now, action),
      copied,
    )
    expect(mirrored.drafts!.RF.foot.figures).toEqual(copied.drafts!.LF.foot.figures)
    const other = pattern('p2', { foot: { ...FOOT, width: 133 }, shoe: { ...PLAIN_SHOE, fit: 'slide' } })
    const shoeOnly = after(width(120), benchActions.loadPattern({ pattern: other, withFoot: false }))
    expect([widthOf(shoeOnly), shoeOnly.drafts!.LF.shoe.fit]).toEqual([120, 'slide'])
    expect(widthOf(after(benchActions.loadPattern({ pattern: other, withFoot: true })))).toBe(133)
  })

  it('follows a horse that is changed in the Stable', () => {
    const horse = { ...PAGE.horse, name: 'Figgy' }
    expect(after(recordsActions.horseSaved({ horse })).page!.horse.name).toBe('Figgy')
  })
})

describe('selectors', () => {
  it('plan through core, and say what is missing or impossible by path', () => {
    const planning = (state: BenchState) => benchFeature.selectPlanning({ bench: state })
    expect(planning(after()).problems[0]?.path).toBe('foot.width')
    expect(planning(after(benchActions.copyLast())).plan?.iron.cutLength).toBeGreaterThan(290)
    const impossible = after(
      benchActions.copyLast(),
      benchActions.setFigure({ key: 'heelWidth', value: 150 }),
    )
    expect(planning(impossible).problems.map((p) => p.path)).toEqual(['foot.heelWidth'])
  })
})
