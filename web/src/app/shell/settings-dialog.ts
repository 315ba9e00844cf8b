import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle'
import {
  MatDialog,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogTitle,
} from '@angular/material/dialog'
import { MatIcon } from '@angular/material/icon'
import { MatSlider, MatSliderThumb } from '@angular/material/slider'
import { USUAL_WORKSHOP, WORKSHOP_FIGURES, type Workshop, type WorkshopRecord } from '@crescent/core'
import { Store } from '@ngrx/store'
import { filter, finalize, type Subscription, switchMap } from 'rxjs'
import { FigureField } from '../bench/figure-field'
import { FigureText } from '../drawing/figure-text'
import { Api, conflictOf, failureText } from '../state/api'
import { benchActions } from '../state/bench/bench.feature'
import { ask } from '../common/ask-dialog'
import { lossesText } from './losses-text'
import { PicturesKept } from './pictures-kept'
import { OpenPractice } from './practice'
import { SignedInList } from './signed-in'
import { settingsActions, settingsFeature, type Settings } from '../state/settings/settings.feature'
import { HelpButton } from '../help/help-button'

/** Width of a bank card in mm (ISO/IEC 7810 ID-1): what most people have at hand to measure a screen with. */
const CARD_WIDTH = 85.6

/** How this browser reads, how this workshop works, and where the data goes. */
@Component({
  selector: 'cr-settings-dialog',
  imports: [
    FigureField,
    HelpButton,
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatIcon,
    MatSlider,
    MatSliderThumb,
    PicturesKept,
    SignedInList,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './settings-dialog.html',
  styles: `
    h3 {
      margin: 18px 0 6px;
      font-size: 1rem;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 10px;
      align-items: center;
      justify-content: space-between;
      margin-bottom: 8px;
    }
    .card {
      display: grid;
      place-items: end start;
      padding: 8px;
      color: var(--ink-soft);
      font-size: 0.85rem;
      background: var(--paper);
      border: 1.5px solid var(--rule-strong);
      border-radius: 10px;
    }
    mat-slider {
      width: 100%;
    }
    .said {
      margin-top: 10px;
      padding: 8px 12px;
      background: var(--sheet-sunk);
      border-left: 4px solid var(--good);
    }
    .said.bad {
      border-color: var(--stop);
    }
  `,
})
export class SettingsDialog {
  private readonly store = inject(Store)
  private readonly api = inject(Api)
  private readonly dialog = inject(MatDialog)
  protected readonly practice = inject(OpenPractice)
  protected readonly text = inject(FigureText)
  protected readonly settings = this.store.selectSignal(settingsFeature.selectSettingsState)
  protected readonly figures = WORKSHOP_FIGURES
  protected readonly usual = USUAL_WORKSHOP
  private readonly stored = signal<WorkshopRecord | undefined>(undefined)
  protected readonly values = signal<Partial<Workshop>>({})
  protected readonly entries = signal<Record<string, string>>({})
  /** How much of a library has been brought in, 0 to 1, while one is. */
  protected readonly sending = signal<number | undefined>(undefined)
  private importing: Subscription | undefined
  protected readonly said = signal<{ text: string; bad: boolean } | undefined>(undefined)
  /** The server has all of it, and is not through with it. */
  protected readonly allSent = computed(() => this.sending() === 1)
  protected readonly percent = computed(() => Math.round((this.sending() ?? 0) * 100))
  protected readonly card = computed(() => CARD_WIDTH * this.settings().pixelsPerMm)
  protected readonly cardHeight = computed(() => 53.98 * this.settings().pixelsPerMm)

  constructor() {
    this.api.workshop().subscribe({
      next: (record) => this.read(record),
      error: (error: unknown) => this.said.set({ text: failureText(error), bad: true }),
    })
  }

  protected change = (changes: Partial<Settings>): void =>
    this.store.dispatch(settingsActions.change({ changes }))

  protected set(key: (typeof WORKSHOP_FIGURES)[number]['key'], value: number | undefined): void {
    this.values.update(({ [key]: _old, ...rest }) => (value === undefined ? rest : { ...rest, [key]: value }))
    this.entries.update(({ [key]: _old, ...rest }) => rest)
  }

  protected unread(key: string, entry: string): void {
    this.entries.update((entries) => ({ ...entries, [key]: entry }))
  }

  protected problemOf(figure: (typeof WORKSHOP_FIGURES)[number]): string | undefined {
    const value = this.values()[figure.key]
    const [low, high] = figure.range
    if (value === undefined || (value >= low && value <= high)) return undefined
    return `It lies between ${this.text.length(low)} and ${this.text.length(high)}`
  }

  protected saveWorkshop(): void {
    const record = this.stored()
    if (!record) return
    this.api.putWorkshop({ ...record, figures: this.values() }).subscribe({
      next: (saved) => {
        this.read(saved)
        this.store.dispatch(benchActions.workshopSaved({ workshop: saved }))
        this.said.set({ text: 'The workshop’s figures are saved.', bad: false })
      },
      error: (error: unknown) => {
        const current = conflictOf<WorkshopRecord>(error)
        if (current) this.stored.set(current)
        const text = current
          ? 'Changed in another window meanwhile. Your figures are still here: save again to keep them.'
          : failureText(error)
        this.said.set({ text, bad: true })
      },
    })
  }

  protected backUp(): void {
    this.api.writeBackup().subscribe({
      next: ({ file }) =>
        this.said.set({ text: `Backed up in the data folder: backups/${file}`, bad: false }),
      error: (error: unknown) => this.said.set({ text: failureText(error), bad: true }),
    })
  }

  protected bringIn(input: HTMLInputElement): void {
    const file = input.files?.[0]
    input.value = ''
    if (!file) return
    this.said.set(undefined)
    this.sending.set(0)
    this.importing = this.api
      .importLibrary(file)
      .pipe(finalize(() => this.sending.set(undefined)))
      .subscribe({
        next: ({ share, answer }) => {
          this.sending.set(share)
          if (!answer) return
          const { added, unchanged, kept, keptMore } = answer
          this.said.set({
            text: `${added} records added, ${unchanged} were here already, ${kept.length + keptMore} differ and were kept as they are here.`,
            bad: false,
          })
        },
        error: (error: unknown) =>
          this.said.set({ text: `Nothing was brought in. ${failureText(error).slice(0, 600)}`, bad: true }),
      })
  }

  /** Nothing of what was sent so far stays. */
  protected breakOff(): void {
    this.importing?.unsubscribe()
    this.said.set({ text: 'Broken off: nothing was brought in.', bad: false })
  }

  /** What it would lose is named first; what is here now is kept among the backups. */
  protected restore(input: HTMLInputElement): void {
    const file = input.files?.[0]
    input.value = ''
    if (!file) return
    this.api
      .lookAtBackup(file)
      .pipe(
        switchMap((losses) =>
          ask(this.dialog, {
            title: `Put ${file.name} back?`,
            question: lossesText(losses),
            yes: 'Put it back',
            no: 'Leave all as it is',
          }),
        ),
        filter((yes) => yes),
        switchMap(() => this.api.putBack(file)),
      )
      .subscribe({
        next: () => this.practice.leaveTo('/round'),
        error: (error: unknown) => this.said.set({ text: failureText(error), bad: true }),
      })
  }

  protected toDemo(): void {
    this.api.swapPractice().subscribe({
      next: () => this.practice.leaveTo('/round'),
      error: (error: unknown) => this.said.set({ text: failureText(error), bad: true }),
    })
  }

  private read(record: WorkshopRecord): void {
    this.stored.set(record)
    this.values.set(record.figures)
  }
}
