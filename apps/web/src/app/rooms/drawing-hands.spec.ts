import { TestBed, type ComponentFixture } from '@angular/core/testing';
import * as fc from 'fast-check';
import { newRoom, plan, type Joint } from '@lisse/core';
import { openJob, sampleJob, setUp, until, words } from '../../testing/app';
import { JobStore } from '../state/job.store';
import { ViewStore } from '../state/view.store';
import type { LisseDb } from '../storage/db';
import { buttPlaces } from './joint-edit';
import { Paper } from '../ui/paper';
import { RoomsPage } from './rooms-page';

let db: LisseDb;
let fixture: ComponentFixture<RoomsPage>;
const page = () => fixture.nativeElement as HTMLElement;
const svg = () => page().querySelector('svg[role=group]')!;
const room = () => TestBed.inject(JobStore).job()!.rooms[0]!;
const view = () => TestBed.inject(ViewStore);
const joint = (id: string): Joint =>
  view()
    .roomPlan()!
    .joints.find((j) => j.id === id)!;
const settled = async () => {
  await TestBed.inject(JobStore).settled();
  await fixture.whenStable();
};

async function press(key: string, more: KeyboardEventInit = {}) {
  svg().dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, ...more }));
  await settled();
}

function pointer(
  type: string,
  target: Element,
  [x, y]: readonly [number, number],
  more: MouseEventInit = {},
) {
  const event = new MouseEvent(type, { bubbles: true, button: 0, clientX: x, clientY: y, ...more });
  target.dispatchEvent(Object.assign(event, { pointerId: 1, pointerType: 'mouse' }));
}

beforeEach(async () => {
  Object.assign(SVGElement.prototype, {
    setPointerCapture: () => undefined,
    releasePointerCapture: () => undefined,
  });
  const job = sampleJob();
  job.rooms[0]!.openings = [
    {
      id: 'd',
      wall: 2,
      kind: 'door',
      leftMm: 600,
      bottomMm: 0,
      widthMm: 900,
      heightMm: 2000,
      returns: 'cased',
    },
  ];
  db = setUp();
  await openJob(job);
  fixture = TestBed.createComponent(RoomsPage);
  await fixture.whenStable();
});
afterEach(() => db.delete());

it('a butt moves from stud to stud with Alt and an arrow, and stays where it is put', async () => {
  view().showJoint('wall-0.butt-1');
  await fixture.whenStable();
  const from = joint('wall-0.butt-1').line[0];
  await press('ArrowRight', { altKey: true });
  expect(room().faces?.['wall-0']?.cuts).toEqual({ '0': [from + 600] });
  await until(() => joint('wall-0.butt-1').line[0] === from + 600);
  await TestBed.inject(JobStore).undo();
  expect(room().faces).toBeUndefined();
});

it('a butt is dragged to the stud under the pointer', async () => {
  const id = 'wall-0.butt-1';
  const line = page().querySelector(`[data-drag="${id}"] .hit`)!;
  const at = (n: string) => Number(line.getAttribute(n));
  const start = [at('x1'), (at('y1') + at('y2')) / 2] as const;
  const before = joint(id).line[0];
  pointer('pointerdown', line, start);
  pointer('pointermove', svg(), [start[0] + 90, start[1]]);
  pointer('pointerup', svg(), [start[0] + 90, start[1]]);
  pointer('click', svg(), [start[0] + 90, start[1]]);
  await settled();
  const to = room().faces?.['wall-0']?.cuts?.['0']?.[0] ?? NaN;
  expect(to).toBeGreaterThan(before);
  expect(to % 600).toBe(0);
  expect(view().jointId()).toBe(id);
});

it('an opening is picked, moved a step by key and dragged along its wall, never past its end', async () => {
  await press('o');
  expect(view().openingId()).toBe('d');
  await press('ArrowLeft', { altKey: true });
  expect(room().openings[0]!.leftMm).toBe(590);
  const shape = page().querySelector('[data-drag="d"]')!;
  pointer('pointerdown', shape, [300, 100]);
  pointer('pointermove', svg(), [3000, 100]);
  pointer('pointerup', svg(), [3000, 100]);
  await settled();
  // Wall 3 reads from right to left on the page.
  expect(room().openings[0]!.leftMm).toBe(0);
  expect(room().openings[0]!.bottomMm).toBe(0);
});

it('several joints are taken with Shift, by press, by arrow and by a sweep, and changed together', async () => {
  view().showJoint('wall-0.butt-1');
  await fixture.whenStable();
  page()
    .querySelector('#joint-wall-0\\.butt-2')!
    .dispatchEvent(new MouseEvent('click', { bubbles: true, shiftKey: true }));
  await fixture.whenStable();
  expect(
    view()
      .selection()
      .map((j) => j.id),
  ).toEqual(['wall-0.butt-1', 'wall-0.butt-2']);
  expect(words(page())).toContain('2 joints');
  await press('r');
  expect(Object.values(room().joints ?? {}).map((n) => n.kind)).toEqual(['recessed-butt', 'recessed-butt']);
  await press(']');
  expect(Object.values(room().joints ?? {}).map((n) => n.gapMm)).toEqual([3, 3]);
  await press('ArrowRight', { shiftKey: true });
  expect(view().selection()).toHaveLength(3);
  pointer('pointerdown', svg(), [0, 0], { shiftKey: true });
  pointer('pointermove', svg(), [840, 600], { shiftKey: true });
  await fixture.whenStable();
  expect(page().querySelector('.sweep')).not.toBeNull();
  pointer('pointerup', svg(), [840, 600], { shiftKey: true });
  await fixture.whenStable();
  expect(view().selection()).toHaveLength(view().roomPlan()!.joints.length);
  await press('Escape');
  expect(view().selection()).toEqual([]);
});

it('goes nearer and back by key', async () => {
  const scale = () => Number(/M([\d.]+)/.exec(page().querySelector('.face')!.getAttribute('d')!)?.[1]);
  const fitted = scale();
  await press('+');
  expect(scale()).not.toBe(fitted);
  await press('0');
  expect(scale()).toBe(fitted);
});

it('shows boards with their sheets and the framing behind them', async () => {
  for (const name of ['Boards', 'Framing'])
    [...page().querySelectorAll('button')].find((b) => b.textContent.trim() === name)!.click();
  await fixture.whenStable();
  expect(page().querySelectorAll('.board').length).toBe(view().roomPlan()!.boards.length);
  expect(page().querySelector('.framing')!.getAttribute('d')!.length).toBeGreaterThan(100);
});

it('notes, and takes a note away and leaves the rest', async () => {
  view().showJoint('wall-0.butt-1');
  await fixture.whenStable();
  const area = () => page().querySelector<HTMLTextAreaElement>('ls-joint-sheet textarea')!;
  const write = async (text: string) => {
    area().value = text;
    area().dispatchEvent(new Event('change'));
    await settled();
  };
  await press(']');
  await write(' cracked before ');
  expect(room().joints).toEqual({ 'wall-0.butt-1': { gapMm: 3, note: 'cracked before' } });
  await write('');
  expect(room().joints).toEqual({ 'wall-0.butt-1': { gapMm: 3 } });
});

it('a wall is as far under the pointer as it is drawn, at any zoom', () => {
  const shaped = newRoom('r', 'R', 'metric', { lengthMm: 5000, widthMm: 4000, heightMm: 2500 });
  shaped.ceiling = { kind: 'gable', wall: 0, highMm: 4000 };
  shaped.boxes = [
    { id: 'b', kind: 'soffit', wall: 0, leftMm: 0, offMm: 0, alongMm: 5000, outMm: 400, bottomMm: 2200 },
  ];
  const made = plan(sampleJob({ rooms: [shaped] })).rooms[0]!;
  fc.assert(
    fc.property(
      fc.constantFrom(...made.faces),
      fc.double({ min: 1, max: 14, noNaN: true }),
      fc.integer({ min: -3000, max: 0 }),
      fc.integer({ min: -500, max: 4000 }),
      (face, k, shift, u) => {
        const paper = new Paper(made.faces, { width: 680, height: 600 }, { k, x: shift, y: shift / 2 });
        const [bu, bv] = paper.under(face.id, paper.at(face.id, [u, 700]));
        return Math.abs(bu - u) < 0.01 && Math.abs(bv - 700) < 0.01;
      },
    ),
  );
});

it('moves butts that cross no framing by 50 mm', () => {
  const upright = newRoom('r', 'R', 'metric', { lengthMm: 5000, widthMm: 4000, heightMm: 5000 });
  upright.board.walls = 'upright';
  const made = plan(sampleJob({ rooms: [upright] })).rooms[0]!;
  const butt = made.joints.find((j) => j.id === 'wall-0.butt-1')!;
  const places = buttPlaces(made, butt);
  expect(places[1]! - places[0]!).toBe(50);
});
