import { given, input, type Book, type Why } from '../book';
import { packageName, sets, type Package, type Supplied } from '../compound';
import {
  BEADS,
  COATS,
  COMPOUNDS,
  type BeadKind,
  type Coat,
  type CompoundId,
  type Job,
  type Tape,
} from '../job';
import { CutMemo, type ToCut } from '../cutting';
import type { Survey } from '../survey';
import { say, type Message } from '../texts';
import { beadText } from '../way';
import { boardLines, type BoardLine, type BoardMemo } from './boards';
import type { RoomUse } from './room';

export interface Bought {
  id: string;
  name: Message | string;
  count: number;
}

/** One compound to buy: what the wall takes, what to mix with waste, what that is in packages. */
export interface CompoundLine {
  compound: CompoundId;
  name: Message;
  exactL: number;
  withWasteL: number;
  boughtL: number;
  leftL: number;
  massKg: number;
  cost: number;
  /** Heaviest package among them, kg. */
  heaviestKg: number;
  /** On hand of the user's own product, L. */
  onHandL?: number;
  /** Water to add to the bags, L; none for pails. */
  waterL: number;
  packages: Bought[];
  byCoat: Partial<Record<Coat, number>>;
  why: Why;
}

export interface TapeLine {
  tape: Tape;
  exactMm: number;
  withWasteMm: number;
  rolls: number;
  rollMm: number;
  cost: number;
  why: Why;
}

/** One piece of bead or trim: its number on the job, and the corner it goes on. */
export interface CutPiece {
  n: number;
  mm: number;
  room: string;
  joint: string;
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
  /** To buy; what is on hand is not among them. */
  sticks: { lengthMm: number; count: number }[];
  cuts: BeadStick[];
  boughtMm: number;
  /** No way to cut buys less, mm; it is as much as is bought where that is proved. */
  boundMm: number;
  splices: number;
  /** What was cut of what, to look for a better way. */
  toCut: ToCut;
  cost: number;
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

export interface Order {
  compounds: CompoundLine[];
  tape: TapeLine | undefined;
  beads: BeadLine[];
  /** Board for the hanger; not in the cost, which is the finisher's. */
  boards: BoardLine[];
  massKg: number;
  /** Compound, tape and bead at the prices known. */
  cost: number;
  sanity: Sanity | undefined;
}

/**
 * Whole packages that cover a need with the least bought, where each package more counts as `handlingL`:
 * three bags and a box, not one bag and eight boxes.
 */
export function choosePackages(
  needL: number,
  packages: readonly Package[],
  handlingL: number,
  units: Job['units'],
): Bought[] {
  if (needL <= 0) return [];
  const sorted = [...packages].sort((a, b) => b.yieldsL - a.yieldsL);
  const largest = sorted[0] as Package;
  // Far above any pallet only the largest package matters; the search would be long for nothing.
  const bulk = Math.max(0, Math.floor(needL / largest.yieldsL) - 20);
  let best = Infinity;
  let chosen: number[] = [];
  const search = (k: number, left: number, cost: number, counts: number[]) => {
    if (cost >= best) return;
    const size = (sorted[k] as Package).yieldsL;
    const most = Math.max(0, Math.ceil(left / size - 1e-9));
    const last = k === sorted.length - 1;
    for (let n = most; n >= (last ? most : 0); n--) {
      const next = cost + n * (size + handlingL);
      if (!last) search(k + 1, left - n * size, next, [...counts, n]);
      else if (next < best) {
        best = next;
        chosen = [...counts, n];
      }
    }
  };
  search(0, needL - bulk * largest.yieldsL, 0, []);
  return sorted
    .map((p, i) => ({
      id: p.id,
      name: packageName(p, units),
      count: (chosen[i] ?? 0) + (i === 0 ? bulk : 0),
    }))
    .filter((b) => b.count > 0);
}

/** Adds up the rooms and rounds to what can be bought. */
export function orderFor(
  job: Pick<Job, 'units' | 'way' | 'shop' | 'rooms'>,
  rooms: readonly (Pick<Survey, 'boards' | 'faces' | 'sheets'> & { id: string; use: RoomUse })[],
  areaM2: number,
  book: Supplied,
  { boards: memo, cuts = new CutMemo() }: { boards?: BoardMemo; cuts?: CutMemo } = {},
): Order {
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
  const compounds = COMPOUNDS.filter((id) => byCompound.has(id)).map((id) =>
    compoundLine(id, byCompound.get(id) ?? {}, job, book),
  );
  const tape = tapeLine(
    job.way.tape,
    uses.reduce((sum, u) => sum + u.tapeMm, 0),
    job.units,
    book,
  );
  const beads = beadLines(rooms, job, book, cuts);
  return {
    compounds,
    tape,
    beads,
    boards: boardLines(job.rooms, rooms, memo),
    massKg: compounds.reduce((sum, line) => sum + line.massKg, 0),
    cost: [...compounds, ...(tape ? [tape] : []), ...beads].reduce((sum, line) => sum + line.cost, 0),
    sanity: sanityOf(uses, areaM2, book),
  };
}

function compoundLine(
  id: CompoundId,
  byCoat: Partial<Record<Coat, number>>,
  { units, shop }: Pick<Job, 'units' | 'shop'>,
  book: Supplied,
): CompoundLine {
  const exactL = Object.values(byCoat).reduce((a, b) => a + b, 0);
  const waste = sets(id) ? book.wasteSetting : book.wasteDrying;
  const withWasteL = exactL * (1 + waste.value);
  const { name, product, packages: sold } = book.compounds[id];
  const fitting = sold.filter((p) => p.for === 'both' || p.for === units);
  // Where a lighter package is sold, nobody has to carry the heavy one.
  const light = fitting.filter((p) => p.massKg <= (shop?.liftKg ?? Infinity));
  const offered = light.length > 0 ? light : fitting;
  const packages = choosePackages(withWasteL, offered, book.packageL.value, units);
  const sum = (of: (p: Package) => number) =>
    packages.reduce((total, b) => total + b.count * of(offered.find((p) => p.id === b.id) as Package), 0);
  const boughtL = sum((p) => p.yieldsL);
  return {
    compound: id,
    name,
    exactL,
    withWasteL,
    boughtL,
    leftL: boughtL - withWasteL,
    massKg: sum((p) => p.massKg),
    cost: sum((p) => p.price),
    heaviestKg: Math.max(0, ...packages.map((b) => offered.find((p) => p.id === b.id)?.massKg ?? 0)),
    ...(product?.onHandL === undefined ? {} : { onHandL: product.onHandL }),
    waterL: sum((p) => p.waterL ?? 0),
    packages,
    byCoat,
    why: {
      rule: say('why.compound'),
      inputs: [
        ...COATS.filter((coat) => byCoat[coat]).map((coat) =>
          given(say('why.coat', { coat: say(`coat.${coat}`) }), byCoat[coat] ?? 0, 'L'),
        ),
        input(waste),
        input(book.packageL),
        ...offered.map((p) =>
          given(say('say', { what: packageName(p, units) }), p.yieldsL, 'L', product ? 'entered' : 'typical'),
        ),
      ],
    },
  };
}

function tapeLine(tape: Tape, exactMm: number, units: Job['units'], book: Book): TapeLine | undefined {
  if (exactMm <= 0) return undefined;
  const withWasteMm = exactMm * (1 + book.wasteTape.value);
  const roll = book[`roll-${tape}-${units}`];
  const rollMm = roll.value * 1000;
  return {
    tape,
    exactMm,
    withWasteMm,
    rolls: Math.ceil(withWasteMm / rollMm - 1e-9),
    rollMm,
    cost: Math.ceil(withWasteMm / rollMm - 1e-9) * book.priceRoll.value,
    why: {
      rule: say('why.tape'),
      inputs: [given(say('why.tape.joints'), exactMm / 1000, 'm'), input(book.wasteTape), input(roll)],
    },
  };
}

/** A piece of bead before it has its stick. */
interface Wanted {
  mm: number;
  room: string;
  joint: string;
}

function beadLine(
  kind: BeadKind,
  { wanted, first }: { wanted: readonly Wanted[]; first: number },
  { units, shop }: Pick<Job, 'units' | 'shop'>,
  book: Book,
  cuts: CutMemo,
): BeadLine {
  const toCut: ToCut = {
    piecesMm: wanted.map(({ mm }) => mm),
    soldMm: [book[`stick-short-${units}`].value, book[`stick-long-${units}`].value],
    onHand: (shop?.sticks ?? []).filter((stick) => stick.kind === kind),
    kerfMm: book.stickKerfMm.value,
  };
  const made = cuts.of(toCut);
  const counts = new Map<number, number>();
  for (const { stockMm, onHand } of made.sticks)
    if (!onHand) counts.set(stockMm, (counts.get(stockMm) ?? 0) + 1);
  const count = [...counts.values()].reduce((a, b) => a + b, 0);
  const exactMm = wanted.reduce((sum, { mm }) => sum + mm, 0);
  const { boughtMm, boundMm, splices } = made;
  return {
    kind,
    name: beadText(kind).name,
    exactMm,
    cost: count * book.priceStick.value,
    corners: wanted.length,
    sticks: [...counts]
      .map(([lengthMm, n]) => ({ lengthMm, count: n }))
      .sort((a, b) => a.lengthMm - b.lengthMm),
    cuts: made.sticks.map(({ parts, ...stick }) => ({
      kind,
      ...stick,
      kerfMm: toCut.kerfMm,
      pieces: parts.map(({ piece, mm, part }) => {
        const { room, joint } = wanted[piece] as Wanted;
        return { n: first + piece, mm, room, joint, ...(part ? { part } : {}) };
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

/** Beads of every kind, their pieces numbered through the job as the rooms come. */
function beadLines(
  rooms: readonly { id: string; use: RoomUse }[],
  job: Pick<Job, 'units' | 'shop'>,
  book: Book,
  cuts: CutMemo,
): BeadLine[] {
  let first = 1;
  return BEADS.flatMap((kind) => {
    const wanted = rooms.flatMap(({ id, use }) =>
      use.beads
        .filter((run) => run.kind === kind && run.mm > 0)
        .map(({ mm, joint }): Wanted => ({ mm, room: id, joint })),
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
  const far = Math.abs(mud / middle - 1) > 0.4;
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
