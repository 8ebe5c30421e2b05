import { ErrorHandler, inject, Injectable, signal } from '@angular/core';
import type { NavigationError } from '@angular/router';
import { say, type Message } from '@lisse/core';

/** What could not be fetched, in the words of the browsers. */
const NOT_FETCHED = /dynamically imported module|importing a module|Failed to fetch|Load failed|ChunkLoad/i;

/** What went wrong outside of anything that tells its own troubles, in words, until it is put away. */
@Injectable({ providedIn: 'root' })
export class Trouble {
  readonly said = signal<Message | undefined>(undefined);
}

const inWords = (error: unknown): Message =>
  NOT_FETCHED.test(String((error as { message?: unknown } | undefined)?.message ?? error))
    ? say('trouble.fetch')
    : say('trouble.unexpected');

/** An error nobody expected is written to the console, for whoever looks into it, and said, for who is working. */
@Injectable()
export class Unexpected extends ErrorHandler {
  private readonly trouble = inject(Trouble);

  override handleError(error: unknown): void {
    super.handleError(error);
    this.trouble.said.set(inWords(error));
  }
}

/** A place whose file does not load: the page stays where it is and says so. */
export function toldOfPlace({ error }: NavigationError): void {
  inject(Trouble).said.set(inWords(error));
}
