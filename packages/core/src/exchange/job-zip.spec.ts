import { zipSync } from 'fflate';
import { writeJob } from '../job';
import { jobOf, plainRoom } from '../testing/samples';
import { say } from '../texts';
import { isZip, packed, readArchive, withShownPhotos } from './job-zip';

const json = new TextEncoder().encode(
  writeJob({
    ...jobOf([plainRoom()]),
    log: [
      { id: 'e1', at: '2026-12-01T09:00+01:00', by: 'Ansa', device: 'phone', kind: 'photo', photo: 'p1' },
    ],
  }),
);
const photo = new Uint8Array([0xff, 0xd8, 1, 2, 3]);
const read = (bytes: Uint8Array) => readArchive(new Uint8Array(bytes).buffer);
const why = (bytes: Uint8Array): unknown => {
  const made = read(bytes);
  return made.ok ? [] : made.problems.map(({ path, message }) => `${path} ${message.key}`);
};

it('a job and its photos come back as they went, and the same job makes the same file', () => {
  const bytes = packed({ json, photos: new Map([['p1', photo]]) });
  expect(isZip(bytes)).toBe(true);
  const made = read(bytes);
  expect(made.ok && made.job.rooms).toHaveLength(1);
  expect([...(made.photos ?? [])]).toEqual([['p1', photo]]);
  expect(packed({ json, photos: new Map([['p1', photo]]) })).toEqual(bytes);
});

it('reads a plain file as before', () => {
  expect(read(json)).toMatchObject({ ok: true });
  expect(read(json).photos).toBeUndefined();
});

it('passes over what is no picture, and never out of its folder', () => {
  const bytes = zipSync({
    'job.lisse.json': json,
    'photos/p1.jpg': photo,
    'photos/p2.jpg': new TextEncoder().encode('<svg/>'),
    'photos/../../p3.jpg': photo,
    'more/p4.jpg': photo,
  });
  const made = read(bytes);
  expect([...(made.photos?.keys() ?? [])]).toEqual(['p1']);
  expect(made.ok && made.notes.map(({ message }) => message)).toEqual([say('zip.broken', { count: 1 })]);
});

it('leaves out pictures that no entry names or that cannot be shown, and says so', async () => {
  const made = read(
    packed({ json, photos: new Map([...['p1', 'p2', 'p3'].map((id) => [id, photo] as const)]) }),
  );
  expect([...(made.photos?.keys() ?? [])]).toEqual(['p1']);
  const shown = await withShownPhotos(made, () => Promise.resolve(false));
  expect(shown.photos?.size).toBe(0);
  expect(shown.ok && shown.notes.map(({ message }) => message)).toEqual([
    say('zip.unnamed', { count: 2 }),
    say('zip.broken', { count: 1 }),
  ]);
});

it('says what is wrong with an archive', () => {
  expect(why(zipSync({ 'other.json': json }))).toEqual(['file zip.no-job']);
  expect(why(packed({ json, photos: new Map() }).slice(0, 80))).toEqual(['file zip.damaged']);
  expect(why(zipSync({ 'job.lisse.json': new TextEncoder().encode('{') }))).toEqual(['file door.json']);
  const large = new Uint8Array(9 * 1024 * 1024);
  expect(why(zipSync({ 'job.lisse.json': json, 'photos/p1.jpg': large }))).toEqual([
    'photos/p1.jpg zip.photo-large',
  ]);
});

it('unpacks nothing that says to hold more than a job may', () => {
  const bomb = new Uint8Array(41 * 1024 * 1024).fill(32);
  expect(why(zipSync({ 'job.lisse.json': bomb }))).toEqual(['job.lisse.json door.large']);
});
