import { newJob, newRoom, PRESETS, type Job, type LogEntry, type Preset, type Room } from '../src';

/** A generated building: rooms of many sizes, each with a door and most with a window, a tenth of them L-shaped. */
export function building(count: number): Job {
  const job = newJob('building', 'Generated building', 'metric', '2026-11-30', (PRESETS[1] as Preset).way);
  // A plain congruential sequence, so that every run plans the same building.
  let seed = 7;
  const next = (least: number, most: number) => {
    seed = (seed * 1103515245 + 12345) % 2147483648;
    return least + Math.round(((most - least) * seed) / 2147483648);
  };
  job.rooms = Array.from({ length: count }, (_, i): Room => {
    const [l, w, h] = [next(2400, 9000), next(2400, 6000), next(2400, 3200)];
    const room = newRoom(`room-${i}`, `Room ${i + 1}`, 'metric', { lengthMm: l, widthMm: w, heightMm: h });
    if (i % 10 === 0) {
      room.plan = {
        outline: [
          [0, 0],
          [l, 0],
          [l, w / 2],
          [l / 2, w / 2],
          [l / 2, w],
          [0, w],
        ],
        heightMm: h,
      };
    }
    room.openings = [
      {
        id: 'door',
        wall: 0,
        kind: 'door',
        leftMm: 300,
        bottomMm: 0,
        widthMm: 900,
        heightMm: 2100,
        returns: 'cased',
      },
    ];
    if (i % 4)
      room.openings.push({
        id: 'window',
        wall: 1,
        kind: 'window',
        leftMm: 250,
        bottomMm: 900,
        widthMm: 700,
        heightMm: 1200,
        returns: i % 3 ? 'cased' : 'boarded',
      });
    room.finish = { scale: 'level', grade: ([4, 4, 4, 3, 5, 1] as const)[i % 6] ?? 4 };
    if (i % 7 === 0) room.joints = { 'wall-0.butt-1': { humpMm: (i % 5) / 2 } };
    return room;
  });
  return job;
}

/** The same with its air reckoned, and taping done in a tenth of the rooms: as a job is once work has begun. */
export function begun(count: number): Job {
  const job = building(count);
  job.climate = { ...job.climate, reckoned: true };
  job.log = job.rooms.slice(0, Math.ceil(count / 10)).flatMap(({ id }, i): LogEntry[] => {
    const at = (hour: number) => new Date(Date.UTC(2026, 10, 30, 6 + hour + i)).toISOString();
    const entry = { by: 'Ansa', device: 'phone', room: id, step: 'tape' } as const;
    return [
      { ...entry, id: `e${i}-1`, at: at(0), kind: 'started', crew: 1 },
      { ...entry, id: `e${i}-2`, at: at(1), kind: 'done' },
    ];
  });
  return job;
}
