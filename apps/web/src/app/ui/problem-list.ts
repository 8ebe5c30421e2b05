import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Problem } from '@lisse/core';

/** Few enough to be read. */
const SHOWN = 12;

/** What is wrong with a job, or was changed in it, each in a sentence with its place. */
@Component({
  selector: 'ls-problems',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul>
      @for (line of lines(); track $index) {
        <li>{{ line }}</li>
      }
      @if (more() > 0) {
        <li>… and {{ more() }} more.</li>
      }
    </ul>
  `,
  styles: `
    li {
      margin: 3px 0;
      overflow-wrap: anywhere;
    }
  `,
})
export class ProblemList {
  readonly problems = input.required<readonly Problem[]>();
  protected readonly lines = computed(() => this.problems().slice(0, SHOWN).map(inSentence));
  protected readonly more = computed(() => this.problems().length - SHOWN);
}

/** `Plain room, length must be …`; a message that is a sentence already stands alone. */
const inSentence = ({ where, path, message }: Problem): string => {
  if (path === 'file' || /^[A-Z“]/.test(message)) return message;
  const place = where ?? path;
  return `${place.charAt(0).toUpperCase()}${place.slice(1)}: ${message}.`;
};
