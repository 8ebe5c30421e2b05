import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { built, button, openJob, sampleJob, setUp, until, words, named } from '../../testing/app';
import type { LisseDb } from '../storage/db';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import { RoomsPage } from './rooms-page';

let db: LisseDb;
let fixture: ComponentFixture<RoomsPage>;
const page = () => fixture.nativeElement as HTMLElement;
const text = () => words(page());

async function show(job = sampleJob()) {
  db = setUp();
  await openJob(job);
  fixture = TestBed.createComponent(RoomsPage);
  await built(fixture);
}
afterEach(() => db.delete());

it('shows what the room adds up to', async () => {
  await show();
  expect(text()).toContain('27.6 m flat joints');
  expect(text()).toContain('4.8 m butts');
  expect(text()).toContain('26.4 m angles');
  expect(text()).toContain('472 fasteners');
  expect(text()).toContain('57.6 m² board');
});

it('reads a joint, walked to with the keyboard', async () => {
  await show();
  const svg = page().querySelector('svg[role=group]')!;
  svg.dispatchEvent(new KeyboardEvent('keydown', { key: 'Home' }));
  await built(fixture);
  expect(TestBed.inject(ViewStore).joint()?.id).toBe('ceiling.flat-1');
  expect(text()).toContain('Flat (tapered joint), ceiling, 3,600 mm');
  expect(text()).toContain('Gap (typical)');
  svg.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape' }));
  await built(fixture);
  expect(page().querySelector('ls-joint-sheet')).toBeNull();
});

it('adds a room from three numbers', async () => {
  await show();
  button(page(), 'Add').click();
  await built(fixture);
  const fields = [...page().querySelectorAll<HTMLInputElement>('ls-add-room input')];
  ['Nook', '3 m', '2500', '2,4 m'].forEach((value, i) => {
    fields[i]!.value = value;
    fields[i]!.dispatchEvent(new Event('input'));
    fields[i]!.dispatchEvent(new Event('blur'));
  });
  await built(fixture);
  button(page(), 'Add room').click();
  await built(fixture);
  const added = TestBed.inject(JobStore).job()!.rooms[1]!;
  expect(added).toMatchObject({ name: 'Nook', plan: { lengthMm: 3000, widthMm: 2500, heightMm: 2400 } });
  await until(() => TestBed.inject(PlanStore).plan()?.rooms.length === 2);
  expect(TestBed.inject(ViewStore).room()?.id).toBe(added.id);
});

it('adds one room for one Enter', async () => {
  await show();
  button(page(), 'Add').click();
  await built(fixture);
  const fields = [...page().querySelectorAll<HTMLInputElement>('ls-add-room input')];
  ['', '3000', '2500', '2400'].forEach((value, i) => {
    fields[i]!.value = value;
    fields[i]!.dispatchEvent(new Event('input'));
  });
  fields.slice(1, 3).forEach((field) => field.dispatchEvent(new Event('blur')));
  // The browser would send the form as well, before the page has had time to put it away.
  const enter = new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true });
  if (fields[3]!.dispatchEvent(enter))
    fields[3]!.form!.dispatchEvent(new Event('submit', { cancelable: true }));
  await TestBed.inject(JobStore).settled();
  expect(TestBed.inject(JobStore).job()!.rooms).toHaveLength(2);
});

it('adds a door where there is space, and the seam breaks at it', async () => {
  await show();
  button(page(), 'Add door').click();
  await until(() => (TestBed.inject(PlanStore).plan()?.totals.jointMm.tapered ?? 0) < 27600);
  expect(TestBed.inject(JobStore).job()!.rooms[0]!.openings).toMatchObject([
    { kind: 'door', wall: 0, bottomMm: 0 },
  ]);
});

it('says what is wrong with an opening that does not fit', async () => {
  const job = sampleJob();
  job.rooms[0]!.openings = [
    {
      id: 'd',
      wall: 0,
      kind: 'door',
      leftMm: 4500,
      bottomMm: 0,
      widthMm: 900,
      heightMm: 2000,
      returns: 'cased',
    },
  ];
  db = setUp();
  const store = await openJob(sampleJob());
  store.edit(
    named('Bad door'),
    (draft) => void (draft.rooms[0]!.openings = structuredClone(job.rooms[0]!.openings)),
  );
  fixture = TestBed.createComponent(RoomsPage);
  await until(() => (TestBed.inject(PlanStore).plan()?.advice.length ?? 0) > 0);
  await built(fixture);
  expect(text()).toContain('runs 600 mm past the end of its wall');
});

it('starts an empty job with one thing to do', async () => {
  await show(sampleJob({ rooms: [] }));
  expect(text()).toContain('Start with a room');
  // The three numbers are asked at once.
  expect(page().querySelectorAll('ls-add-room input').length).toBeGreaterThanOrEqual(3);
});

it('deletes and duplicates rooms, undoably', async () => {
  await show();
  const store = TestBed.inject(JobStore);
  button(page(), 'Duplicate room').click();
  await store.settled();
  expect(store.job()!.rooms.map((r) => r.name)).toEqual(['Hall', 'Hall, copy']);
  await built(fixture);
  button(page(), 'Delete room').click();
  await store.settled();
  expect(store.job()!.rooms).toHaveLength(1);
  await store.undo();
  expect(store.job()!.rooms).toHaveLength(2);
});
