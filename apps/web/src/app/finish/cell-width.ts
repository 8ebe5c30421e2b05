import { say, type BoardRow, type Cell, type Message, type Way } from '@lisse/core';
import type { Format } from '../state/format';

/** How wide a coat is laid, and in how many layers and passes. */
export function cellWidth(
  { element }: BoardRow,
  cell: Cell,
  way: Way,
  { blade, small }: Pick<Format, 'blade' | 'small'>,
): Message {
  const wide = blade(cell.bandMm);
  if (cell.coat === 'prefill') {
    if (element === 'repairs') return say('coats.filled-holes');
    return way.prefillWhen === 'every'
      ? say('coats.every-gap')
      : say('coats.gaps-over', { gap: small(way.prefillOverMm) });
  }
  if (element === 'face' || element === 'repairs') return say('coats.blade', { wide: blade(cell.bladeMm) });
  if (element === 'heads') return say('coats.spot', { wide: blade(cell.bladeMm) });
  if (element === 'angles') {
    if (cell.tape) return say('coats.tape-side', { wide });
    if (cell.faces === 2) return say('coats.both-sides', { wide });
    return say(cell.coat === 'fill' ? 'coats.one-side' : 'coats.other-side', { wide });
  }
  if (element === 'corners')
    return say(cell.coat === 'tape' ? 'coats.bead-side' : 'coats.per-side', { wide });
  if (cell.tape) return say('coats.bed', { wide });
  return say('coats.laid', {
    layers: cell.layers,
    how: cell.float ? 'float' : 'passes',
    passes: Math.max(1, cell.pulls.length),
    wide,
  });
}
