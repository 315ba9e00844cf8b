import { Component } from '@angular/core'
import { TestBed } from '@angular/core/testing'
import { MatDialog } from '@angular/material/dialog'
import { MatSnackBar } from '@angular/material/snack-bar'
import { Subject } from 'rxjs'
import { Dialogs } from './dialogs'

@Component({ template: '' })
class One {}
@Component({ template: '' })
class Other {}

const opened: unknown[] = []
const said: string[] = []
let closed = new Subject<string | undefined>()

beforeEach(() => {
  opened.length = said.length = 0
  closed = new Subject()
  const dialog = {
    openDialogs: [],
    open: (type: unknown) => (opened.push(type), { afterClosed: () => closed }),
  }
  TestBed.configureTestingModule({
    providers: [
      { provide: MatDialog, useValue: dialog },
      { provide: MatSnackBar, useValue: { open: (words: string) => said.push(words) } },
    ],
  })
})
const dialogs = () => TestBed.inject(Dialogs)
const bring = (type: typeof One) => () => Promise.resolve(type)

describe('Dialogs', () => {
  it('answer with what they are closed with', async () => {
    const answer = dialogs().ask<string>(bring(One))
    await vi.waitFor(() => expect(opened).toEqual([One]))
    closed.next('yes')
    expect(await answer).toBe('yes')
  })

  it('open once where somebody taps twice, and are in the way of keys meanwhile', async () => {
    void dialogs().ask(bring(One))
    expect(dialogs().open).toBe(true)
    expect(await dialogs().ask(bring(One))).toBeUndefined()
    await vi.waitFor(() => expect(opened).toEqual([One]))
  })

  it('let what must be answered wait for what is coming, not fall out', async () => {
    void dialogs().ask(bring(One))
    void dialogs().insist(bring(Other))
    await vi.waitFor(() => expect(opened).toEqual([One, Other]))
  })

  it('say so where they cannot be fetched, and can be tried again', async () => {
    vi.spyOn(console, 'error').mockImplementation(() => undefined)
    expect(await dialogs().ask(() => Promise.reject(new Error('offline')))).toBeUndefined()
    await vi.waitFor(() => expect(said[0]).toContain('could not be loaded'))
    expect(dialogs().open).toBe(false)
    void dialogs().ask(bring(One))
    await vi.waitFor(() => expect(opened).toEqual([One]))
  })
})
