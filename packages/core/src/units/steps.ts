/** Runs what goes step by step to its end, whatever it tells on the way. */
export function solved<Result>(steps: Generator<unknown, Result>): Result {
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value;
  }
}
