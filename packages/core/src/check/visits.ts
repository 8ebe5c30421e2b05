import { WATER_L, type Supplied } from '../compound';
import { isMend, type DayTask } from '../days';
import type { CompoundId } from '../job';
import type { Mend, MendLayer } from '../mend';

/** Mud that is mixed on a visit, and what it is mixed in. */
export interface CarriedMud {
  compound: CompoundId;
  litres: number;
  /** Powder, and the water for it; of what comes ready only the water that thins it. */
  powderKg: number;
  waterL: number;
  /** The largest batch fits into a pan. */
  vessel: 'pan' | 'pail';
}

/** A day on which repairs are worked on. */
export interface Visit {
  day: string;
  from: string;
  to: string;
  /** Work of one person, min. */
  workMin: number;
  tasks: readonly DayTask[];
  muds: CarriedMud[];
  /** Water to wash up with, carried in apart from that which mud is mixed with, L. */
  washL: number;
  /** Something is sanded: the vacuum at the pad. */
  vacuum: boolean;
  sealer: boolean;
}

/** The visits of the repairs, in order, by the plan of the days. */
export function visitsOf(tasks: readonly DayTask[], mends: readonly Mend[], book: Supplied): Visit[] {
  const days = new Map<string, DayTask[]>();
  for (const task of tasks)
    if (isMend(task.step)) {
      const day = task.start.slice(0, 10);
      days.set(day, [...(days.get(day) ?? []), task]);
    }
  return [...days]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([day, own]): Visit => {
      const layers = own.map(({ step, spots = [] }) =>
        mends
          .filter(({ id }) => spots.includes(id))
          .flatMap((mend) => mend.layers.filter(({ pass }) => pass === step)),
      );
      const muds = mudsOf(layers, book);
      return {
        day,
        from: own.reduce((least, { start }) => (start < least ? start : least), own[0]?.start ?? ''),
        to: own.reduce((most, { end }) => (end > most ? end : most), ''),
        workMin: own.reduce((sum, { labourMin }) => sum + labourMin, 0),
        tasks: own,
        muds,
        washL: muds.length > 0 ? book.washL.value : 0,
        vacuum: own.some(({ step }) => step === 'mend-sand'),
        sealer: layers.flat().some(({ compound }) => compound === undefined),
      };
    });
}

/** @param byTask what each task lays: it is mixed for one of them at a time */
function mudsOf(byTask: readonly (readonly MendLayer[])[], book: Supplied): CarriedMud[] {
  const found = new Map<CompoundId, { litres: number; largest: number }>();
  for (const layers of byTask) {
    const own = new Map<CompoundId, number>();
    for (const { compound, wetL } of layers)
      if (compound !== undefined && wetL > 0) own.set(compound, (own.get(compound) ?? 0) + wetL);
    for (const [compound, wetL] of own) {
      const { litres, largest } = found.get(compound) ?? { litres: 0, largest: 0 };
      found.set(compound, { litres: litres + wetL, largest: Math.max(largest, wetL) });
    }
  }
  return [...found].map(([compound, { litres, largest }]): CarriedMud => {
    const powder = book.compounds[compound].packages.find(({ waterL }) => waterL !== undefined);
    return {
      compound,
      litres,
      powderKg: powder ? (litres * powder.massKg) / powder.yieldsL : 0,
      waterL: powder ? (litres * (powder.waterL ?? 0)) / powder.yieldsL : (litres * WATER_L.C4) / 17,
      vessel: largest <= book.panL.value ? 'pan' : 'pail',
    };
  });
}

/** What all repairs of a job take, before waste and whole packages. */
export interface MendTotals {
  spots: number;
  workMin: number;
  litres: Partial<Record<CompoundId, number>>;
  tapeMm: number;
  screws: number;
  patchM2: number;
  stripsMm: number;
  beadMm: number;
  sealL: number;
}

export function mendTotals(mends: readonly Mend[]): MendTotals {
  const sum = (of: (mend: Mend) => number): number => mends.reduce((all, mend) => all + of(mend), 0);
  const litres: MendTotals['litres'] = {};
  for (const { compound, wetL } of mends.flatMap(({ layers }) => layers))
    if (compound !== undefined) litres[compound] = (litres[compound] ?? 0) + wetL;
  return {
    spots: sum(({ count }) => count),
    workMin: sum(({ layers, sandMin }) => layers.reduce((all, { minutes }) => all + minutes, sandMin)),
    litres,
    tapeMm: sum(({ tapeMm }) => tapeMm),
    screws: sum(({ screws }) => screws),
    patchM2: sum(({ patchM2 }) => patchM2),
    stripsMm: sum(({ stripsMm }) => stripsMm),
    beadMm: sum(({ beadMm }) => beadMm),
    sealL: sum(({ sealL }) => sealL),
  };
}
