import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { conflictText, clashKey, say, shortSeal, type Agreed, type Job, type Sayable } from '@lisse/core';
import { Format } from '../state/format';
import { Texts } from '../state/texts';
import type { MergeSession } from '../storage/job-files';
import { ProblemList } from './problem-list';

/** A job that comes back from another device: what is new in it, and where both sides changed the same thing. */
@Component({
  selector: 'ls-lay-together',
  imports: [ProblemList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let meets = meeting();
    <section [attr.aria-label]="texts.t('together.title', { job: meets.name })">
      <h2>{{ texts.t('together.title', { job: meets.name }) }}</h2>
      @if (meets.compared; as compared) {
        <p>
          {{
            texts.t('together.new', {
              entries: compared.entries,
              photos: compared.photos,
              took: compared.took,
              clashes: compared.clashes.length,
            })
          }}
        </p>
        @if (compared.twoTexts > 0) {
          <p>{{ texts.t('two-texts.found', { n: compared.twoTexts }) }}</p>
        }
        @if (compared.changed.length > 0) {
          <div role="alert">
            <p>{{ texts.t('notice.changed') }}</p>
            <ls-problems [problems]="compared.changed" />
          </div>
        }
        @if (!compared.known) {
          <p class="soft">{{ texts.t('together.unknown') }}</p>
        }
        @for (one of clashes(); track one.key) {
          <fieldset>
            <legend>{{ texts.say(one.where) }}</legend>
            <button
              type="button"
              class="big quiet"
              [attr.aria-pressed]="!theirs().has(one.key)"
              (click)="choose(one.key, false)"
            >
              <span class="soft">{{ texts.t('together.here') }}</span>
              {{ texts.say(one.mine) }}
            </button>
            <button
              type="button"
              class="big quiet"
              [attr.aria-pressed]="theirs().has(one.key)"
              (click)="choose(one.key, true)"
            >
              <span class="soft">{{ texts.t('together.there') }}</span>
              {{ texts.say(one.other) }}
            </button>
          </fieldset>
        }
        <div class="acts">
          <button type="button" class="big act" (click)="take.emit(theirs())">
            {{ texts.t('together.take') }}
          </button>
          <button type="button" class="big quiet" (click)="apart.emit()">
            {{ texts.t('together.apart') }}
          </button>
          <button type="button" class="big quiet" (click)="closed.emit()">
            {{ texts.t('together.leave') }}
          </button>
        </div>
      } @else {
        <p>{{ texts.t('together.already') }}</p>
        <div class="acts">
          <button type="button" class="big quiet" (click)="apart.emit()">
            {{ texts.t('together.apart') }}
          </button>
          <button type="button" class="big act" (click)="closed.emit()">{{ texts.t('close') }}</button>
        </div>
      }
    </section>
  `,
  styles: `
    section {
      padding: 14px;
      border: 1px solid var(--line);
      background: var(--paper);
      max-width: 760px;
    }
    p {
      font-size: var(--large);
      margin: 4px 0;
    }
    fieldset {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: var(--close);
      margin-top: 12px;
    }
    legend {
      font-weight: 600;
      padding: 4px 0;
    }
    .big {
      flex-direction: column;
      gap: var(--hair-gap);
      overflow-wrap: anywhere;
    }
    .big[aria-pressed='true'] {
      box-shadow: inset 0 -5px var(--accent);
    }
    .big .soft {
      font-size: var(--text);
      font-weight: 450;
    }
  `,
})
export class LayTogether {
  protected readonly texts = inject(Texts);
  private readonly format = inject(Format);
  readonly meeting = input.required<MergeSession>();
  /** The job as it is here. */
  readonly mine = input.required<Job>();
  /** Keys of the clashes of which the other side is taken. */
  readonly take = output<ReadonlySet<string>>();
  /** Keeps it as a job of its own. */
  readonly apart = output();
  readonly closed = output();
  protected readonly theirs = signal<ReadonlySet<string>>(new Set());

  protected readonly clashes = computed(() =>
    (this.meeting().compared?.clashes ?? []).map((clash) => ({
      key: clashKey(clash),
      where: conflictText(clash, [this.mine(), this.meeting().coming.job]),
      mine: this.words(clash.mine, clash.path),
      other: this.words(clash.theirs, clash.path),
    })),
  );

  protected choose(key: string, there: boolean): void {
    this.theirs.update((all) => {
      const next = new Set(all);
      if (there) next.add(key);
      else next.delete(key);
      return next;
    });
  }

  /** What a side holds, shortly: a measure in the units of the job, a word, or that it is gone. */
  private words(value: unknown, path: readonly string[]): Sayable {
    const name = path.at(-1) ?? '';
    if (value === undefined) return say('together.gone');
    if (typeof value === 'number') return /Mm$|^mm$/.test(name) ? this.format.small(value) : String(value);
    if (typeof value === 'string') return value === '' ? say('together.empty') : value;
    if (typeof value === 'boolean') return say(value ? 'together.yes' : 'together.no');
    if (path.length === 1 && name === 'agreed') {
      const { total, at, seal = '' } = value as Agreed;
      return say('together.agreed', { total: this.format.money(total), at, seal: shortSeal(seal) });
    }
    const named = (value as { name?: unknown } | null)?.name;
    if (typeof named === 'string') return named;
    return Array.isArray(value) ? say('together.list', { n: value.length }) : say('together.many');
  }
}
