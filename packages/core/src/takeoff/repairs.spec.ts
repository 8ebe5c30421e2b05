import { TYPICAL } from '../book';
import { DAMAGES, type Damage, type DamageKind, type Room } from '../job';
import { plan } from '../plan';
import { jobOf, plainRoom, said } from '../testing/samples';
import { say } from '../texts';
import { repairMud } from './repairs';

const spot = (kind: DamageKind, sizeMm: number, id = 'd'): Damage => ({
  id,
  face: 'wall-0',
  at: [1000, 1000],
  kind,
  sizeMm,
});
const paper = { tape: 'paper' } as const;
const room = (damage: Damage[]): Room => plainRoom({ damage });
const uses = (damage: Damage[]) =>
  plan(jobOf([room(damage)])).rooms[0]!.use.uses.filter((u) => u.element === 'repairs');

describe('one repair', () => {
  it('of a dent is a fill and a finish, each reaching past the one under it: by pencil', () => {
    const dent = spot('dent', 50);
    // A disc of 50 + 2 × 75 = 200 mm, 0.8 mm wet; then of 350 mm, 0.5 mm wet.
    expect(repairMud(dent, 'fill', 12.5, paper, TYPICAL).wetL).toBeCloseTo((Math.PI / 4) * 0.2 ** 2 * 0.8, 6);
    expect(repairMud(dent, 'finish', 12.5, paper, TYPICAL).wetL).toBeCloseTo(
      (Math.PI / 4) * 0.35 ** 2 * 0.5,
      6,
    );
    expect(repairMud(dent, 'prefill', 12.5, paper, TYPICAL).wetL).toBe(0);
    expect(repairMud(dent, 'tape', 12.5, paper, TYPICAL).tapeMm).toBe(0);
  });

  it('of a hole is packed first and taped round: 100 mm across, 10 mm deep', () => {
    const hole = spot('small-hole', 100);
    const packed = repairMud(hole, 'prefill', 12.5, paper, TYPICAL);
    expect(packed.layerMm).toBeCloseTo(10, 9);
    expect(packed.wetL).toBeCloseTo((Math.PI / 4) * 0.1 ** 2 * 10, 6);
    expect(repairMud(hole, 'tape', 12.5, paper, TYPICAL).tapeMm).toBeCloseTo(Math.PI * 100, 6);
  });

  it('of failed tape goes by its length: a metre is 96.9 mL to bed', () => {
    const { wetL, tapeMm } = repairMud(spot('failed-tape', 1000), 'tape', 12.5, paper, TYPICAL);
    expect(wetL).toBeCloseTo(0.0969, 9);
    expect(tapeMm).toBe(1000);
  });

  it('says of every kind what is done before any compound', () => {
    for (const kind of DAMAGES) expect(said(say(`damage.${kind}.first`)).length).toBeGreaterThan(8);
  });

  it.each(DAMAGES)('%s takes more the larger it is, in every coat', (kind) => {
    for (const coat of ['prefill', 'tape', 'fill', 'finish'] as const) {
      const [small, large] = [spot(kind, 40), spot(kind, 160)].map((d) =>
        repairMud(d, coat, 12.5, paper, TYPICAL),
      );
      expect(large!.wetL).toBeGreaterThanOrEqual(small!.wetL);
      expect(small!.wetL).toBeGreaterThanOrEqual(0);
    }
  });
});

describe('the repairs of a room', () => {
  it('are a row of its board, its work counted by the repair', () => {
    const found = uses([spot('dent', 50), spot('small-hole', 100, 'e')]);
    expect(found.map((u) => u.coat)).toEqual(['prefill', 'tape', 'fill', 'finish']);
    // Two repairs at twelve an hour.
    expect(found.find((u) => u.coat === 'fill')?.minutes).toBeCloseTo(10, 9);
    const fill = [50, 100].reduce((sum, mm) => sum + (Math.PI / 4) * ((mm + 150) / 1000) ** 2 * 0.8, 0);
    expect(found.find((u) => u.coat === 'fill')?.wetL).toBeCloseTo(fill, 6);
  });

  it('cost no work in a coat none of them needs', () => {
    expect(uses([spot('dent', 50)]).find((u) => u.coat === 'prefill')?.minutes).toBe(0);
  });

  it('add their tape to the order', () => {
    const tape = (damage: Damage[]) => plan(jobOf([room(damage)])).totals.tapeMm.paper ?? 0;
    expect(tape([spot('failed-tape', 1500)]) - tape([])).toBeCloseTo(1500, 6);
  });

  it('end with the coats of the grade', () => {
    const at = (grade: 1 | 2 | 3 | 4) =>
      plan(jobOf([plainRoom({ damage: [spot('dent', 50)], finish: { scale: 'level', grade } })]))
        .rooms[0]!.areas[0]!.rows.find((row) => row.element === 'repairs')!
        .cells.map((cell) => cell.coat);
    expect(at(1)).toEqual(['prefill', 'tape']);
    expect(at(3)).toEqual(['prefill', 'tape', 'fill']);
    expect(at(4)).toEqual(['prefill', 'tape', 'fill', 'finish']);
  });
});
