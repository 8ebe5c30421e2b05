import { isPrefilled } from '../takeoff';
import { say } from '../texts';
import { cellChange } from './cell-cure';
import { inJob } from './change';
import type { Advice, RoomRule } from './types';

/** Wider gaps than this swallow the bed from under the tape, mm. */
const WIDE_GAP_MM = 3;

/** A-PREFILL: a wide gap that is not packed before tape starves it, and the joint cracks along it. */
export const aPrefill: RoomRule = ({ job, area, room, survey, rows }) =>
  rows.flatMap((row): Advice[] => {
    if (row.cells.every((cell) => cell.coat === 'prefill') && row.left.length === 0) return [];
    const open = survey.joints.filter((j) => row.joints.includes(j.id) && j.gapMm > WIDE_GAP_MM);
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
            text: say('a-prefill.pack', { over: WIDE_GAP_MM }),
            changes: [
              ...(job.way.prefillWhen === 'over-threshold' && job.way.prefillOverMm > WIDE_GAP_MM
                ? [inJob(['way', 'prefillOverMm'], WIDE_GAP_MM)]
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
