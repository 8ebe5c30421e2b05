import * as fc from 'fast-check';
import { createHash } from 'node:crypto';
import { demoJob, jobOf, plainRoom } from '../testing/samples';
import { trials } from '../testing/trials';
import { agreedOf } from '../bid';
import { plan } from '../plan';
import { mergeJobs } from './merge';
import { besideId, brokenSeals, canonical, isAgreedWhole, isWhole, sealOfSigned, shortSeal } from './seal';
import type { LogEntry } from './types';

const signed: LogEntry = {
  id: '01AA',
  at: '2026-12-10T15:00:00+01:00',
  by: 'M. Hale',
  device: 'phone',
  kind: 'signed',
  round: 'r',
  strokes: [[0.1, 0.2, 0.3, 0.4]],
};
const sealed = { ...signed, seal: sealOfSigned(signed) };

it('a value is one text, whatever order its fields came in', () => {
  expect(canonical({ b: 1, a: [true, null, { d: 'x', c: undefined }] })).toBe(
    '{"a":[true,null,{"d":"x"}],"b":1}',
  );
  expect(canonical({ a: 1, b: 2 })).toBe(canonical({ b: 2, a: 1 }));
});

it('a seal is the SHA-256 anybody else reckons from the same text', () => {
  const text = '{"by":"M. Hale","round":"r","strokes":[[0.1,0.2,0.3,0.4]]}';
  expect(sealed.seal).toBe(createHash('sha256').update(text).digest('hex'));
  expect(shortSeal('3f9a12c4' + '0'.repeat(56))).toBe('3f9a 12c4');
});

it.each([
  ['who signed', { by: 'Somebody' }, false],
  ['the round', { round: 'other' }, false],
  ['the name as it was drawn', { strokes: [[0.1, 0.2, 0.3, 0.5]] }, false],
  ['the seal', { seal: '0'.repeat(64) }, false],
  // What is told of it later is not what was signed.
  ['when, for the clock was wrong', { at: '2026-12-10T14:00:00+01:00' }, true],
  ['nothing', {}, true],
])('a sign-off in which %s was changed: whole %s', (_, change, whole) => {
  expect(isWhole({ ...sealed, ...change })).toBe(whole);
});

it('is said of a file, with who signed, and of the bid that was agreed', () => {
  const job = jobOf([plainRoom()]);
  const { bid } = plan(job);
  const agreed = agreedOf(bid, job.rooms, '2026-12-01T10:00');
  expect(isAgreedWhole(agreed)).toBe(true);
  expect(brokenSeals({ agreed, log: [sealed, signed] })).toEqual([]);
  const cheaper = { ...agreed, total: agreed.total - 100 };
  const told = brokenSeals({ agreed: cheaper, log: [signed, { ...sealed, by: 'Somebody' }] });
  expect(told.map(({ path, message }) => `${path} ${message.key}`)).toEqual([
    'log[1] seal.signed',
    'agreed seal.agreed',
  ]);
});

it('an agreed bid is changed by no file in silence, nor taken in parts', () => {
  const job = demoJob('pier-house');
  const agreed = agreedOf(plan(job).bid, job.rooms, '2026-12-01T10:00');
  const [here, theirs] = [
    { ...job, agreed },
    { ...job, agreed: { ...agreed, total: 1 } },
  ];
  const met = mergeJobs(here, here, theirs);
  expect(met.job.agreed).toEqual(agreed);
  expect(met.clashes.map(({ path }) => path)).toEqual([['agreed']]);
  expect(mergeJobs(here, here, job).clashes).toHaveLength(1);
  // Agreed on one side only, nothing is asked.
  expect(mergeJobs(job, job, here)).toMatchObject({ job: { agreed }, clashes: [] });
  expect(mergeJobs(job, here, job)).toMatchObject({ job: { agreed }, clashes: [] });
});

it('another text under an id is kept under one that every device makes the same', () => {
  const id = besideId({ ...signed, by: 'Other' });
  expect(id).toBe(besideId({ ...signed, by: 'Other' }));
  expect(id).toMatch(/^01AA\.[0-9a-f]{16}$/);
  expect(id).not.toBe(besideId(signed));
});

it('any letter changed in a file between what is signed and its seal is found', () => {
  const text = JSON.stringify(sealed);
  const kept = ({ by, round, strokes, seal }: LogEntry): string => canonical([by, round, strokes, seal]);
  fc.assert(
    fc.property(fc.nat(text.length - 1), fc.constantFrom(...'0123456789abcxyz.-,'), (place, letter) => {
      let read: LogEntry;
      try {
        read = JSON.parse(text.slice(0, place) + letter + text.slice(place + 1)) as LogEntry;
      } catch {
        return; // The door has said it before.
      }
      expect(isWhole(read)).toBe(read.seal === undefined ? undefined : kept(read) === kept(sealed));
    }),
    { numRuns: trials(300) },
  );
});
