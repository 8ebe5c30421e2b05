import { given, input, type Book, type Figure, type Why } from '../book';
import { sets, type Supplied } from '../compound';
import {
  BEADS,
  COMPOUNDS,
  type BeadKind,
  type Coat,
  type CompoundId,
  type Job,
  type StickOnHand,
  type Tape,
} from '../job';
import { CutMemo, type Part, type ToCut } from '../cutting';
import type { Survey } from '../survey';
import { say, type Message } from '../texts';
import type { UnitSystem } from '../units';
import { beadText } from '../way';
import { boardLines, type BoardLine, type BoardMemo } from './boards';
import type { RoomUse } from './room';

/** One compound: what the wall takes, and what to mix with waste. */
export interface CompoundLine {
  compound: CompoundId;
  name: Message;
  exactL: number;
  withWasteL: number;
  byCoat: Partial<Record<Coat, number>>;
}

export interface TapeLine {
  tape: Tape;
  exactMm: number;
  withWasteMm: number;
  rollMm: number;
}

/** One piece of bead or trim: its number on the job, and the corner it goes on. */
export interface CutPiece {
  n: number;
  mm: number;
  room: string;
  joint: string;
  /** The how manieth piece of that corner it is. */
  nth: number;
  /** It is spliced: the how manieth part of how many. */
  part?: [n: number, of: number];
}

/** One stick of bead or trim and what is cut from it, the longest first. */
export interface BeadStick {
  kind: BeadKind;
  stockMm: number;
  onHand: boolean;
  kerfMm: number;
  pieces: CutPiece[];
  offcutMm: number;
}

export interface BeadLine {
  kind: BeadKind;
  name: Message;
  exactMm: number;
  corners: number;
  cuts: BeadStick[];
  boughtMm: number;
  /** No way to cut buys less, mm; it is as much as is bought where that is proved. */
  boundMm: number;
  splices: number;
  /** What was cut of what, to look for a better way. */
  toCut: ToCut;
  why: Why;
}

export interface Sanity {
  mudLPer100: number;
  tapeMPer100: number;
  usual: { mud: [number, number]; tape: [number, number] };
  /** `usual`, or how the amount falls outside it. */
  verdict: 'usual' | 'low' | 'high' | 'far-low' | 'far-high';
  reasons: Message[];
}

/** What the work takes, before anything is bought. */
export interface Takeoff {
  compounds: CompoundLine[];
  tape: TapeLine | undefined;
  beads: BeadLine[];
  /** Board for the hanger; not in the cost, which is the finisher's. */
  boards: BoardLine[];
  sanity: Sanity | undefined;
}

/** What is kept between takeoffs, and the sticks on hand that come first. */
export interface TakingOff {
  boards?: BoardMemo;
  cuts?: CutMemo;
  sticks?: readonly StickOnHand[];
}

/** Adds up the rooms: mud by class and coat, tape, beads cut from sticks, board cut from sheets. */
export function takeoffOf(
  job: Pick<Job, 'units' | 'way' | 'rooms'>,
  rooms: readonly (Pick<Survey, 'boards' | 'faces' | 'sheets'> & { id: string; use: RoomUse })[],
  areaM2: number,
  book: Supplied,
  { boards: memo, cuts = new CutMemo(), sticks = [] }: TakingOff = {},
): Takeoff {
  const uses = rooms.map((room) => room.use);
  const byCompound = new Map<CompoundId, Partial<Record<Coat, number>>>();
  for (const room of uses) {
    for (const { compound, coat, wetL } of room.uses) {
      if (wetL <= 0) continue;
      const coats = byCompound.get(compound) ?? {};
      coats[coat] = (coats[coat] ?? 0) + wetL;
      byCompound.set(compound, coats);
    }
  }
  const tapeMm = uses.reduce((sum, u) => sum + u.tapeMm, 0);
  return {
    compounds: COMPOUNDS.flatMap((compound) => {
      const byCoat = byCompound.get(compound);
      if (!byCoat) return [];
      const exactL = Object.values(byCoat).reduce((a, b) => a + b, 0);
      const withWasteL = exactL * (1 + wasteOf(compound, book).value);
      return [{ compound, name: book.compounds[compound].name, exactL, withWasteL, byCoat }];
    }),
    tape:
      tapeMm > 0
        ? {
            tape: job.way.tape,
            exactMm: tapeMm,
            withWasteMm: tapeMm * (1 + book.wasteTape.value),
            rollMm: book[`roll-${job.way.tape}-${job.units}`].value * 1000,
          }
        : undefined,
    beads: beadLines(rooms, { units: job.units, sticks }, book, cuts),
    boards: boardLines(job.rooms, rooms, memo),
    sanity: sanityOf(uses, areaM2, book),
  };
}

/** What of a compound is lost to waste, a share of what the wall takes. */
export const wasteOf = (compound: CompoundId, book: Supplied): Figure =>
  sets(compound) ? book.wasteSetting : book.wasteDrying;

/** A piece of bead before it has its stick. */
interface Wanted {
  mm: number;
  onFloor: boolean;
  room: string;
  joint: string;
}

/** A corner that is a little longer than a stick is held off the floor a little more, not cut from two. */
const asLongAs = (mm: number, sticksMm: readonly number[], moreMm: number): number =>
  sticksMm.find((stick) => mm > stick && mm - stick <= moreMm) ?? mm;

function beadLine(
  kind: BeadKind,
  { wanted: corners, first }: { wanted: readonly Wanted[]; first: number },
  { units, sticks: rack }: { units: UnitSystem; sticks: readonly StickOnHand[] },
  book: Book,
  cuts: CutMemo,
): BeadLine {
  const soldMm = [book[`stick-short-${units}`].value, book[`stick-long-${units}`].value];
  const onHand = rack.filter((stick) => stick.kind === kind);
  const wanted = corners.map((one) => ({
    ...one,
    mm: one.onFloor ? asLongAs(one.mm, soldMm, book.beadOffFloorMm.value) : one.mm,
  }));
  const toCut: ToCut = {
    piecesMm: wanted.map(({ mm }) => mm),
    soldMm,
    onHand,
    kerfMm: book.stickKerfMm.value,
  };
  const made = cuts.of(toCut);
  const nth = numbered(
    made.sticks.flatMap(({ parts }) => parts),
    wanted,
  );
  const exactMm = wanted.reduce((sum, { mm }) => sum + mm, 0);
  const { boughtMm, boundMm, splices } = made;
  return {
    kind,
    name: beadText(kind).name,
    exactMm,
    corners: wanted.length,
    cuts: made.sticks.map(({ parts, ...stick }) => ({
      kind,
      ...stick,
      kerfMm: toCut.kerfMm,
      pieces: parts.map((one) => {
        const { piece, mm, part } = one;
        const { room, joint } = wanted[piece] as Wanted;
        return { n: first + piece, mm, room, joint, nth: nth.get(one) ?? 1, ...(part ? { part } : {}) };
      }),
    })),
    boughtMm,
    boundMm,
    splices,
    toCut,
    why: {
      rule: say('why.bead'),
      inputs: [
        given(say('why.bead.corners'), wanted.length, 'count'),
        given(say('why.bead.wall'), exactMm / 1000, 'm'),
        given(say('why.bead.bought'), boughtMm / 1000, 'm'),
        given(say('why.bead.bound'), boundMm / 1000, 'm'),
        input(book.beadOffFloorMm),
        input(book.stickKerfMm),
      ],
    },
  };
}

/** The how manieth of its corner each part is, as the pieces are numbered and then part by part. */
function numbered(parts: readonly Part[], wanted: readonly Wanted[]): ReadonlyMap<Part, number> {
  const corners = new Map<string, number>();
  const inOrder = [...parts].sort((a, b) => a.piece - b.piece || (a.part?.[0] ?? 0) - (b.part?.[0] ?? 0));
  return new Map(
    inOrder.map((one) => {
      const { room, joint } = wanted[one.piece] as Wanted;
      const nth = (corners.get(`${room} ${joint}`) ?? 0) + 1;
      corners.set(`${room} ${joint}`, nth);
      return [one, nth];
    }),
  );
}

/** Beads of every kind, their pieces numbered through the job as the rooms come. */
function beadLines(
  rooms: readonly { id: string; use: RoomUse }[],
  job: { units: UnitSystem; sticks: readonly StickOnHand[] },
  book: Book,
  cuts: CutMemo,
): BeadLine[] {
  let first = 1;
  return BEADS.flatMap((kind) => {
    const wanted = rooms.flatMap(({ id, use }) =>
      use.beads
        .filter((run) => run.kind === kind && run.mm > 0)
        .map(({ mm, joint, onFloor = false }): Wanted => ({ mm, onFloor, room: id, joint })),
    );
    if (wanted.length === 0) return [];
    const line = beadLine(kind, { wanted, first }, job, book, cuts);
    first += wanted.length;
    return [line];
  });
}

/** Compares the estimate with what such work usually takes, and looks for the reason where it differs. */
export function sanityOf(uses: readonly RoomUse[], areaM2: number, book: Book): Sanity | undefined {
  if (areaM2 <= 0 || uses.every((u) => u.wetL <= 0)) return undefined;
  const per100 = 100 / areaM2;
  const total = (of: (u: RoomUse) => number) => uses.reduce((sum, u) => sum + of(u), 0);
  const mud = total((u) => u.wetL) * per100;
  const tape = (total((u) => u.tapeMm) / 1000) * per100;
  const usual: Sanity['usual'] = {
    mud: [book.usualLowL.value, book.usualHighL.value],
    tape: [book.usualTapeLowM.value, book.usualTapeHighM.value],
  };
  const middle = (usual.mud[0] + usual.mud[1]) / 2;
  const side = mud < usual.mud[0] ? 'low' : mud > usual.mud[1] ? 'high' : 'usual';
  // A room with fewer joints takes less, and what is bought is more than what is laid.
  const joints = (2 * tape) / (usual.tape[0] + usual.tape[1]);
  const bought = mud * (1 + book.wasteDrying.value);
  const far = Math.abs(bought / (middle * Math.max(0.1, joints)) - 1) > 0.4;
  const verdict: Sanity['verdict'] = side === 'usual' ? 'usual' : far ? `far-${side}` : side;
  const reasons: Message[] = [];
  const coat = (name: Coat) =>
    total((u) => u.uses.filter((x) => x.coat === name).reduce((s, x) => s + x.wetL, 0)) * per100;
  const flatsFinish = total(
    (u) => u.uses.find((x) => x.element === 'flats' && x.coat === 'finish')?.wetL ?? 0,
  );
  const beads = (total((u) => u.beads.reduce((sum, run) => sum + run.mm, 0)) / 1000) * per100;
  const butts = (total((u) => u.amounts.butts) / 1000) * per100;
  if (side === 'low') {
    if (tape < usual.tape[0]) reasons.push(say('because.few-joints'));
    if (beads < 8) reasons.push(say('because.few-corners'));
    if (butts < 10) reasons.push(say('because.few-butts'));
    if (flatsFinish === 0) reasons.push(say('because.no-second'));
    reasons.push(say('because.on-wall'));
  } else if (side === 'high') {
    if (coat('skim') > 0.05) reasons.push(say('because.skimmed'));
    if (coat('prefill') > 2) reasons.push(say('because.prefilled'));
    if (butts > 15) reasons.push(say('because.many-butts'));
    if (tape > usual.tape[1]) reasons.push(say('because.many-joints'));
    if (beads > 15) reasons.push(say('because.many-corners'));
    if (reasons.length === 0) reasons.push(say('because.wide'));
  }
  return { mudLPer100: mud, tapeMPer100: tape, usual, verdict, reasons };
}
