import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { built, button, openJob, sampleJob, setUp, until, words } from '../testing/app';
import { VanPage } from './order/van-page';
import type { LisseDb } from './storage/db';
import { JobStore } from './state/job.store';
import { CoatsPage } from './finish/coats-page';
import type { Type } from '@angular/core';

let db: LisseDb;
let fixture: ComponentFixture<unknown>;
const page = () => fixture.nativeElement as HTMLElement;
const text = () => words(page());

async function show(place: Type<unknown>, job = sampleJob()) {
  db = setUp();
  await openJob(job);
  fixture = TestBed.createComponent(place);
  await built(fixture);
}
afterEach(() => db.delete());

describe('Finish', () => {
  it('says whether the grade holds, and what it means', async () => {
    await show(CoatsPage);
    expect(text()).toContain('Flat paint in ordinary light: Level 4 is enough.');
    expect(text()).toContain('two coats over flats, one over angles, three coats on fasteners and beads');
    expect(text()).toContain('Does not promise: an even sheen');
  });

  it('draws a cell for every coat that is needed, and drops them with the grade', async () => {
    await show(CoatsPage);
    const rows = () =>
      [...page().querySelectorAll('tbody tr')].map((row) => row.querySelectorAll('ls-blade-bar').length);
    expect(rows()).toEqual([4, 4, 4, 3]);
    button(page(), '1').click();
    await until(() => page().querySelectorAll('ls-blade-bar').length === 6);
    expect(text()).toContain('needs Level 4');
  });

  it('cures with one press, and the press can be undone', async () => {
    const room = { ...sampleJob().rooms[0]!, decoration: 'gloss' as const };
    await show(CoatsPage, sampleJob({ rooms: [room] }));
    expect(text()).toContain('A-LEVEL');
    button(page(), 'Raise to Level 5').click();
    const store = TestBed.inject(JobStore);
    await store.settled();
    expect(store.job()!.rooms[0]!.finish.grade).toBe(5);
    await store.undo();
    expect(store.job()!.rooms[0]!.finish.grade).toBe(4);
  });

  it('stops mesh under drying compound, beside the tape coat', async () => {
    const job = sampleJob();
    await show(CoatsPage, { ...job, way: { ...job.way, tape: 'mesh' } });
    expect(text()).toContain('Mesh tape under drying compound cracks');
    expect(page().querySelectorAll('.flag.stop').length).toBeGreaterThan(0);
  });

  it('stands without rooms', async () => {
    await show(CoatsPage, sampleJob({ rooms: [] }));
    expect(text()).toContain('No rooms yet');
  });
});

describe('Order', () => {
  it('shows what is bought as it stands on the van, and why', async () => {
    await show(VanPage);
    expect(text()).toContain('1 × 20 kg tub');
    expect(text()).toContain('1 × roll of 150 m');
    expect(text()).toContain('Likely 61.7 m');
    expect(text()).toContain('sanding discs, 150 grit');
    expect(text()).toMatch(/people/);
    expect(text()).toContain('Typical for Level 4 by hand: 35 L to 42 L');
    expect(text()).toContain('Local codes and licensed practice decide.');
  });

  it('opens the reason of a figure', async () => {
    await show(VanPage);
    page().querySelector<HTMLButtonElement>('article ls-why button')!.click();
    await until(() => document.body.textContent.includes('rounded up to whole packages'));
    expect(document.body.textContent).toContain('waste of drying compound');
  });

  it('draws the packages of a product of one’s own, and reasons from figures of one’s own', async () => {
    const product = {
      id: 'mine',
      name: 'my pail',
      compound: 'drying-all-purpose' as const,
      kind: 'pail' as const,
      yieldsL: 12,
      massKg: 19,
      inUse: true,
    };
    await show(VanPage, sampleJob({ shop: { products: [product], figures: { screwWallMm: 300 } } }));
    expect(text()).toContain('× my pail');
    const mine = [...page().querySelectorAll('article')].find((a) => words(a).includes('my pail'))!;
    expect(mine.querySelectorAll('ls-package-row svg').length).toBeGreaterThan(0);
    page().querySelector<HTMLButtonElement>('ls-why button[aria-label*="fasteners"]')!.click();
    await until(() => document.body.textContent.includes('screw spacing on walls'));
    expect(words(document.body)).toMatch(/screw spacing on walls\s+300 mm/);
  });

  it('says when there is nothing to buy', async () => {
    await show(VanPage, sampleJob({ rooms: [] }));
    expect(text()).toContain('Nothing to buy yet');
  });
});
