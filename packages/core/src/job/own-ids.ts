import { say } from '../texts';
import type { Problem } from './problems';

type Doc = Record<string, unknown>;
interface WithId {
  id: string;
}

/** Lists whose things are told apart by their ids, in the job and in each of its rooms. */
const OF_SHOP = ['products', 'peels', 'ways'];
const OF_ROOM = ['openings', 'boxes', 'closets', 'lamps', 'seams', 'damage'];

/**
 * A job in which no two things of a list have one id. The first keeps its own, later ones get the next that is
 * free: an edit finds what it changes by its id, and would change the first in place of the second. A lamp is
 * told apart from the openings too, for light may come from either.
 * @returns the document itself where nothing had to be renamed
 */
export function withOwnIds(doc: Doc): { doc: Doc; notes: Problem[] } {
  const notes: Problem[] = [];
  const lists = (owner: Doc, names: readonly string[], path: string): Doc => {
    let made = owner;
    for (const name of names) {
      const things = owner[name] as WithId[] | undefined;
      const taken = name === 'lamps' ? ((owner['openings'] as WithId[] | undefined) ?? []) : [];
      const own = things && renamed(things, `${path}${name}`, notes, taken);
      if (own && own !== things) made = { ...made, [name]: own };
    }
    return made;
  };
  let made = doc;
  const shop = doc['shop'] as Doc | undefined;
  if (shop) {
    const own = lists(shop, OF_SHOP, 'shop.');
    if (own !== shop) made = { ...made, shop: own };
  }
  const rooms = doc['rooms'] as (Doc & WithId)[];
  const apart = renamed(rooms, 'rooms', notes);
  const inside = apart.map((room, i) => lists(room, OF_ROOM, `rooms[${i}].`));
  if (inside.some((room, i) => room !== rooms[i])) made = { ...made, rooms: inside };
  return { doc: made, notes };
}

function renamed<T extends WithId>(
  things: readonly T[],
  path: string,
  notes: Problem[],
  others: readonly WithId[] = [],
): readonly T[] {
  const first = new Set(others.map((thing) => thing.id));
  if (things.every(({ id }) => !first.has(id) && first.add(id))) return things;
  const every = new Set([...others, ...things].map((thing) => thing.id));
  const seen = new Set(others.map((thing) => thing.id));
  return things.map((thing, i) => {
    if (!seen.has(thing.id)) {
      seen.add(thing.id);
      return thing;
    }
    const id = nextFree(thing.id, every);
    every.add(id);
    seen.add(id);
    notes.push({ path: `${path}[${i}]`, message: say('door.renamed', { was: thing.id, is: id }) });
    return { ...thing, id };
  });
}

/** `door` → `door-2`, of no more letters than an id may have. */
function nextFree(id: string, taken: ReadonlySet<string>): string {
  for (let n = 2; ; n++) {
    const next = `${id.slice(0, 63 - String(n).length)}-${n}`;
    if (!taken.has(next)) return next;
  }
}
