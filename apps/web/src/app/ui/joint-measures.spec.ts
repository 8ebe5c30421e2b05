import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { By } from '@angular/platform-browser';
import { openJob, sampleJob, setUp, words } from '../../testing/app';
import { Choice } from './choice';
import { JointMeasuresFields, type JointMeasures, type Noted } from './joint-measures';

let fixture: ComponentFixture<JointMeasuresFields>;
let told: Noted[];
const page = () => fixture.nativeElement as HTMLElement;

async function show(of: JointMeasures, more: Record<string, unknown> = {}) {
  TestBed.resetTestingModule();
  setUp();
  await openJob(sampleJob({ units: 'metric' }));
  fixture = TestBed.createComponent(JointMeasuresFields);
  told = [];
  fixture.componentInstance.noted.subscribe((noted) => told.push(noted));
  for (const [key, value] of Object.entries({ of, ...more })) fixture.componentRef.setInput(key, value);
  await fixture.whenStable();
}

const box = (label: string) =>
  [...page().querySelectorAll('label')]
    .find((one) => words(one).startsWith(label))!
    .closest('ls-field')!
    .querySelector('input')!;
function type(label: string, value: string) {
  box(label).value = value;
  box(label).dispatchEvent(new Event('input'));
  box(label).dispatchEvent(new Event('blur'));
}
const choose = (n: number, value: boolean) =>
  (fixture.debugElement.queryAll(By.directive(Choice))[n]!.componentInstance as Choice<boolean>).changed.emit(
    value,
  );

it('shows sizes without a sign, and which way each of them goes', async () => {
  await show({ gapMm: 2, humpMm: -3, spanMm: 400, lippageMm: -1.5 });
  expect([box('Hump').value, box('Offset between boards').value]).toEqual(['3 mm', '1.5 mm']);
  // A longer hollow stays one, a step keeps its side.
  type('Hump', '4');
  type('Offset between boards', '2');
  choose(0, false);
  choose(1, false);
  expect(told.map(({ change }) => change)).toEqual([
    { humpMm: -4 },
    { lippageMm: -2 },
    { humpMm: 3 },
    { lippageMm: 1.5 },
  ]);
});

it('keeps which way a hump stands until there is a size to it, and tells nothing before', async () => {
  await show({ gapMm: 2, humpMm: 0, spanMm: 400, lippageMm: 0 });
  choose(0, true);
  expect(told).toEqual([]);
  type('Hump', '1');
  expect(told).toEqual([{ change: { humpMm: -1 }, label: 'undo.measure-hump' }]);
  expect(words(page())).not.toContain('Width to each side');
  expect(words(page())).not.toContain('High side');
});

it('leaves empty what differs between several joints, and names the step for all of them', async () => {
  await show({ gapMm: 2 }, { many: true });
  expect([box('Gap').value, box('Hump').value, box('Offset between boards').value]).toEqual(['2 mm', '', '']);
  type('Gap', '5');
  type('Offset between boards', '1');
  expect(told.map(({ label }) => label)).toEqual(['undo.measure-gaps', 'undo.measure-steps']);
});

it('asks an angle for its gap alone, and a butt for its bevel', async () => {
  await show({ gapMm: 2, humpMm: 0, lippageMm: 0 }, { shaped: false, typical: true });
  expect(words(page())).toBe('Gap (typical)');
  await show({ gapMm: 2, humpMm: 0, lippageMm: 0 }, { bevelled: true });
  type('Bevel depth of the ends', '1');
  expect(told.at(-1)).toEqual({ change: { notchMm: 1 }, label: 'undo.bevel-ends' });
});
