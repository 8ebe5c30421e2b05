import { COMPOUND, fitFor, WATER_L } from '../compound';
import { COATS, COMPOUNDS, DECORATIONS, type Decoration, type Finish, type Light } from '../job';
import { CHOICES, type ChoiceKey } from '../job/vocabulary';
import { said } from '../testing/samples';
import { answersTo, askOf, compoundFor, PRESETS, presetOf } from '../way';
import { typicalCells } from '../testing/samples';
import { judgeFinish, smallestFinish } from './decoration';
import { needsOf, needsText } from './needs';

const level = (grade: 0 | 1 | 2 | 3 | 4 | 5): Finish => ({ scale: 'level', grade });
const ordinary: Light = { kind: 'ordinary' };
const clerestory: Light = { kind: 'critical', grazingDeg: 4 };

describe('decoration and light', () => {
  it.each<[Decoration, number, number]>([
    ['none', 1, 1],
    ['tile', 2, 2],
    ['knockdown', 3, 4],
    ['heavy-spray', 3, 4],
    ['heavy-texture', 3, 4],
    ['heavy-wallcovering', 3, 4],
    ['skip-trowel', 3, 4],
    ['medium-texture', 3, 4],
    ['light-spray', 4, 5],
    ['imperfect-smooth', 4, 5],
    ['light-texture', 4, 5],
    ['light-wallcovering', 4, 5],
    ['flat-paint', 4, 5],
    ['eggshell', 4, 5],
    ['satin', 4, 5],
    ['semi-gloss', 5, 5],
    ['gloss', 5, 5],
    ['deep-colour', 5, 5],
  ])('%s asks for %i, in grazing light for %i', (decoration, usual, critical) => {
    expect(smallestFinish(decoration, ordinary, 'level').grade).toBe(usual);
    expect(smallestFinish(decoration, clerestory, 'level').grade).toBe(critical);
    expect(smallestFinish(decoration, { kind: 'ordinary', grazingDeg: 9 }, 'level').grade).toBe(critical);
  });

  it('finds the quality whose needs are at least those of the level', () => {
    for (const decoration of DECORATIONS) {
      for (const light of [ordinary, clerestory]) {
        const want = needsOf(smallestFinish(decoration, light, 'level'));
        const has = needsOf(smallestFinish(decoration, light, 'q'));
        for (const key of ['flats', 'angles', 'heads', 'beads'] as const)
          expect(has[key]).toBeGreaterThanOrEqual(want[key]);
      }
    }
  });

  it('says whether the grade holds, and why', () => {
    expect(said(judgeFinish(level(4), 'flat-paint', ordinary).sentence)).toBe(
      'Flat paint in ordinary light: Level 4 is enough.',
    );
    expect(said(judgeFinish(level(5), 'flat-paint', ordinary).sentence)).toContain('Level 4 would do');
    const low = judgeFinish(level(4), 'gloss', ordinary);
    expect(low.holds).toBe(false);
    expect(said(low.sentence)).toContain('needs Level 5');
  });
});

describe('needs', () => {
  it('never take anything away as the grade rises', () => {
    for (const [scale, grades] of [
      ['level', [0, 1, 2, 3, 4, 5]],
      ['q', [1, 2, 3, 4]],
    ] as const) {
      grades.slice(1).forEach((grade, i) => {
        const [less, more] = [
          needsOf({ scale, grade: grades[i] } as Finish),
          needsOf({ scale, grade } as Finish),
        ];
        for (const key of ['flats', 'angles', 'heads', 'beads'] as const)
          expect(more[key]).toBeGreaterThanOrEqual(less[key]);
        expect(Number(more.tape)).toBeGreaterThanOrEqual(Number(less.tape));
      });
    }
  });

  it('read as a sentence', () => {
    expect(said(needsText(needsOf(level(4))))).toBe(
      'Tape bedded, two coats over flats, one over angles, three coats on fasteners and beads, sanded smooth.',
    );
    expect(said(needsText(needsOf(level(0))))).toBe('No tape and no coats.');
    expect(said(needsText(needsOf(level(2))))).toContain(
      'thin cover, nothing over it, one coat on fasteners and beads',
    );
  });
});

describe('compounds and ways', () => {
  it('lists every class with a package for each system', () => {
    for (const id of COMPOUNDS) {
      const { packages, minMm, maxMm } = COMPOUND[id];
      for (const units of ['feet', 'metric'])
        expect(packages.some((p) => p.for === 'both' || p.for === units)).toBe(true);
      expect(minMm).toBeLessThan(maxMm);
    }
    expect(fitFor('drying-topping', 'tape')).toBe('no');
    expect(fitFor('drying-all-purpose', 'prefill')).toBe('poor');
    expect(WATER_L.C6).toBe(2);
  });

  it('gives every choice a name and a reason', () => {
    for (const key of Object.keys(CHOICES) as ChoiceKey[]) {
      expect(said(askOf(key))).not.toBe(askOf(key).key);
      for (const { text } of answersTo(key)) {
        expect(said(text.name)).not.toBe(text.name.key);
        expect(said(text.reason).length).toBeGreaterThan(12);
      }
    }
  });

  it('knows a preset again until a choice is changed', () => {
    for (const preset of PRESETS) expect(presetOf({ ...preset.way })).toBe(preset);
    const first = PRESETS[0] as (typeof PRESETS)[number];
    expect(presetOf({ ...first.way, tape: 'mat' })).toBeUndefined();
    expect(presetOf({ ...first.way, compoundFor: { fill: 'hybrid' } })).toBeUndefined();
    expect(compoundFor({ ...first.way, compoundFor: { fill: 'hybrid' } }, 'fill')).toBe('hybrid');
    expect(compoundFor(first.way, 'prefill')).toBe('setting-light');
  });
});

describe('the coat board', () => {
  const coats = (finish: Finish, element: string, way = PRESETS[0]!.way) =>
    typicalCells(needsOf(finish), way)
      .filter((c) => c.element === element && c.coat !== 'prefill')
      .map((c) => c.coat);

  it('has the coats each level needs', () => {
    expect(coats(level(0), 'flats')).toEqual([]);
    expect(coats(level(1), 'flats')).toEqual(['tape']);
    expect(coats(level(3), 'flats')).toEqual(['tape', 'fill']);
    expect(coats(level(4), 'flats')).toEqual(['tape', 'fill', 'finish']);
    expect(coats(level(4), 'heads')).toEqual(['tape', 'fill', 'finish']);
    expect(coats(level(2), 'corners')).toEqual(['tape']);
    expect(coats(level(4), 'face')).toEqual([]);
    expect(coats(level(5), 'face')).toEqual(['skim']);
  });

  it('coats one face of an angle at a time by hand, both at once with a head', () => {
    expect(coats(level(4), 'angles')).toEqual(['tape', 'fill', 'finish']);
    expect(coats(level(4), 'angles', PRESETS.find((p) => p.id === 'machine-drying')!.way)).toEqual([
      'tape',
      'fill',
    ]);
  });

  it('never narrows from coat to coat, in any way of working', () => {
    for (const { way } of PRESETS) {
      for (const grade of [1, 2, 3, 4, 5] as const) {
        const cells = typicalCells(needsOf(level(grade)), way);
        for (const element of ['flats', 'mixed', 'recessed', 'butts', 'angles', 'corners', 'heads']) {
          const bands = COATS.flatMap((coat) =>
            cells
              .filter((c) => c.element === element && c.coat === coat && coat !== 'prefill')
              .map((c) => c.bandMm),
          );
          bands.slice(1).forEach((band, i) => expect(band).toBeGreaterThanOrEqual(bands[i] as number));
        }
      }
    }
  });
});
