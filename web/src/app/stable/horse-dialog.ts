import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core'
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop'
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms'
import { MatButton } from '@angular/material/button'
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'
import { MatError, MatFormField, MatHint, MatLabel } from '@angular/material/form-field'
import { MatInput } from '@angular/material/input'
import { MatOption, MatSelect } from '@angular/material/select'
import {
  BODY_WEIGHT,
  BREAKOVER_SCHOOLS,
  fromHeavyUnit,
  heavyUnit,
  inHeavyUnit,
  type Animal,
  type BreakoverSchoolName,
  type Horse,
  type LengthUnit,
  type Owner,
} from '@crescent/core'
import { Actions, ofType } from '@ngrx/effects'
import { BORN_RANGE } from '@crescent/core/text'
import { Store } from '@ngrx/store'
import { Api } from '../state/api'
import { recordsActions } from '../state/records/records.feature'
import { today } from '../common/today'
import { OUTLINED_FIELDS } from '../common/outlined-fields'
import { FigureText } from '../drawing/figure-text'
import { HelpButton } from '../help/help-button'

const NEW_OWNER = 'new'

/** Takes in a horse, or changes one; a new owner is taken in with it. Closes only once it is stored. */
@Component({
  selector: 'cr-horse-dialog',
  imports: [
    HelpButton,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatError,
    MatFormField,
    MatHint,
    MatInput,
    MatLabel,
    MatOption,
    MatSelect,
    ReactiveFormsModule,
  ],
  providers: [OUTLINED_FIELDS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ data.horse ? 'Change ' + data.horse.name : 'New horse' }}</h2>
    <form [formGroup]="form" (ngSubmit)="save()">
      <mat-dialog-content>
        <div class="pair">
          <mat-form-field>
            <mat-label>Name</mat-label>
            <input matInput formControlName="name" maxlength="200" cdkFocusInitial />
            @if (form.controls.name.invalid) {
              <mat-error>A name is needed</mat-error>
            }
          </mat-form-field>
          <mat-form-field>
            <mat-label>Kind</mat-label>
            <mat-select formControlName="animal">
              @for (animal of animals; track animal) {
                <mat-option [value]="animal">{{ animal }}</mat-option>
              }
            </mat-select>
          </mat-form-field>
        </div>
        <mat-form-field>
          <mat-label>School of breakover</mat-label>
          <mat-select formControlName="breakoverSchool">
            @for (school of schools; track school.key) {
              <mat-option [value]="school.key">{{ school.label }}: {{ school.use }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
        <mat-form-field>
          <mat-label>Owner</mat-label>
          <mat-select formControlName="ownerId">
            <mat-option [value]="null">no owner</mat-option>
            <mat-option value="new">a new owner…</mat-option>
            @for (owner of owners(); track owner.id) {
              <mat-option [value]="owner.id"
                >{{ owner.name }}{{ owner.place ? ', ' + owner.place : '' }}</mat-option
              >
            }
          </mat-select>
        </mat-form-field>
        @if (form.controls.ownerId.value === 'new') {
          <div class="pair">
            <mat-form-field>
              <mat-label>New owner’s name</mat-label>
              <input matInput formControlName="ownerName" maxlength="200" />
              @if (form.controls.ownerName.hasError('required')) {
                <mat-error>A name is needed</mat-error>
              }
            </mat-form-field>
            <mat-form-field>
              <mat-label>Phone</mat-label>
              <input matInput formControlName="ownerPhone" maxlength="200" />
            </mat-form-field>
          </div>
        }
        <div class="pair">
          <mat-form-field>
            <mat-label>Work</mat-label>
            <input matInput formControlName="work" maxlength="200" />
          </mat-form-field>
          <mat-form-field>
            <mat-label>Going</mat-label>
            <input matInput formControlName="going" maxlength="200" />
          </mat-form-field>
          <mat-form-field>
            <mat-label>How it lives</mat-label>
            <input matInput formControlName="living" maxlength="200" />
          </mat-form-field>
          <mat-form-field>
            <mat-label>Where it stands</mat-label>
            <input matInput formControlName="place" maxlength="200" />
          </mat-form-field>
          <mat-form-field>
            <mat-label>Cycle in weeks</mat-label>
            <input matInput type="number" formControlName="cycleWeeks" min="2" max="16" step="1" />
            <mat-hint>usual 6 to 8</mat-hint>
            @if (form.controls.cycleWeeks.invalid) {
              <mat-error>A cycle lasts 2 to 16 whole weeks</mat-error>
            }
          </mat-form-field>
          <mat-form-field>
            <mat-label>Foaled in</mat-label>
            <input matInput type="number" formControlName="born" [min]="bornFrom" [max]="thisYear" />
            <mat-hint>the year; may stay empty</mat-hint>
            @if (form.controls.born.invalid) {
              <mat-error>A year from {{ bornFrom }} to {{ thisYear }}</mat-error>
            }
          </mat-form-field>
          <mat-form-field>
            <mat-label>Weighs, {{ heavy }}</mat-label>
            <input matInput type="number" formControlName="weighs" [min]="least" [max]="most" />
            <mat-hint>for the load on its feet; may stay empty</mat-hint>
            @if (form.controls.weighs.invalid) {
              <mat-error>It lies between {{ least }} and {{ most }} {{ heavy }}</mat-error>
            }
          </mat-form-field>
        </div>
        <mat-form-field>
          <mat-label>Notes</mat-label>
          <textarea matInput formControlName="notes" rows="3" maxlength="20000"></textarea>
        </mat-form-field>
        @if (failure()) {
          <p class="failure" role="alert">{{ failure() }}</p>
        }
      </mat-dialog-content>
      <mat-dialog-actions align="end">
        <cr-help-button topic="horse" />
        <button mat-button type="button" mat-dialog-close>Not now</button>
        <button mat-flat-button type="submit" [disabled]="saving()">Save</button>
      </mat-dialog-actions>
    </form>
  `,
  styles: `
    mat-form-field {
      width: 100%;
      margin-top: 4px;
    }
    .pair {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
      gap: 0 12px;
    }
    .failure {
      padding: 8px 12px;
      color: var(--stop);
      background: var(--stop-wash);
    }
  `,
})
export class HorseDialog {
  protected readonly data = inject<{ horse?: Horse }>(MAT_DIALOG_DATA)
  private readonly dialog = inject<MatDialogRef<HorseDialog, Horse>>(MatDialogRef)
  private readonly store = inject(Store)
  protected readonly owners = toSignal(inject(Api).owners(''), { initialValue: [] as Owner[] })
  protected readonly animals: Animal[] = ['horse', 'heavy horse', 'pony', 'mule']
  protected readonly schools = BREAKOVER_SCHOOLS
  protected readonly saving = signal(false)
  protected readonly failure = signal('')
  /** Made once: pressing Save again after a lost answer makes no second record. */
  private readonly horseId = this.data.horse?.id ?? crypto.randomUUID()
  private readonly newOwnerId = crypto.randomUUID()

  private readonly unit = inject(FigureText).style().unit
  protected readonly heavy = heavyUnit(this.unit)
  protected readonly least = Math.round(inHeavyUnit(BODY_WEIGHT.range[0], this.unit))
  protected readonly most = Math.round(inHeavyUnit(BODY_WEIGHT.range[1], this.unit))
  /** As it is shown: what nobody touches is kept to the digit. */
  private readonly weighed = shownWeight(this.data.horse?.bodyWeight ?? null, this.unit)

  protected readonly bornFrom = BORN_RANGE[0]
  protected readonly thisYear = Number(today().slice(0, 4))

  protected readonly form = new FormGroup({
    name: text(this.data.horse?.name, Validators.required),
    animal: new FormControl<Animal>(this.data.horse?.animal ?? 'horse', { nonNullable: true }),
    ownerId: new FormControl<string | null>(this.data.horse?.ownerId ?? null),
    ownerName: text(''),
    ownerPhone: text(''),
    work: text(this.data.horse?.work),
    going: text(this.data.horse?.going),
    living: text(this.data.horse?.living),
    place: text(this.data.horse?.place),
    breakoverSchool: new FormControl<BreakoverSchoolName>(this.data.horse?.breakoverSchool ?? 'perimeter', {
      nonNullable: true,
    }),
    cycleWeeks: new FormControl(this.data.horse?.cycleWeeks ?? 7, {
      nonNullable: true,
      validators: [Validators.required, Validators.min(2), Validators.max(16), Validators.pattern(/^\d+$/)],
    }),
    born: new FormControl(this.data.horse?.born ?? null, [
      Validators.min(this.bornFrom),
      Validators.max(this.thisYear),
      Validators.pattern(/^\d+$/),
    ]),
    weighs: new FormControl(this.weighed, [Validators.min(this.least), Validators.max(this.most)]),
    notes: text(this.data.horse?.notes),
  })

  constructor() {
    const actions = inject(Actions)
    this.form.controls.ownerId.valueChanges.pipe(takeUntilDestroyed()).subscribe((id) => {
      const { ownerName } = this.form.controls
      ownerName.setValidators(id === NEW_OWNER ? Validators.required : null)
      ownerName.updateValueAndValidity()
    })
    actions
      .pipe(ofType(recordsActions.ownerSaved), takeUntilDestroyed())
      .subscribe(() => this.saveHorse(this.newOwnerId))
    actions
      .pipe(ofType(recordsActions.horseSaved), takeUntilDestroyed())
      .subscribe(({ horse }) => this.dialog.close(horse))
    actions.pipe(ofType(recordsActions.saveFailed), takeUntilDestroyed()).subscribe(({ failure }) => {
      this.saving.set(false)
      this.failure.set(failure)
    })
  }

  protected save(): void {
    this.form.markAllAsTouched()
    if (this.form.invalid || this.saving()) return
    this.saving.set(true)
    this.failure.set('')
    const { ownerId, ownerName, ownerPhone, place } = this.form.getRawValue()
    if (ownerId !== NEW_OWNER) return this.saveHorse(ownerId)
    const owner: Owner = {
      id: this.newOwnerId,
      version: 0,
      name: ownerName,
      phone: ownerPhone,
      email: '',
      place,
      notes: '',
      archived: false,
    }
    this.store.dispatch(recordsActions.saveOwner({ owner }))
  }

  private saveHorse(ownerId: string | null): void {
    const { ownerName: _name, ownerPhone: _phone, weighs, ...figures } = this.form.getRawValue()
    const horse: Horse = {
      id: this.horseId,
      version: this.data.horse?.version ?? 0,
      archived: this.data.horse?.archived ?? false,
      ...figures,
      ownerId,
      bodyWeight:
        weighs === this.weighed ? (this.data.horse?.bodyWeight ?? null) : keptWeight(weighs, this.unit),
    }
    this.store.dispatch(recordsActions.saveHorse({ horse }))
  }
}

/** Whole pounds or kilograms. */
const shownWeight = (kg: number | null, unit: LengthUnit): number | null =>
  kg === null ? null : Math.round(inHeavyUnit(kg, unit))

/** What was typed, in kilograms and within what is kept: a rounded bound of the field may lie a hair beyond. */
function keptWeight(typed: number | null, unit: LengthUnit): number | null {
  const [low, high] = BODY_WEIGHT.range
  return typed === null ? null : Math.min(high, Math.max(low, fromHeavyUnit(typed, unit)))
}

const text = (value = '', validator?: typeof Validators.required): FormControl<string> =>
  new FormControl(value, { nonNullable: true, ...(validator && { validators: validator }) })
