import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  type ElementRef,
  inject,
  input,
  signal,
  untracked,
  viewChildren,
} from '@angular/core';
import {
  adviceKey,
  adviceKeys,
  roomsNamed,
  applyChanges,
  say,
  type Advice,
  type Cure,
  type Job,
  type Message,
  type Sayable,
  type Tried,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { Clock } from '../state/clock';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { asked } from '../worker/asked';
import { CoreClient } from '../worker/core-client';
import { WallClient } from '../worker/wall-client';
import { Icon } from './icon';
import { triedWords } from './tried-words';

/** With so many rooms every cure is tried at once. */
const FEW_ROOMS = 40;
/** So many are tried by who planned them, with all at hand; more would keep it from what is edited meanwhile. */
const AT_HAND_ROOMS = 12;

/** While somebody types or drags nothing is tried. */
const REST_MS = 400;

/** What a cure does, once it was tried. */
interface Effect {
  helps: boolean;
  words: string;
}

const cureKey = (item: Advice, { text }: Cure): string =>
  `${adviceKey(item)} ${typeof text === 'string' ? text : text.key}`;

/** Advice with its cures as buttons; a cure is an ordinary edit and can be undone. */
@Component({
  selector: 'ls-advice',
  imports: [Icon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (item of items(); track $index) {
      <div
        #row
        class="item"
        [class]="item.severity"
        role="note"
        (pointerenter)="near(item)"
        (focusin)="near(item)"
      >
        <p>
          <ls-icon name="flag" [size]="13" />
          <strong>{{ texts.say(heading(item)) }}</strong>
          {{ texts.say(item.reason) }}
        </p>
        <div class="cures no-print">
          @for (cure of item.cures; track $index) {
            @if (cure.changes) {
              @let now = effects().get(cure);
              @let effect = now ?? before(item, cure);
              @if (effect?.helps === false) {
                <span class="small"
                  >{{ texts.say(cure.text) }}: <span class="soft">{{ effect!.words }}.</span></span
                >
              } @else {
                <span class="press">
                  <button type="button" class="quiet" (click)="take(item, cure)">
                    {{ texts.say(cure.text) }}
                  </button>
                  <span class="soft small effect" [class.comes]="!now">{{ effect?.words }}</span>
                </span>
              }
            } @else {
              <span class="small">{{ texts.t('sentence', { what: cure.text }) }}</span>
            }
          }
          <span class="code soft small">{{ item.code }}</span>
          @if (asking() === item) {
            <form class="why-not" (submit)="$event.preventDefault(); setAside(item, box.value)">
              <input
                #box
                type="text"
                [attr.aria-label]="texts.t('advice.why')"
                [placeholder]="texts.t('advice.why-hint')"
                maxlength="400"
              />
              <button type="submit" class="quiet">{{ texts.t('advice.set-aside') }}</button>
              <button type="button" class="link" (click)="asking.set(undefined)">{{ texts.t('no') }}</button>
            </form>
          } @else {
            <button
              type="button"
              class="link small"
              (click)="asking.set(item)"
              [attr.aria-label]="texts.t('advice.set-aside-one', { code: item.code, heading: heading(item) })"
            >
              {{ texts.t('advice.aside') }}
            </button>
          }
        </div>
      </div>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: var(--close);
    }
    .item {
      padding: 8px 12px;
      border-left: 3px solid var(--soft);
      background: var(--hair);
      font-size: var(--text);
    }
    .item.warn {
      border-color: var(--caution);
      background: var(--caution-wash);
    }
    .item.stop {
      border-color: var(--stop);
      background: var(--stop-wash);
    }
    .warn ls-icon {
      color: var(--caution);
    }
    .stop ls-icon {
      color: var(--stop);
    }
    .item {
      display: flex;
      flex-wrap: wrap;
      gap: var(--close) var(--gap);
      align-items: center;
    }
    .item p {
      flex: 1 1 230px;
    }
    .cures {
      display: flex;
      flex-wrap: wrap;
      gap: var(--close) var(--close);
      align-items: center;
    }
    .why-not {
      display: flex;
      flex-wrap: wrap;
      gap: var(--close);
      flex: 1 1 100%;
    }
    .why-not input {
      flex: 1 1 160px;
      width: auto;
      min-height: 28px;
    }
    .press {
      max-width: 100%;
      display: inline-flex;
      flex-wrap: wrap;
      gap: var(--hair-gap) var(--close);
      align-items: center;
    }
    /* It has its room before it is known, so that nothing moves when it is. */
    .effect {
      min-width: min(11em, 100%);
      min-height: 1lh;
    }
    .comes {
      visibility: hidden;
    }
    .code {
      margin-left: auto;
    }
    ls-icon {
      vertical-align: -1px;
      margin-right: 3px;
    }
    .quiet {
      min-height: 26px;
      padding: 2px 9px;
      color: var(--accent);
      white-space: normal;
      text-align: left;
    }
    @media screen and (max-width: 760px) {
      .quiet {
        min-height: 44px;
      }
    }
  `,
})
export class AdviceList {
  private readonly jobs = inject(JobStore);
  private readonly plans = inject(PlanStore);
  private readonly core = inject(CoreClient);
  private readonly walls = inject(WallClient);
  private readonly format = inject(Format);
  private readonly clock = inject(Clock);
  protected readonly texts = inject(Texts);
  readonly items = input.required<readonly Advice[]>();
  /** Names the room where the list is not about one room. */
  readonly nameRooms = input(false);

  private readonly names = computed(
    () => new Map((this.jobs.job()?.rooms ?? []).map((room) => [room.id, room.name])),
  );

  private readonly rows = viewChildren<ElementRef<HTMLElement>>('row');
  /** What is on the screen, by its place in the list: on a phone most advice stands far below, and is not tried. */
  private readonly inView = signal<ReadonlySet<number>>(new Set());

  constructor() {
    const watch = new IntersectionObserver((told) => {
      const seen = new Set(this.inView());
      for (const { target, isIntersecting } of told) {
        const i = this.rows().findIndex(({ nativeElement }) => nativeElement === target);
        if (isIntersecting) seen.add(i);
        else seen.delete(i);
      }
      this.inView.set(seen);
    });
    effect(() => {
      watch.disconnect();
      for (const { nativeElement } of this.rows()) watch.observe(nativeElement);
    });
    inject(DestroyRef).onDestroy(() => watch.disconnect());
    effect(() => {
      const effects = this.effects();
      for (const item of untracked(this.items))
        for (const cure of item.cures) {
          const one = effects.get(cure);
          if (one) this.last.set(cureKey(item, cure), one);
        }
    });
  }

  /** In a large job only what somebody turns to is tried; a press on the whole of it takes a second. */
  private readonly nearest = signal<Advice | undefined>(undefined);
  private readonly trials = asked(
    () => {
      const job = this.jobs.job();
      if (!job || this.plans.planned() !== job) return undefined;
      const few = job.rooms.length <= FEW_ROOMS;
      const items = few
        ? this.items().filter((_, i) => this.inView().has(i))
        : [this.nearest()].filter((item) => item !== undefined);
      const pressed = items.filter((item) => item.cures.some((cure) => cure.changes));
      return pressed.length > 0 ? { job, items: pressed } : undefined;
    },
    (question) => this.tried(question),
    REST_MS,
  );
  /** What each cure does, once it was tried. */
  protected readonly effects = computed(
    () =>
      new Map(
        [...(this.trials.answer() ?? [])].map(([cure, one]) => [
          cure,
          { helps: one.helps, words: triedWords(one, this.format, this.texts) },
        ]),
      ),
  );

  /** What the cure of the same name did in the plan before: it keeps its room until it is tried again. */
  protected before(item: Advice, cure: Cure): Effect | undefined {
    return this.last.get(cureKey(item, cure));
  }
  private readonly last = new Map<string, Effect>();

  /** What came of cures that were tried; a new plan brings new ones. */
  private readonly known = new WeakMap<Advice, readonly (Tried | undefined)[]>();

  private async *tried({ job, items }: { job: Job; items: readonly Advice[] }) {
    const found = new Map<Cure, Tried>();
    for (const item of items) {
      const tried =
        this.known.get(item) ??
        (await (job.rooms.length <= AT_HAND_ROOMS
          ? this.core.tryCures(item)
          : this.walls.tryCures(job, item)));
      this.known.set(item, tried);
      item.cures.forEach((cure, i) => {
        const one = tried[i];
        if (one) found.set(cure, one);
      });
      yield new Map(found);
    }
  }

  protected near(item: Advice): void {
    this.nearest.set(item);
  }

  /** `Mind: Reading room, butts, fill.` */
  protected heading({ place, severity }: Advice): Message {
    const parts: (Sayable | undefined)[] = [
      // What is about several rooms says which, wherever it is read.
      this.nameRooms() || place.rooms ? this.roomNames(place) : undefined,
      place.element && say(`element.${place.element}`),
      place.coat && say(`coat.${place.coat}`),
    ];
    const where = parts.filter((part) => part !== undefined);
    const sign = say(`sign.${severity}`);
    if (where.length === 0) return say('advice.heading', { sign });
    const told = where.reduce((all, part) => say('part.field', { part: all, field: part }));
    return say('advice.heading-at', { sign, where: told });
  }

  private roomNames(place: Advice['place']): Sayable | undefined {
    const names = roomsNamed(place).map((id) => this.names().get(id) ?? id);
    return names.length === 0 ? undefined : names;
  }

  protected readonly asking = signal<Advice | undefined>(undefined);

  /** Keeps the reason with the job; the advice comes back when it is taken away. */
  protected setAside(item: Advice, words: string): void {
    const reason = words.trim();
    if (reason === '') return;
    const keys = adviceKeys(item);
    const date = this.clock.today();
    this.jobs.edit(say('undo.set-aside', { code: item.code }), (job) => {
      const others = (job.setAside ?? []).filter(({ key }) => !keys.includes(key));
      job.setAside = [...others, ...keys.map((key) => ({ key, reason, date }))];
    });
    this.asking.set(undefined);
  }

  protected take(item: Advice, cure: Cure): void {
    const changes = cure.changes ?? [];
    this.jobs.edit(say('undo.cure', { cure: cure.text, code: item.code }), (job) =>
      applyChanges(job, changes),
    );
  }
}
