import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import {
  AIRS,
  LIMITS,
  coatOf,
  given,
  HANDS,
  input as asInput,
  say,
  type Air,
  type DayTask,
  type Hand,
  type Job,
  type RoomStep,
  type Why,
  type Message,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { AmountInput } from '../ui/amount-input';
import { DayInput } from '../ui/day-input';
import { NumberInput } from '../ui/number-input';
import { Press } from '../ui/press';
import { Format } from '../state/format';
import { JobStore, type Deed } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import { AdviceList } from '../ui/advice-list';
import { Cautions } from '../ui/cautions';
import { Choice } from '../ui/choice';
import { rowsSeen, seenOf } from '../ui/seen';
import { watchSize } from '../ui/watch-size';
import { WhyButton } from '../ui/why';
import { STEP_NAME } from '../ui/words';
import { LANE, layTimeline } from './timeline';

const AIR_NAME: Record<Air, string> = { sealed: 'closed up', still: 'still', fan: 'fan running' };
const HAND_NAME: Record<Hand, string> = {
  learner: 'learning: twice as long',
  steady: 'steady',
  quick: 'quick: three quarters',
};
const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];

/** A row of the day sheet, px; held to by its style. */
const SHEET_ROW = 32;

/** Days: when each coat goes on, how long it hardens, and when each room is ready. */
@Component({
  selector: 'ls-days-page',
  imports: [AdviceList, AmountInput, Cautions, Choice, DayInput, NumberInput, Press, WhyButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './days-page.html',
  styleUrl: './days-page.css',
})
export class DaysPage {
  protected readonly texts = inject(Texts);
  protected readonly jobs = inject(JobStore);
  protected readonly plans = inject(PlanStore);
  protected readonly format = inject(Format);
  private readonly view = inject(ViewStore);
  private readonly frame = viewChild<ElementRef<HTMLElement>>('frame');
  private readonly line = viewChild<ElementRef<SVGElement>>('line');
  private readonly sheet = viewChild<ElementRef<HTMLElement>>('sheet');
  private readonly lineSeen = seenOf(this.line);
  private readonly sheetSeen = seenOf(this.sheet);

  private readonly width = signal(860);
  protected readonly picked = signal<string | undefined>(undefined);
  protected readonly limits = LIMITS;
  protected readonly rowHeight = LANE;
  protected readonly steps = STEP_NAME;
  protected readonly airs = AIRS.map((value) => ({ value, name: AIR_NAME[value] }));
  protected readonly hands = HANDS.map((value) => ({ value, name: HAND_NAME[value] }));
  protected readonly verdicts = { usual: 'usual', low: 'less than usual', high: 'more than usual' };
  protected readonly coatOf = coatOf;
  protected readonly weekdays = [1, 2, 3, 4, 5, 6, 0].map((value) => ({
    value,
    name: WEEKDAYS[value] ?? '',
  }));

  protected readonly days = computed(() => this.plans.plan()?.days);
  protected readonly timeline = computed(() => {
    const [days, job] = [this.days(), this.jobs.job()];
    if (!days || !job) return undefined;
    const worked = new Set(days.tasks.map((task) => task.room));
    const named = job.rooms.filter((room) => worked.has(room.id));
    return layTimeline(
      days,
      named,
      job.calendar,
      this.width(),
      (task) => this.label(task),
      (iso) => `ready ${this.format.day(iso)}`,
    );
  });
  protected readonly lanes = computed(
    () => rowsSeen(this.timeline()?.lanes ?? [], LANE, this.lineSeen()).rows,
  );
  /** Every coat at its pace, the visits, and the mixing and cleaning of each day. */
  protected readonly labourWhy = computed((): Why => {
    const { labourMin = 0, setupMin = 0 } = this.days() ?? {};
    const book = this.view.book();
    const machine = this.jobs.job()?.way.tools === 'machine';
    return {
      rule: say('days.labour'),
      inputs: [
        given(say('days.coats-visits'), labourMin - setupMin, 'min'),
        given(say('days.mixing'), setupMin, 'min'),
        asInput(book[machine ? 'daySetupMachineMin' : 'daySetupMin']),
        asInput(book.overtimeMin),
        asInput(book.leastStartMin),
        asInput(book.usualHoursLow),
        asInput(book.usualHoursHigh),
      ],
    };
  });
  protected readonly tasks = computed(() => rowsSeen(this.days()?.tasks ?? [], SHEET_ROW, this.sheetSeen()));
  private readonly stepOf = computed(
    () =>
      new Map<string, RoomStep>(
        this.plans
          .plan()
          ?.rooms.flatMap((room) => room.steps.map((step) => [`${room.id}:${step.step}`, step] as const)),
      ),
  );
  protected readonly task = computed(
    () => this.days()?.tasks.find((task) => this.key(task) === this.picked()) ?? this.days()?.tasks[0],
  );
  protected readonly stops = computed(
    () => this.plans.plan()?.advice.filter((a) => a.severity === 'stop') ?? [],
  );
  protected readonly names = computed(
    () => new Map((this.jobs.job()?.rooms ?? []).map((room) => [room.id, room.name])),
  );

  constructor() {
    watchSize(this.frame, (width) => this.width.set(Math.max(620, width)));
  }

  protected told = (reasons: readonly Message[]): string => reasons.map(this.texts.say).join('; ');

  protected key = (task: DayTask): string => `${task.room}:${task.step}`;

  /** The work and the hardening behind a task. */
  protected step(task: DayTask): RoomStep | undefined {
    return this.stepOf().get(this.key(task));
  }

  private label(task: DayTask): string {
    const step = this.step(task);
    const name = this.texts.say(STEP_NAME[task.step]);
    return step && step.how !== 'none' ? `${name} ${this.format.duration(step.hardenMin)}` : name;
  }

  protected says(task: DayTask): string {
    const how = this.step(task)?.how ?? 'none';
    const harden = how === 'none' ? '' : `, ${how} until ${this.format.time(task.ready)}`;
    return `${this.texts.say(STEP_NAME[task.step])}, ${this.names().get(task.room) ?? ''}: ${this.format.time(task.start)} to ${this.format.time(task.end)}${harden}`;
  }

  protected setTemperature(tempC: number | undefined): void {
    if (tempC !== undefined)
      this.set('undo.change-temperature', ({ climate }) => (climate.tempC = Math.round(tempC * 10) / 10));
  }

  protected setHumidity(rhPct: number | undefined): void {
    if (rhPct !== undefined) this.set('undo.change-humidity', ({ climate }) => (climate.rhPct = rhPct));
  }

  protected setCrew(crew: number | undefined): void {
    if (crew !== undefined) this.set('undo.change-crew', ({ calendar }) => (calendar.crew = crew));
  }

  protected setHand(hand: Hand): void {
    this.set('undo.change-how-quick-crew', ({ calendar }) => {
      if (hand === 'steady') delete calendar.hand;
      else calendar.hand = hand;
    });
  }

  protected setAir(air: Air): void {
    this.set('undo.change-air', ({ climate }) => (climate.air = air));
  }

  /** The day all has to be ready for primer; none is no such day. */
  protected setDeadline(day: string | undefined): void {
    this.set('undo.change-day-wanted', ({ calendar }) => {
      if (day === undefined) delete calendar.deadline;
      else calendar.deadline = day;
    });
  }

  /** Work ends after it begins. */
  protected readonly begins = (from: string): Message | undefined =>
    from >= (this.jobs.job()?.calendar.to ?? '') ? say('days.ends-after') : undefined;
  protected readonly ends = (to: string): Message | undefined =>
    to <= (this.jobs.job()?.calendar.from ?? '') ? say('days.ends-after') : undefined;

  protected setCalendar(key: 'startDate' | 'from' | 'to', value: string | undefined): void {
    if (value !== undefined) this.set('undo.change-working-time', ({ calendar }) => (calendar[key] = value));
  }

  protected turnDay(day: number): void {
    this.set('undo.change-working-days', ({ calendar }) => {
      const rest = calendar.weekdays.filter((d) => d !== day);
      if (rest.length === calendar.weekdays.length) calendar.weekdays = [...rest, day].sort((a, b) => a - b);
      else if (rest.length > 0) calendar.weekdays = rest;
    });
  }

  private set(label: Deed, recipe: (job: Job) => void): void {
    this.jobs.edit(label, recipe);
  }
}
