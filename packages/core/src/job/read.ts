import 'reflect-metadata';
import { plainToInstance } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import { JobDoc } from './doc';
import { roomProblems, type Problem } from './problems';
import type { Job } from './types';
import { FORMAT } from './vocabulary';

export type Read = { ok: true; job: Job } | { ok: false; problems: Problem[] };

/** Larger files are refused before they are read, bytes. */
export const MAX_FILE_BYTES = 20 * 1024 * 1024;
const MAX_DEPTH = 40;
const MAX_PROBLEMS = 50;
const FORBIDDEN = new Set(['__proto__', 'constructor', 'prototype']);

const refuse = (message: string, path = 'file'): Read => ({ ok: false, problems: [{ path, message }] });

/**
 * Reads a job file. Nothing is thrown: a bad file gives the list of what is wrong where.
 * Fields this version does not know are kept.
 */
export function readJob(text: string): Read {
  if (text.length > MAX_FILE_BYTES)
    return refuse('The file is larger than 20 MB; a job file is never that large.');
  let value: unknown;
  try {
    value = JSON.parse(text.charCodeAt(0) === 0xfeff ? text.slice(1) : text);
  } catch (error) {
    const told = error instanceof Error ? error.message : '';
    const cut = /^\s*\{[^]*[^}\s]\s*$/.test(text) ? ' It looks cut off.' : '';
    return refuse(`The file is not readable JSON.${cut} (${told.slice(0, 120)})`);
  }
  return checkJob(value);
}

/** Holds any value against the job format; the value itself is returned, not a copy. */
export function checkJob(value: unknown): Read {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    return refuse('A job file holds one object with “format”, “rooms” and the rest; this one does not.');
  }
  const hostile = structureTrouble(value);
  if (hostile) return { ok: false, problems: [hostile] };
  const migrated = migrate(value as Record<string, unknown>);
  if (!migrated.ok) return migrated;
  const problems = flatten(
    validateSync(plainToInstance(JobDoc, migrated.doc), { forbidUnknownValues: true }),
  );
  if (problems.length === 0) {
    const job = migrated.doc as unknown as Job;
    job.rooms.forEach((room, i) => problems.push(...roomProblems(room, `rooms[${i}]`)));
    if (problems.length === 0) return { ok: true, job };
  }
  return { ok: false, problems: problems.slice(0, MAX_PROBLEMS) };
}

/** Writes a job file: UTF-8 JSON with the fields in the order they were read or made. */
export function writeJob(job: Job): string {
  return `${JSON.stringify(job, null, 2)}\n`;
}

type Migrated = { ok: true; doc: Record<string, unknown> } | { ok: false; problems: Problem[] };

/** Older formats are brought up here, one step a version; newer ones are refused by name. */
function migrate(doc: Record<string, unknown>): Migrated {
  const format = doc['format'];
  const version = typeof format === 'string' ? /^lisse-job\/(\d+)$/.exec(format)?.[1] : undefined;
  if (version !== undefined && Number(version) > 1) {
    const message = `The file is “${format as string}”, written by a newer Lisse; this one reads ${FORMAT}.`;
    return { ok: false, problems: [{ path: 'format', message }] };
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
      return { path: at.path.slice(0, 80), message: `is nested more than ${MAX_DEPTH} levels deep` };
    }
    for (const key of Object.keys(at.value)) {
      const path = Array.isArray(at.value)
        ? `${at.path}[${key}]`
        : at.path === ''
          ? key
          : `${at.path}.${key}`;
      if (FORBIDDEN.has(key)) return { path, message: `The name “${key}” is not allowed in a job file.` };
      const child = (at.value as Record<string, unknown>)[key];
      if (typeof child === 'object' && child !== null) open.push({ value: child, path, depth: at.depth + 1 });
    }
  }
  return undefined;
}

function flatten(errors: ValidationError[], parent = ''): Problem[] {
  return errors.flatMap((error) => {
    const index = /^\d+$/.test(error.property);
    const path = index
      ? `${parent}[${error.property}]`
      : parent === ''
        ? error.property
        : `${parent}.${error.property}`;
    const rules = error.constraints ?? {};
    // The wrong kind of thing altogether: what is inside it says nothing more.
    const kind = rules['isArray'] ?? rules['isObject'] ?? rules['nestedValidation'];
    const own = kind ?? Object.values(rules)[0];
    const told =
      own === undefined
        ? []
        : [{ path, message: error.value === undefined ? 'is missing' : shown(own, error.value) }];
    return kind ? told : [...told, ...flatten(error.children ?? [], path)];
  });
}

/** A message with the value in it as the file spells it, cut short; objects are not spelled out. */
function shown(message: string, value: unknown): string {
  const text =
    typeof value === 'object' && value !== null ? 'not that' : (JSON.stringify(value) ?? '').slice(0, 60);
  const spelled = String(value);
  return spelled === '' ? message : message.replace(spelled, text);
}
