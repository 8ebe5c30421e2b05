import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { Router } from '@angular/router';
import type { Cutting, Opening, ToCut } from '@lisse/core';
import { built, button, openJob, sampleJob, setUp, until, words } from '../../testing/app';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import { CutsClient } from '../worker/cuts-client';
import { LogStore } from '../state/log.store';
import { CuttingPage } from './cutting-page';

let fixture: ComponentFixture<CuttingPage>;
const page = (): HTMLElement => fixture.nativeElement as HTMLElement;
const line = () => TestBed.inject(PlanStore).plan()!.order.beads[0]!;

async function show(best: (toCut: ToCut) => Cutting | undefined = () => undefined, doors = 1) {
  setUp([{ provide: CutsClient, useValue: { best: (toCut: ToCut) => Promise.resolve(best(toCut)) } }]);
  const [room] = sampleJob().rooms;
  const openings = Array.from({ length: doors }, (_, n): Opening => ({
    id: `door-${n}`,
    wall: n % 4,
    kind: 'opening',
    leftMm: 300 + 1100 * Math.floor(n / 4),
    bottomMm: 0,
    widthMm: 900 + 10 * n,
    heightMm: 1900 + 40 * n,
    returns: 'boarded',
  }));
  await openJob(sampleJob({ rooms: [{ ...room!, openings }] }));
  fixture = TestBed.createComponent(CuttingPage);
  await built(fixture);
}

it('draws every stick with its numbered pieces, and says where each goes', async () => {
  await show();
  const pieces = [...page().querySelectorAll<HTMLButtonElement>('ls-cut-bench .piece')];
  expect(pieces.map((one) => one.querySelector('b')!.textContent).sort()).toEqual(['1', '2', '3']);
  expect(words(page())).toContain('no way of cutting buys less');
  pieces[0]!.click();
  await built(fixture);
  expect(words(page().querySelector('.picked')!)).toMatch(/^Piece \d, 1,888 mm: Hall, Outside corner/);
  const go = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
  button(page(), 'Show the corner').click();
  expect(go).toHaveBeenCalledWith(['/job', 'sample', 'rooms']);
  expect(
    line()
      .cuts.flatMap((stick) => stick.pieces)
      .map(({ joint }) => joint),
  ).toContain(TestBed.inject(ViewStore).jointId());
});

it('cuts from what is on hand first, until it is taken off the rack', async () => {
  await show();
  const before = line().boughtMm;
  button(page(), 'Add to stock').click();
  await until(() => line().boughtMm < before);
  await built(fixture);
  expect(words(page().querySelector('ls-cut-bench')!)).toContain('on hand');
  button(page(), 'Add to stock').click();
  await until(() => TestBed.inject(JobStore).job()!.shop?.sticks?.[0]?.count === 2);
  await built(fixture);
  page().querySelector<HTMLButtonElement>('[aria-label$="from stock"]')!.click();
  await until(() => line().boughtMm === before);
  expect(TestBed.inject(JobStore).job()!.shop).not.toHaveProperty('sticks');
});

it('takes a better way to cut where one is found, and asks for each only once', async () => {
  const asked: ToCut[] = [];
  await show((toCut) => {
    asked.push(toCut);
    return undefined;
  }, 10);
  // Thirty pieces of twenty lengths are not proved at once.
  await until(() => asked.length === 1);
  expect(asked[0]!.piecesMm).toHaveLength(30);
  expect(words(page())).toContain('no plan can buy more than');
  TestBed.inject(JobStore).edit('undo.change-set-time', ({ way }) => (way.setMin = 60));
  await until(() => TestBed.inject(PlanStore).planned()?.way.setMin === 60);
  expect(asked).toHaveLength(1);
});

it('ticks a piece off as cut, and takes that back', async () => {
  await show();
  page().querySelector<HTMLButtonElement>('ls-cut-bench .piece')!.click();
  await built(fixture);
  const tick = () => button(page(), 'Cut');
  expect(tick().getAttribute('aria-pressed')).toBe('false');
  tick().click();
  await until(() => TestBed.inject(LogStore).entries().length === 1);
  await built(fixture);
  expect(tick().getAttribute('aria-pressed')).toBe('true');
  expect(words(page())).toContain('1 of 3 lengths cut');
  expect(page().querySelectorAll('ls-cut-bench .piece.cut')).toHaveLength(1);
  tick().click();
  await until(() => TestBed.inject(LogStore).entries().length === 2);
  await built(fixture);
  expect(page().querySelectorAll('ls-cut-bench .piece.cut')).toHaveLength(0);
});

it('draws the sheets of a room with their pieces, and lists the tape in the order it is hung', async () => {
  await show();
  const room = TestBed.inject(PlanStore).plan()!.rooms[0]!;
  await until(() => page().querySelectorAll('ls-board-sheets .piece').length === room.boards.length);
  const sheets = [...page().querySelectorAll('ls-board-sheets svg[role=img]')];
  expect(sheets).toHaveLength(room.sheets.bought.reduce((sum, { count }) => sum + count, 0));
  expect(sheets[0]!.getAttribute('aria-label')).toMatch(/^Sheet 1: (Ceiling|Wall)/i);
  expect(words(page().querySelector('.tape summary')!)).toMatch(/^\d+ lengths of tape from 1 roll/);
});
