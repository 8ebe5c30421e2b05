import { TestBed, type ComponentFixture } from '@angular/core/testing';
import * as fc from 'fast-check';
import { built, button, openJob, setUp, until, words } from '../../testing/app';
import type { LisseDb } from '../storage/db';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import { steppedGap } from './joint-edit';
import { RoomsPage } from './rooms-page';

let db: LisseDb;
let fixture: ComponentFixture<RoomsPage>;
const page = () => fixture.nativeElement as HTMLElement;
const joints = () => TestBed.inject(JobStore).job()!.rooms[0]!.joints;
const litres = () => TestBed.inject(PlanStore).plan()!.totals.wetL;

async function press(...keys: string[]) {
  for (const key of keys) {
    page().querySelector('svg[role=group]')!.dispatchEvent(new KeyboardEvent('keydown', { key }));
    await TestBed.inject(JobStore).settled();
    await built(fixture);
  }
}

async function type(label: string, value: string) {
  const field = [...page().querySelectorAll('ls-joint-sheet label')]
    .find((l) => l.textContent.trim().startsWith(label))!
    .querySelector('input')!;
  field.dispatchEvent(new Event('focus'));
  field.value = value;
  field.dispatchEvent(new Event('input'));
  field.dispatchEvent(new Event('blur'));
  await TestBed.inject(JobStore).settled();
  await built(fixture);
}

beforeEach(async () => {
  db = setUp();
  await openJob();
  fixture = TestBed.createComponent(RoomsPage);
  TestBed.inject(ViewStore).showJoint('wall-0.butt-1');
  await built(fixture);
});
afterEach(() => db.delete());

it('a hump that is typed changes the section, the mud and the drawing', async () => {
  const before = litres();
  await type('Hump', '1.5 mm');
  expect(joints()).toEqual({ 'wall-0.butt-1': { humpMm: 1.5 } });
  await until(() => Math.abs(litres() - before) > 0.01);
  await until(() => words(page()).includes('1.5 mm hump'));
});

it('gaps go wider and narrower by key, never under nothing', async () => {
  await press(']');
  expect(joints()?.['wall-0.butt-1']?.gapMm).toBe(3);
  await press('[', '[', '[', '[', '[');
  expect(joints()?.['wall-0.butt-1']?.gapMm).toBe(0);
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 100, noNaN: true }),
      fc.integer({ min: -80, max: 80 }),
      (gap, steps) => {
        const next = steppedGap(gap, steps, 'feet');
        return next >= 0 && next <= 100;
      },
    ),
  );
});

it('a butt is called what it is by one key, and its row on the coat board follows', async () => {
  const butts = () => TestBed.inject(ViewStore).roomPlan()!.use.amounts.butts;
  const before = butts();
  await press('r');
  await until(() => butts() === before - 1200);
  expect(words(page())).toContain('Recessed butt, 1,200 mm');
});

it('angles are what the walls make them', async () => {
  TestBed.inject(ViewStore).showJoint('corner-0');
  await built(fixture);
  await press('b');
  expect(joints()).toBeUndefined();
  expect(words(page().querySelector('ls-joint-sheet')!)).not.toContain('Hump');
});

it('what was measured is forgotten with one press, and undo brings it back', async () => {
  await type('Gap', '5');
  await until(() => words(page()).includes('gap 5 mm'));
  button(page(), 'Clear measurements').click();
  await TestBed.inject(JobStore).settled();
  expect(joints()).toBeUndefined();
  await TestBed.inject(JobStore).undo();
  expect(joints()).toEqual({ 'wall-0.butt-1': { gapMm: 5 } });
});

it('refuses what no joint has', async () => {
  await type('Gap', '2 m');
  expect(words(page())).toContain('Enter 0 mm to 100 mm');
  expect(joints()).toBeUndefined();
});

it('says how the joint turns out and whether it shows, and what its trouble costs', async () => {
  const sheet = () => words(page().querySelector('ls-joint-sheet')!);
  expect(sheet()).toContain('Finished crown');
  expect(sheet()).toMatch(/Contrast in this light [\d.]+%, under 10\.0%/);
  expect(sheet()).not.toContain('Compared with a flat, straight joint');
  await type('Gap', '6');
  await until(() => sheet().includes('Compared with a flat, straight joint'));
  // 6 mm × 12.5 mm × 1.2 m is 90 mL, and 1.2 m at 60 m an hour a minute.
  expect(sheet()).toMatch(/Compared with a flat, straight joint \+(90 mL|0\.1 L), \+1 min/);
});
