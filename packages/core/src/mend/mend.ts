import { given, input, type Why } from '../book';
import type { Supplied } from '../compound';
import { hardening, type Hardening } from '../drying';
import { DECORATION_FACTS, grazingOf, needsOf, toleranceOf } from '../finish';
import {
  MEND_PASSES,
  type Bare,
  type Climate,
  type Coat,
  type CompoundId,
  type Damage,
  type DamageKind,
  type Look,
  type Mending,
  type MendPass,
  type Room,
  type Way,
} from '../job';
import { showsAbove } from '../light';
import { countOf, coveredMm2, isApart, LAYS, REPAIR, tapedMm, type RepairStep } from '../repair';
import { solidsKgL, type SectionMemo } from '../takeoff';
import { say } from '../texts';
import { compoundFor } from '../way';
import { floatFor, type Floated } from './float';

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
const lookOf = ({ faces, finish, decoration, light }: Room, face: string | undefined): Look => ({
  finish,
  decoration,
  light,
  ...(face === undefined ? {} : pick(faces?.[face])),
});
const pick = ({ finish, decoration, light }: Partial<Look> = {}): Partial<Look> => ({
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
  const { way, book } = by;
  const repair = REPAIR[spot.kind];
  const count = countOf(spot);
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
  const paint = count * (on === 'painted' ? book.scuffMin.value : 0);
  const prep = count * prepUnits(sizes) * book[`prep-${spot.kind}`].value + paint;
  const layers: Drafted['layers'] = [];
  const add = (
    layer: Omit<Drafted['layers'][number], 'pass' | 'minutes' | 'mudMin'>,
    mudMin: number,
  ): void => {
    const pass = MEND_PASSES[layers.length] ?? 'mend-5';
    layers.push({ ...layer, pass, mudMin, minutes: mudMin + (layers.length === 0 ? prep : 0) });
  };
  const touch = (mm2: number): number =>
    count * (book.mendTouchMin.value + (mm2 / 1e6 / book.paceMend.value) * 60);
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
  const reach = book.repairReachMm.value;
  const sandMin =
    count * book.mendSandMin.value +
    ((count * coveredMm2(sizes, 2 * reach)) / 1e6 / book.paceSand.value) * 60;
  const last = layers.findLast(({ wetL }) => wetL > 0);
  const over = last?.compound && book.compounds[last.compound];
  const share = over ? book[over.hardens === 'drying' ? 'dustDrying' : 'dustSetting'].value : 0;
  const area = spot.kind === 'small-hole' || spot.kind === 'large-hole' ? (spot.sizeMm / 1000) ** 2 : 0;
  const metres = Math.max(repair.shape === 'line' ? spot.sizeMm / 1000 : 1, LEAST_PREP);
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
    sandMin: steps.includes('sand') && !rough ? sandMin : 0,
    // A plug carries its own paper.
    tapeMm: steps.includes('bed') ? count * tapedMm(sizes) : 0,
    screws: count * Math.ceil((repair.screws ?? 0) * metres),
    patchM2: repair.patch ? count * area * 1.2 : 0,
    stripsMm: count * (repair.strips ?? 0) * (spot.sizeMm + 100),
    beadMm: repair.bead ? count * spot.sizeMm : 0,
    sealL: repair.sealer ? ((count * coveredMm2(sizes, reach)) / 1e6) * (book.sealerL.value / 100) : 0,
    dustKg: over && last ? last.wetL * solidsKgL(over) * share : 0,
    ...(float ? { float } : {}),
  };
}

const prepUnits = (sizes: Pick<Damage, 'kind' | 'sizeMm'> & { widthMm: number }): number => {
  const { shape } = REPAIR[sizes.kind];
  if (shape === 'spot') return 1;
  return Math.max(LEAST_PREP, shape === 'line' ? sizes.sizeMm / 1000 : (sizes.sizeMm * sizes.widthMm) / 1e6);
};

/** Setting compound below, as deep as it is packed; a coat that dries on top of it, in every way of working. */
function classFor(coat: Coat, way: Way): CompoundId {
  if (coat === 'prefill') return `setting-${way.prefill}`;
  if (coat === 'tape' || coat === 'fill') return 'setting-light';
  const own = compoundFor(way, coat);
  return own.startsWith('drying') && own !== 'drying-taping' ? own : 'drying-light';
}

const floatOf = (
  spot: Damage,
  { widthMm, depthMm }: { widthMm: number; depthMm: number },
  look: Look,
  { way, book, memo }: Mends,
): Floated => {
  const { sheen } = DECORATION_FACTS[look.decoration];
  const tolerance = toleranceOf(look.finish);
  return floatFor(
    {
      kind: spot.kind === 'step' ? 'step' : 'low',
      depthMm,
      acrossMm: Math.min(spot.sizeMm, widthMm || spot.sizeMm),
    },
    {
      hollowMm: tolerance && book[tolerance].value,
      contrast: sheen ? showsAbove(sheen, book) : Infinity,
      grazingDeg: grazingOf(look.light),
    },
    ['setting-light', classFor('finish', way)],
    book,
    memo,
  );
};

interface Laid {
  wetL: number;
  layerMm: number;
  waitsMm: readonly number[];
  /** The face it covers. */
  mm2: number;
  /** Where it goes a pace of its own. */
  minutes?: number;
}

/** Mud of one step over one spot. */
function laidBy(
  step: RepairStep,
  spot: Damage & { widthMm: number },
  {
    room,
    depthMm,
    float,
    by: { book, mending, way },
  }: { room: Room; depthMm: number; float: Floated | undefined; by: Mends },
): Laid {
  const { shape, packed } = REPAIR[spot.kind];
  const reach = book.repairReachMm.value;
  const metres = spot.sizeMm / 1000;
  const flat = (mm2: number, filmMm: number, thickMm = filmMm): Laid => ({
    wetL: (mm2 * filmMm) / 1e6,
    ...thick(thickMm),
    mm2,
  });
  const thick = (mm: number, mostMm = Infinity) => {
    const layers = Math.max(1, Math.ceil(mm / mostMm - 1e-9));
    return { layerMm: mm / layers, waitsMm: Array.from({ length: layers }, () => mm / layers) };
  };
  switch (step) {
    case 'pack': {
      const deep = Math.max(packed * room.board.thicknessMm, spot.depthMm ?? 0);
      const gap = book.gapMm.value;
      // Around a new piece a gap is packed as joints are, and hardens by its width.
      if (spot.kind === 'large-hole') {
        const mm2 = 4 * spot.sizeMm * gap;
        return { wetL: (mm2 * room.board.thicknessMm) / 1e6, ...thick(gap), mm2 };
      }
      const mm2 = shape === 'line' ? spot.sizeMm * gap * 4 : coveredMm2(spot, 0);
      const { maxMm } = book.compounds[`setting-${way.prefill}`];
      return { wetL: (mm2 * deep) / 1e6, ...thick(deep, maxMm), mm2 };
    }
    case 'bed':
    case 'flange': {
      const wide = book.tapeWidthMm.value + book.bedRampMm.value;
      return flat(
        Math.max(tapedMm(spot), spot.sizeMm) * wide,
        book.bedMm.value,
        Math.max(1, book.bedMm.value),
      );
    }
    case 'bed-bead':
      return {
        ...flat(spot.sizeMm * 200, book.bedMm.value, Math.max(1, depthMm)),
        minutes: (metres / book.paceBead.value) * 60,
      };
    case 'screed': {
      if (!float) return flat(0, 0);
      return {
        wetL: float.floatLPerM * metres,
        ...thick(float.layerMm * float.layers, book.compounds['setting-light'].maxMm),
        mm2: spot.sizeMm * float.widthMm,
        minutes: ((spot.sizeMm * float.widthMm) / 1e6 / book.paceFloat.value) * 60,
      };
    }
    case 'flush': {
      // The film over it, and the spot itself where nothing was packed into it.
      const film = flat(coveredMm2(spot, reach), book.repairFillMm.value);
      const own = packed > 0 || shape === 'line' ? 0 : (coveredMm2(spot, 0) * depthMm) / 2e6;
      const { maxMm, minMm } = book.compounds['setting-light'];
      const deep = own > 0 ? Math.max(depthMm, book.repairFillMm.value) : book.repairFillMm.value;
      return { ...film, wetL: film.wetL + own, ...thick(Math.max(minMm, deep), maxMm) };
    }
    case 'skim':
    case 'skim-across': {
      const mm2 = coveredMm2(spot, 0);
      return { ...flat(mm2, book.skimMm.value), minutes: (mm2 / 1e6 / book.paceSkim.value) * 60 };
    }
    default: {
      const film = mending === 'one-visit' ? book.repairTightMm.value : book.repairFinishMm.value;
      if (float)
        return { ...flat(spot.sizeMm * (float.widthMm + 100), film), wetL: float.coverLPerM * metres };
      return flat(coveredMm2(spot, 2 * reach), film);
    }
  }
}

/** What is laid with how long it waits, and what all of it comes to. */
function mendOf(
  { layers: drafted, ...spot }: Drafted,
  room: Room,
  sets: ReadonlyMap<MendPass, number>,
  { climate, book, dayMin }: Mends,
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
    const consistency = layer.coat === 'finish' ? 'C4' : layer.coat === 'skim' ? 'C5' : 'C2';
    const taped = layer.coat === 'tape';
    const { how, hours } = hardening(layer.waitsMm, {
      compound,
      consistency,
      climate,
      taped,
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
  const deep = layers.some(({ how, layerMm }) => how === 'setting' && layerMm > DEEP_MM);
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
