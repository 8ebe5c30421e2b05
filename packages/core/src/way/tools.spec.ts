import * as fc from 'fast-check';
import { bookWith, TYPICAL } from '../book';
import { said } from '../testing/samples';
import { COATS, ELEMENTS, TOOLS, type BeadKind, type ToolId, type Way } from '../job';
import { BEAD, beadOf, beadText, bedOf, noseMm } from './beads';
import { PRESETS, presetOf, sameWay } from './presets';
import {
  bladeReaching,
  bladesFor,
  dialFor,
  dialOf,
  filledFor,
  fillOf,
  kitOf,
  TOOL,
  toolReaching,
  widestOf,
} from './tools';

const WAYS: Way['tools'][] = ['knives', 'trowels', 'machine'];

describe('tools', () => {
  it('are all known by what they are', () => {
    for (const id of TOOLS) {
      expect(TOOL[id].id).toBe(id);
      const width = /-(\d+)$/.exec(id)?.[1];
      expect(TOOL[id].widthMm).toBe(width === undefined ? undefined : Number(width));
    }
  });

  it('that are usual are made, and the user’s own stand in their place', () => {
    for (const tools of WAYS) for (const id of kitOf(undefined, tools)) expect(TOOLS).toContain(id);
    expect(kitOf({ kit: ['hawk'] }, 'machine')).toEqual(['hawk']);
    expect(kitOf({}, 'machine')).toEqual(kitOf(undefined, 'machine'));
  });

  it('that do a coat are blades, for every coat on everything', () => {
    for (const tools of WAYS)
      for (const element of ELEMENTS)
        for (const coat of COATS) {
          const kinds = bladesFor(tools, element, coat);
          expect(kinds.length).toBeGreaterThan(0);
          expect(widestOf(TOOLS, kinds)).toBeGreaterThan(100);
        }
    expect(bladesFor('machine', 'angles', 'fill')[0]).toBe('head');
    expect(bladesFor('machine', 'flats', 'fill')[0]).toBe('box');
    expect(bladesFor('trowels', 'butts', 'fill')[0]).toBe('cambered');
    expect(bladesFor('trowels', 'butts', 'finish')[0]).toBe('flat');
  });

  it('reach as far as asked with the smallest owned, or not at all', () => {
    fc.assert(
      fc.property(fc.subarray([...TOOLS]), fc.integer({ min: 50, max: 900 }), (kit, mm) => {
        const found = bladeReaching(kit as ToolId[], ['knife'], mm);
        const owned = (kit as ToolId[])
          .filter((id) => TOOL[id].kind === 'knife')
          .map((id) => TOOL[id].widthMm!);
        const fit = owned.filter((width) => width >= mm - 0.5).sort((a, b) => a - b)[0];
        return found?.widthMm === fit;
      }),
    );
    expect(toolReaching(['knife', 'wide'], 420)?.id).toBe('blade-500');
    expect(toolReaching(['knife', 'wide'], 900)).toBeUndefined();
  });

  it('are filled as the coat is laid', () => {
    expect(filledFor('machine', 'flats', 'tape', 'knife-150')).toBe('taper');
    expect(filledFor('machine', 'angles', 'fill', 'head-90')).toBe('tube');
    expect(filledFor('machine', 'butts', 'fill', 'box-250')).toBe('box-250');
    expect(filledFor('machine', 'heads', 'tape', 'spotter-75')).toBe('pan');
    expect(filledFor('trowels', 'flats', 'fill', 'trowel-cambered-355')).toBe('hawk');
    expect(filledFor('knives', 'flats', 'tape', 'knife-150')).toBe('pan');
    expect([
      fillOf('taper', TYPICAL)?.value,
      fillOf('tube', TYPICAL)?.value,
      fillOf('box-300', TYPICAL)?.value,
    ]).toEqual([2.9, 1.3, 3.7]);
    expect(fillOf('taper', bookWith({ 'fill-taper': 2.5 }))).toMatchObject({ value: 2.5, from: 'entered' });
    expect(fillOf('knife-150', TYPICAL)?.value).toBeUndefined();
  });

  it('leave less the further a box is closed', () => {
    const dial = dialOf(TYPICAL);
    dial.slice(1).forEach((mm, i) => expect(mm).toBeLessThan(dial[i]!));
    dial.forEach((mm, i) => expect(dialFor(mm, dial)).toBe(i + 1));
    expect(dialFor(0.44, dial)).toBe(4);
    expect(dialFor(9, dial)).toBe(1);
    // Somebody else's box: open it leaves 1 mm, and 0.15 less a step.
    const own = dialOf(bookWith({ dialOpenMm: 1, dialStepMm: 0.15 }));
    [1, 0.85, 0.7, 0.55, 0.4, 0.25].forEach((mm, i) => expect(own[i]).toBeCloseTo(mm, 9));
    expect(Math.min(...dialOf(bookWith({ dialOpenMm: 0.3, dialStepMm: 0.5 })))).toBeGreaterThan(0);
  });
});

describe('beads', () => {
  const way: Pick<Way, 'bead'> = {};
  it('are what was noted, what the joint needs, or the way’s', () => {
    expect(beadOf({ kind: 'outside-corner' }, way)).toBe('nail-on');
    expect(beadOf({ kind: 'outside-corner' }, { bead: 'plastic' })).toBe('plastic');
    expect(beadOf({ kind: 'off-angle-outside' }, { bead: 'plastic' })).toBe('flexible');
    expect(beadOf({ kind: 'trim' }, way)).toBe('l-trim');
    expect(beadOf({ kind: 'trim', bead: 'plastic' }, way)).toBe('plastic');
  });

  it('say how they are fixed and what to mind', () => {
    for (const [kind, bead] of Object.entries(BEAD)) {
      const { fixing, mind } = beadText(kind as BeadKind);
      expect(said(fixing).length).toBeGreaterThan(8);
      expect(said(mind).length).toBeGreaterThan(20);
      expect(noseMm(kind as BeadKind, TYPICAL)).toBeGreaterThan(0);
      expect(bedOf(kind as BeadKind, TYPICAL) > 0).toBe(bead.bedded);
    }
  });
});

describe('ways', () => {
  it('are the same whatever order their changes are told in, and not when one is left out', () => {
    const way = PRESETS[0]!.way;
    const one: Way = { ...way, compoundFor: { fill: 'hybrid', tape: 'drying-taping' } };
    const other: Way = { ...way, compoundFor: { tape: 'drying-taping', fill: 'hybrid' } };
    expect(sameWay(one, other)).toBe(true);
    expect(sameWay(one, way)).toBe(false);
    expect(sameWay({ ...way, bead: 'nail-on' }, way)).toBe(true);
    expect(sameWay({ ...way, bead: 'bullnose' }, way)).toBe(false);
    expect(presetOf({ ...way, cells: { 'butts.fill': { bandMm: 500 } } })).toBeUndefined();
    expect(presetOf({ ...way, cells: {} })).toBe(PRESETS[0]);
  });

  it('named so are all different from each other', () => {
    for (const a of PRESETS) for (const b of PRESETS) expect(sameWay(a.way, b.way)).toBe(a === b);
  });
});
