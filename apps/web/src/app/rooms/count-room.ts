import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { SQFT_PER_M2, type Counts, type JointKind, LIMITS } from '@lisse/core';
import { Format } from '../state/format';
import { MeasureInput } from '../ui/measure-input';

const LINES: readonly { kind: JointKind; label: string }[] = [
  { kind: 'tapered', label: 'Flats' },
  { kind: 'butt', label: 'Butts' },
  { kind: 'inside-angle', label: 'Angles' },
  { kind: 'outside-corner', label: 'Outside corners' },
  { kind: 'off-angle-inside', label: 'Inside off-angles' },
  { kind: 'mixed', label: 'Mixed' },
];

/** Joints by the metre, corners, heads and area, where nothing is drawn. */
@Component({
  selector: 'ls-count-room',
  imports: [MeasureInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (line of lines; track line.kind) {
      <ls-measure
        [label]="line.label"
        [run]="true"
        [mm]="counts().mm[line.kind]"
        [limit]="limits.counts.mm"
        (changed)="length(line.kind, $event)"
      />
    }
    <label class="field"
      ><span>Corner pieces</span
      ><input
        type="text"
        inputmode="numeric"
        [value]="counts().corners ?? ''"
        (change)="whole('corners', $any($event.target), 1, 10000)"
    /></label>
    <label class="field"
      ><span>Heads</span
      ><input
        type="text"
        inputmode="numeric"
        [value]="counts().heads ?? ''"
        (change)="whole('heads', $any($event.target), 0, 1000000)"
    /></label>
    <label class="field"
      ><span>Board, {{ metric() ? 'm²' : 'sq ft' }}</span
      ><input type="text" inputmode="decimal" [value]="area()" (change)="setArea($any($event.target))"
    /></label>
    @if (wrong(); as why) {
      <p class="wrong" role="alert">{{ why }}</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: repeat(2, minmax(0, 1fr));
      gap: 8px;
    }
    .wrong {
      grid-column: 1 / -1;
    }
  `,
})
export class CountRoom {
  protected readonly limits = LIMITS;
  private readonly format = inject(Format);
  readonly counts = input.required<Counts>();
  readonly changed = output<Counts>();

  protected readonly lines = LINES;
  protected readonly wrong = signal<string | undefined>(undefined);
  protected readonly metric = computed(() => this.format.units() === 'metric');
  private readonly perM2 = computed(() => (this.metric() ? 1 : SQFT_PER_M2));
  protected readonly area = computed(() => {
    const m2 = this.counts().areaM2;
    return m2 === undefined ? '' : String(Math.round(m2 * this.perM2() * 10) / 10);
  });

  protected length(kind: JointKind, mm: number): void {
    this.changed.emit({ ...this.counts(), mm: { ...this.counts().mm, [kind]: mm } });
  }

  protected whole(key: 'corners' | 'heads', field: HTMLInputElement, min: number, max: number): void {
    const { [key]: _, ...rest } = this.counts();
    const text = field.value.trim();
    const value = Number(text);
    if (text === '') this.changed.emit(rest);
    else if (Number.isInteger(value) && value >= min && value <= max)
      this.changed.emit({ ...rest, [key]: value });
    else {
      this.wrong.set(`“${text}” is not a whole number from ${min} to ${max}.`);
      return;
    }
    this.wrong.set(undefined);
  }

  protected setArea(field: HTMLInputElement): void {
    const { areaM2: _, ...rest } = this.counts();
    const text = field.value.trim().replace(',', '.');
    const value = Number(text) / this.perM2();
    if (text === '') this.changed.emit(rest);
    else if (value >= 0 && value <= 100000) this.changed.emit({ ...rest, areaM2: value });
    else {
      this.wrong.set(`“${field.value}” is not an area.`);
      return;
    }
    this.wrong.set(undefined);
  }
}
