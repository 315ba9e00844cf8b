import { ApplicationRef, computed, DestroyRef, inject, Injectable, signal } from '@angular/core'
import { footInput, type Drafts } from '../../state/bench/draft'
import { SIDES, planShoe, type FootWork, type Plan, type Section, type Side } from '@crescent/core'
import { Store } from '@ngrx/store'
import { Tells } from '../../common/tells'
import { FigureText } from '../../drawing/figure-text'
import { benchFeature, selectSeen } from '../../state/bench/bench.feature'
import { tryPlan } from '../../state/bench/planning'
import { workshopFor } from '../../state/bench/workshop-for'
import { Desk } from '../desk'
import { Files } from '../steps/iron/files'

/** What is printed of one foot: its shoe where it can be made, and what is done to it. */
export interface Sheet {
  side: Side
  plan: Plan | undefined
  section: Section
  work: FootWork | undefined
}

/** What goes to paper: the foot on the bench, or all four in one go. Drawn only while the browser prints. */
@Injectable()
export class Printing {
  private readonly store = inject(Store)
  private readonly application = inject(ApplicationRef)
  private readonly drafts = this.store.selectSignal(benchFeature.selectDrafts)
  private readonly side = this.store.selectSignal(benchFeature.selectSide)
  private readonly work = this.store.selectSignal(benchFeature.selectWork)
  private readonly page = this.store.selectSignal(benchFeature.selectPage)
  private readonly desk = inject(Desk)
  private readonly files = inject(Files)
  private readonly tells = inject(Tells)
  private readonly text = inject(FigureText)
  private readonly seen = this.store.selectSignal(selectSeen)
  /** A drag need not draw the sheets along. */
  private readonly onPaper = signal(false)
  /** The file at true size is being made. */
  readonly making = signal(false)
  private readonly all = signal(false)

  readonly sheets = computed((): Sheet[] => {
    const drafts = this.drafts()
    if (!this.onPaper() || !drafts) return []
    if (!this.all()) return [this.sheetOf(drafts, this.side())]
    return SIDES.filter((side) => this.concerned(drafts, side)).map((side) => this.sheetOf(drafts, side))
  })
  readonly printing = this.onPaper.asReadonly()

  constructor() {
    const paper = matchMedia('print')
    const follow = () => {
      this.onPaper.set(paper.matches)
      if (!paper.matches) this.all.set(false)
      // The browser takes its picture as soon as this returns.
      this.application.tick()
    }
    // Before the browser counts pages: what is drawn later is cut off after the first one.
    const before = () => this.draw(true)
    const after = () => this.draw(false)
    paper.addEventListener('change', follow)
    window.addEventListener('beforeprint', before)
    window.addEventListener('afterprint', after)
    inject(DestroyRef).onDestroy(() => {
      paper.removeEventListener('change', follow)
      window.removeEventListener('beforeprint', before)
      window.removeEventListener('afterprint', after)
    })
  }

  private draw(onPaper: boolean): void {
    this.onPaper.set(onPaper)
    if (!onPaper) this.all.set(false)
    this.application.tick()
  }

  /** The page as it stands, not to scale. */
  print(all: boolean): void {
    this.all.set(all)
    window.print()
  }

  /**
   * The shoe at true size, as a PDF of the server: no browser prints a page to scale for certain. It is printed from there at
   * 100 %.
   */
  async trueSize(): Promise<void> {
    const asked = this.desk.asked()
    if (!asked || this.making()) return
    this.making.set(true)
    const { unit, denominator } = this.text.style()
    const more = { kind: 'sole', format: 'pdf', paper: unit === 'in' ? 'letter' : 'a4' }
    const wrong = await this.files.save('/api/templates', {
      ...{ ...asked, ...more, mirror: 'false', unit, parts: String(denominator) },
    })
    this.making.set(false)
    if (wrong) void this.tells.warn(wrong)
    else void this.tells.done('Saved as PDF: print it at 100 %, and lay a rule on its line.')
  }

  /** Something is known of the foot, or done to it. */
  private concerned(drafts: Drafts, side: Side): boolean {
    return Object.keys(drafts[side].foot.figures).length > 0 || this.work()[side] !== undefined
  }

  private sheetOf(drafts: Drafts, side: Side): Sheet {
    const { foot, shoe } = drafts[side]
    // What could not be read as a figure is no figure: nothing is printed past it.
    const readable = Object.keys(foot.entries).length === 0
    const make = () =>
      planShoe(footInput(side, foot, this.seen()[side]), shoe, workshopFor(this.page(), shoe))
    const plan = readable ? tryPlan(make).plan : undefined
    return { side, plan, section: shoe.section, work: this.work()[side] }
  }
}
