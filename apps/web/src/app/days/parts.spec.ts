import type { Type } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { By } from '@angular/platform-browser';
import { plan, type Days, type DayTask } from '@lisse/core';
import { built, button, openJob, sampleJob, setUp, until, words } from '../../testing/app';
import { SetTimes } from '../finish/set-times';
import { JobStore } from '../state/job.store';
import { LogStore } from '../state/log.store';
import { PlanStore } from '../state/plan.store';
import { Choice } from '../ui/choice';
import { CrewSheet } from './crew-sheet';
import { DayList } from './day-list';
import { DaySheets } from './day-sheets';
import { RunView } from './run-view';

let fixture: ComponentFixture<unknown>;
const page = (): HTMLElement => fixture.nativeElement as HTMLElement;
const job = () => TestBed.inject(JobStore).job()!;
const made = () => TestBed.inject(PlanStore).plan()!;
const settled = () => TestBed.inject(JobStore).settled();

async function show(
  part: Type<unknown>,
  over: Parameters<typeof sampleJob>[0] = {},
  inputs: () => Record<string, unknown> = () => ({}),
) {
  setUp();
  await openJob(sampleJob(over));
  fixture = TestBed.createComponent(part);
  for (const [name, value] of Object.entries(inputs())) fixture.componentRef.setInput(name, value);
  await built(fixture);
}

function type(label: string, value: string): void {
  const named = [...page().querySelectorAll('label')].find((one) => words(one).startsWith(label))!;
  const field = page().querySelector<HTMLInputElement>(`#${named.htmlFor}`)!;
  field.value = value;
  field.dispatchEvent(new Event('change'));
}

const two = {
  ...sampleJob().calendar,
  crew: 2,
  people: [
    { id: 'a', name: 'Ansa' },
    { id: 'b', name: 'Jori', off: ['2026-11-30'] },
  ],
};

describe('the list of days', () => {
  const inputs = () => ({ days: made().days, names: new Map([['hall', 'Hall']]), picked: 'hall:tape' });

  it('shows the day it is and the next three, and has a coat told done with a thumb', async () => {
    await show(DayList, {}, inputs);
    const dates = [...page().querySelectorAll('h3')].map((head) => words(head));
    expect(dates[0]).toBe('Mon, Nov 30');
    expect(dates.length).toBeLessThanOrEqual(4);
    const rows = [...page().querySelectorAll('li')].map((row) => words(row));
    expect(rows[0]).toMatch(/^Tape coat Hall 7:00 AM–\d+:\d\d [AP]M Done$/);
    button(page(), 'Done').click();
    await until(() => TestBed.inject(LogStore).entries().length === 1);
    fixture.componentRef.setInput('days', made().days);
    await until(() => made().days.tasks.some(({ state }) => state === 'done'));
  });

  it('tells a task that runs over a night on both days, from and to where it is cut', async () => {
    const long: DayTask = {
      ...plan(sampleJob()).days.tasks[0]!,
      start: '2026-11-30T14:00',
      end: '2026-12-01T09:00',
    };
    const days: Days = { ...plan(sampleJob()).days, tasks: [long] };
    await show(DayList, {}, () => ({ ...inputs(), days }));
    const rows = [...page().querySelectorAll('.when')].map((row) => words(row));
    expect(rows).toEqual(['2:00 PM–…', '…–9:00 AM']);
  });

  it('begins with the day it is once work has begun', async () => {
    const days = { ...plan(sampleJob()).days, now: '2026-12-02T10:00' };
    await show(DayList, {}, () => ({ ...inputs(), days }));
    expect(words(page().querySelector('h3')!)).toBe('Wed, Dec 2');
  });
});

it('has a sheet for each person and day they work, none for a day off, none of what is done', async () => {
  await show(DaySheets, { calendar: two }, () => ({
    plan: made(),
    names: new Map([['hall', 'Hall']]),
    job: 'Sample job',
  }));
  const heads = () => [...page().querySelectorAll('header')].map((head) => words(head));
  // Tape dries over the night: Ansa begins alone.
  expect(heads().slice(0, 2)).toEqual(['Ansa Mon, Nov 30 Sample job', 'Ansa Tue, Dec 1 Sample job']);
  expect(heads()).not.toContain('Jori Mon, Nov 30 Sample job');
  expect(new Set(heads()).size).toBe(heads().length);
  const first = words(page().querySelector('.sheet')!);
  expect(first).toMatch(/7:00 AM to .* Tape coat: Hall flats/);
  expect(first).toMatch(/Done Next coat from/);
  expect(first).toContain('Keep wet mud off skin');
  // As many joints are drawn as the tape coat runs.
  expect(page().querySelectorAll('.sheet')[0]!.querySelectorAll('.joint')).toHaveLength(
    made().runs.find(({ coat }) => coat === 'tape')!.joints.length,
  );
  const tasks = made().days.tasks.map((task) => ({ ...task, state: 'done' as const }));
  fixture.componentRef.setInput('plan', { ...made(), days: { ...made().days, tasks } });
  await built(fixture);
  expect(heads()).toEqual([]);
});

describe('the run', () => {
  const inputs = () => ({
    room: job().rooms[0]!,
    plan: made().rooms[0]!,
    run: made().runs.find(({ coat }) => coat === 'tape')!,
  });
  it('is played from its first joint to its last, and from the first again', async () => {
    await show(RunView, {}, inputs);
    const joints = inputs().run.joints.length;
    jest.useFakeTimers();
    try {
      const is = (n: number) =>
        expect(page().querySelectorAll('ol li')[n]!.classList.contains('at')).toBe(true);
      button(page(), 'Play').click();
      TestBed.tick();
      is(0);
      jest.advanceTimersByTime(700);
      TestBed.tick();
      is(1);
      jest.advanceTimersByTime(700 * (joints + 2));
      TestBed.tick();
      is(joints - 1);
      expect(button(page(), 'Play').getAttribute('aria-pressed')).toBe('false');
      button(page(), 'Play').click();
      TestBed.tick();
      is(0);
    } finally {
      jest.useRealTimers();
    }
  });

  it('takes a joint where it was dropped, at its ends no further, and goes back to the rules', async () => {
    await show(RunView, {}, inputs);
    const view = fixture.componentInstance as RunView;
    const [first, second] = inputs().run.joints;
    view['drop']({ previousIndex: 1, currentIndex: 0 } as never);
    await settled();
    expect(job().rooms[0]!.runs!.tape!.slice(0, 2)).toEqual([second, first]);
    await until(() => inputs().run.joints[0] === second);
    for (const [name, value] of Object.entries(inputs())) fixture.componentRef.setInput(name, value);
    await built(fixture);
    view['move'](new Event('click'), second!, -1);
    await settled();
    expect(job().rooms[0]!.runs!.tape![0]).toBe(second);
    button(page(), 'Reset to the standard order').click();
    await settled();
    expect(job().rooms[0]!.runs).toBeUndefined();
  });
});

describe('the crew', () => {
  it('begins before it ends, works on one day at least, and says so', async () => {
    await show(CrewSheet);
    type('From', '16:00');
    await built(fixture);
    expect(job().calendar.from).toBe('07:00');
    expect(page().querySelector('[aria-invalid]')).not.toBeNull();
    type('To', '14:00');
    await settled();
    expect(job().calendar.to).toBe('14:00');
    for (const day of ['Mon', 'Tue', 'Wed', 'Thu', 'Fri']) {
      button(page(), day).click();
      await settled();
    }
    expect(job().calendar.weekdays).toEqual([5]);
  });

  it('has a day it is wanted by, and none again; people who go and come', async () => {
    await show(CrewSheet, { calendar: two });
    type('Needed by', '2026-12-18');
    await settled();
    expect(job().calendar.deadline).toBe('2026-12-18');
    type('Needed by', '');
    await settled();
    expect(job().calendar.deadline).toBeUndefined();
    await built(fixture);
    button(page(), 'Add a person').click();
    await settled();
    expect(job().calendar).toMatchObject({ crew: 3, people: [{ id: 'a' }, { id: 'b' }, { id: 'p3' }] });
    await built(fixture);
    const away = [...page().querySelectorAll<HTMLButtonElement>('.person .link')].find((one) =>
      words(one).includes('undo'),
    )!;
    away.click();
    await settled();
    expect(job().calendar.people![1]!.off).toBeUndefined();
  });
});

describe('set times', () => {
  const choice = (n: number) =>
    fixture.debugElement.queryAll(By.directive(Choice))[n]!.componentInstance as Choice<number>;

  it('are one for all, or chosen among those at hand; the last at hand stays', async () => {
    await show(SetTimes);
    expect(words(page())).not.toContain('can be had');
    choice(0).changed.emit(0);
    await settled();
    await built(fixture);
    expect(job().way.setChosen).toBe(true);
    choice(1).changed.emit(45);
    await settled();
    expect(job().way).toMatchObject({ setMin: 45, setChosen: true });
    const presses = () => [...page().querySelectorAll<HTMLButtonElement>('.sets button')];
    const on = () => presses().filter((one) => one.getAttribute('aria-pressed') === 'true');
    while (on().length > 1) {
      on()[0]!.click();
      await settled();
      await built(fixture);
    }
    on()[0]!.click();
    await settled();
    expect(job().shop!.setsAtHand).toHaveLength(1);
    choice(0).changed.emit(90);
    await settled();
    expect(job().way).toMatchObject({ setMin: 90 });
    expect(job().way).not.toHaveProperty('setChosen');
  });
});
