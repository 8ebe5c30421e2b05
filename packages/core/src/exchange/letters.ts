import { say, type Message } from '../texts';

/**
 * The text of a file from another program: UTF-8, or UTF-16 where it says so, or else the letters of Western
 * Europe that older programs write.
 * @returns the text, and a sentence where it had to be guessed
 */
export function lettersOf(bytes: ArrayBuffer): { text: string; said?: Message } {
  const [first, second] = new Uint8Array(bytes);
  if (first === 0xff && second === 0xfe) return { text: new TextDecoder('utf-16le').decode(bytes) };
  if (first === 0xfe && second === 0xff) return { text: new TextDecoder('utf-16be').decode(bytes) };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes) };
  } catch {
    return {
      text: new TextDecoder('windows-1252').decode(bytes),
      said: say('letters.guessed'),
    };
  }
}
