import * as fc from 'fast-check';
import { TYPICAL } from '../book';
import { rowCells } from '../coat';
import { suppliedWith } from '../compound';
import { needsOf } from '../finish';
import type { ToolId } from '../job';
import { plan } from '../plan';
import { jobOf, plainRoom } from '../testing/samples';
import { kitOf } from '../way';
import { contrastWith, floatThatHides, narrowestThatHides, WIDTHS, type HidingInput } from './hiding';
import { SectionMemo } from './section';

const job = jobOf([plainRoom()]);
const room = plan(job).rooms[0]!;
const book = suppliedWith(TYPICAL, undefined);
const memo = new SectionMemo();
const base = kitOf(undefined, job.way.tools);

const inputFor = (
  element: 'butts' | 'flats',
  over: { humpMm: number; lippageMm: number; grazingDeg: number; limit: number },
): HidingInput => {
  const row = room.areas[0]!.rows.find((r) => r.element === element)!;
  const joint = room.joints.find((j) => j.id === row.joints[0])!;
  const { grazingDeg, limit, ...measured } = over;
  return {
    joint: { ...joint, ...measured },
    row,
    board: { needs: needsOf({ scale: 'level', grade: 4 }), way: job.way },
    own: {},
    grazingDeg,
    limit,
    way: job.way,
    skim: undefined,
  };
};

const anyJoint = fc.record({
  element: fc.constantFrom('butts' as const, 'flats' as const),
  humpMm: fc.constantFrom(-2, 0, 0.5, 1, 2),
  lippageMm: fc.constantFrom(0, 0, 1, -2),
  grazingDeg: fc.integer({ min: 3, max: 12 }),
  limit: fc.constantFrom(0.1, 0.06, 0.045),
  wide: fc.subarray<ToolId>(['blade-500', 'blade-600', 'blade-800']),
});

it('is the narrowest: every narrower width with the same blades shows, and it itself hides', () => {
  fc.assert(
    fc.property(anyJoint, ({ element, wide, ...over }) => {
      const input = inputFor(element, over);
      const kit = [...base, ...wide];
      const owned = { ...input, board: { ...input.board, kit } };
      const found = narrowestThatHides(input, kit, book, memo);
      if (!found) return true;
      const at = (bandMm: number) =>
        contrastWith(owned, { ...found, finish: { ...found.finish, bandMm } }, book, memo);
      const band = found.finish!.bandMm!;
      const cells = rowCells(element, { ...owned.board, book });
      const fill = cells.find((cell) => cell.coat === 'fill')!.bandMm;
      const now = cells.find((cell) => cell.coat === 'finish')!.bandMm;
      const narrower = WIDTHS.filter((mm) => mm < band && mm >= Math.max(fill + 100, now));
      const stiff = found.finish!.camberMm !== undefined;
      return at(band) <= over.limit && narrower.every((mm) => at(mm) > over.limit || (!stiff && mm === now));
    }),
    { numRuns: 30 },
  );
});

it('tries every width that a step of two inches gives', () => {
  expect(WIDTHS.slice(0, 5)).toEqual([300, 350, 400, 450, 500]);
  const hides = (grazingDeg: number) =>
    narrowestThatHides(
      inputFor('flats', { humpMm: 0, lippageMm: 0, grazingDeg, limit: 0.06 }),
      base,
      book,
      memo,
    );
  const found = Array.from({ length: 40 }, (_, i) => hides(2 + i / 10)?.finish?.bandMm);
  expect(found).toContain(450);
});

it('takes no blade it does not have, and with a wider one a joint is never harder to hide', () => {
  fc.assert(
    fc.property(anyJoint, ({ element, wide, ...over }) => {
      const input = inputFor(element, over);
      const cells = rowCells(element, {
        ...input.board,
        book,
        kit: base,
        joint: { finish: { bandMm: 1200 } },
      });
      const widest = Math.max(...cells.flatMap((cell) => cell.pulls.map((pull) => pull.widthMm)));
      if (widest > 300) return false;
      const few = narrowestThatHides(input, base, book, memo);
      return !few || narrowestThatHides(input, [...base, ...wide], book, memo) !== undefined;
    }),
    {
      numRuns: 20,
      // A wide blade bridges a dip that a narrower one fills.
      examples: [
        [{ element: 'flats', humpMm: -2, lippageMm: 0, grazingDeg: 4, limit: 0.06, wide: ['blade-800'] }],
      ],
    },
  );
});

it('floats in no thicker layers than the compound takes, with the finish past the float', () => {
  const input = inputFor('butts', { humpMm: -20, lippageMm: 0, grazingDeg: 6, limit: 0.06 });
  expect(narrowestThatHides(input, base, book, memo)).toBeUndefined();
  const { fill, finish } = floatThatHides(input, base, book, memo)!;
  expect(fill).toMatchObject({ float: true });
  expect(fill!.layers).toBeGreaterThan(1);
  expect(finish!.bandMm).toBe(fill!.bandMm! + 100);
  // The belly is 800 wide and 20 deep: ⅔ · 20 · 800 mm² and more, for the float reaches past it.
  const next = structuredClone(job);
  next.rooms[0]!.joints = { [input.joint.id]: { humpMm: -20, cells: { fill: fill!, finish: finish! } } };
  const use = plan(next).rooms[0]!.use;
  const row = plan(next).rooms[0]!.areas[0]!.rows.find((r) => r.joints.includes(input.joint.id))!;
  const float = use.uses.find((u) => u.row === row.id && u.coat === 'fill')!;
  expect(float.wetL / (float.amount / 1000)).toBeGreaterThan(((2 / 3) * 20 * 800) / 2000);
  // A face of its own, and that for every layer.
  const m2 = (float.amount * fill!.bandMm!) / 1e6;
  expect(float.minutes).toBeCloseTo((m2 / book.paceFloat.value) * 60 * fill!.layers!, 6);
  expect(float.compound).toBe('setting-light');
  expect(float.layerMm).toBeLessThanOrEqual(book.compounds[float.compound].maxMm);
});

it('says that nothing hides what no float in reach can', () => {
  const input = inputFor('butts', { humpMm: 30, lippageMm: 0, grazingDeg: 3, limit: 0.02 });
  expect(narrowestThatHides(input, base, book, memo)).toBeUndefined();
  expect(floatThatHides(input, base, book, memo)).toBeUndefined();
});
