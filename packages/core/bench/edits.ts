import { plan, planning, PRESETS, Reuse, TYPICAL, type Job, type Plan, type Room } from '../src';
import { begun } from './building-job';
import { at, atMost, type BenchRow } from './row';

/** What edits of one room after the other take: until its figures are there, the goods, and all of it, ms. */
interface Edits {
  near: number[];
  goods: number[];
  whole: number[];
  /** By what the processor worked. */
  cpu: number[];
}

function edits(job: Job, count: number): Edits {
  const reuse = new Reuse();
  let now = job;
  let last: Plan = plan(job, TYPICAL, reuse);
  const taken: Edits = { near: [], goods: [], whole: [], cpu: [] };
  for (let i = 0; i < count; i++) {
    const rooms = [...now.rooms];
    const place = (i * 37 + 5) % rooms.length;
    const room = rooms[place] as Room;
    rooms[place] = {
      ...room,
      plan:
        'outline' in room.plan
          ? { ...room.plan, heightMm: 2400 + i }
          : { ...room.plan, lengthMm: 3000 + 17 * i },
    };
    now = { ...now, rooms };
    const worked = process.cpuUsage();
    const start = performance.now();
    const steps = planning(now, TYPICAL, reuse, { last });
    for (const into of [taken.near, taken.goods]) {
      steps.next();
      into.push(performance.now() - start);
    }
    for (let next = steps.next(); ; next = steps.next())
      if (next.done) {
        last = next.value;
        break;
      }
    taken.whole.push(performance.now() - start);
    const { user, system } = process.cpuUsage(worked);
    taken.cpu.push((user + system) / 1000);
  }
  return taken;
}

const ms = (figures: readonly number[]): string =>
  `${at(figures, 0.5).toFixed(1)} ms, 95 % under ${at(figures, 0.95).toFixed(0)} ms`;

/** Edits of buildings whose air is reckoned and whose work has begun, in several sizes and in every way of working. */
export function editRows(cloneCpuMs: number): BenchRow[] {
  const sizes = [5, 150, 400].flatMap((rooms): BenchRow[] => {
    const { near, goods, whole, cpu } = edits(begun(rooms), 40);
    const what = `an edit in ${rooms} rooms`;
    return [
      {
        what: `${what}: the room and the totals`,
        took: ms(near),
        aim: atMost(at(near, 0.95), rooms > 5 ? 50 : 16, 'ms'),
      },
      { what: `${what}: and the goods`, took: ms(goods), aim: atMost(at(goods, 0.95), 100, 'ms') },
      {
        what: `${what}: and days, air and bid`,
        took: ms(whole),
        against: `${at(cpu, 0.5).toFixed(0)} ms of processor, ${(at(cpu, 0.5) / cloneCpuMs).toFixed(2)} × the clone's`,
      },
    ];
  });
  const ways = PRESETS.map(({ id, way }) => {
    const { near, whole } = edits({ ...begun(150), way }, 12);
    return { id, near: at(near, 0.5), whole: at(whole, 0.5) };
  });
  const slowest = ways.reduce((a, b) => (b.whole > a.whole ? b : a));
  return [
    ...sizes,
    {
      what: `the same in 150 rooms by the slowest of ${ways.length} ways of working (${slowest.id})`,
      took: `${slowest.near.toFixed(1)} ms, all ${slowest.whole.toFixed(0)} ms`,
    },
  ];
}
