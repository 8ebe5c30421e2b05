import { realpath, stat } from 'node:fs/promises';
import { join, sep } from 'node:path';

/**
 * A file of the folder by its address; none where there is none, and none where a link leads out of the folder.
 * @returns a tag that changes with what the file holds
 */
export async function fileIn(folder: string, address: string): Promise<{ tag: string } | undefined> {
  let path: string;
  try {
    path = join(folder, decodeURIComponent(address));
    const [root, real] = await Promise.all([realpath(folder), realpath(path)]);
    if (!real.startsWith(root + sep)) return undefined;
  } catch {
    return undefined;
  }
  const { size, mtimeMs } = await stat(path);
  // Weak: the same file goes out in several codings.
  return { tag: `W/"${size.toString(36)}-${Math.round(mtimeMs).toString(36)}"` };
}
