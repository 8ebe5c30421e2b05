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

const USAGE = `Use: lisse plan FILE [--table]   the plan as JSON, or as tables for people
     lisse check FILE            whether the file is a sound job
     lisse schema job|plan       the JSON Schema of the format`;

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
      for (const { path, message } of read.notes) terminal.err(`note: ${path} ${plain(message)}`);
      if (command === 'check') {
        const broken = brokenSeals(read.job);
        for (const { path, message } of broken) terminal.err(`${path}: ${plain(message)}`);
        if (broken.length > 0) return WRONG_FILE;
        terminal.out(`${target} is a sound job: ${read.job.name}, ${read.job.rooms.length} rooms.`);
      } else {
        const say = speech(EN, { system: read.job.units, locale: US });
        const made = bestPlan(read.job, terminal);
        terminal.out(table ? tables(read.job, made, say) : JSON.stringify(spoken(made, say), null, 2));
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
    err(`note: log ${entry.id} ${plain(say('doubt.left-out', { at: entry.at }))}`);
  const log = undoubted(told, doubts);
  const now = standing(log).map(localOf).at(-1);
  const site = { log, ...(now === undefined ? {} : { now }) };
  const reuse = new Reuse();
  const { rooms } = plan(job, TYPICAL, reuse, { site });
  const { run: found, proved } = solved(searchDays(job, rooms, suppliedWith(TYPICAL, job), site));
  return plan(job, TYPICAL, reuse, { site, days: { run: found, proved } });
}

function usage({ err }: Terminal): number {
  err(USAGE);
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
    made.days.rooms.find((r) => r.room === room.id)?.ready.replace('T', ' ') ?? '-',
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
    task.start.replace('T', ' '),
    task.end.replace('T', ' '),
    named.get(task.room) ?? task.room,
    told(say(`step.${task.step}`)),
    task.people.map((id) => made.days.people.find((one) => one.id === id)?.name ?? id).join(', '),
    printHours(task.labourMin, notation),
    task.how === 'none' ? 'at once' : task.readyLate.replace('T', ' '),
  ]);
  const advice = made.advice.map(
    (a) =>
      `${a.severity.padEnd(5)} ${a.code.padEnd(10)} ${roomsNamed(a.place).join(', ') || 'job'}: ${told(a.reason)}`,
  );
  return [
    job.name,
    '',
    columns([['Room', 'Board', 'Flats', 'Butts', 'Angles', 'Heads', 'Mud', 'Ready'], ...rooms]),
    '',
    columns([['Goods', 'Buy', 'Low', 'Likely', 'High', 'On hand', 'Bought'], ...goods]),
    '',
    columns([['Bid', 'Sum'], ...bid, ['Total', made.bid.total.toFixed(made.bid.digits)]]),
    '',
    columns([['Start', 'End', 'Room', 'Coat', 'Who', 'Work', 'Next coat from'], ...days]),
    '',
    `Work: ${printHours(made.days.labourMin, notation)}. All ready: ${made.days.finish?.replace('T', ' ') ?? 'nothing to do'}.`,
    ...(made.days.decides ? [told(made.days.decides.said)] : []),
    ...(advice.length > 0 ? ['', ...advice] : []),
  ].join('\n');
}
