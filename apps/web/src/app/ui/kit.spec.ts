import { Component, signal, type Type } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { LIMITS, say, type Message } from '@lisse/core';
import { button, openJob, sampleJob, setUp, words } from '../../testing/app';
import type { LisseDb } from '../storage/db';
import { AmountInput } from './amount-input';
import { DayInput } from './day-input';
import { KeyFigure } from './key-figure';
import { Play } from './play';
import { TextInput } from './text-input';

let db: LisseDb | undefined;
afterEach(() => db?.delete());

const told = signal<unknown>('nothing');
const keep = (value: unknown) => told.set(value);

@Component({
  imports: [AmountInput],
  template: `<ls-amount
    label="Air"
    of="temperature"
    [value]="20"
    [limit]="limit"
    [optional]="true"
    (changed)="keep($event)"
  />`,
})
class Amount {
  protected readonly limit = LIMITS.climate.tempC;
  protected readonly keep = keep;
}

@Component({
  imports: [DayInput],
  template: `<ls-day label="From" [clock]="clock" [refuses]="late" (changed)="keep($event)" />`,
})
class Day {
  static clock = false;
  protected readonly clock = Day.clock;
  protected readonly late = (value: string): Message | undefined =>
    value > '15:00' && Day.clock ? say('days.ends-after') : undefined;
  protected readonly keep = keep;
}

@Component({
  imports: [TextInput],
  template: `<ls-text label="Name" value="Hall" [needed]="true" (changed)="keep($event)" />`,
})
class Named {
  protected readonly keep = keep;
}

async function type(component: Type<unknown>, text: string): Promise<HTMLElement> {
  TestBed.resetTestingModule();
  await db?.delete();
  db = setUp();
  await openJob(sampleJob({ units: 'feet' }));
  told.set('nothing');
  const fixture = TestBed.createComponent(component);
  await fixture.whenStable();
  const page = fixture.nativeElement as HTMLElement;
  const box = page.querySelector('input')!;
  box.value = text;
  box.dispatchEvent(new Event('input'));
  box.dispatchEvent(new Event('change'));
  await fixture.whenStable();
  return page;
}

it.each<[string, unknown, string]>([
  ['21 C', 21, ''],
  ['', undefined, ''],
  ['warm', 'nothing', 'is not a temperature'],
  ['200 F', 'nothing', 'Enter −4 °F to 113 °F. You typed 200 °F.'],
])('an amount typed as “%s” gives %s', async (text, value, wrong) => {
  const page = await type(Amount, text);
  expect(told()).toBe(value);
  expect(words(page)).toContain(wrong);
  expect(page.querySelector('input')!.hasAttribute('aria-invalid')).toBe(wrong !== '');
});

it('a day is a day of the calendar, a time one that the place takes', async () => {
  Day.clock = false;
  await type(Day, '2026-11-30');
  expect(told()).toBe('2026-11-30');
  expect(words(await type(Day, ''))).toContain('Enter a date or a time.');
  expect(told()).toBe('nothing');
  Day.clock = true;
  expect(words(await type(Day, '15:30'))).toContain('Work must end after it starts.');
  await type(Day, '07:00');
  expect(told()).toBe('07:00');
});

it('a name that must be there comes back', async () => {
  const page = await type(Named, '  ');
  expect(told()).toBe('nothing');
  expect(page.querySelector('input')!.value).toBe('Hall');
  await type(Named, ' Snug ');
  expect(told()).toBe('Snug');
});

it('plays step after step from where it stands, and pauses for a press, for a hand and at the end', () => {
  TestBed.resetTestingModule();
  setUp();
  const play = TestBed.createComponent(Play);
  const page = play.nativeElement as HTMLElement;
  const shown: number[] = [];
  const goTo = (step: number | undefined) => {
    play.componentRef.setInput('at', step);
    play.detectChanges();
  };
  play.componentRef.setInput('steps', 4);
  play.componentInstance.moved.subscribe((step) => {
    shown.push(step);
    goTo(step);
  });
  const plays = () => page.querySelector('button')!.getAttribute('aria-pressed') === 'true';
  goTo(undefined);
  jest.useFakeTimers();
  try {
    button(page, 'Play').click();
    jest.advanceTimersByTime(900);
    play.detectChanges();
    expect(plays()).toBe(true);
    button(page, 'Pause').click();
    jest.advanceTimersByTime(9000);
    expect(shown).toEqual([0, 1]);
    button(page, 'Play').click();
    // Somebody goes back by hand.
    goTo(0);
    jest.advanceTimersByTime(9000);
    play.detectChanges();
    expect(plays()).toBe(false);
    expect(shown).toEqual([0, 1, 2]);
    button(page, 'Play').click();
    jest.advanceTimersByTime(9000);
    play.detectChanges();
    expect(shown).toEqual([0, 1, 2, 1, 2, 3]);
    expect(plays()).toBe(false);
    button(page, 'Play').click();
    expect(shown.at(-1)).toBe(0);
  } finally {
    jest.useRealTimers();
    play.destroy();
  }
});

it('shows a figure with what it is, why, and that it is over', () => {
  TestBed.resetTestingModule();
  setUp();
  const figure = TestBed.createComponent(KeyFigure);
  const page = figure.nativeElement as HTMLElement;
  figure.componentRef.setInput('value', '62 h');
  figure.detectChanges();
  expect(words(page)).toBe('62 h');
  expect(page.querySelector('button')).toBeNull();
  figure.componentRef.setInput('label', 'Work');
  figure.componentRef.setInput('over', true);
  figure.componentRef.setInput('why', { rule: say('why.band'), inputs: [] });
  figure.detectChanges();
  expect(words(page)).toBe('Work 62 h Why?');
  expect(page.querySelector('.big')!.classList).toContain('over');
  expect(page.querySelector('button')!.getAttribute('aria-label')).toContain('Work');
});
