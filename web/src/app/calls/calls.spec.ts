import { HttpErrorResponse } from '@angular/common/http'
import { TestBed } from '@angular/core/testing'
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog'
import { provideRouter } from '@angular/router'
import type { PromisedCall, RoundCall } from '@crescent/core'
import { of, throwError } from 'rxjs'
import { Dialogs } from '../common/dialogs'
import { RoundCalls } from '../round/round-calls'
import { Api } from '../state/api'
import { show, STORE } from '../testing/samples'
import { CallDialog } from './call-dialog'
import { CalledDialog } from './called-dialog'
import { HorseCalls } from './horse-calls'

const promised = (id: string, changes: Partial<PromisedCall> = {}): PromisedCall => ({
  ...{ id, version: 1, horseId: 'horse', date: '2026-03-02', whom: '', phone: '', about: `About ${id}` },
  ...{ done: null, said: '', archived: false },
  ...changes,
})
const api = { calls: vi.fn(), call: vi.fn(), putCall: vi.fn() }
const dialogs = { ask: vi.fn() }
const close = vi.fn()
let data: object = {}

beforeEach(() => {
  vi.clearAllMocks()
  api.putCall.mockImplementation((call: PromisedCall) => of({ ...call, version: call.version + 1 }))
  TestBed.configureTestingModule({
    providers: [
      ...STORE,
      provideRouter([]),
      { provide: Api, useValue: api },
      { provide: Dialogs, useValue: dialogs },
      { provide: MatDialogRef, useValue: { close } },
      { provide: MAT_DIALOG_DATA, useFactory: () => data },
    ],
  })
})

const INPUTS = {
  ...{ horseId: 'horse', horse: 'Tansy', owner: 'Märta Lind', ownerPhone: '0123 456', day: '2026-03-04' },
}

describe('calls of a horse', () => {
  it('that wait stand by their day with whom to call; made and taken back ones do not', async () => {
    api.calls.mockReturnValue(
      of([
        promised('late'),
        promised('vet', { date: '2026-03-06', whom: 'Dr Saltmarsh' }),
        promised('made', { done: '2026-03-01', said: 'All well' }),
        promised('dropped', { archived: true }),
      ]),
    )
    const { element, text } = await show(HorseCalls, INPUTS)
    await vi.waitFor(() => expect(text()).toContain('About late'))
    const waiting = [...element.querySelectorAll('ul')[0]!.children].map((one) => one.textContent)
    expect(waiting).toHaveLength(2)
    expect(waiting[0]).toContain('2 days overdue')
    expect(waiting[0]).toContain('Märta Lind, 0123 456')
    // The owner’s number is not the vet’s.
    expect(waiting[1]).toContain('Dr Saltmarsh')
    expect(waiting[1]).not.toContain('0123')
    expect(text()).not.toContain('dropped')
    expect(text()).toContain('All well')
  })

  it('promised it is kept for this horse and read again; thought better of, nothing is', async () => {
    api.calls.mockReturnValue(of([]))
    const { press, text } = await show(HorseCalls, INPUTS)
    await vi.waitFor(() => expect(text()).toContain('No call is promised'))
    dialogs.ask.mockResolvedValueOnce(undefined)
    await press('Promise a call')
    expect(api.putCall).not.toHaveBeenCalled()
    dialogs.ask.mockResolvedValueOnce({ date: '2026-03-09', whom: '', phone: '', about: 'Sore?' })
    api.calls.mockReturnValue(of([promised('new', { about: 'Sore?' })]))
    await press('Promise a call')
    await vi.waitFor(() => expect(text()).toContain('Sore?'))
    expect(api.putCall.mock.calls[0]![0]).toMatchObject({ horseId: 'horse', version: 0, date: '2026-03-09' })
  })

  it('that could not be kept is asked again with what was typed', async () => {
    api.calls.mockReturnValue(of([]))
    const { press, text } = await show(HorseCalls, INPUTS)
    await vi.waitFor(() => expect(text()).toContain('No call is promised'))
    const typed = { date: '2026-03-09', whom: '', phone: '', about: 'Sore?' }
    api.putCall.mockReturnValueOnce(throwError(() => new HttpErrorResponse({ status: 0 })))
    dialogs.ask.mockResolvedValueOnce(typed).mockResolvedValueOnce(typed)
    await press('Promise a call')
    await vi.waitFor(() => expect(api.putCall).toHaveBeenCalledTimes(2))
    expect(dialogs.ask.mock.calls[1]![1].data.before).toEqual(typed)
    // The same call: what did arrive after all is not promised twice.
    const [first, second] = api.putCall.mock.calls.map(([call]) => (call as PromisedCall).id)
    expect(second).toBe(first)
  })

  it('made, put off and taken back are kept as such; what was changed elsewhere is read anew', async () => {
    api.calls.mockReturnValue(of([promised('one')]))
    const { press, text } = await show(HorseCalls, INPUTS)
    await vi.waitFor(() => expect(text()).toContain('About one'))
    for (const act of [
      { act: 'made', on: '2026-03-04', said: 'Sound' },
      { act: 'move', to: '2026-03-08' },
      { act: 'drop' },
    ]) {
      dialogs.ask.mockResolvedValueOnce(act)
      await press('Called')
      await vi.waitFor(() => expect(api.putCall).toHaveBeenCalled())
    }
    const kept = api.putCall.mock.calls.map(([call]) => call as PromisedCall)
    expect(kept.map(({ done, date, archived }) => [done, date, archived])).toEqual([
      ['2026-03-04', '2026-03-02', false],
      [null, '2026-03-08', false],
      [null, '2026-03-02', true],
    ])
    const current = promised('one', { version: 9, about: 'Changed elsewhere' })
    api.putCall.mockReturnValueOnce(
      throwError(() => new HttpErrorResponse({ status: 409, error: { current } })),
    )
    api.calls.mockReturnValue(of([current]))
    // Asked once more, it is put off as it is by now; what the other window wrote stays.
    dialogs.ask.mockResolvedValueOnce({ act: 'move', to: '2026-03-09' }).mockResolvedValueOnce({
      ...{ act: 'move', to: '2026-03-09' },
    })
    await press('Called')
    await vi.waitFor(() => expect(text()).toContain('Changed elsewhere'))
    expect(api.putCall.mock.lastCall![0]).toMatchObject({
      ...{ version: 9, date: '2026-03-09', about: 'Changed elsewhere' },
    })
  })
})

describe('dialogs of a call', () => {
  it('ask what it is about, and hand on what was typed without its edges', async () => {
    data = { horse: 'Tansy', owner: 'Märta Lind', day: '2026-03-04' }
    const { element, fixture, press, text } = await show(CallDialog)
    await press('Promise it')
    expect(text()).toContain('what is the call about?')
    expect(close).not.toHaveBeenCalled()
    const box = element.querySelector<HTMLInputElement>('input.typed')!
    box.value = ' Sore after the reset? '
    box.dispatchEvent(new Event('input'))
    await fixture.whenStable()
    await press('Promise it')
    expect(close).toHaveBeenCalledWith({
      ...{ date: '2026-03-04', whom: '', phone: '', about: 'Sore after the reset?' },
    })
  })

  it('a call is made today, or not put off to the day it has', async () => {
    data = { call: promised('one', { date: '2026-03-04' }), day: '2026-03-04' }
    const { element, press } = await show(CalledDialog)
    const off = [...element.querySelectorAll('button')].find((one) => one.textContent.includes('Put it off'))!
    expect(off.disabled).toBe(true)
    await press('Called')
    expect(close).toHaveBeenCalledWith({ act: 'made', on: '2026-03-04', said: '' })
  })
})

it('on the round late calls stand apart, and what became of one is asked for it alone', async () => {
  const on = (id: string, date: string): RoundCall => ({
    ...{ id, horseId: 'horse', horse: 'Tansy', place: 'Eel Bay', date, whom: 'Märta Lind', phone: '' },
    ...{ about: `About ${id}`, changed: '' },
  })
  api.call.mockReturnValue(of(promised('late')))
  dialogs.ask.mockResolvedValue({ act: 'made', on: '2026-03-04', said: '' })
  const calls = [on('late', '2026-03-02'), on('soon', '2026-03-06')]
  const { element, fixture } = await show(RoundCalls, { calls, day: '2026-03-04' })
  expect(element.querySelectorAll('.late')).toHaveLength(1)
  const changed = vi.fn()
  fixture.componentInstance.changed.subscribe(changed)
  element.querySelector('button')!.click()
  await vi.waitFor(() => expect(changed).toHaveBeenCalled())
  expect(api.call).toHaveBeenCalledWith('late')
  expect(api.putCall.mock.calls[0]![0]).toMatchObject({ id: 'late', done: '2026-03-04' })
})
