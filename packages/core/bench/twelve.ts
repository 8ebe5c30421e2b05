// What is planned for twelve jobs a finisher knows by heart.
import 'reflect-metadata';
import { plan } from '../src/plan';
import { TWELVE } from '../src/testing/twelve';

for (const job of TWELVE) {
  const { days, totals, order, advice, bid } = plan(job);
  console.log(`\n## ${job.name}`);
  console.log(
    `${totals.boardAreaM2.toFixed(0)} m2, ${(days.labourMin / 60).toFixed(1)} h (${(days.setupMin / 60).toFixed(1)} setup), ready ${days.finish} bound ${days.bound} ${days.proved}, visits ${days.visits}, mud ${totals.wetL.toFixed(1)} L = ${((100 * totals.wetL) / totals.boardAreaM2).toFixed(0)}/100, h/m2 ${days.sanity?.hPerM2.toFixed(3)}, bid ${bid.total.toFixed(0)}`,
  );
  for (const t of days.tasks)
    console.log(
      `  ${t.room.padEnd(9)} ${t.step.padEnd(8)} ${t.rows.join(',').padEnd(40)} ${t.start.slice(5)}–${t.end.slice(5)} ready ${t.ready.slice(5)}/${t.readyLate.slice(5)} ${Math.round(t.labourMin)} min ${t.batches.length} batches ${t.people.length} p slack ${Math.round(t.slackMin)}`,
    );
  console.log('  ' + advice.map(({ code, severity }) => `${code} ${severity}`).join(', '));
  console.log(
    '  ' +
      order.items
        .filter(({ kind }) => kind === 'compound' || kind === 'tape')
        .map(
          (l) =>
            `${l.product}: need ${l.need.low.toFixed(1)}/${l.need.likely.toFixed(1)}/${l.need.high.toFixed(1)} buy ${l.buy.toFixed(1)}: ${l.packages
              .map((p) => JSON.stringify(p))
              .join()
              .slice(0, 120)}`,
        )
        .join('\n  '),
  );
}
