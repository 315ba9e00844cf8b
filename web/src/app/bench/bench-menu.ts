import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  viewChild,
} from '@angular/core'
import { OverlayContainer } from '@angular/cdk/overlay'
import { MatIconButton } from '@angular/material/button'
import { MatIcon } from '@angular/material/icon'
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu'
import { OPPOSITE } from '@crescent/core'
import { Store } from '@ngrx/store'
import { benchActions } from '../state/bench/bench.feature'
import { FigureText } from '../drawing/figure-text'
import { Desk } from './desk'
import { ShoeAgain } from './keep/again/shoe-again'
import { Keeping } from './keep/keeping'
import { SavingAll } from './keep/saving-all'
import { Printing } from './print/printing'

/** What else can be done with this foot. Fetched when it is first wanted, so it opens itself. */
@Component({
  selector: 'cr-bench-menu',
  imports: [MatIcon, MatIconButton, MatMenu, MatMenuItem, MatMenuTrigger],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button mat-icon-button aria-label="More for this foot" [matMenuTriggerFor]="more">
      <mat-icon svgIcon="more" />
    </button>
    <mat-menu #more="matMenu">
      <button mat-menu-item [disabled]="!desk.plan() || desk.stale()" (click)="printing.trueSize()">
        <mat-icon svgIcon="print" />Print at true size
      </button>
      <button mat-menu-item [disabled]="!desk.plan() || desk.stale()" (click)="printing.print(false)">
        <mat-icon svgIcon="print" />Print this foot, not to scale
      </button>
      <button mat-menu-item (click)="printing.print(true)">
        <mat-icon svgIcon="print" />Print all feet, not to scale
      </button>
      @for (sheet of sheets(); track sheet.label) {
        <a mat-menu-item [href]="sheet.url" download><mat-icon svgIcon="download" />{{ sheet.label }}</a>
      }
      @if (patternFile(); as url) {
        <a mat-menu-item [href]="url" download><mat-icon svgIcon="download" />Pattern as a file</a>
      }
      <button mat-menu-item (click)="again()"><mat-icon svgIcon="copy" />All four as last time</button>
      <button mat-menu-item [disabled]="all.sides().length === 0" (click)="all.ask()">
        <mat-icon svgIcon="save" />Save all feet
      </button>
      <button mat-menu-item (click)="keeping.load()"><mat-icon svgIcon="folder" />Load a pattern</button>
      <button mat-menu-item [disabled]="!desk.previous()" (click)="desk.copyLast()">
        <mat-icon svgIcon="copy" />Copy last visit
      </button>
      <button mat-menu-item [disabled]="!desk.canMirror()" (click)="mirror()">
        <mat-icon svgIcon="mirror" />Mirror from {{ other() }}{{ desk.canMirror() ? '' : ': not measured' }}
      </button>
      <button mat-menu-item [disabled]="!desk.draft()?.dirty" (click)="discard()">
        <mat-icon svgIcon="reset" />Back to what is saved
      </button>
    </mat-menu>
  `,
  host: { class: 'through' },
})
export class BenchMenu {
  private readonly store = inject(Store)
  protected readonly desk = inject(Desk)
  protected readonly keeping = inject(Keeping)
  protected readonly all = inject(SavingAll)
  private readonly shoeAgain = inject(ShoeAgain)
  protected readonly printing = inject(Printing)
  protected readonly other = computed(() => OPPOSITE[this.desk.side()])
  private readonly text = inject(FigureText)
  /** What goes on paper of the whole visit, as it is stored. */
  protected readonly sheets = computed(() => {
    const visit = this.desk.page()?.visit.id
    if (visit === undefined) return []
    const { unit, denominator } = this.text.style()
    const asked = `unit=${unit}&parts=${denominator}`
    return [
      { label: 'Forge cards of all shoes', url: `/api/visits/${visit}/cards?${asked}` },
      { label: 'Cut and chalk, a pair on a sheet', url: `/api/visits/${visit}/cards?per=pair&${asked}` },
      { label: 'Cut and chalk, all on one sheet', url: `/api/visits/${visit}/cards?per=horse&${asked}` },
      { label: 'Sheet for the owner', url: `/api/visits/${visit}/sheet?for=owner&${asked}` },
      { label: 'Sheet for the vet', url: `/api/visits/${visit}/sheet?for=vet&${asked}` },
    ]
  })
  /** The pattern this work began from, as it is stored: to send to somebody else. */
  protected readonly patternFile = computed(() => {
    const pattern = this.desk.draft()?.base.pattern
    return pattern && pattern.version > 0 ? `/api/patterns/${pattern.id}/file` : undefined
  })
  private readonly trigger = viewChild.required(MatMenuTrigger)

  constructor() {
    // What lies over the page is a part of it by name.
    const over = inject(OverlayContainer).getContainerElement()
    over.setAttribute('role', 'region')
    over.setAttribute('aria-label', 'Over the page')
    afterNextRender(() => this.trigger().openMenu())
  }

  protected again(): void {
    const { horse, visit } = this.desk.page()!
    this.shoeAgain.ask(horse, visit.date)
  }
  protected mirror = (): void => this.store.dispatch(benchActions.mirror())
  protected discard = (): void => this.store.dispatch(benchActions.discard())
}
