import { Component, inject, computed } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { Job } from '@lisse/core';
import { button, openJob, sampleJob, setUp, until, words } from '../../testing/app';
import type { LisseDb } from '../storage/db';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { CoreClient } from '../worker/core-client';
import { WallClient } from '../worker/wall-client';
import { AdviceList } from './advice-list';

@Component({ imports: [AdviceList], template: `<ls-advice [items]="items()" [nameRooms]="true" />` })
class Host {
  private readonly plans = inject(PlanStore);
  protected readonly items = computed(() => this.plans.plan()?.advice ?? []);
}

let db: LisseDb;
let fixture: ComponentFixture<Host>;
let store: InstanceType<typeof JobStore>;
const page = () => fixture.nativeElement as HTMLElement;
const text = () => words(page());

async function show(job: Job) {
  db = setUp();
  store = await openJob(job);
  fixture = TestBed.createComponent(Host);
  await fixture.whenStable();
}
async function settle() {
  await store.settled();
  const plans = TestBed.inject(PlanStore);
  await until(() => !plans.busy());
  await fixture.whenStable();
}
afterEach(() => {
  jest.restoreAllMocks();
  return db.delete();
});

const glossy = () => sampleJob({ rooms: [{ ...sampleJob().rooms[0]!, decoration: 'gloss' }] });

it('names the room, says how grave it is, and gives its code', async () => {
  await show(glossy());
  expect(text()).toContain('Warning: Hall.');
  expect(text()).toContain('A-LEVEL');
});

it('sets nothing aside without a reason, and asks no more when told no', async () => {
  await show(glossy());
  page().querySelector<HTMLButtonElement>('[aria-label^="Set aside A-LEVEL"]')!.click();
  await fixture.whenStable();
  button(page(), 'Set aside').click();
  await settle();
  expect(store.job()).not.toHaveProperty('setAside');
  button(page(), 'No').click();
  await fixture.whenStable();
  expect(page().querySelector('form')).toBeNull();
});

it('keeps the reason and the day, and one undo takes it back', async () => {
  await show(glossy());
  page().querySelector<HTMLButtonElement>('[aria-label^="Set aside A-LEVEL"]')!.click();
  await fixture.whenStable();
  page().querySelector<HTMLInputElement>('form input')!.value = '  agreed on site ';
  button(page(), 'Set aside').click();
  await settle();
  expect(store.job()!.setAside).toMatchObject([{ reason: 'agreed on site' }]);
  expect(store.job()!.setAside![0]!.date).toMatch(/^\d{4}-\d{2}-\d{2}$/);
  expect(text()).not.toContain('A-LEVEL');
  await store.undo();
  await settle();
  expect(text()).toContain('A-LEVEL');
});

it('cures many joints with one press', async () => {
  const job = glossy();
  job.way = { ...job.way, tape: 'mesh' };
  await show(job);
  expect(text()).toContain('Stop');
  button(page(), 'Tape with paper').click();
  await settle();
  expect(store.job()!.way.tape).toBe('paper');
  expect(text()).not.toContain('A-MESH');
});

it('tries each press before it is made, and says what it does to the days, the money and the advice', async () => {
  const job = glossy();
  job.way = { ...job.way, tape: 'mesh' };
  await show(job);
  await until(() => page().querySelector('.effect:not(.comes)') !== null);
  await fixture.whenStable();
  // Gloss at level 4 asks for a skim: more days, more money.
  const press = button(page(), 'Raise to Level 5');
  expect(words(press.parentElement!)).toMatch(/^Raise to Level 5 ready .*, costs €\d+ more/);
});

it('tries only what is on the screen, and that once', async () => {
  const told: IntersectionObserverCallback[] = [];
  const rows: Element[] = [];
  jest.spyOn(window, 'IntersectionObserver').mockImplementation((callback) => {
    told.push(callback);
    return { observe: (row: Element) => rows.push(row), disconnect: () => (rows.length = 0) } as never;
  });
  const come = (i: number, isIntersecting: boolean) =>
    told.forEach((tell) => tell([{ target: rows[i]!, isIntersecting } as never], undefined as never));
  const job = troubled();
  await show(job);
  const tries = jest.spyOn(TestBed.inject(CoreClient), 'tryCures');
  await until(() => rows.length > 2);
  await new Promise((rested) => setTimeout(rested, 500));
  expect(tries).not.toHaveBeenCalled();
  come(1, true);
  await until(() => page().querySelector('.effect:not(.comes)') !== null);
  expect([...page().querySelectorAll('.effect:not(.comes)')].every((one) => rows[1]!.contains(one))).toBe(
    true,
  );
  const calls = tries.mock.calls.length;
  expect(calls).toBe(1);
  come(1, false);
  come(1, true);
  await new Promise((rested) => setTimeout(rested, 500));
  expect(tries).toHaveBeenCalledTimes(calls);
});

/** Gloss on level 4, mesh in drying compound, and in the cold. */
function troubled(): Job {
  const job = glossy();
  return { ...job, way: { ...job.way, tape: 'mesh' }, climate: { ...job.climate, tempC: 8 } };
}

/** The same room so many times, and what its cures are asked of. */
async function showMany(count: number) {
  const [room] = glossy().rooms;
  await show({
    ...troubled(),
    rooms: Array.from({ length: count }, (_, i) => ({ ...room!, id: `room-${i}` })),
  });
  return [CoreClient, WallClient].map((client) =>
    jest.spyOn(TestBed.inject<CoreClient | WallClient>(client), 'tryCures').mockResolvedValue([]),
  ) as [jest.SpyInstance, jest.SpyInstance];
}

it('tries a job of many rooms beside the planner, which stays free for edits', async () => {
  const [planner, beside] = await showMany(13);
  await until(() => beside.mock.calls.length > 1);
  expect(planner).not.toHaveBeenCalled();
});

it('tries in a large job only what is turned to', async () => {
  const [planner, beside] = await showMany(41);
  await new Promise((rested) => setTimeout(rested, 500));
  expect(beside).not.toHaveBeenCalled();
  const [, second] = page().querySelectorAll('.item');
  second!.dispatchEvent(new Event('pointerenter'));
  await until(() => beside.mock.calls.length > 0);
  expect(beside).toHaveBeenCalledTimes(1);
  expect(planner).not.toHaveBeenCalled();
});

it('offers no press that was tried and does not help', async () => {
  const job = sampleJob({ calendar: { ...sampleJob().calendar, crew: 4, deadline: '2026-01-01' } });
  job.rooms[0]!.plan = { lengthMm: 1500, widthMm: 1500, heightMm: 2400 };
  job.rooms = job.rooms.slice(0, 1);
  await show(job);
  const pressed = () => [...page().querySelectorAll('button.quiet')].map((one) => words(one));
  expect(pressed()).toContain('Add one person');
  // A second pair of hands helps in so small a room; a fifth only stands in the way.
  await until(() => text().includes('Add one person: would not help here'));
  expect(pressed()).not.toContain('Add one person');
});
