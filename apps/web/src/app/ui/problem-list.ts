import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { say, type Message, type Problem } from '@lisse/core';
import { Texts } from '../state/texts';

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
        <li>{{ texts.t('problems.more', { more: more() }) }}</li>
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
  protected readonly texts = inject(Texts);
  readonly problems = input.required<readonly Problem[]>();
  protected readonly lines = computed(() =>
    this.problems()
      .slice(0, SHOWN)
      .map((problem) => this.texts.say(inSentence(problem))),
  );
  protected readonly more = computed(() => this.problems().length - SHOWN);
}

/** `Plain room, length: must be …`; a message that is a sentence already stands alone. */
const inSentence = ({ where, path, message, whole }: Problem): Message =>
  whole ? message : say('problems.line', { place: where ?? path, message });
