import { ComponentRef } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { openJob, sampleJob, setUp } from '../../testing/app';
import { MeasureInput } from './measure-input';

let fixture: ComponentFixture<MeasureInput>;
let ref: ComponentRef<MeasureInput>;
let changes: number[];

async function show(units: 'feet' | 'metric', inputs: Record<string, unknown>) {
  setUp();
  await openJob(sampleJob({ units }));
  fixture = TestBed.createComponent(MeasureInput);
  ref = fixture.componentRef;
  ref.setInput('label', 'Length');
  for (const [key, value] of Object.entries(inputs)) ref.setInput(key, value);
  changes = [];
  fixture.componentInstance.changed.subscribe((mm) => changes.push(mm));
  await fixture.whenStable();
}

const field = () => (fixture.nativeElement as HTMLElement).querySelector('input')!;
const told = () => (fixture.nativeElement as HTMLElement).querySelector('.wrong')?.textContent;

async function type(text: string) {
  field().dispatchEvent(new Event('focus'));
  field().value = text;
  field().dispatchEvent(new Event('input'));
  field().dispatchEvent(new Event('blur'));
  await fixture.whenStable();
}

it('shows the measure in the job units and takes it as people write it', async () => {
  await show('feet', { mm: 4267.2 });
  expect(field().value).toBe(`14' 0"`);
  await type('12-6 1/2');
  expect(changes).toEqual([3822.7]);
  await type('15');
  expect(changes).toEqual([3822.7, 4572]);
});

it('changes nothing and says why when it does not understand', async () => {
  await show('metric', { mm: 4800, limit: { least: 300, most: 100000 } });
  await type('as long as the van');
  expect(told()).toContain('“as long as the van” is not a length');
  expect(field().getAttribute('aria-invalid')).toBe('true');
  await type('20');
  expect(told()).toContain('Enter 300 mm to');
  expect(changes).toEqual([]);
  await type('5 m');
  expect(told()).toBeUndefined();
  expect(changes).toEqual([5000]);
});

it('takes the least and the most as they are shown, and keeps them as they are', async () => {
  await show('metric', { mm: 4800, limit: { least: 300, most: 100000 } });
  for (const text of ['299.6', '299', '100000.4']) await type(text);
  expect(changes).toEqual([300, 100000]);
});

it('does not round the job when a field is only visited', async () => {
  await show('feet', { mm: 4266.9 });
  await type(field().value);
  expect(changes).toEqual([]);
});
