import 'reflect-metadata';
import { say, type Message } from '../texts';
import { validateSync, type ValidationError } from 'class-validator';
import { Job } from './document';
import { LogEntry } from './log';
import { Room } from './room';
import { asDoc, rulesOf } from './field';
import { MAX_FILE_BYTES, tooLarge } from './file';
import { MOST } from './limits';
import { mended } from './mend';
import { withOwnIds } from './own-ids';
import { placeInWords } from './places';
import type { Problem } from './problems';
import { isRight } from './right';
import { FORMAT } from './vocabulary';

/** A job with what was changed in reading it, and what was so changed. */
export interface Taken {
  job: Job;
  notes: Problem[];
}

/** A job; or what is wrong with the file, and the job as it would be with that mended, where it can be. */
export type Read = ({ ok: true } & Taken) | { ok: false; problems: Problem[]; mended?: Taken };

const MAX_DEPTH = 40;
const MAX_PROBLEMS = 50;
const FORBIDDEN = new Set(['__proto__', 'constructor', 'prototype']);

const refuse = (message: Message, path = 'file'): Read => ({
  ok: false,
  problems: [{ path, message, whole: true }],
});

/** The text of a file; none where its bytes are not UTF-8. */
function textOf(bytes: ArrayBuffer | Uint8Array): string | undefined {
  try {
    return new TextDecoder('utf-8', { fatal: true, ignoreBOM: true }).decode(bytes);
  } catch {
    return undefined;
  }
}

/** Reads the bytes of a job file, as `readJob` reads its text. */
export function readJobBytes(bytes: ArrayBuffer | Uint8Array): Read {
  if (bytes.byteLength > MAX_FILE_BYTES) return refuse(tooLarge(bytes.byteLength));
  const text = textOf(bytes);
  return text === undefined ? refuse(say('door.utf8')) : readJob(text);
}

/**
 * Reads a job file. Nothing is thrown: a bad file gives the list of what is wrong where.
 * Fields this version does not know are kept.
 */
export function readJob(text: string): Read {
  if (text.length > MAX_FILE_BYTES) return refuse(tooLarge(text.length));
  let value: unknown;
  try {
    value = JSON.parse(text.charCodeAt(0) === 0xfeff ? text.slice(1) : text);
  } catch {
    return refuse(say(/^\s*\{[^]*[^}\s]\s*$/.test(text) ? 'door.cut' : 'door.json'));
  }
  return checkJob(value);
}

/**
 * Holds any value against the job format; the value itself is returned, not a copy, unless ids were renamed.
 * Refused is only what the core cannot read: what does not fit together is advice in the plan.
 */
export function checkJob(value: unknown): Read {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    return refuse(say('door.one-object'));
  }
  const hostile = structureTrouble(value);
  if (hostile) return { ok: false, problems: [hostile] };
  const migrated = migrate(value as Record<string, unknown>);
  if (!migrated.ok) return migrated;
  const problems = checkDoc(migrated.doc);
  if (problems.length === 0) return { ok: true, ...taken(migrated.doc, []) };
  const refused = { ok: false as const, problems: told(migrated.doc, problems) };
  const can = mended(Job, migrated.doc);
  if (!can) return refused;
  const doc = can.value as Record<string, unknown>;
  if (checkDoc(doc).length > 0) return refused;
  return { ...refused, mended: taken(doc, told(migrated.doc, can.notes)) };
}

function taken(doc: Record<string, unknown>, notes: Problem[]): Taken {
  const own = withOwnIds(doc);
  return { job: own.doc as unknown as Job, notes: [...notes, ...told(doc, own.notes)] };
}

const told = (doc: object, problems: readonly Problem[]): Problem[] =>
  problems.slice(0, MAX_PROBLEMS).map((p) => ({ ...p, where: placeInWords(doc, p.path) }));

/**
 * What of an edited job could not be read again. Rooms that are the very objects they were before are not gone
 * through again.
 */
export function troubleAfter(before: Job, after: Job): Problem[] {
  const old = new Set<Room>(before.rooms);
  const { rooms, ...rest } = after;
  const same = (Object.keys(rest) as (keyof typeof rest)[]).every((key) => before[key] === after[key]);
  const problems = same ? [] : check(Job, { ...rest, rooms: [] });
  if (rooms.length > Math.max(MOST.rooms, before.rooms.length))
    problems.push({
      path: 'rooms',
      message: say('door.entries', { most: MOST.rooms, has: rooms.length }),
    });
  rooms.forEach((room, i) => {
    if (!old.has(room)) problems.push(...check(Room, room, `rooms[${i}]`));
  });
  return told(after, problems);
}

/** Holds a document against its rules. Entries of its log that are right are not gone through again one by one. */
function checkDoc(doc: Record<string, unknown>): Problem[] {
  const { log } = doc;
  if (!Array.isArray(log) || log.length > MOST.log) return check(Job, doc);
  const odd: number[] = [];
  for (let i = 0; i < log.length && odd.length < MAX_PROBLEMS; i++)
    if (!isRight(LogEntry, log[i])) odd.push(i);
  const found = check(Job, { ...doc, log: odd.map((i) => log[i] as unknown) });
  // What is odd here and right there is gone through in full.
  if (found.length === 0 && odd.length > 0) return check(Job, doc);
  return found.map((problem) => ({
    ...problem,
    path: problem.path.replace(/^log\[(\d+)\]/, (_, n: string) => `log[${odd[Number(n)]}]`),
  }));
}

const check = (type: new () => object, value: unknown, path = ''): Problem[] =>
  flatten(validateSync(asDoc(type, value) as object, { forbidUnknownValues: true }), path);

type Migrated = { ok: true; doc: Record<string, unknown> } | { ok: false; problems: Problem[] };

/** Older formats are brought up here, one step a version; newer ones are refused by name. */
function migrate(doc: Record<string, unknown>): Migrated {
  const format = doc['format'];
  const version = typeof format === 'string' ? /^lisse-job\/(\d+)$/.exec(format)?.[1] : undefined;
  if (version !== undefined && Number(version) > 1) {
    const message = say('door.newer', { format: format as string, own: FORMAT });
    return { ok: false, problems: [{ path: 'format', message, whole: true }] };
  }
  return { ok: true, doc: withCells(doc) };
}

/** Early files kept two widths by hand, “bands”; they are cells of the coat board like any other now. */
function withCells(doc: Record<string, unknown>): Record<string, unknown> {
  const rooms = doc['rooms'];
  if (!Array.isArray(rooms) || !rooms.some((room) => isBanded(room))) return doc;
  return { ...doc, rooms: rooms.map((room: unknown) => (isBanded(room) ? unbanded(room) : room)) };
}

type Banded = Record<string, unknown> & { bands: { flatMm?: unknown; buttMm?: unknown } };

const isBanded = (room: unknown): room is Banded =>
  typeof room === 'object' && room !== null && typeof (room as Banded).bands === 'object';

function unbanded({ bands, ...room }: Banded): Record<string, unknown> {
  const finish = (mm: unknown) => ({ bandMm: mm });
  const cells = {
    ...(bands?.flatMm === undefined ? {} : { 'flats.finish': finish(bands.flatMm) }),
    ...(bands?.buttMm === undefined ? {} : { 'butts.finish': finish(bands.buttMm) }),
  };
  const own = room['cells'] as object | undefined;
  return { ...room, cells: { ...cells, ...own } };
}

/** Walks without recursion, so that a file nested a thousand deep cannot exhaust the stack. */
function structureTrouble(root: object): Problem | undefined {
  const open: { value: object; path: string; depth: number }[] = [{ value: root, path: '', depth: 0 }];
  for (let at = open.pop(); at; at = open.pop()) {
    if (at.depth > MAX_DEPTH) {
      return { path: at.path.slice(0, 80), message: say('door.deep', { most: MAX_DEPTH }) };
    }
    for (const key of Object.keys(at.value)) {
      const child = (at.value as Record<string, unknown>)[key];
      const goesOn = typeof child === 'object' && child !== null;
      if (!goesOn && !FORBIDDEN.has(key)) continue;
      const path = pathOf(at.path, key, at.value);
      if (FORBIDDEN.has(key)) return { path, message: say('door.name', { name: key }), whole: true };
      if (goesOn) open.push({ value: child, path, depth: at.depth + 1 });
    }
  }
  return undefined;
}

function flatten(errors: ValidationError[], parent = ''): Problem[] {
  return errors.flatMap((error) => {
    const path = pathOf(parent, error.property, error.target);
    // The wrong kind of thing altogether: what is inside it says nothing more.
    if (error.constraints?.['field'] !== undefined)
      return [{ path, message: error.value === undefined ? say('door.missing') : troubleOf(error) }];
    const { nestedValidation, unknownValue } = error.constraints ?? {};
    if (nestedValidation ?? unknownValue) return [{ path, message: say('door.object-needed') }];
    return flatten(error.children ?? [], path);
  });
}

/** What is wrong with a field, by its rule. */
function troubleOf({ target, property, value }: ValidationError): Message {
  const rule = target && rulesOf(target.constructor as new () => object).get(property);
  return rule?.trouble(value, target ?? {}) ?? say('door.wrong');
}

/** The path of a field, of an entry of a list, or of one kept by name. */
function pathOf(parent: string, property: string, owner: object | undefined): string {
  if (Array.isArray(owner) || owner instanceof Map) return `${parent}[${property}]`;
  return parent === '' ? property : `${parent}.${property}`;
}
