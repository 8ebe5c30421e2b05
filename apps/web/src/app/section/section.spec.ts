import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { By } from '@angular/platform-browser';
import type { Job } from '@lisse/core';
import { built, button, openJob, sampleJob, setUp, until, words, said } from '../../testing/app';
import type { LisseDb } from '../storage/db';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import { Choice } from '../ui/choice';
import { CutDrawing } from './cut-drawing';
import { SectionPage } from './section-page';

let db: LisseDb;
let fixture: ComponentFixture<SectionPage>;
let store: InstanceType<typeof JobStore>;
const page = () => fixture.nativeElement as HTMLElement;
const text = () => words(page());
const room = () => store.job()!.rooms[0]!;

async function show(job: Job = sampleJob(), joint?: string) {
  db = setUp();
  store = await openJob(job);
  if (joint) TestBed.inject(ViewStore).showJoint(joint);
  fixture = TestBed.createComponent(SectionPage);
  await settle();
}

async function settle() {
  await built(fixture);
  await store.settled();
  const plans = TestBed.inject(PlanStore);
  await until(() => !plans.busy());
  await built(fixture);
}
// Nothing is painted here; the picture is looked at in the browser's tests.
beforeAll(() => jest.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue(null));
afterEach(() => db.delete());

const drawing = () => fixture.debugElement.query(By.directive(CutDrawing)).componentInstance as CutDrawing;
const choice = (label: string) =>
  fixture.debugElement
    .queryAll(By.directive(Choice))
    .map((d) => d.componentInstance as Choice<string | boolean>)
    .find((c) => said(c.label()) === label)!;

const light = { kind: 'critical' as const, grazingDeg: 5 };
const lit = (over: Partial<Job['rooms'][number]> = {}) =>
  sampleJob({ rooms: [{ ...sampleJob().rooms[0]!, light, ...over }] });

it('starts with what shows most, and says how much against what the paint hides', async () => {
  await show(lit({ joints: { 'wall-0.butt-1': { humpMm: 3 } } }));
  expect(choice('Joint (most visible first)').value()).toBe('wall-0.butt-1');
  expect(text()).toMatch(/at most in this light; flat paint hides 10.0%/);
});

it('draws the coats so far, wet, hardened, or scraped and sanded', async () => {
  await show(lit(), 'wall-0.butt-1');
  expect(
    drawing()
      .layers()
      .map((l) => l.coat),
  ).toEqual(['tape', 'fill', 'finish']);
  const crown = () => Math.max(...drawing().layers().at(-1)!.surface);
  const hard = crown();
  button(page(), 'Wet').click();
  await settle();
  expect(crown()).toBeGreaterThan(hard);
  button(page(), 'Wet').click();
  button(page(), 'Sanded').click();
  await settle();
  expect(crown()).toBeLessThan(hard);
  button(page(), 'Tape coat').click();
  await settle();
  expect(drawing().layers()).toHaveLength(1);
});

it('shows what is dragged before it is let go, and writes it once', async () => {
  await show(lit(), 'wall-0.butt-1');
  drawing().dragged.emit({ bandMm: 800, done: false });
  await built(fixture);
  expect(drawing().bandMm()).toBe(800);
  expect(room()).not.toHaveProperty('joints');
  drawing().dragged.emit({ bandMm: 820, done: true });
  await settle();
  expect(room().joints).toEqual({ 'wall-0.butt-1': { cells: { finish: { bandMm: 820 } } } });
});

it('draws what is dragged at once, and reads it once it is drawn', async () => {
  await show(lit(), 'wall-0.butt-1');
  const reading = () => page().querySelector('.big')!.textContent;
  const crown = () => Math.max(...drawing().layers().at(-1)!.surface);
  const before = { reading: reading(), crown: crown() };
  drawing().dragged.emit({ humpMm: 4, done: false });
  TestBed.tick();
  expect(crown()).toBeGreaterThan(before.crown + 2);
  expect(reading()).toBe(before.reading);
  await built(fixture);
  expect(reading()).not.toBe(before.reading);
  // Let go of without a change, the joint is read as it was.
  TestBed.inject(ViewStore).showJoint('wall-0.flat-1');
  await built(fixture);
  TestBed.inject(ViewStore).showJoint('wall-0.butt-1');
  await built(fixture);
  expect(reading()).toBe(before.reading);
});

it('adds quick steps up, of the hump and of the band', async () => {
  await show(lit(), 'wall-0.butt-1');
  for (let i = 0; i < 4; i++) drawing().stepped.emit({ humpMm: 0.1 });
  for (let i = 0; i < 3; i++) drawing().stepped.emit({ bandMm: 20 });
  await settle();
  expect(room().joints).toEqual({
    'wall-0.butt-1': { humpMm: 0.4, cells: { finish: { bandMm: 660 } } },
  });
});

it('takes the narrowest width that hides it, for the row or this joint alone', async () => {
  await show(lit({ decoration: 'eggshell' }), 'wall-0.flat-1');
  expect(page().querySelector('.big')!.className).toContain('over');
  choice('For').changed.emit('row');
  await built(fixture);
  const narrow = () =>
    [...page().querySelectorAll('button')].find((b) => b.textContent.includes('the narrowest that hides it'));
  await until(() => narrow()?.disabled === false);
  narrow()!.click();
  await settle();
  expect(room().cells?.['flats.finish']?.bandMm).toBeGreaterThan(300);
  expect(page().querySelector('.big')!.className).not.toContain('over');
});

it('tries another light, and makes it the room’s', async () => {
  await show(lit(), 'wall-0.butt-1');
  const before = page().querySelector('.big')!.textContent;
  const lamp = page().querySelector<HTMLInputElement>('input[type=range]')!;
  lamp.value = '20';
  lamp.dispatchEvent(new Event('input'));
  await built(fixture);
  expect(page().querySelector('.big')!.textContent).not.toBe(before);
  expect(room().light).toEqual(light);
  button(page(), "Set as the room's light").click();
  await settle();
  expect(room().light).toEqual({ kind: 'ordinary', grazingDeg: 20 });
});

it('pins a finish beside another', async () => {
  await show(lit(), 'wall-0.butt-1');
  button(page(), 'Pin for comparison').click();
  drawing().dragged.emit({ bandMm: 1000, done: true });
  await settle();
  expect(text()).toContain('Pinned: Butt 1, wall 1, 600 mm wide');
  expect(page().querySelectorAll('ls-wall-strip')).toHaveLength(2);
});

it('cuts angles, corners and heads across too, each by its own coats', async () => {
  const opening = {
    id: 'o',
    wall: 1,
    kind: 'opening' as const,
    leftMm: 1000,
    bottomMm: 0,
    widthMm: 900,
    heightMm: 2100,
    returns: 'boarded' as const,
  };
  await show(lit({ openings: [opening] }), 'corner-1');
  expect(drawing().kind()).toBe('angle');
  expect(drawing().perFace()).toBe(true);
  expect(text()).toContain(
    'The order counts angles by length: 45 mL per meter to tape, 25 mL per meter per side and coat',
  );
  TestBed.inject(ViewStore).showJoint('return-o-left');
  await settle();
  expect(drawing().kind()).toBe('bead');
  TestBed.inject(ViewStore).showJoint('heads/hall');
  await settle();
  expect(drawing().kind()).toBe('head');
  expect(text()).toMatch(/Mud, so far Why\? [\d.]+ mL each/);
  // A head has no gap, no hump and no width to hide it by.
  expect(page().querySelector('ls-width-advice')!.textContent).not.toContain('Width');
});

it('drags the bow and the gap, and keeps them with the joint', async () => {
  await show(lit(), 'wall-0.butt-1');
  drawing().dragged.emit({ camberMm: 0.6, done: false });
  await built(fixture);
  expect(drawing().camberMm()).toBe(0.6);
  drawing().dragged.emit({ camberMm: 0.5, done: true });
  drawing().dragged.emit({ gapMm: 6, done: true });
  drawing().stepped.emit({ gapMm: 0.5 });
  await settle();
  expect(room().joints).toEqual({
    'wall-0.butt-1': { gapMm: 6.5, cells: { finish: { camberMm: 0.5 } } },
  });
});

it('lays a deep belly in layers or floats it, each in one step', async () => {
  await show(lit({ joints: { 'wall-0.butt-1': { humpMm: -20 } } }), 'wall-0.butt-1');
  button(page(), 'Fill coat').click();
  await settle();
  const floated = [...page().querySelectorAll<HTMLInputElement>('ls-cut-fields input[type=checkbox]')][0]!;
  floated.click();
  await settle();
  drawing().dragged.emit({ bandMm: 1200, done: true });
  await settle();
  const layers = [...page().querySelectorAll('button')].find((b) =>
    b.textContent.includes('layers, each hard'),
  )!;
  const thick = () => Number(/Thickest layer, this coat ([\d.]+) mm of/.exec(text())?.[1]);
  const once = thick();
  layers.click();
  await settle();
  expect(thick()).toBeLessThan(once);
  const { fill } = room().joints!['wall-0.butt-1']!.cells!;
  expect(fill).toMatchObject({ float: true, bandMm: 1200 });
  expect(fill!.layers).toBeGreaterThan(1);
});

it('sands by the pad, bite and passes that are set, and takes no others', async () => {
  await show(lit(), 'wall-0.butt-1');
  button(page(), 'Sanded').click();
  await settle();
  const off = () => Number(/([\d.]+) mL per meter comes off/.exec(text())?.[1]);
  const before = off();
  const passes = page().querySelector<HTMLInputElement>('.pads ls-number input')!;
  passes.value = '6';
  passes.dispatchEvent(new Event('change'));
  await settle();
  expect(off()).toBeGreaterThan(2 * before);
  passes.value = '99';
  passes.dispatchEvent(new Event('change'));
  await settle();
  expect(words(page())).toContain('Enter a whole number from 1 to 10.');
  expect(off()).toBeGreaterThan(2 * before);
});

it('measures a step and bevelled ends, and refuses what lies out of range', async () => {
  await show(lit(), 'wall-0.butt-1');
  const field = (label: string) =>
    [...page().querySelectorAll<HTMLLabelElement>('ls-cut-fields label')]
      .find((l) => l.textContent.includes(label))!
      .querySelector('input')!;
  const set = async (label: string, value: string) => {
    field(label).value = value;
    field(label).dispatchEvent(new Event('input'));
    field(label).dispatchEvent(new Event('blur'));
    await settle();
  };
  await set('Offset between boards', '1.5');
  await set('Bevel depth of the ends', '1');
  // Which way it stands may be said before how far.
  choice('Shape').changed.emit(true);
  await set('Hump', '1.25');
  await set('Hump', '80');
  expect(room().joints).toEqual({ 'wall-0.butt-1': { lippageMm: 1.5, notchMm: 1, humpMm: -1.25 } });
  expect(words(page())).toContain('Enter 0 mm to 50 mm. You typed 80 mm.');
  // A belly and a lower side are shown as sizes, and turned over by a press.
  expect(field('Hump').value).not.toContain('−');
  choice('High side').changed.emit(true);
  choice('Shape').changed.emit(false);
  await settle();
  expect(room().joints?.['wall-0.butt-1']).toMatchObject({ lippageMm: -1.5, humpMm: 1.25 });
  expect(field('Offset between boards').value).toBe('1.5 mm');
});

it('stands without joints', async () => {
  await show(sampleJob({ rooms: [] }));
  expect(text()).toContain('No rooms yet');
});
