import { Component, inject } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { PRESETS } from '@lisse/core';
import { By } from '@angular/platform-browser';
import { openJob, sampleJob, setUp, until, words, said } from '../../testing/app';
import type { LisseDb } from '../storage/db';
import { JobStore } from '../state/job.store';
import { Choice } from '../ui/choice';
import { WayPage } from './way-page';

@Component({ imports: [WayPage], template: `<ls-way-page />` })
class Host {
  protected readonly jobs = inject(JobStore);
}

let db: LisseDb;
let fixture: ComponentFixture<Host>;
const way = () => TestBed.inject(JobStore).job()!.way;
const text = () => words(fixture.nativeElement as HTMLElement);

beforeEach(async () => {
  db = setUp();
  await openJob();
  fixture = TestBed.createComponent(Host);
  await fixture.whenStable();
});
afterEach(() => db.delete());

/** Picks from the list of that label, as its component reports it. */
async function choose(label: string, value: unknown) {
  const found = fixture.debugElement
    .queryAll(By.directive(Choice))
    .map((d) => d.componentInstance as Choice<string>);
  const choice = found.find((c) => said(c.label()) === label)!;
  expect(choice.options().map((o) => o.value)).toContain(value);
  choice.changed.emit(value as string);
  await TestBed.inject(JobStore).settled();
  await fixture.whenStable();
}

it('gives every choice its reason', () => {
  expect(text()).toContain('One pail for everything and easy sanding. Each coat dries overnight.');
  expect(text()).toContain('Strongest, folds into angles. Needs a full bed.');
});

it('takes a preset whole', async () => {
  await choose('Start from', 'trowels-hybrid');
  expect(way()).toEqual(PRESETS.find((p) => p.id === 'trowels-hybrid')!.way);
  expect(text()).toContain('one compound for every coat');
});

it('is an own mix once a choice is changed, and a preset again when it is put back', async () => {
  await choose('Joint tape', 'mat');
  expect(way().tape).toBe('mat');
  await until(() => text().includes('Choices changed by you.'));
  await choose('Joint tape', 'paper');
  expect(text()).not.toContain('Choices changed by you.');
});

it('takes a compound for one coat by hand, and gives it back to the way', async () => {
  await choose('Finish coat', 'drying-topping');
  expect(way().compoundFor).toEqual({ finish: 'drying-topping' });
  await choose('Fill coat', 'hybrid');
  await choose('Finish coat', '');
  expect(way().compoundFor).toEqual({ fill: 'hybrid' });
  await choose('Fill coat', '');
  expect(way()).not.toHaveProperty('compoundFor');
});

it('changes the set time', async () => {
  await choose('Set time on the bag', 45);
  expect(way().setMin).toBe(45);
  expect(sampleJob().way.setMin).not.toBe(45);
});
