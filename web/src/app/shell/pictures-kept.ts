import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { MatDialog } from '@angular/material/dialog'
import { formatISO, parseISO, subYears } from 'date-fns'
import { firstValueFrom } from 'rxjs'
import { ask } from '../common/ask-dialog'
import { today } from '../common/today'
import { Api, failureText } from '../state/api'

/** How old pictures are that may be made smaller. */
const YEARS = [1, 2, 3, 5] as const

const megabytes = (bytes: number): string => `${(bytes / 1e6).toFixed(1)} MB`
const pictures = (count: number): string => (count === 1 ? 'One picture' : `${count} pictures`)

/** What kept pictures weigh, and how old ones are made smaller. Nothing is shown where there are none. */
@Component({
  selector: 'cr-pictures-kept',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (weighs()) {
      <p class="muted">{{ weighs() }}</p>
      <div class="row">
        <label
          >Older than
          <select #old class="typed" (change)="look(+old.value)">
            @for (each of choices; track each) {
              <option [value]="each" [selected]="each === years()">
                {{ each === 1 ? 'a year' : each + ' years' }}
              </option>
            }
          </select></label
        >
        <span data-testid="to-thin">{{ found() }}</span>
        <button mat-stroked-button [disabled]="!can() || busy()" (click)="thin()">Make them smaller</button>
      </div>
      @if (said()) {
        <p role="status">{{ said() }}</p>
      }
    }
  `,
  styles: `
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 14px;
      align-items: center;
    }
    select {
      display: inline-block;
      width: auto;
    }
  `,
})
export class PicturesKept {
  private readonly api = inject(Api)
  private readonly dialog = inject(MatDialog)
  protected readonly choices = YEARS
  protected readonly weighs = signal('')
  protected readonly years = signal<number>(2)
  protected readonly found = signal('')
  protected readonly can = signal(0)
  protected readonly busy = signal(false)
  protected readonly said = signal('')

  constructor() {
    void this.weigh()
  }

  private async weigh(): Promise<void> {
    try {
      const { pictures: count, bytes } = await firstValueFrom(this.api.picturesWeight())
      const are = count === 1 ? 'is' : 'are'
      this.weighs.set(
        count === 0
          ? ''
          : `${pictures(count)} ${are} kept with visits: ${megabytes(bytes)} of the database and of every backup.`,
      )
      if (count > 0) await this.look(this.years())
    } catch {
      // It is told beside the rest, and missed by nobody where it cannot be.
    }
  }

  private before = (): string =>
    formatISO(subYears(parseISO(today()), this.years()), { representation: 'date' })

  protected async look(years: number): Promise<void> {
    this.years.set(years)
    await this.trying(async () => {
      const { pictures: count, bytes } = await firstValueFrom(this.api.picturesToThin(this.before()))
      this.can.set(count)
      this.found.set(
        count === 0 ? 'none that is large' : `${pictures(count).toLowerCase()}, ${megabytes(bytes)}`,
      )
    })
  }

  protected async thin(): Promise<void> {
    const sure = await firstValueFrom(
      ask(this.dialog, {
        title: 'Make old pictures smaller?',
        question: `${pictures(this.can())} of visits before ${this.before()} will be kept coarser, enough to be looked at; what is drawn on them stays. It cannot be taken back. Earlier backups still hold them as they are.`,
        yes: 'Make them smaller',
        no: 'Leave them',
      }),
    )
    if (!sure) return
    this.busy.set(true)
    await this.trying(async () => {
      const done = await firstValueFrom(this.api.thinPictures(this.before()))
      await this.weigh()
      const broken = done.broken > 0 ? ` ${pictures(done.broken)} cannot be read, and stay as they are.` : ''
      this.said.set(`${pictures(done.pictures)} made smaller: ${megabytes(done.bytes)} less.${broken}`)
    })
    this.busy.set(false)
  }

  private async trying(work: () => Promise<void>): Promise<void> {
    this.said.set('')
    try {
      await work()
    } catch (error) {
      this.said.set(failureText(error))
    }
  }
}
