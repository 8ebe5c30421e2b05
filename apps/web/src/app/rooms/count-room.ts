import { ChangeDetectionStrategy, Component, input, output, inject } from '@angular/core';
import { LIMITS, type Counts, type JointKind, say, type Message } from '@lisse/core';
import { Texts } from '../state/texts';
import { AmountInput } from '../ui/amount-input';
import { NumberInput } from '../ui/number-input';
import { MeasureInput } from '../ui/measure-input';

const LINES: readonly { kind: JointKind; label: Message }[] = [
  { kind: 'tapered', label: say('count.flats') },
  { kind: 'butt', label: say('count.butts') },
  { kind: 'inside-angle', label: say('count.angles') },
  { kind: 'outside-corner', label: say('count.outside-corners') },
  { kind: 'off-angle-inside', label: say('count.inside-off-angles') },
  { kind: 'mixed', label: say('count.mixed') },
];

/** Joints by the metre, corners, heads and area, where nothing is drawn. */
@Component({
  selector: 'ls-count-room',
  imports: [AmountInput, MeasureInput, NumberInput],
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
    <ls-number
      [label]="texts.t('count.corner-pieces')"
      [optional]="true"
      [whole]="true"
      [limit]="limits.counts.corners"
      [value]="counts().corners"
      (changed)="set('corners', $event)"
    />
    <ls-number
      [label]="texts.t('count.fasteners')"
      [optional]="true"
      [whole]="true"
      [limit]="limits.counts.heads"
      [value]="counts().heads"
      (changed)="set('heads', $event)"
    />
    <ls-amount
      [label]="texts.t('count.board')"
      of="area"
      [optional]="true"
      [limit]="limits.counts.areaM2"
      [value]="counts().areaM2"
      (changed)="set('areaM2', $event)"
    />
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: repeat(2, minmax(0, 1fr));
      gap: var(--close);
    }
  `,
})
export class CountRoom {
  protected readonly texts = inject(Texts);
  protected readonly limits = LIMITS;
  readonly counts = input.required<Counts>();
  readonly changed = output<Counts>();

  protected readonly lines = LINES;

  protected length(kind: JointKind, mm: number): void {
    this.changed.emit({ ...this.counts(), mm: { ...this.counts().mm, [kind]: mm } });
  }

  protected set(key: 'corners' | 'heads' | 'areaM2', value: number | undefined): void {
    const { [key]: _, ...rest } = this.counts();
    this.changed.emit(value === undefined ? rest : { ...rest, [key]: value });
  }
}
