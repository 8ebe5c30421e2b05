import type { Cell } from '../coat';
import { coatOf, type DayTask, type Days, type RoomStep } from '../days';
import type { CompoundId, Step, ToolId, Way } from '../job';
import type { Lot, Pot } from '../log';
import { mayBeUsed, stageOf } from '../log';
import { mudWare } from '../goods';
import { say, type Message } from '../texts';
import { filledFor, TOOL } from '../way';

/** A room as far as what is carried into it and done in it in a day. */
export interface DayRoom {
  id: string;
  name: string;
  heightMm: number;
  steps: readonly RoomStep[];
  cells: readonly Cell[];
  tapeMm: number;
  beads: number;
}

/** What to bring for a day, by what it is. */
export interface Bring {
  muds: { compound: CompoundId; litres: number; lots: Lot[] }[];
  tools: ToolId[];
  more: Message[];
}

const isOn = ({ start, end }: DayTask, day: string): boolean =>
  start.slice(0, 10) <= day && end.slice(0, 10) >= day;

/** Tasks of a day that are not done, of one person or of all. */
export const tasksOn = ({ tasks }: Pick<Days, 'tasks'>, day: string, person?: string): DayTask[] =>
  tasks.filter(
    (task) =>
      task.state !== 'done' && isOn(task, day) && (person === undefined || task.people.includes(person)),
  );

/** Higher than this one stands on something, mm. */
const REACH_MM = 2300;

/** What the tasks of a day ask for. */
export function bringFor(
  tasks: readonly DayTask[],
  rooms: readonly DayRoom[],
  lots: readonly Lot[],
  { tools: way }: Pick<Way, 'tools'>,
  day: string,
): Bring {
  const litres = new Map<CompoundId, number>();
  const tools = new Set<ToolId>();
  const steps = new Set<Step>();
  let [tapeMm, beads, high] = [0, 0, false];
  for (const task of tasks) {
    const room = rooms.find(({ id }) => id === task.room);
    if (!room) continue;
    steps.add(task.step);
    high ||= room.heightMm > REACH_MM;
    for (const { row, mud } of room.steps.find(({ step }) => step === task.step)?.rows ?? [])
      if (task.rows.includes(row))
        for (const { compound, wetL } of mud) litres.set(compound, (litres.get(compound) ?? 0) + wetL);
    for (const cell of room.cells.filter(
      (one) => one.coat === coatOf(task.step) && task.rows.includes(one.element),
    )) {
      if (cell.tool) tools.add(cell.tool);
      tools.add(
        filledFor(
          cell.machine ? way : way === 'trowels' ? 'trowels' : 'knives',
          cell.element,
          cell.coat,
          cell.tool,
        ),
      );
    }
    if (task.step === 'tape') {
      if (task.rows.some((row) => row !== 'heads' && row !== 'corners')) tapeMm += room.tapeMm;
      if (task.rows.includes('corners')) beads += room.beads;
    }
  }
  const muds = [...litres]
    .filter(([, sum]) => sum > 0)
    .map(([compound, sum]) => ({
      compound,
      litres: sum,
      lots: lots.filter((lot) => lot.ware === mudWare(compound) && lot.left > 0 && mayBeUsed(lot, day)),
    }));
  const wet = muds.length > 0;
  const lit = ['finish', 'cover', 'skim', 'sand'].some((step) => steps.has(step as Step));
  return {
    muds,
    tools: [...tools].sort((a, b) => ORDER.indexOf(a) - ORDER.indexOf(b)),
    more: [
      ...(tapeMm > 0 ? [say('bring.tape', { mm: tapeMm })] : []),
      ...(beads > 0 ? [say('bring.beads', { n: beads })] : []),
      ...(wet ? [say('bring.paddle'), say('bring.two-waters'), say('bring.chips')] : []),
      ...(lit ? [say('bring.lamp')] : []),
      ...(steps.has('float') || beads > 0 ? [say('bring.straightedge')] : []),
      ...(steps.has('sand') ? [say('bring.sand'), say('bring.mask')] : []),
      ...(high ? [say('bring.platform')] : []),
    ],
  };
}

const ORDER = Object.keys(TOOL) as ToolId[];

/** What is seen to before one leaves, in the order it is done. */
export interface EndOfDayTask {
  id: string;
  text: Message;
  /** Must not wait. */
  now: boolean;
}

/** What was worked with on a day. */
export interface Worked {
  pots: readonly Pot[];
  /** Classes on the wall or in a pail today: those that set, and those that dry. */
  set: boolean;
  dried: boolean;
  machine: boolean;
  sanded: boolean;
  /** Under this the work is not left overnight, °C. */
  coldC: number;
}

/** The evening's list, by what was done on the day. */
export function endOfDayFor(
  { pots, set, dried, machine, sanded, coldC }: Worked,
  nowMs: number,
): EndOfDayTask[] {
  const dirty = pots.filter((pot) => ['working', 'stiff', 'clean-now'].includes(stageOf(pot, nowMs))).length;
  const item = (id: LeavingId, now = false): EndOfDayTask => ({ id, text: say(`leave.${id}`), now });
  return [
    ...(dirty > 0 ? [{ id: 'pots', text: say('leave.pots', { n: dirty }), now: true }] : []),
    ...(set ? [item('rest')] : []),
    ...(dried ? [item('cover'), item('rim')] : []),
    ...(set || dried ? [item('wash'), item('dry-steel')] : []),
    ...(machine && dried ? [item('machine')] : []),
    ...(sanded ? [item('dust')] : []),
    { id: 'air', text: say('leave.air', { cold: coldC }), now: false },
  ];
}
type LeavingId = 'rest' | 'cover' | 'rim' | 'wash' | 'dry-steel' | 'machine' | 'dust';
