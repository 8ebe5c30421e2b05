import type { Type } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { By } from '@angular/platform-browser';
import { agreementFor, checkJob, plan, TYPICAL, US, type Job, type Room } from '@lisse/core';
import { button, named, openJob, sampleJob, setUp, until, words, said } from '../../testing/app';
import type { LisseDb } from '../storage/db';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import { Choice } from '../ui/choice';
import { definitionOf } from '../worker/agreement-pdf';
import { AgreementPage } from './agreement-page';
import { CoatsPage } from './coats-page';
import { CompoundsPage } from './compounds-page';
import { ToolsPage } from './tools-page';
import { WayPage } from './way-page';

let db: LisseDb;
let fixture: ComponentFixture<unknown>;
const page = () => fixture.nativeElement as HTMLElement;
const text = () => words(page());
let store: InstanceType<typeof JobStore>;
const job = () => store.job()!;
const room = () => job().rooms[0]!;

async function show(place: Type<unknown>, opened: Job = sampleJob()) {
  db = setUp();
  store = await openJob(opened);
  fixture = TestBed.createComponent(place);
  await settle();
}

async function settle() {
  await fixture.whenStable();
  await TestBed.inject(JobStore).settled();
  await fixture.whenStable();
  const plans = TestBed.inject(PlanStore);
  await until(() => !plans.busy());
  await fixture.whenStable();
}

/** What is written is a job file any copy of Lisse reads. */
afterEach(async () => {
  expect(checkJob(JSON.parse(JSON.stringify(job())))).toMatchObject({ ok: true });
  await db.delete();
});

async function choose(label: string, value: unknown) {
  const found = fixture.debugElement
    .queryAll(By.directive(Choice))
    .map((d) => d.componentInstance as Choice<string>)
    .find((c) => said(c.label()) === label)!;
  expect(found.options().map((o) => o.value)).toContain(value);
  found.changed.emit(value as string);
  await settle();
}

const field = (label: string) =>
  [...page().querySelectorAll('label')]
    .find((l) => l.textContent.trim().startsWith(label))!
    .querySelector('input')!;

async function type(label: string, value: string) {
  const input = field(label);
  input.value = value;
  input.dispatchEvent(new Event('input'));
  input.dispatchEvent(new Event('change'));
  input.dispatchEvent(new Event('blur'));
  await settle();
}

const cell = (name: RegExp) =>
  [...page().querySelectorAll<HTMLElement>('[role=gridcell]')].find((c) =>
    name.test(c.getAttribute('aria-label') ?? ''),
  )!;

describe('a cell of the coat board', () => {
  const open = async (name: RegExp) => {
    cell(name).click();
    await settle();
  };

  it('says what it is for, what to leave alone and when it is done', async () => {
    await show(CoatsPage);
    await open(/^Butts, fill/);
    expect(text()).toContain('hides the tape');
    expect(text()).toContain('the next coat covers them');
    expect(text()).toMatch(/Mud pan: \d+ fills?/);
  });

  it('is changed for the room, marked, and put back', async () => {
    await show(CoatsPage);
    await open(/^Butts, finish/);
    await type('Coat width', '800 mm');
    expect(room().cells).toEqual({ 'butts.finish': { bandMm: 800 } });
    expect(cell(/^Butts, finish/).getAttribute('aria-label')).toContain('5 passes, 800 mm');
    expect(cell(/^Butts, finish/).textContent).toContain('changed');
    button(page(), 'Restore').click();
    await settle();
    expect(room()).not.toHaveProperty('cells');
    expect(cell(/^Butts, finish/).textContent).not.toContain('changed');
  });

  it('says how wide is usual, and takes a usual width of one’s own for no change', async () => {
    await show(CoatsPage);
    await open(/^Butts, finish/);
    expect(text()).toContain('Typical width: 600 mm');
    TestBed.inject(JobStore).edit('undo.change-band', (draft) => {
      draft.shop = { ...draft.shop, figures: { 'band-butts-finish-knives': 900 } };
    });
    await settle();
    expect(text()).toContain('Typical width: 900 mm');
    expect(cell(/^Butts, finish/).getAttribute('aria-label')).toContain('900 mm');
    expect(cell(/^Butts, finish/).textContent).not.toContain('changed');
    await type('Coat width', '700 mm');
    expect(text()).toContain('Typical width: 900 mm');
    expect(cell(/^Butts, finish/).textContent).toContain('changed');
    page().querySelector<HTMLElement>('[aria-label="Why? Width of this coat"]')!.click();
    await settle();
    expect(words(document.querySelector('.p-popover')!)).toMatch(
      /You set this width for this room.*butts, finish coat, knives: coat width 900 mm yours/,
    );
  });

  it('is changed for the whole job, or for one joint, which then has a row of its own', async () => {
    await show(CoatsPage);
    await open(/^Flats, fill/);
    await choose('Apply change to', 'job');
    await choose('Compound', 'drying-mid-weight');
    expect(job().way.cells).toEqual({ 'flats.fill': { compound: 'drying-mid-weight' } });
    await open(/^Butts, finish/);
    await choose('Apply change to', 'wall-0.butt-1');
    await type('Coat width', '900 mm');
    expect(room().joints).toEqual({ 'wall-0.butt-1': { cells: { finish: { bandMm: 900 } } } });
    expect(cell(/^Butts, 900 mm, finish/)).toBeTruthy();
    expect(text()).toContain('1 changed');
  });

  it('can be left out, which is advised against, and put back by its cure', async () => {
    await show(CoatsPage);
    await open(/^Fasteners, fill/);
    button(page(), 'Skip this coat').click();
    await settle();
    expect(cell(/^Fasteners, fill/).textContent).toContain('skipped');
    button(page(), 'Close').click();
    await settle();
    expect(text()).toContain('Level 4 calls for it');
    button(page(), 'Restore it').click();
    await settle();
    expect(room()).not.toHaveProperty('cells');
  });

  it('takes a wait as people write it, and refuses what is not one', async () => {
    await show(CoatsPage);
    await open(/^Flats, tape/);
    await type('Wait before recoat', 'soon');
    expect(text()).toContain('“soon” is not a duration');
    expect(room()).not.toHaveProperty('cells');
    await type('Wait before recoat', '1 h 30');
    expect(room().cells).toEqual({ 'flats.tape': { waitMin: 90 } });
    expect(text()).toContain('A-RECOAT');
  });

  it('ranks the classes for it and shows the weighing', async () => {
    await show(CoatsPage);
    await open(/^Flats, finish/);
    button(page(), 'Compare compounds for this coat').click();
    await fixture.whenStable();
    page().querySelector<HTMLButtonElement>('ls-ranking .line')!.click();
    await fixture.whenStable();
    expect(text()).toContain('sands easily');
    expect(text()).toContain('45%');
    const before = cell(/^Flats, finish/).textContent;
    [...page().querySelectorAll<HTMLButtonElement>('ls-ranking button.quiet')].at(0)?.click();
    await settle();
    expect(cell(/^Flats, finish/).textContent).not.toBe(before);
  });

  it('is walked to with the arrows and opened with Enter', async () => {
    await show(CoatsPage);
    const key = async (name: string) => {
      const at = page().querySelector<HTMLElement>('[role=gridcell]:focus') ?? cell(/^Flats, tape/);
      at.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true }));
      await fixture.whenStable();
    };
    document.body.append(page());
    await key('ArrowDown');
    await key('ArrowRight');
    expect(document.activeElement?.getAttribute('aria-label')).toMatch(/^Butts, fill/);
    await key('Enter');
    expect(text()).toContain('Butts · fill coat');
    await key('ArrowRight');
    expect(text()).toContain('Butts · finish');
    await key('Escape');
    expect(text()).not.toContain('Butts · finish');
    await key('Home');
    expect(document.activeElement?.getAttribute('aria-label')).toMatch(/^Butts, prefill/);
  });

  it('keeps the keyboard on the board when the coat it stands on goes', async () => {
    const skimmed = sampleJob();
    skimmed.rooms[0]!.finish = { scale: 'level', grade: 5 };
    await show(CoatsPage, skimmed);
    document.body.append(page());
    cell(/^Fasteners, skim coat/).focus();
    store.edit(named('Level'), (draft) => void (draft.rooms[0]!.finish.grade = 4));
    await settle();
    expect(cell(/skim coat/)).toBeUndefined();
    expect(document.activeElement?.getAttribute('aria-label')).toMatch(/^Fasteners, finish/);
  });
});

describe('grade, light and advice', () => {
  it('lets one wall differ, and follow the room again', async () => {
    await show(CoatsPage);
    await choose('Applies to', 'wall-1');
    await choose('Decoration', 'gloss');
    expect(room().faces).toEqual({ 'wall-1': { decoration: 'gloss' } });
    expect(text()).toContain('Gloss in ordinary light needs Level 5');
    button(page(), 'Raise to Level 5').click();
    await settle();
    expect(room().faces?.['wall-1']?.finish).toEqual({ scale: 'level', grade: 5 });
    expect(text()).toContain('Whole surface');
    await choose('Applies to', '');
    expect(text()).toContain('Flat paint in ordinary light: Level 4 is enough.');
    await choose('Applies to', 'wall-1');
    button(page(), "Use the room's finish").click();
    await settle();
    expect(room()).not.toHaveProperty('faces');
  });

  it('takes its light from a window: the angle is that of its place', async () => {
    const window: Room['openings'][number] = {
      id: 'w',
      wall: 1,
      kind: 'window',
      leftMm: 100,
      bottomMm: 900,
      widthMm: 800,
      heightMm: 1200,
      returns: 'cased',
    };
    await show(CoatsPage, sampleJob({ rooms: [{ ...sampleJob().rooms[0]!, openings: [window] }] }));
    page().querySelector<HTMLButtonElement>('[aria-label="Pick the light on the drawing"]')!.click();
    await fixture.whenStable();
    page()
      .querySelector<SVGElement>('.source')!
      .dispatchEvent(new MouseEvent('click', { bubbles: true }));
    await settle();
    expect(room().light).toEqual({ kind: 'ordinary', from: 'w' });
    // 500 mm off wall 1 or wall 3's plane at one end, 4800 mm along it: atan(500 / 4800) = 5.9°.
    expect(text()).toContain('5.9° or more');
    expect(text()).toContain('5.9° grazes');
    expect(text()).toContain('Flat paint in grazing light needs Level 5');
    button(page(), 'Add a lamp').click();
    await settle();
    expect(room().lamps).toHaveLength(1);
  });

  it('says what one grade up or down changes', async () => {
    await show(CoatsPage);
    await until(() => text().includes('Level 5'));
    await fixture.whenStable();
    expect(words(page().querySelector('ls-grade-steps')!)).toMatch(
      /Level 3 −\u2060?3.8 L.*Level 5 \+\u2060?1 coat.*\+\u2060?€/,
    );
  });

  it('is set aside with a reason, kept with the job, and taken up again', async () => {
    await show(CoatsPage, sampleJob({ rooms: [{ ...sampleJob().rooms[0]!, decoration: 'gloss' }] }));
    page().querySelector<HTMLButtonElement>('[aria-label^="Set aside A-LEVEL"]')!.click();
    await fixture.whenStable();
    const why = page().querySelector<HTMLInputElement>('[aria-label="Why set it aside?"]')!;
    why.value = 'The owner wants it so';
    button(page(), 'Set aside').click();
    await settle();
    expect(job().setAside).toMatchObject([{ reason: 'The owner wants it so' }]);
    expect(text()).toContain('Set aside (1)');
    page().querySelector<HTMLButtonElement>('ls-set-aside button')!.click();
    await settle();
    expect(job()).not.toHaveProperty('setAside');
    expect(page().querySelector('[aria-label^="Set aside A-LEVEL"]')).toBeTruthy();
  });
});

describe('ways, compounds and tools', () => {
  it('keeps a way under a name, and knows it again', async () => {
    await show(WayPage);
    await choose('Joint tape', 'mat');
    const name = page().querySelector<HTMLInputElement>('form input')!;
    name.value = 'My mat way';
    name.dispatchEvent(new Event('input'));
    button(page(), 'Save').click();
    await settle();
    expect(job().shop?.ways).toMatchObject([{ name: 'My mat way', way: { tape: 'mat' } }]);
    expect(text()).toContain('Saved by you.');
    button(page(), 'Delete this method').click();
    await settle();
    expect(job().shop?.ways).toEqual([]);
  });

  it('holds two ways against each other on this job', async () => {
    await show(WayPage);
    await until(() => page().querySelectorAll('ls-compare-ways tbody tr').length === 10);
    await fixture.whenStable();
    expect(words(page().querySelector('ls-compare-ways')!)).toContain('tape 58.8 m 58.8 m');
    button(page(), 'Use method B').click();
    await settle();
    expect(job().way.tools).toBe('machine');
  });

  it('prices both sides of what schools differ on', async () => {
    await show(WayPage);
    await until(() => page().querySelectorAll('.dispute').length === 8);
    expect(words(page().querySelector('ls-schools')!)).toContain('Can lightweight compound bed tape?');
  });

  it('takes a product of the user, which then stands in its class', async () => {
    await show(CompoundsPage);
    button(page(), 'Add a product').click();
    await settle();
    await type('Shrinks', '25');
    await type('Yields', '900000');
    expect(text()).toContain('from 0.1 to 1000');
    expect(job().shop?.products).toMatchObject([
      { compound: 'drying-all-purpose', shrink: 0.25, inUse: true },
    ]);
    expect(TestBed.inject(ViewStore).book().compounds['drying-all-purpose'].shrink).toBe(0.25);
    button(page(), 'Add a product').click();
    await settle();
    expect(job().shop?.products?.map((p) => p.inUse)).toEqual([false, true]);
  });

  it('records peel tests and says when there are too few', async () => {
    await show(CompoundsPage);
    await type('Torn', '60');
    await type('Peeled clean', '20');
    button(page(), 'Record').click();
    await settle();
    expect(text()).toContain('75% torn in 1 test, ± 0; too few to rely on');
    await type('Torn', '');
    await type('Peeled clean', '');
    button(page(), 'Record').click();
    await fixture.whenStable();
    expect(text()).toContain('Enter at least one');
    expect(job().shop?.peels).toHaveLength(1);
  });

  it('takes a figure of the user and gives the typical one back', async () => {
    await show(CompoundsPage);
    await type('mud per fastener, per coat', '1');
    expect(job().shop?.figures).toEqual({ headL: 0.001 });
    expect(text()).toContain('1 of yours');
    await type('mud per fastener, per coat', '');
    expect(job()).not.toHaveProperty('shop');
  });

  it('shows and takes figures as one counts in the job, and says what each rests on', async () => {
    await show(CompoundsPage, sampleJob({ units: 'feet' }));
    const row = (label: string) =>
      [...page().querySelectorAll('.figure-row')].find((one) => words(one).startsWith(label))!;
    const typical = (label: string) => row(label).querySelector('input')!.placeholder;
    // 40 m an hour, 406 mm and 45 mL a metre in the feet, inches and quarts of the trade.
    expect(words(row('taping flats by hand'))).toContain('ft per hour');
    expect(typical('taping flats by hand')).toBe('131');
    expect(words(row('screw spacing on walls'))).toContain('typical, a published trade guide');
    expect(typical('screw spacing on walls')).toBe('16');
    expect(typical('mud to tape an angle')).toBe('1.45');
    expect(words(row('mud to tape an angle'))).toContain('qt per 100 ft');
    await type('taping flats by hand', '100');
    expect(job().shop?.figures?.['paceTapeFlat']).toBeCloseTo(30.48, 2);
    expect(row('taping flats by hand').querySelector('input')!.value).toBe('100');
  });

  it('lists the widths of the tools the job is worked with, and what was set of others', async () => {
    await show(CompoundsPage);
    expect(text()).toContain('butts, finish coat, knives: coat width');
    expect(text()).not.toContain('trowels');
    TestBed.inject(JobStore).edit('undo.change-band', (draft) => {
      draft.shop = { figures: { 'band-flats-fill-knives': 180 } };
      draft.way = { ...draft.way, tools: 'trowels' };
    });
    await settle();
    expect(text()).toContain('butts, finish coat, trowels: coat width');
    expect(text()).toContain('flats, fill coat, knives: coat width');
    expect(text()).not.toContain('butts, fill coat, knives: coat width');
  });

  it('counts in the money told, and buys no heavier than one carries', async () => {
    await show(CompoundsPage);
    await type('Currency', 'kr ');
    button(page(), 'Weights, packages and prices').click();
    await until(() => text().includes('kr 17'));
    await type('Avoid packages over this weight', '20');
    expect(job().shop).toEqual({ money: 'kr', liftKg: 20 });
    await type('Avoid packages over this weight', '');
    await type('Currency', '');
    expect(job()).not.toHaveProperty('shop');
  });

  it('plans with the tools that are owned', async () => {
    await show(ToolsPage);
    [...page().querySelectorAll<HTMLElement>('.tool')]
      .find((t) => t.textContent.includes('300 mm taping knife'))!
      .querySelector('input')!
      .click();
    await settle();
    expect(job().shop?.kit).not.toContain('knife-300');
    const flats = TestBed.inject(ViewStore).roomPlan()!.areas[0]!.rows[0]!.cells.at(-1)!;
    // 300 mm is left with the 250 mm knife in two lanes and one down the middle.
    expect([flats.bandMm, flats.bladeMm, flats.pulls.length]).toEqual([300, 150, 3]);
    button(page(), 'Reset to typical').click();
    await settle();
    expect(job().shop).not.toHaveProperty('kit');
  });
});

describe('the agreement', () => {
  it('says what each room includes and does not promise, and takes what is filled in', async () => {
    await show(AgreementPage);
    expect(text()).toContain('Level 4: two coats over the tape');
    expect(text()).toContain('An even sheen. Gloss, deep color or grazing light will show');
    await type('Owner', 'R. Ashdown');
    expect(words(page().querySelector('.paper')!)).toContain('Owner R. Ashdown');
  });

  it('is set as a PDF with every word of the page', async () => {
    const opened = sampleJob({ rooms: [{ ...sampleJob().rooms[0]!, decoration: 'skip-trowel' }] });
    await show(AgreementPage, opened);
    const paper = agreementFor(opened, plan(opened).rooms, undefined, said, US, TYPICAL);
    const set = JSON.stringify(definitionOf(paper, 'a4').content);
    const { rooms, sections, samples, parties } = paper;
    for (const told of [
      paper.intro,
      paper.foot,
      ...parties.map((p) => p.value),
      ...rooms.flatMap((r) => [r.name, ...r.parts.flatMap((p) => [p.grade, ...p.lines.map((l) => l.text)])]),
      ...samples.map((s) => s.words),
      ...sections.flatMap((s) => [s.title, ...s.items]),
    ])
      expect(set).toContain(JSON.stringify(told).slice(1, -1));
  });
});
