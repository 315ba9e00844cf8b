import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core'
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms'
import { MatButton } from '@angular/material/button'
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle'
import { MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle } from '@angular/material/dialog'
import { MatError, MatFormField, MatLabel } from '@angular/material/form-field'
import { MatInput } from '@angular/material/input'
import { MatOption, MatSelect } from '@angular/material/select'
import { COMMON_SECTIONS, commonName, FIT_PRESETS, PLAIN_SHOE, type FitName } from '@crescent/core'
import { Store } from '@ngrx/store'
import { OUTLINED_FIELDS } from '../common/outlined-fields'
import { Api, failureText } from '../state/api'
import { settingsActions, settingsFeature } from '../state/settings/settings.feature'
import { OpenPractice } from './practice'
import { HelpButton } from '../help/help-button'

/** Begins a practice of one's own: its name, how it reads a rule, what it forges from, and its first horse. */
@Component({
  selector: 'cr-begin-dialog',
  imports: [
    HelpButton,
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatError,
    MatFormField,
    MatInput,
    MatLabel,
    MatOption,
    MatSelect,
    ReactiveFormsModule,
  ],
  providers: [OUTLINED_FIELDS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Your own practice</h2>
    <form [formGroup]="form" (ngSubmit)="begin()">
      <mat-dialog-content>
        <p>It begins empty. The demo is set aside and can be looked at again from the settings.</p>
        <mat-form-field>
          <mat-label>Name of the practice</mat-label>
          <input matInput formControlName="name" maxlength="200" autocomplete="organization" />
          @if (form.controls.name.invalid) {
            <mat-error>A name is needed</mat-error>
          }
        </mat-form-field>
        <div class="row">
          <span>Lengths</span>
          <mat-button-toggle-group aria-label="Lengths" [value]="unit()" (change)="setUnit($event.value)">
            <mat-button-toggle value="in">inches</mat-button-toggle>
            <mat-button-toggle value="mm">millimetres</mat-button-toggle>
          </mat-button-toggle-group>
        </div>
        <div class="pair">
          <mat-form-field>
            <mat-label>Usual bar</mat-label>
            <mat-select formControlName="bar">
              @for (one of bars; track one.name) {
                <mat-option [value]="one.name">{{ one.name }}</mat-option>
              }
            </mat-select>
          </mat-form-field>
          <mat-form-field>
            <mat-label>Usual fit</mat-label>
            <mat-select formControlName="fit">
              @for (one of fits; track one.name) {
                <mat-option [value]="one.name">{{ one.label }}</mat-option>
              }
            </mat-select>
          </mat-form-field>
          <mat-form-field>
            <mat-label>First horse</mat-label>
            <input matInput formControlName="horse" maxlength="200" autocomplete="off" />
          </mat-form-field>
          <mat-form-field>
            <mat-label>Its owner</mat-label>
            <input matInput formControlName="owner" maxlength="200" autocomplete="off" />
          </mat-form-field>
        </div>
        @if (failure()) {
          <p class="failure" role="alert">{{ failure() }}</p>
        }
      </mat-dialog-content>
      <mat-dialog-actions align="end">
        <cr-help-button topic="begin" />
        <button mat-button type="button" mat-dialog-close>Not now</button>
        <button mat-flat-button type="submit" [disabled]="sending()">Begin</button>
      </mat-dialog-actions>
    </form>
  `,
  styles: `
    mat-form-field {
      width: 100%;
      margin-top: 4px;
    }
    .row {
      display: flex;
      gap: 12px;
      align-items: center;
      justify-content: space-between;
      margin-bottom: 10px;
    }
    .pair {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
      gap: 0 12px;
    }
    .failure {
      padding: 8px 12px;
      color: var(--stop);
      background: var(--stop-wash);
    }
  `,
})
export class BeginDialog {
  private readonly api = inject(Api)
  private readonly store = inject(Store)
  private readonly practice = inject(OpenPractice)
  protected readonly bars = COMMON_SECTIONS
  protected readonly fits = FIT_PRESETS
  protected readonly unit = this.store.selectSignal(settingsFeature.selectUnit)
  protected readonly failure = signal('')
  protected readonly sending = signal(false)
  protected readonly form = new FormGroup({
    name: new FormControl('', { nonNullable: true, validators: Validators.pattern(/\S/) }),
    bar: new FormControl(commonName(PLAIN_SHOE.section)!, { nonNullable: true }),
    fit: new FormControl<FitName>('general', { nonNullable: true }),
    horse: new FormControl('', { nonNullable: true }),
    owner: new FormControl('', { nonNullable: true }),
  })

  protected setUnit(unit: 'in' | 'mm'): void {
    this.store.dispatch(settingsActions.change({ changes: { unit } }))
  }

  protected begin(): void {
    const { name, bar, fit, horse, owner } = this.form.getRawValue()
    // An untouched field shows its fault only once it is marked.
    if (name.trim() === '') {
      this.form.controls.name.setErrors({ needed: true })
      this.form.markAllAsTouched()
      return
    }
    this.sending.set(true)
    const { section } = COMMON_SECTIONS.find((one) => one.name === bar)!
    const first = horse.trim() === '' ? {} : { horse: { name: horse.trim(), owner: owner.trim() } }
    this.api.beginPractice({ name: name.trim(), usual: { section, fit }, ...first }).subscribe({
      next: ({ horseId }) => {
        this.store.dispatch(settingsActions.change({ changes: { lastVisit: null } }))
        this.practice.leaveTo(horseId ? `/stable/${horseId}` : '/round')
      },
      error: (error: unknown) => {
        this.sending.set(false)
        this.failure.set(failureText(error))
      },
    })
  }
}
