import { WATER_SHARE, type Compound, type Supplied } from '../compound';
import { needsOf } from '../finish';
import type { Finish, Way } from '../job';
import type { RoomUse } from './room';

/** What is sanded alike: its finish, the rows of its coat board, the mud on them. */
interface Sanded {
  finish: Finish;
  rows: readonly { id: string }[];
  use: Pick<RoomUse, 'uses'>;
}

/** Solids in a litre of wet compound, kg; setting compound binds its water. */
export const solidsKgL = ({ densityKgL, hardens }: Compound): number =>
  densityKgL * (hardens === 'drying' ? 1 - WATER_SHARE : 0.85);

/** Dust of one room: a share of the last coat on each row, and of every coat where it is sanded between. */
export function dustOf(
  room: { areas: readonly Sanded[] },
  way: Pick<Way, 'between'>,
  book: Supplied,
): number {
  const ofArea = (area: Sanded): number => {
    const { surface } = needsOf(area.finish);
    if (surface === 'none') return 0;
    return area.rows.reduce((sum, { id }) => {
      const coats = area.use.uses.filter((u) => u.row === id && u.wetL > 0 && u.coat !== 'prefill');
      return coats.reduce((all, u, i) => {
        const compound = book.compounds[u.compound];
        const last = i === coats.length - 1 && surface !== 'ridge-free';
        const share = last
          ? book[compound.hardens === 'drying' ? 'dustDrying' : 'dustSetting'].value
          : way.between === 'sand'
            ? book.dustBetween.value
            : 0;
        return all + u.wetL * solidsKgL(compound) * share;
      }, sum);
    }, 0);
  };
  return room.areas.reduce((sum, area) => sum + ofArea(area), 0);
}
