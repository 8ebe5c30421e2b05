import 'reflect-metadata';
import {
  flatRunMm,
  brokenSeals,
  doubtsOf,
  EN,
  jobSchema,
  localOf,
  METRIC,
  MAX_FILE_BYTES,
  PLAN_SCHEMA,
  plan,
  printArea,
  printHours,
  printRun,
  printVolume,
  readJobBytes,
  roomsNamed,
  Reuse,
  say,
  searchDays,
  solved,
  speech,
  spoken,
  standing,
  suppliedWith,
  tooLarge,
  TYPICAL,
  undoubted,
  US,
  type Job,
  type Message,
  type Plan,
  type PlainKey,
  type Read,
  type Say,
  type OrderItem,
} from '@lisse/core';

export interface Terminal {
  /** Bytes of a file, or none when it is not there. */
  size: (path: string) => number | undefined;
  read: (path: string) => Uint8Array;
  /** ms since 1970. */
  nowMs: () => number;
  out: (text: string) => void;
  err: (text: string) => void;
}

/** What is said of a file, for the terminal speaks one language. */
const plain = speech(EN, METRIC);

/** Exit codes: the file is good, the file is wrong, the call is wrong. */
const GOOD = 0;
const WRONG_FILE = 1;
const WRONG_CALL = 2;

/** Runs one call of the terminal command and returns its exit code. */
export function run(args: readonly string[], terminal: Terminal): number {
  const [command, ...rest] = args;
  const flags = rest.filter((arg) => arg.startsWith('--'));
  const [target, ...extra] = rest.filter((arg) => !arg.startsWith('--'));
  const table = command === 'plan' && flags.length === 1 && flags[0] === '--table';
  if (!target || extra.length > 0 || (flags.length > 0 && !table)) return usage(terminal);
  switch (command) {
    case 'plan':
    case 'check': {
      const read = open(target, terminal);
      if (!read.ok) {
        for (const { path, message } of read.problems) terminal.err(`${path}: ${plain(message)}`);
        return WRONG_FILE;
      }
      for (const { path, message } of read.notes)
        terminal.err(plain(say('terminal.note', { path, message })));
      if (command === 'check') {
        const broken = brokenSeals(read.job);
        for (const { path, message } of broken) terminal.err(`${path}: ${plain(message)}`);
        if (broken.length > 0) return WRONG_FILE;
        const { name, rooms } = read.job;
        terminal.out(plain(say('terminal.sound', { file: target, job: name, rooms: rooms.length })));
      } else {
        const told = speech(EN, { system: read.job.units, locale: US });
        const made = bestPlan(read.job, terminal);
        terminal.out(table ? tables(read.job, made, told) : JSON.stringify(spoken(made, told), null, 2));
      }
      return GOOD;
    }
    case 'schema':
      if (target !== 'job' && target !== 'plan') return usage(terminal);
      terminal.out(JSON.stringify(target === 'job' ? jobSchema(plain) : PLAN_SCHEMA, null, 2));
      return GOOD;
    default:
      return usage(terminal);
  }
}

/** The plan with its days searched, as of the last that was told of the site; what cannot have been yet is left out, and said. */
function bestPlan(job: Job, { nowMs, err }: Terminal): Plan {
  const told = job.log ?? [];
  const doubts = doubtsOf(told, { nowMs: nowMs(), startDate: job.calendar.startDate });
  for (const { entry } of doubts)
    err(
      plain(
        say('terminal.note', { path: `log ${entry.id}`, message: say('doubt.left-out', { at: entry.at }) }),
      ),
    );
  const log = undoubted(told, doubts);
  const now = standing(log).map(localOf).at(-1);
  const site = { log, ...(now === undefined ? {} : { now }) };
  const reuse = new Reuse();
  const { rooms } = plan(job, TYPICAL, reuse, { site });
  const { run: found, proved } = solved(searchDays(job, rooms, suppliedWith(TYPICAL, job), site));
  return plan(job, TYPICAL, reuse, { site, days: { run: found, proved } });
}

function usage({ err }: Terminal): number {
  err(plain(say('terminal.use')));
  return WRONG_CALL;
}

function open(path: string, { size, read }: Terminal): Read {
  const bytes = size(path);
  const refuse = (message: Message): Read => ({ ok: false, problems: [{ path, message }] });
  if (bytes === undefined) return refuse(say('file.none'));
  if (bytes > MAX_FILE_BYTES) return refuse(tooLarge(bytes));
  return readJobBytes(read(path));
}

/** Columns padded to their widest entry; numbers are text already. */
function columns(rows: string[][]): string {
  const widths = (rows[0] ?? []).map((_, i) => Math.max(...rows.map((row) => (row[i] ?? '').length)));
  return rows
    .map((row) =>
      row
        .map((text, i) => text.padEnd(widths[i] ?? 0))
        .join('  ')
        .trimEnd(),
    )
    .join('\n');
}

function tables(job: Job, made: Plan, told: Say): string {
  const notation = { system: job.units, locale: US };
  const rooms = made.rooms.map((room, i) => [
    job.rooms[i]?.name ?? room.id,
    printArea(room.boardAreaM2, notation),
    printRun(flatRunMm(room.use), notation),
    printRun(room.use.amounts.butts, notation),
    printRun(room.use.amounts.angles, notation),
    String(room.fasteners),
    printVolume(room.use.wetL, notation),
    when(made.days.rooms.find((r) => r.room === room.id)?.ready),
  ]);
  const amount = (value: number, unit: OrderItem['unit']): string =>
    unit === 'L'
      ? printVolume(value, notation)
      : unit === 'mm'
        ? printRun(value, notation)
        : unit === 'm2'
          ? printArea(value, notation)
          : String(Math.ceil(value));
  const goods = made.order.items.map(({ name, packages, need, onHand, buy, unit }) => [
    told(name),
    packages.map((p) => `${p.count} x ${told(p.name)}`).join(', ') || '-',
    amount(need.low, unit),
    amount(need.likely, unit),
    amount(need.high, unit),
    onHand > 0 ? amount(onHand, unit) : '-',
    amount(buy, unit),
  ]);
  const bid = made.bid.lines.map(({ kind, amount: sum }) => [
    told(say(`bid.${kind}`)),
    sum.toFixed(made.bid.digits),
  ]);
  const named = new Map(job.rooms.map(({ id, name }) => [id, name]));
  const days = made.days.tasks.map((task) => [
    when(task.start),
    when(task.end),
    named.get(task.room) ?? task.room,
    told(say(`step.${task.step}`)),
    task.people.map((id) => made.days.people.find((one) => one.id === id)?.name ?? id).join(', '),
    printHours(task.labourMin, notation),
    task.how === 'none' ? told(say('days.at-once')) : when(task.readyLate),
  ]);
  const advice = made.advice.map((one) =>
    told(
      say('terminal.advice', {
        severity: one.severity.padEnd(5),
        code: one.code.padEnd(10),
        where: roomsNamed(one.place).join(', ') || say('terminal.whole-job'),
        reason: one.reason,
      }),
    ),
  );
  const heads = (...keys: PlainKey[]): string[] => keys.map((key) => told(say(key)));
  const { finish } = made.days;
  return [
    job.name,
    '',
    columns([
      heads(
        'sheet.room',
        'count.board',
        'count.flats',
        'count.butts',
        'count.angles',
        'count.fasteners',
        'tables.mud',
        'terminal.ready',
      ),
      ...rooms,
    ]),
    '',
    columns([
      heads(
        'sheet.ware',
        'order.buy',
        'terminal.low',
        'order.likely',
        'terminal.high',
        'order.on-hand',
        'terminal.bought',
      ),
      ...goods,
    ]),
    '',
    columns([
      heads('sheet.bid', 'sheet.sum'),
      ...bid,
      [told(say('bid.total')), made.bid.total.toFixed(made.bid.digits)],
    ]),
    '',
    columns([
      heads(
        'days.sheet.start',
        'days.sheet.end',
        'days.sheet.room',
        'days.sheet.coat',
        'days.sheet.who',
        'days.sheet.work',
        'days.sheet.next',
      ),
      ...days,
    ]),
    '',
    told(
      say('terminal.sum', {
        work: made.days.labourMin,
        ready: finish === undefined ? say('terminal.nothing') : when(finish),
      }),
    ),
    ...(made.days.decides ? [told(made.days.decides.said)] : []),
    ...(advice.length > 0 ? ['', ...advice] : []),
  ].join('\n');
}

/** A date and its time, in plain spaces: `Nov 30, 2026 9:47 AM`. */
const when = (time: string | undefined): string =>
  time === undefined ? '-' : `${US.date(time)} ${US.clock(time)}`.replace(/\u00a0/g, ' ');
