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

/**
 * Who is on site on which day and for how long: from the first task of the day to the last, and what of it is work. In a
 * small room two people do less than twice the work of one; what they lose is theirs to wait.
 * @param setupMin setting up and cleaning of one person on one day
 */
export function presenceOf(scheduler: Scheduler, { start, team }: Schedule, setupMin: number): Presence[] {
  const { site } = scheduler;
  const found = new Map<string, Presence>();
  site.tasks.forEach(({ room, begunMin }, i) => {
    const people = team[i] ?? [];
    const takesMin = scheduler.takes(i, people.length);
    const hours = site.hours.of(people, room);
    const workShare = scheduler.labourOf(i, people.length) / people.length / takesMin;
    // What is begun goes on from now; what was done of it is past.
    const at = begunMin === undefined ? (start[i] as number) : hours.next(site.nowMin ?? begunMin);
    for (const piece of hours.pieces(at, takesMin)) {
      const day = Math.floor(piece.at / DAY);
      for (const person of people) {
        const key = `${person} ${day}`;
        const known = found.get(key) ?? { person, day, from: piece.at, to: 0, workMin: setupMin, idleMin: 0 };
        known.from = Math.min(known.from, piece.at);
        known.to = Math.max(known.to, piece.at + piece.minutes + setupMin);
        known.workMin += piece.minutes * workShare;
        found.set(key, known);
      }
    }
  });
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
export function idleIn(scheduler: Scheduler, { start, end, team }: Schedule): Idle[] {
  const { site } = scheduler;
  const byPerson = site.crew.map((): { at: number; to: number; task: number }[] => []);
  site.tasks.forEach(({ room, begunMin }, i) => {
    const people = team[i] ?? [];
    const hours = site.hours.of(people, room);
    const at = begunMin === undefined ? (start[i] as number) : hours.next(site.nowMin ?? begunMin);
    for (const piece of hours.pieces(at, scheduler.takes(i, people.length)))
      for (const person of people)
        byPerson[person]?.push({ at: piece.at, to: piece.at + piece.minutes, task: i });
  });
  return byPerson.flatMap((pieces, person) => {
    pieces.sort((a, b) => a.at - b.at);
    return pieces.flatMap(({ at, task }, n): Idle[] => {
      const before = pieces[n - 1];
      if (!before || Math.floor(before.at / DAY) !== Math.floor(at / DAY) || at - before.to < LEAST_IDLE_MIN)
        return [];
      const under = scheduler.task(task).after.reduce<{ of: number | undefined; at: number }>(
        (last, arc) => {
          const opens = (end[arc.before] as number) + arc.lagMin;
          return opens > last.at ? { of: arc.before, at: opens } : last;
        },
        { of: undefined, at: before.to },
      );
      return [{ person, from: before.to, to: at, before: task, waitsFor: under.of }];
    });
  });
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
