import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core'
import { Radiograph } from './radiograph'

/** The widest window there is, as a multiple of all the greys, and how much narrower the narrowest is. */
const WIDEST = 2
const NARROWER = 100

/** How bright and how sharp in contrast a radiograph is shown: by what was seen to serve, or by hand. */
@Component({
  selector: 'cr-plate-window',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (radiograph.plate(); as plate) {
      <fieldset>
        <legend>Bright and dark</legend>
        @for (preset of presets(); track preset.label) {
          <button type="button" class="tap" (click)="radiograph.show(preset.window, plate.inverted)">
            {{ preset.label }}
          </button>
        }
        <label class="tap"
          ><input
            type="checkbox"
            [checked]="plate.inverted"
            (change)="radiograph.show(plate.window, !plate.inverted)"
          />
          Swap black and white</label
        >
        <label
          >Brightness
          <input
            #bright
            type="range"
            min="0"
            max="100"
            [value]="brightness()"
            (input)="brighten(+bright.value)"
        /></label>
        <label
          >Contrast
          <input #sharp type="range" min="0" max="100" [value]="contrast()" (input)="sharpen(+sharp.value)"
        /></label>
      </fieldset>
    }
  `,
  styles: `
    fieldset {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
      align-items: center;
      margin: 8px 0 0;
      padding: 6px 8px 8px;
      border: 1px solid var(--rule);
      border-radius: 6px;
    }
    label:not(.tap) {
      display: grid;
      flex: 1 1 140px;
    }
    input[type='range'] {
      height: 44px;
      accent-color: var(--ember);
    }
  `,
})
export class PlateWindow {
  protected readonly radiograph = inject(Radiograph)

  protected readonly presets = computed(() => {
    const windows = this.radiograph.plate()?.opened.windows
    if (!windows) return []
    const { usual, whole, file } = windows
    const { centre, width } = usual
    return [
      ...(file ? [{ label: 'As the file says', window: file }] : []),
      { label: 'Usual', window: usual },
      { label: 'Bone', window: { centre: centre + width * 0.2, width: width * 0.6 } },
      { label: 'Horn and sole', window: { centre: centre - width * 0.25, width: width * 0.5 } },
      { label: 'All', window: whole },
    ]
  })
  /** 0 to 100 over all the greys there are, dark to bright. */
  protected readonly brightness = computed(() => {
    const plate = this.radiograph.plate()
    if (!plate) return 50
    const { centre, width } = plate.opened.windows.whole
    return Math.round(100 * (0.5 - (plate.window.centre - centre) / width))
  })
  /** 0 to 100, from the widest window to the narrowest, each step as much narrower as the one before. */
  protected readonly contrast = computed(() => {
    const plate = this.radiograph.plate()
    if (!plate) return 50
    const share = plate.window.width / (WIDEST * plate.opened.windows.whole.width)
    return Math.round((-100 * Math.log(share)) / Math.log(NARROWER))
  })

  protected brighten(to: number): void {
    const { window, inverted, opened } = this.radiograph.plate()!
    const { centre, width } = opened.windows.whole
    void this.radiograph.show({ ...window, centre: centre + (0.5 - to / 100) * width }, inverted)
  }

  protected sharpen(to: number): void {
    const { window, inverted, opened } = this.radiograph.plate()!
    const width = WIDEST * opened.windows.whole.width * NARROWER ** (-to / 100)
    void this.radiograph.show({ ...window, width }, inverted)
  }
}
