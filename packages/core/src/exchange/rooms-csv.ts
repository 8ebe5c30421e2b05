import Papa from 'papaparse';
import { say, type Message } from '../texts';
import { MM_PER_FT, parseLength, SQFT_PER_M2, type BareUnit, type UnitSystem } from '../units';
import {
  asKind,
  DECORATIONS,
  JOINT_KINDS,
  LIMITS,
  MOST,
  NAME_LETTERS,
  within,
  kindNamed,
  newRoom,
  outlineOf,
  bounds,
  type Decoration,
  type FloorPlan,
  type Job,
  type JointKind,
  type Limit,
  type Room,
} from '../job';

/** One thing wrong in a file of rooms: its row as the file counts them, its column and a sentence. */
export interface RowError {
  row: number;
  column: string;
  message: Message;
}

/** What a file would bring, before anything lands. */
export interface RoomsRead {
  rooms: { row: number; room: Room }[];
  errors: RowError[];
  /** Rows that hold a room, good or bad. */
  rows: number;
  /** What was made of the file, where somebody should look. */
  notes: Message[];
}

type Column = 'name' | 'length' | 'width' | 'height' | 'finish' | 'decoration' | 'heads' | 'area' | JointKind;

/** Column headings that are understood, in lower case without their unit. */
const HEADINGS: Record<string, Column> = {
  name: 'name',
  room: 'name',
  length: 'length',
  width: 'width',
  height: 'height',
  finish: 'finish',
  grade: 'finish',
  level: 'finish',
  decoration: 'decoration',
  heads: 'heads',
  area: 'area',
  flats: 'tapered',
  butts: 'butt',
  angles: 'inside-angle',
  corners: 'outside-corner',
  ...Object.fromEntries(JOINT_KINDS.map((kind) => [kind, kind])),
};

const UNITS: Record<string, BareUnit> = {
  mm: 'mm',
  m: 'm',
  in: 'in',
  '"': 'in',
  ft: 'ft',
  feet: 'ft',
  "'": 'ft',
};

interface Heading {
  column: Column;
  title: string;
  unit: BareUnit;
}

/**
 * Reads rooms from a table with a heading row. Columns: name, length, width, height, finish (`level 4`, `Q3`),
 * decoration; or, for rooms that are counted, flats, butts, angles, corners, heads and area. A unit stands in
 * the heading (`length (m)`) or in the cell; cells are separated by commas, semicolons or tabs, and where they are not
 * commas a comma is a decimal one.
 * @param usual the unit of bare numbers where the heading has none
 * @param most how many rooms the job still holds
 */
export function readRoomsCsv(
  text: string,
  units: UnitSystem,
  newId: () => string,
  { usual = units === 'metric' ? 'mm' : 'ft', most = MOST.rooms }: { usual?: BareUnit; most?: number } = {},
): RoomsRead {
  const { data, meta } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: false,
    delimitersToGuess: [';', '\t', ',', '|'],
  });
  const first = data.findIndex((cells) => cells.some((cell) => cell.trim() !== ''));
  const read: RoomsRead = { rooms: [], errors: [], rows: 0, notes: [] };
  if (first < 0) {
    read.errors.push({ row: 1, column: '', message: say('file.empty') });
    return read;
  }
  const headings = (data[first] as string[]).map((title) => headingOf(title, usual));
  const known = headings.filter((h) => h !== undefined);
  if (!known.some((h) => h.column === 'length') && !known.some((h) => isCount(h.column))) {
    const message = say('csv.headings', { row: (data[first] as string[]).join(', ').slice(0, 80) });
    read.errors.push({ row: first + 1, column: '', message });
    return read;
  }
  const comma = meta.delimiter !== ',';
  data.slice(first + 1).forEach((cells, i) => {
    if (cells.every((cell) => cell.trim() === '')) return;
    read.rows++;
    const row = first + i + 2;
    if (read.rows > most) {
      if (read.rows === most + 1) read.errors.push({ row, column: '', message: roomsLeft(most) });
      return;
    }
    const reader = new RowReader(headings, cells, row, comma, units);
    const room = reader.room(newId(), read.rows);
    if (reader.errors.length > 0) read.errors.push(...reader.errors);
    else if (room) read.rooms.push({ row, room });
  });
  if (read.rows === 0)
    read.errors.push({
      row: first + 2,
      column: '',
      message: say('csv.no-room'),
    });
  return read;
}

/** Said of rooms that a job has no place for any more. */
export const roomsLeft = (left: number): Message => say('rooms.left', { most: MOST.rooms, left });

const isCount = (column: Column): boolean =>
  (JOINT_KINDS as readonly string[]).includes(column) || column === 'area';

function headingOf(title: string, usual: BareUnit): Heading | undefined {
  const [, word = '', unit = ''] =
    /^([^([]*)(?:[([]\s*([^)\]]*?)\s*[)\]])?\s*$/.exec(title.trim().toLowerCase()) ?? [];
  const column = HEADINGS[word.trim()];
  return column && { column, title: title.trim(), unit: UNITS[unit] ?? usual };
}

/** One row, cell by cell; what is wrong is noted and the row read on, so that all of it is told at once. */
class RowReader {
  readonly errors: RowError[] = [];

  constructor(
    private readonly headings: readonly (Heading | undefined)[],
    private readonly cells: readonly string[],
    private readonly row: number,
    private readonly decimalComma: boolean,
    private readonly units: UnitSystem,
  ) {}

  room(id: string, n: number): Room | undefined {
    const name = asWritten(this.text('name')) || `Room ${n}`;
    if (name.length > NAME_LETTERS) this.wrong('name', say('csv.name', { most: NAME_LETTERS }));
    const plan = this.plan();
    const counts = this.counts();
    if (!plan && !counts && this.errors.length === 0) this.wrong('length', say('csv.neither'));
    let room = asKind(
      newRoom(id, name, this.units, plan ?? { counted: true, heightMm: 2400 }),
      kindNamed(name),
    );
    const finish = this.finish();
    if (finish) room = { ...room, finish };
    const decoration = this.decoration();
    if (decoration) room = { ...room, decoration };
    return counts ? { ...room, counts } : room;
  }

  private plan(): FloorPlan | undefined {
    const [lengthMm, widthMm, heightMm] = [
      this.length('length', LIMITS.room.lengthMm),
      this.length('width', LIMITS.room.widthMm),
      this.length('height', LIMITS.room.heightMm),
    ];
    const given = [lengthMm, widthMm, heightMm].filter((mm) => mm !== undefined).length;
    const counted = this.headings.some((h) => h && isCount(h.column) && this.text(h.column) !== '');
    if (given === 0 && counted) return undefined;
    for (const [column, mm] of [
      ['length', lengthMm],
      ['width', widthMm],
      ['height', heightMm],
    ] as const)
      if (mm === undefined && !this.errors.some((e) => e.column === this.title(column)))
        this.wrong(column, say('csv.missing', { column }));
    if (lengthMm === undefined || widthMm === undefined || heightMm === undefined) return undefined;
    return { lengthMm, widthMm, heightMm };
  }

  private counts(): Room['counts'] {
    const mm: Partial<Record<JointKind, number>> = {};
    for (const kind of JOINT_KINDS) {
      const value = this.length(kind, LIMITS.counts.mm, 'm');
      if (value) mm[kind] = value;
    }
    const heads = this.number('heads', LIMITS.counts.heads);
    const areaM2 = this.number('area', LIMITS.counts.areaM2, this.perM2());
    if (Object.keys(mm).length === 0 && heads === undefined && areaM2 === undefined) return undefined;
    return {
      mm,
      ...(heads === undefined ? {} : { heads: Math.round(heads) }),
      ...(areaM2 === undefined ? {} : { areaM2 }),
    };
  }

  /** Areas are square feet where the heading or the job says so. */
  private perM2(): number {
    const title = this.title('area').toLowerCase();
    const feet =
      title.includes('ft') || (this.units === 'feet' && !title.includes('m²') && !title.includes('m2'));
    return feet ? SQFT_PER_M2 : 1;
  }

  private finish(): Room['finish'] | undefined {
    const text = this.text('finish');
    if (text === '') return undefined;
    const [, word = '', digit = ''] = /^([a-z]*)\s*(\d)$/i.exec(text) ?? [];
    const q = /^(q|quality)$/i.test(word) || (word === '' && this.units === 'metric');
    const grade = Number(digit);
    const good =
      digit !== '' && /^(|l|level|q|quality)$/i.test(word) && (q ? grade >= 1 && grade <= 4 : grade <= 5);
    if (!good) {
      this.wrong('finish', say('csv.finish', { typed: text }));
      return undefined;
    }
    return (q ? { scale: 'q', grade } : { scale: 'level', grade }) as Room['finish'];
  }

  private decoration(): Decoration | undefined {
    const text = this.text('decoration').toLowerCase().replace(/\s+/g, '-');
    if (text === '') return undefined;
    const found = DECORATIONS.find((d) => d === text);
    if (!found) this.wrong('decoration', say('csv.decoration', { typed: text, all: DECORATIONS.join(', ') }));
    return found;
  }

  private text(column: Column): string {
    const i = this.headings.findIndex((h) => h?.column === column);
    return i < 0 ? '' : (this.cells[i] ?? '').trim();
  }

  private title(column: Column): string {
    return this.headings.find((h) => h?.column === column)?.title ?? column;
  }

  private length(column: Column, limit: Limit, usual?: BareUnit): number | undefined {
    const heading = this.headings.find((h) => h?.column === column);
    const text = this.plain(this.text(column));
    if (!heading || text === '') return undefined;
    const bare =
      usual && !/[([]/.test(heading.title) ? (this.units === 'metric' ? usual : 'ft') : heading.unit;
    const read = parseLength(text, bare);
    if (!read.ok) {
      this.wrong(column, read.reason);
      return undefined;
    }
    const mm = Math.round(read.mm * 10) / 10;
    if (within(mm, limit)) return mm;
    this.wrong(column, say('csv.length', { typed: text, is: mm, least: limit.least, most: limit.most }));
    return undefined;
  }

  private number(column: Column, limit: Limit, perUnit = 1): number | undefined {
    const text = this.plain(this.text(column));
    if (text === '') return undefined;
    const value = Number(text) / perUnit;
    if (within(value, limit)) return value;
    this.wrong(column, say('csv.number', { typed: text, most: Math.floor(limit.most * perUnit) }));
    return undefined;
  }

  private plain(text: string): string {
    return this.decimalComma ? text.replace(/(\d),(\d)/g, '$1.$2') : text;
  }

  private wrong(column: Column, message: Message): void {
    this.errors.push({ row: this.row, column: this.title(column), message });
  }
}

/** How a text begins that table programs take for a formula. */
const RECKONED = /^[\s']*[=+\-@]/;

/** A cell that no table program reckons with: an apostrophe says that it is text. */
export const harmless = (cell: string | number): string | number =>
  typeof cell === 'string' && RECKONED.test(cell) ? `'${cell}` : cell;

/** The name as it was before `harmless`. */
const asWritten = (cell: string): string =>
  cell.startsWith("'") && RECKONED.test(cell.slice(1)) ? cell.slice(1) : cell;

/** How lengths and areas stand in a table, as numbers: millimetres and m², or feet with decimals and square feet. */
const WRITTEN: Record<
  UnitSystem,
  { length: string; area: string; mm: (mm: number) => number; m2: (m2: number) => number }
> = {
  metric: { length: 'mm', area: 'm²', mm: (mm) => rounded(mm, 1), m2: (m2) => m2 },
  feet: {
    length: 'ft',
    area: 'sq ft',
    mm: (mm) => rounded(mm / MM_PER_FT, 5),
    m2: (m2) => rounded(m2 * SQFT_PER_M2, 6),
  },
};

const rounded = (value: number, places: number): number => Number(value.toFixed(places));

/** The rooms of a job, in its units, as a table this reads again; rooms of other shapes by their outer size. */
export function roomsCsv(job: Pick<Job, 'rooms' | 'units'>): string {
  const kinds = JOINT_KINDS.filter((kind) => job.rooms.some((room) => room.counts?.mm[kind]));
  const heads = job.rooms.some((room) => room.counts);
  const { length, area, mm, m2 } = WRITTEN[job.units];
  const fields = [
    'name',
    ...['length', 'width', 'height'].map((what) => `${what} (${length})`),
    'finish',
    'decoration',
    ...kinds.map((kind) => `${kind} (${length})`),
    ...(heads ? ['heads', `area (${area})`] : []),
  ];
  const rows = job.rooms.map((room) => {
    const ring = outlineOf(room.plan);
    const [x0, y0, x1, y1] = ring.length > 0 ? bounds(ring) : [0, 0, 0, 0];
    const size = ring.length > 0 ? [x1 - x0, y1 - y0, room.plan.heightMm].map(mm) : ['', '', ''];
    const counted = (n: number | undefined, as: (n: number) => number) => (n === undefined ? '' : as(n));
    return [
      room.name,
      ...size,
      room.finish.scale === 'q' ? `Q${room.finish.grade}` : `level ${room.finish.grade}`,
      room.decoration,
      ...kinds.map((kind) => counted(room.counts?.mm[kind], mm)),
      ...(heads ? [room.counts?.heads ?? '', counted(room.counts?.areaM2, m2)] : []),
    ];
  });
  // A cell that a table program would reckon with is kept as text; the name is read back as it was.
  return `${Papa.unparse({ fields, data: rows.map((row) => row.map(harmless)) }, { newline: '\n' })}\n`;
}
