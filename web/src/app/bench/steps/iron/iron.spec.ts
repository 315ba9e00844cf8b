import { HttpErrorResponse } from '@angular/common/http'
import { TestBed } from '@angular/core/testing'
import { learnedCuts, type Job } from '@crescent/core'
import { Store } from '@ngrx/store'
import { of, throwError } from 'rxjs'
import { Api } from '../../../state/api'
import { benchActions, benchFeature } from '../../../state/bench/bench.feature'
import { settingsActions } from '../../../state/settings/settings.feature'
import { PAGE, show, STORE } from '../../../testing/samples'
import { Desk } from '../../desk'
import { CardView } from './card-view'
import { Files } from './files'
import { Forging } from './forging'
import { HeatsView } from './heats-view'
import { IronPanel } from './iron-panel'
import { LogCut } from './log-cut'

let jobs: Job[]
let saved: { url: string; asked: object }[]
let putJob: (job: Job) => unknown
const plan = () => TestBed.inject(Store).selectSignal(benchFeature.selectPlanning)().plan!

beforeEach(() => {
  localStorage.clear()
  jobs = []
  saved = []
  putJob = (job) => {
    jobs.push(job)
    return of({ ...job, version: 1 })
  }
  const api = {
    putJob: (job: Job) => putJob(job),
    learned: () => of(learnedCuts(jobs)),
    jobs: () => of(jobs.map((job) => ({ ...job, horse: 'Tansy', date: '2026-11-02' }))),
    workshop: () => of(PAGE.workshop),
    putWorkshop: (workshop: object) => of(workshop),
  }
  const files = {
    save: (url: string, asked: object) => {
      saved.push({ url, asked })
      return Promise.resolve(undefined)
    },
  }
  TestBed.configureTestingModule({
    providers: [
      ...STORE,
      ...[Desk, Forging],
      { provide: Api, useValue: api },
      { provide: Files, useValue: files },
    ],
  })
  const store = TestBed.inject(Store)
  store.dispatch(settingsActions.change({ changes: { unit: 'in', denominator: 16 } }))
  store.dispatch(benchActions.opened({ page: PAGE, kept: {} }))
  store.dispatch(benchActions.copyLast())
})

describe('HeatsView', () => {
  it('goes step by step to the finished shoe, with what to lay the rule on', async () => {
    const view = await show(HeatsView)
    const count = plan().iron.heats.length
    expect(view.text()).toContain(`Step 1 of ${count}, mark`)
    expect(view.text()).toContain('The whole bar')
    for (let i = 1; i < count; i++) await view.press('Next step')
    expect(view.text()).toContain('Across the heels, outside')
    await view.press('All done: try it on')
    expect(TestBed.inject(Desk).wanted()).toBe('try')
    await view.press('Back')
    expect(view.text()).toContain(`Step ${count - 1} of ${count}`)
  })

  it('counts heats for each foot, and keeps both when it is looked at anew', async () => {
    const view = await show(HeatsView)
    await view.press('One heat more')
    await view.press('One heat more')
    await view.press('Next step')
    expect(view.text()).toContain('2 heats')
    TestBed.inject(Store).dispatch(benchActions.chooseSide({ side: 'RF' }))
    expect(TestBed.inject(Forging).heatsTaken()).toBe(0)
    TestBed.inject(Store).dispatch(benchActions.chooseSide({ side: 'LF' }))
    const again = await show(HeatsView)
    expect(again.text()).toContain('2 heats')
    expect(again.text()).toContain('Step 2 of')
  })
})

describe('CardView', () => {
  it('holds the whole work, and asks for the card on the paper that was tapped', async () => {
    const view = await show(CardView)
    const lines = view.element.querySelectorAll('[data-testid=card-work] > li')
    expect(lines).toHaveLength(plan().iron.heats.length)
    await view.press('Card on US Letter')
    expect(saved[0]!.url).toBe('/api/cards')
    expect(saved[0]!.asked).toMatchObject({
      paper: 'letter',
      unit: 'in',
      parts: '16',
      title: PAGE.horse.name,
    })
  })
})

describe('IronPanel', () => {
  it('chalks the three figures, and offers the pieces this shoe has', async () => {
    const panel = await show(IronPanel)
    const chalk = panel.element.querySelectorAll('[data-testid=chalk] li')
    expect(chalk).toHaveLength(3)
    expect(panel.text()).toContain('Bar with its marks')
    expect(panel.text()).not.toContain('Frog plate')
    await panel.press('DXF')
    await panel.press('Shoe, foot side')
    expect(saved[0]).toMatchObject({
      url: '/api/templates',
      asked: { kind: 'foot', format: 'dxf', mirror: 'false' },
    })
    await panel.press('3MF')
    expect(saved[1]).toMatchObject({ url: '/api/solids', asked: { format: '3mf' } })
  })
})

describe('LogCut', () => {
  it('logs the job, the next cut follows, and a failure keeps it to be sent again', async () => {
    const panel = await show(LogCut)
    const before = plan().iron.cutLength
    expect(panel.text()).toContain('No job of this bar and style is logged yet')
    putJob = () => throwError(() => new HttpErrorResponse({ status: 0 }))
    await panel.press('Log it')
    await panel.fixture.whenStable()
    expect(panel.text()).toContain('The server does not answer')
    putJob = (job) => {
      // Longer by a tenth than was planned.
      jobs.push({ ...job, used: job.used * 1.1 })
      return of({ ...job, version: 1 })
    }
    await panel.press('Log it')
    await panel.fixture.whenStable()
    expect(jobs[0]!.predicted).toBeCloseTo(before, 6)
    expect(plan().iron.cutLength).toBeGreaterThan(before * 1.03)
    expect(panel.text()).toContain('From one job')
  })

  it('names the job that is too far off to be learned from', async () => {
    const panel = await show(LogCut)
    let i = 0
    putJob = (job) => {
      // Four as planned, and one of twice the bar.
      const used = i++ === 2 ? job.predicted * 2 : job.predicted
      jobs.push({ ...job, id: `job ${i}`, used, left: 0 })
      return of({ ...job, version: 1 })
    }
    for (let n = 0; n < 5; n++) {
      await panel.press('Log it')
      await panel.fixture.whenStable()
    }
    const odd = panel.element.querySelectorAll('[data-testid=odd] li')
    expect(odd).toHaveLength(1)
    expect(odd[0]!.textContent).toMatch(/Tansy LF, 2 Nov 2026: cut 2\d/)
    expect(panel.text()).toContain('From 4 jobs')
    // The four agree to the hair; no rule does.
    expect(panel.text()).toContain('nine lie within 1/16" of it')
  })
})
