import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { format, parseISO } from 'date-fns'
import { firstValueFrom } from 'rxjs'
import { shortDay } from '../common/today'
import { Api, failureText, type SignedIn } from '../state/api'

/** Who is signed in, where a password is needed: one on a telephone that was lost is ended from here. */
@Component({
  selector: 'cr-signed-in',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (all().length > 0) {
      <h3>Signed in</h3>
      <ul>
        @for (one of all(); track one.id) {
          <li>
            <span
              ><strong>{{ kind(one) }}{{ one.own ? ', this one' : '' }}</strong> since {{ day(one.begun) }},
              last used {{ day(one.seen) }} at {{ time(one.seen) }}</span
            >
            <button mat-stroked-button [disabled]="busy()" (click)="end(one)">
              {{ one.own ? 'Sign out here' : 'Sign it out' }}
            </button>
          </li>
        }
      </ul>
    }
    @if (said()) {
      <p role="alert">{{ said() }}</p>
    }
  `,
  styles: `
    h3 {
      margin: 18px 0 6px;
      font-size: 1rem;
    }
    ul {
      padding: 0;
      margin: 0;
      list-style: none;
    }
    li {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 14px;
      align-items: center;
      justify-content: space-between;
      padding: 6px 0;
      border-bottom: 1px solid var(--rule);
    }
  `,
})
export class SignedInList {
  private readonly api = inject(Api)
  protected readonly all = signal<SignedIn[]>([])
  protected readonly busy = signal(false)
  protected readonly said = signal('')

  constructor() {
    void this.read()
  }

  protected kind = ({ what }: SignedIn): string => (/mobi/i.test(what) ? 'A telephone' : 'A computer')
  protected day = (at: string): string => shortDay(format(parseISO(at), 'yyyy-MM-dd'))
  protected time = (at: string): string => format(parseISO(at), 'HH:mm')

  protected async end(one: SignedIn): Promise<void> {
    this.busy.set(true)
    this.said.set('')
    try {
      await firstValueFrom(this.api.signOut(one.id))
      // Who signed himself out is asked for the password by whatever comes next.
      if (one.own) location.reload()
      else await this.read()
    } catch (error) {
      this.said.set(failureText(error))
    } finally {
      this.busy.set(false)
    }
  }

  private async read(): Promise<void> {
    try {
      const { needed } = await firstValueFrom(this.api.session())
      this.all.set(needed ? await firstValueFrom(this.api.signedIn()) : [])
    } catch (error) {
      this.said.set(failureText(error))
    }
  }
}
