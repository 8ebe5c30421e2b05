import { computed, inject, Injectable } from '@angular/core';
import {
  cardsFor,
  checksFor,
  coatOf,
  handsIn,
  mixesFor,
  completedJointsOf,
  rowDone,
  stockOf,
  toLookAt,
  turnOf,
  waitsOf,
  type Cell,
  type CoatRun,
  type DayTask,
  type Room,
  type RoomPlan,
} from '@lisse/core';
import { Clock } from '../state/clock';
import { JobStore } from '../state/job.store';
import { LogStore } from '../state/log.store';
import { Me } from '../state/me';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';

/** What the parts of Today are about: the task of whoever holds the device, its room, its coat and its mud. */
@Injectable({ providedIn: 'root' })
export class TodayStore {
  private readonly jobs = inject(JobStore);
  private readonly plans = inject(PlanStore);
  private readonly logs = inject(LogStore);
  private readonly view = inject(ViewStore);
  private readonly clock = inject(Clock);
  private readonly me = inject(Me);

  readonly days = computed(() => this.plans.plan()?.days);
  readonly turn = computed(() => {
    const days = this.days();
    return days ? turnOf(days, this.me.person()?.id) : { task: undefined, next: [] };
  });
  readonly task = computed((): DayTask | undefined => this.turn().task);
  /** Those who work on something else have nothing to do: nobody is left without the job's own next task. */
  readonly others = computed(() => {
    const days = this.days();
    return this.task() || !days ? undefined : turnOf(days, undefined).task;
  });
  readonly room = computed((): Room | undefined => this.roomOf(this.task()));
  readonly roomPlan = computed((): RoomPlan | undefined =>
    this.plans.plan()?.rooms.find(({ id }) => id === this.task()?.room),
  );
  readonly step = computed(() => this.roomPlan()?.steps.find(({ step }) => step === this.task()?.step));
  readonly names = computed(() => new Map((this.jobs.job()?.rooms ?? []).map(({ id, name }) => [id, name])));

  roomOf = (task: DayTask | undefined): Room | undefined =>
    this.jobs.job()?.rooms.find(({ id }) => id === task?.room);

  /** The cells of the coat board that the task lays. */
  readonly cells = computed((): Cell[] => {
    const [task, plan] = [this.task(), this.roomPlan()];
    return task && plan ? cellsOf(task, plan) : [];
  });

  /** The run of the task's coat through its room, as far as its rows go. */
  readonly run = computed((): CoatRun | undefined => {
    const [task, plan] = [this.task(), this.roomPlan()];
    const run = task && plan?.runs.find(({ coat }) => coat === coatOf(task.step));
    if (!task || !plan || !run) return undefined;
    const own = new Set(
      plan.areas.flatMap(({ rows }) =>
        rows.filter(({ element }) => task.rows.includes(element)).flatMap(({ joints }) => joints),
      ),
    );
    const joints = run.joints.filter((id) => own.has(id));
    return joints.length > 0 ? { ...run, joints } : undefined;
  });
  private readonly told = computed(() => completedJointsOf(this.logs.entries()));
  /** Joints of the run that are told as run. */
  readonly ran = computed((): ReadonlySet<string> => {
    const task = this.task();
    return task ? this.told().joints(task.room, task.step) : new Set();
  });
  readonly next = computed(() => this.run()?.joints.find((id) => !this.ran().has(id)));

  readonly checks = computed(() => {
    const task = this.task();
    if (!task) return [];
    const made = this.told().checks(task.room, task.step);
    return checksFor(task.step, task.rows).map((one) => ({ ...one, at: made.get(one.check) }));
  });

  readonly lots = computed(() => {
    const job = this.jobs.job();
    return job ? stockOf(job, this.logs.entries()) : [];
  });
  readonly mixes = computed(() => {
    const [task, plan, job, room] = [this.task(), this.roomPlan(), this.jobs.job(), this.room()];
    if (!task || !plan || !job || !room) return [];
    return mixesFor({
      task,
      room: { substrate: room.substrate, floorM2: plan.floorM2, steps: plan.steps, cells: this.cells() },
      job,
      book: this.view.book(),
      log: this.logs.entries(),
      lots: this.lots(),
      now: this.clock.now(),
    });
  });

  readonly cards = computed(() => {
    const [task, job] = [this.task(), this.jobs.job()];
    return task && job ? cardsFor(task.step, this.cells(), job.way, this.view.book()) : [];
  });

  readonly waits = computed(() => {
    const days = this.days();
    return days ? waitsOf(days, this.clock.now()) : [];
  });
  readonly look = computed(() => {
    const days = this.days();
    return days ? toLookAt(days, this.clock.now()) : [];
  });

  /** How long the task goes on already by the clock, without its rests, min; none where it is not begun. */
  readonly worked = computed((): number | undefined => {
    const task = this.task();
    const [row] = task?.rows ?? [];
    if (!task || row === undefined || task.state === 'planned') return undefined;
    const { spells = [] } = rowDone(this.logs.site(), task.room, task.step, row);
    return spells.reduce((sum, { from, to = this.clock.minute() }) => {
      return sum + Math.max(0, Date.parse(`${to}Z`) - Date.parse(`${from}Z`)) / 60000;
    }, 0);
  });
  /** How long it takes by the clock with those who are on it, min. */
  readonly takes = computed((): number => {
    const [task, plan] = [this.task(), this.roomPlan()];
    if (!task || !plan) return 0;
    const rows = (this.step()?.rows ?? []).filter(({ row }) => task.rows.includes(row));
    const minutes = rows.reduce((sum, { labourMin }) => sum + labourMin, this.view.book().roomSetupMin.value);
    return minutes / handsIn(plan.floorM2, Math.max(1, task.people.length), this.view.book());
  });
}

/** The cells of a room's board that a task lays. */
export const cellsOf = (task: Pick<DayTask, 'step' | 'rows'>, plan: RoomPlan): Cell[] => {
  const coat = coatOf(task.step);
  const found = new Map<string, Cell>();
  for (const { rows } of plan.areas)
    for (const { element, bead, cells } of rows)
      for (const cell of cells)
        if (cell.coat === coat && task.rows.includes(element))
          found.set(`${element} ${bead ?? ''} ${cell.tool ?? cell.bladeMm} ${cell.compound}`, cell);
  return [...found.values()];
};
