import type { Figure, FigureUnit } from './figure';

/** A figure of the trade, with the least and the most that a plan can be made with. */
interface Typical extends Figure {
  readonly least: number;
  readonly most: number;
}

const typical = (
  label: string,
  value: number,
  unit: FigureUnit,
  [least, most]: readonly [number, number],
): Typical => ({ label, value, unit, from: 'typical', least, most });

/**
 * The figures a plan is made with. All are typical of the trade until the user's own replace them;
 * the package, the local code and the listed assembly always win. Lengths mm, volumes L, times min or h.
 */
export const TYPICAL = {
  // Section: tapes, tapers and the bed between them.
  bedMm: typical('wet bed under the tape', 0.6, 'mm', [0.1, 3]),
  bedRampMm: typical('bed feathered out beside the tape', 50, 'mm', [5, 300]),
  tapeWidthMm: typical('tape width', 52, 'mm', [20, 150]),
  paperMm: typical('paper tape thickness', 0.23, 'mm', [0.05, 1]),
  matMm: typical('fibre mat tape thickness', 0.3, 'mm', [0.05, 1.5]),
  meshMm: typical('mesh tape thickness', 0.3, 'mm', [0.05, 1.5]),
  taperDepthMm: typical('depth of a tapered edge', 1.6, 'mm', [0, 6]),
  taperWidthMm: typical('width of a tapered edge', 60, 'mm', [10, 200]),
  humpSpanMm: typical('half the width a hump spreads over', 400, 'mm', [50, 3000]),
  notchWidthMm: typical('butt ends trimmed back this far from the joint', 40, 'mm', [5, 200]),
  gapMm: typical('gap between boards where none was measured', 1.5, 'mm', [0, 30]),

  // What a straightedge of 1200 mm may show.
  hollowRoughMm: typical('hollow under a 1200 mm straightedge, levels 2 and 3', 5, 'mm', [0.5, 30]),
  hollowPaintMm: typical('hollow under a 1200 mm straightedge, level 4', 3, 'mm', [0.5, 30]),
  hollowFineMm: typical('hollow under a 1200 mm straightedge, level 5', 2, 'mm', [0.2, 30]),

  // Mud where no section is simulated.
  angleTapeL: typical('mud to tape a metre of angle', 0.045, 'L/m', [0.005, 0.5]),
  angleFaceL: typical('mud for one face of an angle, a metre, a coat', 0.025, 'L/m', [0.002, 0.3]),
  beadNoseMm: typical('nose of a bead above the board', 1.6, 'mm', [0.2, 6]),
  dimpleMm: typical('a head set below the paper', 1, 'mm', [0, 5]),
  dimpleWidthMm: typical('width of the dimple over a head', 24, 'mm', [5, 80]),
  headL: typical('mud for one head, one coat', 0.0007, 'L', [5e-5, 0.01]),
  skimMm: typical('skim, wet film', 0.4, 'mm', [0.05, 3]),
  skimRoughMm: typical('skim over a rough face, wet film', 0.7, 'mm', [0.05, 5]),
  fullSkimMm: typical('full skim of quality 4, wet film', 1, 'mm', [0.1, 6]),
  scrapeMm: typical('scrape coat of quality 3, wet film', 0.15, 'mm', [0.02, 2]),

  boxFilmMm: typical('least a box leaves over what stands on the wall, wet', 0.25, 'mm', [0.05, 2]),

  // Buying.
  wasteDrying: typical('waste of drying compound', 0.1, 'share', [0, 1]),
  wasteSetting: typical('waste of setting compound', 0.15, 'share', [0, 1]),
  packageL: typical('fewer packages are worth, each', 1.5, 'L', [0, 100]),
  wasteTape: typical('tape overlap and waste', 0.05, 'share', [0, 1]),
  beadOffFloorMm: typical('beads held off the floor', 12, 'mm', [0, 200]),
  usualLowL: typical('usual mud, level 4 by hand, least', 35, 'L/100m2', [1, 500]),
  usualHighL: typical('usual mud, level 4 by hand, most', 42, 'L/100m2', [1, 500]),
  usualTapeLowM: typical('usual tape, least', 120, 'm/100m2', [1, 1000]),
  usualTapeHighM: typical('usual tape, most', 130, 'm/100m2', [1, 1000]),

  // Repairs.
  repairFillMm: typical('fill over a repair, wet film', 0.8, 'mm', [0.1, 10]),
  repairFinishMm: typical('finish over a repair, wet film', 0.5, 'mm', [0.1, 10]),
  repairReachMm: typical('each coat reaches past the one under it on a repair', 75, 'mm', [5, 500]),

  // Dust and money.
  dustDrying: typical(
    'of what hardened in the last coat, sanded off drying compound',
    0.06,
    'share',
    [0, 0.9],
  ),
  dustSetting: typical('the same of setting compound, finer and harder', 0.09, 'share', [0, 0.9]),
  dustBetween: typical('of each coat, sanded off between coats', 0.02, 'share', [0, 0.9]),
  priceHour: typical('an hour of work', 48, 'money', [0, 10000]),
  priceRoll: typical('a roll of tape', 6, 'money', [0, 10000]),
  priceStick: typical('a stick of bead', 4.5, 'money', [0, 10000]),

  // Survey.
  revealMm: typical('depth of a boarded return where none was measured', 100, 'mm', [10, 2000]),

  // Fixing.
  screwWallMm: typical('screws apart on walls', 406, 'mm', [50, 1300]),
  screwCeilingMm: typical('screws apart on ceilings', 305, 'mm', [50, 1300]),
  staggerMm: typical('butts kept apart in neighbouring rows', 400, 'mm', [0, 2400]),
  sliverMm: typical('narrowest piece of board', 150, 'mm', [0, 600]),

  // Pace of one person working steadily, by hand.
  pacePrefill: typical('prefilling gaps, metres', 60, 'per-h', [1, 1000]),
  paceTapeFlat: typical('taping flats by hand, metres', 40, 'per-h', [1, 500]),
  paceTapeButt: typical('taping butts by hand, metres', 30, 'per-h', [1, 500]),
  paceTapeAngle: typical('taping angles by hand, metres', 25, 'per-h', [1, 500]),
  paceBead: typical('fixing and bedding beads, metres', 20, 'per-h', [1, 500]),
  paceFlat: typical('coating flats by hand, metres', 60, 'per-h', [1, 1000]),
  paceButt: typical('coating butts by hand, metres', 25, 'per-h', [1, 500]),
  paceAngle: typical('coating one face of angles by hand, metres', 60, 'per-h', [1, 500]),
  paceCorner: typical('coating both faces of beads, metres', 35, 'per-h', [1, 500]),
  paceHead: typical('coating heads, swept by rows', 1500, 'per-h', [20, 10000]),
  paceFloat: typical(
    'floating, square metres a layer: laid on, struck off, gone over',
    6,
    'per-h',
    [0.5, 100],
  ),
  paceSkim: typical('skimming by hand, square metres', 25, 'per-h', [0.5, 500]),
  paceSand: typical('last sanding, square metres of board', 60, 'per-h', [1, 1000]),
  paceSandSkim: typical('last sanding of a skimmed face, square metres', 40, 'per-h', [1, 1000]),

  // The same with machine tools, where they go another pace.
  machineTapeFlat: typical('taping flats with a taper, metres', 120, 'per-h', [1, 1000]),
  machineTapeButt: typical('taping butts with a taper, metres', 60, 'per-h', [1, 1000]),
  machineTapeAngle: typical('taping angles with taper, roller and head, metres', 60, 'per-h', [1, 1000]),
  machineBead: typical('bedding beads from a tube, metres', 25, 'per-h', [1, 500]),
  machineFlat: typical('boxing flats, metres', 150, 'per-h', [1, 1000]),
  machineButt: typical('boxing butts, metres', 50, 'per-h', [1, 500]),
  machineAngle: typical('coating both faces of angles with a head, metres', 90, 'per-h', [1, 1000]),
  machineHead: typical('heads with a spotter', 2500, 'per-h', [20, 10000]),
  machineSkim: typical('skimming rolled on and wiped, square metres', 45, 'per-h', [0.5, 500]),
  paceRepair: typical('repairs, each coat', 12, 'per-h', [0.5, 200]),
  paceBatch: typical('mud one person uses up, litres', 9, 'per-h', [0.5, 200]),
  mixMin: typical('mixing and loading a batch', 8, 'min', [0, 120]),
  panL: typical('mud in one pan', 2.5, 'L', [0.2, 60]),
  stiffenMin: typical('drying compound stiffens before it is crossed', 40, 'min', [0, 1440]),
  roomSetupMin: typical('each visit to a room: carrying in, covering, clearing', 8, 'min', [0, 480]),
  daySetupMin: typical('mixing and cleaning, each person a day', 20, 'min', [0, 240]),
  daySetupMachineMin: typical(
    'mixing and cleaning with machine tools, each person a day',
    35,
    'min',
    [0, 240],
  ),
  overtimeMin: typical('worked past the end of a day to finish a coat', 20, 'min', [0, 240]),
  leastStartMin: typical('less than this left of a day begins no coat it cannot end', 60, 'min', [0, 240]),
  smallRoomM2: typical('floor of a room too small for two', 8, 'm2', [0, 100]),
  secondHand: typical('what a second person helps in a small room', 0.5, 'share', [0, 1]),
  usualHoursLow: typical('usual work, level 4 by hand, least', 0.08, 'h/m2', [0.001, 10]),
  usualHoursHigh: typical('usual work, level 4 by hand, most', 0.15, 'h/m2', [0.001, 10]),
} satisfies Record<string, Typical>;

export type FigureKey = keyof typeof TYPICAL;
export type Book = Record<FigureKey, Figure>;
export const FIGURE_KEYS = Object.keys(TYPICAL) as FigureKey[];

/** The paces that grow with practice. */
const PACES = FIGURE_KEYS.filter((key) => TYPICAL[key].unit === 'per-h');

/**
 * The book of somebody who takes so many times as long as a steady finisher. What was measured or entered is
 * one's own already and stays.
 */
export function pacedBy(book: Book, times: number): Book {
  if (times === 1) return book;
  const paced = { ...book };
  for (const key of PACES) {
    const { value, from, ...rest } = book[key];
    if (from === 'typical') paced[key] = { ...rest, from, value: value / times };
  }
  return paced;
}

/**
 * The book with the user's own values in place of typical ones. Unknown keys are ignored, and a value that no
 * plan can be made with counts as the nearest that one can.
 */
export function bookWith(own: Partial<Record<FigureKey, number>>, from: Book = TYPICAL): Book {
  const book: Book = { ...from };
  for (const key of FIGURE_KEYS) {
    const value = own[key];
    if (value === undefined) continue;
    const { label, unit, least, most } = TYPICAL[key];
    book[key] = { label, unit, value: Math.min(most, Math.max(least, value)), from: 'entered' };
  }
  return book;
}
