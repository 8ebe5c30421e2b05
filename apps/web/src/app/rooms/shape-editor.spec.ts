import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { By } from '@angular/platform-browser';
import { built, button, openJob, sampleJob, setUp, until, words, named, said } from '../../testing/app';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import type { LisseDb } from '../storage/db';
import { Choice } from '../ui/choice';
import { RoomsPage } from './rooms-page';

let db: LisseDb;
let fixture: ComponentFixture<RoomsPage>;
const page = () => fixture.nativeElement as HTMLElement;
const room = () => TestBed.inject(JobStore).job()!.rooms[0]!;
const plan = () => TestBed.inject(PlanStore).plan()!.rooms[0]!;
const settled = async () => {
  await TestBed.inject(JobStore).settled();
  await built(fixture);
};
const choose = async (label: string, value: unknown) => {
  const found = () =>
    fixture.debugElement
      .queryAll(By.directive(Choice))
      .map((d) => d.componentInstance as Choice<string>)
      .find((c) => said(c.label()) === label);
  await built(fixture);
  await until(() => found() !== undefined);
  found()!.changed.emit(value as string);
  await settled();
};

beforeEach(async () => {
  db = setUp();
  await openJob(sampleJob());
  fixture = TestBed.createComponent(RoomsPage);
  await built(fixture);
});
afterEach(() => db.delete());

it('slopes the ceiling, and the walls and angles follow; undo levels it again', async () => {
  await choose('Ceiling shape', 'slope');
  expect(room().ceiling).toEqual({ kind: 'slope', wall: 0, highMm: 3300 });
  await until(() => plan().faces[0]?.id === 'slope-0');
  expect(plan().joints.some((j) => j.kind === 'off-angle-inside')).toBe(true);
  button(page(), 'Add a flat top').click();
  await settled();
  expect(room().ceiling?.flatMm).toBe(2850);
  await TestBed.inject(JobStore).undo();
  await TestBed.inject(JobStore).undo();
  expect(room().ceiling).toBeUndefined();
});

it('adds a soffit along wall 1 with its bead, and a closet that opens into the room', async () => {
  button(page(), 'soffit').click();
  await settled();
  expect(room().boxes).toMatchObject([{ kind: 'soffit', alongMm: 4800, bottomMm: 2100 }]);
  await until(() => (TestBed.inject(PlanStore).plan()?.totals.jointMm['outside-corner'] ?? 0) === 4800);
  button(page(), 'closet').click();
  await settled();
  await until(() => plan().faces.some((f) => said(f.name) === 'closet 1, ceiling'));
  expect(words(page())).toContain('closet, wall 1');
});

it('says what does not fit, and leaves it out of the plan', async () => {
  button(page(), 'soffit').click();
  await settled();
  TestBed.inject(JobStore).editRoom('hall', named('Lift it'), (r) => void (r.boxes![0]!.bottomMm = 2600));
  await settled();
  await until(() => plan().advice.some((a) => a.code === 'A-SHAPE'));
  await built(fixture);
  expect(words(page())).toContain('is at or above the ceiling');
  expect(plan().faces.some((f) => f.kind === 'box')).toBe(false);
});

it('keeps what is known of one face, marks old work on it, and lets it go again', async () => {
  await choose('Surface', 'painted');
  expect(room().faces).toEqual({ ceiling: { substrate: 'painted' } });
  button(page(), 'Add an old-to-new joint').click();
  await settled();
  expect(room().seams).toMatchObject([{ face: 'ceiling', atMm: 2400, old: 'low' }]);
  await until(() => plan().joints.some((j) => j.id.startsWith('seam-')));
  await built(fixture);
  button(page(), 'Remove the old-to-new joint').click();
  await choose('Surface', '');
  expect(room().faces).toBeUndefined();
  expect(room().seams).toEqual([]);
});

it('marks damage where one presses, and describes it', async () => {
  button(page(), 'Mark damage').click();
  await built(fixture);
  const face = page().querySelector('[data-face="wall-0"]')!;
  face.dispatchEvent(new MouseEvent('click', { bubbles: true, clientX: 320, clientY: 400 }));
  await settled();
  expect(room().damage).toMatchObject([{ face: 'wall-0', kind: 'dent' }]);
  await choose('Kind', 'large-hole');
  expect(room().damage?.[0]?.kind).toBe('large-hole');
  expect(words(page().querySelector('svg[role=group]')!)).toContain('large hole');
  // The list offers the same to who does not point.
  button(page(), 'Mark damage').click();
  await built(fixture);
  button(page(), 'Put it in the middle of wall 1').click();
  await settled();
  expect(room().damage).toHaveLength(2);
});

it('mirrors, copies and keeps rooms', async () => {
  TestBed.inject(JobStore).editRoom('hall', named('Name'), (r) => void (r.name = 'Room 101'));
  await settled();
  button(page(), 'Multiple copies …').click();
  await built(fixture);
  page().querySelector<HTMLFormElement>('form[aria-label=Copies]')!.dispatchEvent(new Event('submit'));
  await settled();
  expect(
    TestBed.inject(JobStore)
      .job()!
      .rooms.map((r) => r.name),
  ).toEqual(['Room 101', 'Room 102', 'Room 103', 'Room 104', 'Room 105']);
  button(page(), 'Save as template').click();
  await until(() => words(page()).includes('Saved. You can use it'));
  button(page(), 'Add').click();
  await until(() => {
    fixture.detectChanges();
    return words(page()).includes('Or a saved room');
  });
  button(page().querySelector('ls-add-room')!, 'Room 101').click();
  await settled();
  expect(TestBed.inject(JobStore).job()!.rooms).toHaveLength(6);
  TestBed.inject(ViewStore).showRoom('hall');
  await built(fixture);
  button(page(), 'Mirror room').click();
  await settled();
  expect(words(page())).toContain('Mirrored.');
});

it('counts a room without drawing it', async () => {
  button(page(), 'Add').click();
  await built(fixture);
  button(page().querySelector('ls-add-room')!, 'Quick count').click();
  await built(fixture);
  const field = page().querySelector<HTMLInputElement>('ls-count-room input')!;
  field.value = '12.5';
  field.dispatchEvent(new Event('input'));
  field.dispatchEvent(new Event('blur'));
  await built(fixture);
  button(page(), 'Add room').click();
  await settled();
  expect(TestBed.inject(JobStore).job()!.rooms[1]).toMatchObject({
    plan: { counted: true },
    counts: { mm: { tapered: 12500 } },
  });
  await until(() => words(page()).includes('Counted, not drawn'));
  expect(words(page())).toContain('12.5 m flat joints');
});

it('a rectangle becomes any other shape, wall by wall, and a shape that crosses itself changes nothing', async () => {
  button(page(), 'Change the shape (wall by wall)').click();
  await settled();
  const walls = () => page().querySelector('ls-walls')!;
  const type = async (i: number, text: string) => {
    const field = walls().querySelectorAll<HTMLInputElement>('ls-measure input')[i]!;
    field.value = text;
    field.dispatchEvent(new Event('input'));
    field.dispatchEvent(new Event('blur'));
    await settled();
  };
  await type(0, '6 m');
  expect(room().plan).toMatchObject({
    outline: [
      [0, 0],
      [6000, 0],
      [6000, 3600],
      [1200, 3600],
    ],
  });
  await choose('Corner at its end', 'other');
  expect(words(page())).toContain('Angle, degrees');
  await choose('Corner at its end', 'out');
  expect(words(walls())).toContain('These walls do not close');
  expect((room().plan as { outline: unknown[] }).outline).toHaveLength(4);
  await choose('Corner at its end', 'in');
  await type(0, '4.8 m');
  await until(() => plan().boardAreaM2 > 57.5 && plan().boardAreaM2 < 57.7);
});

it('other widths at hand are taken where they leave less', async () => {
  TestBed.inject(JobStore).editRoom('hall', named('Height'), (r) => {
    r.plan.heightMm = 2700;
    r.board.widthMm = 900;
  });
  await settled();
  await until(() => plan().faces[1]!.laid?.boardWidthMm === 900);
  await built(fixture);
  const box = [...page().querySelectorAll('label')]
    .find((l) => words(l).includes('1,200 mm'))!
    .querySelector('input')!;
  box.click();
  await settled();
  expect(room().board.alsoWidthsMm).toEqual([1200]);
});

it('the walls shown are those of the room that is shown', async () => {
  const ring = (length: number): [number, number][] => [
    [0, 0],
    [length, 0],
    [length, 3000],
    [0, 3500],
  ];
  TestBed.inject(JobStore).edit(named('Two'), (job) => {
    job.rooms[0]!.plan = { outline: ring(4000), heightMm: 2400 };
    job.rooms.push({
      ...structuredClone(sampleJob().rooms[0]!),
      id: 'two',
      plan: { outline: ring(7000), heightMm: 2400 },
    });
  });
  await settled();
  const first = () => page().querySelector<HTMLInputElement>('ls-walls ls-measure input')!;
  first().value = '5 m';
  first().dispatchEvent(new Event('input'));
  first().dispatchEvent(new Event('blur'));
  await settled();
  TestBed.inject(ViewStore).showRoom('two');
  await until(() => plan() !== undefined && first().value.replace(/\D/g, '') === '7000');
  expect(TestBed.inject(JobStore).job()!.rooms[1]!.plan).toEqual({ outline: ring(7000), heightMm: 2400 });
  first().value = '8 m';
  first().dispatchEvent(new Event('input'));
  first().dispatchEvent(new Event('blur'));
  await settled();
  const outlines = TestBed.inject(JobStore)
    .job()!
    .rooms.map((r) => 'outline' in r.plan && r.plan.outline[1]);
  expect(outlines).toEqual([
    [5000, 0],
    [8000, 0],
  ]);
});
