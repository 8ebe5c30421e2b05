import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { SHOTS, type FloorPlan, type Reading, type Shot } from '@lisse/core';
import { button, openJob, setUp, words } from '../../testing/app';
import { OPEN_STREAM } from '../devices/meter';
import type { LisseDb } from '../storage/db';
import { MeasureRoom } from './measure-room';

/** A stream the test sends on. */
class Stream {
  static open: Stream[] = [];
  closed = false;
  onerror: (() => void) | null = null;
  private readonly heard = new Map<string, (event: MessageEvent<string>) => void>();

  constructor(readonly url: string) {
    Stream.open.push(this);
  }

  addEventListener(name: string, told: (event: MessageEvent<string>) => void): void {
    this.heard.set(name, told);
  }

  close(): void {
    this.closed = true;
  }

  send(shot: Shot, mm: number | undefined): void {
    const reading: Reading = { n: 0, shot, mm, simulated: true };
    this.heard.get('reading')?.({ data: JSON.stringify(reading) } as MessageEvent<string>);
  }

  done(): void {
    this.heard.get('done')?.({ data: '{}' } as MessageEvent<string>);
  }
}

let db: LisseDb;
let fixture: ComponentFixture<MeasureRoom>;
let plan: FloorPlan | undefined;
const page = () => fixture.nativeElement as HTMLElement;
const fields = () => [...page().querySelectorAll<HTMLInputElement>('ls-measure input')];
const last = () => Stream.open.at(-1)!;

beforeEach(async () => {
  Stream.open = [];
  plan = undefined;
  db = setUp([{ provide: OPEN_STREAM, useValue: (url: string) => new Stream(url) }]);
  await openJob();
  fixture = TestBed.createComponent(MeasureRoom);
  fixture.componentInstance.planned.subscribe((made) => (plan = made));
  document.body.append(page());
  await fixture.whenStable();
});
afterEach(async () => {
  page().remove();
  await db.delete();
});

const sizes: Record<Shot, number> = {
  'wall-1': 4000,
  'wall-2': 3000,
  'wall-3': 4001,
  'wall-4': 2999,
  'diagonal-1': 5000,
  'diagonal-2': 5001,
  height: 2400,
};

async function listen() {
  button(page(), 'Listen to the meter').click();
  await fixture.whenStable();
}

it('says that it is simulated, listens past the service worker, and fills field after field', async () => {
  expect(words(page())).toContain('The meter is simulated');
  await listen();
  expect(last().url).toContain('ngsw-bypass=true');
  for (const shot of SHOTS) {
    last().send(shot, sizes[shot]);
    await fixture.whenStable();
  }
  last().done();
  await fixture.whenStable();
  expect(fields().map((f) => f.value)).toEqual(
    SHOTS.map((s) => `${String(sizes[s]).replace(/^(\d)(?=\d{3}$)/, '$1,')} mm`),
  );
  expect(plan).toEqual({ lengthMm: 4001, widthMm: 3000, heightMm: 2400 });
  expect(words(page())).toContain('All measurements received.');
  expect(last().closed).toBe(true);
});

it('waits out a shot that misses', async () => {
  await listen();
  last().send('wall-1', undefined);
  await fixture.whenStable();
  expect(words(page())).toContain('That shot missed');
  last().send('wall-1', 4000);
  await fixture.whenStable();
  expect(fields()[0]!.value).toBe('4,000 mm');
});

it('goes on from the field one takes in hand', async () => {
  await listen();
  last().send('wall-1', 4000);
  await fixture.whenStable();
  fields()[6]!.dispatchEvent(new Event('focus'));
  await fixture.whenStable();
  expect(Stream.open[0]!.closed).toBe(true);
  expect(last().url).toContain('from=height');
});

it('flags readings that do not close, and says how far', async () => {
  await listen();
  for (const shot of SHOTS) last().send(shot, shot === 'wall-3' ? 4060 : sizes[shot]);
  await fixture.whenStable();
  expect(words(page())).toContain('Wall 1 and wall 3 are opposite walls but differ, by 60 mm.');
  expect(page().querySelectorAll('.off').length).toBeGreaterThanOrEqual(2);
});

it('says so when the meter does not answer', async () => {
  await listen();
  last().onerror?.();
  await fixture.whenStable();
  expect(words(page())).toContain('The meter does not answer.');
  expect(button(page(), 'Listen to the meter')).toBeTruthy();
});

it('takes the same from a typed list, and tells a bad line', async () => {
  button(page(), 'Type a list').click();
  await fixture.whenStable();
  const area = page().querySelector('textarea')!;
  const type = async (text: string) => {
    area.value = text;
    area.dispatchEvent(new Event('input'));
    await fixture.whenStable();
  };
  await type('4 m\nlong\n4.001 m\n2999\n5000\n5001\n2400');
  expect(words(page())).toContain('line 2: “long” is not a length');
  await type('4 m\n3000\n4.001 m\n2999\n5000\n5001\n2400');
  expect(plan).toEqual({ lengthMm: 4001, widthMm: 3000, heightMm: 2400 });
  expect(words(page())).toContain('90.0°');
});
