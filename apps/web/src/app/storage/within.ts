import type { Message } from '@lisse/core';
import { UserError } from '../user-error';

/** What the browser has to answer in, ms: one that never does is said to be so. */
export const ANSWER_MS = 5000;

/** An answer, or what is said where none has come in time; what comes later is let go of. */
export function within<A>(answer: Promise<A>, late: Message, ms = ANSWER_MS): Promise<A> {
  return new Promise((resolve, reject) => {
    const timer = setTimeout(() => reject(new UserError(late)), ms);
    answer.then(resolve, reject).finally(() => clearTimeout(timer));
  });
}
