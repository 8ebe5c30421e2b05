import type { Message, Sayable } from '@lisse/core';

/** An error that is written for people and may be shown. */
export class UserError extends Error {
  constructor(readonly said: Message) {
    super(said.key);
  }
}

/** Why something could not be done: what was written for people, else what the error says of itself. */
export const whyFailed = (error: unknown): Sayable =>
  error instanceof UserError ? error.said : error instanceof Error ? error.message : String(error);
