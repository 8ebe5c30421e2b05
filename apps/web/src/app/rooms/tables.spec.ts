import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { newRoom } from '@lisse/core';
import { button, openJob, sampleJob, setUp, until, words } from '../../testing/app';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import type { LisseDb } from '../storage/db';
import { CompareBoards } from './compare-boards';
import { RoomFiles } from './room-files';
import { Tables } from './tables';

let db: LisseDb;
const job = () => TestBed.inject(JobStore).job()!;

async function three() {
  const sample = sampleJob();
  for (const [id, lengthMm] of [
    ['nook', 3000],
    ['store', 9000],
  ] as const)
    sample.rooms.push(
      newRoom(id, id === 'nook' ? 'Nook' : 'Store', 'metric', { lengthMm, widthMm: 2500, heightMm: 2400 }),
    );
  db = setUp();
  await openJob(sample);
}
afterEach(() => db.delete());

describe('tables', () => {
  let fixture: ComponentFixture<Tables>;
  const page = () => fixture.nativeElement as HTMLElement;
  const rows = () => [...page().querySelectorAll('tbody tr')].map((row) => words(row).trim());
  const tick = async (i: number) => {
    page().querySelectorAll<HTMLInputElement>('tbody input[type=checkbox]')[i]!.click();
    await fixture.whenStable();
  };
  beforeEach(async () => {
    await three();
    fixture = TestBed.createComponent(Tables);
    await fixture.whenStable();
  });

  it('list rooms, find by a word and sort by a column', async () => {
    expect(rows()).toHaveLength(3);
    expect(rows()[0]).toContain('Hall Level 4 flat paint 57.6 m² 27.6 m 4.8 m 26.4 m');
    const heading = [...page().querySelectorAll('th')].find((th) => words(th).includes('Board'))!;
    heading.click();
    await fixture.whenStable();
    expect(rows().map((row) => row.split(' ')[0])).toEqual(['Nook', 'Hall', 'Store']);
    const find = page().querySelector<HTMLInputElement>('.find input')!;
    find.value = 'sto';
    find.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    expect(rows()).toHaveLength(1);
  });

  it('change several rooms at once, in one undoable step', async () => {
    await tick(0);
    await tick(1);
    expect(words(page())).toContain('2 selected');
    fixture.componentInstance['setFinish']('level 5');
    await TestBed.inject(JobStore).settled();
    expect(job().rooms.map((r) => r.finish.grade)).toEqual([5, 5, 3]);
    await TestBed.inject(JobStore).undo();
    expect(job().rooms.map((r) => r.finish.grade)).toEqual([4, 3, 3]);
    button(page(), 'Delete').click();
    await TestBed.inject(JobStore).settled();
    expect(job().rooms.map((r) => r.id)).toEqual(['store']);
  });

  it('joints picked in the table are picked on the drawing, and measured together', async () => {
    button(page(), 'Joints').click();
    await fixture.whenStable();
    expect(rows().length).toBe(TestBed.inject(ViewStore).roomPlan()!.joints.length);
    await tick(0);
    await tick(1);
    const picked = TestBed.inject(ViewStore).selection();
    expect(picked).toHaveLength(2);
    const gap = page().querySelector<HTMLInputElement>('.bulk ls-joint-measures input')!;
    gap.value = '5';
    gap.dispatchEvent(new Event('input'));
    gap.dispatchEvent(new Event('blur'));
    await TestBed.inject(JobStore).settled();
    expect(Object.values(job().rooms[0]!.joints ?? {}).map((n) => n.gapMm)).toEqual([5, 5]);
    await until(() =>
      TestBed.inject(ViewStore)
        .selection()
        .every((j) => j.gapMm === 5),
    );
    button(page(), 'Clear measurements').click();
    await TestBed.inject(JobStore).settled();
    expect(job().rooms[0]!.joints).toBeUndefined();
  });

  it('sift joints by kind over every room', async () => {
    button(page(), 'Joints').click();
    fixture.componentInstance['all'].set(true);
    fixture.componentInstance['kind'].set('butt');
    await fixture.whenStable();
    const butts = TestBed.inject(PlanStore)
      .plan()!
      .rooms.flatMap((r) => r.joints.filter((j) => j.kind === 'butt'));
    expect(rows()).toHaveLength(butts.length);
  });
});

describe('boards compared', () => {
  it('lays every way, and one press takes one', async () => {
    await three();
    const fixture = TestBed.createComponent(CompareBoards);
    const page = fixture.nativeElement as HTMLElement;
    await until(() => page.querySelectorAll('button[aria-label^=Use]').length === 6);
    const line = (name: string) =>
      words([...page.querySelectorAll('tbody tr')].find((r) => words(r).includes(name))!);
    expect(line('current layout')).toContain('4.8 m 27.6 m');
    // Upright boards of 3000 stand in one piece.
    expect(line('vertical')).toContain('0 m');
    page.querySelector<HTMLButtonElement>('button[aria-label="Use vertical (stand-up)"]')!.click();
    await TestBed.inject(JobStore).settled();
    expect(job().rooms.map((r) => r.board.walls)).toEqual(['upright', 'across', 'across']);
    await until(
      () =>
        words(page).includes('current layout') &&
        page.querySelectorAll('button[aria-label^=Use]').length === 6,
    );
    button(page, 'The whole job').click();
    await until(() => page.querySelectorAll('button[aria-label^=Use]').length === 6);
    page.querySelector<HTMLButtonElement>('button[aria-label="Use vertical (stand-up)"]')!.click();
    await TestBed.inject(JobStore).settled();
    expect(job().rooms.map((r) => r.board.walls)).toEqual(['upright', 'upright', 'upright']);
    await TestBed.inject(JobStore).undo();
    expect(job().rooms[1]!.board.walls).toBe('across');
  });
});

describe('rooms from a file', () => {
  let fixture: ComponentFixture<RoomFiles>;
  const page = () => document.body;
  beforeEach(async () => {
    await three();
    fixture = TestBed.createComponent(RoomFiles);
    await fixture.whenStable();
  });
  const give = async (name: string, text: string) => {
    const file = Object.assign(new File([text], name), { text: () => Promise.resolve(text) });
    const field = { files: [file], value: '' } as unknown as HTMLInputElement;
    await fixture.componentInstance['take'](field);
    await fixture.whenStable();
  };

  it('are shown before they land, with what is wrong in which row', async () => {
    await give('rooms.csv', 'name,length,width,height\nA,4000,3000,2400\nB,x,3000,2400\nC,5000,3000,2400');
    expect(words(page())).toContain('1 thing is wrong');
    expect(words(page())).toContain('Row 3, length: “x” is not a length');
    expect(job().rooms).toHaveLength(3);
    button(page(), 'Add 2 rooms').click();
    await TestBed.inject(JobStore).settled();
    expect(job().rooms.map((r) => r.name)).toEqual(['Hall', 'Nook', 'Store', 'A', 'C']);
    await TestBed.inject(JobStore).undo();
    expect(job().rooms).toHaveLength(3);
  });

  it('a drawing asks for the height and the kind of each layer', async () => {
    const vertex = (x: number, y: number) => `0\nVERTEX\n8\nStore\n10\n${x}\n20\n${y}\n30\n0\n`;
    const ring = [vertex(0, 0), vertex(4000, 0), vertex(4000, 3000), vertex(0, 3000)].join('');
    await give(
      'plan.dxf',
      `0\nSECTION\n2\nENTITIES\n0\nPOLYLINE\n8\nStore\n66\n1\n70\n1\n${ring}0\nSEQEND\n0\nENDSEC\n0\nEOF\n`,
    );
    expect(words(page())).toContain('1 outline, in millimeters');
    expect(words(page())).toContain('Layer Store, 1');
    button(page(), 'Add 1 room').click();
    await TestBed.inject(JobStore).settled();
    expect(job().rooms.at(-1)).toMatchObject({ finish: { grade: 1 }, plan: { heightMm: 2500 } });
  });

  it('a file that is neither changes nothing and says why', async () => {
    await give('plan.dxf', 'not a drawing');
    expect(words(page())).toContain('not an ASCII DXF drawing');
    await give('rooms.csv', '');
    expect(words(page())).toContain('The file is empty.');
    expect(job().rooms).toHaveLength(3);
  });
});
