import { DAY, type WorkHours } from './calendar';
import type { Schedule, Scheduler } from './schedule';

/** Somebody's day on site, min from midnight of the first day. */
export interface Presence {
  /** By their index. */
  person: number;
  day: number;
  from: number;
  /** With the cleaning that ends the day. */
  to: number;
  /** Coats, mixing and visits, and setting up and cleaning. */
  workMin: number;
  /** There with nothing to do: the rest of it. */
  idleMin: number;
}

/** Somebody at one task without a break, min; of it so much is work, and what is lost in a small room is not. */
interface Stretch {
  person: number;
  task: number;
  from: number;
  to: number;
  workMin: number;
}

/** Who is at what when, from now on, day by day. */
function stretchesOf(scheduler: Scheduler, { start, team }: Schedule): Stretch[] {
  const { site } = scheduler;
  return site.tasks.flatMap(({ room, begunMin }, task) => {
    const people = team[task] ?? [];
    const takesMin = scheduler.takes(task, people.length);
    const hours = site.hours.of(people, room);
    const workShare = scheduler.labourOf(task, people.length) / people.length / takesMin;
    // What is begun goes on from now; what was done of it is past.
    const at = begunMin === undefined ? (start[task] as number) : hours.next(site.nowMin ?? begunMin);
    return hours
      .pieces(at, takesMin)
      .flatMap(({ at: from, minutes }) =>
        people.map((person) => ({ person, task, from, to: from + minutes, workMin: minutes * workShare })),
      );
  });
}

/**
 * Who is on site on which day and for how long: from the first task of the day to the last, and what of it is work. In a
 * small room two people do less than twice the work of one; what they lose is theirs to wait.
 * @param setupMin setting up and cleaning of one person on one day
 */
export function presenceOf(scheduler: Scheduler, schedule: Schedule, setupMin: number): Presence[] {
  const found = new Map<string, Presence>();
  for (const { person, from, to, workMin } of stretchesOf(scheduler, schedule)) {
    const day = Math.floor(from / DAY);
    const key = `${person} ${day}`;
    const known = found.get(key) ?? { person, day, from, to: 0, workMin: setupMin, idleMin: 0 };
    known.from = Math.min(known.from, from);
    known.to = Math.max(known.to, to + setupMin);
    known.workMin += workMin;
    found.set(key, known);
  }
  const all = [...found.values()];
  for (const one of all) one.idleMin = Math.max(0, one.to - one.from - one.workMin);
  return all.sort((a, b) => a.day - b.day || a.person - b.person);
}

/** A stretch of a day in which somebody on site has nothing to do, min from midnight of the first day. */
export interface Idle {
  person: number;
  from: number;
  to: number;
  /** The task it ends with, and the one that waits for: none where others held it up. */
  before: number;
  waitsFor: number | undefined;
}

/** Less is a walk to the next room, min. */
const LEAST_IDLE_MIN = 10;

/** Where each idle stretch of the days lies, between two tasks of a person on one day, and what was waited for. */
export function idleIn(scheduler: Scheduler, schedule: Schedule): Idle[] {
  const byPerson = scheduler.site.crew.map((): Stretch[] => []);
  for (const one of stretchesOf(scheduler, schedule)) byPerson[one.person]?.push(one);
  return byPerson.flatMap((stretches) => {
    stretches.sort((a, b) => a.from - b.from);
    return stretches.flatMap(({ person, from, task }, n): Idle[] => {
      const before = stretches[n - 1];
      if (!before || Math.floor(before.from / DAY) !== Math.floor(from / DAY)) return [];
      if (from - before.to < LEAST_IDLE_MIN) return [];
      return [
        {
          person,
          from: before.to,
          to: from,
          before: task,
          waitsFor: lastUnder(scheduler, schedule, task, before.to),
        },
      ];
    });
  });
}

/** Which of the tasks under one opens it last, and later than that; none where none does. */
function lastUnder(scheduler: Scheduler, { end }: Schedule, task: number, after: number): number | undefined {
  let [last, at]: [number | undefined, number] = [undefined, after];
  for (const { before, lagMin } of scheduler.task(task).after) {
    const opens = (end[before] as number) + lagMin;
    if (opens > at) [last, at] = [before, opens];
  }
  return last;
}

/** People at work on one coat of a room from one moment to another, min. */
export interface AtWork {
  coat: string;
  from: number;
  to: number;
  crew: number;
}

/**
 * How many people were on site on each day: as many as worked at one time. Rows of one coat are told one by one and
 * worked by the same people.
 */
export function presentOn(spells: readonly AtWork[], hours: WorkHours): Map<number, number> {
  const byDay = new Map<number, AtWork[]>();
  for (const spell of spells) {
    const first = hours.dayOf(spell.from);
    const last = hours.dayOf(Math.max(spell.from, spell.to - 1e-6));
    for (let day = first; day <= last; day++)
      // Over a night nobody is there; on one day somebody was, whatever the calendar says.
      if (last === first || hours.works(day)) byDay.set(day, [...(byDay.get(day) ?? []), spell]);
  }
  return new Map(
    Array.from(byDay, ([day, own]) => [day, Math.max(...own.map(({ from }) => atWorkAt(from, own)))]),
  );
}

function atWorkAt(moment: number, spells: readonly AtWork[]): number {
  const byCoat = new Map<string, number>();
  for (const { coat, from, to, crew } of spells)
    if (from <= moment && moment < Math.max(to, from + 1))
      byCoat.set(coat, Math.max(crew, byCoat.get(coat) ?? 0));
  let people = 0;
  for (const crew of byCoat.values()) people += crew;
  return people;
}
