import * as fc from 'fast-check';
import { jobOf, plainRoom } from '../testing/samples';
import { conflictText, isSame, mergeJobs, takeTheirs } from './merge';
import type { Job } from './types';

const base: Job = { ...jobOf([plainRoom(), { ...plainRoom(), id: 'nook', name: 'Nook' }]), name: 'Annex' };
const changed = (recipe: (job: Job) => void, of: Job = base): Job => {
  const made = structuredClone(of);
  recipe(made);
  return made;
};

/** Any change that one side may make. */
const edits: Record<string, (job: Job) => void> = {
  name: (job) => (job.name = 'Mill Lane'),
  temperature: (job) => (job.climate.tempC = 12),
  room: (job) => job.rooms.filter(({ id }) => id === 'nook').forEach((room) => (room.name = 'Study')),
  height: (job) => (job.rooms[0]!.plan.heightMm = 2700),
  opening: (job) =>
    job.rooms[0]!.openings.push({
      id: 'door-9',
      wall: 0,
      kind: 'door',
      leftMm: 500,
      bottomMm: 0,
      widthMm: 900,
      heightMm: 2030,
      returns: 'cased',
    }),
  added: (job) => job.rooms.push({ ...plainRoom(), id: 'attic', name: 'Attic' }),
  gone: (job) => (job.rooms = job.rooms.filter(({ id }) => id !== 'nook')),
  place: (job) => (job.place = 'Tarn Ferry'),
};
const anySide = fc.uniqueArray(fc.constantFrom(...Object.keys(edits)), { maxLength: 4 });
const made = (keys: readonly string[]): Job => changed((job) => keys.forEach((key) => edits[key]?.(job)));

it('takes what only one side changed, and is the same from both sides', () => {
  fc.assert(
    fc.property(anySide, anySide, (mine, theirs) => {
      // One side takes the room out that the other works on: asked below.
      fc.pre(!(mine.includes('gone') && theirs.includes('room')));
      fc.pre(!(mine.includes('room') && theirs.includes('gone')));
      const here = mergeJobs(base, made(mine), made(theirs));
      const there = mergeJobs(base, made(theirs), made(mine));
      expect(here.clashes).toEqual([]);
      const both = [...new Set([...mine, ...theirs])];
      const sorted = (job: Job): Job => ({
        ...job,
        rooms: [...job.rooms].sort((a, b) => (a.id < b.id ? -1 : 1)),
      });
      expect(isSame(sorted(here.job), sorted(made(both)))).toBe(true);
      expect(isSame(sorted(here.job), sorted(there.job))).toBe(true);
    }),
  );
});

it('changes nothing when it is done again', () => {
  fc.assert(
    fc.property(anySide, (theirs) => {
      const other = made(theirs);
      const { job } = mergeJobs(base, base, other);
      expect(mergeJobs(base, job, other)).toMatchObject({ took: 0, clashes: [] });
      expect(mergeJobs(other, job, other).took).toBe(0);
    }),
  );
});

it('asks where both sides changed the same thing, and keeps this side until somebody chooses', () => {
  const mine = changed((job) => (job.rooms[1]!.plan.heightMm = 2500));
  const theirs = changed((job) => {
    job.rooms[1]!.plan.heightMm = 2600;
    job.climate.rhPct = 40;
  });
  const { job, took, clashes } = mergeJobs(base, mine, theirs);
  expect([took, job.rooms[1]!.plan.heightMm, job.climate.rhPct]).toEqual([1, 2500, 40]);
  expect(clashes).toMatchObject([{ path: ['rooms', 'nook', 'plan', 'heightMm'], mine: 2500, theirs: 2600 }]);
  expect(conflictText(clashes[0]!, [mine, theirs])).toMatchObject({
    key: 'part.field',
    with: { part: 'Nook', field: { key: 'field.heightMm' } },
  });
  takeTheirs(job, clashes[0]!);
  expect(job.rooms[1]!.plan.heightMm).toBe(2600);
});

it('asks whether a room that one side took out and the other worked on is there', () => {
  const gone = changed(edits['gone']!);
  const worked = changed((job) => (job.rooms[1]!.name = 'Study'));
  const { job, clashes } = mergeJobs(base, gone, worked);
  expect(job.rooms).toHaveLength(1);
  expect(clashes).toMatchObject([{ path: ['rooms', 'nook'], mine: undefined, theirs: { name: 'Study' } }]);
  takeTheirs(job, clashes[0]!);
  expect(job.rooms.map(({ name }) => name)).toEqual([base.rooms[0]!.name, 'Study']);
  const other = mergeJobs(base, worked, gone);
  takeTheirs(other.job, other.clashes[0]!);
  expect(other.job.rooms).toHaveLength(1);
});

it('loses nothing where it is not known what both had last', () => {
  const mine = changed((job) => edits['added']!(job));
  const theirs = changed((job) => {
    edits['gone']!(job);
    job.name = 'Mill Lane';
  });
  const { job, clashes } = mergeJobs(undefined, mine, theirs);
  expect(job.rooms.map(({ id }) => id).sort()).toEqual(['attic', 'nook', base.rooms[0]!.id].sort());
  expect(clashes.map(({ path }) => path.join())).toEqual(['name']);
});
