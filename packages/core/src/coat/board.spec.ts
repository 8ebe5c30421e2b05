import { TYPICAL } from '../book';
import * as fc from 'fast-check';
import { needsOf } from '../finish';
import { COATS, ELEMENTS, TOOLS, type Finish, type ToolId, type Way } from '../job';
import { plan } from '../plan';
import { flatRunMm } from '../takeoff';
import { boardedOpening, jobOf, plainRoom, said } from '../testing/samples';
import { bladeReaching, bladesFor, kitOf, PRESETS, TOOL } from '../way';
import { typicalCells } from '../testing/samples';
import { leftOut, possibleCoats, rowCells, wantedCoats, type Cell } from './cells';
import { coatText } from './texts';

const knives = PRESETS[0]!.way;
const level = (grade: 0 | 1 | 2 | 3 | 4 | 5): Finish => ({ scale: 'level', grade });
const anyKit = fc.subarray([...TOOLS]) as fc.Arbitrary<ToolId[]>;
const anyWay: fc.Arbitrary<Way> = fc.constantFrom(...PRESETS.map((p) => p.way));

describe('any kit', () => {
  it('leaves the bands as they are and never narrows the blade’s reach from coat to coat', () => {
    fc.assert(
      fc.property(anyKit, anyWay, fc.constantFrom(1, 2, 3, 4, 5), (kit, way, grade) => {
        const needs = needsOf(level(grade as 4));
        const [own, usual] = [typicalCells(needs, way, { kit }), typicalCells(needs, way)];
        const bands = (cells: Cell[]) => cells.map((c) => `${c.element} ${c.coat} ${c.bandMm}`).join();
        if (bands(own) !== bands(usual)) return false;
        return ELEMENTS.every((element) => {
          const reach = own
            .filter((c) => c.element === element && c.coat !== 'prefill')
            .map((c) => Math.max(c.bandMm, ...c.pulls.map((p) => 2 * Math.abs(p.offsetMm) + p.widthMm)));
          return reach.every((mm, i) => i === 0 || mm >= reach[i - 1]! - 1e-6);
        });
      }),
    );
  });

  it('pulls no lane wider than the widest blade owned for it', () => {
    fc.assert(
      fc.property(anyKit, anyWay, fc.integer({ min: 200, max: 1600 }), (kit, way, bandMm) => {
        const room = { 'butts.finish': { bandMm }, 'flats.finish': { bandMm } };
        return typicalCells(needsOf(level(4)), way, { kit, room })
          .filter((c) => c.coat === 'finish' && (c.element === 'butts' || c.element === 'flats'))
          .every((cell) => {
            const kinds = bladesFor(way.tools, cell.element, 'finish');
            const widths = kit
              .filter((id) => kinds.includes(TOOL[id].kind))
              .map((id) => TOOL[id].widthMm ?? 0);
            const widest = Math.max(0, ...widths);
            return widths.length === 0 || cell.pulls.every((p) => p.widthMm <= widest + 0.5);
          });
      }),
    );
  });

  it('names an owned tool wherever one reaches', () => {
    for (const { way } of PRESETS) {
      const kit = kitOf(undefined, way.tools);
      for (const cell of typicalCells(needsOf(level(5)), way)) {
        expect(cell.tool).toBeDefined();
        expect(kit).toContain(cell.tool);
      }
    }
    expect(bladeReaching(['knife-150', 'knife-300'], ['knife'], 200)?.id).toBe('knife-300');
    expect(bladeReaching(['knife-150'], ['knife'], 200)).toBeUndefined();
  });
});

describe('changes by hand', () => {
  const input = {
    needs: needsOf(level(4)),
    book: TYPICAL,
    way: { ...knives, cells: { 'butts.fill': { compound: 'hybrid' as const, bandMm: 500 } } },
    room: { 'butts.fill': { bandMm: 700 } },
    joint: { fill: { consistency: 'C2' as const } },
  };

  it('hold from the narrowest scope that says so, each value by itself', () => {
    const fill = rowCells('butts', input).find((c) => c.coat === 'fill');
    expect(fill).toMatchObject({ compound: 'hybrid', bandMm: 700, consistency: 'C2' });
    expect(fill?.own).toEqual({ compound: 'job', bandMm: 'room', consistency: 'joint' });
  });

  it('leave coats out or add them, and say what is missing', () => {
    const room = { 'butts.finish': { coat: 'skip' as const }, 'face.skim': { coat: 'add' as const } };
    const more = { needs: needsOf(level(4)), way: knives, book: TYPICAL, room };
    expect(rowCells('butts', more).map((c) => c.coat)).toEqual(['prefill', 'tape', 'fill']);
    expect(leftOut('butts', more)).toEqual([{ coat: 'finish', own: 'room' }]);
    expect(rowCells('face', more).map((c) => c.coat)).toEqual(['skim']);
    const job = jobOf([plainRoom({ cells: room })]);
    expect(plan(job).totals.wetLByCoat.skim).toBeCloseTo(57.6 * 0.4, 6);
  });

  it('widen one joint and leave its row as it is', () => {
    const cells = { finish: { bandMm: 900 } };
    const job = jobOf([plainRoom({ joints: { 'wall-0.butt-1': { cells } } })]);
    const rows = plan(job).rooms[0]!.areas[0]!.rows.filter((row) => row.element === 'butts');
    expect(rows.map((row) => [row.id, row.joints.length, row.cells.at(-1)?.bandMm])).toEqual([
      ['butts', 3, 600],
      ['butts@wall-0.butt-1', 1, 900],
    ]);
  });
});

it('raising the grade never takes a coat away from anything', () => {
  for (const { way } of PRESETS)
    for (const [scale, grades] of [
      ['level', [0, 1, 2, 3, 4, 5]],
      ['q', [1, 2, 3, 4]],
    ] as const)
      for (const element of ELEMENTS) {
        const coats = grades.map((grade) => wantedCoats(element, needsOf({ scale, grade } as Finish), way));
        coats.slice(1).forEach((more, i) => expect(more).toEqual(expect.arrayContaining(coats[i]!)));
      }
});

it('has rows by bead, by repair and by joint kind', () => {
  const room = plainRoom({
    openings: [
      boardedOpening(),
      {
        id: 't',
        wall: 1,
        kind: 'window',
        leftMm: 500,
        bottomMm: 900,
        widthMm: 900,
        heightMm: 900,
        returns: 'trim',
      },
    ],
    damage: [{ id: 'd', face: 'wall-2', at: [500, 500], kind: 'small-hole', sizeMm: 100 }],
    joints: { 'wall-2.butt-1': { kind: 'recessed-butt' }, 'return-o-left': { bead: 'bullnose' } },
  });
  const rows = plan(jobOf([room])).rooms[0]!.areas[0]!.rows.map((row) => row.id);
  expect(rows).toEqual(
    expect.arrayContaining([
      'flats',
      'recessed',
      'butts',
      'angles',
      'corners.nail-on',
      'corners.bullnose',
      'corners.l-trim',
      'heads',
      'repairs',
      'face',
    ]),
  );
  // Whatever a joint is called, it is run as a flat where it is filled like one.
  const use = plan(jobOf([room])).rooms[0]!.use;
  expect(flatRunMm(use)).toBe(use.amounts.flats + 1200);
  const order = plan(jobOf([room])).order.beads.map((line) => line.kind);
  expect(order).toEqual(['nail-on', 'bullnose', 'l-trim']);
});

it('says of every coat on everything what it is for, what to leave alone and when it is done', () => {
  for (const element of ELEMENTS)
    for (const coat of possibleCoats(element)) {
      const { aim, leave, done } = coatText(element, coat, element === 'corners' ? 'bullnose' : undefined);
      expect(Math.min(...[aim, leave, done].map((text) => said(text).length))).toBeGreaterThan(8);
    }
  expect(COATS.length).toBe(5);
});
