import { signal } from '@angular/core'
import { TestBed } from '@angular/core/testing'
import { MAT_DIALOG_DATA, MatDialog, MatDialogRef } from '@angular/material/dialog'
import type { ListedPicture, StoredPicture } from '@crescent/core'
import { Store } from '@ngrx/store'
import { of, Subject, throwError } from 'rxjs'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Dialogs } from '../../../../common/dialogs'
import { Tells } from '../../../../common/tells'
import { Api } from '../../../../state/api'
import { benchActions } from '../../../../state/bench/bench.feature'
import { nothingResizes } from '../../../../testing/resizing'
import { PAGE, show, STORE } from '../../../../testing/samples'
import { PhotoTracer } from '../photo/photo-tracer'
import { BenchPhotographs } from './bench-photographs'
import { KeptPictures } from './kept-pictures'
import { PhotographDialog } from './photograph-dialog'
import { PicturesOver } from './pictures-over'

let stored: StoredPicture[]
let refuses: boolean
let data: ListedPicture
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
  erasePicture: (id: string) => {
    if (refuses) return throwError(() => new Error('no'))
    stored = stored.filter((one) => one.id !== id)
    return of({ erased: true })
  },
}
const one = (more: Partial<StoredPicture> = {}): StoredPicture => ({
  ...{ id: crypto.randomUUID(), version: 1, visitId: 'visit', side: 'LF', kind: 'side', name: 'a.jpg' },
  ...{ width: 1000, height: 800, mmPerPixel: null, marks: {}, file: '/9j/AA==' },
  ...more,
})
const listed = (picture: StoredPicture, date = '2026-11-23'): ListedPicture => {
  const { file: _none, ...rest } = picture
  return { ...rest, date }
}
/** The head of a picture of one pixel: a PNG as it is published (RFC 2083). */
const png = Uint8Array.from(
  atob('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=='),
  (c) => c.charCodeAt(0),
)
let answers: Record<string, unknown>
const tracer = {
  progress: signal(undefined),
  ask: ({ do: what }: { do: string }) => Promise.resolve(answers[what]),
}
const warned = vi.fn()
const closed = vi.fn()
let sure: boolean

beforeEach(() => {
  stored = []
  ;[refuses, sure] = [false, true]
  answers = {
    open: { ok: true, width: 1000, height: 800 },
    keep: { ok: true, file: '/9j/BB==', width: 1000, height: 800 },
  }
  for (const each of [warned, closed]) each.mockClear()
  nothingResizes()
  TestBed.configureTestingModule({
    providers: [
      ...STORE,
      { provide: Api, useValue: api },
      { provide: Tells, useValue: { warn: warned, done: () => Promise.resolve() } },
      { provide: MAT_DIALOG_DATA, useFactory: () => data },
      {
        provide: MatDialogRef,
        useValue: { close: closed, keydownEvents: () => new Subject(), disableClose: false },
      },
      { provide: MatDialog, useValue: { open: () => ({ afterClosed: () => of(sure) }) } },
    ],
  })
  TestBed.overrideComponent(BenchPhotographs, {
    set: { providers: [{ provide: PhotoTracer, useValue: tracer }] },
  })
  TestBed.inject(Store).dispatch(benchActions.opened({ page: PAGE, kept: {} }))
})

afterEach(() => vi.unstubAllGlobals())

describe('photographs of the foot', () => {
  const give = async (element: HTMLElement, file: File, until: () => void) => {
    const field = element.querySelectorAll<HTMLInputElement>('input[type=file]')[1]!
    Object.defineProperty(field, 'files', { value: [file], configurable: true })
    Object.defineProperty(field, 'value', { value: '', writable: true })
    field.dispatchEvent(new Event('change'))
    await vi.waitFor(until)
  }

  it('are kept at once with visit, foot and what they show, and stand here by that, the newest first', async () => {
    stored = [one({ side: 'RF' }), one({ kind: 'radiograph' })]
    const view = await show(BenchPhotographs)
    expect(view.text()).toContain('No photograph of this foot is kept yet')
    await view.press('Front')
    await give(view.element, new File([png], 'front.png'), () => expect(stored).toHaveLength(3))
    expect(stored.at(-1)).toMatchObject({
      ...{ kind: 'front', side: 'LF', visitId: 'visit', name: 'front.png', mmPerPixel: null, marks: {} },
      ...{ width: 1000, height: 800, version: 1 },
    })
    await view.fixture.whenStable()
    expect([...view.element.querySelectorAll('article')].map((group) => group.dataset['kind'])).toEqual([
      'front',
    ])
    expect(view.element.querySelector('img')!.getAttribute('src')).toContain('/thumbnail?version=1')
  })

  it('are of the foot and the kind that were chosen when they were taken', async () => {
    let go = (_answer: unknown): void => undefined
    answers['keep'] = new Promise((resolve) => (go = resolve))
    const view = await show(BenchPhotographs)
    const packing = () => expect(view.text()).toContain('Packing the photograph')
    await give(view.element, new File([png], 'a.png'), packing)
    TestBed.inject(Store).dispatch(benchActions.chooseSide({ side: 'RF' }))
    await view.press('Wear')
    go({ ok: true, file: '/9j/CC==', width: 10, height: 20 })
    await vi.waitFor(() => expect(stored).toHaveLength(1))
    expect(stored[0]).toMatchObject({ side: 'LF', kind: 'sole' })
  })

  it('what is none, and what cannot be kept, is said', async () => {
    const view = await show(BenchPhotographs)
    const says = (words: string) => () =>
      expect(view.element.querySelector('[role=alert]')?.textContent).toContain(words)
    await give(view.element, new File(['a text'], 'text.jpg'), says('no photograph'))
    refuses = true
    await give(view.element, new File([png], 'a.png'), says('went wrong'))
    answers['open'] = { ok: false, problem: 'The photograph is damaged.' }
    await give(view.element, new File([png], 'a.png'), says('damaged'))
    expect(stored).toEqual([])
  })

  it('two of a kind are laid over each other, and then stand alone', async () => {
    stored = [one(), one(), one({ kind: 'front' })]
    const view = await show(BenchPhotographs)
    expect(view.element.querySelectorAll('article')).toHaveLength(2)
    await view.press('Lay over each other')
    expect(view.element.querySelectorAll('article')).toHaveLength(1)
    expect(view.element.querySelector('[data-testid=laid-over]')).not.toBeNull()
    await view.press('Back to all photographs')
    expect(view.element.querySelectorAll('article')).toHaveLength(2)
  })

  it('one that nobody waits for says so where it could not be kept', async () => {
    refuses = true
    const { version: _v, id: _i, visitId: _w, side: _s, ...fresh } = one()
    await TestBed.inject(KeptPictures).putAside(fresh, { visitId: 'visit', side: 'LF' })
    expect(warned).toHaveBeenCalledWith(expect.stringContaining('not kept'))
  })

  it('a tap opens what was tapped', async () => {
    stored = [one()]
    const asked = vi.fn()
    TestBed.inject(Dialogs).ask = asked
    const view = await show(BenchPhotographs)
    view.element.querySelector<HTMLButtonElement>('li button')!.click()
    expect(asked.mock.lastCall![1].data.id).toBe(stored[0]!.id)
  })
})

describe('two photographs laid over each other', () => {
  it('are the first and the newest, fade by the slider, and stand side by side to one scale', async () => {
    const pictures = [
      listed(one({ mmPerPixel: 0.2 }), '2026-08-01'),
      listed(one({ mmPerPixel: 0.2 }), '2026-09-01'),
      listed(one({ mmPerPixel: 0.4 }), '2026-10-01'),
    ]
    const view = await show(PicturesOver, { pictures })
    const images = () => [...view.element.querySelectorAll('image')]
    expect(images().map((image) => image.getAttribute('href'))).toEqual(
      [pictures[0], pictures[2]].map((one) => `/api/pictures/${one!.id}/file?version=1`),
    )
    const fade = view.element.querySelector<HTMLInputElement>('input[type=range]')!
    fade.value = '0.8'
    fade.dispatchEvent(new Event('input'))
    await view.fixture.whenStable()
    expect(images()[1]!.style.opacity).toBe('0.8')
    // Twice as coarse: drawn twice as large.
    expect(images()[1]!.getAttribute('transform')).toMatch(/^matrix\(2 /)
    await view.press('Side by side')
    expect([...view.element.querySelectorAll('figcaption')].map((one) => one.textContent)).toEqual([
      '1 Aug 2026',
      '1 Oct 2026',
    ])
    expect(images()[1]!.getAttribute('transform')).toMatch(/^matrix\(2 /)
    const select = view.element.querySelectorAll('select')[1]!
    select.value = pictures[1]!.id
    select.dispatchEvent(new Event('change'))
    await view.fixture.whenStable()
    expect(view.text()).toContain('1 Sep 2026')
    expect(images()[1]!.getAttribute('transform')).toMatch(/^matrix\(1 /)
  })
})

describe('a photograph that is drawn on', () => {
  const open = (picture: StoredPicture) => {
    stored = [picture]
    data = listed(picture)
    return show(PhotographDialog)
  }
  type View = Awaited<ReturnType<typeof open>>
  /** What the sheet tells when it is tapped. */
  const tap = async ({ fixture }: View, x: number, y: number) => {
    ;(fixture.componentInstance as unknown as { tapped: (at: readonly number[]) => void }).tapped([x, y])
    await fixture.whenStable()
  }
  const type = async (view: View, text: string) => {
    const box = view.element.querySelector<HTMLInputElement>('[data-field=photograph-known]')!
    box.focus()
    box.value = text
    box.dispatchEvent(new Event('input'))
    await view.fixture.whenStable()
  }
  const read = ({ element }: View) =>
    [...element.querySelectorAll('[data-testid=read-off] b')].map((one) => one.textContent)

  it('tells angles at once, lengths with one that is known, and stores lines, scale and kind on Done', async () => {
    const view = await open(one())
    expect(view.text()).toContain('Tap one end: a line.')
    await tap(view, 0, 400)
    expect(view.text()).toContain('Tap the other end')
    await tap(view, 300, 0)
    expect(read(view)).toEqual(['53°'])
    expect(view.text()).toContain('there are angles only')
    // A line that is there takes no more taps.
    await tap(view, 9, 9)
    expect(read(view)).toEqual(['53°'])
    await view.press('A length I know')
    await tap(view, 0, 0)
    await tap(view, 100, 0)
    await type(view, '2"')
    expect(read(view)).toEqual(['53°, 10"'])
    await view.press('Stance')
    await view.press('Done')
    expect(stored[0]).toMatchObject({
      ...{ version: 2, kind: 'stance', file: '/9j/AA==' },
      marks: { a1: [0, 400], a2: [300, 0], s1: [0, 0], s2: [100, 0] },
    })
    expect(stored[0]!.mmPerPixel).toBeCloseTo(0.508, 9)
    expect(closed).toHaveBeenCalled()
  })

  it('a length that cannot be holds up Done and says what can; drawn again, it is tapped anew', async () => {
    const view = await open(one({ mmPerPixel: 0.5, marks: { s1: [0, 0], s2: [100, 0] } }))
    await view.press('A length I know')
    const box = () => view.element.querySelector<HTMLInputElement>('[data-field=photograph-known]')!
    // Half a mm a pixel over a hundred pixels.
    expect(box().value).toBe('1 15/16"')
    await type(view, '200"')
    expect(view.text()).toContain('It measures: from')
    const done = [...view.element.querySelectorAll('button')].find(
      (one) => one.textContent.trim() === 'Done',
    )!
    expect(done.disabled).toBe(true)
    await view.press('Draw it again')
    expect(view.text()).toContain('Tap one end: a length i know.')
  })

  it('where nothing was changed nothing is stored; what could not be stored is said and stays', async () => {
    const view = await open(one())
    await view.press('Done')
    expect(stored[0]!.version).toBe(1)
    expect(closed).toHaveBeenCalledTimes(1)
    await tap(view, 1, 1)
    refuses = true
    await view.press('Done')
    await vi.waitFor(() => expect(view.text()).toContain('went wrong'))
    expect(closed).toHaveBeenCalledTimes(1)
    expect(view.text()).toContain('Tap the other end')
  })

  it('is erased when that was meant, and only then', async () => {
    const view = await open(one())
    sure = false
    await view.press('Erase this picture')
    expect(stored).toHaveLength(1)
    sure = true
    await view.press('Erase this picture')
    await vi.waitFor(() => expect(closed).toHaveBeenCalled())
    expect(stored).toEqual([])
  })
})
