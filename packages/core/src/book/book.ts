import type { Figure, FigureUnit } from './figure';

const typical = (label: string, value: number, unit: FigureUnit): Figure => ({
  label,
  value,
  unit,
  from: 'typical',
});

/**
 * The figures a plan is made with. All are typical of the trade until the user's own replace them;
 * the package, the local code and the listed assembly always win. Lengths mm, volumes L, times min or h.
 */
export const TYPICAL = {
  // Section: tapes, tapers and the bed between them.
  bedMm: typical('wet bed under the tape', 0.6, 'mm'),
  bedRampMm: typical('bed feathered out beside the tape', 50, 'mm'),
  tapeWidthMm: typical('tape width', 52, 'mm'),
  paperMm: typical('paper tape thickness', 0.23, 'mm'),
  matMm: typical('fibre mat tape thickness', 0.3, 'mm'),
  meshMm: typical('mesh tape thickness', 0.3, 'mm'),
  taperDepthMm: typical('depth of a tapered edge', 1.6, 'mm'),
  taperWidthMm: typical('width of a tapered edge', 60, 'mm'),
  humpSpanMm: typical('half the width a hump spreads over', 400, 'mm'),
  notchWidthMm: typical('butt ends trimmed back this far from the joint', 40, 'mm'),
  gapMm: typical('gap between boards where none was measured', 1.5, 'mm'),

  // Mud where no section is simulated.
  angleTapeL: typical('mud to tape a metre of angle', 0.045, 'L/m'),
  angleFaceL: typical('mud for one face of an angle, a metre, a coat', 0.025, 'L/m'),
  angleLayerMm: typical('thickest layer in an angle', 0.9, 'mm'),
  beadNoseMm: typical('nose of a bead above the board', 1.6, 'mm'),
  dimpleMm: typical('a head set below the paper', 1, 'mm'),
  dimpleWidthMm: typical('width of the dimple over a head', 24, 'mm'),
  headL: typical('mud for one head, one coat', 0.0007, 'L'),
  headLayerMm: typical('thickest layer on a head', 1, 'mm'),
  skimMm: typical('skim, wet film', 0.4, 'mm'),
  skimRoughMm: typical('skim over a rough face, wet film', 0.7, 'mm'),
  fullSkimMm: typical('full skim of quality 4, wet film', 1, 'mm'),
  scrapeMm: typical('scrape coat of quality 3, wet film', 0.15, 'mm'),

  // Buying.
  wasteDrying: typical('waste of drying compound', 0.1, 'share'),
  wasteSetting: typical('waste of setting compound', 0.15, 'share'),
  packageL: typical('fewer packages are worth, each', 1.5, 'L'),
  wasteTape: typical('tape overlap and waste', 0.05, 'share'),
  beadOffFloorMm: typical('beads held off the floor', 12, 'mm'),
  usualLowL: typical('usual mud, level 4 by hand, least', 35, 'L/100m2'),
  usualHighL: typical('usual mud, level 4 by hand, most', 42, 'L/100m2'),
  usualTapeLowM: typical('usual tape, least', 120, 'm/100m2'),
  usualTapeHighM: typical('usual tape, most', 130, 'm/100m2'),

  // Repairs.
  repairFillMm: typical('fill over a repair, wet film', 0.8, 'mm'),
  repairFinishMm: typical('finish over a repair, wet film', 0.5, 'mm'),
  repairReachMm: typical('each coat reaches past the one under it on a repair', 75, 'mm'),

  // Dust and money.
  dustDrying: typical('of what hardened in the last coat, sanded off drying compound', 0.06, 'share'),
  dustSetting: typical('the same of setting compound, finer and harder', 0.09, 'share'),
  dustBetween: typical('of each coat, sanded off between coats', 0.02, 'share'),
  priceHour: typical('an hour of work', 48, 'money'),
  priceRoll: typical('a roll of tape', 6, 'money'),
  priceStick: typical('a stick of bead', 4.5, 'money'),

  // Survey.
  revealMm: typical('depth of a boarded return where none was measured', 100, 'mm'),

  // Fixing.
  screwWallMm: typical('screws apart on walls', 406, 'mm'),
  screwCeilingMm: typical('screws apart on ceilings', 305, 'mm'),
  staggerMm: typical('butts kept apart in neighbouring rows', 400, 'mm'),
  sliverMm: typical('narrowest piece of board', 150, 'mm'),

  // Pace of one person, by hand.
  paceTapeFlat: typical('taping flats and butts, metres', 24, 'per-h'),
  paceTapeAngle: typical('taping angles, metres', 16, 'per-h'),
  paceBead: typical('fixing beads, metres', 14, 'per-h'),
  paceFlat: typical('coating flats, metres', 48, 'per-h'),
  paceButt: typical('coating butts, metres', 20, 'per-h'),
  paceAngle: typical('coating angles, metres', 36, 'per-h'),
  paceCorner: typical('coating corners, metres', 30, 'per-h'),
  paceHead: typical('spotting heads', 400, 'per-h'),
  paceSkim: typical('skimming, square metres', 11, 'per-h'),
  paceSand: typical('sanding, square metres of board', 40, 'per-h'),
  pacePrefill: typical('prefilling gaps, metres', 40, 'per-h'),
  paceRepair: typical('repairs, each coat', 12, 'per-h'),
  paceBatch: typical('mud one person uses up, litres', 9, 'per-h'),
  mixMin: typical('mixing and loading a batch', 8, 'min'),
  panL: typical('mud in one pan', 2.5, 'L'),
  stiffenMin: typical('drying compound stiffens before it is crossed', 40, 'min'),
  roomSetupMin: typical('setting up, mixing and cleaning per room and coat', 15, 'min'),
} satisfies Record<string, Figure>;

export type FigureKey = keyof typeof TYPICAL;
export type Book = Record<FigureKey, Figure>;

/** The book with the user's own values in place of typical ones; unknown keys are ignored. */
export function bookWith(own: Partial<Record<FigureKey, number>>, from: Book = TYPICAL): Book {
  const book: Book = { ...from };
  for (const key of Object.keys(TYPICAL) as FigureKey[]) {
    const value = own[key];
    // A pace of nothing would take for ever.
    if (value !== undefined && (value > 0 || TYPICAL[key].unit !== 'per-h'))
      book[key] = { ...TYPICAL[key], value, from: 'entered' };
  }
  return book;
}
