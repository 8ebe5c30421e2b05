import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { applyChanges, CHOICES, FIGURE_KEYS, inJob, labelOf, LIMITS, say, type FigureKey } from '@lisse/core';
// eslint-disable-next-line no-restricted-imports -- one's own figures are set beside the typical ones
import { TYPICAL } from '@lisse/core';
import { Texts } from '../state/texts';
import { TextInput } from '../ui/text-input';
import { AmountInput } from '../ui/amount-input';
import { NumberInput } from '../ui/number-input';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { shownUnit } from './figure-units';

/** Three figures, and no finer than a thousandth unless there is nothing else of it. */
const rounded = (n: number): string =>
  String(
    Math.abs(n) < 0.01 || Math.abs(n) >= 1
      ? Number(n.toPrecision(Math.abs(n) < 1 ? 1 : 3))
      : Math.round(n * 1000) / 1000,
  );

/** The tools a width is usual with, where it is one of some tools only. */
const toolsOf = (key: FigureKey) => CHOICES.tools.find((tools) => key.endsWith(`-${tools}`));

/** Every figure plans are made with: typical until it is the user's own. */
@Component({
  imports: [AmountInput, NumberInput, TextInput],
  selector: 'ls-figures',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details>
      <summary>
        {{ texts.t('figures.title') }}
        <span class="soft small">{{ texts.t('figures.own', { count: ownCount() }) }}</span>
      </summary>
      <p class="soft small">{{ texts.t('figures.empty') }}</p>
      <ls-text class="find" [label]="texts.t('figures.find')" [live]="true" (changed)="find.set($event)" />
      <div class="two">
        <ls-text
          [label]="texts.t('figures.money')"
          [letters]="8"
          [placeholder]="format.units() === 'metric' ? '€' : '$'"
          [value]="shop()?.money ?? ''"
          (changed)="setMoney($event)"
        />
        <ls-amount
          of="mass"
          [label]="texts.t('figures.lift')"
          [optional]="true"
          [limit]="limits.shop.liftKg"
          [value]="shop()?.liftKg"
          (changed)="setLift($event)"
        />
      </div>
      <div class="list">
        @for (row of rows(); track row.key) {
          <div class="figure-row">
            <span>
              {{ row.label }}
              <span class="origin small" [class.typical]="row.own === undefined">{{ row.origin }}</span>
            </span>
            @if (row.celsius) {
              <ls-amount
                of="temperature"
                [label]="row.label"
                [hideLabel]="true"
                [optional]="true"
                [limit]="row.limit"
                [placeholder]="row.typical"
                [value]="row.own"
                (changed)="set(row.key, $event)"
              />
            } @else {
              <ls-number
                [label]="row.label"
                [hideLabel]="true"
                [optional]="true"
                [limit]="row.limit"
                [per]="row.unit.per"
                [placeholder]="row.typical"
                [value]="row.own"
                (changed)="set(row.key, $event)"
              />
            }
            <span class="soft small">{{ texts.say(row.unit.name) }}</span>
          </div>
        } @empty {
          <p class="soft">{{ texts.t('figures.none') }}</p>
        }
      </div>
    </details>
  `,
  styles: `
    :host {
      display: block;
      margin-top: 18px;
    }
    summary {
      cursor: pointer;
      font-weight: 650;
      font-size: var(--lead);
    }
    .find {
      max-width: 260px;
      margin: 6px 0;
    }
    .two {
      display: grid;
      grid-template-columns: 150px 320px;
      align-items: end;
      gap: var(--apart);
      margin: 6px 0;
    }
    .list {
      columns: 2;
      column-gap: var(--wide);
    }
    .figure-row {
      display: grid;
      grid-template-columns: 1fr 92px 84px;
      gap: var(--close);
      align-items: center;
      padding: 3px 0;
      border-bottom: 1px solid var(--hair);
      break-inside: avoid;
      font-size: var(--text);
    }
    .origin {
      display: block;
    }
    .typical {
      color: var(--caution);
    }
    @media (max-width: 1000px) {
      .two {
        grid-template-columns: 1fr;
      }
      .list {
        columns: 1;
      }
    }
  `,
})
export class FigureList {
  protected readonly texts = inject(Texts);
  protected readonly limits = LIMITS;
  protected readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  protected readonly find = signal('');
  protected readonly shop = computed(() => this.jobs.job()?.shop);
  private readonly own = computed(() => this.jobs.job()?.shop?.figures ?? {});
  protected readonly ownCount = computed(() => FIGURE_KEYS.filter((key) => key in this.own()).length);

  protected readonly rows = computed(() => {
    const find = this.find().trim().toLowerCase();
    const tools = this.jobs.job()?.way.tools;
    // Widths of tools that this job is not worked with wait until it is, unless they were set.
    return FIGURE_KEYS.filter((key) => {
      const of = toolsOf(key);
      return of === undefined || of === tools || key in this.own();
    })
      .map((key) => {
        const { value, source, least, most } = TYPICAL[key];
        const unit = shownUnit(TYPICAL[key], this.format.units());
        const own = this.own()[key];
        return {
          key,
          unit,
          own,
          limit: { least, most },
          label: this.texts.say(labelOf(key)),
          celsius: TYPICAL[key].unit === 'C',
          typical: TYPICAL[key].unit === 'C' ? this.format.temperature(value) : rounded(value / unit.per),
          origin:
            own === undefined
              ? this.texts.t('origin.rests', { source: say(`source.${source}`) })
              : this.texts.t('figures.yours'),
        };
      })
      .filter(({ label }) => label.toLowerCase().includes(find));
  });

  protected setMoney(text: string): void {
    const value = text.trim() === '' ? undefined : text.trim();
    this.jobs.edit('undo.change-money', (job) => applyChanges(job, [inJob(['shop', 'money'], value)]));
  }

  protected setLift(value: number | undefined): void {
    this.jobs.edit('undo.change-one-carries', (job) => applyChanges(job, [inJob(['shop', 'liftKg'], value)]));
  }

  protected set(key: FigureKey, value: number | undefined): void {
    this.jobs.edit(say('undo.change', { what: labelOf(key) }), (job) =>
      applyChanges(job, [inJob(['shop', 'figures', key], value)]),
    );
  }
}
