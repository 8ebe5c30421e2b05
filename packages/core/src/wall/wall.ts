import type { Book } from '../book';
import { coatsUpTo, type BoardRow } from '../coat';
import type { Supplied } from '../compound';
import { needsOf, primerOf } from '../finish';
import { JOINT, isCut, type Coat, type Damage, type FinishSpec, type Room, type Way } from '../job';
import {
  emptyField,
  flashLeft,
  layAlong,
  layRound,
  MUD_SHADES,
  OUTSIDE,
  type Field,
  type Profile,
} from '../light';
import { withCoats } from '../repair';
import { bareSurface, middleOf, type BareJoint, type SectionCoat } from '../section';
import {
  headPlaces,
  inSpace,
  onFace,
  screwsApartMm,
  spansAt,
  type Face,
  type Joint,
  type Rect,
  type Survey,
} from '../survey';
import { coatedCells, headInput, rowOfJoint, sectionInput, skimOver, type SectionMemo } from '../takeoff';

/** What a wall is drawn from: a room as planned. */
export interface WallRoom extends Survey {
  areas: readonly (FinishSpec & { faces: readonly string[]; rows: readonly BoardRow[] })[];
}

/** How far the work has come. */
export type Stage = 'boards' | Coat;

export interface WallAsk {
  face: string;
  stage: Stage;
  /** Part of the face; the whole where not given. */
  rect?: Rect;
  cellMm?: number;
}

/** Something of a face that shapes it. */
export type Feature =
  | { kind: 'joint'; id: string; line: Rect }
  | { kind: 'heads' }
  | { kind: 'repair'; id: string };

export interface Wall {
  field: Field;
  /** By number from 1. */
  features: Feature[];
  /** How much of the difference between compound and paper is left under its paint, a share. */
  flashLeft: number;
}

/** Cells of the picture where nothing finer is asked for, mm. */
export const CELL_MM = 4;

/** A joint runs out beyond its ends over this much, a hump of the framing or a step over this much, mm. */
const FADE_MM = 150;
const HUMP_FADE_MM = 300;

/** How deep a spot lies before it is mended, mm; less than nothing where it stands proud. */
export const spotDepthMm = (kind: Damage['kind'], book: Book): number => book[`spot-${kind}`].value;

/** The face of a room in heights, at a stage of the work; none where the room has no such face. */
export function wallOf(
  planned: WallRoom,
  room: Room,
  way: Way,
  book: Supplied,
  memo: SectionMemo,
  { face: id, stage, rect, cellMm = CELL_MM }: WallAsk,
): Wall | undefined {
  const face = planned.faces.find((f) => f.id === id);
  const area = planned.areas.find((a) => a.faces.includes(id)) ?? planned.areas[0];
  if (!face || !area) return undefined;
  const canvas: Canvas = {
    planned,
    room,
    way,
    book,
    memo,
    face,
    area,
    stage,
    field: emptyField(rect ?? face.box, cellMm),
    features: [],
  };
  layJoints(canvas);
  layHeads(canvas);
  layRepairs(canvas);
  const { field, features } = canvas;
  const { surface } = needsOf(area.finish);
  if (surface === 'skim' && stage === 'skim') field.ground.fill(MUD_SHADES);
  mask(field, face);
  const substrate = room.faces?.[id]?.substrate ?? room.substrate;
  return { field, features, flashLeft: flashLeft(surface === 'skim', primerOf(area), substrate, book) };
}

/** A face that is being drawn, and what it is drawn from. */
interface Canvas {
  planned: WallRoom;
  room: Room;
  way: Way;
  book: Supplied;
  memo: SectionMemo;
  face: Face;
  area: WallRoom['areas'][number];
  stage: Stage;
  field: Field;
  features: Feature[];
}

/** Joints of the face and of those it meets, each along its line. */
function layJoints(canvas: Canvas): void {
  const { planned, room, way, book, face, field, features } = canvas;
  for (const joint of planned.joints) {
    if (joint.face !== face.id && joint.other !== face.id) continue;
    const home = planned.areas.find((a) => rowOfJoint(a.rows, joint));
    const row = home && rowOfJoint(home.rows, joint);
    if (!home || !row) continue;
    const skim = skimOver(home.rows, { ...room, finish: home.finish }, book);
    const { bare, coats } = sectionInput(joint, row.cells, way, book, { bead: row.bead, skim });
    const profile = profileOf(canvas, row, bare, coats);
    features.push({ kind: 'joint', id: joint.id, line: lineOn(joint, face, planned) });
    for (const { line, across, side } of runsOn(joint, face, planned))
      layAlong(field, profile, {
        line,
        across,
        ...(side === undefined ? {} : { side }),
        fadeMm:
          side !== undefined || joint.path ? 0 : joint.humpMm || joint.lippageMm ? HUMP_FADE_MM : FADE_MM,
        feature: features.length,
      });
  }
}

function layHeads(canvas: Canvas): void {
  const { planned, book, face, area, field, features } = canvas;
  const row = area.rows.find(({ element }) => element === 'heads');
  if (!row || !face.laid) return;
  const { framing, framingMm } = face.laid;
  const boards = planned.boards.filter((board) => board.face === face.id);
  const dimple = { depthMm: book.dimpleMm.value, widthMm: book.dimpleWidthMm.value };
  const { bare, coats } = headInput(row.cells, dimple, book);
  const profile = profileOf(canvas, row, bare, coats);
  features.push({ kind: 'heads' });
  for (const at of headPlaces(face, boards, framing, framingMm, screwsApartMm(face, book)))
    layRound(field, profile, at, features.length);
}

/** Spots that go with the coats of the room. */
function layRepairs(canvas: Canvas): void {
  const { room, book, face, area, field, features } = canvas;
  const row = area.rows.find(({ element }) => element === 'repairs');
  if (!row) return;
  for (const spot of withCoats(room)) {
    if (spot.face !== face.id || !spot.at) continue;
    const dimple = { depthMm: spotDepthMm(spot.kind, book), widthMm: Math.max(20, spot.sizeMm) };
    const { bare, coats } = headInput(row.cells, dimple, book);
    features.push({ kind: 'repair', id: spot.id });
    layRound(field, profileOf(canvas, row, bare, coats), spot.at, features.length);
  }
}

/** The section of a row's coats as far as they are laid. */
function profileOf({ memo, stage }: Canvas, row: BoardRow, bare: BareJoint, coats: SectionCoat[]): Profile {
  const done = coatsDone(row, stage, coats.length);
  const results = memo.sections(bare, coats);
  const surface = results[done - 1]?.surface;
  const half = middleOf(results[0]?.surface ?? bareSurface(bare));
  const raw = bareSurface(bare, half);
  const bed = coats.slice(0, done).find((coat) => coat.bed)?.bed;
  // What lies everywhere, a skim, is no shape.
  const film = surface?.[0] ?? 0;
  return {
    surface: film === 0 ? (surface ?? raw) : (surface ?? raw).map((y) => y - film),
    bare: raw,
    tape: bed && { mm: bed.tapeMm, halfMm: bed.tapeWidthMm / 2 },
  };
}

/** How many of a row's coats lie on the wall at a stage; the skim is the last of them where there is one. */
function coatsDone(row: BoardRow, stage: Stage, all: number): number {
  if (stage === 'boards') return 0;
  if (stage === 'skim') return all;
  return coatedCells(coatsUpTo(row.cells, stage)).length;
}

/** A joint's line as it lies on one of the two faces it belongs to. */
function lineOn(joint: Joint, face: Face, { faces }: Pick<Survey, 'faces'>): Rect {
  const home = faces.find((f) => f.id === joint.face);
  if (joint.face === face.id || !home) return joint.line;
  const [u0, v0, u1, v1] = joint.line;
  return [
    ...onFace(face.frame, inSpace(home.frame, [u0, v0])),
    ...onFace(face.frame, inSpace(home.frame, [u1, v1])),
  ];
}

interface Run {
  line: Rect;
  across: readonly [number, number];
  side?: -1 | 1;
}

/** The straight lines of a joint on a face, with what lies across them. */
function runsOn(joint: Joint, face: Face, survey: Pick<Survey, 'faces'>): Run[] {
  const path = joint.face === face.id ? joint.path : undefined;
  const lines: Rect[] = path
    ? path.slice(1).map(([u, v], i): Rect => [...(path[i] as [number, number]), u, v])
    : [lineOn(joint, face, survey)];
  return lines.map((line): Run => {
    const [u0, v0, u1, v1] = line;
    const length = Math.hypot(u1 - u0, v1 - v0) || 1;
    // Right of an upright joint, above a level one.
    const turn = v1 - v0 > 0.01 || (Math.abs(v1 - v0) <= 0.01 && u1 < u0) ? 1 : -1;
    const across = [(turn * (v1 - v0)) / length, (-turn * (u1 - u0)) / length] as const;
    if (isCut(JOINT[joint.kind].element)) return { line, across };
    // The face lies on one side of its angles, corners and trims.
    const inside = (k: number) => isOn(face, (u0 + u1) / 2 + k * across[0], (v0 + v1) / 2 + k * across[1]);
    const inward = inside(NEAR_MM) ? 1 : -1;
    return {
      line,
      across: [across[0] * inward, across[1] * inward],
      side: joint.face === face.id ? -1 : 1,
    };
  });
}

/** Just beside a line, mm. */
const NEAR_MM = 3;

const isOn = (face: Face, u: number, v: number): boolean =>
  spansAt(face, v).some(([from, to]) => u > from && u < to);

/** Takes away what of the field lies off the face. */
function mask({ rect, cellMm, cols, rows, ground }: Field, face: Face): void {
  for (let r = 0; r < rows; r++) {
    const spans = spansAt(face, rect[1] + (r + 0.5003) * cellMm);
    for (let c = 0; c < cols; c++) {
      const u = rect[0] + (c + 0.5) * cellMm;
      if (!spans.some(([from, to]) => u > from && u < to)) ground[r * cols + c] = OUTSIDE;
    }
  }
}
