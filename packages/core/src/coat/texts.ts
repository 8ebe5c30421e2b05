import type { BeadKind, Coat, Element } from '../job';
import { say, type Message } from '../texts';
import { beadText } from '../way';

/** What a coat is for, what to leave alone at it, and how to tell that it is done. */
export interface CoatText {
  aim: Message;
  leave: Message;
  done: Message;
}

const usual = (coat: Coat): CoatText => ({
  aim: say(`coat.${coat}.aim`),
  leave: say(`coat.${coat}.leave`),
  done: say(`coat.${coat}.done`),
});

/** What is said otherwise of a row. */
const OWN: Partial<Record<`${Element}.${Coat}`, Partial<CoatText>>> = {
  'angles.tape': { aim: say('coat.angles.tape.aim'), done: say('coat.angles.tape.done') },
  'angles.fill': { leave: say('coat.angles.fill.leave') },
  'angles.finish': { aim: say('coat.angles.finish.aim') },
  'corners.tape': { aim: say('coat.corners.tape.aim') },
  'heads.tape': { aim: say('coat.heads.tape.aim'), done: say('coat.heads.tape.done') },
  'heads.fill': { aim: say('coat.heads.fill.aim') },
  'heads.finish': { aim: say('coat.heads.finish.aim'), done: say('coat.heads.finish.done') },
  'repairs.prefill': { aim: say('coat.repairs.prefill.aim') },
  'repairs.finish': { aim: say('coat.repairs.finish.aim') },
};

export function coatText(element: Element, coat: Coat, bead?: BeadKind): CoatText {
  const own = { ...usual(coat), ...OWN[`${element}.${coat}`] };
  return bead && coat !== 'prefill'
    ? { ...own, done: say('coat.done-bead', { done: own.done, mind: beadText(bead).mind }) }
    : own;
}
