import { isPrefilled } from '../takeoff';
import { say } from '../texts';
import { cellChange } from './cell-cure';
import { inJob } from './change';
import type { Advice, RoomRule } from './types';

/** A-PREFILL: a wide gap swallows the bed from under the tape, and the joint cracks along it. */
export const aPrefill: RoomRule = ({ job, area, room, survey, rows, book }) => {
  const wide = book.wideGapMm.value;
  return rows.flatMap((row): Advice[] => {
    if (row.cells.every((cell) => cell.coat === 'prefill') && row.left.length === 0) return [];
    const open = survey.joints.filter((j) => row.joints.includes(j.id) && j.gapMm > wide);
    const packed = row.cells.some((cell) => cell.coat === 'prefill');
    const starved = packed ? open.filter((j) => !isPrefilled(j, job.way)) : open;
    const widest = Math.max(...starved.map((j) => j.gapMm));
    if (starved.length === 0 || row.element === 'corners') return [];
    const skipped = row.left.find(({ coat }) => coat === 'prefill');
    return [
      {
        code: 'A-PREFILL',
        severity: 'warn',
        place: { room: room.id, area: area.id, row: row.id, element: row.element, coat: 'prefill' },
        reason: say('a-prefill', { gap: widest }),
        cures: [
          {
            text: say('a-prefill.pack', { over: wide }),
            changes: [
              ...(job.way.prefillWhen === 'over-threshold' && job.way.prefillOverMm > wide
                ? [inJob(['way', 'prefillOverMm'], wide)]
                : []),
              ...(skipped
                ? cellChange(
                    room,
                    row,
                    'prefill',
                    'coat',
                    skipped.own === 'joint' ? 'add' : undefined,
                    skipped.own,
                  )
                : packed
                  ? []
                  : cellChange(room, row, 'prefill', 'coat', 'add')),
            ],
          },
        ],
      },
    ];
  });
};
