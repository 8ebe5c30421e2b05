import type { Coat, Decoration, Element, JointKind, Room, Step, Substrate } from '@lisse/core';
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
  butts: 'Butts',
  angles: 'Angles',
  corners: 'Corners',
  heads: 'Heads',
  face: 'Whole face',
};

export const COAT_NAME: Record<Coat, string> = {
  prefill: 'Prefill',
  tape: 'Tape',
  fill: 'Fill',
  finish: 'Finish',
  skim: 'Skim',
};

export const STEP_NAME: Record<Step, string> = { ...COAT_NAME, sand: 'Sand' };

export const SUBSTRATE_NAME: Record<Substrate, string> = {
  paper: 'bare paper',
  'glass-mat': 'glass-mat face',
  painted: 'painted',
  plaster: 'plaster',
};

/** `ceiling`, `wall 1`. */
export function faceName(id: string): string {
  return id === 'ceiling' ? 'ceiling' : `wall ${Number(id.slice(5)) + 1}`;
}

/** `Level 5 · eggshell or satin paint`. */
export function roomLine(room: Room): string {
  const grade = room.finish.scale === 'level' ? `Level ${room.finish.grade}` : `Quality ${room.finish.grade}`;
  return `${grade} · ${decorationName(room.decoration)}`;
}

export const decorationName = (id: Decoration): string => DECORATION_FACTS[id].name;
