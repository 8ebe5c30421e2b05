import * as fc from 'fast-check';
import type { Coat, Room } from '../job';
import { plan } from '../plan';
import { surveyRoom, type Survey } from '../survey';
import { TYPICAL } from '../book';
import { suppliedWith } from '../compound';
import { anyRoom, anyShape, demoJob, jobOf, plainRoom } from '../testing/samples';
import { cornersOf, isAngle } from './corners';
import { picksFor } from './picks';
import { trials } from '../testing/trials';

const book = suppliedWith(TYPICAL, undefined);
const survey = (room: Room): Survey => surveyRoom(room, book);
const anglesOf = ({ joints }: Survey) =>
  joints.filter((joint) => isAngle(joint) && joint.other !== undefined);
const solved = (room: Room) => {
  const made = survey(room);
  const [angles, corners] = [anglesOf(made), cornersOf(made)];
  return { angles, corners, ...picksFor(angles, corners) };
};

const outline = (corners: [number, number][]): Room =>
  plainRoom({ plan: { outline: corners, heightMm: 2400 } });
const L: [number, number][] = [[0, 0], [6000, 0], [6000, 2500], [3000, 2500], [3000, 5000], [0, 5000]]; // prettier-ignore
const T: [number, number][] = [[0, 0], [7000, 0], [7000, 2000], [5000, 2000], [5000, 5000], [2000, 5000], [2000, 2000], [0, 2000]]; // prettier-ignore
const BAY: [number, number][] = [[0, 0], [4000, 0], [4000, 3000], [3200, 3800], [800, 3800], [0, 3000]]; // prettier-ignore
const FIVE: [number, number][] = [[0, 0], [5000, 0], [5000, 3000], [2500, 4500], [0, 3000]]; // prettier-ignore

/** Whether two angles that meet are coated on one face, in the first coat or the next. */
const clashes = ({ faces, corners, cannot, angles }: ReturnType<typeof solved>): string[] => {
  const joints = new Map(angles.map((joint) => [joint.id, joint]));
  const other = (id: string): string => {
    const { face, other: second } = joints.get(id)!;
    return faces.get(id) === face ? second! : face;
  };
  return corners.flatMap(({ id, pairs }) => {
    if (cannot.includes(id)) return [];
    return pairs.flatMap(({ a, b }) =>
      faces.get(a) === faces.get(b) || other(a) === other(b) ? [`${a} and ${b}`] : [],
    );
  });
};

describe('faces picked for inside angles coated by hand', () => {
  it.each([
    ['a rectangle', plainRoom(), 0],
    ['an L', outline(L), 0],
    ['a T', outline(T), 0],
    ['a bay', outline(BAY), 0],
    ['five walls', outline(FIVE), 1],
  ])('never have two blades on one face: %s', (_, room, cannot) => {
    const made = solved(room);
    expect(made.corners.length).toBeGreaterThan(3);
    expect(clashes(made)).toEqual([]);
    expect(made.cannot).toHaveLength(cannot);
  });

  it('are three faces where three angles meet', () => {
    const { corners, faces } = solved(plainRoom());
    const three = corners.filter(({ joints }) => joints.length === 3);
    expect(three).toHaveLength(4);
    for (const { joints } of three) expect(new Set(joints.map((id) => faces.get(id))).size).toBe(3);
  });

  it('clash nowhere but at the corners that are named, in any room with soffits and closets', () => {
    fc.assert(
      fc.property(fc.oneof(anyRoom, anyShape), (room) => {
        const made = solved(room);
        expect(clashes(made)).toEqual([]);
      }),
      { numRuns: trials(100) },
    );
  });

  it('leave out no corner that could be had: as every choice tried one by one says', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 8 }),
        fc.array(fc.tuple(fc.nat(7), fc.nat(7), fc.nat(3)), { minLength: 2, maxLength: 7 }),
        (n, meets) => {
          const faces = ['p', 'q', 'r', 's'];
          const angles = Array.from({ length: n }, (_, i) => ({
            id: `j${i}`,
            face: faces[i % 4]!,
            other: faces[(i + 1 + (i % 3)) % 4]!,
          })) as unknown as ReturnType<typeof anglesOf>;
          const corners = meets.flatMap(([i, j, f], k) => {
            const [a, b] = [angles[i % n]!, angles[j % n]!];
            const face = faces[f]!;
            const shared = a !== b && [a, b].every((one) => one.face === face || one.other === face);
            const pairs = shared ? [{ a: a.id, b: b.id, face }] : [];
            return pairs.length > 0
              ? [{ id: `c${k}`, at: [0, 0, 0] as const, joints: [a.id, b.id], pairs }]
              : [];
          });
          let fewest = Infinity;
          for (let bits = 0; bits < 1 << n; bits++) {
            const on = (id: string, face: string): boolean => {
              const i = Number(id.slice(1));
              return (((bits >> i) & 1) === 0 ? angles[i]!.face : angles[i]!.other) === face;
            };
            const bad = corners.filter(({ pairs }) =>
              pairs.some(({ a, b, face }) => on(a, face) === on(b, face)),
            );
            fewest = Math.min(fewest, bad.length);
          }
          expect(picksFor(angles, corners).cannot).toHaveLength(fewest);
        },
      ),
      { numRuns: trials(500) },
    );
  });
});

describe('the order of the joints', () => {
  const runs = (room: Room, coat: Coat) => plan(jobOf([room])).runs.find((run) => run.coat === coat)!;

  it('names every joint once, and breaks nothing by itself', () => {
    fc.assert(
      fc.property(fc.oneof(anyRoom, anyShape), (room) => {
        const { rooms, runs: all } = plan(jobOf([room]));
        for (const run of all) {
          expect(new Set(run.joints).size).toBe(run.joints.length);
          expect(run.broken).toEqual([]);
        }
        const taped = rooms[0]!.areas.flatMap(({ rows }) => rows.flatMap(({ joints }) => joints));
        expect(new Set(all.find(({ coat }) => coat === 'tape')?.joints)).toEqual(new Set(taped));
      }),
      { numRuns: trials(40) },
    );
  });

  it('tapes what has its ends covered first, and coats butts before the flats that cross them', () => {
    const room = plainRoom();
    const kinds = (coat: Coat) => {
      const { joints } = survey(room);
      return runs(room, coat).joints.map((id) => joints.find((joint) => joint.id === id)!.kind);
    };
    const taped = kinds('tape');
    expect(taped.lastIndexOf('tapered')).toBeLessThan(taped.indexOf('butt'));
    expect(taped.lastIndexOf('butt')).toBeLessThan(taped.indexOf('inside-angle'));
    const filled = kinds('fill');
    expect(filled.lastIndexOf('butt')).toBeLessThan(filled.indexOf('tapered'));
  });

  it('says what an order set by hand breaks', () => {
    const order = runs(plainRoom(), 'tape').joints;
    const angle = order.at(-1)!;
    const run = runs(plainRoom({ runs: { tape: [angle, ...order.slice(0, -1)] } }), 'tape');
    expect(run.joints[0]).toBe(angle);
    expect(run.broken.length).toBeGreaterThan(0);
    expect(run.broken[0]!.said.key).toBe('run.loose-end');
    // What is gone is passed over, and what is new has its place.
    expect(runs(plainRoom({ runs: { tape: ['gone', angle] } }), 'tape').joints).toHaveLength(order.length);
  });

  it('turns to the other face in the next coat', () => {
    const [fill, finish] = (['fill', 'finish'] as const).map((coat) => runs(plainRoom(), coat));
    for (const { joint, face } of fill!.faces)
      expect(finish!.faces.find((one) => one.joint === joint)!.face).not.toBe(face);
    expect(fill!.corners.every(({ faces }) => faces.length === 3)).toBe(true);
  });

  it('fills the tool where it is empty: as often as the litres of the coat ask', () => {
    const { rooms, runs: all } = plan(demoJob('pier-house'));
    const gallery = rooms[0]!;
    const run = all.find(({ room, coat }) => room === gallery.id && coat === 'fill')!;
    const litres = gallery.use.uses
      .filter((use) => use.coat === 'fill' && !['heads', 'repairs', 'face'].includes(use.element))
      .reduce((sum, use) => sum + use.wetL, 0);
    expect(Math.abs(run.refills.length - litres / 2.5)).toBeLessThan(3);
  });
});
