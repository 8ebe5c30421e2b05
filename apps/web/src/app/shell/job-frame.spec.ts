import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { Router } from '@angular/router';
import { openJob, sampleJob, setUp, until, words, named } from '../../testing/app';
import type { LisseDb } from '../storage/db';
import { Examples } from '../storage/examples';
import { JobFiles } from '../storage/job-files';
import { JobStorage } from '../storage/job-storage';
import { JobStore } from '../state/job.store';
import { ViewStore } from '../state/view.store';
import { JobFrame } from './job-frame';

let db: LisseDb;
let fixture: ComponentFixture<JobFrame>;
const page = () => fixture.nativeElement as HTMLElement;
const press = (key: string, more: KeyboardEventInit = {}, target: EventTarget = document) =>
  target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, ...more }));

async function show(id = 'sample') {
  db = setUp();
  await openJob();
  fixture = TestBed.createComponent(JobFrame);
  fixture.componentRef.setInput('id', id);
  await fixture.whenStable();
}
afterEach(async () => {
  document.documentElement.removeAttribute('data-theme');
  localStorage.clear();
  await db.delete();
});

describe('the frame', () => {
  it('shows the rail, the name and that all is saved', async () => {
    await show();
    expect(words(page())).toContain('Rooms Finish Section Order Days');
    expect(page().querySelector<HTMLInputElement>('[aria-label="Job name"]')!.value).toBe('Sample job');
    expect(words(page())).toContain('saved');
  });

  it('says when there is no such job', async () => {
    await show('nowhere');
    await until(() => words(page()).includes('This job is not in this browser'));
  });

  it('puts the example there first that an address asks for', async () => {
    const seed = jest.fn(async () => {
      await TestBed.inject(JobStorage).add(sampleJob({ id: 'pier-house', name: 'The example' }));
    });
    db = setUp([{ provide: Examples, useValue: { seed } }]);
    fixture = TestBed.createComponent(JobFrame);
    fixture.componentRef.setInput('id', 'pier-house');
    await fixture.whenStable();
    await until(
      () => page().querySelector<HTMLInputElement>('[aria-label="Job name"]')?.value === 'The example',
    );
    expect(seed).toHaveBeenCalledTimes(1);
  });

  it('says when a write failed, and offers the way out', async () => {
    await show();
    jest
      .spyOn(TestBed.inject(JobStorage), 'commit')
      .mockRejectedValue(new DOMException('full', 'QuotaExceededError'));
    const out = jest.spyOn(TestBed.inject(JobFiles), 'exportJob').mockResolvedValue(undefined);
    TestBed.inject(JobStore).edit(named('x'), (job) => void (job.name = 'Not kept'));
    await until(() => words(page()).includes('out of storage'));
    expect(words(page())).toContain('not saved');
    [...page().querySelectorAll('button')].find((b) => b.textContent.includes('Export the job'))!.click();
    await until(() => out.mock.calls.length === 1);
    expect(out.mock.calls[0]?.[0].name).toBe('Not kept');
  });
});

describe('the top bar', () => {
  it('renames the job, but never to nothing', async () => {
    await show();
    const name = page().querySelector<HTMLInputElement>('[aria-label="Job name"]')!;
    name.value = '  Annex ';
    name.dispatchEvent(new Event('change'));
    await TestBed.inject(JobStore).settled();
    expect(TestBed.inject(JobStore).job()?.name).toBe('Annex');
    name.value = ' ';
    name.dispatchEvent(new Event('change'));
    expect(name.value).toBe('Annex');
  });

  it('turns units and theme', async () => {
    await show();
    page().querySelector<HTMLButtonElement>('[aria-label="Units: millimeters"]')!.click();
    await TestBed.inject(JobStore).settled();
    expect(TestBed.inject(JobStore).job()?.units).toBe('feet');
    page().querySelector<HTMLButtonElement>('[aria-pressed]')!.click();
    await until(() => document.documentElement.getAttribute('data-theme') === 'site');
    expect(localStorage.getItem('lisse theme')).toBe('site');
  });
});

describe('the keyboard', () => {
  it('undoes and redoes, also out of a field', async () => {
    await show();
    const store = TestBed.inject(JobStore);
    store.edit(named('Rename'), (job) => void (job.name = 'B'));
    press('z', { ctrlKey: true }, page().querySelector('[aria-label="Job name"]')!);
    await store.settled();
    expect(store.job()?.name).toBe('Sample job');
    press('z', { ctrlKey: true, shiftKey: true });
    await store.settled();
    expect(store.job()?.name).toBe('B');
  });

  it('goes to places by number, but not while one types', async () => {
    await show();
    const go = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
    press('3');
    expect(go).toHaveBeenCalledWith(['/job', 'sample', 'section']);
    press('2', {}, page().querySelector('[aria-label="Job name"]')!);
    expect(go).toHaveBeenCalledTimes(1);
  });

  it('finds a room or a deed by a few letters', async () => {
    db = setUp();
    const job = sampleJob();
    await openJob({ ...job, rooms: [job.rooms[0]!, { ...job.rooms[0]!, id: 'attic', name: 'Attic' }] });
    fixture = TestBed.createComponent(JobFrame);
    fixture.componentRef.setInput('id', 'sample');
    await fixture.whenStable();
    jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
    press('k', { ctrlKey: true });
    await until(
      () => document.querySelector('[aria-label="Search or run a command"][role=combobox]') !== null,
    );
    const box = document.querySelector<HTMLInputElement>(
      '[aria-label="Search or run a command"][role=combobox]',
    )!;
    expect(document.querySelectorAll('#deeds [role=option]').length).toBeGreaterThan(8);
    box.value = 'peel';
    box.dispatchEvent(new Event('input'));
    await until(() => words(document.querySelector('#deeds')!).includes('Compounds page of Finish'));
    box.value = 'att';
    box.dispatchEvent(new Event('input'));
    await until(() => document.querySelectorAll('#deeds [role=option]').length === 1);
    press('Enter', {}, box);
    await until(() => TestBed.inject(ViewStore).room()?.id === 'attic');
    await until(() => document.querySelector('#deeds') === null);
  });

  it('lists its keys', async () => {
    await show();
    press('?');
    await until(() => words(document.body).includes('from joint to joint'));
  });
});
