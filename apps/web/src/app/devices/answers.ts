import type { Limit } from '@lisse/core';

/** A device answers in that time or not at all, ms. */
export const DEVICE_MS = 8000;

/**
 * What a device of the server answers to a question, past what is kept offline.
 * @param who what it is called in an error
 * @throws where it does not answer in time, or not as a device that says that it is made up
 */
export async function answerOf(
  who: string,
  path: string,
  query: Record<string, string>,
): Promise<Record<string, unknown>> {
  const url = `api/${path}?${new URLSearchParams({ ...query, 'ngsw-bypass': 'true' })}`;
  const answer = await fetch(url, { signal: AbortSignal.timeout(DEVICE_MS) });
  if (!answer.ok) throw new Error(`The ${who} answered ${answer.status}.`);
  const read: unknown = await answer.json();
  if (!isRecord(read) || read['simulated'] !== true)
    throw new Error(`The ${who} does not say that it is made up.`);
  return read;
}

export const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Whether something is a number that the job takes. */
export const isWithin = (value: unknown, { least, most }: Pick<Limit, 'least' | 'most'>): value is number =>
  typeof value === 'number' && value >= least && value <= most;

export const isText = (value: unknown, most = 200): value is string =>
  typeof value === 'string' && value.length > 0 && value.length <= most;

/** Whether something is a list of which each part is as it should be. */
export const isListOf = <T>(
  value: unknown,
  most: number,
  isOne: (part: unknown) => part is T,
): value is T[] => Array.isArray(value) && value.length <= most && value.every(isOne);
