/**
 * A function of something that never changes, worked out once for each: what of a plan did not change is the very same
 * in the next one.
 */
export function once<Thing extends object, Result>(of: (thing: Thing) => Result): (thing: Thing) => Result {
  const known = new WeakMap<Thing, { result: Result }>();
  return (thing) => {
    let found = known.get(thing);
    if (!found) known.set(thing, (found = { result: of(thing) }));
    return found.result;
  };
}
