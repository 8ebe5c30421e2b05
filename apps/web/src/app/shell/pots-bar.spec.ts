import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { Router } from '@angular/router';
import { Component } from '@angular/core';
import { button, built, openJob, sampleJob, setUp, until, words } from '../../testing/app';
import { Awake } from '../devices/awake';
import { Bell } from '../devices/bell';
import { WHAT_TIME } from '../what-time';
import { LogStore } from '../state/log.store';
import { PotsStore } from '../state/pots.store';
import type { LisseDb } from '../storage/db';
import { countdown } from '../ui/pot-clock';
import { PotsBar } from './pots-bar';

@Component({ selector: 'ls-nowhere', template: '' })
class Nowhere {}

let now = new Date('2026-11-30T08:00:00Z');
let db: LisseDb;
let fixture: ComponentFixture<PotsBar>;
const page = () => fixture.nativeElement as HTMLElement;
const links = () => [...page().querySelectorAll<HTMLAnchorElement>('a')];

const mix = (litres: number) =>
  TestBed.inject(LogStore).tell('undo.log-mixed', {
    kind: 'mixed',
    room: 'hall',
    step: 'tape',
    compound: 'setting-light',
    amount: litres,
    setMin: 45,
    workMin: 36,
    cleanMin: 45,
    hardMin: 67.5,
  });

async function show(): Promise<void> {
  now = new Date('2026-11-30T08:00:00Z');
  db = setUp([
    { provide: WHAT_TIME, useValue: () => now },
    { provide: Bell, useValue: { ring: () => undefined, notify: () => Promise.resolve() } },
    { provide: Awake, useValue: { want: () => undefined } },
  ]);
  TestBed.inject(Router).resetConfig([{ path: '**', component: Nowhere }]);
  await openJob(sampleJob());
  fixture = TestBed.createComponent(PotsBar);
  await built(fixture);
}
afterEach(async () => {
  fixture.destroy();
  document.documentElement.removeAttribute('data-pots');
  await db.delete();
});

it('is not there without a pot; with pots it leads to their clocks, the soonest in front', async () => {
  await show();
  expect(page().querySelector('section')).toBeNull();
  expect(document.documentElement.hasAttribute('data-pots')).toBe(false);
  await mix(4);
  await until(() => links().length === 1);
  now = new Date(now.getTime() + 10 * 60000);
  await mix(2);
  await until(() => links().length === 2);
  await built(fixture);
  await until(() => words(page()).includes('Hall'));
  expect(links().map((link) => words(link))).toEqual([
    '26:00 left to use it, Hall',
    '36:00 left to use it, Hall',
  ]);
  expect(links()[0]!.getAttribute('href')).toBe('/job/sample/today');
  expect(words(page())).toContain('2 batches');
  expect(document.documentElement.hasAttribute('data-pots')).toBe(true);
});

it('rings where one is, is heard with a press, and stands aside where the clocks are', async () => {
  await show();
  await mix(4);
  await until(() => links().length === 1);
  now = new Date(now.getTime() + 37 * 60000);
  TestBed.inject(PotsStore).look();
  await built(fixture);
  expect(words(page().querySelector('[role=alert]')!)).toContain('The batch is stiffening');
  await TestBed.inject(Router).navigateByUrl('/job/sample/today');
  await built(fixture);
  // What rings is heard there too.
  button(page(), 'Silence').click();
  await until(() => page().querySelector('section') === null);
  await TestBed.inject(Router).navigateByUrl('/job/sample/rooms');
  await until(() => links().length === 1);
});

it('counts down, and up once it has passed', () => {
  expect([0, 59000, 61000, 3725000, -200000].map(countdown)).toEqual([
    '0:00',
    '0:59',
    '1:01',
    '1:02:05',
    '+3:20',
  ]);
});
