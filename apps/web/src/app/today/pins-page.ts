import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  signal,
  viewChild,
  type ElementRef,
} from '@angular/core';
import {
  FAULTS,
  pinsOf,
  say,
  type Fault,
  type Finding,
  type Message,
  type Point,
  type Sayable,
} from '@lisse/core';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { LogStore, type Told } from '../state/log.store';
import { PlanStore } from '../state/plan.store';
import { starting, Texts } from '../state/texts';
import { Choice } from '../ui/choice';
import { KeptPhoto } from '../ui/kept-photo';
import { FITTED, Paper } from '../ui/paper';
import { sitePicture } from '../ui/small-picture';
import { TextInput } from '../ui/text-input';
import { watchSize } from '../ui/watch-size';
import { faceName } from '../ui/words';
import { TodayDesk } from './today-desk';

/** Round the drawing, px. */
const PAD = 12;

/** Somewhere on a face of a room, mm. */
interface Spot {
  face: string;
  place: [number, number];
}

/** Today, pins: what is seen and should not be forgotten, put on the room with two presses: where, and what. */
@Component({
  selector: 'ls-pins-page',
  imports: [Choice, KeptPhoto, TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="today">
      <div class="column">
        <h1 class="sr">{{ texts.t('place.today.pins') }}</h1>
        <ls-choice
          [label]="texts.t('pins.room')"
          [options]="rooms()"
          [value]="roomId()"
          (changed)="chooseRoom($event)"
        />
        <div #frame>
          @let size = { width: width(), height: height() };
          <svg
            [attr.viewBox]="'0 0 ' + size.width + ' ' + size.height"
            role="group"
            [attr.aria-label]="texts.t('pins.drawing')"
          >
            @for (face of faces(); track face.id) {
              <path
                class="face"
                [class.at]="spot()?.face === face.id"
                [attr.d]="face.path"
                role="button"
                tabindex="0"
                [attr.aria-label]="texts.t('pins.on-face', { face: face.name })"
                (click)="press($event, face.id)"
                (keydown.enter)="middle(face.id)"
                (keydown.space)="middle(face.id); $event.preventDefault()"
              />
            }
            @for (pin of pinned(); track pin.id) {
              <circle class="pin" [attr.cx]="pin.x" [attr.cy]="pin.y" r="7" />
              <text class="n" [attr.x]="pin.x" [attr.y]="pin.y + 4" text-anchor="middle">{{ pin.n }}</text>
            }
            @if (here(); as at) {
              <path
                class="here"
                [attr.d]="'M' + (at[0] - 11) + ' ' + at[1] + 'h22M' + at[0] + ' ' + (at[1] - 11) + 'v22'"
              />
            }
          </svg>
        </div>
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
            <label class="big act">
              {{ texts.t('pins.photo') }}
              <input
                #box
                type="file"
                class="sr"
                accept="image/*"
                capture="environment"
                (change)="photograph(box)"
              />
            </label>
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
            @for (line of lines(); track line.id) {
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
        </section>
      </div>
    </div>
  `,
  styleUrl: './today.css',
  styles: `
    svg {
      display: block;
      width: 100%;
      touch-action: manipulation;
    }
    .face {
      fill: var(--paper);
      stroke: var(--soft);
      stroke-width: 1.2;
      cursor: crosshair;
    }
    .face.at {
      fill: var(--wash);
    }
    .face:focus-visible {
      outline: none;
      stroke: var(--accent);
      stroke-width: 3;
    }
    .here {
      stroke: var(--accent);
      stroke-width: 4;
      pointer-events: none;
    }
    .pin {
      fill: var(--stop);
      pointer-events: none;
    }
    .n {
      fill: var(--paper);
      font-size: 10px;
      font-weight: 700;
      pointer-events: none;
    }
    .kinds {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
      gap: 8px;
    }
    label.big {
      cursor: pointer;
    }
    label:focus-within {
      outline: 2px solid var(--accent);
      outline-offset: 2px;
    }
    li {
      padding: 8px 0;
      border-top: 1px solid var(--hair);
    }
    .link {
      min-height: 56px;
      font-size: 16px;
    }
  `,
})
export class PinsPage {
  protected readonly texts = inject(Texts);
  private readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  private readonly plans = inject(PlanStore);
  private readonly logs = inject(LogStore);
  private readonly desk = inject(TodayDesk);
  private readonly frame = viewChild<ElementRef<HTMLElement>>('frame');
  protected readonly width = signal(360);
  protected readonly height = computed(() => Math.round(this.width() * 0.72));
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
    () => this.chosen() ?? this.desk.task()?.room ?? this.rooms()[0]?.value ?? '',
  );
  private readonly plan = computed(() => this.plans.plan()?.rooms.find(({ id }) => id === this.roomId()));
  private readonly paper = computed(
    () => new Paper(this.plan()?.faces ?? [], { width: this.width(), height: this.height() }, FITTED, PAD),
  );
  protected readonly faces = computed(() => {
    const [plan, paper] = [this.plan(), this.paper()];
    return (plan?.faces ?? [])
      .filter(({ id, kind }) => paper.has(id) && kind !== 'reveal')
      .map(({ id, name, rings }) => ({
        id,
        name,
        path: rings
          .map(
            (ring) =>
              `M${ring
                .map((p) =>
                  paper
                    .at(id, p)
                    .map((n) => n.toFixed(1))
                    .join(' '),
                )
                .join('L')}Z`,
          )
          .join(''),
      }));
  });
  protected readonly here = computed((): Point | undefined => {
    const spot = this.spot();
    return spot && this.paper().at(spot.face, spot.place);
  });
  protected readonly where = computed((): Message => {
    const [spot, plan] = [this.spot(), this.plan()];
    return spot && plan ? say('pins.at', { face: faceName(plan, spot.face) }) : say('pins.press');
  });
  /** The kinds one sees every day; all of them where that is asked for. */
  protected readonly shownFaults = computed(() => (this.all() ? FAULTS : OFTEN));
  protected faultName = (fault: Fault): Message => starting(say(`fault.${fault}`));

  private readonly pins = computed(() => pinsOf(this.logs.entries()));
  private readonly open = computed((): Finding[] =>
    this.pins().findings.filter(({ room, state }) => room === this.roomId() && state !== 'closed'),
  );
  protected readonly pinned = computed(() =>
    this.open().flatMap(({ id, face, place }, i) => {
      if (face === undefined || !place || !this.paper().has(face)) return [];
      const [x, y] = this.paper().at(face, place);
      return [{ id, n: i + 1, x, y }];
    }),
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
    const found = this.open().map((one, i) => ({
      id: one.id,
      n: String(i + 1),
      said: say('pins.found', { fault: say(`fault.${one.fault}`), face: on(one.face) }) as Sayable,
      by: by(one),
      photos: one.photos.map(({ photo }) => photo),
    }));
    return [...found, ...loose];
  });

  constructor() {
    watchSize(this.frame, (width) => this.width.set(width));
  }

  protected chooseRoom(id: string): void {
    this.chosen.set(id);
    this.spot.set(undefined);
  }

  protected press(event: MouseEvent, face: string): void {
    const svg = (event.target as SVGElement).ownerSVGElement;
    const box = svg?.getBoundingClientRect();
    if (!box || box.width <= 0) return this.middle(face);
    const scale = this.width() / box.width;
    const [x, y] = this.paper().under(face, [
      (event.clientX - box.left) * scale,
      (event.clientY - box.top) * scale,
    ]);
    this.spot.set({ face, place: [Math.round(x), Math.round(y)] });
    this.told.set(undefined);
  }

  /** By the keys a face is taken as a whole: its middle. */
  protected middle(face: string): void {
    const box = this.plan()?.faces.find(({ id }) => id === face)?.box;
    if (box)
      this.spot.set({ face, place: [Math.round((box[0] + box[2]) / 2), Math.round((box[1] + box[3]) / 2)] });
    this.told.set(undefined);
  }

  private at(): Pick<Told, 'room' | 'face' | 'place'> {
    return { room: this.roomId(), ...this.spot() };
  }

  private done(said: Message): void {
    this.spot.set(undefined);
    this.told.set(said);
  }

  protected async find(fault: Fault): Promise<void> {
    if (await this.logs.tell('undo.log-finding', { kind: 'finding', fault, ...this.at() }))
      this.done(say('pins.put', { what: say(`fault.${fault}`) }));
  }

  protected async note(): Promise<void> {
    const note = this.words().trim();
    if (!(await this.logs.tell('undo.log-note', { kind: 'note', note, ...this.at() }))) return;
    this.words.set('');
    this.writing.set(false);
    this.done(say('pins.note-kept'));
  }

  protected async photograph(box: HTMLInputElement): Promise<void> {
    const [file] = box.files ?? [];
    box.value = '';
    if (!file) return;
    try {
      if (await this.logs.photograph(await sitePicture(file), this.at())) this.done(say('pins.photo-kept'));
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
