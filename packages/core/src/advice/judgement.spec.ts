import { TYPICAL } from '../book';
import { rowsFor } from '../coat';
import { areasOf } from '../finish';
import type { Climate, CompoundId, Decoration, Finish, Substrate, Tape } from '../job';
import { plan } from '../plan';
import { jobOf, plainRoom } from '../testing/samples';
import { PRESETS } from '../way';

/**
 * The trade's judgement by hand: grade, decoration, light (o ordinary, c grazing at 5°), way, tape, compound the tape
 * lies in (- as the way says), surface, °C; then the coats on flats, angles and heads and over the face, and what is
 * advised. Widths, drying and carrying are judged by figures elsewhere.
 */
const TABLE = `
L0 flat-paint       o kd paper - paper 20 | 0 0 0 0 | BARE LEVEL
L0 none             o kd paper - paper 20 | 0 0 0 0 | BARE LEVEL
L0 none             c ks paper - paper 20 | 0 0 0 0 | BARE LEVEL
L0 tile             o md paper - paper 20 | 0 0 0 0 | BARE LEVEL
L0 gloss            o kd paper - paper 20 | 0 0 0 0 | BARE LEVEL
L0 none             o kd mesh - paper 20 | 0 0 0 0 | BARE LEVEL
L0 none             o kd paper - paper 5 | 0 0 0 0 | BARE LEVEL COLD
L1 none             o kd paper - paper 20 | 1 1 0 0 | HIDDEN
L1 none             c kd paper - paper 20 | 1 1 0 0 | HIDDEN
L1 none             o ks mesh - paper 20 | 1 1 0 0 | HIDDEN
L1 none             o kd mesh - paper 20 | 1 1 0 0 | HIDDEN MESH
L1 none             o md paper - paper 20 | 1 1 0 0 | HIDDEN
L1 none             o md mesh - paper 20 | 1 1 0 0 | HIDDEN MESH
L1 none             o th paper - paper 20 | 1 1 0 0 | HIDDEN
L1 none             o th mesh - paper 20 | 1 1 0 0 | HIDDEN MESH
L1 none             o kd paper drying-topping paper 20 | 1 1 0 0 | HIDDEN BED
L1 none             o kd paper drying-light paper 20 | 1 1 0 0 | HIDDEN BED
L1 none             o kd paper drying-taping paper 20 | 1 1 0 0 | HIDDEN
L1 none             o ks paper - painted 20 | 1 1 0 0 | HIDDEN PAINTED
L1 none             o kd paper - painted 20 | 1 1 0 0 | HIDDEN
L1 none             o kd paper - paper 9 | 1 1 0 0 | HIDDEN COLD
L1 tile             o kd paper - paper 20 | 1 1 0 0 | LEVEL
L1 flat-paint       o kd paper - paper 20 | 1 1 0 0 | LEVEL
L2 tile             o kd paper - paper 20 | 1 1 1 0 |
L2 tile             c kd paper - paper 20 | 1 1 1 0 |
L2 tile             o ks mesh - paper 20 | 1 1 1 0 |
L2 tile             o mq mesh - paper 20 | 1 1 1 0 |
L2 tile             o md paper - paper 20 | 1 1 1 0 |
L2 tile             o md paper setting-light paper 20 | 1 1 1 0 | TOOL
L2 tile             o th paper - painted 20 | 1 1 1 0 |
L2 tile             o kq paper - painted 20 | 1 1 1 0 | PAINTED
L2 tile             o kd paper - paper 4 | 1 1 1 0 | COLD
L2 none             o kd paper - paper 20 | 1 1 1 0 | HIDDEN
L2 knockdown        o kd paper - paper 20 | 1 1 1 0 | LEVEL
L2 heavy-wallcovering o kd paper - paper 20 | 1 1 1 0 | LEVEL
L2 eggshell         o kd paper - paper 20 | 1 1 1 0 | LEVEL
L3 knockdown        o kd paper - paper 20 | 2 3 2 0 |
L3 knockdown        c kd paper - paper 20 | 2 3 2 0 | LEVEL
L3 heavy-spray      o kd paper - paper 20 | 2 3 2 0 |
L3 heavy-spray      c ks paper - paper 20 | 2 3 2 0 | LEVEL
L3 heavy-texture    o ks paper - paper 20 | 2 3 2 0 |
L3 heavy-wallcovering o kd paper - paper 20 | 2 3 2 0 |
L3 heavy-wallcovering c kd paper - paper 20 | 2 3 2 0 | LEVEL
L3 skip-trowel      o kd paper - paper 20 | 2 3 2 0 |
L3 skip-trowel      c kd paper - paper 20 | 2 3 2 0 | LEVEL
L3 medium-texture   o th paper - paper 20 | 2 3 2 0 |
L3 light-spray      o kd paper - paper 20 | 2 3 2 0 | LEVEL
L3 imperfect-smooth o kd paper - paper 20 | 2 3 2 0 | LEVEL
L3 flat-paint       o kd paper - paper 20 | 2 3 2 0 | LEVEL
L3 satin            o kd paper - paper 20 | 2 3 2 0 | LEVEL
L3 knockdown        o kq paper - paper 20 | 2 3 2 0 | TOP
L3 knockdown        o mq mesh - paper 20 | 2 3 2 0 | TOP
L3 knockdown        o md paper - paper 20 | 2 2 2 0 |
L3 knockdown        o md paper hybrid paper 20 | 2 2 2 0 | TOOL
L3 knockdown        o md mesh setting-hard paper 20 | 2 2 2 0 | TOOL
L3 knockdown        o kd mesh - glass-mat 20 | 2 3 2 0 | MESH
L3 knockdown        o kn paper - paper 20 | 2 3 2 0 |
L3 knockdown        o ts paper - painted 20 | 2 3 2 0 | PAINTED
L3 tile             o kd paper - paper 20 | 2 3 2 0 |
L4 flat-paint       o kd paper - paper 20 | 3 3 3 0 |
L4 flat-paint       c kd paper - paper 20 | 3 3 3 0 | LEVEL
L4 flat-paint       o ks paper - paper 20 | 3 3 3 0 |
L4 flat-paint       o kq paper - paper 20 | 3 3 3 0 |
L4 flat-paint       o th paper - paper 20 | 3 3 3 0 |
L4 flat-paint       o ts paper - paper 20 | 3 3 3 0 |
L4 flat-paint       o mq mesh - paper 20 | 3 3 3 0 |
L4 flat-paint       o kn paper - paper 20 | 3 3 3 0 |
L4 flat-paint       o md paper - paper 20 | 3 2 3 0 |
L4 flat-paint       o kd mesh - paper 20 | 3 3 3 0 | MESH
L4 flat-paint       o ks mesh - paper 20 | 3 3 3 0 |
L4 flat-paint       o th mesh - paper 20 | 3 3 3 0 | MESH
L4 flat-paint       o md mesh - paper 20 | 3 2 3 0 | MESH
L4 flat-paint       o kd mat - paper 20 | 3 3 3 0 |
L4 flat-paint       o mq paper - paper 20 | 3 3 3 0 |
L4 flat-paint       o kd paper drying-light paper 20 | 3 3 3 0 | BED
L4 flat-paint       o kd paper drying-ultra-light paper 20 | 3 3 3 0 | BED
L4 flat-paint       o kd paper drying-mid-weight paper 20 | 3 3 3 0 |
L4 flat-paint       o kd paper drying-topping paper 20 | 3 3 3 0 | BED
L4 flat-paint       o kd paper patch-filler paper 20 | 3 3 3 0 | BED
L4 flat-paint       o kd paper surfacer paper 20 | 3 3 3 0 | BED
L4 flat-paint       o kd mesh drying-topping paper 20 | 3 3 3 0 | BED MESH
L4 flat-paint       o kd mesh setting-hard paper 20 | 3 3 3 0 |
L4 flat-paint       o md paper setting-hard paper 20 | 3 2 3 0 | TOOL
L4 flat-paint       o md paper drying-light paper 20 | 3 2 3 0 | BED
L4 flat-paint       o md paper hybrid painted 20 | 3 2 3 0 | TOOL
L4 flat-paint       o kd paper - painted 20 | 3 3 3 0 |
L4 flat-paint       o ks paper - painted 20 | 3 3 3 0 | PAINTED
L4 flat-paint       o kq paper - painted 20 | 3 3 3 0 | PAINTED
L4 flat-paint       o th paper - painted 20 | 3 3 3 0 |
L4 flat-paint       o kd paper - glass-mat 20 | 3 3 3 0 |
L4 flat-paint       o kd paper - plaster 20 | 3 3 3 0 | OLD
L4 flat-paint       o kd paper - paper 10 | 3 3 3 0 | SLOW
L4 flat-paint       o kd paper - paper 9 | 3 3 3 0 | COLD
L4 flat-paint       o ks paper - painted 2 | 3 3 3 0 | COLD PAINTED
L4 flat-paint       o kd paper - paper 35 | 3 3 3 0 |
L4 eggshell         o kd paper - paper 20 | 3 3 3 0 | FLASH
L4 eggshell         c kd paper - paper 20 | 3 3 3 0 | LEVEL
L4 satin            o ks paper - paper 20 | 3 3 3 0 | FLASH
L4 satin            c md paper - paper 20 | 3 2 3 0 | LEVEL
L4 semi-gloss       o kd paper - paper 20 | 3 3 3 0 | LEVEL
L4 gloss            o kd paper - paper 20 | 3 3 3 0 | LEVEL
L4 gloss            c ks paper - paper 20 | 3 3 3 0 | LEVEL
L4 deep-colour      o kd paper - paper 20 | 3 3 3 0 | LEVEL
L4 light-spray      o kd paper - paper 20 | 3 3 3 0 |
L4 light-spray      c kd paper - paper 20 | 3 3 3 0 | LEVEL
L4 imperfect-smooth o th paper - paper 20 | 3 3 3 0 |
L4 imperfect-smooth c th paper - paper 20 | 3 3 3 0 | LEVEL
L4 light-texture    o kd paper - paper 20 | 3 3 3 0 |
L4 light-wallcovering o kd paper - paper 20 | 3 3 3 0 |
L4 light-wallcovering c kd paper - paper 20 | 3 3 3 0 | LEVEL
L4 knockdown        c kd paper - paper 20 | 3 3 3 0 |
L4 skip-trowel      c md paper - paper 20 | 3 2 3 0 |
L4 none             o kd paper - paper 20 | 3 3 3 0 | HIDDEN
L5 gloss            o kd paper - paper 20 | 3 3 3 1 |
L5 gloss            c kd paper - paper 20 | 3 3 3 1 |
L5 semi-gloss       c ks paper - paper 20 | 3 3 3 1 |
L5 deep-colour      o th paper - paper 20 | 3 3 3 1 |
L5 eggshell         c kd paper - paper 20 | 3 3 3 1 |
L5 satin            c md paper - paper 20 | 3 2 3 1 |
L5 flat-paint       c kq paper - paper 20 | 3 3 3 1 |
L5 flat-paint       o kd paper - glass-mat 20 | 3 3 3 1 |
L5 light-wallcovering c kd paper - paper 20 | 3 3 3 1 |
L5 flat-paint       c kd mesh - paper 8 | 3 3 3 1 | COLD MESH
L5 flat-paint       c md paper setting-light paper 20 | 3 2 3 1 | TOOL
L5 gloss            c ks paper - painted 20 | 3 3 3 1 | PAINTED
Q1 none             o kd paper - paper 20 | 1 1 1 0 | HIDDEN
Q1 tile             o kd paper - paper 20 | 1 1 1 0 | LEVEL
Q2 tile             c ks paper - paper 20 | 2 3 2 0 |
Q2 knockdown        o kd paper - paper 20 | 2 3 2 0 |
Q2 knockdown        c kd paper - paper 20 | 2 3 2 0 | LEVEL
Q2 heavy-wallcovering o md paper - paper 20 | 2 2 2 0 |
Q2 flat-paint       o kd paper - paper 20 | 2 3 2 0 | LEVEL
Q2 knockdown        o kq paper - paper 20 | 2 3 2 0 | TOP
Q3 flat-paint       o kd paper - paper 20 | 3 3 3 1 |
Q3 flat-paint       c kd paper - paper 20 | 3 3 3 1 | LEVEL
Q3 eggshell         o kd paper - paper 20 | 3 3 3 1 | FLASH
Q3 gloss            o kd paper - paper 20 | 3 3 3 1 | LEVEL
Q3 light-wallcovering o th paper - paper 20 | 3 3 3 1 |
Q4 gloss            c kd paper - paper 20 | 3 3 3 1 |
Q4 gloss            o md mesh - paper 20 | 3 2 3 1 | MESH
Q4 flat-paint       c kd paper drying-ultra-light paper 6 | 3 3 3 1 | BED COLD
`
  .trim()
  .split('\n');

const WAYS: Record<string, string> = {
  kd: 'knives-drying',
  ks: 'knives-setting-below',
  kq: 'knives-same-day',
  kn: 'knives-new-frame',
  th: 'trowels-hybrid',
  ts: 'trowels-setting-below',
  mq: 'mesh-same-day',
  md: 'machine-drying',
};
const FIGURED = ['A-WIDTH', 'A-HUMID', 'A-LIFT', 'A-CROSS', 'A-POT'];

it('has enough of it', () => expect(TABLE.length).toBeGreaterThanOrEqual(120));

it.each(TABLE)('%s', (line) => {
  const [asked = '', coats = '', advised = ''] = line.split('|').map((part) => part.trim());
  const [grade = '', decoration, light, way = '', tape, bed, substrate, temp] = asked.split(/\s+/);
  const room = plainRoom({
    finish: { scale: grade.startsWith('L') ? 'level' : 'q', grade: Number(grade.slice(1)) } as Finish,
    decoration: decoration as Decoration,
    light: light === 'c' ? { kind: 'critical', grazingDeg: 5 } : { kind: 'ordinary' },
    substrate: substrate as Substrate,
  });
  const preset = PRESETS.find((p) => p.id === WAYS[way])!;
  const climate: Climate = { tempC: Number(temp), rhPct: 50, air: 'still' };
  const job = jobOf([room], {
    climate,
    way: {
      ...preset.way,
      tape: tape as Tape,
      ...(bed === '-' ? {} : { compoundFor: { tape: bed as CompoundId } }),
    },
  });
  const made = plan(job);
  const rows = rowsFor(areasOf(room, made.rooms[0]!)[0]!, job.way, [], TYPICAL);
  const count = (element: string) =>
    rows.find((row) => row.element === element)?.cells.filter((cell) => cell.coat !== 'prefill').length ?? 0;
  expect(['flats', 'angles', 'heads', 'face'].map(count).join(' ')).toBe(coats);
  const codes = new Set(made.advice.map((a) => a.code).filter((code) => !FIGURED.includes(code)));
  expect([...codes].sort()).toEqual(
    advised
      .split(' ')
      .filter(Boolean)
      .map((code) => `A-${code}`)
      .sort(),
  );
});
