import { given, input } from '../book';
import type { Supplied } from '../compound';
import { dryingFactor, waterGPerL } from '../drying';
import { MEND_PASSES, STEPS, type Tape, type Way } from '../job';
import { wetnessOf, type Mend, type MendLayer } from '../mend';
import { say } from '../texts';
import { mixMinOf } from './pot';
import { mixingIn, type RoomStep, type RowStep } from './work';

/** The steps in which spots of a room are mended by themselves: a pass over all of them, then the next. */
export function mendSteps(
  mends: readonly Mend[],
  way: Pick<Way, 'tape' | 'batchL'>,
  book: Supplied,
): RoomStep[] {
  const passes = MEND_PASSES.map((pass) => ({
    step: pass,
    rows: mends.flatMap((mend) =>
      mend.layers.filter((layer) => layer.pass === pass).map((layer) => rowOf(mend, layer, way.tape, book)),
    ),
  }));
  const sanded = mends.filter(({ sandMin }) => sandMin > 0);
  return [...passes, { step: 'mend-sand' as const, rows: sanded.map(sandedRow) }]
    .filter(({ rows }) => rows.length > 0)
    .map(({ step, rows }): RoomStep => {
      const slowest = rows.reduce((most, row) => (row.hardenMin > most.hardenMin ? row : most));
      const minutes = rows.reduce((sum, { labourMin }) => sum + labourMin, 0);
      const mixMin = mixMinOf(rows, 1, way, book);
      const longest = (of: (row: RowStep) => number): number => Math.max(...rows.map(of));
      return {
        step,
        rows,
        labourMin: minutes + mixMin + book.roomSetupMin.value,
        mixMin,
        how: slowest.how,
        earlyMin: longest((row) => row.earlyMin),
        hardenMin: slowest.hardenMin,
        lateMin: longest((row) => row.lateMin),
        why: {
          rule: say('why.mend-step'),
          inputs: [
            given(say('why.mend.spots'), rows.length, 'count'),
            given(say('why.mend.work'), minutes, 'min'),
            ...mixingIn(mixMin),
            input(book.roomSetupMin),
            input(book.mendTouchMin),
            input(book.paceMend),
          ],
        },
      };
    });
}

/** Steps in the order they are worked. */
export const inOrder = (steps: readonly RoomStep[]): RoomStep[] =>
  [...steps].sort((a, b) => STEPS.indexOf(a.step) - STEPS.indexOf(b.step));

const NO_WAIT = { how: 'none', earlyMin: 0, hardenMin: 0, lateMin: 0, stiffMin: 0, setsMin: 0 } as const;
const PLAIN = { row: 'repairs', mud: [], waterG: 0, dryFactor: 0, byHand: false, machine: false } as const;

const sandedRow = ({ id, sandMin }: Mend): RowStep => ({
  ...PLAIN,
  ...NO_WAIT,
  mud: [],
  spot: id,
  labourMin: sandMin,
});

function rowOf({ id }: Mend, layer: MendLayer, tape: Tape, book: Supplied): RowStep {
  const {
    compound: of,
    coat,
    setMin,
    wetL,
    waitsMm,
    earlyMin,
    hardenMin,
    lateMin,
    how,
    minutes,
    mudMin,
  } = layer;
  const row = {
    ...PLAIN,
    spot: id,
    labourMin: minutes,
    mudMin,
    how,
    earlyMin,
    hardenMin,
    lateMin,
    stiffMin: lateMin,
  };
  // Sealer waits by the hour on its can, whatever the air.
  if (of === undefined) return { ...row, mud: [], setsMin: 0, byHand: true };
  const compound = book.compounds[of];
  const consistency = wetnessOf(coat);
  const dries = { book, compound, consistency, tape: coat === 'tape' ? tape : undefined } as const;
  return {
    ...row,
    stiffMin: Math.min(lateMin, setMin ?? book.stiffenMin.value),
    mud: [{ compound: of, wetL, setMin }],
    waterG: wetL * waterGPerL(compound, consistency),
    dryFactor: waitsMm.reduce((sum, mm) => sum + dryingFactor(mm, dries), 0),
    setsMin: compound.hardens === 'both' ? (setMin ?? 0) * book.setRecoat.value : 0,
  };
}
