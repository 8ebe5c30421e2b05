import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
// eslint-disable-next-line no-restricted-imports -- one's own figures are set beside the typical ones
import { applyChanges, LIMITS, TYPICAL, labelOf, say, type FigureKey, inJob } from '@lisse/core';
import { Texts } from '../state/texts';
import { TextInput } from '../ui/text-input';
import { NumberInput } from '../ui/number-input';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';

/** Every figure plans are made with: typical until it is the user's own. */
@Component({
  imports: [NumberInput, TextInput],
  selector: 'ls-figures',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details>
      <summary>
        Figures the plan is made with
        <span class="soft small">{{ ownCount() ? ownCount() + ' of your own' : 'all typical' }}</span>
      </summary>
      <p class="soft small">
        Millimetres, litres, hours and money; shares of one. An empty field is the typical figure again.
      </p>
      <ls-text class="find" label="Find" [live]="true" (changed)="find.set($event)" />
      <div class="two">
        <ls-text
          label="Money is counted in"
          [letters]="8"
          [placeholder]="format.units() === 'metric' ? '€' : '$'"
          [value]="shop()?.money ?? ''"
          (changed)="setMoney($event)"
        />
        <ls-number
          label="Buy no package over, kg, where a lighter one is sold"
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
              {{ row.label }} <span class="soft small">{{ row.unit }}</span>
              <span class="origin small" [class.typical]="!row.own">{{ row.own ? 'yours' : 'typical' }}</span>
            </span>
            <ls-number
              [label]="row.label"
              [hideLabel]="true"
              [optional]="true"
              [limit]="row"
              [placeholder]="row.typical"
              [value]="row.own"
              (changed)="set(row.key, $event)"
            />
          </div>
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
      font-size: 15px;
    }
    .find {
      max-width: 260px;
      margin: 6px 0;
    }
    .two {
      display: grid;
      grid-template-columns: 150px 320px;
      gap: 12px;
      margin: 6px 0;
    }
    .list {
      columns: 2;
      column-gap: 30px;
    }
    .figure-row {
      display: grid;
      grid-template-columns: 1fr 92px;
      gap: 10px;
      align-items: center;
      padding: 3px 0;
      border-bottom: 1px solid var(--hair);
      break-inside: avoid;
      font-size: 13px;
    }
    .origin {
      margin-left: 6px;
    }
    .typical {
      color: var(--caution);
    }
    @media (max-width: 900px) {
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
  protected readonly ownCount = computed(
    () => Object.keys(TYPICAL).filter((key) => key in this.own()).length,
  );

  protected readonly rows = computed(() =>
    (Object.keys(TYPICAL) as FigureKey[])
      .map((key) => ({
        key,
        ...TYPICAL[key],
        label: this.texts.say(labelOf(key)),
        own: this.own()[key],
        typical: String(TYPICAL[key].value),
      }))
      .filter(({ label }) => label.toLowerCase().includes(this.find().trim().toLowerCase())),
  );

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
