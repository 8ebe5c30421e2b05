import { say, type Message } from '../texts';
import type { Job } from './types';

/** Larger files are refused before they are read, bytes. */
export const MAX_FILE_BYTES = 20 * 1024 * 1024;

/** What is said of a file that is too large, with its own size. */
export const tooLarge = (bytes: number, what = say('file.job')): Message =>
  say('door.large', {
    has: Math.ceil(bytes / 1024 / 102.4) / 10,
    what,
    most: MAX_FILE_BYTES / 1024 / 1024,
  });

/** Writes a job file: UTF-8 JSON with the fields in the order they were read or made. */
export function writeJob(job: Job): string {
  return `${JSON.stringify(job, null, 2)}\n`;
}
