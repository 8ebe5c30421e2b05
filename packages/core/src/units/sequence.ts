/** A repeatable source of numbers from 0 to 1: a seed gives the same room, readings, drawing or search again. */
export function sequence(seed: number): () => number {
  let state = (Math.abs(Math.trunc(seed)) % 2147483646) + 1;
  return () => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
}
