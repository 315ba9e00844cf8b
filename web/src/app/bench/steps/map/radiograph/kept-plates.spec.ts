import { TestBed } from '@angular/core/testing'
import type { ListedPicture, StoredPicture } from '@crescent/core'
import { Store } from '@ngrx/store'
import { of, throwError } from 'rxjs'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Api } from '../../../../state/api'
import { benchActions } from '../../../../state/bench/bench.feature'
import { nothingResizes } from '../../../../testing/resizing'
import { PAGE, show, STORE } from '../../../../testing/samples'
import { KeptPlates } from './kept-plates'
import { PlateCourse } from './plate-course'
import { PlateReader } from './plate-reader'
import type { PlateAsked } from './plate-work'
import { Radiograph } from './radiograph'

const window = { centre: 100, width: 200 }
/** Twice as wide as it is kept. */
const WIDE = 2000
const reader = {
  ask: ({ do: what }: PlateAsked) => {
    if (what === 'show') return Promise.resolve({ ok: true, picture: { close: () => undefined } })
    if (what === 'keep') packed++
    if (what === 'keep') return Promise.resolve({ ok: true, file: '/9j/AA==', width: WIDE / 2, height: 500 })
    return Promise.resolve({
      ...{ ok: true, width: WIDE, height: 1000, inverted: false, told },
      ...{ windows: { usual: window, whole: window }, scale: { by: 'calibrated', mmPerPixel: 0.1 } },
    })
  },
}
let stored: StoredPicture[]
let packed: number
let told: { label: string; text: string }[]
let refuses: boolean
const api = {
  pictures: () =>
    of(stored.map(({ file: _none, ...listed }): ListedPicture => ({ ...listed, date: '2026-11-23' }))),
  picture: (id: string) => of(stored.find((one) => one.id === id)!),
  putPicture: (picture: StoredPicture) => {
    if (refuses) return throwError(() => new Error('no'))
    const now = { ...picture, version: picture.version + 1 }
    stored = [...stored.filter(({ id }) => id !== picture.id), now]
    return of(now)
  },
}
const before = (more: Partial<StoredPicture> = {}): StoredPicture => ({
  ...{
    id: crypto.randomUUID(),
    version: 3,
    visitId: 'earlier',
    side: 'LF',
    kind: 'radiograph',
    name: 'then',
  },
  ...{ width: 1000, height: 500, mmPerPixel: 0.2, file: '/9j/AA==' },
  // Ground along 400, the underside of P3 at 45 degrees over it, 10 mm of sole under its tip.
  marks: { G1: [900, 400], G2: [100, 400], T: [600, 350], U: [500, 250], S1: [600, 400] },
  ...more,
})

let kept: KeptPlates
let radiograph: Radiograph
beforeEach(() => {
  stored = []
  refuses = false
  packed = 0
  told = []
  TestBed.configureTestingModule({
    providers: [...STORE, { provide: PlateReader, useValue: reader }, { provide: Api, useValue: api }],
  })
  nothingResizes()
  TestBed.inject(Store).dispatch(benchActions.opened({ page: PAGE, kept: {} }))
  kept = TestBed.inject(KeptPlates)
  radiograph = TestBed.inject(Radiograph)
})
afterEach(() => vi.unstubAllGlobals())
const opened = () => radiograph.open('a.dcm', { file: new Blob(['x']), dicom: true })

describe('radiographs that stay with the visit', () => {
  it('go with their marks and scale as the kept picture has them, once for each visit', async () => {
    await opened()
    await kept.keep()
    expect(stored).toEqual([])
    radiograph.set('T', [600, 400])
    radiograph.scaleBy('file')
    await kept.keep()
    expect(stored).toHaveLength(1)
    expect(stored[0]).toMatchObject({ visitId: 'visit', side: 'LF', width: 1000, marks: { T: [300, 200] } })
    expect(stored[0]!.mmPerPixel).toBeCloseTo(0.2, 12)
    // The server takes nothing it does not know.
    expect(Object.keys(stored[0]!).sort()).toEqual(Object.keys(before()).sort())
    expect(kept.state()).toBe('kept')
    radiograph.set('T', [620, 400])
    expect(kept.state()).toBe('')
    await kept.keep()
    expect(stored.map(({ version, marks }) => [version, marks['T']])).toEqual([[2, [310, 200]]])
  })

  it('of the foot they were marked on, though another lies on the Bench when they are stored', async () => {
    await opened()
    radiograph.set('T', [600, 400])
    const keeping = kept.keep()
    TestBed.inject(Store).dispatch(benchActions.chooseSide({ side: 'RF' }))
    await keeping
    expect(stored.map(({ side }) => side)).toEqual(['LF'])
    expect(radiograph.plate()).toBeUndefined()
    await opened()
    radiograph.set('T', [500, 400])
    await kept.keep()
    expect(stored.map(({ side, version }) => [side, version])).toEqual([
      ['LF', 1],
      ['RF', 1],
    ])
    TestBed.inject(Store).dispatch(benchActions.chooseSide({ side: 'LF' }))
    radiograph.set('U', [300, 300])
    await kept.keep()
    expect(stored.map(({ side, version }) => `${side} ${version}`).sort()).toEqual(['LF 2', 'RF 1'])
  })

  it('only looked at, one of an earlier visit stays where it is', async () => {
    stored = [before()]
    await kept.read()
    await kept.open(kept.ofFoot()[0]!)
    await radiograph.show({ centre: 50, width: 20 }, false)
    await kept.keep()
    expect(stored).toHaveLength(1)
    expect(kept.state()).toBe('kept')
  })

  it('is called by what its file says of whose it is only where that is wanted', async () => {
    told = [{ label: 'Patient', text: 'Bramble' }]
    await opened()
    radiograph.set('T', [600, 400])
    await kept.keep()
    expect(stored[0]!.name).toBe('Lateral radiograph')
    radiograph.change((plate) => ({ ...plate, named: true }))
    expect(kept.state()).toBe('')
    await kept.keep()
    expect(stored[0]!.name).toBe('a.dcm, Bramble')
  })

  it('one to practise on is not kept', async () => {
    await radiograph.open('made up', { seed: 4 })
    radiograph.set('T', [600, 400])
    await kept.keep()
    expect(stored).toEqual([])
  })

  it('what cannot be stored is said, and is still here', async () => {
    await opened()
    radiograph.set('T', [600, 400])
    refuses = true
    await kept.keep()
    expect(kept.failure()).not.toBe('')
    expect([kept.state(), radiograph.plate()!.points.T]).toEqual(['', [600, 400]])
  })

  it('one of an earlier visit is opened as it was marked, and marked anew becomes this visit’s', async () => {
    stored = [before()]
    await kept.read()
    await kept.open(kept.ofFoot()[0]!)
    expect(radiograph.plate()!.points.T).toEqual([600, 350])
    expect(radiograph.mmPerPixel()).toBe(0.2)
    radiograph.set('F', [5, 5])
    await kept.keep()
    expect(stored.map(({ visitId, version }) => [visitId, version])).toEqual([
      ['earlier', 3],
      ['visit', 1],
    ])
    // Its file goes back as it was: it is not packed once more.
    expect(stored[1]!.file).toBe(before().file)
    expect(packed).toBe(0)
  })

  it('stand side by side with what has changed; of another foot none', async () => {
    stored = [before(), before({ marks: { ...before().marks, S1: [600, 425] } }), before({ side: 'RF' })]
    await kept.read()
    const { element } = await show(PlateCourse)
    const rows = [...element.querySelectorAll('tbody tr')].map((row) =>
      [...row.children].map(({ textContent }) => textContent.trim()),
    )
    const row = (label: string) => rows.find(([first]) => first === label)
    expect(row('Palmar angle')).toEqual(['Palmar angle', '45.0°', '45.0°', '0.0°'])
    // From ten to fifteen mm; in the unit that is chosen.
    expect(row('Sole under the tip')!.slice(1)).toEqual(['25/64"', '19/32"', '+13/64"'])
    expect(row('Front wall')).toBeUndefined()
  })
})
