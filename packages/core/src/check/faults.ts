import type { Bare, Damage, DamageKind, Fault, RoundStage } from '../job';
import { REPAIR } from '../repair';
import { say, type Message } from '../texts';

/** What is known of a kind of finding. */
export interface FaultFacts {
  /** How it comes about, what to do now, what to change next time. */
  cause: Message;
  now: Message;
  next: Message;
  /** How to tell it from the others. */
  sign: Message;
  /** The repair that cures it, and how large it is where nobody measured, mm; none where only hands can tell. */
  cure: DamageKind | undefined;
  sizeMm: number;
  /** The rounds it is looked for in. */
  stages: readonly RoundStage[];
}

const ALL: readonly RoundStage[] = ['between', 'before-primer', 'after-primer', 'handover'];
const DRY: readonly RoundStage[] = ['before-primer', 'after-primer', 'handover'];
const EARLY: readonly RoundStage[] = ['between', 'before-primer'];
const PRIMED: readonly RoundStage[] = ['after-primer', 'handover'];

const facts = (
  fault: Exclude<Fault, 'other'>,
  cure: DamageKind,
  sizeMm: number,
  stages: readonly RoundStage[],
): FaultFacts => ({
  cause: say(`fault.${fault}.cause`),
  now: say(`fault.${fault}.now`),
  next: say(`fault.${fault}.next`),
  sign: say(`fault.${fault}.sign`),
  cure,
  sizeMm,
  stages,
});

/** Every kind of finding: sign, cause, cure. */
export const FAULT: Readonly<Record<Fault, FaultFacts>> = {
  'loose-tape': facts('loose-tape', 'blister', 150, ALL),
  'tape-edge': facts('tape-edge', 'rough', 600, EARLY),
  crown: facts('crown', 'proud', 1200, DRY),
  hollow: facts('hollow', 'low', 600, DRY),
  'edge-crack': facts('edge-crack', 'rough', 600, ALL),
  ridge: facts('ridge', 'ridge', 1200, ALL),
  'hair-cracks': facts('hair-cracks', 'rough', 400, EARLY),
  pinholes: facts('pinholes', 'rough', 300, ALL),
  shoulders: facts('shoulders', 'proud', 1000, DRY),
  scratches: facts('scratches', 'rough', 300, ALL),
  soft: facts('soft', 'crushed-joint', 300, EARLY),
  flashing: facts('flashing', 'rough', 1200, PRIMED),
  'heads-show': facts('heads-show', 'popped-head', 12, ALL),
  'wavy-angle': facts('wavy-angle', 'angle', 2400, DRY),
  gouge: facts('gouge', 'rough', 200, DRY),
  fuzzed: facts('fuzzed', 'rough', 300, PRIMED),
  dent: facts('dent', 'dent', 30, ALL),
  other: {
    cause: say('fault.other.cause'),
    now: say('fault.other.now'),
    next: say('fault.other.next'),
    sign: say('fault.other.sign'),
    cure: undefined,
    sizeMm: 100,
    stages: ALL,
  },
};

/** What a round looks for: what shows in few rounds is asked before what shows in all of them. */
export const faultsFor = (stage: RoundStage): Fault[] =>
  (Object.entries(FAULT) as [Fault, FaultFacts][])
    .filter(([, { stages }]) => stages.includes(stage))
    .sort(([, a], [, b]) => a.stages.length - b.stages.length)
    .map(([fault]) => fault);

interface Found {
  id: string;
  fault: Fault;
  face?: string;
  place?: [number, number];
  sizeMm?: number;
  depthMm?: number;
}

/** Longer than this torn tape is a length, not a blister, mm. */
const LENGTH_MM = 300;

/**
 * The repair that cures a finding, as damage that is mended by itself; none where only hands can tell.
 * @param on what the face is by now: paint once it is primed and painted
 */
export function cureOf(found: Found, id: string, on?: Bare): Damage | undefined {
  const { cure, sizeMm: usual } = FAULT[found.fault];
  if (cure === undefined) return undefined;
  const sizeMm = found.sizeMm ?? usual;
  const kind = cure === 'blister' && sizeMm > LENGTH_MM ? 'failed-tape' : cure;
  return {
    id,
    kind,
    sizeMm,
    // What shows along a joint is as wide as a joint.
    ...(REPAIR[kind].shape === 'field' && kind !== 'low' ? { widthMm: Math.min(sizeMm, 300) } : {}),
    ...(found.depthMm === undefined ? {} : { depthMm: found.depthMm }),
    ...(found.face === undefined ? {} : { face: found.face }),
    ...(found.place === undefined ? {} : { at: found.place }),
    ...(on === undefined ? {} : { on }),
    apart: true,
    finding: found.id,
  };
}
