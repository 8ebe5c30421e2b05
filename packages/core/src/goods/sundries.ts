import { given, input, type WhyInput } from '../book';
import type { BoardRow } from '../coat';
import type { Supplied } from '../compound';
import { needsOf, primerOf } from '../finish';
import {
  newJob,
  type Coat,
  type DamageKind,
  type Finish,
  type Job,
  type FinishSpec,
  type Primer,
  type Room,
  type Step,
} from '../job';
import type { Mend } from '../mend';
import { countOf, withCoats } from '../repair';
import { dustOf, type RoomUse } from '../takeoff';
import { say, type Message } from '../texts';
import { once, type UnitSystem } from '../units';
import { PRESETS, type Preset } from '../way';
import { lackingTools, toolOf } from './tools';
import { packageId, packSold, type Prices } from './wares';
import type { Sold } from './packages';
import { pieces, PRIMER_PAILS, type Pack } from './sundry-packs';

/** A room as far as sundries go by it. */
export interface RoomGoods {
  id: string;
  floorM2: number;
  fasteners: number;
  use: RoomUse;
  areas: readonly (FinishSpec & {
    id: string;
    finish: Finish;
    boardAreaM2: number;
    rows: readonly BoardRow[];
    use: RoomUse;
  })[];
  steps: readonly { step: Step; labourMin: number }[];
  mends?: readonly Mend[];
}

export interface SundryContext {
  job: Pick<Job, 'units' | 'way' | 'shop' | 'rooms' | 'calendar'>;
  rooms: readonly RoomGoods[];
  book: Supplied;
}

export type SundryKind = 'screws' | 'abrasive' | 'primer' | 'masking' | 'dust' | 'patch' | 'tool';

/** Something the work uses up beside mud, tape and bead. */
export interface Sundry {
  id: string;
  kind: SundryKind;
  name: Message;
  unit: 'L' | 'mm' | 'm2' | 'count';
  likely: number;
  inputs: WhyInput[];
  packages: Sold[];
}

/** What a litre costs, typical. */
const PER_L: Record<Exclude<Primer, 'none'>, number> = { primer: 4.5, sealer: 6, 'high-build': 8 };

const sum = <T>(list: readonly T[], of: (one: T) => number): number =>
  list.reduce((all, one) => all + of(one), 0);

const smooth = ({ finish }: { finish: Finish }): boolean => {
  const { surface } = needsOf(finish);
  return surface === 'sanded' || surface === 'scrape' || surface === 'skim';
};

/** What the last coat on an area's faces and flats is made of: it is that which is sanded. */
const lastUsed = once(({ uses }: RoomUse) => {
  const order: readonly Coat[] = ['skim', 'finish', 'fill', 'tape'];
  return order
    .flatMap((coat) => uses.filter((one) => one.coat === coat && one.wetL > 0 && one.element !== 'heads'))
    .at(0);
});
const lastSets = ({ use }: { use: RoomUse }, book: Supplied): boolean => {
  const last = lastUsed(use);
  return last !== undefined && book.compounds[last.compound].hardens === 'setting';
};

type Make = (context: SundryContext) => Omit<Sundry, 'id' | 'packages' | 'name'> & { packs: Pack[] };

/** Screws for heads that stand proud or have popped, and for what is put behind a large hole. */
const screws: Make = ({ job, rooms, book }) => {
  const heads = sum(rooms, (room) => room.fasteners);
  const spots = job.rooms.flatMap(withCoats);
  const of = (kind: DamageKind): number =>
    sum(
      spots.filter((spot) => spot.kind === kind),
      countOf,
    );
  const [popped, holes] = [of('popped-head'), of('large-hole')];
  const apart = sum(mendsIn(rooms), (mend) => mend.screws);
  return {
    kind: 'screws',
    unit: 'count',
    likely: heads * book.refixShare.value + popped + holes * SCREWS_A_HOLE + apart,
    inputs: [
      given(say('sundry.heads'), heads, 'count'),
      input(book.refixShare),
      given(say('sundry.popped'), popped, 'count'),
      given(say('sundry.holes'), holes, 'count'),
      ...(apart > 0 ? [given(say('sundry.mended'), apart, 'count')] : []),
    ],
    packs: [pieces(200, 0.7, 7), pieces(1000, 3.4, 24)],
  };
};
const SCREWS_A_HOLE = 8;

const mendsIn = (rooms: readonly RoomGoods[]): readonly Mend[] => rooms.flatMap((room) => room.mends ?? []);

/** Board for what is cut out, and strips that hold it. */
const patches: Make = ({ rooms }) => {
  const m2 = sum(mendsIn(rooms), (mend) => mend.patchM2);
  return {
    kind: 'patch',
    unit: 'm2',
    likely: m2,
    inputs: [given(say('sundry.cut-out'), m2, 'm2')],
    packs: [
      {
        id: 'piece-0',
        kind: 'pack',
        holds: 0.36,
        massKg: 3.2,
        price: 6,
        name: say('sundry.patch-piece', { area: 0.36 }),
      },
    ],
  };
};
const strips: Make = ({ rooms }) => {
  const mm = sum(mendsIn(rooms), (mend) => mend.stripsMm);
  return {
    kind: 'patch',
    unit: 'mm',
    likely: mm,
    inputs: [given(say('sundry.behind'), mm / 1000, 'm')],
    packs: [
      {
        id: 'strip-2',
        kind: 'pack',
        holds: 2400,
        massKg: 1.5,
        price: 4,
        name: say('sundry.strip', { length: 2400 }),
      },
    ],
  };
};

/** Discs of one grit: every sanded face is gone over once with each. */
const discs: Make = ({ rooms, book }) => {
  const areas = rooms.flatMap((room) => room.areas).filter(smooth);
  const setting = sum(
    areas.filter((area) => lastSets(area, book)),
    (area) => area.boardAreaM2,
  );
  const other = sum(areas, (area) => area.boardAreaM2) - setting;
  return {
    kind: 'abrasive',
    unit: 'count',
    likely: other / book.discM2.value + setting / book.discSettingM2.value,
    inputs: [
      given(say('sundry.sanded'), other, 'm2'),
      input(book.discM2),
      ...(setting > 0 ? [given(say('sundry.sanded-setting'), setting, 'm2'), input(book.discSettingM2)] : []),
    ],
    packs: [pieces(5, 0.15, 8), pieces(25, 0.7, 32)],
  };
};

/** Sheets for what is sanded by hand between coats, where the way has it so. */
const sheets: Make = ({ job, rooms, book }) => {
  const coats = new Set<Coat>(['tape', 'fill']);
  const mm =
    job.way.between === 'sand'
      ? sum(rooms, ({ use }) =>
          sum(
            use.uses.filter(({ coat, element }) => coats.has(coat) && !COUNTED.has(element)),
            ({ amount }) => amount,
          ),
        )
      : 0;
  return {
    kind: 'abrasive',
    unit: 'count',
    likely: mm / 1000 / book.sheetM.value,
    inputs: [given(say('sundry.between'), mm / 1000, 'm'), input(book.sheetM)],
    packs: [pieces(10, 0.3, 7)],
  };
};
const COUNTED = new Set<string>(['heads', 'repairs', 'face']);

/** Angled sponges: the pad is kept out of inside angles. */
const sponges: Make = ({ rooms, book }) => {
  const mm = sum(rooms.flatMap((room) => room.areas).filter(smooth), ({ use }) => use.amounts.angles);
  return {
    kind: 'abrasive',
    unit: 'count',
    likely: mm / 1000 / book.spongeM.value,
    inputs: [given(say('sundry.angles'), mm / 1000, 'm'), input(book.spongeM)],
    packs: [pieces(1, 0.03, 4)],
  };
};

const COVERS = { primer: 'primerL', sealer: 'sealerL', 'high-build': 'highBuildL' } as const;

/** Primer of one sort, by what the decoration of each area wants under it. */
const primer =
  (sort: Exclude<Primer, 'none'>): Make =>
  ({ job, rooms, book }) => {
    const areas = rooms.flatMap((room) => room.areas).filter((area) => primerOf(area) === sort);
    const m2 = sum(areas, (area) => area.boardAreaM2);
    const covers = book[COVERS[sort]];
    const sealed = sort === 'sealer' ? sum(mendsIn(rooms), (mend) => mend.sealL) : 0;
    return {
      kind: 'primer',
      unit: 'L',
      likely: (m2 * covers.value) / 100 + sealed,
      inputs: [
        given(say('sundry.primed'), m2, 'm2'),
        input(covers),
        ...(sealed > 0 ? [given(say('sundry.sealed'), sealed, 'L')] : []),
      ],
      packs: PRIMER_PAILS[job.units](PER_L[sort]),
    };
  };

/** Rolls as they are sold in each system: film, m² (10 × 50 ft), and masking tape, mm (60 yd). */
const FILM_ROLL_M2: Record<UnitSystem, number> = { feet: 46.4515, metric: 50 };
const MASKING_ROLL_MM: Record<UnitSystem, number> = { feet: 54864, metric: 50000 };

/** Film over the floors. */
const film: Make = ({ job: { units }, rooms, book }) => {
  const area = FILM_ROLL_M2[units];
  const m2 = sum(rooms, (room) => room.floorM2);
  return {
    kind: 'masking',
    unit: 'm2',
    likely: m2 * book.coverOver.value,
    inputs: [given(say('sundry.floor'), m2, 'm2'), input(book.coverOver)],
    packs: [
      {
        id: 'roll-50',
        kind: 'roll',
        holds: area,
        massKg: 1.1,
        price: 9,
        name: say('sundry.film-roll', { area }),
      },
    ],
  };
};

/** Tape around what stays clean: windows and doors. */
const masking: Make = ({ job }) => {
  const around = ({ openings }: Pick<Room, 'openings'>): number =>
    sum(openings, ({ kind, widthMm, heightMm }) =>
      kind === 'opening' ? 0 : kind === 'door' ? widthMm + 2 * heightMm : 2 * (widthMm + heightMm),
    );
  const mm = sum(job.rooms, around);
  const length = MASKING_ROLL_MM[job.units];
  return {
    kind: 'masking',
    unit: 'mm',
    likely: mm,
    inputs: [given(say('sundry.around'), mm / 1000, 'm')],
    packs: [
      {
        id: 'roll-50',
        kind: 'roll',
        holds: length,
        massKg: 0.25,
        price: 5,
        name: say('order.roll', { length }),
      },
    ],
  };
};

/** Bags of the vacuum at the pad. */
const bags: Make = ({ job, rooms, book }) => {
  const kg = sum(rooms, (room) => dustOf(room, job.way, book)) + sum(mendsIn(rooms), (mend) => mend.dustKg);
  return {
    kind: 'dust',
    unit: 'count',
    likely: kg / book.bagKg.value,
    inputs: [given(say('sundry.dust'), kg, 'kg'), input(book.bagKg)],
    packs: [pieces(1, 0.1, 6), pieces(5, 0.5, 24)],
  };
};

/** Filters for the respirators of those who sand, at least a pair each. */
const filters: Make = ({ job: { calendar }, rooms, book }) => {
  const min = sum(rooms, ({ steps }) =>
    sum(
      steps.filter(({ step }) => step === 'sand' || step === 'mend-sand'),
      ({ labourMin }) => labourMin,
    ),
  );
  const people = calendar.people
    ? calendar.people.filter(({ leaves }) => !leaves?.includes('sand')).length
    : calendar.crew;
  const hours = min / 60;
  return {
    kind: 'dust',
    unit: 'count',
    likely: hours > 0 ? Math.max(people, hours / book.filterH.value) : 0,
    inputs: [
      given(say('sundry.sanding'), hours, 'h'),
      given(say('sundry.people'), people, 'count'),
      input(book.filterH),
    ],
    packs: [{ ...pieces(1, 0.08, 14), name: say('sundry.pair') }],
  };
};

/** Every sundry, in the order it is listed. */
const MAKES = {
  screws,
  patch: patches,
  strips,
  'disc-150': discs,
  'disc-220': discs,
  sheet: sheets,
  sponge: sponges,
  primer: primer('primer'),
  sealer: primer('sealer'),
  'high-build': primer('high-build'),
  film,
  masking,
  'dust-bag': bags,
  filter: filters,
} satisfies Record<string, Make>;
export type SundryId = keyof typeof MAKES;
const ALL = Object.entries(MAKES) as [SundryId, Make][];

export const sundryWare = (id: string): string => `sundry/${id}`;

/** Every package of a sundry that is sold in jobs of some units, and what is typical to pay. */
export function sundryShelf(units: UnitSystem, book: Supplied): { id: string; price: number }[] {
  const job = newJob('none', 'none', units, '2026-01-01', (PRESETS[0] as Preset).way);
  return ALL.flatMap(([id, make]) =>
    make({ job, rooms: [], book }).packs.map((pack) => ({
      id: packageId(sundryWare(id), pack.id),
      price: pack.price,
    })),
  );
}

/** What the work uses up beside mud, tape and bead, and the blades it asks for that are not among the tools. */
export function sundriesOf(context: SundryContext, prices: Prices): Sundry[] {
  const used = ALL.flatMap(([id, make]): Sundry[] => {
    const { packs, ...made } = make(context);
    if (made.likely <= 1e-9) return [];
    const packages = packs.map(({ name, ...pack }) => packSold(sundryWare(id), pack, name, prices));
    return [{ ...made, id, name: say(`sundry.${id}`), packages }];
  });
  return [
    ...used,
    ...lackingTools(context).map(({ tool, cells }): Sundry => {
      const { pack, ...made } = toolOf(tool, cells);
      return { ...made, packages: [packSold(sundryWare(tool.id), pack, say('sundry.piece'), prices)] };
    }),
  ];
}
