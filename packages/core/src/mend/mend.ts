import { given, input, type Why } from '../book';
import type { Supplied } from '../compound';
import { hardening, type Hardening } from '../drying';
import { needsOf } from '../finish';
import {
  MEND_PASSES,
  type Bare,
  type Climate,
  type Coat,
  type CompoundId,
  type Damage,
  type DamageKind,
  type FinishSpec,
  type Mending,
  type MendPass,
  type Room,
  type Way,
} from '../job';
import { countOf, coveredMm2, isApart, LAYS, REPAIR, type RepairStep } from '../repair';
import type { SectionMemo } from '../takeoff';
import { say } from '../texts';
import type { Floated } from './float';
import { classFor, floatOf, laidBy, wetnessOf } from './laid';
import { dustOf, sandMinOf, takesOf } from './takes';

/** Mud of one pass over a spot, or the sealer that has to dry before the first. */
export interface MendLayer {
  pass: MendPass;
  step: RepairStep;
  coat: Coat | undefined;
  compound: CompoundId | undefined;
  /** Set time of the bag, min; none where it only dries. */
  setMin: number | undefined;
  wetL: number;
  /** Its thickest layer, and how thick each of its layers lies, mm wet. */
  layerMm: number;
  waitsMm: readonly number[];
  /** Work of one person on all spots alike, what comes before the first mud with it, min; and the mud alone. */
  minutes: number;
  mudMin: number;
  how: Hardening['how'];
  earlyMin: number;
  hardenMin: number;
  lateMin: number;
}

/** How a spot, or so many alike, is mended by itself. */
export interface Mend {
  /** Of the damage. */
  id: string;
  kind: DamageKind;
  count: number;
  face?: string;
  finding?: string;
  sizeMm: number;
  widthMm: number;
  depthMm: number;
  on: Bare;
  steps: RepairStep[];
  layers: MendLayer[];
  sandMin: number;
  /** What it takes beside mud. */
  tapeMm: number;
  screws: number;
  patchM2: number;
  stripsMm: number;
  beadMm: number;
  sealL: number;
  dustKg: number;
  /** From the first touch until it is sanded, waits at their latest, were it the only one, min. */
  takesMin: number;
  /** All of that fits into one day of work. */
  oneVisit: boolean;
  /** From sanding to paint, min: what lies deep stays damp. */
  paintAfterMin: number;
  float?: Floated;
  why: Why;
}

/** What spots are mended by. */
export interface Mends {
  way: Way;
  climate: Climate;
  book: Supplied;
  memo: SectionMemo;
  /** Set times at hand, min, the shortest first. */
  sets: readonly number[];
  /** A day of work, min. */
  dayMin: number;
  mending: Mending;
}

/** Deeper than this setting compound is hard long before it is dry, mm. */
const DEEP_MM = 6;
/** Less than so much in one spot gives off its water in an hour or two however deep it lies, L. */
const DEEP_L = 0.005;
/** Less than so much is prepared as if it were so much: of a metre, of a square metre. */
const LEAST_PREP = 0.5;

/** How every spot of a room that is mended by itself is mended. */
export function mendsOf(room: Room, by: Mends): Mend[] {
  const own = (room.damage ?? [])
    .filter((spot) => isApart(room, spot))
    .map((spot) => layersOf(spot, room, by));
  // One bag serves all that is laid in one pass through the room.
  const sets = new Map(
    MEND_PASSES.map((pass) => [
      pass,
      setFor(
        own
          .flatMap(({ layers }) => layers)
          .filter((one) => one.pass === pass && one.compound?.startsWith('setting'))
          .reduce((sum, one) => sum + one.mudMin, 0),
        by,
      ),
    ]),
  );
  return own.map((spot) => mendOf(spot, room, sets, by));
}

/** So many pans are mixed one after the other before a slower bag is taken. */
const MOST_PANS = 4;

/** The quickest bag that serves what is laid in few pans: each is used up before it stiffens. */
function setFor(mudMin: number, { sets, book }: Mends): number {
  const worksMin = (set: number): number => set * 0.8 - book.panMixMin.value;
  return sets.find((set) => MOST_PANS * worksMin(set) >= mudMin) ?? sets.at(-1) ?? 60;
}

/** How a face of a room is to look. */
const lookOf = ({ faces, finish, decoration, light }: Room, face: string | undefined): FinishSpec => ({
  finish,
  decoration,
  light,
  ...(face === undefined ? {} : pick(faces?.[face])),
});
const pick = ({ finish, decoration, light }: Partial<FinishSpec> = {}): Partial<FinishSpec> => ({
  ...(finish ? { finish } : {}),
  ...(decoration ? { decoration } : {}),
  ...(light ? { light } : {}),
});

const bareOf = ({ on, face }: Damage, room: Room): Bare =>
  on ??
  (room.standing || (room.faces?.[face ?? '']?.substrate ?? room.substrate) === 'painted'
    ? 'painted'
    : 'bare');

interface Drafted extends Omit<Mend, 'layers' | 'takesMin' | 'oneVisit' | 'paintAfterMin' | 'why'> {
  layers: Omit<MendLayer, 'setMin' | 'how' | 'earlyMin' | 'hardenMin' | 'lateMin'>[];
}

/** What is laid on a spot, before it is known how long each of it waits. */
function layersOf(spot: Damage, room: Room, by: Mends): Drafted {
  const { id, kind, finding } = spot;
  return { ...drafted(asMended(spot), room, by), id, kind, ...(finding === undefined ? {} : { finding }) };
}

/** Through a hole no wider than that no plug goes: it is packed as an anchor hole is, mm. */
const PLUG_FROM_MM = 25;
const asMended = (spot: Damage): Damage =>
  spot.kind === 'small-hole' && spot.sizeMm <= PLUG_FROM_MM ? { ...spot, kind: 'anchor-hole' } : spot;

/** Spots no wider than that are done by the dozen, mm. */
const TINY_MM = 15;
/** So many spots alike come to the work of so many by themselves: of tiny ones the next is beside the first. */
const workedAs = ({ kind, sizeMm }: Damage, count: number, book: Supplied): number =>
  REPAIR[kind].shape === 'spot' && sizeMm <= TINY_MM ? 1 + (count - 1) * book.tinyShare.value : count;

function drafted(spot: Damage, room: Room, by: Mends): Drafted {
  const { way, book } = by;
  const repair = REPAIR[spot.kind];
  const count = countOf(spot);
  const worked = workedAs(spot, count, book);
  const on = bareOf(spot, room);
  const look = lookOf(room, spot.face);
  const needs = needsOf(look.finish);
  const rough = needs.surface === 'none';
  const widthMm = spot.widthMm ?? (repair.shape === 'field' ? spot.sizeMm : 0);
  const depthMm = spot.depthMm ?? Math.abs(book[`spot-${spot.kind}`].value);
  const steps = repair.steps.filter(
    (step) =>
      (step !== 'scuff' || on === 'painted') &&
      // Where looks do not count what is flush is left so.
      !(rough && step === 'feather' && repair.steps.includes('flush')),
  );
  const float = steps.includes('screed') ? floatOf(spot, { widthMm, depthMm }, look, by) : undefined;
  const sizes = { ...spot, widthMm };
  const paint = worked * (on === 'painted' ? book.scuffMin.value : 0);
  const prep = worked * prepUnits(sizes) * book[`prep-${spot.kind}`].value + paint;
  const layers: Drafted['layers'] = [];
  const add = (
    layer: Omit<Drafted['layers'][number], 'pass' | 'minutes' | 'mudMin'>,
    mudMin: number,
  ): void => {
    const pass = MEND_PASSES[layers.length] ?? 'mend-5';
    layers.push({ ...layer, pass, mudMin, minutes: mudMin + (layers.length === 0 ? prep : 0) });
  };
  const touch = (mm2: number): number =>
    worked * (book.mendTouchMin.value + (mm2 / 1e6 / book.paceMend.value) * 60);
  for (const step of steps) {
    const coat = LAYS[step];
    if (step === 'seal-paper' || step === 'seal-stain') {
      const none = { compound: undefined, wetL: 0, layerMm: 0, waitsMm: [] };
      const m2 = coveredMm2(sizes, 0) / 1e6;
      add(
        { step, coat: undefined, ...none },
        count * (book.mendTouchMin.value + (m2 / book.paceSkim.value) * 60),
      );
    }
    if (coat === undefined) continue;
    const laid = laidBy(step, sizes, { room, depthMm, float, by });
    const compound = classFor(coat, way);
    add(
      { step, coat, compound, ...laid, wetL: count * laid.wetL },
      laid.minutes === undefined ? touch(laid.mm2) : count * laid.minutes,
    );
  }
  return {
    id: spot.id,
    kind: spot.kind,
    count,
    ...(spot.face === undefined ? {} : { face: spot.face }),
    ...(spot.finding === undefined ? {} : { finding: spot.finding }),
    sizeMm: spot.sizeMm,
    widthMm,
    depthMm,
    on,
    steps,
    layers,
    sandMin: rough ? 0 : (sandMinOf(sizes, book) * worked) / count,
    ...takesOf(sizes, steps, book),
    dustKg: rough ? 0 : dustOf(layers, book),
    ...(float ? { float } : {}),
  };
}

const prepUnits = (sizes: Pick<Damage, 'kind' | 'sizeMm'> & { widthMm: number }): number => {
  const { shape } = REPAIR[sizes.kind];
  if (shape === 'spot') return 1;
  return Math.max(LEAST_PREP, shape === 'line' ? sizes.sizeMm / 1000 : (sizes.sizeMm * sizes.widthMm) / 1e6);
};

/** What is laid with how long it waits, and what all of it comes to. */
function mendOf(
  { layers: drafted, ...spot }: Drafted,
  room: Room,
  sets: ReadonlyMap<MendPass, number>,
  { climate, way, book, dayMin }: Mends,
): Mend {
  const substrate =
    spot.on === 'painted' ? 'painted' : room.substrate === 'painted' ? 'paper' : room.substrate;
  const layers = drafted.map((layer): MendLayer => {
    if (layer.compound === undefined) {
      const minutes = book.sealDryMin.value;
      return {
        ...layer,
        setMin: undefined,
        how: 'drying',
        earlyMin: minutes,
        hardenMin: minutes,
        lateMin: minutes,
      };
    }
    const compound = book.compounds[layer.compound];
    const setMin = compound.product?.setMin ?? sets.get(layer.pass) ?? 60;
    const consistency = wetnessOf(layer.coat);
    const { how, hours } = hardening(layer.waitsMm, {
      compound,
      consistency,
      climate,
      tape: layer.coat === 'tape' ? way.tape : undefined,
      book,
      setMin,
      substrate,
    });
    const [early, late] = how === 'setting' ? [book.setEarly, book.setLate] : [book.dryEarly, book.dryLate];
    return {
      ...layer,
      setMin: compound.hardens === 'drying' ? undefined : setMin,
      how,
      earlyMin: hours * 60 * early.value,
      hardenMin: hours * 60,
      lateMin: hours * 60 * late.value,
    };
  });
  const takesMin = layers.reduce((sum, { minutes, lateMin }) => sum + minutes + lateMin, spot.sandMin);
  const deep = layers.some(
    ({ how, layerMm, wetL }) => how === 'setting' && layerMm > DEEP_MM && wetL > DEEP_L * spot.count,
  );
  return {
    ...spot,
    layers,
    takesMin,
    oneVisit: takesMin <= dayMin,
    paintAfterMin: deep ? book.deepPaintH.value * 60 : 0,
    why: {
      rule: say(layers.some(({ how }) => how === 'setting') ? 'why.mend' : 'why.mend-dry'),
      inputs: [
        given(
          say('why.mend.work'),
          layers.reduce((sum, { minutes }) => sum + minutes, spot.sandMin),
          'min',
        ),
        ...layers.map((layer) =>
          given(say('why.mend.wait', { step: say(`mend.${layer.step}`) }), layer.lateMin, 'min'),
        ),
        given(say('why.mend.day'), dayMin, 'min'),
        given(say('why.mend.on'), say(`bare.${spot.on}`), '', 'entered'),
        input(book[`prep-${spot.kind}`]),
        input(book.panMixMin),
        input(book[spot.on === 'painted' ? 'setRecoatPainted' : 'setRecoat']),
        input(book.setLate),
        input(book.dryLate),
      ],
    },
  };
}
