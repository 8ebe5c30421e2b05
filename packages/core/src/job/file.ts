import { say, type Message } from '../texts';
import type { Job } from './types';

/** Larger files are refused before they are read, bytes: as long a log as a job may have, at 400 bytes an entry. */
export const MAX_FILE_BYTES = 40 * 1024 * 1024;
/** A log of more entries is written without indents, which are half of it. */
const LONG_LOG = 1000;

/** What is said of a file that is too large, with its own size. */
export const tooLarge = (bytes: number, what = say('file.job')): Message =>
  say('door.large', {
    has: Math.ceil(bytes / 1024 / 102.4) / 10,
    what,
    most: MAX_FILE_BYTES / 1024 / 1024,
  });

/** Writes a job file: UTF-8 JSON with the fields in the order they were read or made. */
export function writeJob(job: Job): string {
  const indent = (job.log?.length ?? 0) > LONG_LOG ? 0 : 2;
  return `${JSON.stringify(job, null, indent)}\n`;
}
