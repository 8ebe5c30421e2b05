import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { DayTask, Job, LogEntry } from '@lisse/core';
import ICAL from 'ical.js';
import { built, button, handed, openJob, sampleJob, setUp, until, words } from '../../testing/app';
import { By } from '@angular/platform-browser';
import { ClimateLogger } from '../devices/climate-logger';
import { Clock } from '../state/clock';
import { WHAT_TIME } from '../what-time';
import { JobStore } from '../state/job.store';
import { LogStore } from '../state/log.store';
import { PlanStore } from '../state/plan.store';
import { JobFiles } from '../storage/job-files';
import { JobStorage } from '../storage/job-storage';
import type { LisseDb } from '../storage/db';
import { DaysPage } from './days-page';
import { SetTime } from './set-time';

let db: LisseDb;
let fixture: ComponentFixture<DaysPage>;
const page = (): HTMLElement => fixture.nativeElement as HTMLElement;
const text = (): string => words(page());
const days = () => TestBed.inject(PlanStore).plan()!.days;
const task = (id: string): DayTask => days().tasks.find((one) => one.id === id)!;
const bar = (id: string): HTMLElement => page().querySelector<HTMLElement>(`[data-task="${id}"]`)!;
const press = (element: HTMLElement, key: string, more: KeyboardEventInit = {}) =>
  element.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }));
const type = (box: HTMLInputElement, value: string) => {
  box.value = value;
  box.dispatchEvent(new Event('change'));
};
const labelled = (name: string): HTMLInputElement => {
  const label = [...page().querySelectorAll('label')].find((one) => one.textContent.trim() === name);
  return page().querySelector<HTMLInputElement>(`#${label!.htmlFor}`)!;
};

async function show(over: Parameters<typeof sampleJob>[0] = {}, providers: Parameters<typeof setUp>[0] = []) {
  db = setUp(providers);
  await openJob(sampleJob(over));
  fixture = TestBed.createComponent(DaysPage);
  await built(fixture);
}

it('lists every coat with who, its start, end and when the next may go on', async () => {
  await show();
  const rows = [...page().querySelectorAll('.sheet tbody tr')].map((row) => words(row));
  expect(rows).toHaveLength(days().tasks.length);
  expect(rows[0]).toContain('Tape coat Hall Person 1 Mon, Nov 30, 7:00 AM');
  expect(text()).toContain('All ready for primer');
  expect(text()).toContain('Hall: tape coat dries until');
});

it('searches by itself, and says how good the plan is', async () => {
  await show();
  await until(() => TestBed.inject(PlanStore).search() === 'done');
  await built(fixture);
  expect(days().proved).toBe(true);
  expect(text()).toContain('It cannot be sooner with these people.');
});

it('follows the climate, and refuses what is not one', async () => {
  await show();
  const before = days().finish!;
  const [field] = [...page().querySelectorAll<HTMLInputElement>('ls-air-sheet input')];
  type(field!, 'warm');
  await built(fixture);
  expect(text()).toContain('“warm” is not a temperature');
  type(field!, '8 C');
  await until(() => days().finish! > before);
  await built(fixture);
  expect(text()).toContain('A-COLD');
});

describe('a task moved by hand', () => {
  it('is refused where what it lies on is wet, with the reason', async () => {
    await show();
    press(bar('hall:fill'), 'PageUp');
    await built(fixture);
    expect(page().querySelector('.told')!.textContent).toContain('Fill coat cannot start before');
    expect(page().querySelector('.told')!.textContent).toContain(
      'tape coat there may still be wet until then',
    );
    expect(TestBed.inject(JobStore).job()!.calendar.pins).toBeUndefined();
  });

  it('begins no sooner than it was put to, until it is let go', async () => {
    await show();
    press(bar('hall:fill'), 'PageDown');
    await until(() => task('hall:fill').pinned);
    expect(task('hall:fill').start).toBe('2026-12-02T09:48');
    await built(fixture);
    press(bar('hall:fill'), 'Delete');
    await until(() => !task('hall:fill').pinned);
    expect(task('hall:fill').start).toBe('2026-12-01T09:48');
  });
});

describe('what happened on site', () => {
  it('is told to the log, planned with, undone and done again', async () => {
    await show();
    button(page(), 'Done').click();
    const logs = TestBed.inject(LogStore);
    await until(() => logs.entries().length === 1);
    expect(logs.entries()[0]).toMatchObject({ kind: 'done', room: 'hall', step: 'tape' });
    await until(() => task('hall:tape').state === 'done');
    const store = TestBed.inject(JobStore);
    await until(() => store.undoLabel() !== undefined);
    await store.undo();
    await until(() => task('hall:tape').state === 'planned');
    // An entry is never taken out.
    expect((await db.log.toArray()).map(({ entry }) => entry.kind)).toEqual(['done', 'withdrawn']);
    await store.redo();
    await until(() => task('hall:tape').state === 'done');
    await store.undo();
    await until(() => task('hall:tape').state === 'planned');
  });

  it('goes out with the job and comes in with it', async () => {
    await show();
    button(page(), 'Done').click();
    await until(() => TestBed.inject(LogStore).entries().length === 1);
    const storage = TestBed.inject(JobStorage);
    const { id, doc } = (await db.jobs.toArray())[0]!;
    const whole = JSON.parse(await (await TestBed.inject(JobFiles).fileOf(doc)).text()) as Job;
    expect(whole.log).toHaveLength(1);
    expect(doc).not.toHaveProperty('log');
    await storage.add({ ...whole, id: 'copy' });
    expect(await storage.log('copy')).toEqual(await storage.log(id));
    await storage.discard('copy');
    expect(await storage.log('copy')).toEqual([]);
  });

  it('is not kept where it could not be opened again, nor half where the browser is full', async () => {
    await show();
    const store = TestBed.inject(JobStore);
    const entry = { id: 'x', at: 'some day', by: '', device: 'd', kind: 'done', room: 'hall', step: 'tape' };
    expect(await store.record('sample', 'undo.log-done', [entry as LogEntry])).toBe(false);
    expect(store.refused()[0]?.path).toBe('log[0].at');
    jest.spyOn(db.steps, 'put').mockRejectedValueOnce(new Error('torn'));
    await store.record('sample', 'undo.log-done', [{ ...entry, at: '2026-11-30T07:00Z' } as LogEntry]);
    expect(await db.log.count()).toBe(0);
    expect(store.notSaved()).toBeDefined();
  });

  it('counts the time of a coat, but not while it is laid aside; what moved is told', async () => {
    let now = new Date('2026-12-01T07:00');
    await show({}, [{ provide: WHAT_TIME, useValue: () => now }]);
    const clock = TestBed.inject(Clock);
    const whole = task('hall:tape').labourMin;
    // What moved is told against days that have been searched.
    await until(() => TestBed.inject(PlanStore).search() === 'done');
    button(page(), 'Start').click();
    await until(() => task('hall:tape').state === 'begun');
    await built(fixture);
    expect(page().querySelector('.told')!.textContent).toContain('New plan: everything is ready 24 h later');
    expect(page().querySelector('.told')!.textContent).toContain('Hall: fill coat now starts Wed, Dec 2');
    now = new Date('2026-12-01T07:30');
    clock.look();
    await until(() => days().now === '2026-12-01T07:30');
    await built(fixture);
    button(page(), 'Pause').click();
    await until(() => task('hall:tape').state === 'paused');
    now = new Date('2026-12-01T10:00');
    clock.look();
    await until(() => days().now === '2026-12-01T10:00');
    expect(task('hall:tape').labourMin).toBeCloseTo(whole - 30, 6);
    await built(fixture);
    expect(text()).toContain('paused');
    button(page(), 'Resume').click();
    await until(() => task('hall:tape').state === 'begun');
  });

  it('offers to plan by its own coats, once enough were told ready', async () => {
    const finish = { scale: 'level', grade: 1 } as const;
    const rooms = ['a', 'b', 'c', 'd', 'e'].map((id) => ({ ...sampleJob().rooms[0]!, id, name: id, finish }));
    const log = rooms.slice(0, 4).flatMap(({ id }, n): LogEntry[] => [
      { id: `1${id}`, at: '2026-11-30T08:00Z', by: '', device: 'd', kind: 'done', room: id, step: 'tape' },
      {
        id: `2${id}`,
        at: `2026-12-01T0${n}:40Z`,
        by: '',
        device: 'd',
        kind: 'ready',
        toldBy: 'chip',
        room: id,
        step: 'tape',
      },
    ]);
    // The day after: what is told of is over.
    const whatTime = () => new Date('2026-12-01T10:00Z');
    await show({ rooms, log }, [{ provide: WHAT_TIME, useValue: whatTime }]);
    await until(() => days().told.length === 1);
    await built(fixture);
    expect(text()).toContain(
      'Of 4 coats you marked ready, all were dry within 105% of their typical time. The plan uses 125%',
    );
    const late = () => days().tasks.find(({ room, step }) => room === 'e' && step === 'tape')!.readyLate;
    const before = late();
    button(page(), 'Use your times').click();
    await until(() => late() < before);
    expect(TestBed.inject(JobStore).job()!.shop?.figures).toEqual({ dryLate: 1.05 });
  });

  it('takes a reading, and plans with it when asked', async () => {
    await show();
    const [temp, rh] = [...page().querySelectorAll<HTMLInputElement>('ls-air-sheet input')].slice(-2);
    type(temp!, '17 C');
    type(rh!, '61');
    button(page(), 'Save reading').click();
    await until(() => TestBed.inject(LogStore).site().readings.length === 1);
    await built(fixture);
    button(page(), 'Use it for the whole job').click();
    await TestBed.inject(JobStore).settled();
    expect(TestBed.inject(JobStore).job()!.climate).toMatchObject({ tempC: 17, rhPct: 61 });
  });
});

describe('the set time of a coat', () => {
  const setting = { ...sampleJob().way, compounds: 'setting-below' as const };

  it('is the way’s until the plan is let choose, with its reason, and stays as it is set by hand', async () => {
    await show({ way: { ...setting, setMin: 210 } });
    expect(text()).toContain('As for the whole job: 210 min');
    button(page(), 'Choose automatically').click();
    await until(() => task('hall:tape').batches[0]!.setMin < 210);
    await built(fixture);
    expect(text()).toContain('Chosen automatically: 90 min');
    expect(page().querySelector('ls-set-time ls-why')).not.toBeNull();
    const choice = fixture.debugElement.query(By.directive(SetTime)).componentInstance as SetTime;
    choice['set'](45);
    await until(() => task('hall:tape').batches[0]!.setMin === 45);
    expect(TestBed.inject(JobStore).job()!.rooms[0]!.cells).toMatchObject({ 'flats.tape': { setMin: 45 } });
    await built(fixture);
    expect(page().querySelector('ls-set-time ls-why')).toBeNull();
    choice['set'](0);
    await until(() => task('hall:tape').batches[0]!.setMin > 45);
    expect(TestBed.inject(JobStore).job()!.rooms[0]!.cells).toEqual({});
  });
});

describe('the air', () => {
  const closed = { tempC: 18, rhPct: 55, air: 'sealed' as const };

  it('is reckoned when asked, and a dehumidifier has the room ready sooner', async () => {
    await show({ climate: closed });
    page().querySelector<HTMLInputElement>('ls-air-sheet ls-check input')!.click();
    await until(() => days().air !== undefined);
    await built(fixture);
    const before = days().finish!;
    type(labelled('Dehumidifier, L per day'), '40');
    await until(() => days().finish! < before);
    await built(fixture);
    expect(text()).toMatch(/Power: fans 0 kWh, heat \d+ kWh, drying \d+ kWh/);
  });

  it('takes weather from the logger and says that it is simulated; one that is silent is told', async () => {
    let answers = false;
    const read = () =>
      answers
        ? Promise.resolve([{ at: '2026-11-30T00:00', tempC: 3, rhPct: 90 }])
        : Promise.reject(new Error('off'));
    await show({ climate: { ...closed, reckoned: true } }, [{ provide: ClimateLogger, useValue: { read } }]);
    button(page(), 'From the climate logger').click();
    await built(fixture);
    expect(text()).toContain('The climate logger does not answer.');
    answers = true;
    button(page(), 'From the climate logger').click();
    await built(fixture);
    expect(text()).toContain('1 hours of weather, simulated');
  });
});

describe('the crew', () => {
  it('is named, has days off, and leaves work to others', async () => {
    await show({ calendar: { ...sampleJob().calendar, crew: 2 } });
    button(page(), 'Name the people').click();
    await until(() => days().people.every(({ name }) => name !== undefined));
    await built(fixture);
    const first = page().querySelector<HTMLElement>('.person')!;
    type(first.querySelector<HTMLInputElement>('input[type="text"]')!, 'Ansa');
    await until(() => days().people[0]!.name === 'Ansa');
    await built(fixture);
    [...page().querySelectorAll<HTMLElement>('.person label')]
      .find((label) => label.textContent.trim() === 'sanding')!
      .querySelector('input')!
      .click();
    await until(() => task('hall:sand').people.join() === 'p2');
  });

  it('works on Saturdays when told', async () => {
    await show();
    button(page(), 'Sat').click();
    const store = TestBed.inject(JobStore);
    await store.settled();
    expect(store.job()!.calendar.weekdays).toEqual([1, 2, 3, 4, 5, 6]);
  });
});

describe('the run of the joints', () => {
  it('is put in another order by keys, and says what that breaks', async () => {
    await show();
    const items = () => [...page().querySelectorAll<HTMLElement>('ls-run-view li')];
    const runs = () =>
      TestBed.inject(PlanStore)
        .plan()!
        .runs.find(({ coat }) => coat === 'tape')!;
    const last = runs().joints.at(-1)!;
    while (runs().broken.length === 0) {
      const at = runs().joints.indexOf(last);
      press(items()[at]!.querySelector('button')!, 'ArrowUp', { altKey: true });
      await until(() => runs().joints.indexOf(last) < at);
      await built(fixture);
    }
    await built(fixture);
    expect(text()).toContain('its loose end stays uncovered');
    button(page(), 'Reset to the standard order').click();
    await until(() => runs().broken.length === 0);
  });

  it('goes on from the order it was put in last, though that is not planned yet', async () => {
    await show();
    const names = () => [...page().querySelectorAll('ls-run-view li .link')].map((one) => words(one));
    const [first, ...rest] = names();
    // Thrice, as quick as keys come: no plan is made between them.
    for (let i = 0; i < 3; i++) {
      press(page().querySelectorAll<HTMLElement>('ls-run-view li .link')[i]!, 'ArrowDown', { altKey: true });
      fixture.detectChanges();
    }
    const moved = [...rest.slice(0, 3), first, ...rest.slice(3)];
    expect(names()).toEqual(moved);
    await built(fixture);
    expect(names()).toEqual(moved);
  });
});

describe('what goes out', () => {
  let out: ReturnType<typeof handed>;
  beforeEach(() => (out = handed()));
  afterEach(() => jest.restoreAllMocks());

  it('is a calendar that another program reads: every task at the hours of the site', async () => {
    await show();
    await until(() => TestBed.inject(PlanStore).search() === 'done');
    button(page(), 'Calendar file').click();
    await until(() => out.length > 0);
    const [{ name, blob }] = out as [(typeof out)[0]];
    expect([blob.type, name]).toEqual(['text/calendar', 'sample-job.ics']);
    const events = new ICAL.Component(ICAL.parse(await blob.text()) as string).getAllSubcomponents('vevent');
    expect(events.map((event) => String(event.getFirstPropertyValue('dtstart')))).toEqual(
      days().tasks.map(({ start }) => `${start}:00`),
    );
    expect(new Set(events.map((event) => event.getFirstPropertyValue('uid'))).size).toBe(days().tasks.length);
  });

  it('is a table of the tasks', async () => {
    await show();
    button(page(), 'Table').click();
    const csv = await out[0]!.blob.text();
    expect(csv.split('\r\n')[0]).toMatch(/^start,end,room,coat,joints,who/);
    expect(csv).toContain('2026-11-30T07:00');
  });
});

it('has a sheet of paper for each person and day, only while it is printed', async () => {
  await show();
  expect(page().querySelector('ls-day-sheets')).toBeNull();
  // The page itself is printed without them.
  window.dispatchEvent(new Event('beforeprint'));
  await built(fixture);
  expect(page().querySelector('ls-day-sheets')).toBeNull();
  const printed = jest.spyOn(window, 'print').mockImplementation(() => undefined);
  button(page(), 'Print day sheets').click();
  await built(fixture);
  expect(printed).toHaveBeenCalledTimes(1);
  expect(page().querySelector('ls-work-frame')!.className).toContain('no-print');
  const sheets = [...page().querySelectorAll('ls-day-sheets .sheet')].map((sheet) => words(sheet));
  expect(sheets).toHaveLength(3);
  expect(sheets[0]).toMatch(/^Person 1 Mon, Nov 30/);
  window.dispatchEvent(new Event('afterprint'));
  await built(fixture);
  expect(page().querySelector('ls-day-sheets')).toBeNull();
});

it('offers to begin today where the first day has passed', async () => {
  await show({ calendar: { ...sampleJob().calendar, startDate: '2020-01-06' } });
  button(page(), 'Start today').click();
  await TestBed.inject(JobStore).settled();
  expect(TestBed.inject(JobStore).job()!.calendar.startDate > '2026').toBe(true);
});

it('tries what would be sooner, and keeps it with a press', async () => {
  await show({
    climate: { tempC: 14, rhPct: 70, air: 'still' },
    way: { ...sampleJob().way, compounds: 'drying' },
  });
  button(page(), 'Find ways to finish sooner').click();
  await until(() => text().includes('Setting compound below'));
  await built(fixture);
  button(page(), 'Setting compound below').click();
  const store = TestBed.inject(JobStore);
  await store.settled();
  expect(store.job()!.way.compounds).toBe('setting-below');
  await store.undo();
  expect(store.job()!.way.compounds).toBe('drying');
});
