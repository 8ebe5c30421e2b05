import type { BeadKind, Coat, Element } from '../job';
import { BEAD } from '../way';

/** What a coat is for, what to leave alone at it, and how to tell that it is done. */
export interface CoatText {
  aim: string;
  leave: string;
  done: string;
}

const text = (aim: string, leave: string, done: string): CoatText => ({ aim, leave, done });

const USUAL: Record<Coat, CoatText> = {
  prefill: text(
    'fills the gap to its depth',
    'smears beside the gap, as long as nothing stands proud',
    'a blade across the gap touches nothing, and a thumbnail leaves no mark',
  ),
  tape: text(
    'holds the tape, no dry spots',
    'bare paper, edges that still show, a low joint',
    'nothing sounds hollow under a knuckle and no edge lifts; dark spots gone',
  ),
  fill: text(
    'hides the tape',
    'pinholes, lap lines and edges; the next coat takes them',
    'the tape cannot be seen nor felt, and the coat is one colour through',
  ),
  finish: text(
    'takes out lines, bubbles and edges',
    'a faint shade at the edges that sanding takes',
    'a lamp along the wall shows no line, and a blade laid across shows no light at its ends',
  ),
  skim: text(
    'one suction, one texture',
    'lap marks that a light sanding takes',
    'the face dries to one colour with no paper showing',
  ),
};

const OWN: Partial<Record<`${Element}.${Coat}`, Partial<CoatText>>> = {
  'angles.tape': {
    aim: 'holds the crease straight and full',
    done: 'the crease is straight to the eye and no bed squeezes when pressed',
  },
  'angles.fill': { leave: 'the other face; it is coated against this one when it is hard' },
  'angles.finish': { aim: 'the other face, against a hard one' },
  'corners.tape': { aim: 'beds the bead, fills to the nose' },
  'heads.tape': { aim: 'fills the dimple', done: 'a dry blade passes without ringing' },
  'heads.fill': { aim: 'covers what shrank' },
  'heads.finish': { aim: 'covers what shrank', done: 'the row cannot be found by hand' },
  'repairs.prefill': { aim: 'fills the hole in layers its compound takes' },
  'repairs.finish': { aim: 'feathers the repair into the face round it' },
};

export function coatText(element: Element, coat: Coat, bead?: BeadKind): CoatText {
  const own = { ...USUAL[coat], ...OWN[`${element}.${coat}`] };
  return bead && coat !== 'prefill' ? { ...own, done: `${own.done}. ${BEAD[bead].mind}` } : own;
}
