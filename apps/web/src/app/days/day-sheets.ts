import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { coatOf, type Coat, type DayTask, type Message, type Plan } from '@lisse/core';
import { Format } from '../state/format';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { drawRun, type RunDrawing } from '../ui/run-drawing';
import { STEP_NAME } from '../ui/words';

interface Sheet {
  key: string;
  date: string;
  who: string;
  tasks: DayTask[];
  cautions: Message[];
}

/** What is mixed alike for a task, and when. */
interface Mixed {
  compound: Message;
  litres: string;
  at: string[];
  how: { powder: string; water: string; work: number; clean: number } | undefined;
}

const minutesBetween = (from: string, to: string): number =>
  (Date.parse(`${to}Z`) - Date.parse(`${from}Z`)) / 60000;

/** Size of the drawing of a run, px, and the space round it. */
const RUN = { width: 230, height: 170, pad: 8 };

/**
 * A sheet of paper for each person and day, to be read off a wall: what to do where and when, what to mix, the order of
 * the joints, and what to mind. Short days share a page. Only printed.
 */
@Component({
  selector: 'ls-day-sheets',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (sheet of sheets(); track sheet.key) {
      <section class="sheet">
        <header>
          <h2>{{ sheet.who }}</h2>
          <p class="day">{{ format.day(sheet.date) }}</p>
          <p class="soft">{{ job() }}</p>
        </header>
        @for (task of sheet.tasks; track task.id) {
          <article>
            <p class="when">
              {{ clock(task.start, sheet.date) }}
              <span>{{ texts.t('days.paper.until', { end: clock(task.end, sheet.date) }) }}</span>
            </p>
            <div>
              <h3>
                {{
                  texts.t('days.paper.task', { step: steps[task.step], room: names().get(task.room) ?? '' })
                }}
              </h3>
              <p>{{ rows(task) }}</p>
              @for (mix of mixes(task); track $index) {
                <div class="mix">
                  <p>
                    {{
                      texts.t('days.paper.mix', {
                        n: mix.at.length,
                        litres: mix.litres,
                        compound: mix.compound,
                      })
                    }}
                    @if (mix.how; as how) {
                      <span class="soft">{{ texts.t('days.paper.how', how) }}</span>
                    }
                  </p>
                  <ul>
                    @for (at of mix.at; track at) {
                      <li>{{ at }}</li>
                    }
                  </ul>
                </div>
              }
              <ul>
                <li class="done">{{ texts.t('days.act.done') }}</li>
                @if (task.how !== 'none') {
                  <li class="next">
                    {{ texts.t('days.paper.next', { at: clock(task.readyLate, sheet.date) }) }}
                  </li>
                }
              </ul>
            </div>
            @if (drawings().get(task.room + task.step); as run) {
              <svg [attr.viewBox]="'0 0 ' + size.width + ' ' + size.height" aria-hidden="true">
                @for (face of run.drawn.faces; track $index) {
                  <path class="face" [attr.d]="face" />
                }
                @for (stop of run.drawn.stops; track stop.id) {
                  <path class="joint" [attr.data-coat]="run.coat" [attr.d]="stop.path" />
                }
                @for (stop of run.drawn.stops; track stop.id) {
                  @if (!stop.short) {
                    <text [attr.x]="stop.x" [attr.y]="stop.y">{{ stop.n }}</text>
                  }
                }
              </svg>
            }
          </article>
        }
        @if (sheet.cautions.length > 0) {
          <ul class="cautions">
            @for (caution of sheet.cautions; track caution.key) {
              <li>{{ texts.say(caution) }}</li>
            }
          </ul>
        }
      </section>
    }
  `,
  styles: `
    :host {
      display: none;
    }
    @media print {
      :host {
        display: block;
      }
    }
    .sheet {
      font-size: var(--large);
      padding: 10px 0 16px;
    }
    .sheet + .sheet {
      border-top: 1px dashed var(--line);
    }
    header {
      display: flex;
      align-items: baseline;
      gap: var(--gap);
      border-bottom: 3px solid;
      break-after: avoid;
    }
    h2,
    .day {
      font-size: var(--figure);
      font-weight: 700;
    }
    header .soft {
      margin-left: auto;
      text-align: right;
    }
    article {
      display: grid;
      grid-template-columns: 112px minmax(0, 1fr) auto;
      gap: var(--gap);
      padding: 10px 0;
      border-bottom: 1px solid var(--line);
      break-inside: avoid;
    }
    .when {
      font-size: var(--title);
      font-weight: 700;
      white-space: nowrap;
    }
    .when span {
      display: block;
      font-size: var(--large);
      font-weight: 400;
    }
    h3 {
      font-size: var(--title);
    }
    article ul {
      display: flex;
      flex-wrap: wrap;
      gap: 0 var(--apart);
    }
    article li {
      padding: 2px 0 2px 22px;
      position: relative;
    }
    article li::before {
      content: '';
      position: absolute;
      left: 1px;
      top: 5px;
      width: 14px;
      height: 14px;
      border: 1.5px solid;
    }
    .mix {
      padding: 2px 0 4px;
    }
    .mix span {
      display: block;
    }
    article .next {
      padding-left: 0;
    }
    article .next::before {
      content: none;
    }
    .done {
      font-weight: 650;
    }
    svg {
      width: 230px;
      height: 170px;
    }
    .face {
      fill: none;
      stroke: var(--line);
    }
    .joint {
      stroke: var(--tone);
      stroke-width: 3;
    }
    text {
      font-size: var(--fine);
      font-weight: 650;
      text-anchor: middle;
      dominant-baseline: central;
      stroke: #fff;
      stroke-width: 3px;
      paint-order: stroke;
    }
    .cautions {
      margin-top: 8px;
      padding-left: 12px;
      border-left: 4px solid;
    }
  `,
})
export class DaySheets {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly book = inject(ViewStore).book;
  readonly plan = input.required<Pick<Plan, 'days' | 'rooms' | 'cautions'>>();
  readonly names = input.required<ReadonlyMap<string, string>>();
  readonly job = input.required<string>();
  protected readonly steps = STEP_NAME;
  protected readonly size = RUN;

  protected readonly sheets = computed((): Sheet[] => {
    const { days, cautions } = this.plan();
    const made = new Map<string, Sheet>();
    for (const { id, name } of days.people)
      for (const task of days.tasks)
        if (task.state !== 'done' && task.people.includes(id))
          for (const date of new Set([task.start.slice(0, 10), task.end.slice(0, 10)])) {
            const key = `${date} ${id}`;
            const who = name ?? this.texts.t('days.person', { id });
            const sheet = made.get(key) ?? { key, date, who, tasks: [], cautions: [] };
            sheet.tasks.push(task);
            made.set(key, sheet);
          }
    for (const sheet of made.values())
      sheet.cautions = cautions
        .filter(
          ({ places, steps }) =>
            places.includes('today') && (!steps || sheet.tasks.some(({ step }) => steps.includes(step))),
        )
        .map(({ short }) => short);
    return [...made.values()].sort((a, b) => (a.key < b.key ? -1 : 1));
  });

  /** The joints of each coat in the order they are run, by room and step. */
  protected readonly drawings = computed(() => {
    const drawn = new Map<string, { coat: Coat; drawn: RunDrawing }>();
    for (const room of this.plan().rooms)
      for (const { step } of this.plan().days.tasks.filter((task) => task.room === room.id)) {
        const coat = coatOf(step);
        const run = room.runs.find((one) => one.coat === coat);
        if (!coat || !run || run.joints.length === 0 || drawn.has(room.id + step)) continue;
        drawn.set(room.id + step, { coat, drawn: drawRun(room, run, RUN.width, RUN.height, RUN.pad) });
      }
    return drawn;
  });

  /** Batches that are mixed alike stand together, each with its time to tick. */
  protected mixes(task: DayTask): Mixed[] {
    const made = new Map<string, Mixed>();
    for (const { at, compound, litres, powderKg, waterL, potEnds, cleanBy } of task.batches) {
      const how =
        powderKg > 0
          ? {
              powder: this.format.mass(powderKg),
              water: this.format.pot(waterL),
              work: minutesBetween(at, potEnds),
              clean: minutesBetween(at, cleanBy),
            }
          : undefined;
      const shown = this.format.pot(litres);
      const key = JSON.stringify([compound, shown, how]);
      const mix = made.get(key) ?? {
        compound: this.book().compounds[compound].name,
        litres: shown,
        at: [],
        how,
      };
      mix.at.push(this.format.clock(at));
      made.set(key, mix);
    }
    return [...made.values()];
  }

  protected rows = ({ rows }: DayTask): string =>
    this.texts.say(rows.map((row) => this.texts.t(`element.${row}`)));

  /** The hour on the day of the sheet; the day with it on another. */
  protected clock = (time: string, date: string): string =>
    time.startsWith(date) ? this.format.clock(time) : this.format.time(time);
}
