import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  inject,
  output,
  signal,
  viewChildren,
} from '@angular/core';
import {
  closeRoom,
  parseLength,
  SHOT_NAME,
  SHOTS,
  say,
  type Disagreement,
  type FloorPlan,
  type Readings,
  type Shot,
  type Message,
} from '@lisse/core';
import { Texts, starting } from '../state/texts';
import { ActionButton } from '../ui/action-button';
import { TextInput } from '../ui/text-input';
import { Meter } from '../devices/meter';
import { Format } from '../state/format';
import { MeasureInput } from '../ui/measure-input';

/** A room shot wall by wall, with a meter that is listened to, by typing, or from a list. */
@Component({
  selector: 'ls-measure-room',
  imports: [MeasureInput, ActionButton, TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row">
      <ls-action-button [on]="listening()" (turned)="toggle()">{{
        texts.t(listening() ? 'measure.stop' : 'measure.listen')
      }}</ls-action-button>
      <button type="button" class="link" (click)="listing.set(!listing())">
        {{ texts.t(listing() ? 'measure.fields' : 'measure.type') }}
      </button>
    </div>
    <p class="small soft">
      {{ texts.t('measure.simulated', { scatter: scatter() }) }}
    </p>
    @if (said(); as words) {
      <p class="small" role="status">{{ words }}</p>
    }
    @if (listing()) {
      <ls-text
        [label]="texts.t('measure.list', { order })"
        [lines]="8"
        [letters]="1000"
        [live]="true"
        [value]="list()"
        (changed)="readList($event)"
      />
    } @else {
      <div class="shots">
        @for (shot of shots; track shot) {
          <ls-measure
            [label]="names[shot]"
            [mm]="readings()[shot]"
            [limit]="shotLimit"
            (focused)="aim(shot)"
            (changed)="take(shot, $event)"
            (entered)="next(shot)"
            [class.off]="disputed().has(shot)"
          />
        }
      </div>
    }
    @for (one of closed().disagreements; track $index) {
      <p class="wrong" role="alert">{{ sentence(one) }}</p>
    }
    @if (lean(); as words) {
      <p class="small">{{ words }}</p>
    }
    @if (closed().plan; as plan) {
      <p class="small">
        {{ 'outline' in plan ? texts.t('measure.saved') : size(plan) }}
      </p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: var(--close);
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: var(--close);
    }
    .shots {
      display: grid;
      grid-template-columns: repeat(2, minmax(0, 1fr));
      gap: var(--close);
      align-items: end;
    }
    .off {
      border-left: 3px solid var(--stop);
      padding-left: 5px;
    }
  `,
})
export class MeasureRoom {
  protected readonly texts = inject(Texts);
  protected readonly shotLimit = { least: 100, most: 100000 };
  private readonly meter = inject(Meter);
  private readonly format = inject(Format);
  /** The plan, once there is enough for one. */
  readonly planned = output<FloorPlan | undefined>();

  private readonly fields = viewChildren(MeasureInput);
  protected readonly shots = SHOTS;
  protected readonly names: Record<Shot, Message> = Object.fromEntries(
    SHOTS.map((shot) => [shot, starting(SHOT_NAME[shot])]),
  ) as Record<Shot, Message>;
  protected readonly order = SHOTS.map((shot) => this.texts.say(SHOT_NAME[shot])).join(', ');

  protected readonly readings = signal<Readings>({});
  protected readonly listening = signal(false);
  protected readonly listing = signal(false);
  protected readonly list = signal('');
  protected readonly said = signal('');
  private readonly aimed = signal<Shot>('wall-1');
  /** Each measuring is of a made-up room of its own. */
  private readonly room = 1 + Math.floor(Math.random() * 100000);
  private stop: (() => void) | undefined;

  protected readonly closed = computed(() => closeRoom(this.readings()));
  protected readonly disputed = computed(() => new Set(this.closed().disagreements.flatMap((d) => d.shots)));
  protected readonly scatter = computed(() => this.format.small(1.5));
  protected readonly lean = computed(() => {
    const { outOfSquareMm, cornerDeg } = this.closed();
    if (outOfSquareMm === undefined || cornerDeg === undefined) return '';
    return this.texts.t('measure.lean', {
      deg: this.format.number(cornerDeg, 1, 1),
      out: this.format.small(Math.abs(outOfSquareMm)),
      way: outOfSquareMm > 0 ? 'open' : 'closed',
    });
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.stop?.());
  }

  protected size(plan: FloorPlan): string {
    if (!('lengthMm' in plan)) return '';
    return this.texts.t('measure.size', {
      length: this.format.length(plan.lengthMm),
      width: this.format.length(plan.widthMm),
      height: this.format.length(plan.heightMm),
    });
  }

  protected sentence({ message, byMm }: Disagreement): string {
    return this.texts.t('measure.disagree', { message, by: byMm });
  }

  protected toggle(): void {
    if (this.listening()) this.hush('');
    else this.listen();
  }

  private hush(words: string): void {
    this.stop?.();
    this.stop = undefined;
    this.listening.set(false);
    this.said.set(words);
  }

  private listen(): void {
    this.listing.set(false);
    this.listening.set(true);
    this.said.set(this.texts.t('measure.listening', { shot: SHOT_NAME[this.aimed()] }));
    this.stop = this.meter.listen(this.room, this.aimed(), {
      reading: ({ mm }) => {
        if (mm === undefined)
          this.said.set(this.texts.t('measure.missed', { shot: SHOT_NAME[this.aimed()] }));
        else {
          const shot = this.aimed();
          this.take(shot, mm);
          const then = SHOTS[SHOTS.indexOf(shot) + 1];
          if (then) this.aimed.set(then);
          this.said.set(then ? this.texts.t('measure.listening', { shot: SHOT_NAME[then] }) : '');
          if (then) this.fields()[SHOTS.indexOf(then)]?.focus();
        }
      },
      ended: (lost) => this.hush(this.texts.t(lost ? 'measure.lost' : 'measure.all')),
    });
  }

  /** The field in hand is the one the meter fills. */
  protected aim(shot: Shot): void {
    if (this.aimed() === shot) return;
    this.aimed.set(shot);
    if (!this.listening()) return;
    this.stop?.();
    this.listen();
  }

  protected take(shot: Shot, mm: number): void {
    this.readings.update((now) => ({ ...now, [shot]: mm }));
    this.planned.emit(this.closed().plan);
  }

  protected next(shot: Shot): void {
    this.fields()[SHOTS.indexOf(shot) + 1]?.focus();
  }

  protected readList(text: string): void {
    this.list.set(text);
    const readings: Readings = {};
    const wrong: string[] = [];
    text
      .split(/\r?\n|;/)
      .map((line) => line.trim())
      .filter((line) => line !== '')
      .slice(0, SHOTS.length)
      .forEach((line, i) => {
        const read = parseLength(line, this.format.units() === 'metric' ? 'mm' : 'ft');
        if (read.ok && read.mm >= 100) readings[SHOTS[i] as Shot] = read.mm;
        else
          wrong.push(
            this.texts.t('measure.line', {
              n: i + 1,
              trouble: read.ok ? say('measure.short', { line }) : read.reason,
            }),
          );
      });
    this.readings.set(readings);
    this.said.set(wrong.join(' '));
    this.planned.emit(this.closed().plan);
  }
}
