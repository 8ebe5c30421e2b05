import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex } from '@noble/hashes/utils';
import { say } from '../texts';
import type { Problem } from './problems';
import type { Agreed, Job, LogEntry } from './types';

/** A value as one text, whatever order its fields were written in. */
export function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join()}]`;
  if (typeof value !== 'object' || value === null) return JSON.stringify(value) ?? 'null';
  const fields = Object.entries(value)
    .filter(([, one]) => one !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([key, one]) => `${JSON.stringify(key)}:${canonical(one)}`);
  return `{${fields.join()}}`;
}

/** SHA-256 of a value, as 64 hexadecimal digits. */
export const digestOf = (value: unknown): string => bytesToHex(sha256(canonical(value)));

type Signed = Pick<LogEntry, 'round' | 'by' | 'frozen' | 'strokes'>;

/** What a signature stands for, without what may be told of it later. */
const signedContent = ({ round, by, frozen, strokes }: Signed): Signed => ({
  ...(round === undefined ? {} : { round }),
  by,
  ...(frozen === undefined ? {} : { frozen }),
  ...(strokes === undefined ? {} : { strokes }),
});

/** The seal of a round that is signed: it no longer fits once anything of what was signed is changed. */
export const sealOfSigned = (entry: Signed): string => digestOf(signedContent(entry));

/** The seal of a bid that is agreed. */
export const sealOfAgreed = ({ at, total, lines, rooms }: Omit<Agreed, 'seal'>): string =>
  digestOf({ at, total, lines, rooms });

/** Whether what was signed is as it was; none where it was signed before there were seals. */
export const isWhole = (entry: Signed & Pick<LogEntry, 'seal'>): boolean | undefined =>
  entry.seal === undefined ? undefined : entry.seal === sealOfSigned(entry);

export const isAgreedWhole = (agreed: Agreed): boolean | undefined =>
  agreed.seal === undefined ? undefined : agreed.seal === sealOfAgreed(agreed);

/** A seal as it stands on paper, to be held against another: `3f9a 12c4`. */
export const shortSeal = (seal: string): string => `${seal.slice(0, 4)} ${seal.slice(4, 8)}`;

/** Under which id an entry is kept whose own id is another's here already: the same on every device. */
export function besideId({ id, ...entry }: LogEntry): string {
  return `${id.slice(0, 40)}.${digestOf({ id, ...entry }).slice(0, 16)}`;
}

/** What of a job was signed or agreed and is no longer as it was then. */
export function brokenSeals({ agreed, log = [] }: Pick<Job, 'agreed' | 'log'>): Problem[] {
  const signed = log.flatMap((entry, i): Problem[] =>
    entry.kind === 'signed' && isWhole(entry) === false
      ? [
          {
            path: `log[${i}]`,
            message: say('seal.signed', { by: entry.by, at: entry.at.slice(0, 10) }),
            whole: true,
          },
        ]
      : [],
  );
  const bid = agreed && isAgreedWhole(agreed) === false;
  return bid ? [...signed, { path: 'agreed', message: say('seal.agreed'), whole: true }] : signed;
}
