import type { Book } from '../book';
import { coatsUpTo, type BoardRow } from '../coat';
import type { Supplied } from '../compound';
import { needsOf, primerOf } from '../finish';
import { JOINT, isCut, type Coat, type Damage, type Look, type Room, type Way } from '../job';
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
  spansAt,
  type Face,
  type Joint,
  type Rect,
  type Survey,
} from '../survey';
import { coatedCells, headInput, rowOfJoint, sectionInput, skimOver, type SectionMemo } from '../takeoff';

/** What a wall is drawn from: a room as planned. */
export interface WallRoom extends Survey {
  areas: readonly (Look & { faces: readonly string[]; rows: readonly BoardRow[] })[];
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
  { kind: 'joint'; id: string; line: Rect } | { kind: 'heads' } | { kind: 'repair'; id: string };

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
  const field = emptyField(rect ?? face.box, cellMm);
  const features: Feature[] = [];
  const shaped = (bare: BareJoint, coats: SectionCoat[], done: number): Profile => {
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
  };

  for (const joint of planned.joints) {
    if (joint.face !== id && joint.other !== id) continue;
    const home = planned.areas.find((a) => rowOfJoint(a.rows, joint));
    const row = home && rowOfJoint(home.rows, joint);
    if (!home || !row) continue;
    const look = { ...room, finish: home.finish };
    const skim = skimOver(home.rows, look, book);
    const { bare, coats } = sectionInput(joint, row.cells, way, book, { bead: row.bead, skim });
    const done = coatsDone(row, stage, coats.length);
    const profile = shaped(bare, coats, done);
    features.push({ kind: 'joint', id: joint.id, line: lineOn(joint, face, planned) });
    const feature = features.length;
    for (const { line, across, side } of runsOn(joint, face, planned))
      layAlong(field, profile, {
        line,
        across,
        ...(side === undefined ? {} : { side }),
        fadeMm:
          side !== undefined || joint.path ? 0 : joint.humpMm || joint.lippageMm ? HUMP_FADE_MM : FADE_MM,
        feature,
      });
  }

  const heads = area.rows.find((row) => row.element === 'heads');
  if (heads && face.laid) {
    const { framing, framingMm } = face.laid;
    const boards = planned.boards.filter((board) => board.face === id);
    const apart = face.kind === 'ceiling' || face.kind === 'slope' ? book.screwCeilingMm : book.screwWallMm;
    const dimple = { depthMm: book.dimpleMm.value, widthMm: book.dimpleWidthMm.value };
    const { bare, coats } = headInput(heads.cells, dimple, book);
    const profile = shaped(bare, coats, coatsDone(heads, stage, coats.length));
    features.push({ kind: 'heads' });
    for (const at of headPlaces(face, boards, framing, framingMm, apart.value))
      layRound(field, profile, at, features.length);
  }

  const repairs = area.rows.find((row) => row.element === 'repairs');
  for (const spot of withCoats(room)) {
    if (spot.face !== id || !spot.at || !repairs) continue;
    const dimple = { depthMm: spotDepthMm(spot.kind, book), widthMm: Math.max(20, spot.sizeMm) };
    const { bare, coats } = headInput(repairs.cells, dimple, book);
    features.push({ kind: 'repair', id: spot.id });
    layRound(field, shaped(bare, coats, coatsDone(repairs, stage, coats.length)), spot.at, features.length);
  }

  const { surface } = needsOf(area.finish);
  const skimmed = surface === 'skim' && stage === 'skim';
  if (skimmed) field.ground.fill(MUD_SHADES);
  mask(field, face);
  const substrate = room.faces?.[id]?.substrate ?? room.substrate;
  return {
    field,
    features,
    flashLeft: flashLeft(surface === 'skim', primerOf(area), substrate, book),
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
    const inside = (k: number) => holds(face, (u0 + u1) / 2 + k * across[0], (v0 + v1) / 2 + k * across[1]);
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

const holds = (face: Face, u: number, v: number): boolean =>
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
