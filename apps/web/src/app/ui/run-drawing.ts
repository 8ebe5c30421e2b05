import type { CoatRun, Joint, Point, RoomPlan } from '@lisse/core';
import { FITTED, Paper } from './paper';

/** One joint of a run on the drawing. */
export interface RunStop {
  id: string;
  n: number;
  joint: Joint;
  path: string;
  /** Where its number stands. */
  x: number;
  y: number;
  /** Too short on the drawing for its number, which would hide its neighbours. */
  short: boolean;
  /** The wet side of an angle coated on one face: a short line beside it. */
  side: string;
}

export interface RunDrawing {
  faces: string[];
  stops: RunStop[];
  refills: { x: number; y: number; key: string }[];
}

/** Joints shorter than this on the drawing have no number, px. */
const LEAST_PX = 18;

/** The side of a one-face angle is drawn so far from it, px. */
const BESIDE = 4;

/** A run on the unfolded room, in a frame of so many px. */
export function drawRun(
  plan: RoomPlan,
  run: CoatRun,
  width: number,
  height: number,
  pad?: number,
): RunDrawing {
  const paper = new Paper(plan.faces, { width, height }, FITTED, pad);
  const faces = new Map(plan.faces.map((face) => [face.id, face]));
  const joints = new Map(plan.joints.map((joint) => [joint.id, joint]));
  const picked = new Map(run.faces.map(({ joint, face }) => [joint, face]));
  const ends = (joint: Joint): [Point, Point] => [
    paper.at(joint.face, [joint.line[0], joint.line[1]]),
    paper.at(joint.face, [joint.line[2], joint.line[3]]),
  ];
  const stops = run.joints.flatMap((id, i): RunStop[] => {
    const joint = joints.get(id);
    if (!joint || !faces.has(joint.face)) return [];
    const [[x0, y0], [x1, y1]] = ends(joint);
    return [
      {
        id,
        n: i + 1,
        joint,
        path: `M${x0.toFixed(1)} ${y0.toFixed(1)}L${x1.toFixed(1)} ${y1.toFixed(1)}`,
        x: (x0 + x1) / 2,
        y: (y0 + y1) / 2,
        short: Math.hypot(x1 - x0, y1 - y0) < LEAST_PX,
        side: sideOf(paper, plan, joint, picked.get(id), [
          [x0, y0],
          [x1, y1],
        ]),
      },
    ];
  });
  const along = (id: string, mm: number): Point | undefined => {
    const joint = joints.get(id);
    if (!joint) return undefined;
    const [[x0, y0], [x1, y1]] = ends(joint);
    const t = Math.min(1, mm / joint.lengthMm);
    return [x0 + (x1 - x0) * t, y0 + (y1 - y0) * t];
  };
  return {
    faces: plan.faces.filter(({ id }) => paper.has(id)).map((face) => paper.outline(face)),
    stops,
    refills: run.refills.flatMap(({ joint, atMm }, i) => {
      const at = along(joint, atMm);
      return at ? [{ x: at[0], y: at[1], key: `${joint} ${i}` }] : [];
    }),
  };
}

/** On which side of its line an angle is wet: toward the middle of the face, or away from it where that is the other's. */
function sideOf(
  paper: Paper,
  plan: RoomPlan,
  joint: Joint,
  face: string | undefined,
  [[x0, y0], [x1, y1]]: [Point, Point],
): string {
  const own = plan.faces.find(({ id }) => id === joint.face);
  if (face === undefined || !own) return '';
  const [cx, cy] = paper.at(own.id, [(own.box[0] + own.box[2]) / 2, (own.box[1] + own.box[3]) / 2]);
  const length = Math.hypot(x1 - x0, y1 - y0) || 1;
  let [nx, ny] = [-(y1 - y0) / length, (x1 - x0) / length];
  const inward = (cx - (x0 + x1) / 2) * nx + (cy - (y0 + y1) / 2) * ny > 0;
  if (inward !== (face === joint.face)) [nx, ny] = [-nx, -ny];
  const [dx, dy] = [nx * BESIDE, ny * BESIDE];
  return `M${(x0 + dx).toFixed(1)} ${(y0 + dy).toFixed(1)}L${(x1 + dx).toFixed(1)} ${(y1 + dy).toFixed(1)}`;
}
