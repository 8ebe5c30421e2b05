import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import {
  bringFor,
  endOfDayFor,
  localOf,
  potsOf,
  say,
  standing,
  tasksOn,
  TOOL,
  waitsOf,
  type CompoundId,
  type DayRoom,
  type Message,
  type ToolId,
} from '@lisse/core';
import { Clock } from '../state/clock';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { LogStore } from '../state/log.store';
import { Me } from '../state/me';
import { PlanStore } from '../state/plan.store';
import { PotsStore } from '../state/pots.store';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { STEP_NAME } from '../ui/words';
import { ofDay } from './of-day';
import { cellsOf, TodayStore } from './today.store';

/** Today, morning and evening: what to bring in the van, and what is seen to before one leaves. */
@Component({
  selector: 'ls-day-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="large">
      <div class="column">
        <section [attr.aria-label]="texts.t('day.morning')">
          <h1>{{ texts.say(heading()) }}</h1>
          @if (tasks().length === 0) {
            <p class="one">{{ texts.t('day.nothing') }}</p>
          }
          <ol class="work">
            @for (task of tasks(); track task.id) {
              <li>
                <b class="figure">{{ task.start.slice(0, 10) === day() ? format.clock(task.start) : '' }}</b>
                <span>{{
                  texts.t('today.line', { step: steps[task.step], room: store.names().get(task.room) ?? '' })
                }}</span>
              </li>
            }
          </ol>
          @if (bring(); as bring) {
            @if (bring.muds.length + bring.tools.length + bring.more.length > 0) {
              <h2>{{ texts.t('day.bring') }}</h2>
              <ul>
                @for (mud of bring.muds; track mud.compound) {
                  <li>
                    <button
                      type="button"
                      class="tick"
                      [attr.aria-pressed]="has(mud.compound)"
                      (click)="turn(mud.compound)"
                    >
                      <i aria-hidden="true">{{ has(mud.compound) ? '✓' : '' }}</i>
                      <span>
                        <b>{{
                          texts.t('day.mud', { compound: compound(mud.compound), litres: mud.litres })
                        }}</b>
                        @for (lot of mud.lots.slice(0, 2); track lot.id) {
                          <span class="soft">{{
                            texts.t('day.lot', {
                              lot: lot.code ?? lot.note ?? '',
                              left: lot.left,
                              first: $first ? 'yes' : 'no',
                            })
                          }}</span>
                        }
                      </span>
                    </button>
                  </li>
                }
                @for (tool of bring.tools; track tool) {
                  <li>
                    <button type="button" class="tick" [attr.aria-pressed]="has(tool)" (click)="turn(tool)">
                      <i aria-hidden="true">{{ has(tool) ? '✓' : '' }}</i>
                      <span>{{ toolName(tool) }}</span>
                    </button>
                  </li>
                }
                @for (more of bring.more; track more.key) {
                  <li>
                    <button
                      type="button"
                      class="tick"
                      [attr.aria-pressed]="has(more.key)"
                      (click)="turn(more.key)"
                    >
                      <i aria-hidden="true">{{ has(more.key) ? '✓' : '' }}</i>
                      <span>{{ texts.say(more) }}</span>
                    </button>
                  </li>
                }
              </ul>
            }
          }
        </section>
      </div>
      <div class="column">
        <section [attr.aria-label]="texts.t('day.evening')">
          <h1>{{ texts.t('day.evening') }}</h1>
          <ul>
            @for (one of leaving(); track one.id) {
              <li [class.now]="one.now">
                <button
                  type="button"
                  class="tick"
                  [attr.aria-pressed]="has('leave.' + one.id)"
                  (click)="turn('leave.' + one.id)"
                >
                  <i aria-hidden="true">{{ has('leave.' + one.id) ? '✓' : '' }}</i>
                  <span>{{ texts.say(one.text) }}</span>
                </button>
              </li>
            }
          </ul>
        </section>
        @if (dries().length > 0) {
          <section [attr.aria-label]="texts.t('day.dries')">
            <h2>{{ texts.t('day.dries') }}</h2>
            <ul class="work">
              @for (task of dries(); track task.id) {
                <li>
                  <b class="figure">{{ format.clock(task.readyLate) }}</b>
                  <span>
                    {{
                      texts.t('today.line', {
                        step: steps[task.step],
                        room: store.names().get(task.room) ?? '',
                      })
                    }}
                    <span class="soft">{{ format.day(task.readyLate) }}</span>
                  </span>
                </li>
              }
            </ul>
          </section>
        }
        @if (tomorrow(); as first) {
          <section [attr.aria-label]="texts.t('day.then')">
            <h2>{{ texts.t('day.then') }}</h2>
            <p class="one">
              {{
                texts.t('day.first', {
                  at: format.time(first.start),
                  step: steps[first.step],
                  room: store.names().get(first.room) ?? '',
                })
              }}
            </p>
          </section>
        }
      </div>
    </div>
  `,
  styleUrl: '../ui/large.css',
  styles: `
    button span span {
      display: block;
      font-size: var(--lead);
    }
    .now button {
      background: var(--stop-wash);
      padding-left: 8px;
    }
    .work li {
      display: grid;
      grid-template-columns: 92px 1fr;
      gap: var(--close);
      align-items: baseline;
      padding: 6px 0;
      border-top: 1px solid var(--hair);
      font-size: var(--large);
    }
    .work b {
      font-size: var(--head);
    }
    .work .soft {
      display: block;
      font-size: var(--lead);
    }
    h2 {
      margin-top: 14px;
    }
  `,
})
export class DayPage {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly store = inject(TodayStore);
  private readonly plans = inject(PlanStore);
  private readonly jobs = inject(JobStore);
  private readonly logs = inject(LogStore);
  private readonly view = inject(ViewStore);
  private readonly clock = inject(Clock);
  private readonly pots = inject(PotsStore);
  private readonly me = inject(Me);
  protected readonly steps = STEP_NAME;
  private readonly ticked = ofDay('day');

  private readonly open = computed(() =>
    (this.store.days()?.tasks ?? []).filter(({ state }) => state !== 'done'),
  );
  /** Today, or the first day there is something to do on where that is later. */
  protected readonly day = computed(() => {
    const first = this.open()
      .map(({ start }) => start.slice(0, 10))
      .sort()[0];
    return first === undefined || first < this.clock.today() ? this.clock.today() : first;
  });
  protected readonly heading = computed((): Message =>
    this.day() === this.clock.today()
      ? say('day.morning')
      : say('day.morning-of', { day: this.format.day(this.day()) }),
  );
  protected readonly tasks = computed(() => {
    const days = this.store.days();
    return days ? tasksOn(days, this.day(), this.me.person()?.id) : [];
  });

  protected readonly bring = computed(() => {
    const [plan, job] = [this.plans.plan(), this.jobs.job()];
    if (!plan || !job) return undefined;
    const rooms = this.tasks().flatMap((task): DayRoom[] => {
      const [room, one] = [this.store.roomOf(task), plan.rooms.find(({ id }) => id === task.room)];
      return room && one
        ? [
            {
              id: `${task.id}`,
              name: room.name,
              heightMm: room.plan.heightMm,
              steps: one.steps,
              cells: cellsOf(task, one),
              tapeMm: one.use.tapeMm,
              beads: one.use.beads.length,
            },
          ]
        : [];
    });
    // A room stands for each of its tasks with the cells of that task alone.
    const tasks = this.tasks().map((task) => ({ ...task, room: task.id }));
    return bringFor(tasks, rooms, this.store.lots(), job.way, this.day());
  });

  /** What was worked with today, by the log. */
  protected readonly leaving = computed(() => {
    const today = standing(this.logs.entries()).filter((entry) =>
      localOf(entry).startsWith(this.clock.today()),
    );
    const book = this.view.book();
    const pots = potsOf(this.logs.entries());
    const mixed = today.filter(({ kind }) => kind === 'mixed');
    const done = (this.store.days()?.tasks ?? []).filter(
      ({ state, end }) => state !== 'planned' && end.startsWith(this.clock.today()),
    );
    return endOfDayFor(
      {
        pots,
        set: mixed.some(({ setMin }) => setMin !== undefined) || done.some(({ how }) => how === 'setting'),
        dried:
          mixed.some(
            ({ compound }) => compound !== undefined && book.compounds[compound].hardens === 'drying',
          ) || done.some(({ how }) => how === 'drying'),
        machine: this.jobs.job()?.way.tools === 'machine',
        sanded: done.some(({ step }) => step === 'sand'),
        coldC: book.coldC.value,
      },
      this.pots.nowMs() || this.clock.whatTime().getTime(),
    );
  });
  protected readonly dries = computed(() => {
    const days = this.store.days();
    return days ? waitsOf(days, this.clock.now()) : [];
  });
  /** The first task of the next day that is worked. */
  protected readonly tomorrow = computed(
    () =>
      this.open()
        .filter(
          ({ start, people }) =>
            start.slice(0, 10) > this.clock.today() &&
            (this.me.person() === undefined || people.includes(this.me.person()?.id ?? '')),
        )
        .sort((a, b) => (a.start < b.start ? -1 : 1))[0],
  );

  protected compound = (id: CompoundId): Message => say(`compound.${id}`);
  protected toolName(id: ToolId): string {
    const { widthMm, kind } = TOOL[id];
    const tool = say(`tool.${kind}`);
    return this.texts.say(
      widthMm === undefined ? say('day.tool', { tool }) : say('day.blade', { wide: widthMm, tool }),
    );
  }

  protected has = (of: string): boolean => this.ticked.all().includes(of);
  protected turn(of: string): void {
    const all = this.ticked.all();
    this.ticked.set(all.includes(of) ? all.filter((one) => one !== of) : [...all, of]);
  }
}
