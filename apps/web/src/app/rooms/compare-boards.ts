import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  LAYOUT_VARIANTS,
  withBoards,
  say,
  type LayoutSummary,
  type Job,
  type LayoutVariant,
  type Room,
  type Message,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { Segmented } from '../ui/segmented';
import { asked } from '../worker/asked';
import { CoreClient } from '../worker/core-client';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { ViewStore } from '../state/view.store';

interface Line {
  variant: LayoutVariant;
  summary: LayoutSummary | undefined;
}

type Key = keyof LayoutSummary;

/** Ways to board a room or the whole job, side by side; one press takes one. */
@Component({
  selector: 'ls-compare-boards',
  imports: [Segmented],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="bar">
      <ls-segmented
        [label]="texts.t('boards.compare')"
        [options]="scopes()"
        [value]="whole()"
        (changed)="whole.set($event)"
      />
      @if (left() > 0) {
        <p class="small soft" role="status">
          {{ texts.t('boards.laying', { done: lines().length - left(), all: lines().length }) }}
          <button type="button" class="link" (click)="asked.stop()">{{ texts.t('boards.stop') }}</button>
        </p>
      }
    </div>
    <div class="scroll">
      <table>
        <thead>
          <tr>
            <th scope="col">{{ texts.t('boards.boards') }}</th>
            <th scope="col" class="bar-head">{{ texts.t('boards.butts') }}</th>
            @for (column of columns; track column.key) {
              <th scope="col" class="n">{{ texts.say(column.name) }}</th>
            }
            <th scope="col">
              <span class="sr">{{ texts.t('boards.use') }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          @for (line of lines(); track line.variant.id) {
            <tr [class.now]="line.variant.id === 'now'">
              <th scope="row">{{ texts.say(name(line.variant)) }}</th>
              <td class="graph" [class.best]="best('buttMm', line)">
                @if (line.summary; as s) {
                  <svg width="60" height="14" aria-hidden="true">
                    <rect x="0" y="3" height="8" [attr.width]="share(s) * 60" />
                  </svg>
                  <span class="figure">{{ format.run(s.buttMm) }}</span>
                }
              </td>
              @for (column of columns; track column.key) {
                <td class="n" [class.best]="best(column.key, line)">
                  {{ line.summary ? column.print(line.summary[column.key]) : '' }}
                </td>
              }
              <td>
                @if (line.variant.id !== 'now' && line.summary) {
                  <button
                    type="button"
                    class="quiet"
                    [attr.aria-label]="texts.t('undo.take', { what: name(line.variant) })"
                    (click)="take(line.variant)"
                  >
                    {{ texts.t('boards.use') }}
                  </button>
                }
              </td>
            </tr>
          }
        </tbody>
      </table>
    </div>
    <p class="small soft foot">
      {{ texts.t('boards.every-layout-keeps') }}
    </p>
  `,
  styles: `
    :host {
      display: flex;
      flex-direction: column;
      height: 100%;
      min-height: 0;
    }
    .bar {
      display: flex;
      flex-wrap: wrap;
      gap: var(--close) var(--gap);
      align-items: center;
      padding: 8px 18px;
    }
    .scroll {
      position: relative;
      overflow: auto;
      padding: 0 18px;
    }
    table {
      border-collapse: collapse;
      width: 100%;
      font-size: var(--text);
    }
    th,
    td {
      padding: 7px 8px;
      border-bottom: 1px solid var(--hair);
      text-align: left;
      white-space: nowrap;
    }
    thead th {
      font-weight: 550;
      color: var(--soft);
    }
    tbody th {
      font-weight: 650;
    }
    .n {
      text-align: right;
    }
    .best {
      font-weight: 700;
      text-decoration: underline;
      text-decoration-color: var(--good);
      text-underline-offset: 3px;
    }
    .now th {
      color: var(--accent);
    }
    .graph svg {
      vertical-align: middle;
      margin-right: 8px;
    }
    rect {
      fill: var(--coat-fill);
    }
    .foot {
      padding: 10px 18px;
      max-width: 640px;
    }
  `,
})
export class CompareBoards {
  protected readonly texts = inject(Texts);
  private readonly jobs = inject(JobStore);
  private readonly core = inject(CoreClient);
  protected readonly view = inject(ViewStore);
  protected readonly format = inject(Format);

  protected readonly whole = signal(false);
  protected readonly scopes = computed(() => [
    { value: false, name: this.view.room()?.name ?? '' },
    { value: true, name: say('boards.whole-job') },
  ]);
  protected readonly asked = asked(
    () => {
      const job = this.jobs.job();
      const room = this.whole() ? undefined : this.view.room()?.id;
      return job && { job, rooms: job.rooms.filter((one) => room === undefined || one.id === room) };
    },
    ({ job, rooms }) => summarise(this.core, job, rooms),
  );
  private readonly summaries = computed(() => this.asked.answer() ?? new Map<string, LayoutSummary>());
  protected readonly lines = computed<Line[]>(() =>
    LAYOUT_VARIANTS.map((variant) => ({ variant, summary: this.summaries().get(variant.id) })),
  );
  protected readonly left = computed(() =>
    this.asked.busy() ? this.lines().filter((line) => !line.summary).length : 0,
  );
  protected readonly columns: readonly { key: Key; name: Message; print: (n: number) => string }[] = [
    { key: 'taperedMm', name: say('boards.flats'), print: (n) => this.format.run(n) },
    { key: 'boards', name: say('boards.sheets'), print: (n) => String(n) },
    { key: 'waste', name: say('boards.waste'), print: (n) => this.format.percent(n) },
    { key: 'tapeMm', name: say('boards.tape'), print: (n) => this.format.run(n) },
    { key: 'wetL', name: say('boards.mud'), print: (n) => this.format.volume(n) },
    { key: 'labourMin', name: say('boards.work'), print: (n) => this.format.hours(n) },
  ];

  /** The other width by its size, where the rooms agree on it. */
  protected name(variant: LayoutVariant): Message {
    const job = this.jobs.job();
    const only = this.whole() ? undefined : this.view.room()?.id;
    const rooms = (job?.rooms ?? []).filter((room) => only === undefined || room.id === only);
    const widths = new Set(rooms.map((room) => variant.board(room.board, this.format.units()).widthMm));
    const [width] = widths;
    return variant.id === 'other-width' && widths.size === 1 && width !== undefined
      ? say('variant.wide', { width })
      : say(`variant.${variant.id}`);
  }

  protected share({ buttMm }: LayoutSummary): number {
    const most = Math.max(...[...this.summaries().values()].map((s) => s.buttMm), 1);
    return buttMm / most;
  }

  protected best(key: Key, { summary }: Line): boolean {
    const all = [...this.summaries().values()];
    if (!summary || all.length < LAYOUT_VARIANTS.length) return false;
    const least = Math.min(...all.map((s) => s[key]));
    return summary[key] <= least * 1.0001 && all.some((s) => s[key] > least * 1.001);
  }

  protected take(variant: LayoutVariant): void {
    const only = this.whole() ? undefined : this.view.room()?.id;
    const units = this.format.units();
    this.jobs.edit(say('undo.board', { how: say(`variant.${variant.id}`) }), (job) => {
      for (const room of job.rooms)
        if (only === undefined || room.id === only) room.board = variant.board(room.board, units);
    });
  }
}

/** Each way of boarding as it is reckoned, none at first. */
async function* summarise(core: CoreClient, job: Job, rooms: readonly Room[]) {
  const summaries = new Map<string, LayoutSummary>();
  yield summaries;
  for (const variant of LAYOUT_VARIANTS) {
    const boarded = rooms.map((one) => withBoards(one, variant, job.units));
    summaries.set(variant.id, await core.summary({ ...job, rooms: boarded }));
    yield new Map(summaries);
  }
}
