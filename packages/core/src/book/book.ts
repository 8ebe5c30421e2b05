import { say, type Message } from '../texts';
import type { Figure, FigureUnit, Rests } from './figure';

/** A figure of the trade, with the least and the most that a plan can be made with. */
interface Typical {
  readonly value: number;
  readonly unit: FigureUnit;
  readonly least: number;
  readonly most: number;
  readonly source: Rests;
}

const typical = (
  value: number,
  unit: FigureUnit,
  [least, most]: readonly [number, number],
  source: Rests,
): Typical => ({ value, unit, least, most, source });

/** How joints of the board are coated with a set of tools: band and bow of the fill, then of the finish, mm. */
type Widths = readonly [fill: number, bow: number, finish: number, bow: number];

const CUT_WIDTHS = {
  flats: { knives: [200, 0.4, 300, 0.3], trowels: [250, 0.5, 350, 0.3], machine: [250, 0.5, 300, 0.3] },
  mixed: { knives: [250, 0.4, 350, 0.3], trowels: [250, 0.5, 350, 0.3], machine: [250, 0.5, 350, 0.3] },
  recessed: { knives: [300, 0.3, 400, 0.3], trowels: [355, 0.3, 455, 0.3], machine: [300, 0.3, 400, 0.3] },
  butts: { knives: [400, 0.4, 600, 0.3], trowels: [500, 0.4, 710, 0.3], machine: [500, 0.4, 600, 0.3] },
} as const satisfies Record<string, Record<string, Widths>>;

type Cut = keyof typeof CUT_WIDTHS;
type CutTools = keyof (typeof CUT_WIDTHS)[Cut];
type CutKey = `${'band' | 'bow'}-${Cut}-${'fill' | 'finish'}-${CutTools}`;

const band = (mm: number) => typical(mm, 'mm', [50, 4000], 'guide');
const bow = (mm: number) => typical(mm, 'mm', [0, 3], 'model');

function cutFigures(): Record<CutKey, Typical> {
  const figures: Partial<Record<CutKey, Typical>> = {};
  for (const cut of Object.keys(CUT_WIDTHS) as Cut[])
    for (const tools of Object.keys(CUT_WIDTHS[cut]) as CutTools[]) {
      const [fill, fillBow, finish, finishBow] = CUT_WIDTHS[cut][tools];
      figures[`band-${cut}-fill-${tools}`] = band(fill);
      figures[`bow-${cut}-fill-${tools}`] = bow(fillBow);
      figures[`band-${cut}-finish-${tools}`] = band(finish);
      figures[`bow-${cut}-finish-${tools}`] = bow(finishBow);
    }
  return figures as Record<CutKey, Typical>;
}

/**
 * The figures a plan is made with. All are typical of the trade until the user's own replace them;
 * the package, the local code and the listed assembly always win. Lengths mm, volumes L, times min or h.
 */
const FIGURES = {
  // Section: tapes, tapers and the bed between them.
  bedMm: typical(0.95, 'mm', [0.1, 3], 'guide'),
  bedMatMm: typical(0.7, 'mm', [0.1, 3], 'guide'),
  bedMeshMm: typical(0.5, 'mm', [0.1, 3], 'guide'),
  bedAngleMm: typical(0.6, 'mm', [0.1, 3], 'model'),
  bedRampMm: typical(50, 'mm', [5, 300], 'model'),
  tapeWidthMm: typical(52, 'mm', [20, 150], 'guide'),
  paperMm: typical(0.23, 'mm', [0.05, 1], 'guide'),
  matMm: typical(0.3, 'mm', [0.05, 1.5], 'guide'),
  meshMm: typical(0.3, 'mm', [0.05, 1.5], 'guide'),
  taperDepthMm: typical(1.6, 'mm', [0, 6], 'guide'),
  taperWidthMm: typical(60, 'mm', [10, 200], 'guide'),
  humpSpanMm: typical(400, 'mm', [50, 3000], 'model'),
  notchWidthMm: typical(40, 'mm', [5, 200], 'model'),
  gapMm: typical(1.5, 'mm', [0, 30], 'model'),

  // What a straightedge of 1200 mm may show.
  hollowRoughMm: typical(5, 'mm', [0.5, 30], 'guide'),
  hollowPaintMm: typical(3, 'mm', [0.5, 30], 'guide'),
  hollowFineMm: typical(2, 'mm', [0.2, 30], 'guide'),

  // How wide each coat is left on the wall where nobody says otherwise; beads and angles from the corner, on each face.
  ...cutFigures(),
  bedBladeMm: typical(150, 'mm', [50, 600], 'guide'),
  prefillBladeMm: typical(75, 'mm', [20, 300], 'guide'),
  skimBladeMm: typical(300, 'mm', [100, 1200], 'guide'),
  'band-bed': band(100),
  'bow-bed': bow(0.2),
  'band-corners-tape': band(100),
  'band-corners-fill': band(125),
  'band-corners-finish': band(225),
  'band-heads-tape-wider': band(75),
  'band-heads-fill-wider': band(100),
  'band-heads-finish-wider': band(125),
  'band-heads-same': band(125),
  'band-heads-spotter': band(75),
  'band-repairs-prefill': band(75),
  'band-repairs-tape': band(150),
  'band-repairs-fill': band(200),
  'band-repairs-finish': band(300),
  'band-angles-tape-one-face': band(50),
  'band-angles-fill-one-face': band(100),
  'band-angles-finish-one-face': band(125),
  'band-angles-tape-both-faces': band(75),
  'band-angles-fill-both-faces': band(90),
  'band-angles-finish-both-faces': band(90),
  onePullMm: typical(400, 'mm', [50, 1200], 'guide'),
  closingMm: typical(300, 'mm', [50, 1200], 'guide'),
  closingBowMm: bow(0.1),

  // Mud where no section is simulated.
  angleTapeL: typical(0.045, 'L/m', [0.005, 0.5], 'model'),
  angleFaceL: typical(0.025, 'L/m', [0.002, 0.3], 'model'),
  beadNoseMm: typical(1.6, 'mm', [0.2, 6], 'guide'),
  dimpleMm: typical(1, 'mm', [0, 5], 'guide'),
  dimpleWidthMm: typical(24, 'mm', [5, 80], 'guide'),
  headL: typical(0.0007, 'L', [5e-5, 0.01], 'model'),
  skimMm: typical(0.4, 'mm', [0.05, 3], 'guide'),
  skimRoughMm: typical(0.7, 'mm', [0.05, 5], 'guide'),
  fullSkimMm: typical(1, 'mm', [0.1, 6], 'model'),
  scrapeMm: typical(0.15, 'mm', [0.02, 2], 'model'),

  boxFilmMm: typical(0.25, 'mm', [0.05, 2], 'model'),
  dialOpenMm: typical(0.7, 'mm', [0.3, 3], 'judgement'),
  dialStepMm: typical(0.1, 'mm', [0.02, 0.5], 'judgement'),

  // Buying.
  wasteDrying: typical(0.1, 'share', [0, 1], 'guide'),
  wasteSetting: typical(0.15, 'share', [0, 1], 'guide'),
  packageL: typical(1.5, 'L', [0, 100], 'judgement'),
  oneMudM2: typical(55, 'm2', [0, 10000], 'judgement'),
  supplyMin: typical(40, 'min', [0, 1440], 'judgement'),
  supplyFarMin: typical(90, 'min', [0, 1440], 'judgement'),
  wasteTape: typical(0.05, 'share', [0, 1], 'guide'),
  stickKerfMm: typical(0, 'mm', [0, 20], 'judgement'),
  beadOffFloorMm: typical(12, 'mm', [0, 200], 'guide'),
  usualLowL: typical(35, 'L/100m2', [1, 500], 'guide'),
  usualHighL: typical(42, 'L/100m2', [1, 500], 'guide'),
  usualTapeLowM: typical(120, 'm/100m2', [1, 1000], 'guide'),
  usualTapeHighM: typical(130, 'm/100m2', [1, 1000], 'guide'),

  // How far a need may fall short of what is likely, or go over it.
  mudLow: typical(0.88, 'factor', [0.1, 1], 'judgement'),
  mudHigh: typical(1.2, 'factor', [1, 5], 'judgement'),
  tapeLow: typical(0.97, 'factor', [0.1, 1], 'judgement'),
  tapeHigh: typical(1.05, 'factor', [1, 5], 'judgement'),
  sundryLow: typical(0.6, 'factor', [0.1, 1], 'judgement'),
  sundryHigh: typical(1.6, 'factor', [1, 5], 'judgement'),
  batchEndL: typical(0.1, 'L', [0, 5], 'judgement'),

  carryKg: typical(23, 'kg', [5, 100], 'guide'),

  // Sundries.
  refixShare: typical(0.01, 'share', [0, 1], 'judgement'),
  discM2: typical(20, 'm2', [0.5, 500], 'judgement'),
  discSettingM2: typical(8, 'm2', [0.5, 500], 'judgement'),
  sheetM: typical(60, 'm', [1, 2000], 'judgement'),
  spongeM: typical(100, 'm', [1, 2000], 'judgement'),
  primerL: typical(11, 'L/100m2', [1, 200], 'judgement'),
  sealerL: typical(10, 'L/100m2', [1, 200], 'judgement'),
  highBuildL: typical(22, 'L/100m2', [1, 200], 'judgement'),
  coverOver: typical(1.1, 'factor', [0, 5], 'judgement'),
  bagKg: typical(3, 'kg', [0.1, 100], 'judgement'),
  filterH: typical(16, 'h', [0.5, 1000], 'judgement'),

  // Repairs.
  repairFillMm: typical(0.8, 'mm', [0.1, 10], 'model'),
  repairFinishMm: typical(0.5, 'mm', [0.1, 10], 'model'),
  repairReachMm: typical(75, 'mm', [5, 500], 'model'),
  repairTightMm: typical(0.25, 'mm', [0.1, 3], 'judgement'),
  tinyShare: typical(0.4, 'share', [0, 1], 'judgement'),
  mendTouchMin: typical(1, 'min', [0, 60], 'judgement'),
  mendSandMin: typical(0.7, 'min', [0, 60], 'judgement'),
  paceMend: typical(6, 'm2/h', [0.5, 100], 'judgement'),
  scuffMin: typical(0.5, 'min', [0, 60], 'judgement'),
  floatPerMm: typical(190, 'factor', [0, 2000], 'judgement'),
  sealDryMin: typical(60, 'min', [0, 2880], 'guide'),
  deepPaintH: typical(24, 'h', [0, 500], 'judgement'),
  lampOffMm: typical(120, 'mm', [10, 2000], 'judgement'),
  panMixMin: typical(3, 'min', [0, 60], 'judgement'),
  washL: typical(10, 'L', [0, 100], 'judgement'),

  // Dust and money.
  dustDrying: typical(0.06, 'share', [0, 0.9], 'model'),
  dustSetting: typical(0.09, 'share', [0, 0.9], 'model'),
  dustBetween: typical(0.02, 'share', [0, 0.9], 'model'),
  priceHour: typical(48, 'money', [0, 10000], 'judgement'),
  priceRoll: typical(6, 'money', [0, 10000], 'judgement'),
  priceStick: typical(4.5, 'money', [0, 10000], 'judgement'),

  // High work.
  highMm: typical(3100, 'mm', [1800, 20000], 'judgement'),
  veryHighMm: typical(5000, 'mm', [1800, 30000], 'judgement'),
  highWork: typical(1.3, 'factor', [1, 5], 'judgement'),
  veryHighWork: typical(1.6, 'factor', [1, 10], 'judgement'),
  platformM2: typical(6, 'm2', [0.5, 200], 'judgement'),
  platformMoveMin: typical(3, 'min', [0.1, 60], 'judgement'),
  platformDay: typical(35, 'money', [0, 10000], 'judgement'),
  towerDay: typical(90, 'money', [0, 10000], 'judgement'),
  hireWeekDays: typical(4, 'count', [1, 7], 'judgement'),

  // The bid.
  tripMin: typical(40, 'min', [0, 1440], 'judgement'),
  tripPrice: typical(10, 'money', [0, 10000], 'judgement'),
  smallestH: typical(4, 'h', [0, 100], 'judgement'),
  bidOverhead: typical(0.1, 'share', [0, 5], 'judgement'),
  bidMargin: typical(0.12, 'share', [0, 5], 'judgement'),
  bidTax: typical(0, 'share', [0, 1], 'judgement'),
  bidRound: typical(5, 'money', [0, 10000], 'judgement'),

  // Survey.
  revealMm: typical(100, 'mm', [10, 2000], 'model'),

  // Fixing.
  screwWallMm: typical(406, 'mm', [50, 1300], 'guide'),
  screwCeilingMm: typical(305, 'mm', [50, 1300], 'guide'),
  staggerMm: typical(400, 'mm', [0, 2400], 'guide'),
  sliverMm: typical(150, 'mm', [0, 600], 'model'),

  // Pace of one person working steadily, by hand.
  pacePrefill: typical(60, 'm/h', [1, 1000], 'guide'),
  paceTapeFlat: typical(40, 'm/h', [1, 500], 'guide'),
  paceTapeButt: typical(30, 'm/h', [1, 500], 'guide'),
  paceTapeAngle: typical(25, 'm/h', [1, 500], 'guide'),
  paceBead: typical(20, 'm/h', [1, 500], 'guide'),
  paceFlat: typical(60, 'm/h', [1, 1000], 'guide'),
  paceButt: typical(25, 'm/h', [1, 500], 'guide'),
  paceAngle: typical(60, 'm/h', [1, 500], 'guide'),
  paceCorner: typical(35, 'm/h', [1, 500], 'guide'),
  paceHead: typical(1500, 'per-h', [20, 10000], 'guide'),
  paceFloat: typical(6, 'm2/h', [0.5, 100], 'judgement'),
  paceSkim: typical(25, 'm2/h', [0.5, 500], 'guide'),
  paceSand: typical(60, 'm2/h', [1, 1000], 'guide'),
  paceSandSkim: typical(40, 'm2/h', [1, 1000], 'guide'),

  // The same with machine tools, where they go another pace.
  machineTapeFlat: typical(120, 'm/h', [1, 1000], 'guide'),
  machineTapeButt: typical(60, 'm/h', [1, 1000], 'guide'),
  machineTapeAngle: typical(60, 'm/h', [1, 1000], 'guide'),
  machineBead: typical(25, 'm/h', [1, 500], 'guide'),
  machineFlat: typical(150, 'm/h', [1, 1000], 'guide'),
  machineButt: typical(50, 'm/h', [1, 500], 'guide'),
  machineAngle: typical(90, 'm/h', [1, 1000], 'guide'),
  machineHead: typical(2500, 'per-h', [20, 10000], 'guide'),
  machineSkim: typical(45, 'm2/h', [0.5, 500], 'guide'),
  paceRepair: typical(12, 'per-h', [0.5, 200], 'judgement'),
  mixMin: typical(8, 'min', [0, 120], 'judgement'),
  openPailMin: typical(5, 'min', [0, 120], 'judgement'),
  pailL: typical(17, 'L', [1, 100], 'guide'),
  leastPotMin: typical(25, 'min', [0, 240], 'judgement'),
  panL: typical(2.5, 'L', [0.2, 60], 'judgement'),
  mixPailL: typical(12, 'L', [0.5, 100], 'judgement'),
  stiffenMin: typical(40, 'min', [0, 1440], 'guide'),
  roomSetupMin: typical(8, 'min', [0, 480], 'judgement'),
  daySetupMin: typical(20, 'min', [0, 240], 'judgement'),
  daySetupMachineMin: typical(35, 'min', [0, 240], 'judgement'),
  overtimeMin: typical(20, 'min', [0, 240], 'judgement'),
  leastStartMin: typical(60, 'min', [0, 240], 'judgement'),
  smallRoomM2: typical(8, 'm2', [0, 100], 'judgement'),
  secondHand: typical(0.5, 'share', [0, 1], 'judgement'),
  usualHoursLow: typical(0.08, 'h/m2', [0.001, 10], 'guide'),
  usualHoursHigh: typical(0.18, 'h/m2', [0.001, 10], 'guide'),

  // What shows in raking light from this contrast on, and what paint dulls over compound.
  'shows-flat': typical(0.1, 'share', [0.002, 1], 'model'),
  'shows-eggshell': typical(0.06, 'share', [0.002, 1], 'model'),
  'shows-satin': typical(0.045, 'share', [0.002, 1], 'model'),
  'shows-semi-gloss': typical(0.03, 'share', [0.002, 1], 'model'),
  'shows-gloss': typical(0.02, 'share', [0.002, 1], 'model'),
  'flash-flat': typical(0.015, 'share', [0, 0.5], 'judgement'),
  'flash-eggshell': typical(0.03, 'share', [0, 0.5], 'judgement'),
  'flash-satin': typical(0.045, 'share', [0, 0.5], 'judgement'),
  'flash-semi-gloss': typical(0.06, 'share', [0, 0.5], 'judgement'),
  'flash-gloss': typical(0.08, 'share', [0, 0.5], 'judgement'),
  'left-primer': typical(0.5, 'share', [0, 1], 'judgement'),
  'left-sealer': typical(0.5, 'share', [0, 1], 'judgement'),
  'left-high-build': typical(0.1, 'share', [0, 1], 'judgement'),

  // From where on a rule speaks up, and what its cure asks for.
  coldC: typical(10, 'C', [-5, 25], 'guide'),
  heatC: typical(15, 'C', [0, 40], 'judgement'),
  tooLongH: typical(72, 'h', [4, 1000], 'guide'),
  warmC: typical(20, 'C', [0, 40], 'judgement'),
  drierAir: typical(0.5, 'share', [0.05, 0.95], 'judgement'),
  inLineMm: typical(50, 'mm', [0, 300], 'guide'),
  wideGapMm: typical(3, 'mm', [0.5, 20], 'guide'),

  // Drying.
  'air-sealed': typical(1.3, 'factor', [0.2, 5], 'model'),
  'air-still': typical(1, 'factor', [0.2, 5], 'model'),
  'air-fan': typical(0.65, 'factor', [0.2, 5], 'model'),
  'changes-sealed': typical(0.3, '1/h', [0, 20], 'judgement'),
  'changes-still': typical(2, '1/h', [0, 20], 'judgement'),
  'changes-fan': typical(4, '1/h', [0, 20], 'judgement'),
  doorM3H: typical(150, 'm3/h', [0, 5000], 'judgement'),
  dryToShare: typical(0.4, 'share', [0.05, 0.95], 'judgement'),
  fanKW: typical(0.12, 'kW', [0, 10], 'judgement'),
  dryKWhL: typical(0.8, 'kWh/L', [0, 10], 'judgement'),
  heatWM3K: typical(1.2, 'W/m3K', [0, 20], 'judgement'),
  priceKWh: typical(0.2, 'money', [0, 100], 'judgement'),
  hireHeaterDay: typical(20, 'money', [0, 10000], 'judgement'),
  hireDryerDay: typical(30, 'money', [0, 10000], 'judgement'),
  hireFanDay: typical(8, 'money', [0, 10000], 'judgement'),
  hireCoversM2: typical(60, 'm2', [2, 10000], 'judgement'),
  dryOpenTape: typical(0.8, 'factor', [0.2, 2], 'judgement'),
  dryOpen: typical(0.85, 'factor', [0.2, 2], 'model'),
  setRecoat: typical(1.5, 'factor', [1, 10], 'guide'),
  setRecoatPainted: typical(3, 'factor', [1, 20], 'guide'),
  setEarly: typical(0.6, 'factor', [0.1, 1], 'guide'),
  setLate: typical(1.5, 'factor', [1, 5], 'guide'),
  dryEarly: typical(0.8, 'factor', [0.1, 1], 'judgement'),
  dryLate: typical(1.25, 'factor', [1, 5], 'judgement'),
  wetAgainMin: typical(60, 'min', [5, 1440], 'judgement'),
  meterDryShare: typical(0.01, 'share', [0.001, 0.2], 'judgement'),
  mixRestMin: typical(3, 'min', [0, 30], 'judgement'),
  partLateH: typical(12, 'h', [0, 200], 'judgement'),

  // Beads by how far their nose stands out, against the usual one; mud they are bedded in.
  'nose-nail-on': typical(1, 'factor', [0, 5], 'judgement'),
  'nose-paper-faced': typical(0.7, 'factor', [0, 5], 'judgement'),
  'nose-plastic': typical(0.9, 'factor', [0, 5], 'judgement'),
  'nose-bullnose': typical(1.4, 'factor', [0, 5], 'judgement'),
  'nose-flexible': typical(0.5, 'factor', [0, 5], 'judgement'),
  'nose-l-trim': typical(0.8, 'factor', [0, 5], 'judgement'),
  beadBedL: typical(0.06, 'L/m', [0, 1], 'judgement'),

  // Rolls and sticks as sold, in jobs in feet and in metric ones.
  'roll-paper-feet': typical(152.4, 'm', [1, 1000], 'guide'),
  'roll-mat-feet': typical(91.44, 'm', [1, 1000], 'guide'),
  'roll-mesh-feet': typical(91.44, 'm', [1, 1000], 'guide'),
  'roll-paper-metric': typical(150, 'm', [1, 1000], 'guide'),
  'roll-mat-metric': typical(90, 'm', [1, 1000], 'guide'),
  'roll-mesh-metric': typical(90, 'm', [1, 1000], 'guide'),
  'stick-short-feet': typical(2438.4, 'mm', [500, 10000], 'guide'),
  'stick-long-feet': typical(3048, 'mm', [500, 10000], 'guide'),
  'stick-short-metric': typical(2500, 'mm', [500, 10000], 'guide'),
  'stick-long-metric': typical(3000, 'mm', [500, 10000], 'guide'),

  // Mud in one fill of a tool.
  'fill-pan': typical(2.5, 'L', [0.1, 20], 'guide'),
  'fill-hawk': typical(3, 'L', [0.1, 20], 'guide'),
  'fill-taper': typical(2.9, 'L', [0.1, 20], 'guide'),
  'fill-tube': typical(1.3, 'L', [0.1, 20], 'guide'),
  'fill-box-180': typical(2.2, 'L', [0.1, 20], 'guide'),
  'fill-box-250': typical(3, 'L', [0.1, 20], 'guide'),
  'fill-box-300': typical(3.7, 'L', [0.1, 20], 'guide'),

  // How deep a spot lies before it is mended; less than nothing where it stands proud.
  'spot-dent': typical(1.5, 'mm', [-20, 30], 'judgement'),
  'spot-popped-head': typical(-1, 'mm', [-20, 30], 'judgement'),
  'spot-anchor-hole': typical(3, 'mm', [-20, 30], 'judgement'),
  'spot-small-hole': typical(4, 'mm', [-20, 30], 'judgement'),
  'spot-large-hole': typical(4, 'mm', [-20, 30], 'judgement'),
  'spot-failed-tape': typical(-0.6, 'mm', [-20, 30], 'judgement'),
  'spot-crushed-joint': typical(2, 'mm', [-20, 30], 'judgement'),
  'spot-step': typical(2, 'mm', [-20, 30], 'judgement'),
  'spot-texture': typical(-1, 'mm', [-20, 30], 'judgement'),
  'spot-blister': typical(-1, 'mm', [-20, 30], 'judgement'),
  'spot-ridge': typical(-1.5, 'mm', [-20, 30], 'judgement'),
  'spot-stain': typical(0.5, 'mm', [-20, 30], 'judgement'),
  'spot-corner-crack': typical(3, 'mm', [-20, 30], 'judgement'),
  'spot-bead': typical(2, 'mm', [-20, 30], 'judgement'),
  'spot-low': typical(3, 'mm', [-20, 30], 'judgement'),
  'spot-proud': typical(-1, 'mm', [-20, 30], 'judgement'),
  'spot-rough': typical(0.3, 'mm', [-20, 30], 'judgement'),
  'spot-angle': typical(1, 'mm', [-20, 30], 'judgement'),

  // Work before the first mud of a repair: of a spot, of a metre of line, of a square metre.
  'prep-dent': typical(1, 'min', [0, 240], 'judgement'),
  'prep-popped-head': typical(2, 'min', [0, 240], 'judgement'),
  'prep-anchor-hole': typical(2, 'min', [0, 240], 'judgement'),
  'prep-small-hole': typical(12, 'min', [0, 240], 'judgement'),
  'prep-large-hole': typical(35, 'min', [0, 480], 'judgement'),
  'prep-failed-tape': typical(10, 'min', [0, 240], 'judgement'),
  'prep-crushed-joint': typical(12, 'min', [0, 240], 'judgement'),
  'prep-step': typical(3, 'min', [0, 240], 'judgement'),
  'prep-texture': typical(14, 'min', [0, 240], 'judgement'),
  'prep-blister': typical(5, 'min', [0, 240], 'judgement'),
  'prep-ridge': typical(12, 'min', [0, 240], 'judgement'),
  'prep-stain': typical(10, 'min', [0, 240], 'judgement'),
  'prep-corner-crack': typical(10, 'min', [0, 240], 'judgement'),
  'prep-bead': typical(20, 'min', [0, 240], 'judgement'),
  'prep-low': typical(2, 'min', [0, 240], 'judgement'),
  'prep-proud': typical(3, 'min', [0, 240], 'judgement'),
  'prep-rough': typical(2, 'min', [0, 240], 'judgement'),
  'prep-angle': typical(4, 'min', [0, 240], 'judgement'),
} satisfies Record<string, Typical>;

export type FigureKey = keyof typeof FIGURES;
export type Book = Record<FigureKey, Figure>;
export const FIGURE_KEYS = Object.keys(FIGURES) as FigureKey[];

export const labelOf = (key: FigureKey): Message => say(`figure.${key}`);

export const TYPICAL = Object.fromEntries(
  FIGURE_KEYS.map((key) => [key, { ...FIGURES[key], label: labelOf(key), from: 'typical' }]),
) as Record<FigureKey, Figure & Typical>;

/** The least and the most each figure may be. */
export const FIGURE_LIMITS: Readonly<Record<FigureKey, { least: number; most: number }>> = TYPICAL;

/** The paces that grow with practice: pieces, lengths and areas an hour. */
const PACED = new Set<FigureUnit>(['per-h', 'm/h', 'm2/h']);
const PACES = FIGURE_KEYS.filter((key) => PACED.has(TYPICAL[key].unit));

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
