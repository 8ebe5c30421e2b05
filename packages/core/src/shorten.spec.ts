import { applyChanges } from './advice';
import { checkJob, type Job } from './job';
import { plan } from './plan';
import { Shortener, type Shortened } from './shorten';
import { demoJob, jobOf, plainRoom, said } from './testing/samples';

const ways = (job: Job): Shortened[] => {
  const shortener = new Shortener(job);
  return Array.from({ length: shortener.count }, (_, n) => shortener.try(n)).filter(
    (one) => one !== undefined,
  );
};

describe('what would have all ready sooner', () => {
  it('is sooner by what it says, and can be kept and opened', () => {
    const job = demoJob('pier-house');
    const found = ways(job);
    expect(found.map(({ id }) => id)).toEqual(expect.arrayContaining(['hand', 'saturday']));
    for (const { changes, soonerMin, finish, press, risk } of found) {
      const after = structuredClone(job);
      applyChanges(after, changes);
      expect(checkJob(after).ok).toBe(true);
      expect(soonerMin).toBeGreaterThan(29);
      expect(finish < plan(job).days.finish!).toBe(true);
      expect(said(press)).not.toBe('');
      expect(said(risk)).toMatch(/\.$/);
    }
  });

  it('takes setting compound below for a damp bedroom, and tells what it costs', () => {
    const job = jobOf([plainRoom()]);
    const damp = { ...job, climate: { ...job.climate, tempC: 14, rhPct: 70 } };
    const found = ways(damp);
    const setting = found.find(({ id }) => id === 'setting')!;
    expect(setting.soonerMin).toBeGreaterThan(12 * 60);
    expect(found.find(({ id }) => id === 'dry')!.soonerMin).toBeGreaterThan(0);
  });

  it('dries the room that decides where its air is reckoned, for the price of the power', () => {
    const job = jobOf([plainRoom()]);
    const damp: Job = {
      ...job,
      climate: {
        tempC: 18,
        rhPct: 60,
        air: 'sealed',
        reckoned: true,
        outside: { lowC: 2, highC: 9, rhPct: 85 },
      },
    };
    const dry = ways(damp).find(({ id }) => id === 'dry')!;
    expect(dry.changes[0]!.value).toEqual([{ id: 'dry-plain', room: 'plain', dryLPerDay: 30 }]);
    expect(dry.cost).not.toBe(0);
  });
});
