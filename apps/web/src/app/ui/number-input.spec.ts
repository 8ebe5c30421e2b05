import { TestBed } from '@angular/core/testing';
import { setUp } from '../../testing/app';
import { NumberInput } from './number-input';

async function show(inputs: Record<string, unknown>) {
  setUp();
  const fixture = TestBed.createComponent(NumberInput);
  for (const [key, value] of Object.entries({ label: 'Batch', ...inputs }))
    fixture.componentRef.setInput(key, value);
  const changes: (number | undefined)[] = [];
  fixture.componentInstance.changed.subscribe((value) => changes.push(value));
  await fixture.whenStable();
  const page = fixture.nativeElement as HTMLElement;
  const field = page.querySelector('input')!;
  const type = async (text: string) => {
    field.value = text;
    field.dispatchEvent(new Event('change'));
    await fixture.whenStable();
    return page.querySelector('.wrong')?.textContent;
  };
  return { field, changes, type };
}
const batch = { least: 0.5, most: 60, unit: 'L' };

it('takes a number between its ends, and says what it may be otherwise', async () => {
  const { field, changes, type } = await show({ limit: batch, value: 10 });
  expect(field.value).toBe('10');
  expect(await type('0')).toBe('Enter a number from 0.5 to 60.');
  expect(await type('')).toBe('Enter a number from 0.5 to 60.');
  expect(changes).toEqual([]);
  expect(await type('0.5')).toBeUndefined();
  expect(changes).toEqual([0.5]);
});

it('shows one unit and keeps another, its ends as they are shown too', async () => {
  const { field, changes, type } = await show({ limit: batch, value: 18.92706, per: 3.785412 });
  expect([field.value, field.min, field.max]).toEqual(['5', '0.13209', '15.85']);
  for (const text of ['0.13209', '15.85', '2']) await type(text);
  expect(changes).toEqual([0.5, 60, 7.5708]);
  expect(await type('16')).toContain('from 0.13209 to 15.85');
});

it.each([undefined, null])('is empty where %s is kept, and tells so when it may be', async (value) => {
  const { field, changes, type } = await show({ limit: batch, value, optional: true });
  expect(field.value).toBe('');
  await type('12');
  await type('');
  expect(changes).toEqual([12, undefined]);
});

it('takes no half of what comes whole', async () => {
  const { type } = await show({ limit: { least: 1, most: 8 }, value: 2, whole: true });
  expect(await type('2.5')).toBe('Enter a whole number from 1 to 8.');
});
