import {
  ApplicationRef,
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  signal,
  viewChild,
  type ElementRef,
} from '@angular/core';
import {
  coatOf,
  daysCsv,
  given,
  input as asInput,
  say,
  type DayTask,
  type Message,
  type Pin,
  type RoomStep,
  type ActualTimes,
  type Why,
} from '@lisse/core';
import { Clock } from '../state/clock';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { LogStore } from '../state/log.store';
import { PlanStore } from '../state/plan.store';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { fileName, handOver } from '../storage/job-files';
import { AdviceList } from '../ui/advice-list';
import { Cautions } from '../ui/cautions';
import { movedWords } from '../ui/moved-words';
import { rowsSeen, seenOf } from '../ui/visibility';
import { afterwards, inTurn } from '../ui/idle-queue';
import { KeyFigure } from '../ui/key-figure';
import { STEP_NAME } from '../ui/words';
import { WorkFrame } from '../ui/work-frame';
import { AirSheet } from './air-sheet';
import { CrewSheet } from './crew-sheet';
import { DayList } from './day-list';
import { DaySheets } from './day-sheets';
import { RoomDays } from './room-days';
import { RunView } from './run-view';
import { Sooner } from './sooner';
import { TaskSheet } from './task-sheet';
import { later } from './timeline';
import { TimelineView, type Moved } from './timeline-view';

/** A row of the day sheet, px; held to by its style. */
const SHEET_ROW = 32;
/** Advice that is about time. */
const TIMELY = ['A-HUMID', 'A-SLOW', 'A-THICK', 'A-COLD', 'A-RECOAT', 'A-POT', 'A-LATE', 'A-HIGH'];

/** So many stretches of idle time are told. */
const IDLE_TOLD = 3;

/** Days: who works where and when, how long it hardens, what decides the finish, and when each room is ready. */
@Component({
  selector: 'ls-days-page',
  imports: [
    AdviceList,
    AirSheet,
    Cautions,
    CrewSheet,
    DayList,
    DaySheets,
    RoomDays,
    RunView,
    Sooner,
    TaskSheet,
    TimelineView,
    KeyFigure,
    WorkFrame,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './days-page.html',
  styleUrl: './days-page.css',
  host: { '(window:afterprint)': 'printing.set(false)' },
})
export class DaysPage {
  /** What stands beside the drawing comes after it, piece by piece: the page answers between them. */
  protected readonly turn = inTurn(2);
  protected readonly texts = inject(Texts);
  protected readonly jobs = inject(JobStore);
  protected readonly plans = inject(PlanStore);
  protected readonly format = inject(Format);
  private readonly logs = inject(LogStore);
  private readonly clock = inject(Clock);
  private readonly view = inject(ViewStore);
  private readonly app = inject(ApplicationRef);
  /** There the list stands from the first on, over the timeline. */
  protected readonly phone = matchMedia('(max-width: 760px)').matches;
  private readonly sheet = viewChild<ElementRef<HTMLElement>>('sheet');
  private readonly sheetSeen = seenOf(this.sheet);

  protected readonly picked = signal<string | undefined>(undefined);
  /** What was said of the last move. */
  protected readonly told = signal<Message | undefined>(undefined);
  /** The day sheets are printed, in place of the page. */
  protected readonly printing = signal(false);
  protected readonly steps = STEP_NAME;

  protected readonly days = computed(() => this.plans.plan()?.days);
  protected readonly names = computed(
    () => new Map((this.jobs.job()?.rooms ?? []).map((room) => [room.id, room.name])),
  );
  protected readonly people = computed(
    () =>
      new Map(
        (this.days()?.people ?? []).map(({ id, name }) => [id, name ?? this.texts.t('days.person', { id })]),
      ),
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
  protected readonly sanity = computed(() => {
    const sanity = this.days()?.sanity;
    if (!sanity) return undefined;
    const so = this.texts.t('days.per-area', {
      hours: this.format.hoursPerArea(sanity.hPerM2),
      area: this.format.areaName(),
      verdict: sanity.verdict,
    });
    const reasons = sanity.reasons.map(this.texts.say).join('; ');
    return reasons === '' ? so : this.texts.t('days.per-area-why', { so, reasons });
  });
  /** How good the plan is, in a sentence. */
  protected readonly standing = computed(() => {
    const { finish, bound, proved } = this.days() ?? {};
    if (finish === undefined || bound === undefined) return undefined;
    if (proved) return say('days.best');
    return finish.slice(0, 10) === bound.slice(0, 10)
      ? say('days.best-day')
      : say('days.gap', { bound: this.format.time(bound) });
  });
  /** Idle time in all, and the longest stretches of it with what is waited for. */
  protected readonly idle = computed(() => {
    const days = this.days();
    if (!days || days.idle.length === 0) return undefined;
    const tasks = new Map(days.tasks.map((task) => [task.id, task]));
    // Who waits for the same is told together.
    const together = new Map<
      string,
      { at: string; minutes: number; who: string[]; task: DayTask; waits: boolean }
    >();
    for (const { person, from, minutes, before, waitsFor } of days.idle) {
      const task = tasks.get(waitsFor ?? before);
      if (!task) continue;
      const who = this.people().get(person) ?? person;
      const key = `${from.slice(0, 10)} ${task.id} ${waitsFor !== undefined}`;
      const known = together.get(key);
      if (known) {
        known.who.push(who);
        known.minutes += minutes;
      } else together.set(key, { at: from, minutes, who: [who], task, waits: waitsFor !== undefined });
    }
    const longest = [...together.values()].sort((a, b) => b.minutes - a.minutes).slice(0, IDLE_TOLD);
    return {
      minutes: days.idle.reduce((sum, { minutes }) => sum + minutes, 0),
      lines: longest
        .sort((a, b) => (a.at < b.at ? -1 : 1))
        .map(({ at, minutes, who, task, waits }) =>
          this.texts.t('days.idle.line', {
            day: this.format.day(at),
            who,
            time: this.format.duration(minutes),
            step: say(`step.${task.step}`),
            room: this.names().get(task.room) ?? task.room,
            how: waits ? task.how : 'none',
          }),
        ),
    };
  });
  /** The sheet follows the drawing. */
  private readonly listed = afterwards(computed(() => this.days()?.tasks ?? []));
  protected readonly tasks = computed(() => rowsSeen(this.listed() ?? [], SHEET_ROW, this.sheetSeen()));
  private readonly stepOf = computed(
    () =>
      new Map<string, RoomStep>(
        this.plans
          .plan()
          ?.rooms.flatMap((room) => room.steps.map((step) => [`${room.id}:${step.step}`, step] as const)),
      ),
  );
  protected readonly task = computed(() => {
    const tasks = this.days()?.tasks ?? [];
    return (
      tasks.find(({ id }) => id === this.picked()) ?? tasks.find(({ state }) => state !== 'done') ?? tasks[0]
    );
  });
  protected readonly room = computed(() => this.jobs.job()?.rooms.find(({ id }) => id === this.task()?.room));
  /** The run of the picked task's coat, with its room. */
  protected readonly run = afterwards(
    computed(() => {
      const task = this.task();
      const coat = task && coatOf(task.step);
      const plan = this.plans.plan()?.rooms.find(({ id }) => id === task?.room);
      const room = this.room();
      const run = plan?.runs.find((one) => one.coat === coat);
      return room && plan && run ? { room, plan, run } : undefined;
    }),
  );
  protected readonly advice = computed(
    () =>
      this.plans
        .plan()
        ?.advice.filter(({ code, severity }) => severity === 'stop' || TIMELY.includes(code)) ?? [],
  );
  /** The first day lies behind and nothing is begun. */
  protected readonly passed = computed(() => {
    const start = this.jobs.job()?.calendar.startDate;
    return start !== undefined && start < this.clock.today() && !this.logs.site().begun;
  });

  protected who = ({ people }: DayTask): string =>
    this.texts.say(people.map((id) => this.people().get(id) ?? id));

  /** The work and the hardening behind a task. */
  protected step = ({ room, step }: DayTask): RoomStep | undefined => this.stepOf().get(`${room}:${step}`);

  protected move({ task, minutes }: Moved): void {
    this.pin(task, later(task.start, minutes));
  }

  /** Has a task begin at a moment and not before, unless what it lies on is wet until later. */
  protected pin(task: DayTask, at: string): void {
    this.picked.set(task.id);
    const step = STEP_NAME[task.step];
    if (at < task.open) {
      const open = this.format.time(task.open);
      const under = this.under(task);
      this.told.set(
        under ? say('days.refuse', { step, open, under }) : say('days.refuse-first', { step, open }),
      );
      return;
    }
    this.told.set(say('days.moved', { step, at: this.format.time(at) }));
    const { room, rows } = task;
    this.jobs.edit(
      'undo.pin',
      ({ calendar }) => {
        const rest = (calendar.pins ?? []).filter((pin) => !isOf(pin, task));
        calendar.pins = [...rest, { room, step: task.step, rows: [...rows], at }];
      },
      `pin.${task.id}`,
    );
  }

  protected unpin(task: DayTask): void {
    this.told.set(undefined);
    this.jobs.edit('undo.unpin', ({ calendar }) => {
      const rest = (calendar.pins ?? []).filter((pin) => !isOf(pin, task));
      if (rest.length > 0) calendar.pins = rest;
      else delete calendar.pins;
    });
  }

  /** What a task lies on that is ready last. */
  private under({ after, room, step }: DayTask): Message | undefined {
    const tasks = this.days()?.tasks ?? [];
    const below = tasks.filter(
      (one) => after.includes(one.id) || (one.state === 'done' && one.room === room && one.step !== step),
    );
    const last = below.sort((a, b) => (a.readyLate < b.readyLate ? 1 : -1))[0];
    return last && say(`step.${last.step}`);
  }

  /** Has the job planned by how late its own coats were told ready. */
  protected useTold({ how, late }: ActualTimes): void {
    this.jobs.edit('undo.plan-with-own', (job) => {
      (job.shop ??= {}).figures = {
        ...job.shop.figures,
        [how === 'setting' ? 'setLate' : 'dryLate']: late,
      };
    });
  }

  /** What the last thing told from the site has moved, in a sentence. */
  protected readonly moved = computed(() => {
    const moved = this.plans.moved();
    return moved && movedWords(moved, this.names(), this.format);
  });

  /** A pinned task that cannot begin when it was pinned to. */
  protected readonly pinnedLater = computed(() => {
    const task = this.task();
    const pin = task && this.jobs.job()?.calendar.pins?.find((one) => isOf(one, task));
    return pin && task.start > pin.at
      ? say('days.pin.later', { at: this.format.time(pin.at), start: this.format.time(task.start) })
      : undefined;
  });

  protected beginToday(): void {
    this.jobs.edit('undo.change-working-time', ({ calendar }) => (calendar.startDate = this.clock.today()));
  }

  private name = (): string => fileName(this.jobs.job()?.name ?? '');

  protected async calendar(): Promise<void> {
    const [days, job] = [this.days(), this.jobs.job()];
    if (!days || !job) return;
    const { calendarFile } = await import('./calendar-file');
    const room = (task: DayTask): string => this.names().get(task.room) ?? task.room;
    const text = calendarFile(days, job.id, job.name, {
      title: (task) => this.texts.t('days.event', { step: STEP_NAME[task.step], room: room(task) }),
      text: (task) =>
        this.texts.t('days.event.text', {
          rows: task.rows.map((row) => say(`element.${row}`)),
          who: this.who(task),
          late: task.how === 'none' ? this.texts.t('days.at-once') : this.format.time(task.readyLate),
        }),
    });
    handOver(text, 'text/calendar', `${this.name()}.ics`);
  }

  protected table(): void {
    const days = this.days();
    if (days) handOver(daysCsv(days, this.names(), this.texts.say), 'text/csv', `${this.name()}-days.csv`);
  }

  protected print(): void {
    this.printing.set(true);
    // They are on the page before the browser looks at it for paper.
    this.app.tick();
    window.print();
  }
}

/** Whether a pin holds for a task: for one of its rows at least. */
const isOf = (pin: Pin, { room, step, rows }: DayTask): boolean =>
  pin.room === room && pin.step === step && (!pin.rows || pin.rows.some((row) => rows.includes(row)));
