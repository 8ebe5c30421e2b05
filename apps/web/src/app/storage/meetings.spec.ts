import { TestBed } from '@angular/core/testing';
import { packed, readArchive, sealOfSigned, writeJob, type Job, type LogEntry } from '@lisse/core';
import { openJob, sampleJob, setUp, until } from '../../testing/app';
import { JobStore } from '../state/job.store';
import { LogStore } from '../state/log.store';
import type { LisseDb } from './db';
import { JobFiles, type Imported, type MergeSession } from './job-files';
import { JobStorage } from './job-storage';
import { Meetings } from './meetings';

const dbs: LisseDb[] = [];
afterEach(async () => {
  TestBed.resetTestingModule();
  const opened = dbs.splice(0);
  for (const db of opened) db.close();
  for (const db of opened) await db.delete();
});
const files = () => TestBed.inject(JobFiles);
const storage = () => TestBed.inject(JobStorage);
const store = () => TestBed.inject(JobStore);

/** One of two phones: the stores on its own database. */
async function phone(name: string, job?: Job): Promise<void> {
  await store().settled();
  TestBed.resetTestingModule();
  dbs.push(setUp([], `phone-${name}-${expect.getState().currentTestName?.length}`));
  if (job) await openJob(job);
}
const back = async (name: string): Promise<void> => {
  TestBed.resetTestingModule();
  dbs.push(setUp([], `phone-${name}-${expect.getState().currentTestName?.length}`));
  await store().open('sample');
};
const send = (): Promise<File> => files().fileToSend(store().job()!);
const take = (file: File): Promise<Imported> => files().importFile(file);
const meets = (result: Imported): MergeSession => {
  expect(result.ok).toBe('meets');
  return result as MergeSession;
};
const note = (words: string) => TestBed.inject(LogStore).tell('undo.log-note', { kind: 'note', note: words });
const notes = async (): Promise<(string | undefined)[]> =>
  (await storage().log('sample')).filter(({ kind }) => kind === 'note').map((one) => one.note);
const edit = async (recipe: (job: Job) => void): Promise<void> => {
  store().edit('undo.rename-job', recipe);
  await store().settled();
};

async function start(): Promise<void> {
  dbs.push(setUp([], `phone-a-${expect.getState().currentTestName?.length}`));
  await openJob(sampleJob());
}

it('goes to the second phone and comes back: both logs, both sides’ edits, photos, nothing twice', async () => {
  await start();
  await note('from the first');
  const out = await send();
  await phone('b');
  expect(await take(out)).toMatchObject({ ok: true, id: 'sample' });
  await store().open('sample');
  await note('from the second');
  await TestBed.inject(LogStore).photograph(new Uint8Array([0xff, 0xd8, 7]), { room: 'hall' });
  await edit((job) => (job.rooms[0]!.name = 'Long hall'));
  const returned = await send();
  expect(returned.name).toMatch(/\.zip$/);

  await back('a');
  await note('meanwhile');
  await edit((job) => (job.climate.tempC = 14));
  const meeting = meets(await take(returned));
  expect(meeting.compared).toMatchObject({ took: 1, clashes: [], entries: 2, photos: 1, known: true });
  store().wrote(await files().meet(meeting, new Set()));
  expect(store().job()).toMatchObject({ climate: { tempC: 14 }, rooms: [{ name: 'Long hall' }] });
  expect((await notes()).sort()).toEqual(['from the first', 'from the second', 'meanwhile']);
  expect([...(await storage().photos('sample')).values()]).toEqual([new Uint8Array([0xff, 0xd8, 7])]);
  // The same file again: known, and nothing is written, whatever is pressed.
  const again = meets(await take(returned));
  expect(again.compared).toBeUndefined();
  const { rev } = (await storage().get('sample'))!;
  await files().meet(again, new Set());
  expect((await storage().get('sample'))!.rev).toBe(rev);
  // Undo takes the edits of the other side back, and leaves what happened on site.
  await store().undo();
  expect(store().job()).toMatchObject({ climate: { tempC: 14 }, rooms: [{ name: 'Hall' }] });
  expect(await notes()).toHaveLength(3);
});

it('asks where both changed the same thing, and takes the side that is chosen', async () => {
  await start();
  const out = await send();
  await phone('b');
  await take(out);
  await store().open('sample');
  await edit((job) => {
    job.name = 'Theirs';
    job.climate.rhPct = 60;
  });
  const returned = await send();
  await back('a');
  await edit((job) => {
    job.name = 'Mine';
    job.climate.rhPct = 40;
  });
  const meeting = meets(await take(returned));
  expect(meeting.compared!.clashes.map(({ path }) => path.join('.'))).toEqual(['name', 'climate.rhPct']);
  store().wrote(await files().meet(meeting, new Set(['climate\nrhPct'])));
  expect(store().job()).toMatchObject({ name: 'Mine', climate: { rhPct: 60 } });
  // What was chosen goes back to the other phone without being asked again.
  const third = await send();
  await back('b');
  const last = meets(await take(third));
  expect(last.compared).toMatchObject({ clashes: [], took: 1 });
  store().wrote(await files().meet(last, new Set()));
  expect(store().job()).toMatchObject({ name: 'Mine', climate: { rhPct: 60 } });
});

it('takes the other side whole where nothing was done here, and asks all where nothing is known', async () => {
  await start();
  await edit((job) => (job.name = 'Theirs'));
  await note('there');
  const out = await send();
  // The same job, as both phones came with it.
  await phone('b', sampleJob());
  expect(meets(await take(out)).compared).toMatchObject({ known: true, took: 1, clashes: [], entries: 1 });
  await edit((job) => (job.name = 'Mine'));
  expect(meets(await take(out)).compared).toMatchObject({ known: false, clashes: [{ path: ['name'] }] });
});

it('lets a job be kept apart, and takes a file without a sender as a job of its own', async () => {
  await start();
  const out = await send();
  await phone('b', sampleJob());
  const { coming } = meets(await take(out));
  const apart = await files().takeApart({
    job: { ...coming.job, log: [...coming.log] },
    notes: [],
    photos: coming.photos,
  });
  expect(apart.ok === true && apart.id).not.toBe('sample');
  const plain = new File([writeJob(sampleJob())], 'plain.json');
  expect(await take(plain)).toMatchObject({ ok: true });
  expect((await storage().get('sample'))!.doc).not.toHaveProperty('handed');
  // Said to come from another phone, it is held beside the job; the same file is known again.
  const edited = new File([writeJob({ ...sampleJob(), place: 'Mill Lane' })], 'plain.json');
  const meeting = meets(await files().importFile(edited, true));
  expect(meeting.compared).toMatchObject({ took: 1, clashes: [] });
  await files().meet(meeting, new Set());
  expect((await storage().get('sample'))!.doc.place).toBe('Mill Lane');
  expect(meets(await files().importFile(edited, true)).compared).toBeUndefined();
});

it('writes nothing at all where a part of it cannot be kept', async () => {
  await start();
  const out = await send();
  await phone('b');
  await take(out);
  await store().open('sample');
  await note('from the second');
  const returned = await send();
  await back('a');
  const meeting = meets(await take(returned));
  const broken: MergeSession = {
    ...meeting,
    coming: { ...meeting.coming, job: { ...meeting.coming.job, name: 7 as unknown as string } },
  };
  await expect(files().meet(broken, new Set())).rejects.toThrow();
  expect(await notes()).toEqual([]);
  expect((await TestBed.inject(Meetings).compare(meeting.coming))?.entries).toBe(1);
});

it('a clock set to the past loses nothing', async () => {
  await start();
  const entry = (id: string, at: string): LogEntry => ({
    id,
    at,
    by: '',
    device: 'd',
    kind: 'note',
    note: id,
  });
  await storage().record('sample', 'x', [entry('01ARZ3NDEKTSV4RRFFQ69G5FAV', '1999-01-01T00:00:00Z')]);
  await storage().record('sample', 'x', [entry('01ARZ3NDEKTSV4RRFFQ69G5FAW', '2040-01-01T00:00:00-09:00')]);
  expect(await notes()).toHaveLength(2);
});

it('keeps the text that was here where a file has another under the same id, says so, and takes what is chosen', async () => {
  await start();
  await note('as it was told');
  await TestBed.inject(LogStore).tell('undo.log-note', { kind: 'note', note: 'and more' });
  const sent = JSON.parse((await (await send()).text()).replace('as it was told', 'as somebody else has it'));
  const changed = writeJob({ ...(sent as Job), handed: { id: 'another', knows: [] } });
  const met = meets(await take(new File([changed], 'changed.json')));
  expect(met.compared).toMatchObject({ twoTexts: 1, entries: 0 });
  store().wrote(await files().meet(met, new Set()));
  const logs = TestBed.inject(LogStore);
  await until(() => logs.twoTexts().length === 1);
  const standingNotes = () => logs.pins().notes.map((one) => one.note);
  expect(standingNotes()).toEqual(['as it was told', 'and more']);
  await logs.choose(logs.twoTexts()[0]!, 'other');
  await until(() => logs.twoTexts().length === 0);
  expect(standingNotes().sort()).toEqual(['and more', 'as somebody else has it']);
  await store().undo();
  await until(() => logs.twoTexts().length === 1);
  await logs.choose(logs.twoTexts()[0]!, 'here');
  await until(() => logs.twoTexts().length === 0);
  expect(standingNotes()).toEqual(['as it was told', 'and more']);
});

it('overwrites no picture that is known, and says what was changed after it was signed', async () => {
  await start();
  const logs = TestBed.inject(LogStore);
  const picture = new Uint8Array([0xff, 0xd8, 1, 0xff, 0xd9]);
  await logs.photograph(picture, { room: 'hall' });
  await logs.tell('undo.log-round', { kind: 'round', stage: 'handover' });
  const content = { round: logs.told().at(-1)!.id, strokes: [[0.1, 0.2, 0.3, 0.4]] };
  const seal = sealOfSigned({ by: 'M. Hale', ...content });
  await logs.tellAs('M. Hale', 'undo.log-signed', { kind: 'signed', ...content, seal });
  const read = readArchive(await (await send()).arrayBuffer());
  if (!read.ok) throw new Error('It cannot be read.');
  const { photos = new Map<string, Uint8Array<ArrayBuffer>>() } = read;
  for (const id of photos.keys()) photos.set(id, new Uint8Array([0xff, 0xd8, 2, 0xff, 0xd9]));
  const tampered = writeJob({ ...read.job, handed: { id: 'another', knows: [] } }).replaceAll(
    'M. Hale',
    'Somebody',
  );
  const json = new TextEncoder().encode(tampered);
  const met = meets(await take(new File([packed({ json, photos })], 'changed.zip')));
  expect(met.compared!.changed.map(({ message }) => message.key)).toEqual(['seal.signed']);
  store().wrote(await files().meet(met, new Set()));
  await until(() => logs.twoTexts().length === 1);
  expect(logs.pins().rounds[0]!.signed).toMatchObject({ by: 'M. Hale', whole: true });
  expect([...(await storage().photos('sample')).values()]).toEqual([picture]);
  // Taken where the job was never before, it is there and marked.
  await phone('b');
  const arrived = await take(new File([packed({ json, photos })], 'changed.zip'));
  expect(arrived).toMatchObject({ ok: true, changed: [{ path: 'log[2]' }] });
  await store().open('sample');
  await until(() => TestBed.inject(LogStore).pins().rounds.length === 1);
  expect(TestBed.inject(LogStore).pins().rounds[0]!.signed).toMatchObject({ by: 'Somebody', whole: false });
});
