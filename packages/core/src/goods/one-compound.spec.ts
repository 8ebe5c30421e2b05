import { plan } from '../plan';
import { TWELVE } from '../testing/twelve';
import type { Job, LogEntry } from '../job';

const [BATH, BEDROOM, HOUSE] = TWELVE as [Job, Job, Job];
const muds = (job: Job, log: LogEntry[] = []) =>
  plan(job, undefined, undefined, { site: { log } })
    .order.items.filter(({ kind }) => kind === 'compound')
    .map(
      ({ product, packages }) =>
        `${product} ${packages.map(({ count, holds }) => `${count}×${holds}`).join()}`,
    );

describe('a small job', () => {
  it('takes one box for all its coats, where it took two of two compounds', () => {
    for (const job of [BATH, BEDROOM]) {
      expect(muds(job)).toEqual(['mud/drying-all-purpose 1×13']);
      const parted = { ...job, way: { ...job.way, oneCompound: false } };
      expect(muds(parted)).toEqual(['mud/drying-all-purpose 1×13', 'mud/drying-light 1×13']);
    }
  });

  it('is said with its board, and that it was set by hand', () => {
    const { oneCompound, totals } = plan(BATH);
    expect(oneCompound).toMatchObject({
      on: true,
      byHand: false,
      compound: 'drying-all-purpose',
      without: 'drying-light',
    });
    expect(Math.abs((oneCompound!.why.inputs[0]!.value as number) - totals.boardAreaM2)).toBeLessThan(2);
    expect(plan({ ...HOUSE, way: { ...HOUSE.way, oneCompound: true } }).oneCompound).toMatchObject({
      on: true,
      byHand: true,
      compound: 'drying-mid-weight',
    });
  });

  it('lays setting mud below and the lowest drying compound on all above it', () => {
    const { oneCompound, totals } = plan({ ...BATH, way: HOUSE.way });
    expect(oneCompound?.compound).toBe('drying-mid-weight');
    expect(Object.keys(totals.wetLByClass).sort()).toEqual(['drying-mid-weight', 'setting-light']);
  });
});

describe('each coat keeps its own compound', () => {
  const isOn = (job: Job, log: LogEntry[] = []) =>
    plan(job, undefined, undefined, { site: { log } }).oneCompound?.on;

  it('in a large job, where faces are skimmed, and where the finish compound is here already', () => {
    expect(isOn(HOUSE)).toBe(false);
    const skim = { scale: 'level', grade: 5 } as const;
    expect(isOn({ ...BATH, rooms: BATH.rooms.map((room) => ({ ...room, finish: skim })) })).toBe(false);
    const onWall = { 'wall-0': { finish: skim } };
    expect(isOn({ ...BATH, rooms: BATH.rooms.map((room) => ({ ...room, faces: onWall })) })).toBe(false);
    const light: LogEntry = {
      id: 'e1',
      kind: 'received',
      by: 'Ansa',
      device: 'd',
      at: '2026-11-27T08:00:00+01:00',
      lot: 'l',
      ware: 'mud/drying-light',
      amount: 13,
      each: 13,
    };
    expect(isOn(BATH, [light])).toBe(false);
  });

  it('where nothing is boarded, where one was chosen by hand, and where the method has one as it is', () => {
    expect(isOn(TWELVE[3]!)).toBe(false);
    const own = { ...BATH, way: { ...BATH.way, compoundFor: { finish: 'drying-topping' as const } } };
    expect(plan(own).oneCompound).toBeUndefined();
    expect(plan({ ...BATH, way: { ...BATH.way, compounds: 'hybrid' } }).oneCompound).toBeUndefined();
  });
});
