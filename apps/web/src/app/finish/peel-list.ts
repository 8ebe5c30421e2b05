import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  COMPOUNDS,
  CURED_DAYS,
  ENOUGH_TESTS,
  evidenceFor,
  TAPES,
  tornShare,
  LIMITS,
  type CompoundId,
  type PeelTest,
  type Tape,
  type Message,
  say,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { NumberInput } from '../ui/number-input';
import { TextInput } from '../ui/text-input';
import { Clock } from '../state/clock';
import { Format } from '../state/format';
import { JobStore, type Deed } from '../state/job.store';
import { ViewStore } from '../state/view.store';
import { Choice } from '../ui/choice';
import { Photo } from '../ui/photo';
import { newId } from '../new-id';

const TAPE_WORD = {
  paper: say('peel.tape-paper'),
  mat: say('peel.tape-mat'),
  mesh: say('peel.tape-mesh'),
} as const satisfies Record<Tape, Message>;
/** Square centimetres to a square inch. */
const CM2_PER_IN2 = 6.4516;

/** Strips of tape pulled off cured samples: what tore, what let go, and what that says. */
@Component({
  selector: 'ls-peels',
  imports: [Choice, NumberInput, Photo, TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ texts.t('peel.peel-tests') }}</h2>
    <p class="soft small">
      {{ texts.t('peel.how', { days: cured, tests: enough }) }}
    </p>
    @if (evidence().length > 0) {
      <ul class="evidence">
        @for (line of evidence(); track line.key) {
          <li>
            <span class="name">{{ line.name }}</span>
            <svg viewBox="0 0 200 14" role="img" [attr.aria-label]="line.told">
              <rect class="all" y="4" width="200" height="6" />
              <rect class="torn" y="4" [attr.width]="line.torn * 200" height="6" />
              <line [attr.x1]="line.low * 200" [attr.x2]="line.high * 200" y1="7" y2="7" />
              @for (dot of line.dots; track $index) {
                <circle [attr.cx]="dot * 200" cy="7" r="2.5" />
              }
            </svg>
            <span class="small">{{ line.told }}</span>
          </li>
        }
      </ul>
    }
    @for (peel of peels(); track peel.id) {
      <article [attr.aria-label]="texts.t('peel.test-of', { compound: name(peel) })">
        <div class="line">
          <p>
            <strong>{{ name(peel) }}</strong>
            {{ texts.t('peel.line', { tape: tapeWord[peel.tape], days: peel.days, torn: share(peel) }) }}
            @if (peel.date) {
              <span class="soft">{{ format.day(peel.date) }}</span>
            }
            @if (peel.days < cured) {
              <span class="early">{{ texts.t('peel.not-cured-does') }}</span>
            }
          </p>
          <ls-photo
            [photo]="peel.photo"
            [of]="texts.t('peel.strip-of', { compound: name(peel) })"
            (taken)="photo(peel, $event)"
            (removed)="photo(peel, undefined)"
          />
          <button type="button" class="link" (click)="remove(peel)">
            {{ texts.t('peel.remove') }}<span class="sr"> {{ texts.t('peel.test') }}</span>
          </button>
        </div>
        @if (peel.note) {
          <p class="small soft">{{ peel.note }}</p>
        }
      </article>
    }
    <form (submit)="$event.preventDefault(); add()">
      <ls-choice
        [label]="texts.t('peel.bedded')"
        [options]="classes()"
        [value]="compound()"
        (changed)="compound.set($event)"
      />
      <ls-choice
        [label]="texts.t('peel.tape')"
        [options]="tapes"
        [value]="tape()"
        (changed)="tape.set($event)"
      />
      <ls-number
        [label]="texts.t('peel.cure-time-days')"
        [limit]="limits.peel.days"
        [value]="days()"
        (changed)="days.set($event ?? 0)"
      />
      <ls-number
        [label]="texts.t('peel.torn', { unit: unit() })"
        [optional]="true"
        [limit]="limits.peel.tornCm2"
        [per]="perUnit()"
        [value]="torn()"
        (changed)="torn.set($event)"
      />
      <ls-number
        [label]="texts.t('peel.clean', { unit: unit() })"
        [optional]="true"
        [limit]="limits.peel.cleanCm2"
        [per]="perUnit()"
        [value]="clean()"
        (changed)="clean.set($event)"
      />
      <ls-text [label]="texts.t('peel.note')" [value]="note()" (changed)="note.set($event)" />
      <button type="submit" class="quiet">{{ texts.t('peel.record') }}</button>
    </form>
    @if (wrong()) {
      <p class="wrong" role="alert">{{ wrong() }}</p>
    }
  `,
  styles: `
    :host {
      display: block;
      margin-top: 18px;
    }
    form {
      display: grid;
      grid-template-columns: 1.3fr 0.9fr 0.7fr 0.8fr 0.8fr 1.4fr auto;
      gap: var(--close) var(--close);
      align-items: end;
      margin-top: 8px;
    }
    .evidence li {
      display: grid;
      grid-template-columns: 190px 200px 1fr;
      gap: var(--apart);
      align-items: center;
      padding: 2px 0;
    }
    .name {
      font-weight: 600;
      font-size: var(--text);
    }
    svg {
      width: 200px;
      height: 14px;
    }
    .all {
      fill: var(--hair);
    }
    .torn {
      fill: var(--coat-fill);
    }
    line {
      stroke: var(--ink);
    }
    circle {
      fill: var(--ink);
    }
    article {
      border-bottom: 1px solid var(--hair);
      padding: 4px 0;
    }
    .line {
      display: flex;
      gap: var(--apart);
      align-items: baseline;
      flex-wrap: wrap;
    }
    .line p {
      flex: 1;
    }
    .early {
      color: var(--caution);
    }
    @media (max-width: 1000px) {
      form,
      .evidence li {
        grid-template-columns: 1fr 1fr;
      }
    }
  `,
})
export class PeelList {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  private readonly clock = inject(Clock);
  protected readonly cured = CURED_DAYS;
  private readonly view = inject(ViewStore);
  protected readonly enough = ENOUGH_TESTS;
  protected readonly tapeWord = TAPE_WORD;
  protected readonly share = tornShare;
  protected readonly classes = computed(() =>
    COMPOUNDS.filter((id) => this.view.book().compounds[id].bond !== undefined).map((value) => ({
      value,
      name: this.name({ compound: value }),
    })),
  );
  protected readonly tapes = TAPES.map((value) => ({ value, name: TAPE_WORD[value] }));
  protected readonly compound = signal<CompoundId>('drying-all-purpose');
  protected readonly tape = signal<Tape>('paper');
  protected readonly wrong = signal('');
  protected readonly peels = computed(() => this.jobs.job()?.shop?.peels ?? []);
  protected readonly unit = computed(() => (this.format.units() === 'metric' ? 'cm²' : 'sq in'));

  protected name(peel: Pick<PeelTest, 'compound'>): string {
    return this.texts.say(this.view.book().compounds[peel.compound].name);
  }

  protected readonly evidence = computed(() =>
    COMPOUNDS.flatMap((id) =>
      TAPES.flatMap((tape) => {
        const found = evidenceFor(this.peels(), id, tape);
        if (!found) return [];
        const dots = this.peels()
          .filter((p) => p.compound === id && p.tape === tape && p.days >= CURED_DAYS)
          .map(tornShare);
        const told = this.texts.t('mark.torn', {
          torn: found.torn,
          tests: found.tests,
          spread: found.spread * 100,
          enough: found.enough ? 'yes' : 'no',
        });
        return [
          {
            key: `${id}-${tape}`,
            name: this.texts.t('peel.pair', { compound: this.name({ compound: id }), tape: TAPE_WORD[tape] }),
            torn: found.torn,
            low: Math.max(0, found.torn - found.spread),
            high: Math.min(1, found.torn + found.spread),
            dots,
            told,
          },
        ];
      }),
    ),
  );

  private edit(label: Deed, recipe: (peels: PeelTest[]) => PeelTest[]): void {
    this.jobs.edit(label, (job) => {
      job.shop = { ...job.shop, peels: recipe(job.shop?.peels ?? []) };
    });
  }

  protected readonly limits = LIMITS;
  protected readonly days = signal(7);
  /** Areas of the strip that is being recorded, cm². */
  protected readonly torn = signal<number | undefined>(undefined);
  protected readonly clean = signal<number | undefined>(undefined);
  protected readonly note = signal('');
  protected readonly perUnit = computed(() => (this.format.units() === 'metric' ? 1 : CM2_PER_IN2));

  protected add(): void {
    const [tornCm2, cleanCm2] = [this.torn() ?? 0, this.clean() ?? 0];
    const note = this.note().trim();
    if (tornCm2 + cleanCm2 <= 0) this.wrong.set(this.texts.t('peel.nothing'));
    else {
      this.wrong.set('');
      const peel: PeelTest = {
        id: newId(),
        compound: this.compound(),
        tape: this.tape(),
        days: this.days(),
        tornCm2: Math.round(tornCm2 * 10) / 10,
        cleanCm2: Math.round(cleanCm2 * 10) / 10,
        date: this.clock.today(),
        ...(note === '' ? {} : { note }),
      };
      this.edit('undo.record-peel-test', (all) => [...all, peel]);
      for (const area of [this.torn, this.clean]) area.set(undefined);
      this.note.set('');
    }
  }

  protected photo(peel: PeelTest, photo: string | undefined): void {
    this.edit(photo ? 'undo.keep-photo' : 'undo.remove-photo', (all) =>
      all.map((p) => {
        if (p.id !== peel.id) return p;
        const { photo: _, ...rest } = p;
        return photo ? { ...rest, photo } : rest;
      }),
    );
  }

  protected remove(peel: PeelTest): void {
    this.edit('undo.remove-peel-test', (all) => all.filter((p) => p.id !== peel.id));
  }
}
