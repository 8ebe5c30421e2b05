import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FAULTS, nextRing, say, type Fault, type Finding, type Message, type Sayable } from '@lisse/core';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { LogStore, type Told } from '../state/log.store';
import { PlanStore } from '../state/plan.store';
import { starting, Texts } from '../state/texts';
import { Choice } from '../ui/choice';
import { firstOf } from '../ui/first-of';
import { KeptPhoto } from '../ui/kept-photo';
import { SitePictures } from '../ui/small-picture';
import { TextInput } from '../ui/text-input';
import { faceName } from '../ui/words';
import { PhotoPress } from '../ui/photo-press';
import { PinDrawing, type Spot } from '../ui/pin-drawing';
import { TodayStore } from './today.store';

/** Today, pins: what is seen and should not be forgotten, put on the room with two presses: where, and what. */
@Component({
  selector: 'ls-pins-page',
  imports: [Choice, KeptPhoto, PhotoPress, PinDrawing, TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="large">
      <div class="column">
        <h1 class="sr">{{ texts.t('place.today.pins') }}</h1>
        <ls-choice
          [label]="texts.t('pins.room')"
          [options]="rooms()"
          [value]="roomId()"
          (changed)="chooseRoom($event)"
        />
        @if (plan(); as room) {
          <ls-pin-drawing [plan]="room" [findings]="open()" [spot]="spot()" (pick)="pick($event)" />
        }
        <p class="one" role="status">{{ texts.say(where()) }}</p>
        <section [attr.aria-label]="texts.t('pins.what')">
          <h2>{{ texts.t('pins.what') }}</h2>
          <div class="kinds">
            @for (fault of shownFaults(); track fault) {
              <button type="button" class="big quiet" (click)="find(fault)">
                {{ texts.say(faultName(fault)) }}
              </button>
            }
            @if (!all()) {
              <button type="button" class="big quiet" (click)="all.set(true)">
                {{ texts.t('pins.more-kinds') }}
              </button>
            }
          </div>
          <div class="acts">
            <ls-photo-press (taken)="photograph($event)">{{ texts.t('pins.photo') }}</ls-photo-press>
            <button
              type="button"
              class="big quiet"
              [attr.aria-expanded]="writing()"
              (click)="writing.set(!writing())"
            >
              {{ texts.t('pins.note') }}
            </button>
          </div>
          @if (writing()) {
            <ls-text
              [label]="texts.t('pins.note-words')"
              [lines]="3"
              [letters]="1000"
              [value]="words()"
              [live]="true"
              (changed)="words.set($event)"
            />
            <div class="acts">
              <button type="button" class="big act" [disabled]="words().trim() === ''" (click)="note()">
                {{ texts.t('pins.note-put') }}
              </button>
            </div>
          }
          @if (told(); as so) {
            <p class="one" role="status">{{ texts.say(so) }}</p>
          }
        </section>
      </div>
      <div class="column">
        <section [attr.aria-label]="texts.t('pins.list')">
          <h2>{{ texts.t('pins.list') }}</h2>
          @if (lines().length === 0) {
            <p class="soft">{{ texts.t('pins.none') }}</p>
          }
          <ul>
            @for (line of listed.shown(); track line.id) {
              <li>
                <p class="one">
                  <b>{{ line.n }}</b> {{ texts.say(line.said) }}
                </p>
                <p class="soft">{{ texts.say(line.by) }}</p>
                @for (photo of line.photos; track photo) {
                  <ls-kept-photo [photo]="photo" [of]="line.said" />
                }
                <button type="button" class="link" (click)="takeBack(line.id)">
                  {{ texts.t('pins.take-back') }}
                </button>
              </li>
            }
          </ul>
          @if (listed.left(); as count) {
            <button type="button" class="big quiet no-print" (click)="listed.more()">
              {{ texts.t('list.more', { count }) }}
            </button>
          }
        </section>
      </div>
    </div>
  `,
  styleUrl: '../ui/large.css',
  styles: `
    ls-photo-press {
      flex: 1 1 130px;
    }
    .kinds {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
      gap: var(--close);
    }
    li {
      padding: 8px 0;
      border-top: 1px solid var(--hair);
    }
    .link {
      min-height: 56px;
      font-size: var(--large);
    }
  `,
})
export class PinsPage {
  protected readonly texts = inject(Texts);
  private readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  private readonly plans = inject(PlanStore);
  private readonly logs = inject(LogStore);
  private readonly pictures = inject(SitePictures);
  private readonly store = inject(TodayStore);
  private readonly chosen = signal<string | undefined>(undefined);
  protected readonly spot = signal<Spot | undefined>(undefined);
  protected readonly all = signal(false);
  protected readonly writing = signal(false);
  protected readonly words = signal('');
  protected readonly told = signal<Message | undefined>(undefined);

  protected readonly rooms = computed(() =>
    (this.jobs.job()?.rooms ?? []).map(({ id, name }) => ({ value: id, name })),
  );
  protected readonly roomId = computed(
    () => this.chosen() ?? this.store.task()?.room ?? this.rooms()[0]?.value ?? '',
  );
  protected readonly plan = computed(() => this.plans.plan()?.rooms.find(({ id }) => id === this.roomId()));
  protected readonly where = computed((): Message => {
    const [spot, plan] = [this.spot(), this.plan()];
    return spot && plan ? say('pins.at', { face: faceName(plan, spot.face) }) : say('pins.press');
  });
  /** The kinds one sees every day; all of them where that is asked for. */
  protected readonly shownFaults = computed(() => (this.all() ? FAULTS : OFTEN));
  protected faultName = (fault: Fault): Message => starting(say(`fault.${fault}`));

  private readonly pins = this.logs.pins;
  protected readonly open = computed((): Finding[] =>
    this.pins().findings.filter(({ room, state }) => room === this.roomId() && state !== 'closed'),
  );
  /** Findings with their numbers, then notes and photos of the room, the newest first. */
  protected readonly lines = computed(() => {
    const plan = this.plan();
    const on = (face: string | undefined): Sayable =>
      face === undefined || !plan ? '' : faceName(plan, face);
    const by = (one: { by: string; at: string }): Message =>
      say('pins.by', { by: one.by, at: this.format.time(one.at) });
    const { notes, photos } = this.pins();
    const loose = [
      ...notes.map((one) => ({ ...one, said: one.note as Sayable, photos: [] as string[] })),
      ...photos.map((one) => ({
        ...one,
        said: say('pins.photo-of', { face: on(one.face) }) as Sayable,
        photos: [one.photo],
      })),
    ]
      .filter(({ room }) => room === this.roomId())
      .sort((a, b) => (a.at < b.at ? 1 : -1))
      .map(({ id, said, photos: own, ...one }) => ({ id, n: '', said, by: by(one), photos: own }));
    const found = this.open().map((one) => ({
      id: one.id,
      n: one.ring,
      said: say('pins.found', { fault: say(`fault.${one.fault}`), face: on(one.face) }) as Sayable,
      by: by(one),
      photos: one.photos.map(({ photo }) => photo),
    }));
    return [...found, ...loose];
  });
  protected readonly listed = firstOf(this.lines);

  protected chooseRoom(id: string): void {
    this.chosen.set(id);
    this.spot.set(undefined);
  }

  protected pick(spot: Spot): void {
    this.spot.set(spot);
    this.told.set(undefined);
  }

  /** Pins something where the room was pressed; a second press is of the room, not of that spot again. */
  private async pin(
    tell: (at: Pick<Told, 'room' | 'face' | 'place'>) => Promise<boolean>,
    said: Message,
  ): Promise<boolean> {
    const spot = this.spot();
    this.spot.set(undefined);
    this.told.set(said);
    const kept = await tell({ room: this.roomId(), ...spot });
    if (!kept) {
      this.spot.set(spot);
      this.told.set(undefined);
    }
    return kept;
  }

  protected find(fault: Fault): Promise<boolean> {
    const ring = nextRing(this.pins());
    return this.pin(
      (at) => this.logs.tell('undo.log-finding', { kind: 'finding', fault, ring, ...at }),
      say('pins.put', { what: say(`fault.${fault}`) }),
    );
  }

  protected async note(): Promise<void> {
    const note = this.words().trim();
    this.words.set('');
    this.writing.set(false);
    const kept = await this.pin(
      (at) => this.logs.tell('undo.log-note', { kind: 'note', note, ...at }),
      say('pins.note-kept'),
    );
    if (kept) return;
    this.words.set(note);
    this.writing.set(true);
  }

  protected async photograph(file: File): Promise<void> {
    try {
      const picture = await this.pictures.kept(file);
      await this.pin((at) => this.logs.photograph(picture, at), say('pins.photo-kept'));
    } catch {
      this.told.set(say('photo.not', { file: file.name }));
    }
  }

  protected takeBack = (id: string): Promise<boolean> => this.logs.takeBack('undo.log-pin-back', id);
}

const OFTEN: readonly Fault[] = [
  'loose-tape',
  'tape-edge',
  'hollow',
  'ridge',
  'pinholes',
  'scratches',
  'heads-show',
  'dent',
];
