import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { JobFigures } from '@lisse/core';
import { Format } from '../state/format';
import { Texts } from '../state/texts';

/** What one plan of a job takes more or less than another, in a line. */
@Component({
  selector: 'ls-differences',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<span>{{ text() }}</span>`,
  styles: `
    :host {
      display: block;
      font-size: var(--small);
      max-width: 190px;
      line-height: 1.3;
    }
  `,
})
export class Differences {
  private readonly texts = inject(Texts);
  private readonly format = inject(Format);
  readonly from = input.required<JobFigures>();
  readonly to = input.required<JobFigures>();

  protected readonly text = computed(() => {
    const [a, b] = [this.from(), this.to()];
    const { volume, hours, money } = this.format;
    const parts: string[] = [];
    const add = (delta: number, shown: (n: number) => string, least: number) => {
      if (Math.abs(delta) >= least) parts.push(`${delta < 0 ? '−' : '+'}\u2060${shown(Math.abs(delta))}`);
    };
    add(b.coats - a.coats, (n) => this.texts.t('compare.more-coats', { n }), 1);
    add(b.wetL - a.wetL, volume, 0.05);
    add(b.days - a.days, (n) => this.texts.t('compare.more-days', { n }), 1);
    add(b.labourMin - a.labourMin, hours, 3);
    add(b.goods + b.labour - a.goods - a.labour, money, 1);
    add(b.dustKg - a.dustKg, (kg) => this.texts.t('compare.dust', { mass: this.format.mass(kg) }), 0.1);
    // A number stays with its unit where the line breaks.
    return parts.length > 0
      ? parts.map((part) => part.replace(/ /g, '\u00a0')).join(' · ')
      : this.texts.t('compare.same');
  });
}
