import type { Step } from '../job';
import { say, type Message } from '../texts';
import { DAY, type WorkHours } from './calendar';
import type { Schedule, Scheduler } from './schedule';

/** One link of the chain that decides when all is ready. */
export interface Link {
  /** The task, by its index. */
  task: number;
  /** What it began after: what it lies on, the people who were elsewhere, or nothing. */
  by: 'wait' | 'people' | 'start';
  /** What was waited for before it, min; where it waited. */
  waitMin: number;
}

/**
 * The chain of tasks from the first day to the last, each begun no later than the one before it let it: whatever is
 * shortened elsewhere shortens nothing.
 */
export function chainOf(scheduler: Scheduler, schedule: Schedule): Link[] {
  const { start, end, open } = schedule;
  const { count } = scheduler;
  const kept = keptBy(schedule);
  let last = -1;
  let latest = -Infinity;
  for (let i = 0; i < count; i++) {
    const ready = (end[i] as number) + scheduler.task(i).lateMin;
    if (ready > latest) [last, latest] = [i, ready];
  }
  const chain: Link[] = [];
  const seen = new Set<number>();
  for (let i = last; i >= 0 && !seen.has(i);) {
    seen.add(i);
    const { after } = scheduler.task(i);
    const lies = after.reduce<{ before: number; at: number }>(
      (most, { before, lagMin }) => {
        const at = (end[before] as number) + lagMin;
        return at > most.at ? { before, at } : most;
      },
      { before: -1, at: -Infinity },
    );
    const people = kept[i] as number;
    const freeAt = people < 0 ? -Infinity : (end[people] as number);
    if (lies.before >= 0 && lies.at >= freeAt - 1 && lies.at >= (open[i] as number) - 1) {
      chain.push({ task: i, by: 'wait', waitMin: (start[i] as number) - (end[lies.before] as number) });
      i = lies.before;
    } else if (people >= 0) {
      chain.push({ task: i, by: 'people', waitMin: 0 });
      i = people;
    } else {
      chain.push({ task: i, by: 'start', waitMin: 0 });
      break;
    }
  }
  return chain.reverse();
}

/** For each task the one that kept its people until then; none before their first. */
function keptBy({ end, team, order }: Schedule): Int32Array {
  const kept = new Int32Array(order.length).fill(-1);
  const last = new Map<number, number>();
  for (const i of order)
    for (const person of team[i] ?? []) {
      const before = last.get(person) ?? -1;
      const known = kept[i] as number;
      if (before >= 0 && (known < 0 || (end[before] as number) > (end[known] as number))) kept[i] = before;
      last.set(person, i);
    }
  return kept;
}

/** Days that are worked between two moments, the first and the last of them too. */
function workDays(hours: WorkHours, from: number, to: number): number {
  let count = 0;
  for (let day = hours.dayOf(from); day <= hours.dayOf(to - 1e-6); day++) if (hours.works(day)) count++;
  return Math.max(1, count);
}

/**
 * What decides the last day, in a sentence: the longest wait of the chain, or that nothing waits for mud.
 * @param names of rooms, by their index
 */
export function criticalSaid(
  scheduler: Scheduler,
  schedule: Schedule,
  chain: readonly Link[],
  names: readonly string[],
): { said: Message; room: number; step: Step | undefined; how: 'drying' | 'setting' | 'people' } | undefined {
  const finalWait = chain.at(-1);
  if (!finalWait) return undefined;
  const { base, rooms } = scheduler.site;
  const startOf = (i: number): number => schedule.start[i] as number;
  const endOf = (i: number): number => schedule.end[i] as number;
  // Behind the last task of all stands what it takes to harden.
  const waits = chain.flatMap(({ task, by, waitMin }, n) => {
    const before = chain[n - 1];
    return by === 'wait' && before ? [{ of: before.task, min: waitMin, until: startOf(task) }] : [];
  });
  const last = scheduler.task(finalWait.task);
  if (last.lateMin > 0)
    waits.push({ of: finalWait.task, min: last.lateMin, until: endOf(finalWait.task) + last.lateMin });
  const longest = waits.reduce((most, one) => (one.min > most.min ? one : most), {
    of: -1,
    min: 0,
    until: 0,
  });
  const first = startOf((chain[0] as Link).task);
  const all = endOf(finalWait.task) + last.lateMin - first;
  const days = (min: number): number => Math.max(0.5, Math.round((min / DAY) * 2) / 2);
  // By the hours that people work: what hardens over a night is waited for by nobody.
  const worked = chain.reduce(
    (sum, { task }) => sum + scheduler.takes(task, schedule.team[task]?.length ?? 1),
    0,
  );
  const waited = waits.reduce((sum, { of, until }) => sum + base.between(endOf(of), until), 0);
  if (longest.of < 0 || waited < worked) {
    return {
      said: say('critical.people', {
        of: workDays(base, first, endOf(finalWait.task)),
        people: scheduler.site.crew.length,
      }),
      room: -1,
      step: undefined,
      how: 'people',
    };
  }
  const { room, step, how } = scheduler.task(longest.of);
  const takes = {
    room: names[room] ?? rooms[room]?.id ?? '',
    step: say(`step.${step}`),
    ready: base.iso(endOf(longest.of) + scheduler.task(longest.of).lateMin).slice(0, 10),
    days: days(longest.min),
    of: days(all),
  };
  const until = base.iso(longest.until).slice(0, 10);
  const isLast = longest.of === finalWait.task;
  return {
    said:
      how === 'setting'
        ? say('critical.setting', { ...takes, until })
        : isLast
          ? say('critical.drying-last', takes)
          : say('critical.drying', { ...takes, until }),
    room,
    step,
    how: how === 'setting' ? 'setting' : 'drying',
  };
}
