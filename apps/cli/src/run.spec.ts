import { spawnSync } from 'node:child_process';
import { readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { Job, Plan } from '@lisse/core';
import { run } from './run';

const root = join(__dirname, '../../..');
const demo = join(root, 'apps/web/public/demo/tarn-ferry.lisse.json');

function call(args: string[], files: Record<string, string | Uint8Array> = {}) {
  const out: string[] = [];
  const err: string[] = [];
  const code = run(args, {
    size: (path) => files[path]?.length ?? statSync(path, { throwIfNoEntry: false })?.size,
    read: (path) => Buffer.from(files[path] ?? readFileSync(path)),
    nowMs: () => Date.parse('2026-12-01T10:00Z'),
    out: (text) => out.push(text),
    err: (text) => err.push(text),
  });
  return { code, out: out.join('\n'), err };
}

it('prints a plan as JSON', () => {
  const { code, out } = call(['plan', demo]);
  const made = JSON.parse(out) as Plan;
  expect(code).toBe(0);
  expect(made.format).toBe('lisse-plan/1');
  expect(made.rooms).toHaveLength(5);
});

it('prints tables for people', () => {
  const { code, out } = call(['plan', demo, '--table']);
  expect(code).toBe(0);
  expect(out).toMatch(/Study nook\s+\d+ sq ft\s+\d+ ft/);
  expect(out).toContain('A-OLD');
  expect(out).toMatch(/Nov 30, 2026 \d+:\d\d AM/);
  expect(out).toMatch(/^Item +To buy +Low +Likely +High +On hand +Bought$/m);
});

it('says what it renamed, and refuses what is not UTF-8', () => {
  const twice = readFileSync(demo, 'utf8').replace('"id": "study-nook"', '"id": "stair-hall"');
  const { code, err } = call(['check', 'twice.json'], { 'twice.json': twice });
  expect([code, err]).toEqual([
    0,
    [expect.stringContaining('note: rooms[2] had the same id as another (“stair-hall”)')],
  ]);
  const bytes = Buffer.from(readFileSync(demo)).fill(0xff, 20, 22);
  expect(call(['check', 'x.json'], { 'x.json': bytes }).err[0]).toContain('not UTF-8 text');
});

it('checks a file and says what is wrong, one line each', () => {
  expect(call(['check', demo])).toMatchObject({
    code: 0,
    out: expect.stringContaining('is a valid job: Tarn Ferry reading room, 5 rooms'),
  });
  const bad = readFileSync(demo, 'utf8')
    .replace('"crew": 2', '"crew": 0')
    .replace('"units": "feet"', '"units": "cubits"');
  const { code, err } = call(['check', 'bad.json'], { 'bad.json': bad });
  expect(code).toBe(1);
  expect(err).toEqual([
    'units: must be one of feet, metric; it is "cubits"',
    'calendar.crew: must be a whole number from 1 to 50 people; it is 0',
  ]);
});

it('refuses files that are not there or not JSON', () => {
  expect(call(['check', 'nowhere.json'])).toMatchObject({
    code: 1,
    err: ['nowhere.json: There is no such file.'],
  });
  expect(call(['plan', 'x'], { x: '{' }).code).toBe(1);
});

it.each([
  [[]],
  [['plan']],
  [['paint', demo]],
  [['plan', demo, '--colour']],
  [['schema', 'house']],
  [['check', demo, demo]],
])('says how it is used for %j', (args) => {
  const { code, err } = call(args);
  expect(code).toBe(2);
  expect(err[0]).toContain('Usage: lisse plan FILE');
});

it('publishes the schemas that lie in docs', () => {
  for (const name of ['job', 'plan']) {
    const { code, out } = call(['schema', name]);
    expect(code).toBe(0);
    expect(JSON.parse(out)).toEqual(
      JSON.parse(readFileSync(join(root, `docs/formats/${name}.schema.json`), 'utf8')),
    );
  }
});

it('leaves out of the plan what cannot have been yet, and says what was changed after it was signed', () => {
  const job = JSON.parse(readFileSync(demo, 'utf8')) as Job;
  const entry = { by: 'Jori', device: 'd', room: 'study-nook', step: 'tape' };
  const done = { ...entry, id: 'a', kind: 'done', at: '2099-03-03T10:00:00Z' };
  const signed = {
    ...entry,
    id: 'b',
    kind: 'signed',
    round: 'r',
    at: '2026-12-01T09:00:00Z',
    seal: '0'.repeat(64),
  };
  const file = JSON.stringify({ ...job, log: [done, signed] });
  const planned = call(['plan', 'ahead.json'], { 'ahead.json': file });
  expect((JSON.parse(planned.out) as Plan).days.finish).toMatch(/^2026/);
  expect(planned.err.join()).toContain('log a');
  const checked = call(['check', 'ahead.json'], { 'ahead.json': file });
  expect(checked.code).toBe(1);
  expect(checked.err).toEqual([expect.stringMatching(/^log\[1\]: The sign-off of Jori on .* was changed/)]);
});

it('runs from the terminal, decorators and all', () => {
  const shell = (...args: string[]) =>
    spawnSync(
      process.execPath,
      [
        join(root, 'node_modules/tsx/dist/cli.mjs'),
        '--tsconfig',
        join(root, 'apps/cli/tsconfig.json'),
        join(root, 'apps/cli/src/main.ts'),
        ...args,
      ],
      { encoding: 'utf8' },
    );
  expect(shell('check', demo).status).toBe(0);
  const bad = shell('check', join(root, 'package.json'));
  expect(bad.status).toBe(1);
  expect(bad.stderr).toContain('format: is missing');
  expect(shell().status).toBe(2);
}, 60000);
