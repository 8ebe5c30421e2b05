import type { Element, JointKind } from './vocabulary';

/** How a joint is cut across: by the two edges that meet, or by two faces laid flat side by side. */
export type JointEdge = 'taper' | 'butt' | 'mixed' | 'recessed' | 'angle' | 'bead';

/** What hangs on the kind of a joint. */
export interface JointFacts {
  /** The row of the coat board it is worked in. */
  element: Element;
  edge: JointEdge;
  /** Its line on a drawing, told apart by width and dashes, mm. */
  line: { widthMm: number; dashesMm?: readonly number[]; round?: boolean };
  /** The single key that calls a joint of the board so; angles and corners are what the walls make them. */
  key?: string;
}

const fact = (
  element: Element,
  edge: JointEdge,
  widthMm: number,
  dashesMm?: readonly number[],
  more: Pick<JointFacts, 'key'> & { round?: boolean } = {},
): JointFacts => {
  const { round, ...rest } = more;
  return {
    element,
    edge,
    line: { widthMm, ...(dashesMm ? { dashesMm } : {}), ...(round ? { round } : {}) },
    ...rest,
  };
};

/** Every kind of joint, and all that follows from it: a new kind is one entry here and what the compiler asks for. */
export const JOINT: Record<JointKind, JointFacts> = {
  tapered: fact('flats', 'taper', 6, undefined, { key: 'f' }),
  butt: fact('butts', 'butt', 10, [30, 30], { key: 'b' }),
  mixed: fact('mixed', 'mixed', 8, [80, 20], { key: 'm' }),
  'recessed-butt': fact('recessed', 'recessed', 8, [80, 20, 20, 20], { key: 'r' }),
  'inside-angle': fact('angles', 'angle', 14, [1, 40], { round: true }),
  'outside-corner': fact('corners', 'bead', 26),
  'off-angle-inside': fact('angles', 'angle', 14, [1, 40, 60, 40], { round: true }),
  'off-angle-outside': fact('corners', 'bead', 26, [120, 40]),
  trim: fact('corners', 'bead', 8, [50, 30]),
};
