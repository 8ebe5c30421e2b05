import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { Room } from '@lisse/core';
import { built, button, openJob, sampleJob, setUp, until, words, named } from '../../testing/app';
import type { LisseDb } from '../storage/db';
import { JobStore } from '../state/job.store';
import { ViewStore } from '../state/view.store';
import { RoomsPage } from './rooms-page';

let db: LisseDb;
let fixture: ComponentFixture<RoomsPage>;
const page = () => fixture.nativeElement as HTMLElement;
const store = () => TestBed.inject(JobStore);
const room = (): Room => TestBed.inject(ViewStore).room()!;
const check = (name: string) =>
  [...page().querySelectorAll('label')].find((l) => l.textContent.trim() === name)!.querySelector('input')!;

async function show(change: (room: Room) => void = () => undefined) {
  db = setUp();
  const job = sampleJob();
  change(job.rooms[0]!);
  await openJob(job);
  fixture = TestBed.createComponent(RoomsPage);
  await built(fixture);
}
afterEach(() => db.delete());

async function type(label: string, value: string) {
  const field = [...page().querySelectorAll('ls-room-sheet label')]
    .find((l) => l.textContent.trim() === label)!
    .querySelector('input')!;
  field.dispatchEvent(new Event('focus'));
  field.value = value;
  field.dispatchEvent(new Event('input'));
  field.dispatchEvent(new Event('blur'));
  await store().settled();
  await built(fixture);
}

it('changes a size, and the figures follow', async () => {
  await show();
  await type('Length', '6 m');
  expect(room().plan).toMatchObject({ lengthMm: 6000 });
  await until(() => words(page()).includes('67.2 m²') || words(page()).includes('67.7 m²'));
});

it('renames the room, but never to nothing', async () => {
  await show();
  const name = page().querySelector<HTMLInputElement>('.name input')!;
  name.value = 'Snug';
  name.dispatchEvent(new Event('change'));
  await until(() => room().name === 'Snug');
  await built(fixture);
  name.value = '';
  name.dispatchEvent(new Event('change'));
  expect(name.value).toBe('Snug');
});

it('keeps at least one stock length', async () => {
  await show((r) => (r.board.lengthsMm = [2400, 3000]));
  check('2,400 mm').click();
  await store().settled();
  await built(fixture);
  expect(room().board.lengthsMm).toEqual([3000]);
  expect(check('3,000 mm').disabled).toBe(true);
  check('3,600 mm').click();
  await store().settled();
  expect(room().board.lengthsMm).toEqual([3000, 3600]);
});

it('marks old work, and the stop and the caution appear', async () => {
  await show();
  expect(words(page())).not.toContain('asbestos');
  check('Old texture, compound or paint is disturbed').click();
  await until(() => words(page()).includes('A-OLD'));
  expect(words(page())).toContain('Do not scrape, cut or sand until licensed people have tested it');
  button(page(), 'Tested and found clear').click();
  await until(() => !words(page()).includes('A-OLD'));
});

it('tells a room of many corners by its corners, and changes its height', async () => {
  await show(
    (r) =>
      (r.plan = {
        outline: [
          [0, 0],
          [6000, 0],
          [6000, 2000],
          [3000, 2000],
          [3000, 5000],
          [0, 5000],
        ],
        heightMm: 2400,
      }),
  );
  expect(words(page())).toContain('6 corners');
  await type('Height', '2700');
  expect(room().plan.heightMm).toBe(2700);
});

describe('openings', () => {
  const two = (r: Room) => {
    r.openings = [
      {
        id: 'a',
        wall: 0,
        kind: 'door',
        leftMm: 300,
        bottomMm: 0,
        widthMm: 900,
        heightMm: 2000,
        returns: 'cased',
      },
      {
        id: 'b',
        wall: 0,
        kind: 'window',
        leftMm: 2000,
        bottomMm: 900,
        widthMm: 900,
        heightMm: 900,
        returns: 'boarded',
      },
    ];
  };

  it('are listed with their size, opened, changed and removed', async () => {
    await show(two);
    expect(words(page())).toContain('door, wall 1 900 mm × 2,000 mm');
    const line = [...page().querySelectorAll<HTMLButtonElement>('.line')][1]!;
    line.click();
    await built(fixture);
    expect(line.getAttribute('aria-expanded')).toBe('true');
    const width = [...page().querySelectorAll('ls-openings label')]
      .find((l) => l.textContent.trim() === 'Width')!
      .querySelector('input')!;
    width.dispatchEvent(new Event('focus'));
    width.value = '1.2 m';
    width.dispatchEvent(new Event('input'));
    width.dispatchEvent(new Event('blur'));
    await store().settled();
    expect(room().openings[1]?.widthMm).toBe(1200);
    button(page(), 'Remove').click();
    await store().settled();
    expect(room().openings.map((o) => o.id)).toEqual(['a']);
  });

  it('are put beside what already stands, on the next wall when this one is full', async () => {
    await show(two);
    button(page(), 'Add window').click();
    await store().settled();
    const [first] = room().openings.slice(2);
    expect(first).toMatchObject({ wall: 0, leftMm: 3200 });
    button(page(), 'Add window').click();
    await store().settled();
    expect(room().openings[3]?.wall).toBe(1);
  });

  it('that clash say which', async () => {
    await show(two);
    store().edit(named('Move'), (job) => void (job.rooms[0]!.openings[1]!.leftMm = 500));
    await until(() => words(page()).includes('This window overlaps door 1.'));
  });
});
