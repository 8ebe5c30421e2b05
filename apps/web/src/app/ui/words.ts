import type {
  BoxKind,
  Coat,
  DamageKind,
  Decoration,
  Element,
  Fit,
  Instead,
  JointKind,
  Room,
  RoomPlan,
  Step,
  Substrate,
} from '@lisse/core';
import { DECORATION_FACTS } from '@lisse/core';

/** The trade's words for what the core names. */
export const JOINT_NAME: Record<JointKind, string> = {
  tapered: 'Flat joint',
  butt: 'Butt joint',
  mixed: 'Mixed joint',
  'recessed-butt': 'Recessed butt',
  'inside-angle': 'Inside angle',
  'outside-corner': 'Outside corner',
  'off-angle-inside': 'Inside off-angle',
  'off-angle-outside': 'Outside off-angle',
  trim: 'L-trim',
};

export const ELEMENT_NAME: Record<Element, string> = {
  flats: 'Flats',
  mixed: 'Mixed joints',
  recessed: 'Recessed butts',
  butts: 'Butts',
  angles: 'Angles',
  corners: 'Corners',
  heads: 'Heads',
  repairs: 'Repairs',
  face: 'Whole face',
};

export const COAT_NAME: Record<Coat, string> = {
  prefill: 'Prefill',
  tape: 'Tape',
  fill: 'Fill',
  finish: 'Finish',
  skim: 'Skim',
};

export const STEP_NAME: Record<Step, string> = {
  ...COAT_NAME,
  float: 'Float',
  cover: 'Finish over the float',
  sand: 'Sand',
};

export const SUBSTRATE_NAME: Record<Substrate, string> = {
  paper: 'bare paper',
  'glass-mat': 'glass-mat face',
  painted: 'painted',
  plaster: 'plaster',
};

export const INSTEAD_NAME: Record<Instead, string> = {
  old: 'old work: taped to it',
  edge: 'an edge in sight: L-trim',
  grid: 'a grid or cover: nothing',
};

/** The name of a face in a plan: `ceiling`, `wall 1`, `soffit 1, underside`. */
export function faceName(plan: Pick<RoomPlan, 'faces'>, id: string): string {
  return plan.faces.find((face) => face.id === id)?.name ?? (id === 'counted' ? 'counted' : id);
}

export const DAMAGE_NAME: Record<DamageKind, string> = {
  dent: 'dent',
  'popped-head': 'popped head',
  'anchor-hole': 'anchor hole',
  'small-hole': 'small hole',
  'large-hole': 'large hole',
  'failed-tape': 'failed tape',
  'crushed-joint': 'crushed joint',
  step: 'step',
  texture: 'old texture',
};

export const BOX_NAME: Record<BoxKind, string> = {
  soffit: 'soffit',
  beam: 'beam',
  column: 'column',
  ledge: 'ledge, unboarded',
};

/** `Level 5 · eggshell or satin paint`. */
export function roomLine(room: Room): string {
  const grade = room.finish.scale === 'level' ? `Level ${room.finish.grade}` : `Quality ${room.finish.grade}`;
  return `${grade} · ${decorationName(room.decoration)}`;
}

export const decorationName = (id: Decoration): string => DECORATION_FACTS[id].name;

/** What is to be said beside a class that does not wholly suit a coat. */
export const FIT_NOTE: Record<Fit, string> = {
  no: ', not for this',
  poor: ', poor for this',
  dents: ', dents only',
  contested: ', contested',
  covered: ', wants a drying coat over it',
  thinned: ', thinned',
  yes: '',
};

/** `Butt 2, wall 1` of a joint in a plan; an angle by its two faces. */
export function jointName(plan: Pick<RoomPlan, 'faces' | 'joints'>, id: string): string {
  const joint = plan.joints.find((j) => j.id === id);
  if (!joint) return id;
  const kind = JOINT_NAME[joint.kind].replace(/ joint$/, '');
  if (joint.other) return `${kind}, ${faceName(plan, joint.face)} and ${faceName(plan, joint.other)}`;
  const number = /-(\d+)$/.exec(id)?.[1];
  return `${kind}${number ? ` ${number}` : ''}, ${faceName(plan, joint.face)}`;
}
