import { newJob, newRoom, PRESETS, type Job, type Opening, type Preset, type Room } from '../index';

const FT = 304.8;
const wayOf = (id: Preset['id']): Job['way'] => {
  const found = PRESETS.find((preset) => preset.id === id);
  if (!found) throw new Error(`There is no method ${id}.`);
  return found.way;
};
/** Begins on a Monday. */
const job = (name: string, rooms: Room[], preset: Preset['id'], over: Partial<Job> = {}): Job => ({
  ...newJob('job', name, 'feet', '2026-11-30', wayOf(preset)),
  rooms,
  ...over,
});
const door = (wall: number, leftFt = 1): Opening => ({
  id: `door-${wall}`,
  wall,
  kind: 'door',
  leftMm: leftFt * FT,
  bottomMm: 0,
  widthMm: 900,
  heightMm: 2050,
  returns: 'cased',
});
const window = (wall: number, returns: Opening['returns'] = 'cased'): Opening => ({
  id: `window-${wall}`,
  wall,
  kind: 'window',
  leftMm: 3 * FT,
  bottomMm: 900,
  widthMm: 1200,
  heightMm: 1100,
  returns,
});
const feet = (id: string, name: string, l: number, w: number, h = 8, over: Partial<Room> = {}): Room => ({
  ...newRoom(id, name, 'feet', { lengthMm: l * FT, widthMm: w * FT, heightMm: h * FT }),
  openings: [door(0)],
  ...over,
});
const bedroom = (id: string, name: string, l = 12, w = 12): Room =>
  feet(id, name, l, w, 8, { openings: [door(0), window(1)] });
const level = (grade: 2 | 4 | 5): Pick<Room, 'finish'> => ({ finish: { scale: 'level', grade } });
const crew = (of: Job, people: number): Job => ({ ...of, calendar: { ...of.calendar, crew: people } });
const BATH = feet('bath', 'Bath', 8, 5);

/** Jobs that a finisher knows by heart: what is planned for them must be what one would say at the door. */
export const TWELVE: readonly Job[] = [
  job('Bath', [BATH], 'knives-drying'),
  job('Bedroom', [bedroom('bed', 'Bedroom')], 'knives-drying'),
  crew(
    job(
      'House of three bedrooms, two people',
      [
        bedroom('bed-1', 'Bedroom 1', 14, 12),
        bedroom('bed-2', 'Bedroom 2', 12, 11),
        bedroom('bed-3', 'Bedroom 3', 11, 10),
        feet('living', 'Living room', 20, 15, 8, { openings: [door(0), window(1), window(2)] }),
        feet('kitchen', 'Kitchen', 14, 12, 8, { openings: [door(0), window(1)] }),
        feet('hall', 'Hall', 20, 4, 8),
        BATH,
      ],
      'knives-setting-below',
    ),
    2,
  ),
  job(
    'One patch',
    [
      {
        ...bedroom('patch', 'Bedroom'),
        faces: Object.fromEntries(
          ['ceiling', 'wall-0', 'wall-1', 'wall-2', 'wall-3'].map((face) => [
            face,
            { unboarded: true, instead: 'old' as const },
          ]),
        ),
        damage: [{ id: 'hole', kind: 'small-hole', sizeMm: 100, count: 1, on: 'painted', apart: true }],
      },
    ],
    'knives-drying',
  ),
  job('Stairwell', [feet('stair', 'Stairwell', 12, 7, 17.7)], 'knives-drying'),
  job('Garage', [feet('garage', 'Garage', 22, 22, 9, { ...level(2), decoration: 'none' })], 'knives-drying'),
  job(
    'Level 5 room',
    [
      feet('study', 'Study', 15, 13, 9, {
        ...level(5),
        decoration: 'semi-gloss',
        light: { kind: 'critical', grazingDeg: 8 },
        openings: [door(0), window(1)],
      }),
    ],
    'knives-drying',
  ),
  job(
    'Remodel with a dip',
    [
      {
        ...bedroom('remodel', 'Remodel'),
        damage: [
          {
            id: 'dip',
            kind: 'step',
            face: 'wall-2',
            at: [1500, 1200],
            sizeMm: 1200,
            depthMm: 12,
            apart: true,
          },
        ],
      },
    ],
    'knives-setting-below',
  ),
  job('Basement', [feet('base', 'Basement', 24, 16)], 'knives-drying', {
    climate: { tempC: 12, rhPct: 80, air: 'still' },
  }),
  crew(
    job(
      'House of ten rooms by machine, two people',
      Array.from({ length: 10 }, (_, i) =>
        bedroom(`room-${i}`, `Room ${i + 1}`, 12 + (i % 4) * 2, 11 + (i % 3) * 2),
      ),
      'machine-drying',
    ),
    2,
  ),
  {
    ...job(
      'Flat at Q3',
      [
        [5.2, 4.1],
        [4.2, 3.4],
        [3.6, 3],
        [2.4, 1.8],
      ].map(([l = 0, w = 0], i) => ({
        ...newRoom(`room-${i}`, `Room ${i + 1}`, 'metric', {
          lengthMm: l * 1000,
          widthMm: w * 1000,
          heightMm: 2500,
        }),
        openings: [door(0)],
      })),
      'trowels-setting-below',
    ),
    units: 'metric',
  },
  crew(job('Corridor, three people', [feet('corridor', 'Corridor', 197, 6, 9)], 'knives-drying'), 3),
];
