import * as packaged from 'dxf-parser';
import type { IEntity, ILwpolylineEntity, IPolylineEntity, ITextEntity } from 'dxf-parser';
import { say, type Message } from '../texts';
import {
  asKind,
  bounds,
  holds,
  kindNamed,
  MOST,
  nameWith,
  newRoom,
  outlineTrouble,
  type Point,
  type Room,
  type RoomKind,
} from '../job';
import type { UnitSystem } from '../units';
import { roomsLeft } from './rooms-csv';
import { isWholeDrawing } from './whole-drawing';

// The package is a class where it is required and exports it by name where it is imported.
const Parser =
  (packaged as { DxfParser?: typeof packaged.DxfParser }).DxfParser ??
  (packaged as unknown as { default: typeof packaged.DxfParser }).default;

/** A closed outline found in a drawing. */
export interface Outline {
  name: string;
  layer: string;
  /** From its own lower left corner, mm. */
  ring: Point[];
  kind: RoomKind;
  /** What was simplified in reading it. */
  notes: Message[];
}

export interface OutlinesRead {
  outlines: Outline[];
  errors: { where: Message; message: Message }[];
  /** How the unit was known. */
  unit: Message | undefined;
  /** What was made of the file, where somebody should look. */
  notes: Message[];
}

/** Drawing units by the header's number, mm. */
const INSUNITS: Record<number, { mm: number; name: Message }> = {
  1: { mm: 25.4, name: say('unit.inches') },
  2: { mm: 304.8, name: say('unit.feet') },
  4: { mm: 1, name: say('unit.millimetres') },
  5: { mm: 10, name: say('unit.centimetres') },
  6: { mm: 1000, name: say('unit.metres') },
  10: { mm: 914.4, name: say('unit.yards') },
  14: { mm: 100, name: say('unit.decimetres') },
};

/** Corners closer than this, or less off a straight line, are drawing noise, mm. */
const SAME_MM = 10;
const STRAIGHT_MM = 1;

/**
 * Reads the closed outlines of a DXF drawing. Units come from its header; the layer chooses the kind of
 * room; a text inside an outline is its name.
 */
export function readOutlinesDxf(text: string, units: UnitSystem, most: number = MOST.rooms): OutlinesRead {
  const failed = (message: Message): OutlinesRead => ({
    outlines: [],
    errors: [{ where: say('file.itself'), message }],
    unit: undefined,
    notes: [],
  });
  if (!/\bSECTION\b/.test(text.slice(0, 2000))) return failed(say('dxf.not'));
  if (!isWholeDrawing(text)) return failed(say('dxf.damaged'));
  let drawing;
  try {
    drawing = new Parser().parseSync(text);
  } catch {
    return failed(say('dxf.damaged'));
  }
  const entities = drawing?.entities ?? [];
  const known = INSUNITS[Number(drawing?.header?.['$INSUNITS'])];
  const scale = known?.mm ?? (units === 'metric' ? 1 : 25.4);
  const unit =
    known?.name ?? say('dxf.no-unit', { unit: say(units === 'metric' ? 'unit.millimetres' : 'unit.inches') });
  const texts = entities.flatMap((entity) => textOf(entity, scale));
  const read: OutlinesRead = { outlines: [], errors: [], unit, notes: [] };
  let n = 0;
  for (const entity of entities) {
    if (!isPolyline(entity)) continue;
    n++;
    const where = say('dxf.where', { n, layer: entity.layer ?? '0' });
    if (read.outlines.length >= most) {
      read.errors.push({ where, message: roomsLeft(most) });
      break;
    }
    const raw = entity.vertices.map((v): Point => [v.x * scale, v.y * scale]);
    const [first, last] = [raw[0], raw.at(-1)];
    const meets = first && last && Math.hypot(first[0] - last[0], first[1] - last[1]) < SAME_MM;
    if (!entity.shape && !meets) {
      read.errors.push({ where, message: say('dxf.open') });
      continue;
    }
    const { ring, notes } = cleaned(raw);
    if (entity.vertices.some((v) => 'bulge' in v && Math.abs(v.bulge) > 1e-6)) notes.push(say('dxf.curved'));
    const wrong = outlineTrouble(ring);
    if (wrong) {
      read.errors.push({ where, message: say('sentence', { what: wrong }) });
      continue;
    }
    const layer = entity.layer ?? '0';
    const label = texts.find((t) => holds(ring, t.at));
    const [left, low] = bounds(ring);
    read.outlines.push({
      name: label?.text ?? (layer === '0' ? `Room ${n}` : `${layer} ${n}`),
      layer,
      ring: ring.map(([x, y]): Point => [round(x - left), round(y - low)]),
      kind: kindNamed(layer),
      notes,
    });
  }
  if (n === 0)
    read.errors.push({
      where: say('file.itself'),
      message: say('dxf.none'),
    });
  return read;
}

/** Rooms from outlines, all of one height. */
export function roomsFromOutlines(
  outlines: readonly Outline[],
  heightMm: number,
  units: UnitSystem,
  newId: () => string,
): Room[] {
  return outlines.map(({ name, ring, kind }) =>
    asKind(
      newRoom(newId(), nameWith(name), units, { outline: ring.map((p): Point => [...p]), heightMm }),
      kind,
    ),
  );
}

const round = (n: number): number => Math.round(n * 10) / 10;

const isPolyline = (entity: IEntity): entity is ILwpolylineEntity | IPolylineEntity =>
  (entity.type === 'LWPOLYLINE' || entity.type === 'POLYLINE') &&
  Array.isArray((entity as ILwpolylineEntity).vertices);

function textOf(entity: IEntity, scale: number): { text: string; at: Point }[] {
  if (entity.type !== 'TEXT' && entity.type !== 'MTEXT') return [];
  const { text, startPoint, position } = entity as unknown as ITextEntity & {
    position?: { x: number; y: number };
  };
  const at = startPoint ?? position;
  const plain = text?.replace(/\\[A-Za-z][^;]*;|[{}]/g, '').trim();
  return at && plain ? [{ text: plain, at: [at.x * scale, at.y * scale] }] : [];
}

/** Without corners that repeat and corners on a straight line. */
function cleaned(raw: readonly Point[]): { ring: Point[]; notes: Message[] } {
  const apart = raw.filter((p, i) => {
    const q = raw[(i + 1) % raw.length] as Point;
    return Math.hypot(p[0] - q[0], p[1] - q[1]) >= SAME_MM;
  });
  const ring = apart.filter((p, i) => {
    const a = apart[(i + apart.length - 1) % apart.length] as Point;
    const b = apart[(i + 1) % apart.length] as Point;
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
    return Math.abs((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])) / length > STRAIGHT_MM;
  });
  const gone = raw.length - ring.length;
  return { ring, notes: gone > 1 ? [say('dxf.straight', { count: gone })] : [] };
}
