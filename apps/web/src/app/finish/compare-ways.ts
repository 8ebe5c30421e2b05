import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { PRESETS, presetText, say, type JobFigures, type Way, type Message } from '@lisse/core';
import { Texts } from '../state/texts';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { Choice, type Option } from '../ui/choice';
import { asked } from '../worker/asked';
import { CoreClient } from '../worker/core-client';
import { bothWays } from './both-ways';

/** Two ways of working on this job, figure by figure. */
@Component({
  selector: 'ls-compare-ways',
  imports: [Choice],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ texts.t('compare.compare-two-methods') }}</h2>
    <div class="two">
      <ls-choice
        [label]="texts.t('compare.one')"
        [options]="options()"
        [value]="left()"
        (changed)="left.set($event)"
      />
      <ls-choice
        [label]="texts.t('compare.other')"
        [options]="options()"
        [value]="right()"
        (changed)="right.set($event)"
      />
    </div>
    <table [attr.aria-busy]="rows().length === 0">
      <thead class="sr">
        <tr>
          <th scope="col">{{ texts.t('compare.value') }}</th>
          <th scope="col">{{ texts.t('compare.one') }}</th>
          <th scope="col">{{ texts.t('compare.other') }}</th>
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.name) {
          <tr>
            <th scope="row">{{ texts.say(row.name) }}</th>
            <td class="figure" [class.less]="row.better === 0">{{ row.a }}</td>
            <td class="figure" [class.less]="row.better === 1">{{ row.b }}</td>
          </tr>
        }
      </tbody>
    </table>
    @if (failed()) {
      <p class="wrong" role="alert">{{ texts.say(failed() ?? '') }}</p>
    }
    <p class="soft small">{{ texts.t('compare.better-value-bold') }}</p>
    @if (right() !== 'now') {
      <button type="button" class="quiet" (click)="take()">{{ texts.t('compare.use-method-b') }}</button>
    }
  `,
  styles: `
    .two {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: var(--close);
      margin: 6px 0;
    }
    table {
      width: 100%;
      border-collapse: collapse;
      font-size: var(--text);
      min-height: 190px;
    }
    th {
      text-align: left;
      font-weight: 400;
      color: var(--soft);
      padding: 2px 0;
    }
    td {
      text-align: right;
      font-weight: 450;
      width: 33%;
    }
    .less {
      font-weight: 750;
    }
    p {
      margin: 4px 0;
    }
  `,
})
export class CompareWays {
  protected readonly texts = inject(Texts);
  private readonly format = inject(Format);
  private readonly core = inject(CoreClient);
  private readonly jobs = inject(JobStore);
  protected readonly left = signal('now');
  protected readonly right = signal<string>('machine-drying');

  protected readonly options = computed<Option<string>[]>(() => [
    { value: 'now', name: say('ways.now') },
    ...PRESETS.map(({ id }) => ({ value: id, name: presetText(id).name })),
    ...(this.jobs.job()?.shop?.ways ?? []).map(({ id, name }) => ({
      value: id,
      name: say('ways.kept', { name }),
    })),
  ]);

  private wayOf(id: string): Way | undefined {
    const job = this.jobs.job();
    if (id === 'now') return job?.way;
    return (PRESETS.find((p) => p.id === id) ?? job?.shop?.ways?.find((w) => w.id === id))?.way;
  }

  private readonly weighed = asked(
    () => {
      const job = this.jobs.job();
      const [a, b] = [this.wayOf(this.left()), this.wayOf(this.right())];
      return job && a && b && { job, a, b };
    },
    ({ job, a, b }) => bothWays(this.core, job, a, b),
    150,
  );
  protected readonly failed = this.weighed.failed;

  protected readonly rows = computed(() => {
    const both = this.weighed.answer();
    if (!both) return [];
    const { volume, run, hours, mass, money, day } = this.format;
    const row = (
      name: Message,
      of: (f: JobFigures) => number,
      shown: (n: number, f: JobFigures) => string,
    ) => {
      const [a, b] = [of(both[0]), of(both[1])];
      const [x, y] = [shown(a, both[0]), shown(b, both[1])];
      return { name, a: x, b: y, better: x === y ? -1 : a < b ? 0 : 1 };
    };
    return [
      row(say('compare.row-mud'), (f) => f.wetL, volume),
      row(say('compare.row-tape'), (f) => f.tapeMm, run),
      row(say('compare.row-coats'), (f) => f.coats, String),
      row(say('compare.row-labor'), (f) => f.labourMin, hours),
      row(
        say('compare.row-ready'),
        (f) => f.days,
        (_, f) => (f.ready ? day(f.ready) : '–'),
      ),
      row(say('compare.row-days'), (f) => f.days, String),
      row(say('compare.row-dust'), (f) => f.dustKg, mass),
      row(say('compare.row-materials'), (f) => f.goods, money),
      row(say('compare.row-total'), (f) => f.goods + f.labour, money),
      row(
        say('compare.row-advice'),
        (f) => f.stops * 100 + f.warnings,
        (_, f) => this.texts.t('compare.stops-warnings', { stops: f.stops, warnings: f.warnings }),
      ),
    ];
  });

  protected take(): void {
    const way = this.wayOf(this.right());
    const name = this.options().find((o) => o.value === this.right())?.name ?? '';
    if (!way) return;
    const copy = structuredClone(way);
    this.jobs.edit(say('undo.work-by', { way: name }), (job) => (job.way = copy));
    this.right.set('now');
  }
}
