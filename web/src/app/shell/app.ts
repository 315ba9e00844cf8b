import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core'
import { MatIconButton } from '@angular/material/button'
import { MatIcon } from '@angular/material/icon'
import { RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router'
import { Store } from '@ngrx/store'
import { Dialogs } from '../common/dialogs'
import { FocusKept } from '../common/focus-kept'
import { Tip } from '../common/tip'
import { Help } from '../help/help'
import { settingsActions, settingsFeature } from '../state/settings/settings.feature'
import { DemoBar } from './demo-bar'

/** The frame round every place: where to go, inches or millimetres, settings, help. */
@Component({
  selector: 'cr-root',
  imports: [DemoBar, MatIcon, MatIconButton, RouterLink, RouterLinkActive, RouterOutlet, Tip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <a class="skip" href="#main" (click)="skip($event)">Skip to the work</a>
    <header class="no-print">
      <a class="mark" routerLink="/round" aria-label="Crescent">
        <svg viewBox="0 0 32 32" aria-hidden="true">
          <path d="M9.2 27C5.2 19 5.600 5.500 16 5.500S26.800 19 22.800 27" />
          <circle cx="16" cy="5.500" r="1.500" />
        </svg>
        <span>Crescent</span>
      </a>
      <nav aria-label="Places">
        @for (place of places; track place.path) {
          <a [routerLink]="place.path" routerLinkActive="here" ariaCurrentWhenActive="page">
            <mat-icon [svgIcon]="place.icon" aria-hidden="true" />{{ place.name }}
          </a>
        }
      </nav>
      <span class="gap"></span>
      <button
        type="button"
        class="unit"
        [attr.aria-label]="unitLabel()"
        crTip="Inches or millimetres"
        (click)="swapUnit()"
      >
        <span [class.on]="unit() === 'in'">in</span><span [class.on]="unit() === 'mm'">mm</span>
      </button>
      <button
        mat-icon-button
        aria-label="Workshop and settings"
        crTip="Workshop and settings"
        (click)="openSettings()"
      >
        <mat-icon svgIcon="settings" />
      </button>
      <button mat-icon-button aria-label="Help" crTip="Help (?)" (click)="openHelp()">
        <mat-icon svgIcon="help" />
      </button>
    </header>
    <cr-demo-bar />
    <main id="main" tabindex="-1"><router-outlet /></main>
  `,
  styleUrl: './app.scss',
  host: { '(document:keydown)': 'shortcut($event)' },
})
export class App {
  private readonly store = inject(Store)
  private readonly dialogs = inject(Dialogs)
  private readonly help = inject(Help)
  protected readonly unit = this.store.selectSignal(settingsFeature.selectUnit)
  protected readonly unitLabel = computed(() =>
    this.unit() === 'in'
      ? 'Lengths in inches; change to millimetres'
      : 'Lengths in millimetres; change to inches',
  )
  protected readonly places = [
    { path: '/round', name: 'Round', icon: 'round' },
    { path: '/stable', name: 'Stable', icon: 'stable' },
    { path: '/bench', name: 'Bench', icon: 'bench' },
    { path: '/rack', name: 'Rack', icon: 'rack' },
  ]

  constructor() {
    inject(FocusKept).watch()
  }

  protected swapUnit(): void {
    this.store.dispatch(settingsActions.change({ changes: { unit: this.unit() === 'in' ? 'mm' : 'in' } }))
  }

  protected async openSettings(): Promise<void> {
    await this.dialogs.ask(() => import('./settings-dialog').then((m) => m.SettingsDialog), {
      width: '560px',
    })
  }

  /** Help with what the farrier is at. */
  protected openHelp = (): void => void this.help.open(this.help.here())

  /** The address must not change: only the focus moves on. */
  protected skip(event: Event): void {
    event.preventDefault()
    document.getElementById('main')?.focus()
  }

  protected shortcut(event: KeyboardEvent): void {
    const typing = (event.target as Element).closest('input, textarea, select, [role=combobox]')
    if (typing || event.ctrlKey || event.metaKey || event.altKey || this.dialogs.open) return
    if (event.key === '?') this.openHelp()
    if (event.key === 'u') this.swapUnit()
  }
}
