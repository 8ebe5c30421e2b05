import {
  coatOf,
  DECORATION_FACTS,
  DECORATIONS,
  ELEMENTS,
  isMend,
  JOINT_KINDS,
  say,
  STEPS,
  type Coat,
  type DamageKind,
  type Decoration,
  type Element,
  type Fit,
  type JointKind,
  type Mend,
  type Message,
  type Room,
  type RoomPlan,
  type Sayable,
  type Step,
} from '@lisse/core';
import { starting } from '../state/texts';
import type { Option } from './choice';

const table = <K extends string>(keys: readonly K[], of: (key: K) => Message): Readonly<Record<K, Message>> =>
  Object.fromEntries(keys.map((key) => [key, of(key)])) as Record<K, Message>;

/** The trade's words for what the core names: within a sentence, and at the start of a line. */
export const JOINT_WORD = table<JointKind>(JOINT_KINDS, (kind) => say(`joint.${kind}`));
export const JOINT_NAME = table<JointKind>(JOINT_KINDS, (kind) => starting(JOINT_WORD[kind]));
export const ELEMENT_NAME = table<Element>(ELEMENTS, (element) => starting(say(`element.${element}`)));
export const STEP_NAME = table<Step>(STEPS, (step) => starting(say(`step.${step}`)));
export const COAT_NAME: Readonly<Record<Coat, Message>> = STEP_NAME;

/** The name of a face in a plan: `ceiling`, `wall 1`, `soffit 1, underside`. */
export function faceName({ faces }: Pick<RoomPlan, 'faces'>, id: string): Sayable {
  let names = facesNamed.get(faces);
  if (!names) {
    names = namesOf(faces);
    facesNamed.set(faces, names);
  }
  return names.get(id) ?? (id === 'counted' ? say('face.counted') : id);
}

const facesNamed = new WeakMap<RoomPlan['faces'], Map<string, Sayable>>();

/** Faces that would be called the same, such as the returns of three windows, are numbered. */
function namesOf(faces: RoomPlan['faces']): Map<string, Sayable> {
  const like = new Map<string, string[]>();
  for (const { id, name } of faces) {
    const key = JSON.stringify(name);
    like.set(key, [...(like.get(key) ?? []), id]);
  }
  return new Map(
    faces.map(({ id, name }) => {
      const same = like.get(JSON.stringify(name)) ?? [];
      return [id, same.length > 1 ? say('face.nth', { face: name, n: same.indexOf(id) + 1 }) : name];
    }),
  );
}

export const damageName = (kind: DamageKind): Message => say(`damage.${kind}`);

/** `3 × dent, 30 mm`. */
export const spotName = ({ count, kind, sizeMm }: Pick<Mend, 'count' | 'kind' | 'sizeMm'>): Message =>
  say('repairs.spot', { count, kind: damageName(kind), size: sizeMm });

/** The tone a step is drawn in: that of its coat, of a fill for spots that are mended, of sanding. */
export const toneOf = (step: Step): Coat | 'sand' =>
  coatOf(step) ?? (isMend(step) && step !== 'mend-sand' ? 'fill' : 'sand');

/** `Level 5 · eggshell or satin paint`. */
export const roomLine = ({ finish, decoration }: Room): Message =>
  say('room.line', {
    grade: starting(say(`grade.${finish.scale}`, finish)),
    decoration: decorationName(decoration),
  });

export const decorationName = (id: Decoration): Message => DECORATION_FACTS[id].name;
export const DECORATION_OPTIONS: readonly Option<Decoration>[] = DECORATIONS.map((value) => ({
  value,
  name: decorationName(value),
}));

/** A class in a list of them, with what is to be said where it does not wholly suit the coat. */
export const fitName = (fit: Fit, compound: Sayable): Message => say(`fit.${fit}`, { compound });

/** `Butt 2, wall 1` of a joint in a plan; an angle by its two faces. */
export function jointName(plan: Pick<RoomPlan, 'faces' | 'joints'>, id: string): Sayable {
  const joint = plan.joints.find((j) => j.id === id);
  if (!joint) return id;
  const kind = starting(say(`joint-short.${joint.kind}`));
  const face = faceName(plan, joint.face);
  if (joint.other) return say('joint.between', { kind, face, other: faceName(plan, joint.other) });
  const number = /-(\d+)$/.exec(id)?.[1];
  return number ? say('joint.nth', { kind, number, face }) : say('joint.on', { kind, face });
}
