import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { By } from '@angular/platform-browser';
import { plan, type Job } from '@lisse/core';
import { button, openJob, sampleJob, setUp, until, words, named, said } from '../../testing/app';
import type { LisseDb } from '../storage/db';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import { Choice } from '../ui/choice';
import { WallClient } from '../worker/wall-client';
import { WallRenderer } from '../worker/wall-renderer';
import { WallPage } from './wall-page';
import { WallPicture } from './wall-picture';

let db: LisseDb;
let fixture: ComponentFixture<WallPage>;
let store: InstanceType<typeof JobStore>;
const page = () => fixture.nativeElement as HTMLElement;
const text = () => words(page());
const room = () => store.job()!.rooms[0]!;
const picture = () => fixture.debugElement.query(By.directive(WallPicture)).componentInstance as WallPicture;
const choice = (label: string) =>
  fixture.debugElement
    .queryAll(By.directive(Choice))
    .map((d) => d.componentInstance as Choice<string>)
    .find((c) => said(c.label()) === label)!;
const listed = () => [...page().querySelectorAll('.shows button')].map((b) => words(b).trim());

const light = { kind: 'critical' as const, grazingDeg: 4 };
const lit = (over: Partial<Job['rooms'][number]> = {}) =>
  sampleJob({ rooms: [{ ...sampleJob().rooms[0]!, light, decoration: 'eggshell', ...over }] });

async function show(job: Job = lit(), providers: Parameters<typeof setUp>[0] = []) {
  db = setUp(providers);
  store = await openJob(job);
  fixture = TestBed.createComponent(WallPage);
  await settle();
}

/** Until the plan stands and the last wall asked for is drawn and lit. */
async function settle() {
  await fixture.whenStable();
  await store.settled();
  const plans = TestBed.inject(PlanStore);
  await until(() => !plans.busy());
  await new Promise((done) => setTimeout(done, 160));
  await fixture.whenStable();
}

// Nothing is painted here; the picture is looked at in the browser's tests.
beforeAll(() => jest.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue(null));
afterEach(async () => {
  fixture.destroy();
  await db.delete();
});
// Walls are drawn for real.
jest.setTimeout(60000);

it('lists what shows on a wall, strongest first, against what its paint hides', async () => {
  await show(lit({ joints: { 'wall-0.butt-1': { humpMm: 3 } } }));
  expect(text()).toMatch(/\d+ shows? Why\?/);
  expect(text()).toContain('Eggshell hides 6.0%');
  const shares = listed().map((line) => Number(/([\d.]+)%$/.exec(line)?.[1]));
  expect(shares.length).toBeGreaterThan(3);
  shares.slice(1).forEach((share, i) => expect(share).toBeLessThanOrEqual(shares[i]!));
  expect(listed().find((line) => line.startsWith('Butt 1, wall 1'))).toContain('shows');
});

it('picks a joint from the list, for Rooms and for its section', async () => {
  await show();
  const first = page().querySelector<HTMLButtonElement>('.shows button')!;
  first.click();
  await fixture.whenStable();
  expect(first.getAttribute('aria-pressed')).toBe('true');
  expect(TestBed.inject(ViewStore).jointId()).toBeTruthy();
  expect(page().querySelector('.shows a')!.textContent).toContain('Show section');
});

it('stays with its face when an angle is picked that belongs to the other one', async () => {
  await show();
  const face = choice('Surface').value();
  for (const angle of listed().filter((line) => line.startsWith('Inside angle'))) {
    [...page().querySelectorAll<HTMLButtonElement>('.shows button')]
      .find((b) => words(b).trim() === angle)!
      .click();
    await settle();
    expect(choice('Surface').value()).toBe(face);
  }
});

it('follows the lamp: farther off the wall less shows, and back at the room’s light the same as before', async () => {
  await show();
  const before = listed();
  picture().put.emit({ offMm: 4000 });
  await settle();
  expect(text()).toContain('Nothing shows');
  button(page(), "Back to the room's light").click();
  await settle();
  expect(listed()).toEqual(before);
});

it('puts the lamp in the room: the room is planned for it then', async () => {
  await show();
  picture().put.emit({ u: -200, v: 2000, offMm: 300 });
  await settle();
  button(page(), 'Add this lamp to the room').click();
  await settle();
  expect(room().lamps).toHaveLength(1);
  expect(room().light).toEqual({ kind: 'critical', from: 'lamp-1' });
  expect(room().lamps![0]!.heightMm).toBe(2000);
  // Wall 1 runs along the plan's own length: 300 off it, 200 before its start.
  const { at } = room().lamps![0]!;
  expect(at.map(Math.abs).sort((a, b) => a - b)).toEqual([200, 300]);
});

it('puts the lamp in for the face alone where the face has a light of its own', async () => {
  await show(lit({ faces: { 'wall-0': { light: { kind: 'critical', grazingDeg: 3 } } } }));
  choice('Surface').changed.emit('wall-0');
  await settle();
  picture().put.emit({ offMm: 500 });
  await settle();
  button(page(), 'Add this lamp to the room').click();
  await settle();
  expect(room().faces!['wall-0']!.light).toMatchObject({ from: 'lamp-1' });
  expect(room().light).toEqual(light);
});

it('goes through the coats, boards first', async () => {
  await show();
  button(page(), 'Boards').click();
  await settle();
  // Boards are not hidden by widening what lies over them.
  expect(text()).not.toMatch(/Hide th/);
  const raw = listed()[0]!;
  button(page(), 'Finish coat').click();
  await settle();
  const share = (line: string) => Number(/([\d.]+)%$/.exec(line)?.[1]);
  expect(share(raw)).toBeGreaterThan(share(listed()[0]!));
});

it('hides what can be hidden in one step, says what it takes, and takes it back in one', async () => {
  await show(lit({ joints: { 'wall-0.butt-1': { humpMm: 1 } } }));
  const litres = () => plan(store.job()!).totals.wetL;
  const before = litres();
  const shows = Number(/(\d+) shows?/.exec(text())?.[1]);
  [...page().querySelectorAll('button')].find((b) => b.textContent.trim().startsWith('Hide '))!.click();
  await until(() => text().includes('finished wider'));
  await settle();
  expect(Number(/(\d+) shows?/.exec(text())?.[1] ?? 0)).toBeLessThan(shows);
  expect(litres()).toBeGreaterThan(before);
  expect(text()).toMatch(/For the job: \+.+ of mud, [+−].+ of work/);
  store.undo();
  await settle();
  expect(litres()).toBeCloseTo(before, 9);
  expect(Object.keys(room().joints!)).toEqual(['wall-0.butt-1']);
});

it('holds the wall against the plan as pinned', async () => {
  await show();
  button(page(), 'Pin this plan').click();
  await settle();
  expect(text()).toContain('Dark: the plan shows more');
  const colours = () => new Set(picture().picture()!.pixels).size;
  expect(colours()).toBe(1);
  store.editRoom('hall', named('Hump'), (r) => (r.joints = { 'wall-0.butt-1': { humpMm: 4 } }));
  await settle();
  expect(colours()).toBeGreaterThan(10);
  choice('Compare with').changed.emit('nothing');
  await settle();
  expect(text()).toContain('True contrasts');
});

it('looks closer in finer cells, and at other faces', async () => {
  await show();
  const mmPerCell = () => (picture().rect()[2] - picture().rect()[0]) / picture().picture()!.cols;
  expect(mmPerCell()).toBeCloseTo(4, 1);
  button(page(), 'Zoom in').click();
  await settle();
  expect(mmPerCell()).toBeCloseTo(2, 1);
  choice('Surface').changed.emit('ceiling');
  await settle();
  expect(mmPerCell()).toBeCloseTo(4, 1);
  expect(picture().label()).toContain('Ceiling');
});

it('counts compound beside paper among what shows, until a high-build primer evens it', async () => {
  await show(lit({ decoration: 'gloss' }));
  expect(listed().find((line) => line.startsWith('Compound beside paper (flashing)'))).toContain('shows');
  store.editRoom('hall', named('Primer'), (r) => (r.primer = 'high-build'));
  await settle();
  expect(listed().find((line) => line.startsWith('Compound beside paper (flashing)'))).not.toContain('shows');
});

it('says why a wall could not be drawn, and draws again at the next change', async () => {
  const renderer = new WallRenderer();
  let broken = true;
  const client = {
    draw: (request: Parameters<WallRenderer['draw']>[0]) =>
      broken ? Promise.reject(new Error('out of memory')) : Promise.resolve(renderer.draw(request)),
    light: (request: Parameters<WallRenderer['light']>[0]) => Promise.resolve(renderer.light(request)),
    hide: () => Promise.resolve([]),
    leave: () => undefined,
  };
  await show(lit(), [{ provide: WallClient, useValue: client }]);
  expect(words(page().querySelector('[role=alert]')!)).toContain('could not be drawn: out of memory');
  broken = false;
  button(page(), 'Boards').click();
  await settle();
  expect(page().querySelector('[role=alert]')).toBeNull();
});

it('stands without a room', async () => {
  await show(sampleJob({ rooms: [] }));
  expect(text()).toContain('No rooms yet');
});
