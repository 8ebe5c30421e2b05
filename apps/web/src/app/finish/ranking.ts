import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import {
  MARKS,
  rankCompounds,
  slowestSubstrate,
  WEIGHTS,
  type AreaPlan,
  type BoardRow,
  type Cell,
  type CompoundId,
  type Mark,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import { fitName } from '../ui/words';

/** Every class for one coat, the best first, with what each was weighed by. */
@Component({
  selector: 'ls-ranking',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ol>
      @for (entry of shown(); track entry.compound; let i = $index) {
        <li [class.barred]="entry.barred">
          <button
            type="button"
            class="line"
            [attr.aria-expanded]="open() === entry.compound"
            (click)="open.set(open() === entry.compound ? undefined : entry.compound)"
          >
            <span class="name">
              {{ texts.say(fitName(entry.fit, entry.name)) }}
              @if (entry.compound === cell().compound) {
                <em>{{ texts.t('rank.now') }}</em>
              }
              @if (entry.product; as product) {
                <span class="soft">{{ product }}</span>
              }
            </span>
            @if (entry.barred) {
              <span class="soft small">{{ texts.say(entry.barred) }}</span>
            } @else {
              <span class="figure">{{ score(entry.total) }}</span>
            }
          </button>
          @if (!entry.barred) {
            <svg viewBox="0 0 100 5" preserveAspectRatio="none" aria-hidden="true">
              <rect class="all" width="100" height="5" />
              <rect class="bar" [attr.width]="entry.total * 100" height="5" />
            </svg>
          }
          @if (open() === entry.compound) {
            <table>
              <thead>
                <tr>
                  <th scope="col">{{ texts.t('rank.scored') }}</th>
                  <th scope="col">{{ texts.t('rank.weight') }}</th>
                  <th scope="col">{{ texts.t('rank.mark') }}</th>
                </tr>
              </thead>
              <tbody>
                @for (mark of marks(); track mark) {
                  <tr>
                    <th scope="row">
                      {{ markName(mark) }} <span class="soft">{{ texts.say(entry.marks[mark].why) }}</span>
                    </th>
                    <td>{{ format.percent(weights()[mark]) }}</td>
                    <td>{{ score(entry.marks[mark].value) }}</td>
                  </tr>
                }
              </tbody>
            </table>
            <p class="small soft">
              {{ texts.t('rank.ready', { wait: format.duration(entry.hours * 60) }) }}
            </p>
            @if (!entry.barred && entry.compound !== cell().compound) {
              <button type="button" class="quiet" (click)="taken.emit(entry.compound)">
                {{ texts.t('ranking.use', { compound: entry.name }) }}
              </button>
            }
          }
        </li>
      }
    </ol>
    @if (!all()) {
      <button type="button" class="link" (click)="all.set(true)">{{ texts.t('rank.all-types') }}</button>
    }
  `,
  styles: `
    li {
      padding: 3px 0;
    }
    .line {
      display: flex;
      width: 100%;
      gap: var(--close);
      justify-content: space-between;
      align-items: baseline;
      border: 0;
      background: none;
      padding: 2px 0;
      text-align: left;
      font-size: var(--text);
      cursor: pointer;
    }
    em {
      color: var(--accent);
      font-style: normal;
      font-weight: 600;
    }
    .name {
      font-weight: 550;
    }
    .barred .name {
      font-weight: 400;
      color: var(--soft);
    }
    svg {
      display: block;
      width: 100%;
      height: 5px;
    }
    .all {
      fill: var(--hair);
    }
    .bar {
      fill: var(--coat-tape);
    }
    table {
      width: 100%;
      border-collapse: collapse;
      font-size: var(--small);
      margin: 4px 0;
    }
    th {
      text-align: left;
      font-weight: 400;
    }
    thead th {
      color: var(--soft);
    }
    td {
      text-align: right;
      vertical-align: top;
      padding-left: 8px;
    }
    @media screen and (max-width: 760px) {
      .line {
        min-height: 44px;
        align-items: center;
      }
    }
  `,
})
export class Ranking {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  private readonly view = inject(ViewStore);
  private readonly plans = inject(PlanStore);
  readonly area = input.required<AreaPlan>();
  readonly row = input.required<BoardRow>();
  readonly cell = input.required<Cell>();
  readonly taken = output<CompoundId>();
  protected readonly open = signal<CompoundId | undefined>(undefined);
  protected readonly all = signal(false);
  protected readonly markName = (mark: Mark): string => this.texts.t(`rank.mark-${mark}`);
  protected readonly fitName = fitName;

  protected readonly weights = computed(() => WEIGHTS[this.cell().coat]);
  protected readonly marks = computed(() => MARKS.filter((mark) => this.weights()[mark] > 0));

  private readonly late = computed(() => {
    const by = this.jobs.job()?.calendar.deadline;
    const ready = this.plans.plan()?.days.finish?.slice(0, 10);
    return by !== undefined && ready !== undefined && ready > by;
  });

  private readonly ranked = computed(() => {
    const job = this.jobs.job();
    const room = this.view.room();
    if (!job || !room) return [];
    const [row, cell] = [this.row(), this.cell()];
    const use = this.area().use.uses.find((u) => u.row === row.id && u.coat === cell.coat);
    return rankCompounds({
      job,
      row,
      cell,
      layerMm: use?.layerMm ?? 0,
      waitsMm: use?.waitsMm ?? [],
      wetL: use?.wetL ?? 0,
      substrate: slowestSubstrate(room, this.area().faces),
      late: this.late(),
      book: this.view.book(),
    });
  });
  protected readonly shown = computed(() => (this.all() ? this.ranked() : this.ranked().slice(0, 5)));

  protected score(share: number): string {
    return this.format.number(share * 10, 1, 1);
  }
}
