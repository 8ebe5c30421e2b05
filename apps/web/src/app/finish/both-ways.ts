import { withWay, type Job, type JobFigures, type Way } from '@lisse/core';
import type { CoreClient } from '../worker/core-client';

/** What a job comes to worked one way and another. */
export async function* bothWays(
  core: CoreClient,
  job: Job,
  a: Way,
  b: Way,
): AsyncIterable<readonly [JobFigures, JobFigures]> {
  const first = await core.figures(withWay(job, a));
  yield [first, await core.figures(withWay(job, b))];
}
