// Twelve jobs a finisher knows by heart, as they are planned and searched: `tsx packages/core/bench/twelve.ts` writes
// docs/twelve-jobs.md.
import 'reflect-metadata';
import { writeFileSync } from 'node:fs';
import { TYPICAL } from '../src/book';
import { suppliedWith } from '../src/compound';
import { searchDays } from '../src/days';
import { plan } from '../src/plan';
import { EN, METRIC, speech } from '../src/index';
import { TWELVE } from '../src/testing/twelve';
import { solved } from '../src/units';

/** What one would say at the door. */
const SAID: Record<string, string> = {
  Bath: 'Three mornings, a couple of hours each; it is the nights that take the time.',
  Bedroom: 'Tape it, fill it, finish it: three mornings, and sand after lunch on the third.',
  'House of three bedrooms, two people': 'Setting mud under the tape, two of us, three days.',
  'One patch': 'A plug and three coats of quick mud: an hour of work, and half a day on the bill.',
  Stairwell: 'Three days like a bedroom, but off a tower: slower, dearer, and not alone.',
  Garage: 'Tape it and cover it in one go: a long day, and let it dry.',
  'Level 5 room': 'Four days: the skim wants a morning of its own.',
  'Remodel with a dip': 'Hot mud in the dip while the tape sets; two days.',
  Basement: 'Cold and wet: more than a week like this. Heat it and dry it first.',
  'House of ten rooms by machine, two people': 'Run the tools through all ten rooms, one coat a day.',
  'Flat at Q3': 'Taped on the first day and a half, then a coat a day through all rooms.',
  'Corridor, three people': 'Like a train: one tapes ahead, the next fills where it is dry.',
};

const say = speech(EN, METRIC);
const rows = TWELVE.map((job) => {
  const { rooms } = plan(job);
  const found = solved(searchDays(job, rooms, suppliedWith(TYPICAL, job)));
  const { days, totals, order, advice, bid } = plan(job, TYPICAL, undefined, { days: found });
  const people = days.people.flatMap((one) => one.days);
  const idleH = people.reduce((sum, { idleMin }) => sum + idleMin, 0) / 60;
  const finish = days.finish ?? '';
  const nth = (iso: string): number =>
    Math.round((Date.parse(iso.slice(0, 10)) - Date.parse('2026-11-30')) / 864e5) + 1;
  const bought = order.items
    .filter(({ product }) => product.startsWith('mud/'))
    .map(
      ({ name, packages }) =>
        `${packages.map(({ count, kind }) => `${count} ${kind}`).join(' + ')} ${say(name)}`,
    );
  const codes = [...new Set(advice.map(({ code }) => code))];
  return [
    job.name,
    `${(days.labourMin / 60).toFixed(1)} h, ${idleH.toFixed(1)} h idle`,
    `day ${nth(finish)}, ${finish.slice(11)}${days.proved ? '; cannot be sooner' : nth(finish) === nth(days.bound ?? '') ? '; on no earlier day' : ''}`,
    `${totals.wetL.toFixed(1)} L${totals.boardAreaM2 > 0 ? `, ${((100 * totals.wetL) / totals.boardAreaM2).toFixed(0)} on 100 m²` : ''}`,
    bought.join('; '),
    codes.join(' ') || 'none',
    bid.total.toFixed(0),
    SAID[job.name] ?? '',
  ];
});
const head = [
  'Job',
  'Work',
  'Ready',
  'Mud on the wall',
  'Bought',
  'Advice',
  'Bid',
  'At the door one would say',
];
const line = (cells: readonly string[]): string => `| ${cells.join(' | ')} |`;
writeFileSync(
  'docs/twelve-jobs.md',
  `# Twelve jobs a finisher knows by heart

Made by \`npx tsx --tsconfig packages/core/tsconfig.json packages/core/bench/twelve.ts\`, from the jobs of
\`packages/core/src/testing/twelve.ts\` with every figure typical. Days are counted from the first, weekends with them;
hours are work, mixing, visits, setting up and cleaning.

${[line(head), line(head.map(() => '---')), ...rows.map(line)].join('\n')}
`,
);
