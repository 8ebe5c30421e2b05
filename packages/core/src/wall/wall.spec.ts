import * as fc from 'fast-check';
import { applyChanges } from '../advice';
import { TYPICAL } from '../book';
import { suppliedWith } from '../compound';
import type { Room } from '../job';
import {
  coarser,
  leaningOf,
  OUTSIDE,
  paletteOf,
  seenOn,
  shade,
  shadeDifference,
  showsAbove,
  strongestContrast,
  TONES,
  type FaceLight,
} from '../light';
import { plan } from '../plan';
import { simulate } from '../section';
import { rowOfJoint, SectionMemo, sectionInput } from '../takeoff';
import { jobOf, plainRoom } from '../testing/samples';
import { angleAcross, hideShown } from './hide';
import { wallOf, type Stage } from './wall';

const book = suppliedWith(TYPICAL, undefined);
const memo = new SectionMemo();
const left: FaceLight = { u: -500, v: 1200, offMm: 400 };

const eggshell = (over: Partial<Room> = {}): Room =>
  plainRoom({ decoration: 'eggshell', light: { kind: 'critical', grazingDeg: 5 }, ...over });

const kept = new Map<string, ReturnType<typeof draw>>();

/** A wall is drawn once however many tests look at it. */
function drawn(room: Room, stage: Stage = 'finish', face = 'wall-0', cellMm = 8) {
  const key = JSON.stringify([room, stage, face, cellMm]);
  const found = kept.get(key) ?? draw(room, stage, face, cellMm);
  kept.set(key, found);
  return found;
}

function draw(room: Room, stage: Stage, face: string, cellMm: number) {
  const job = jobOf([room]);
  const planned = plan(job).rooms[0]!;
  const wall = wallOf(planned, room, job.way, book, memo, { face, stage, cellMm })!;
  const leaning = leaningOf(wall.field);
  const seen = (light: FaceLight) =>
    seenOn(leaning, light).flatMap((s) => {
      const feature = wall.features[s.feature - 1]!;
      return feature.kind === 'joint' ? [{ ...s, id: feature.id, line: feature.line }] : [];
    });
  return { job, planned, wall, leaning, seen };
}

describe('a wall in heights', () => {
  it('stands four millimetres a cell over the whole face, and nothing of it in an opening', () => {
    const room = eggshell();
    room.openings = [
      {
        id: 'o',
        wall: 0,
        kind: 'window',
        leftMm: 1000,
        bottomMm: 900,
        widthMm: 1200,
        heightMm: 1000,
        returns: 'cased',
      },
    ];
    const { field } = drawn(room, 'finish', 'wall-0', 4).wall;
    expect([field.cols, field.rows, field.cellMm]).toEqual([1200, 600, 4]);
    const at = (u: number, v: number) => field.ground[Math.floor(v / 4) * 1200 + Math.floor(u / 4)];
    expect(at(1500, 1400)).toBe(OUTSIDE);
    expect(at(900, 1400)).not.toBe(OUTSIDE);
  });

  it('has the section of a joint across it, in the middle of its line', () => {
    const { planned, wall, job } = drawn(eggshell(), 'finish', 'wall-0', 4);
    const joint = planned.joints.find((j) => j.face === 'wall-0' && j.kind === 'tapered')!;
    const row = rowOfJoint(planned.areas[0]!.rows, joint)!;
    const { bare, coats } = sectionInput(joint, row.cells, job.way, book);
    const { surface } = simulate(bare, coats).at(-1)!;
    const v = joint.line[1];
    const { cols, heights } = wall.field;
    // A place that no head and no butt lies under.
    const butts = planned.joints
      .filter((j) => j.face === 'wall-0' && j.kind === 'butt')
      .map((j) => j.line[0]);
    const free = [...Array(11).keys()]
      .map((k) => 600 + 400 * k)
      .find((u) => butts.every((b) => Math.abs(b - u) > 500))!;
    for (const off of [-100, -20, 2, 62, 118]) {
      const r = Math.floor((v + off) / 4);
      const y = (r + 0.5) * 4 - v;
      const [i, f] = [Math.floor(y) + 900, y - Math.floor(y)];
      const expected = surface[i]! * (1 - f) + surface[i + 1]! * f;
      expect(heights[r * cols + Math.floor(free / 4)]).toBeCloseTo(expected, 2);
    }
  });

  it('shows its raw boards, then what each coat leaves', () => {
    const deepest = (stage: Stage) =>
      drawn(eggshell(), stage).wall.field.heights.reduce((least, y) => Math.min(least, y), 0);
    expect(deepest('boards')).toBeLessThan(-1.4);
    expect(deepest('finish')).toBeGreaterThan(-0.3);
    const covered = (stage: Stage) =>
      drawn(eggshell(), stage).wall.field.ground.filter((g) => g === 15).length;
    const [boards, tape, fill, finish] = (['boards', 'tape', 'fill', 'finish'] as const).map(covered);
    expect(boards).toBe(0);
    expect(tape).toBeLessThan(fill!);
    expect(fill).toBeLessThan(finish!);
    const skimmed = drawn(eggshell({ finish: { scale: 'level', grade: 5 } }), 'skim').wall.field.ground;
    expect(skimmed.every((g) => g === 15)).toBe(true);
  });

  it('is finer in a part of it, with the same heights', () => {
    const room = eggshell();
    const { planned, wall, job } = drawn(room, 'finish', 'wall-0', 4);
    const part = wallOf(planned, room, job.way, book, memo, {
      face: 'wall-0',
      stage: 'finish',
      rect: [1000, 1000, 1600, 1400],
      cellMm: 1,
    })!.field;
    expect([part.cols, part.rows]).toEqual([600, 400]);
    const whole = wall.field;
    // The middle of a cell of 4 mm lies between cells of 1 mm.
    const fine = (r: number, c: number) => part.heights[r * 600 + c]!;
    const [r, c] = [200, 300];
    const four = whole.heights[Math.floor((1000 + r) / 4) * whole.cols + Math.floor((1000 + c) / 4)]!;
    expect((fine(r + 1, c + 1) + fine(r + 2, c + 2)) / 2).toBeCloseTo(four, 2);
  });

  it('carries a spot of damage, mended coat by coat, and every face of the room', () => {
    const room = eggshell({
      damage: [{ id: 'd', face: 'wall-0', at: [2000, 600], kind: 'dent', sizeMm: 60 }],
    });
    const at = (stage: Stage) => drawn(room, stage).wall.field.heights[75 * 600 + 250]!;
    expect(at('boards')).toBeLessThan(-1.2);
    expect(at('finish')).toBeGreaterThan(-0.2);
    for (const face of drawn(room).planned.faces)
      expect(drawn(room, 'finish', face.id, 16).wall.field.heights.some((y) => y !== 0)).toBe(true);
  });
});

describe('a wall in light', () => {
  it('shows a joint as strongly as its section does at the angle the light meets it', () => {
    const room = eggshell();
    const { planned, seen, job } = drawn(room, 'finish', 'wall-0', 4);
    const butts = seen(left).filter((s) => planned.joints.find((j) => j.id === s.id)?.kind === 'butt');
    expect(butts.length).toBeGreaterThan(1);
    for (const { id, line, contrast } of butts) {
      const joint = planned.joints.find((j) => j.id === id)!;
      const row = rowOfJoint(planned.areas[0]!.rows, joint)!;
      const { bare, coats } = sectionInput(joint, row.cells, job.way, book);
      const cut = strongestContrast(simulate(bare, coats).at(-1)!.surface, angleAcross(line, left));
      expect(Math.abs(contrast) / cut).toBeGreaterThan(0.9);
      // Where it crosses a flat or a head it shows a little more than by itself.
      expect(Math.abs(contrast) / cut).toBeLessThan(1.15);
    }
  });

  it('shows less of everything as the lamp moves off the wall', () => {
    const { leaning } = drawn(eggshell());
    fc.assert(
      fc.property(
        fc.integer({ min: -3000, max: 8000 }),
        fc.integer({ min: -500, max: 3000 }),
        fc.integer({ min: 50, max: 2000 }),
        (u, v, offMm) => {
          const near = seenOn(leaning, { u, v, offMm });
          const far = new Map(
            seenOn(leaning, { u, v, offMm: offMm * 1.5 }).map((s) => [s.feature, s.contrast]),
          );
          return near.every((s) => Math.abs(far.get(s.feature) ?? 0) <= Math.abs(s.contrast) + 1e-12);
        },
      ),
      { numRuns: 15 },
    );
  });

  it('is bright on the side of a butt that faces the lamp and dark on the other, and turns with the lamp', () => {
    const { planned, leaning } = drawn(eggshell(), 'finish', 'wall-0', 4);
    const butt = planned.joints.find((j) => j.face === 'wall-0' && j.kind === 'butt')!;
    const [u, v] = [butt.line[0], (butt.line[1] + butt.line[3]) / 2];
    const grey = paletteOf([200, 200, 200], [200, 200, 200]);
    const lit = (lamp: number) => {
      const out = new Uint32Array(leaning.cols * leaning.rows);
      shade(leaning, { u: lamp, v, offMm: 300 }, grey, out);
      const red = (x: number) =>
        out[(leaning.rows - 1 - Math.floor(v / 4)) * leaning.cols + Math.floor(x / 4)]! & 255;
      return [red(u - 120), red(u + 120)] as const;
    };
    const [near, far] = lit(-400);
    expect(near).toBeGreaterThan(200);
    expect(far).toBeLessThan(200);
    const [back, front] = lit(5200);
    expect(back).toBeLessThan(200);
    expect(front).toBeGreaterThan(200);
  });

  it('is the same wall in larger cells', () => {
    const { leaning } = drawn(eggshell());
    const coarse = coarser(leaning, 4);
    expect([coarse.cols, coarse.rows, coarse.cellMm]).toEqual([150, 75, 32]);
    const strongest = (l: typeof leaning) => Math.abs(seenOn(l, left)[0]!.contrast);
    expect(strongest(coarse) / strongest(leaning)).toBeGreaterThan(0.6);
    expect(strongest(coarse)).toBeLessThanOrEqual(strongest(leaning) * 1.001);
  });

  it('loses what a farther eye does not resolve', () => {
    const { wall } = drawn(eggshell(), 'tape');
    const at = (eyeMm: number) => Math.abs(seenOn(leaningOf(wall.field, eyeMm), left)[0]!.contrast);
    expect(at(6000)).toBeLessThan(at(2000));
    expect(at(2000)).toBeLessThan(at(800));
  });

  it('flashes over compound without a skim, less over a high-build primer, not over a skim', () => {
    const flash = (over: Partial<Room>) => drawn(eggshell(over)).wall.flashLeft;
    expect(flash({})).toBeGreaterThan(flash({ primer: 'high-build' }));
    expect(flash({ finish: { scale: 'level', grade: 5 } })).toBe(0);
    const { words } = paletteOf([200, 200, 200], [200, 200, 200], -0.1);
    expect(words[15 * TONES + TONES / 2]! & 255).toBe(180);
    expect(words[TONES / 2]! & 255).toBe(200);
  });

  it('differs from itself nowhere, and from a humped wall where the hump is', () => {
    const room = eggshell();
    const { leaning, planned } = drawn(room);
    const butt = planned.joints.find((j) => j.face === 'wall-0' && j.kind === 'butt')!;
    const humped = drawn({ ...room, joints: { [butt.id]: { humpMm: 4 } } });
    const out = new Uint32Array(leaning.cols * leaning.rows);
    const grey = paletteOf([100, 100, 100], [100, 100, 100]);
    shadeDifference(leaning, leaning, left, grey, out);
    expect(new Set(out).size).toBe(1);
    shadeDifference(humped.leaning, leaning, left, grey, out);
    const changed = [...out.keys()].filter((i) => (out[i]! & 255) > 101).map((i) => (i % leaning.cols) * 8);
    expect(changed.length).toBeGreaterThan(100);
    expect(changed.filter((u) => Math.abs(u - butt.line[0]) >= 450)).toEqual([]);
  });
});

describe('hide these', () => {
  const bumpy = (): Room => {
    const { planned } = drawn(eggshell());
    const butts = planned.joints.filter((j) => j.face === 'wall-0' && j.kind === 'butt');
    return eggshell({ joints: { [butts[0]!.id]: { humpMm: 1 }, [butts[1]!.id]: { lippageMm: 4 } } });
  };
  const low: FaceLight = { u: -300, v: 1200, offMm: 420 };

  it('widens or floats what shows, leaves the rest narrow, and nothing of it shows any more', () => {
    const room = bumpy();
    const { job, planned, seen } = drawn(room);
    const over = seen(low).filter((s) => Math.abs(s.contrast) > showsAbove('eggshell', TYPICAL));
    const shown = over.map((s) => ({ joint: s.id, line: s.line, contrast: s.contrast }));
    const told = hideShown(planned, room, job, book, memo, low, shown);
    expect(new Set(told.map((t) => t.how)).has('float')).toBe(true);
    for (const t of told) expect(t.before).toBeGreaterThan(showsAbove('eggshell', TYPICAL));
    const next = structuredClone(job);
    applyChanges(
      next,
      told.flatMap((t) => t.changes),
    );
    const done = drawn(next.rooms[0]!);
    const contrast = new Map(done.seen(low).map((s) => [s.id, Math.abs(s.contrast)]));
    for (const t of told.filter((x) => x.how !== 'none')) {
      expect(t.after).toBeLessThanOrEqual(showsAbove('eggshell', TYPICAL));
      expect(contrast.get(t.joint)).toBeLessThan(showsAbove('eggshell', TYPICAL) * 1.05);
    }
    // Only what it told of was changed.
    expect(Object.keys(next.rooms[0]!.joints!).sort()).toEqual(
      [
        ...new Set([
          ...Object.keys(room.joints!),
          ...told.filter((t) => t.how !== 'none').map((t) => t.joint),
        ]),
      ].sort(),
    );
    // It is in the order: a float takes mud.
    expect(plan(next).totals.wetL).toBeGreaterThan(plan(job).totals.wetL);
  });

  it('takes the narrowest: the next narrower would show', () => {
    const room = bumpy();
    const { job, planned } = drawn(room);
    const butts = planned.joints.filter((j) => j.face === 'wall-0' && j.kind === 'butt');
    const told = hideShown(
      planned,
      room,
      job,
      book,
      memo,
      low,
      butts.map((j) => ({ joint: j.id, line: j.line })),
    );
    const narrow: number[] = [];
    const widths = [300, 350, 400, 500, 600, 700, 800, 900, 1000, 1200, 1400, 1600];
    const floats = [800, 1000, 1200, 1600, 2000, 2400, 3000, 3600];
    for (const t of told.filter((x) => x.how !== 'none')) {
      const list = t.how === 'float' ? floats : widths;
      const now = t.how === 'float' ? t.hiding.fill!.bandMm! : t.hiding.finish!.bandMm!;
      const narrower = list[list.indexOf(now) - 1];
      if (narrower === undefined) continue;
      const trial = structuredClone(job);
      applyChanges(trial, t.changes);
      const cells = trial.rooms[0]!.joints![t.joint]!.cells!;
      if (t.how === 'float') {
        cells.fill!.bandMm = narrower;
        cells.finish!.bandMm = narrower + 100;
      } else cells.finish!.bandMm = narrower;
      const area = plan(trial).rooms[0]!.areas[0]!;
      const joint = planned.joints.find((j) => j.id === t.joint)!;
      const row = rowOfJoint(area.rows, joint)!;
      if (t.how === 'wider' && narrower < row.cells.find((c) => c.coat === 'fill')!.bandMm + 100) continue;
      const { bare, coats } = sectionInput(joint, row.cells, job.way, book);
      const lit = angleAcross(joint.line, low, narrower / 2 + (t.how === 'float' ? 50 : 0));
      narrow.push(memo.contrast(bare, coats, lit));
    }
    expect(narrow.length).toBeGreaterThan(0);
    for (const contrast of narrow) expect(contrast).toBeGreaterThan(0.06);
  });

  it('leaves alone what hides, what is no joint of the board, and a room in which nothing is seen', () => {
    const room = eggshell();
    const { job, planned } = drawn(room);
    const all = planned.joints.map((j) => ({ joint: j.id, line: j.line }));
    const high: FaceLight = { u: 2400, v: 1200, offMm: 4000 };
    const nobody = { joint: 'nobody', line: [0, 0, 0, 1] as [number, number, number, number] };
    expect(hideShown(planned, room, job, book, memo, high, [...all, nobody])).toEqual([]);
    const bare = eggshell({ decoration: 'none' });
    expect(hideShown(plan(jobOf([bare])).rooms[0]!, bare, job, book, memo, low, all)).toEqual([]);
  });
});

it('light along a joint meets it square: only how far it stands aside counts', () => {
  // 2000 aside, 200 off: atan 0.1.
  expect(angleAcross([2000, 0, 2000, 2400], { u: 0, v: 9000, offMm: 200 })).toBeCloseTo(5.7, 1);
  expect(angleAcross([0, 1200, 4800, 1200], { u: -900, v: 1200, offMm: 200 })).toBe(90);
});

it('beads an arch and a trim on the side where the face is', () => {
  const room = eggshell();
  room.openings = [
    {
      id: 'o',
      wall: 0,
      kind: 'opening',
      leftMm: 1500,
      bottomMm: 0,
      widthMm: 1200,
      heightMm: 2000,
      returns: 'trim',
    },
  ];
  const { wall, planned } = drawn(room);
  expect(planned.joints.some((j) => j.kind === 'trim' && j.face === 'wall-0')).toBe(true);
  const { heights, cols } = wall.field;
  const at = (u: number, v: number) => heights[Math.floor(v / 8) * cols + Math.floor(u / 8)]!;
  // Beside the opening the trim is feathered out to nothing; far from it there is none of it.
  expect(at(1470, 900)).toBeGreaterThan(0.3);
  expect(at(1470, 900)).toBeGreaterThan(at(1350, 900));
  expect(Math.abs(at(1000, 900))).toBeLessThan(0.05);
});
