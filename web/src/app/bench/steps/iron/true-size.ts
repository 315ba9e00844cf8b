import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { pieceKindsOf, TEMPLATE_LABELS, type TemplateKind } from '@crescent/core'
import { OneOf } from '../../../common/one-of'
import { FigureText } from '../../../drawing/figure-text'
import { Desk } from '../../desk'
import { Files } from './files'

const FORMATS = [
  { key: 'pdf', label: 'PDF' },
  { key: 'svg', label: 'SVG' },
  { key: 'dxf', label: 'DXF' },
] as const
const PAPERS = [
  { key: 'a4', label: 'A4' },
  { key: 'letter', label: 'US Letter' },
] as const

/** Everything of the shoe that goes out as a file: pieces at true size, the solid. */
@Component({
  selector: 'cr-true-size',
  imports: [OneOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>True size</h3>
    <cr-one-of label="Format" [choices]="formats" [chosen]="format()" (choose)="format.set($event)" />
    @if (format() === 'pdf') {
      <cr-one-of label="Paper" [choices]="papers" [chosen]="paper()" (choose)="paper.set($event)" />
    }
    <label class="check"
      ><input type="checkbox" [checked]="mirror()" (change)="mirror.set(!mirror())" /> Mirrored, for the side
      that faces the marker</label
    >
    <ul>
      @for (kind of kinds(); track kind) {
        <li>
          <button type="button" class="tap" [disabled]="busy()" (click)="template(kind)">
            {{ labels[kind] }}
          </button>
        </li>
      }
    </ul>
    <h3>Solid</h3>
    <p class="muted">
      One closed piece in mm, its holes bored: to print a shoe for trying on, or for a machine shop.
    </p>
    <div class="pair">
      <button type="button" class="tap" [disabled]="busy()" (click)="solid('stl')">STL</button>
      <button type="button" class="tap" [disabled]="busy()" (click)="solid('3mf')">3MF</button>
    </div>
    @if (busy()) {
      <p role="status">Making the file …</p>
    }
    @if (wrong(); as why) {
      <p class="problem" role="alert">{{ why }}</p>
    }
  `,
  styles: `
    h3 {
      margin: 14px 0 6px;
      font-size: 1rem;
    }
    ul {
      display: grid;
      gap: 6px;
      padding: 0;
      margin: 8px 0 0;
      list-style: none;
    }
    .tap {
      width: 100%;
    }
    .pair {
      display: flex;
      gap: 8px;
    }
    p {
      margin: 4px 0;
      font-size: 0.9rem;
    }
    .problem {
      color: var(--stop);
    }
  `,
})
export class TrueSizeFiles {
  private readonly desk = inject(Desk)
  private readonly files = inject(Files)
  private readonly text = inject(FigureText)
  protected readonly formats = FORMATS
  protected readonly papers = PAPERS
  protected readonly labels = TEMPLATE_LABELS

  protected readonly format = signal<(typeof FORMATS)[number]['key']>('pdf')
  protected readonly paper = signal<(typeof PAPERS)[number]['key']>('a4')
  protected readonly mirror = signal(false)
  protected readonly busy = signal(false)
  protected readonly wrong = signal<string | undefined>(undefined)

  protected readonly kinds = computed((): TemplateKind[] => {
    const { plan } = this.desk.told()
    return plan ? pieceKindsOf(plan) : []
  })

  protected template(kind: TemplateKind): void {
    const { unit, denominator } = this.text.style()
    void this.ask('/api/templates', {
      ...{ kind, format: this.format(), paper: this.paper(), mirror: String(this.mirror()) },
      ...{ unit, parts: String(denominator) },
    })
  }

  protected solid(format: 'stl' | '3mf'): void {
    void this.ask('/api/solids', { format })
  }

  private async ask(url: string, more: object): Promise<void> {
    const asked = this.desk.asked()
    if (!asked || this.busy()) return
    this.busy.set(true)
    this.wrong.set(await this.files.save(url, { ...asked, ...more }))
    this.busy.set(false)
  }
}
