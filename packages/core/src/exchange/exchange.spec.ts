import * as fc from 'fast-check';
import { DxfWriter, LWPolylineFlags, point3d, Units } from '@tarikjabiri/dxf';
import * as packaged from 'dxf-parser';
import { TYPICAL } from '../book';
import { checkJob, wallLengths, type Room } from '../job';
import { surveyRoom } from '../survey';
import { jobOf, plainRoom, said } from '../testing/samples';
import { drawn } from './drawn';
import { readOutlinesDxf, roomsFromOutlines } from './outlines-dxf';
import { lettersOf } from './letters';
import { roomsDxf } from './room-dxf';
import { isWholeDrawing } from './whole-drawing';
import { roomSvg } from './room-svg';
import { readRoomsCsv, roomsCsv } from './rooms-csv';

const Parser = (packaged as unknown as { default: typeof packaged.DxfParser }).default;

let n = 0;
const newId = () => `r${n++}`;
const read = (text: string, units: 'feet' | 'metric' = 'metric') => readRoomsCsv(text, units, newId);
const plans = (text: string, units: 'feet' | 'metric' = 'metric') =>
  read(text, units).rooms.map((r) => r.room.plan);

describe('rooms from a table', () => {
  it.each<[string, string]>([
    ['units in the heading', 'name,length (m),width (m),height (mm)\nHall,4.8,3.6,2400'],
    ['units in the cells', 'Name,Length,Width,Height\nHall,4.8 m,360 cm,2400mm'],
    ['semicolons and decimal commas', 'name;length (m);width (m);height (m)\nHall;4,8;3,6;2,4'],
    ['a thousands comma in a comma file', 'name,length,width,height\nHall,"4,800","3,600","2,400"'],
    ['tabs, other order, odd case', 'HEIGHT\troom\tWIDTH [m]\tLength [m]\n2400\tHall\t3.6\t4.8'],
    [
      'a byte-order mark and empty lines',
      '\uFEFFname,length,width,height\r\n\r\nHall,4800,3600,2400\r\n\r\n',
    ],
  ])('%s', (_, text) => {
    const { rooms, errors } = read(text);
    expect(errors).toEqual([]);
    expect(rooms.map((r) => [r.room.name, r.room.plan])).toEqual([
      ['Hall', { lengthMm: 4800, widthMm: 3600, heightMm: 2400 }],
    ]);
  });

  it('in feet and inches', () => {
    expect(plans(`name,length,width,height\nDen,14' 6",12-0,8`, 'feet')).toEqual([
      { lengthMm: 4419.6, widthMm: 3657.6, heightMm: 2438.4 },
    ]);
  });

  it('finish and decoration are read, and the name tells the kind', () => {
    const text =
      'name,length,width,height,finish,decoration\nA,4000,3000,2400,level 5,gloss\nStore 2,4000,3000,2400,,\nB,4000,3000,2400,Q2,flat paint';
    expect(read(text).rooms.map(({ room }) => [room.finish, room.decoration])).toEqual([
      [{ scale: 'level', grade: 5 }, 'gloss'],
      [{ scale: 'q', grade: 1 }, 'none'],
      [{ scale: 'q', grade: 2 }, 'flat-paint'],
    ]);
  });

  it('counted rooms need no size', () => {
    const { rooms, errors } = read(
      'name,flats (m),butts (m),corners (m),heads,area\nUnit 4,120,18,9.6,800,95',
    );
    expect(errors).toEqual([]);
    expect(rooms[0]?.room).toMatchObject({
      plan: { counted: true },
      counts: { mm: { tapered: 120000, butt: 18000, 'outside-corner': 9600 }, heads: 800, areaM2: 95 },
    });
  });

  it('every wrong cell is told with its row and column, and good rows still come', () => {
    const text =
      'name,length,width,height,finish\nA,4000,3000,2400,4\nB,long,3000,2400,\nC,4000,,2400,level 9\nD,4000,20,2400,';
    const { rooms, errors, rows } = read(text, 'metric');
    expect(rows).toBe(4);
    expect(rooms.map((r) => r.row)).toEqual([2]);
    expect(errors.map((e) => [e.row, e.column])).toEqual([
      [3, 'length'],
      [4, 'width'],
      [4, 'finish'],
      [5, 'width'],
    ]);
    expect(said(errors[0]!.message)).toContain('“long” is not a length');
  });

  it.each([
    ['', 'The file is empty.'],
    ['a,b,c\n1,2,3', 'must name the columns'],
  ])('%j: %s', (text, message) => {
    expect(said(read(text).errors[0]!.message)).toContain(message);
  });

  it('headings without a room under them say so', () => {
    expect(said(read('name,length,width,height\n\n').errors[0]!.message)).toContain('headings but no rooms');
  });

  it('brings no more rooms than the job has place for, and says so', () => {
    const text = `name,length,width,height\n${'R,4000,3000,2400\n'.repeat(5)}`;
    const { rooms, errors } = readRoomsCsv(text, 'metric', newId, { most: 3 });
    expect(rooms).toHaveLength(3);
    expect(errors.map((e) => [e.row, said(e.message)])).toEqual([
      [5, expect.stringContaining('has space for 3 more')],
    ]);
  });

  it('a size that rounds into its limits is taken, as a field takes it', () => {
    expect(plans('name,length,width,height\nA,299.96,3000,2400')[0]).toMatchObject({ lengthMm: 300 });
    expect(said(read('name,length,width,height\nA,299.6,3000,2400').errors[0]!.message)).toContain(
      'is 299.6 mm',
    );
  });

  it.each(['=1+1', '+49', '-5', '@sum', "'=x", '\t=1', 'plain'])(
    'a name such as %j is no formula out there, and comes back',
    (name) => {
      const csv = roomsCsv(jobOf([plainRoom({ name })]));
      expect(csv.split('\n')[1]).not.toMatch(/^"?\s*[=+\-@]/);
      expect(read(csv).rooms[0]?.room.name).toBe(name);
    },
  );

  it.each<[string, number[], string]>([
    ['UTF-8', [0x42, 0xc3, 0xbc], ''],
    ['UTF-16', [0xff, 0xfe, 0x42, 0, 0xfc, 0], ''],
    ['the letters of Western Europe', [0x42, 0xfc], 'not UTF-8'],
  ])('in %s', (_, bytes, told) => {
    const { text, said: guessed } = lettersOf(new Uint8Array(bytes).buffer);
    expect(text).toBe('Bü');
    expect(said(guessed ?? '')).toContain(told);
  });

  it('never throws, whatever the text', () => {
    fc.assert(
      fc.property(fc.string(), (text) => read(`name,length,width,height\n${text}`).rooms.length >= 0),
    );
  });

  it('comes back as it was written', () => {
    const size = fc.integer({ min: 3000, max: 90000 }).map((tenths) => tenths / 10);
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            size,
            size,
            size,
            fc.string({ minLength: 1, maxLength: 12 }).map((s) => `n${s}`.trim()),
          ),
          {
            minLength: 1,
            maxLength: 8,
          },
        ),
        (sizes) => {
          const rooms = sizes.map(([lengthMm, widthMm, heightMm, name], i): Room => ({
            ...plainRoom(),
            id: `r${i}`,
            name,
            plan: { lengthMm, widthMm, heightMm },
          }));
          for (const units of ['metric', 'feet'] as const) {
            const back = read(roomsCsv(jobOf(rooms, { units })), units);
            expect(back.errors).toEqual([]);
            expect(back.rooms.map(({ room }) => [room.name, room.plan, room.finish])).toEqual(
              rooms.map((room) => [room.name, room.plan, room.finish]),
            );
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('and so do counted rooms', () => {
    const room = plainRoom({
      plan: { counted: true, heightMm: 2400 },
      counts: { mm: { butt: 5000 }, heads: 3, areaM2: 7 },
    });
    expect(read(roomsCsv(jobOf([room]))).rooms[0]?.room.counts).toEqual(room.counts);
    const feet = roomsCsv(jobOf([room], { units: 'feet' }));
    expect(feet.split('\n')[0]).toContain('butt (ft),heads,area (sq ft)');
    const back = read(feet, 'feet').rooms[0]?.room.counts;
    expect(back?.mm).toEqual(room.counts!.mm);
    expect(back?.areaM2).toBeCloseTo(7, 6);
  });
});

/** A drawing with closed outlines, written by the package that reads nothing of ours. */
function drawing(
  units: Units | undefined,
  outlines: { layer: string; ring: [number, number][]; closed?: boolean }[],
) {
  const dxf = new DxfWriter();
  if (units !== undefined) dxf.setUnits(units);
  for (const { layer, ring, closed } of outlines) {
    dxf.addLayer(layer, 7);
    dxf.addLWPolyline(
      ring.map(([x, y]) => ({ point: { x, y } })),
      { flags: closed === false ? LWPolylineFlags.None : LWPolylineFlags.Closed, layerName: layer },
    );
  }
  return dxf;
}
const ell: [number, number][] = [
  [10, 20],
  [16, 20],
  [16, 22],
  [13, 22],
  [13, 25],
  [10, 25],
];

it('a drawing that is not whole is found before it is read: some have the package read for ever', () => {
  const text = drawing(Units.Meters, [
    { layer: 'A', ring: ell },
    { layer: 'B', ring: ell },
  ]).stringify();
  const lines = text.split('\n');
  expect(isWholeDrawing(text)).toBe(true);
  expect(isWholeDrawing(text.replaceAll('\n', '\r\n'))).toBe(true);
  const end = lines.lastIndexOf('EOF');
  for (let i = 0; i <= end; i += 7) {
    expect(isWholeDrawing(lines.filter((_, n) => n !== i).join('\n'))).toBe(false);
    expect(isWholeDrawing(lines.slice(0, i).join('\n'))).toBe(false);
  }
  const begun = '0\nSECTION\n2\nENTITIES\n0\nPOLYLINE\n8\n0\n0\nVERTEX\n8\n0\n10\n0\n20\n0\n';
  expect(isWholeDrawing(begun)).toBe(false);
  expect(isWholeDrawing(`${begun}0\nENDSEC\n0\nEOF\n`)).toBe(false);
  expect(isWholeDrawing(`${begun}0\nSEQEND\n0\nENDSEC\n0\nEOF\n`)).toBe(true);
  // A light polyline that tells of more corners than it has.
  expect(isWholeDrawing(text.replace(/^90\n6$/m, '90\n7'))).toBe(false);
  expect(readOutlinesDxf(begun, 'metric').errors.map(({ message }) => message.key)).toEqual(['dxf.damaged']);
});

describe('outlines from a drawing', () => {
  it.each<[Units, number]>([
    [Units.Meters, 1000],
    [Units.Millimeters, 1],
    [Units.Feet, 304.8],
    [Units.Inches, 25.4],
  ])('units %i come from the header', (units, mm) => {
    const ring = ell.map(([x, y]): [number, number] => [(x * 1000) / mm, (y * 1000) / mm]);
    const { outlines } = readOutlinesDxf(drawing(units, [{ layer: 'A', ring }]).stringify(), 'metric');
    expect(outlines[0]?.ring[1]).toEqual([6000, 0]);
  });

  it('the layer chooses the kind, a text inside is the name', () => {
    const dxf = drawing(Units.Meters, [
      { layer: 'Bath rooms', ring: ell },
      { layer: 'Store', ring: ell.map(([x, y]) => [x + 20, y]) },
    ]);
    dxf.addText(point3d(11, 21), 0.2, 'Shower 2');
    const { outlines } = readOutlinesDxf(dxf.stringify(), 'metric');
    expect(outlines.map((o) => [o.name, o.kind.id])).toEqual([
      ['Shower 2', 'damp'],
      ['Store 2', 'store'],
    ]);
    const rooms = roomsFromOutlines(outlines, 2600, 'metric', newId);
    expect(checkJob(jobOf(rooms)).ok).toBe(true);
    expect(rooms[0]).toMatchObject({ damp: true, plan: { heightMm: 2600 } });
    expect(wallLengths(rooms[0]!).reduce((a, b) => a + b, 0)).toBeCloseTo(22000, 0);
  });

  it('open, crossing and tiny outlines are told, and the rest is read', () => {
    const { outlines, errors } = readOutlinesDxf(
      drawing(Units.Meters, [
        { layer: 'A', ring: ell.slice(0, 4), closed: false },
        {
          layer: 'B',
          ring: [
            [0, 0],
            [4, 3],
            [4, 0],
            [0, 3],
          ],
        },
        { layer: 'C', ring: ell },
      ]).stringify(),
      'metric',
    );
    expect(outlines.map((o) => o.layer)).toEqual(['C']);
    expect(errors.map((e) => `${said(e.where)} ${said(e.message)}`)).toEqual([
      'outline 1, layer A is not closed; close it, or draw its last side.',
      expect.stringContaining('cross'),
    ]);
  });

  it('corners on a straight wall and doubled ones are left out', () => {
    const ring: [number, number][] = [
      [0, 0],
      [2, 0],
      [4, 0],
      [4, 0.001],
      [4, 3],
      [0, 3],
    ];
    const { outlines } = readOutlinesDxf(drawing(Units.Meters, [{ layer: 'A', ring }]).stringify(), 'metric');
    expect(outlines[0]?.ring).toHaveLength(4);
    expect(said(outlines[0]!.notes)).toContain('left out');
  });

  it('a drawing made by hand, old style, without a unit', () => {
    const vertex = (x: number, y: number) => `0\nVERTEX\n8\nHall\n10\n${x}\n20\n${y}\n30\n0\n`;
    const text = `0\nSECTION\n2\nENTITIES\n0\nPOLYLINE\n8\nHall\n66\n1\n70\n1\n${vertex(0, 0)}${vertex(4000, 0)}${vertex(4000, 3000)}${vertex(0, 3000)}0\nSEQEND\n0\nENDSEC\n0\nEOF\n`;
    const got = readOutlinesDxf(text, 'metric');
    expect(said(got.unit!)).toContain('names no unit');
    expect(got.outlines.map((o) => [o.layer, o.ring.length])).toEqual([['Hall', 4]]);
  });

  it.each([
    '',
    'Binary DXF\r\n',
    '0\nSECTION\n2\nENTITIES\n0\nLINE',
    '{"a":1}',
    '0\nSECTION\n2\nENTITIES\n0\nENDSEC\n0\nEOF\n',
  ])('%j is refused with a reason', (text) => {
    const { outlines, errors } = readOutlinesDxf(text, 'metric');
    expect(outlines).toEqual([]);
    expect(said(errors[0]!.message).length).toBeGreaterThan(20);
  });
});

describe('drawings out', () => {
  const room = plainRoom({ name: 'Hall & <stair>' });
  const survey = surveyRoom(room, TYPICAL);

  it('the DXF holds every face, board and joint on its layer, at true size', () => {
    const back = new Parser().parseSync(roomsDxf([{ room, survey }]))!;
    const on = (layer: string) => back.entities.filter((e) => e.layer === layer);
    expect(back.header['$INSUNITS']).toBe(4);
    expect(on('FACES')).toHaveLength(5);
    expect(on('BOARDS')).toHaveLength(survey.boards.length);
    expect(on('JOINT-BUTT')).toHaveLength(4);
    const lines = on('JOINT-TAPERED') as unknown as { vertices: { x: number; y: number }[] }[];
    const sum = lines.reduce((all, { vertices: [a, b] }) => all + Math.hypot(b!.x - a!.x, b!.y - a!.y), 0);
    expect(sum).toBeCloseTo(27600, 0);
  });

  it('an L goes out and its ceiling comes back in as the same outline', () => {
    const shaped: Room = {
      ...room,
      plan: { outline: ell.map(([x, y]) => [x * 1000, y * 1000] as const), heightMm: 2400 },
    };
    const text = roomsDxf([{ room: shaped, survey: surveyRoom(shaped, TYPICAL) }]);
    const { outlines } = readOutlinesDxf(text, 'metric');
    const ceiling = outlines.find((o) => o.layer === 'FACES' && o.ring.length === 6);
    const lengths = (ring: readonly (readonly [number, number])[]) =>
      ring.map(([x, y], i) =>
        Math.round(Math.hypot(x - ring[(i + 1) % ring.length]![0], y - ring[(i + 1) % ring.length]![1])),
      );
    expect(lengths(ceiling!.ring)).toEqual(lengths(ell.map(([x, y]) => [x * 1000, y * 1000] as const)));
  });

  it('the SVG is well formed, escaped and holds every joint', () => {
    const svg = roomSvg(room, survey, said);
    expect(svg).toContain('<title>Hall &amp; &lt;stair&gt;</title>');
    expect(svg.match(/<path /g)).toHaveLength(5 + survey.boards.length + survey.joints.length);
    expect(svg.split('<').length).toBe(svg.split('>').length);
  });

  it('a name writes nothing into a drawing but itself', () => {
    const room = plainRoom({ name: 'Hall\n0\nLINE\r\n8\nX\u0000\u0007 & <b>\ud800' });
    const survey = surveyRoom(room, TYPICAL);
    const entities = new Parser().parseSync(roomsDxf([{ room, survey }]))?.entities ?? [];
    const plain =
      new Parser().parseSync(roomsDxf([{ room: { ...room, name: 'Hall' }, survey }]))?.entities ?? [];
    expect(entities.length).toBe(plain.length);
    const svg = roomSvg(room, survey, said);
    // eslint-disable-next-line no-control-regex -- none of these may be there
    expect(svg).not.toMatch(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]|[\ud800-\udbff](?![\udc00-\udfff])/);
    expect(svg).toContain('&amp; &lt;b&gt;</title>');
  });

  it('keeps lengths wherever a face lands', () => {
    const { joints } = drawn(room, survey);
    joints.forEach(({ points: [a, b] }, i) =>
      expect(Math.hypot(b![0] - a![0], b![1] - a![1])).toBeCloseTo(survey.joints[i]!.lengthMm, 6),
    );
  });
});
