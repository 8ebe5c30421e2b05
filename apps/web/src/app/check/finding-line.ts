import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { FAULT, say, type Finding } from '@lisse/core';
import { Format } from '../state/format';
import { LogStore } from '../state/log.store';
import { Texts } from '../state/texts';
import { KeptPhoto } from '../ui/kept-photo';
import { DefectBadge } from '../ui/defect-badge';
import { faceName } from '../ui/words';
import { CheckStore } from './check.store';
import { StateWord } from './state-word';

/** Something that was found: its ring, how it stands, its cure, and what may be told of it next. */
@Component({
  selector: 'ls-finding-line',
  imports: [KeptPhoto, DefectBadge, RouterLink, StateWord],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let one = finding();
    <div class="line">
      <ls-defect-badge [ring]="one.ring" [state]="one.state" />
      <div>
        <p class="what">{{ texts.say(what()) }}</p>
        <p class="soft">{{ texts.say(by()) }}</p>
        @if (one.note) {
          <p>{{ one.note }}</p>
        }
        @if (closedIn(); as so) {
          <p class="soft">{{ texts.say(so) }}</p>
        }
        <ls-state-word [finding]="one" />
      </div>
    </div>
    <dl>
      <dt>{{ texts.t('finding.cause') }}</dt>
      <dd>{{ texts.say(facts().cause) }}</dd>
      <dt>{{ texts.t('finding.now') }}</dt>
      <dd>{{ texts.say(facts().now) }}</dd>
      <dt>{{ texts.t('finding.next') }}</dt>
      <dd>{{ texts.say(facts().next) }}</dd>
    </dl>
    @for (photo of one.photos; track photo.id) {
      <ls-kept-photo [photo]="photo.photo" [of]="what()" />
    }
    @if (mend(); as said) {
      <p class="mend">
        {{ texts.say(said) }} <a class="link" routerLink="../repairs">{{ texts.t('finding.to-repairs') }}</a>
      </p>
    }
    <div class="acts">
      @if (one.state === 'open') {
        @if (store.takenFor(one)) {
          <button type="button" class="big quiet" (click)="store.dropCure(one)">
            {{ texts.t('finding.drop') }}
          </button>
        } @else if (facts().cure) {
          <button type="button" class="big act" (click)="store.takeCure(one)">
            {{ texts.t('finding.take') }}
          </button>
        }
        <button type="button" class="big quiet" (click)="store.cured(one.id)">
          {{ texts.t('finding.fixed') }}
        </button>
      } @else if (one.state === 'cured') {
        <button type="button" class="big act" (click)="store.closed(one.id)">
          {{ texts.t('finding.close') }}
        </button>
        <button type="button" class="big quiet" (click)="store.reopened(one.id)">
          {{ texts.t('finding.reopen') }}
        </button>
      } @else {
        <button type="button" class="big quiet" (click)="store.reopened(one.id)">
          {{ texts.t('finding.reopen') }}
        </button>
      }
      <button type="button" class="link" (click)="takeBack()">{{ texts.t('pins.take-back') }}</button>
    </div>
  `,
  styles: `
    :host {
      display: block;
      padding: 12px 0;
    }
    .line {
      display: flex;
      gap: var(--apart);
      align-items: flex-start;
    }
    .what {
      font-size: var(--title);
      font-weight: 650;
    }
    dl {
      display: grid;
      grid-template-columns: auto minmax(0, 1fr);
      gap: var(--hair-gap) var(--apart);
      margin: 8px 0;
      font-size: var(--lead);
    }
    dt {
      color: var(--soft);
    }
    .mend {
      padding: 8px 10px;
      background: var(--wash);
    }
    .acts .link {
      min-height: 56px;
      font-size: var(--large);
    }
  `,
})
export class FindingLine {
  protected readonly texts = inject(Texts);
  private readonly format = inject(Format);
  private readonly logs = inject(LogStore);
  protected readonly store = inject(CheckStore);
  readonly finding = input.required<Finding>();
  protected readonly facts = computed(() => FAULT[this.finding().fault]);
  protected readonly what = computed(() => {
    const { fault, face, sizeMm } = this.finding();
    const plan = this.store.planOf(this.finding().room);
    const where = face === undefined || !plan ? '' : faceName(plan, face);
    const named = say('pins.found', { fault: say(`fault.${fault}`), face: where });
    return sizeMm === undefined ? named : say('finding.sized', { what: named, size: sizeMm });
  });
  protected readonly by = computed(() => {
    const { by, at } = this.finding();
    return say('pins.by', { by, at: this.format.time(at) });
  });
  /** When it was closed, and in which round. */
  protected readonly closedIn = computed(() => {
    const { closed, closedIn, state } = this.finding();
    if (state !== 'closed' || closed === undefined) return undefined;
    const stage = this.store.pins().rounds.find(({ id }) => id === closedIn)?.stage;
    const at = this.format.time(closed);
    return stage === undefined
      ? say('finding.closed-at', { at })
      : say('finding.closed-in', { at, stage: say(`round.${stage}`) });
  });
  /** What its cure takes, once it is in the job. */
  protected readonly mend = computed(() => {
    const mend = this.store.mendOf(this.finding());
    if (!mend) return undefined;
    const minutes = mend.layers.reduce((sum, layer) => sum + layer.minutes, mend.sandMin);
    return say('finding.mend', {
      kind: say(`damage.${mend.kind}`),
      litres: mend.layers.reduce((sum, { wetL }) => sum + wetL, 0),
      work: this.format.duration(minutes),
      takes: this.format.duration(mend.takesMin),
      one: mend.oneVisit ? 'yes' : 'no',
    });
  });

  protected takeBack = (): Promise<boolean> => this.logs.takeBack('undo.log-pin-back', this.finding().id);
}
