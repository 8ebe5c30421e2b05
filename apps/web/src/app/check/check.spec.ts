import type { Type } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { DAMAGES, LIMITS, type Job } from '@lisse/core';
import { built, button, openJob, sampleJob, setUp, until, words } from '../../testing/app';
import { WHAT_TIME } from '../what-time';
import { JobStore } from '../state/job.store';
import { LogStore } from '../state/log.store';
import { PlanStore } from '../state/plan.store';
import type { LisseDb } from '../storage/db';
import { PaperMaker } from '../worker/paper-maker';
import type { Sheet } from '../worker/sheet-pdf';
import { TaskActions } from '../ui/task-actions';
import { CheckStore } from './check.store';
import { CornerPicker } from './corner-picker';
import { FindingsPage } from './findings-page';
import { LampPhotoPage } from './lamp-photo-page';
import { RepairsPage } from './repairs-page';
import { RoundPage } from './round-page';
import { SignPage } from './sign-page';

let now = new Date();
let db: LisseDb;
let fixture: ComponentFixture<unknown>;
const page = () => fixture.nativeElement as HTMLElement;
const read = () => words(page());
const store = () => TestBed.inject(CheckStore);
const job = () => TestBed.inject(JobStore).job()!;
const kinds = () =>
  TestBed.inject(LogStore)
    .entries()
    .map(({ kind }) => kind);

async function start(over: Job = sampleJob(), more: Parameters<typeof setUp>[0] = []): Promise<void> {
  now = new Date('2026-12-07T09:00:00Z');
  db = setUp([{ provide: WHAT_TIME, useValue: () => now }, ...more]);
  await openJob(over);
}
async function look(place: Type<unknown>): Promise<void> {
  fixture = TestBed.createComponent(place);
  await built(fixture);
}
// Nothing is drawn here; what is drawn is looked at in a browser.
beforeAll(() => (HTMLCanvasElement.prototype.getContext = () => null));
afterEach(() => db.delete());
const comes = async (is: () => boolean): Promise<void> => {
  await until(is);
  await built(fixture);
};
const press = (name: string) => button(page(), name).click();
const find = async (fault: Parameters<CheckStore['find']>[0], more: object = {}): Promise<void> => {
  const before = store().pins().findings.length;
  now = new Date(now.getTime() + 60000);
  await store().find(fault, { room: 'hall', face: 'wall-1', place: [900, 1200] }, more);
  await until(() => store().pins().findings.length === before + 1);
};

describe('a round', () => {
  it('is begun at one of four times and walks face after face, by the door first, each with its lamp', async () => {
    await start();
    await look(RoundPage);
    expect(read()).toContain('Start an inspection');
    [...page().querySelectorAll<HTMLButtonElement>('.stage')][1]!.click();
    await comes(() => store().round() !== undefined);
    expect(read()).toContain('Inspection before primer, started');
    expect([...page().querySelectorAll('.faces button')].map(words)).toEqual([
      'ceiling',
      'wall 1',
      'wall 2',
      'wall 3',
      'wall 4',
    ]);
    await comes(() => page().querySelector('ls-face-look canvas') !== null && /lamp/.test(read()));
    expect(read()).toMatch(/(Hold|Put) the lamp .* off the surface\./);
    expect(read()).toContain('0 of 5');
    press('Surface checked: next');
    await comes(() => store().looked().length === 1);
    expect(store().face()!.id).toBe('wall-0');
    expect(page().querySelector('.faces .looked')!.textContent).toContain('ceiling');
    for (let n = 2; n <= 5; n++) {
      press('Surface checked: next');
      await comes(() => store().looked().length === n);
    }
    expect(read()).toContain('Every surface in this room is checked.');
  });

  it('pins what is found where it is, by keys too, and gives its ring a number', async () => {
    await start();
    await store().open('between');
    await until(() => store().round() !== undefined);
    store().chooseFace('wall-1');
    await look(RoundPage);
    expect(read()).toContain('Run a dry blade over everything');
    page()
      .querySelector('.face[role=button]')!
      .dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
    await built(fixture);
    const kind = [...page().querySelectorAll<HTMLButtonElement>('.kind')].find((one) =>
      /Pinholes/.test(words(one)),
    );
    if (kind) kind.click();
    else {
      press('More kinds …');
      await built(fixture);
      [...page().querySelectorAll<HTMLButtonElement>('.kind')]
        .find((one) => /Pinholes/.test(words(one)))!
        .click();
    }
    await comes(() => store().pins().findings.length === 1 && /Circle it on the wall/.test(read()));
    expect(read()).toContain('Circle it on the wall and write 1: pinholes.');
    const [found] = store().pins().findings;
    expect(found).toMatchObject({ fault: 'pinholes', round: store().round()!.id, ring: '1' });
    expect(found!.place).toBeDefined();
  });

  it('holds the straightedge against the grade, and floats what is over it', async () => {
    await start();
    await store().open('before-primer');
    await until(() => store().round() !== undefined);
    await look(RoundPage);
    expect(read()).toContain('Level 4: up to 3 mm under 1,200 mm (typical).');
    await TestBed.inject(LogStore).tell('undo.log-straightedge', {
      kind: 'straightedge',
      room: 'hall',
      face: store().face()!.id,
      edgeMm: 1200,
      gapMm: 5,
    });
    await comes(() => /5 mm under/.test(read()));
    expect(read()).toContain('5 mm under 1,200 mm: over the 3 mm limit.');
    press('Float it out');
    await comes(() => /will remain under/.test(read()));
    expect(job().rooms[0]!.damage).toMatchObject([{ kind: 'low', sizeMm: 1200, depthMm: 5, apart: true }]);
    expect(read()).toMatch(
      /Float it(?: out)? 1,200 mm wide in one layer; [\d.]+ mm will remain under the straightedge\./,
    );
  });
});

describe('findings', () => {
  it('take their cure into the plan with one press, are fixed, closed, and there again', async () => {
    await start();
    await find('hollow', { sizeMm: 500 });
    await find('dent');
    await look(FindingsPage);
    expect(read()).toContain('2 open, 0 fixed');
    press('Add the repair to the plan');
    await comes(() => /including waits/.test(read()));
    expect(job().rooms[0]!.damage).toMatchObject([
      { kind: 'low', sizeMm: 500, finding: store().pins().findings[0]!.id },
    ]);
    expect(read()).toContain('repair planned');
    const plan = TestBed.inject(PlanStore).plan()!;
    expect(plan.days.tasks.some(({ step }) => step === 'mend-1')).toBe(true);
    press('Remove the repair from the plan');
    await comes(() => (job().rooms[0]!.damage ?? []).length === 0);
    press('Fixed');
    await comes(() => store().pins().findings[0]!.state === 'cured');
    press('Rechecked: close');
    await comes(() => store().pins().findings[0]!.state === 'closed');
    expect(read()).toContain('1 open, 0 fixed and to recheck, 1 closed.');
    press('Still there');
    await comes(() => store().pins().findings[0]!.state === 'open');
    expect(kinds()).toEqual(['finding', 'finding', 'cured', 'closed', 'reopened']);
    await TestBed.inject(JobStore).undo();
    await comes(() => store().pins().findings[0]!.state === 'closed');
  });

  it('go out as a table that reads as the list does', async () => {
    const made: Blob[] = [];
    URL.createObjectURL = (blob: Blob) => (made.push(blob), 'blob:test');
    URL.revokeObjectURL = () => undefined;
    await start();
    await find('hollow', { sizeMm: 500, note: '=left, by the "door"' });
    await look(FindingsPage);
    await comes(() => !button(page(), 'Punch list as CSV').disabled);
    press('Punch list as CSV');
    await comes(() => made.length > 0);
    const text = await made.at(-1)!.text();
    expect(text.split('\r\n')[0]).toBe('No.,Room,Surface,Problem,Size,State,Found,By,Closed,Note');
    expect(text).toContain('1,Hall,wall 2,Low joint,500 mm,open,');
    // What a spreadsheet would take for a formula is made harmless.
    expect(text).toContain(`"'=left, by the ""door"""`);
  });

  it('are cured by the last work on their spot, wherever that is told', async () => {
    await start(sampleJob({ rooms: [{ ...sampleJob().rooms[0]!, standing: true }] }));
    await find('dent');
    store().takeCure(store().pins().findings[0]!);
    const tasks = () => TestBed.inject(PlanStore).plan()?.days.tasks ?? [];
    await until(() => tasks().some(({ step }) => step === 'mend-sand'));
    const deeds = TestBed.inject(TaskActions);
    const done = async (step: string): Promise<void> => {
      now = new Date(now.getTime() + 4 * 3600000);
      await deeds.done(tasks().find((task) => task.step === step)!);
    };
    await done('mend-1');
    expect(store().pins().findings[0]!.state).toBe('open');
    await done('mend-2');
    await done('mend-sand');
    await until(() => store().pins().findings[0]!.state === 'cured');
  });
});

describe('sign-off', () => {
  it('freezes the round in the log under the name of whoever signs, and makes a paper of what was frozen', async () => {
    const sheets: Sheet[] = [];
    URL.createObjectURL = () => 'blob:test';
    URL.revokeObjectURL = () => undefined;
    const papers = { sheet: (sheet: Sheet) => (sheets.push(sheet), Promise.resolve(new Blob(['x']))) };
    await start(sampleJob(), [{ provide: PaperMaker, useValue: papers }]);
    await look(SignPage);
    expect(read()).toContain('No inspection to sign');
    await store().open('handover');
    await until(() => store().round() !== undefined);
    await find('gouge');
    await look(SignPage);
    expect(read()).toContain('One item open, 0 closed');
    expect(read()).toContain('5 surfaces were not checked.');
    const name = [...page().querySelectorAll('input')].at(-1)!;
    name.value = '';
    name.dispatchEvent(new Event('input'));
    await built(fixture);
    press('Sign and close the inspection');
    await built(fixture);
    expect(read()).toContain('Type the name of the signer.');
    name.value = 'M. Hale';
    name.dispatchEvent(new Event('input'));
    await built(fixture);
    press('Sign and close the inspection');
    await comes(() => /Signed inspections/.test(read()));
    expect(read()).toContain('M. Hale · Mon, Dec 7');
    const signed = TestBed.inject(LogStore).entries().at(-1)!;
    expect(signed).toMatchObject({
      kind: 'signed',
      by: 'M. Hale',
      frozen: { rooms: [{ looked: 0, faces: 5 }] },
    });
    // What is found and closed afterwards stands on no paper of it.
    await store().closed(store().pins().findings[0]!.id);
    await find('dent');
    press('PDF');
    await until(() => sheets.length === 1);
    const text = JSON.stringify(sheets[0]);
    expect(text).toContain('Sanding gouge');
    expect(text).not.toContain('Dent');
    expect(text).toContain('One item open, 0 closed');
  });
});

describe('a photo under the lamp', () => {
  it('asks for a photo of the face, and says where photos stay', async () => {
    await start();
    await look(LampPhotoPage);
    expect(read()).toContain('Photograph the surface');
    expect(read()).toContain('Photos stay on this device');
    expect(page().querySelector('ls-find-card')).toBeNull();
  });
});

describe('the corners of a wall on its photo', () => {
  it('move by every key that is pressed, however quick, and off the photo no farther than is kept', () => {
    setUp();
    const picker = TestBed.createComponent(CornerPicker);
    const told: [number, number][][] = [];
    picker.componentInstance.moved.subscribe((corners) => told.push(corners));
    picker.componentRef.setInput('src', 'data:,');
    picker.componentRef.setInput('corners', [
      [0.1, 0.9],
      [0.9, 0.9],
      [0.9, 0.1],
      [0.1, 0.1],
    ]);
    picker.detectChanges();
    const low = (picker.nativeElement as HTMLElement).querySelector('.corner')!;
    const press = (key: string, shiftKey = false) =>
      low.dispatchEvent(new KeyboardEvent('keydown', { key, shiftKey, bubbles: true }));
    for (let i = 0; i < 5; i++) press('ArrowRight', true);
    press('ArrowUp');
    press('Enter');
    expect(told).toHaveLength(6);
    expect(told.at(-1)?.[0]).toEqual([0.2, 0.898]);
    for (let i = 0; i < 120; i++) press('ArrowLeft', true);
    expect(told.at(-1)).toEqual([[LIMITS.log.share.least, 0.898], ...told[0]!.slice(1)]);
  });
});

describe('repairs', () => {
  const put = async (text: string): Promise<void> => {
    const line = page().querySelector('input')!;
    line.value = text;
    line.dispatchEvent(new Event('input'));
    await built(fixture);
    press('Add');
    await built(fixture);
  };

  it('are put in by one line, what was not understood staying in it, with visits, materials and the price', async () => {
    await start(sampleJob({ rooms: [] }));
    await look(RepairsPage);
    expect(read()).toContain('No repairs yet.');
    await put('2 gizmos in the den');
    expect(read()).toContain('“2 gizmos in the den” is not a kind of damage Lisse knows.');
    expect(job().rooms).toEqual([]);
    await put('2 gizmos, torn paper by the door in the den');
    await comes(() => job().rooms.length === 1);
    const field = page().querySelector<HTMLInputElement>('form input')!;
    expect(field.value).toBe('2 gizmos in the den');
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect(read()).toContain('by the door');
    field.value = '2 gizm';
    field.dispatchEvent(new Event('input'));
    await built(fixture);
    expect(read()).not.toContain('not a kind of damage');
    await TestBed.inject(JobStore).undo();
    await comes(() => /No repairs yet/.test(read()));
    await put('12 pops, 3 dents 30 mm, 1 hole 120 mm in the hall, painted');
    await comes(() => /16 repairs/.test(read()));
    expect(job().rooms).toMatchObject([{ name: 'Hall', standing: true, plan: { counted: true } }]);
    expect(job().rooms[0]!.damage).toHaveLength(3);
    expect(read()).toMatch(/16 repairs in one visit, .* of work, ready/);
    expect(read()).toContain('Price at your rates');
    expect(page().querySelector('.price')!.textContent).toMatch(/^\s*€\d/);
    expect(read()).toMatch(/of clean water, mixed in the pan/);
    await put('1 stain in the hall');
    await comes(() => /17 repairs/.test(read()));
    expect(job().rooms).toHaveLength(1);
    await TestBed.inject(JobStore).undo();
    await comes(() => /16 repairs/.test(read()));
  });

  it('stop what scrapes until somebody answered for old paint', async () => {
    await start(sampleJob({ rooms: [] }));
    await look(RepairsPage);
    await put('1 hole 100 mm, painted');
    await comes(() => /Stop: old texture/.test(read()));
    expect(page().querySelectorAll('li.held').length).toBeGreaterThan(1);
    press('Tested and found clear');
    await comes(() => !/Stop: old texture/.test(read()));
    expect(page().querySelectorAll('li.held')).toHaveLength(0);
  });

  it('are described: how many, how deep, on what; by thumb; and taken out', async () => {
    await start(sampleJob({ rooms: [] }));
    await look(RepairsPage);
    expect(page().querySelectorAll('.kind svg')).toHaveLength(DAMAGES.length);
    press('Dent');
    await comes(() => /1 × dent/.test(read()));
    press('+ Dent');
    await comes(() => /2 × dent/.test(read()));
    expect(job().rooms[0]!.damage).toHaveLength(1);
    expect(read()).toContain('Scuff the paint');
    press('Bare board or mud');
    await comes(() => !/Scuff the paint/.test(read()));
    const count = page().querySelector<HTMLInputElement>('input[type=number]')!;
    count.value = '5';
    count.dispatchEvent(new Event('change'));
    await comes(() => /5 × dent/.test(read()));
    expect(read()).toMatch(/Planned: sand from .*, paint from /);
    expect(read()).toContain('Tools: utility knife');
    press('Remove this repair');
    await comes(() => /No repairs yet/.test(read()));
  });

  it('of a room that is coated are mended along with its coats, or by themselves', async () => {
    const [room] = sampleJob().rooms;
    const spot = {
      id: 'd',
      kind: 'small-hole' as const,
      sizeMm: 90,
      face: 'wall-0',
      at: [500, 500] as [number, number],
    };
    await start(sampleJob({ rooms: [{ ...room!, damage: [spot] }] }));
    await look(RepairsPage);
    expect(read()).toContain('Repaired with the coats Small hole, Hall');
    press('Repair separately');
    await comes(() => /1 × small hole/.test(read()));
    expect(read()).toContain('wall 1');
    press('Repair with the coats of its room');
    await comes(() => /Repaired with the coats/.test(read()));
  });

  it('choose the fewest visits, until the way is set by hand', async () => {
    await start(sampleJob({ rooms: [] }));
    await look(RepairsPage);
    await put('1 hole 100 mm in the hall, painted');
    await comes(() => /one visit/.test(read()));
    const ways = () =>
      [...page().querySelectorAll<HTMLButtonElement>('ls-segmented button')].filter((one) =>
        /visit/.test(words(one)),
      );
    expect(ways().map((one) => one.getAttribute('aria-pressed'))).toEqual(['true', 'false']);
    ways()[1]!.click();
    await comes(() => job().way.mending === 'overnight');
    press('Choose the fewest visits automatically');
    await comes(() => job().way.mending === undefined);
  });
});
