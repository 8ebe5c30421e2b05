import type { Supplied } from '../compound';
import { grazingOf } from '../finish';
import type { Fault, Frozen, Job } from '../job';
import type { Finding, Pins, Round } from '../log';
import { edgeVerdict, finishOn } from './edges';

/** A room as far as a sign-off goes by it. */
export interface SignedRoom {
  id: string;
  /** The faces a round walks. */
  walk: readonly string[];
}

/** The rooms a round is of: one, or all. */
export const roomsOf = ({ room }: Pick<Round, 'room'>, job: Pick<Job, 'rooms'>): Job['rooms'] =>
  job.rooms.filter(({ id }) => room === undefined || id === room);

/** What a round that is signed now would be signed as. */
export function frozenOf(
  round: Round,
  pins: Pins,
  job: Job,
  rooms: readonly SignedRoom[],
  { at, light, book }: { at: string; light: string; book: Supplied },
): Frozen {
  const own = roomsOf(round, job);
  const names = new Map(own.map(({ id, name }) => [id, name]));
  const { owner, finisher } = job.agreement ?? {};
  return {
    at,
    job: job.name,
    light,
    ...(owner === undefined ? {} : { owner }),
    ...(finisher === undefined ? {} : { finisher }),
    rooms: own.map((room) => {
      const walk = rooms.find(({ id }) => id === room.id)?.walk ?? [];
      return {
        room: room.id,
        name: room.name,
        finish: { ...room.finish },
        decoration: room.decoration,
        grazingDeg: grazingOf(room.light),
        looked: walk.filter((face) => round.looked.includes(`${room.id}|${face}`)).length,
        faces: walk.length,
      };
    }),
    findings: pins.findings
      .filter(({ room }) => room !== undefined && names.has(room))
      .map(({ id, ring, room, fault, state, note }) => ({
        finding: id,
        ring,
        room: names.get(room as string) as string,
        fault,
        state,
        ...(note === undefined ? {} : { note }),
      })),
    edges: pins.edges.flatMap((edge) => {
      const room = own.find(({ id }) => id === edge.room);
      if (!room) return [];
      const { limitMm } = edgeVerdict(edge, finishOn(room, edge.face), book);
      const { edgeMm, gapMm } = edge;
      return [
        {
          room: room.name,
          edgeMm,
          gapMm,
          ...(limitMm === undefined ? {} : { limitMm: Math.round(limitMm * 100) / 100 }),
        },
      ];
    }),
  };
}

/** A line of the punch list, in words of its own columns. */
export interface PunchLine {
  finding: string;
  ring: string;
  room: string;
  face: string | undefined;
  fault: Fault;
  state: Finding['state'];
  sizeMm: number | undefined;
  found: string;
  by: string;
  closed: string | undefined;
  note: string;
}

/** What is to be mended still, and what was: open ones first, by room, by their rings. */
export function punchList({ findings }: Pick<Pins, 'findings'>, job: Pick<Job, 'rooms'>): PunchLine[] {
  const rank = { open: 0, cured: 1, closed: 2 } as const;
  const roomAt = (id: string | undefined): number => job.rooms.findIndex((room) => room.id === id);
  return findings
    .map((one): PunchLine & { order: readonly number[] } => ({
      finding: one.id,
      ring: one.ring,
      room: job.rooms[roomAt(one.room)]?.name ?? one.room ?? '',
      face: one.face,
      fault: one.fault,
      state: one.state,
      sizeMm: one.sizeMm,
      found: one.at,
      by: one.by,
      closed: one.closed,
      note: [one.note, ...one.notes.map(({ note }) => note)].filter(Boolean).join(' · '),
      order: [rank[one.state], roomAt(one.room), parseInt(one.ring, 10)],
    }))
    .sort((a, b) => {
      const i = a.order.findIndex((n, k) => n !== b.order[k]);
      return i < 0 ? (a.ring < b.ring ? -1 : 1) : (a.order[i] as number) - (b.order[i] as number);
    })
    .map(({ order: _, ...line }) => line);
}
