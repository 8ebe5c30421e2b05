import type { Check, Element, Step } from '../job';
import { say, type Message } from '../texts';

export interface DueCheck {
  check: Check;
  when: 'before' | 'during' | 'after';
  text: Message;
}

interface Rule {
  check: Check;
  when: DueCheck['when'];
  steps: readonly Step[];
  /** Only where one of these rows is in the task. */
  rows?: readonly Element[];
}

const OVER: readonly Step[] = ['float', 'fill', 'finish', 'cover', 'skim'];
const TAPED: readonly Element[] = ['flats', 'mixed', 'recessed', 'butts', 'angles'];

/** What is looked at, and when, in the order one does. */
const RULES: readonly Rule[] = [
  { check: 'gaps-open', when: 'before', steps: ['prefill'] },
  { check: 'chip', when: 'before', steps: [...OVER, 'sand'] },
  { check: 'dry-blade', when: 'before', steps: ['tape'], rows: ['heads'] },
  { check: 'cut-edges', when: 'before', steps: ['tape'], rows: ['butts', 'mixed', 'corners'] },
  { check: 'rings-crumbs', when: 'before', steps: OVER },
  { check: 'mask', when: 'before', steps: ['sand'] },
  { check: 'rim', when: 'during', steps: ['prefill', 'tape', ...OVER] },
  { check: 'bead-valley', when: 'after', steps: ['tape'], rows: ['corners'] },
  { check: 'tape-tight', when: 'after', steps: ['tape'], rows: TAPED },
  { check: 'angle-straight', when: 'after', steps: ['tape', 'fill', 'finish'], rows: ['angles'] },
  { check: 'edges-thin', when: 'after', steps: OVER, rows: [...TAPED, 'repairs', 'face'] },
  { check: 'heads-felt', when: 'after', steps: ['finish'], rows: ['heads'] },
  { check: 'lamp', when: 'after', steps: ['finish', 'cover', 'skim', 'sand'] },
];

/** The checks of a task. */
export const checksFor = (step: Step, rows: readonly Element[]): DueCheck[] =>
  RULES.filter(
    (rule) => rule.steps.includes(step) && (!rule.rows || rule.rows.some((row) => rows.includes(row))),
  ).map(({ check, when }) => ({ check, when, text: say(`check.${check}`) }));
