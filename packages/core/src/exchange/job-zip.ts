import { unzipSync, zipSync } from 'fflate';
import { MAX_FILE_BYTES, readJobBytes, tooLarge, type Problem, type Read, type Taken } from '../job';
import { say, type Message } from '../texts';

/** The job in the archive, and the folder of its pictures. */
const JOB = 'job.lisse.json';
const PHOTOS = 'photos/';
/** A picture of the camera made small is a tenth of this, bytes. */
const MOST_PHOTO = 8 * 1024 * 1024;
/** All pictures of a job together, bytes. */
const MOST_ALL = 400 * 1024 * 1024;
const NAME = /^photos\/([A-Za-z0-9][A-Za-z0-9_.-]{0,63})\.jpg$/;

/** A job's file, and the pictures that its log names. */
export interface JobArchive {
  json: Uint8Array;
  photos: Map<string, Uint8Array<ArrayBuffer>>;
  /** So many files among its pictures are none. */
  broken: number;
}

/** Whether bytes are those of an archive and not of a text. */
export const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3;

/** A job and its pictures as one archive; pictures are small already and are stored as they are. */
export function packed({
  json,
  photos,
}: {
  json: Uint8Array;
  photos: ReadonlyMap<string, Uint8Array>;
}): Uint8Array<ArrayBuffer> {
  const files: Record<string, [Uint8Array, { level: 0 | 6 }]> = { [JOB]: [json, { level: 6 }] };
  for (const [id, bytes] of photos) files[`${PHOTOS}${id}.jpg`] = [bytes, { level: 0 }];
  return zipSync(files, { mtime: '2026-01-01' });
}

/**
 * A job and its pictures out of an archive. What stands in it beside them is passed over.
 * @returns what is wrong with it, where it cannot be read
 */
export function unpacked(
  bytes: Uint8Array,
): { ok: true; archive: JobArchive } | { ok: false; problems: Problem[] } {
  let all = 0;
  let wrong: Problem | undefined;
  const refuse = (problem: Problem): false => {
    wrong ??= problem;
    return false;
  };
  try {
    const files = unzipSync(bytes, {
      // What it says to hold is looked at before anything is unpacked.
      filter: ({ name, originalSize }) => {
        if (name === JOB)
          return (
            originalSize <= MAX_FILE_BYTES ||
            refuse({ path: name, message: tooLarge(originalSize), whole: true })
          );
        if (!NAME.test(name)) return false;
        all += originalSize;
        return (
          (originalSize <= MOST_PHOTO && all <= MOST_ALL) ||
          refuse({ path: name, message: say('zip.photo-large', { name }), whole: true })
        );
      },
    });
    const json = files[JOB];
    if (!wrong && json) {
      const photos = new Map<string, Uint8Array<ArrayBuffer>>();
      let broken = 0;
      for (const [name, photo] of Object.entries(files)) {
        const id = NAME.exec(name)?.[1];
        if (id === undefined) continue;
        if (isJpeg(photo)) photos.set(id, new Uint8Array(photo));
        else broken++;
      }
      return { ok: true, archive: { json, photos, broken } };
    }
    return {
      ok: false,
      problems: [wrong ?? { path: 'file', message: say('zip.no-job', { name: JOB }), whole: true }],
    };
  } catch {
    return { ok: false, problems: [wrong ?? { path: 'file', message: say('zip.damaged'), whole: true }] };
  }
}

/** A job that was read, and the pictures that came with it. */
export type ReadWithPhotos = Read & { photos?: Map<string, Uint8Array<ArrayBuffer>> };

/**
 * Reads a job file, or an archive of a job and its pictures, from its bytes; nothing is thrown. Pictures that no entry
 * of its log names are left out, and said.
 */
export function readArchive(bytes: ArrayBuffer): ReadWithPhotos {
  const all = new Uint8Array(bytes);
  if (!isZip(all)) return readJobBytes(all);
  const opened = unpacked(all);
  if (!opened.ok) return opened;
  const { json, photos, broken } = opened.archive;
  const read = readJobBytes(json);
  const taken = takenOf(read);
  const named = new Set(taken?.job.log?.flatMap(({ photo }) => photo ?? []));
  const kept = new Map([...photos].filter(([id]) => named.has(id)));
  const unnamed = photos.size - kept.size;
  if (unnamed > 0) taken?.notes.push(aboutPhotos(say('zip.unnamed', { count: unnamed })));
  if (broken > 0) taken?.notes.push(aboutPhotos(say('zip.broken', { count: broken })));
  return { ...read, photos: kept };
}

/**
 * Leaves out pictures that cannot be shown, and says so.
 * @param shows whether a picture can be
 */
export async function withShownPhotos(
  read: ReadWithPhotos,
  shows: (photo: Uint8Array<ArrayBuffer>) => Promise<boolean>,
): Promise<ReadWithPhotos> {
  const kept = new Map<string, Uint8Array<ArrayBuffer>>();
  for (const [id, photo] of read.photos ?? []) if (await shows(photo)) kept.set(id, photo);
  const broken = (read.photos?.size ?? 0) - kept.size;
  if (broken === 0) return read;
  takenOf(read)?.notes.push(aboutPhotos(say('zip.broken', { count: broken })));
  return { ...read, photos: kept };
}

/** The job that a file comes to, as it stands or mended. */
const takenOf = (read: Read): Taken | undefined => (read.ok ? read : read.mended);

const aboutPhotos = (message: Message): Problem => ({ path: 'photos', message, whole: true });

const isJpeg = (bytes: Uint8Array): boolean => bytes[0] === 0xff && bytes[1] === 0xd8;
