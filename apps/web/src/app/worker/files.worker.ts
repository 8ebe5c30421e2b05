import 'reflect-metadata';
import {
  lettersOf,
  packed,
  readArchive,
  readOutlinesDxf,
  readRoomsCsv,
  withShownPhotos,
  type Message,
} from '@lisse/core';
import { expose, transfer } from 'comlink';
import type { FilesApi } from './api';
import { newId } from '../new-id';

/** Reads a file's letters, and puts what had to be guessed of them before what else there is to say. */
async function reading<T extends { notes: Message[] }>(file: Blob, read: (text: string) => T): Promise<T> {
  const { text, said } = lettersOf(await file.arrayBuffer());
  const made = read(text);
  return said ? { ...made, notes: [said, ...made.notes] } : made;
}

/** Whether the browser can show a picture. */
async function shows(photo: Uint8Array<ArrayBuffer>): Promise<boolean> {
  try {
    (await createImageBitmap(new Blob([photo], { type: 'image/jpeg' }))).close();
    return true;
  } catch {
    return false;
  }
}

const api: FilesApi = {
  read: async (file) => withShownPhotos(readArchive(await file.arrayBuffer()), shows),
  pack: (json, photos) => {
    const bytes = packed({ json, photos: new Map(photos) });
    return transfer(bytes, [bytes.buffer]);
  },
  readRooms: (file, units, most) => reading(file, (text) => readRoomsCsv(text, units, newId, { most })),
  readOutlines: (file, units, most) => reading(file, (text) => readOutlinesDxf(text, units, most)),
};

expose(api);
