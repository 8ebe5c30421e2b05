import { type Finish, type Job, type Room } from '../job';
import { jobFigures, withGrade, withWay } from '../figures';
import { plan } from '../plan';
import { demoJob, jobOf, plainRoom, said, saidInFeet } from '../testing/samples';
import { TYPICAL } from '../book';
import { suppliedWith } from '../compound';
import { US } from '../units';
import { PRESETS } from '../way';
import { agreementFor } from './agreement';
import { TEXTURES, textureSvg } from './texture';
import EN from '../texts/en.json';

const made = (job: Job) =>
  agreementFor(
    job,
    plan(job).rooms,
    plan(job).days.finish,
    job.units === 'feet' ? saidInFeet : said,
    US,
    suppliedWith(TYPICAL, job),
  );
const told = (room: Partial<Room>) => JSON.stringify(made(jobOf([plainRoom(room)])).rooms);

describe('the finish agreement', () => {
  it('names every room of the demo with its grade, its light and what it does not promise', () => {
    const job = demoJob('tarn-ferry');
    const paper = made(job);
    expect(paper.rooms.map((r) => r.name)).toEqual(job.rooms.map((r) => r.name));
    const [reading] = paper.rooms;
    expect(reading?.parts[0]?.grade).toBe('Level 5: skimmed');
    expect(reading?.parts[0]?.lines.map((l) => l.label)).toEqual([
      'Includes',
      'Decoration',
      'Primer or sealer',
      'Light',
      'Does not promise',
    ]);
    expect(JSON.stringify(reading)).toContain('grazing light, down to 5°');
    expect(paper.signatures).toHaveLength(2);
    // A date that may still move is not signed.
    const unsure = agreementFor(job, plan(job).rooms, undefined, said, US, TYPICAL);
    expect(unsure.parties.at(-1)).toEqual({
      label: 'Ready for primer, as planned',
      value: 'not scheduled yet',
    });
  });

  it('says where a grade is below what is asked, and that this is accepted', () => {
    expect(told({ decoration: 'gloss' })).toContain(
      'needs Level 5: skimmed. At the level agreed here joints may show',
    );
    expect(told({})).not.toContain('joints may show');
  });

  it('carries the notes of rated, damp, garage, concealed, old and bare rooms, deferring to code', () => {
    const bare: Finish = { scale: 'level', grade: 0 };
    for (const [room, note] of [
      [{ rated: true }, EN['agreement.note.rated']],
      [{ faces: { 'wall-1': { rated: true } } }, EN['agreement.note.rated']],
      [{ damp: true }, EN['agreement.note.damp']],
      [{ garage: true }, EN['agreement.note.garage']],
      [{ decoration: 'none' }, EN['agreement.note.concealed']],
      [{ oldWork: true }, EN['agreement.note.old-work']],
      [{ finish: bare }, EN['agreement.note.bare']],
    ] as [Partial<Room>, string][]) {
      expect(told(room)).toContain(note);
      expect(told({})).not.toContain(note);
    }
    expect(made(jobOf([])).foot).toContain('Local codes');
  });

  it('gives its figures in the units of the job, round in them', () => {
    const inUnits = (units: Job['units']) =>
      JSON.stringify(made({ ...jobOf([plainRoom()]), units }).sections);
    expect(inUnits('metric')).toMatch(/10 °C or warmer.*From 1\.5 m, at eye height/);
    const colder = { ...jobOf([plainRoom()]), shop: { figures: { coldC: 7 } } };
    expect(JSON.stringify(made(colder).sections)).toContain('7 °C or warmer');
    expect(inUnits('feet')).toMatch(/50 °F or warmer.*From 5 ft, at eye height/);
  });

  it('splits a room whose wall differs, and shows the textures used', () => {
    const job = jobOf([plainRoom({ faces: { 'wall-1': { decoration: 'skip-trowel' } } })]);
    const paper = made(job);
    expect(paper.rooms[0]?.parts.map((p) => p.name)).toEqual(['the rest of the room', 'wall 2']);
    expect(paper.samples.map((s) => s.texture)).toEqual(['skip-trowel']);
    expect(paper.samples[0]?.svg).toBe(textureSvg('skip-trowel'));
  });

  it('draws each texture, the same each time', () => {
    for (const id of TEXTURES) {
      expect(textureSvg(id)).toMatch(/^<svg [^>]+>.*<\/svg>$/);
      expect(textureSvg(id)).toBe(textureSvg(id));
    }
    expect(new Set(TEXTURES.map(textureSvg)).size).toBe(TEXTURES.length);
  });
});

describe('what a way or a grade comes to', () => {
  const job = jobOf([plainRoom()]);
  const base = jobFigures(job);

  it('is the plan in its figures, the hours priced: by pencil', () => {
    const made = plan(job);
    expect(base).toMatchObject({
      wetL: made.totals.wetL,
      tapeMm: 58800,
      ready: made.days.finish,
      goods: made.order.cost,
    });
    expect(base.labour).toBeCloseTo((made.days.labourMin / 60) * 48, 6);
    expect(base.coats).toBe(3);
  });

  it('rises with the grade and dusts more when sanded between', () => {
    const figures = ([2, 3, 4, 5] as const).map((grade) =>
      jobFigures(withGrade(job, 'plain', [], { scale: 'level', grade })),
    );
    for (const key of ['wetL', 'labourMin', 'dustKg', 'goods'] as const)
      figures.slice(1).forEach((f, i) => expect(f[key]).toBeGreaterThanOrEqual(figures[i]![key]));
    const sanded = jobFigures(withWay(job, { ...job.way, between: 'sand' }));
    expect(sanded.dustKg).toBeGreaterThan(base.dustKg);
    const own = jobFigures({ ...job, shop: { figures: { dustDrying: 0.12 } } });
    expect(own.dustKg).toBeCloseTo(2 * base.dustKg, 6);
    // Level 2 is not sanded at all.
    expect(figures[0]?.dustKg).toBe(0);
  });

  it('changes one area and no other', () => {
    const walls = withGrade(job, 'plain/wall-1', ['wall-1'], { scale: 'level', grade: 5 });
    expect(walls.rooms[0]?.faces).toEqual({ 'wall-1': { finish: { scale: 'level', grade: 5 } } });
    // 3.6 × 2.4 m skimmed 0.4 mm.
    expect(plan(walls).totals.wetLByCoat.skim).toBeCloseTo(3.6 * 2.4 * 0.4, 6);
  });

  it('has at least seven named ways, all different and all planned', () => {
    expect(PRESETS.length).toBeGreaterThanOrEqual(7);
    const all = PRESETS.map((p) => JSON.stringify(jobFigures(withWay(job, p.way))));
    expect(new Set(all).size).toBe(PRESETS.length);
  });
});
