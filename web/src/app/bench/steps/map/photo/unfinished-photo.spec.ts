import { signal } from '@angular/core'
import { TestBed } from '@angular/core/testing'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { KeptPictures, type KeptFoot } from '../pictures/kept-pictures'
import { PhotoComingIn, type MarkedPhoto } from './photo-coming-in'
import { PhotoShelf, type ShelvedPhoto } from './photo-shelf'
import { UnfinishedPhoto } from './unfinished-photo'

const NOTHING: MarkedPhoto = {
  ...{ by: 'square', height: 0, known: undefined },
  ...{ taps: {}, sole: {}, drawn: [] },
}
const TAPPED: MarkedPhoto = { ...NOTHING, taps: { toe: [3, 4] } }
const FOOT: KeptFoot = { visitId: 'a visit', side: 'LF' }
const one = new File(['one'], 'one.jpg')

const file = signal<File | undefined>(undefined)
const marked = signal(NOTHING)
const object = signal<'foot' | 'shoe'>('foot')
const foot = signal<KeptFoot | undefined>(FOOT)
const resume = vi.fn()
/** What lies in the browser. */
let lying: Map<string, ShelvedPhoto>
const shelf = {
  read: (of: string) => Promise.resolve(lying.get(of)),
  put: vi.fn((of: string, photo: ShelvedPhoto) => Promise.resolve(lying.set(of, photo))),
  mark: vi.fn((of: string, now: MarkedPhoto) =>
    Promise.resolve(lying.set(of, { ...lying.get(of)!, marked: now })),
  ),
  clear: (of: string) => Promise.resolve(lying.delete(of)),
}
let unfinished: UnfinishedPhoto
const rested = () => {
  TestBed.tick()
  vi.advanceTimersByTime(1000)
}

beforeEach(() => {
  vi.useFakeTimers()
  lying = new Map()
  ;[shelf.put, shelf.mark, resume].forEach((each) => each.mockClear())
  file.set(undefined)
  marked.set(NOTHING)
  object.set('foot')
  foot.set(FOOT)
  TestBed.configureTestingModule({
    providers: [
      UnfinishedPhoto,
      { provide: PhotoComingIn, useValue: { file, marked, object, resume } },
      { provide: PhotoShelf, useValue: shelf },
      { provide: KeptPictures, useValue: { foot } },
    ],
  })
  unfinished = TestBed.inject(UnfinishedPhoto)
})
afterEach(() => vi.useRealTimers())

describe('a photograph that is not finished', () => {
  it('is put away once, then only what is marked on it, when the hand rests', () => {
    file.set(one)
    rested()
    expect(lying.get('foot')).toMatchObject({ file: one, marked: NOTHING, foot: FOOT })
    marked.set({ ...TAPPED, height: 1 })
    TestBed.tick()
    marked.set(TAPPED)
    rested()
    expect(shelf.mark).toHaveBeenCalledTimes(1)
    expect(shelf.put).toHaveBeenCalledTimes(1)
    expect(lying.get('foot')!.marked).toEqual(TAPPED)
  })

  it('is offered for its own foot of its own visit, and gone on with as it was left', async () => {
    lying.set('foot', { file: one, marked: TAPPED, foot: FOOT, at: 0 })
    for (const other of [{ ...FOOT, side: 'RF' as const }, { ...FOOT, visitId: 'another' }, undefined]) {
      foot.set(other)
      await unfinished.look()
      expect(unfinished.offered()).toBeUndefined()
    }
    foot.set({ ...FOOT })
    await unfinished.look()
    expect(unfinished.offered()).toMatchObject({ file: one })
    await unfinished.goOn()
    expect(resume).toHaveBeenCalledWith(one, TAPPED)
    // It lies there already: what is done to it from now on is marked, it is not put away anew.
    file.set(one)
    rested()
    expect(shelf.put).not.toHaveBeenCalled()
    expect(unfinished.offered()).toBeUndefined()
  })

  it('gives way to another photograph, is thrown away when asked, and none of a shoe is one of a sole', async () => {
    lying.set('foot', { file: one, marked: TAPPED, foot: FOOT, at: 0 })
    object.set('shoe')
    await unfinished.look()
    expect(unfinished.offered()).toBeUndefined()
    object.set('foot')
    await unfinished.look()
    const other = new File(['other'], 'other.jpg')
    file.set(other)
    rested()
    expect(unfinished.offered()).toBeUndefined()
    expect(lying.get('foot')).toMatchObject({ file: other, marked: NOTHING })
    await unfinished.throwAway()
    rested()
    expect(lying.size).toBe(0)
  })
})
