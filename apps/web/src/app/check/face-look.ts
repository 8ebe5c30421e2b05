import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
} from '@angular/core';
import {
  COATS,
  DECORATION_FACTS,
  LAMP_SIDES,
  lampsFor,
  offFor,
  say,
  showsAbove,
  type Coat,
  type Face,
  type HandLamp,
  type LampSide,
  type Message,
  type RoomPlan,
  type Sayable,
  type Stage,
} from '@lisse/core';
import { JobStore } from '../state/job.store';
import { starting, Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import type { Spot } from '../ui/pin-drawing';
import { PixelPicture } from '../ui/pixel-picture';
import { jointName } from '../ui/words';
import { WallClient } from '../worker/wall-client';
import type { Expected } from '../worker/wall-renderer';
import { CheckStore } from './check.store';
import { FacePress } from './face-press';

/** Cells of the picture, mm: it is looked at as a whole. */
const CELL_MM = 10;
/** One stands so far off with a lamp, mm. */
const EYE_MM = 1200;
/** So many things one is told to look at. */
const MOST = 4;
/** Letters, for numbers are those of the rings. */
const LETTERS = 'ABCD';

/** A face in the light of a hand lamp, as the plan expects it: where to hold the lamp, and what will show most. */
@Component({
  selector: 'ls-face-look',
  imports: [FacePress, PixelPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="lamp" role="status">{{ expected() ? texts.say(hold()) : texts.t('check.asking') }}</p>
    <ls-face-press [face]="face()" [findings]="store.inRoom()" [spot]="spot()" (pick)="pick.emit($event)">
      <div class="wall" [attr.data-side]="side()">
        <ls-pixels [picture]="expected()" [label]="texts.t('check.expected', { face: face().name })" />
        @for (mark of marks(); track mark.key) {
          <b class="mark figure" [style.left.%]="mark.x" [style.top.%]="mark.y">{{ mark.letter }}</b>
        }
        <i class="bulb" aria-hidden="true"></i>
      </div>
    </ls-face-press>
    @if (marks().length > 0) {
      <ol>
        @for (mark of marks(); track mark.key) {
          <li>
            <b class="figure">{{ mark.letter }}</b> {{ mark.name }}
            <span class="soft">{{ texts.say(mark.how) }}</span>
          </li>
        }
      </ol>
    } @else if (expected()) {
      <p class="soft">{{ texts.t('check.expect-nothing') }}</p>
    }
  `,
  styles: `
    .lamp {
      font-size: var(--large);
      font-weight: 600;
      margin-bottom: 6px;
    }
    .wall {
      position: absolute;
      inset: 0;
    }
    .mark {
      position: absolute;
      min-width: 22px;
      line-height: 22px;
      text-align: center;
      margin: -11px;
      background: var(--ink);
      color: var(--paper);
      font-size: var(--lead);
      pointer-events: none;
    }
    /* The lamp stands at the edge it is held at. */
    .bulb {
      position: absolute;
      width: 16px;
      height: 16px;
      border-radius: 50%;
      background: var(--accent);
      border: 3px solid var(--paper);
    }
    [data-side='left'] .bulb,
    [data-side='right'] .bulb {
      top: calc(50% - 8px);
      left: -4px;
    }
    [data-side='right'] .bulb {
      left: calc(100% - 12px);
    }
    [data-side='low'] .bulb,
    [data-side='high'] .bulb {
      left: calc(50% - 8px);
      top: -4px;
    }
    [data-side='low'] .bulb {
      top: calc(100% - 12px);
    }
    li {
      padding: 4px 0;
      font-size: var(--large);
    }
    li b {
      display: inline-block;
      min-width: 20px;
    }
    p.soft {
      margin-top: 6px;
    }
  `,
})
export class FaceLook {
  protected readonly texts = inject(Texts);
  private readonly jobs = inject(JobStore);
  private readonly view = inject(ViewStore);
  private readonly client = inject(WallClient);
  protected readonly store = inject(CheckStore);
  readonly plan = input.required<RoomPlan>();
  readonly face = input.required<Face>();
  /** Held there, and not where it shows most. */
  readonly lamp = input<HandLamp>();
  /** One colour all over by now. */
  readonly primed = input(false);
  /** As far as it is done; to its last coat where that is not told. */
  readonly coat = input<Coat>();
  readonly spot = input<Spot>();
  readonly pick = output<Spot>();
  protected readonly expected = signal<Expected | undefined>(undefined);

  private readonly offMm = computed(() => this.view.book().lampOffMm.value);
  private readonly lamps = computed((): HandLamp[] => {
    const lamp = this.lamp();
    if (lamp) return [lamp];
    const [face, least] = [this.face(), this.offMm()];
    return LAMP_SIDES.flatMap((side) =>
      lampsFor(face, offFor(face, side, least)).filter((one) => one.side === side),
    );
  });
  private readonly area = computed(
    () => this.plan().areas.find(({ faces }) => faces.includes(this.face().id)) ?? this.plan().areas[0],
  );
  private readonly stage = computed((): Stage => {
    const coat = this.coat();
    if (coat) return coat;
    const rows = this.area()?.rows ?? [];
    return (
      COATS.findLast((coat) => rows.some(({ cells }) => cells.some((cell) => cell.coat === coat))) ?? 'boards'
    );
  });
  private readonly shows = computed(() => {
    const { sheen } = DECORATION_FACTS[this.area()?.decoration ?? 'none'];
    return showsAbove(sheen ?? 'flat', this.view.book());
  });
  protected readonly side = computed(
    (): LampSide => this.lamps()[this.expected()?.best ?? 0]?.side ?? 'left',
  );
  protected readonly hold = computed((): Message =>
    say('check.hold', {
      side: this.side(),
      off: this.lamps()[this.expected()?.best ?? 0]?.light.offMm ?? this.offMm(),
    }),
  );
  /** What shows most, with where it is on the picture. */
  protected readonly marks = computed(() => {
    const expected = this.expected();
    if (!expected) return [];
    const [u0, v0, u1, v1] = expected.rect;
    const least = this.shows() / 3;
    const named = new Set<string>();
    return expected.seen
      .filter(({ contrast }) => Math.abs(contrast) > least)
      .map(({ feature, contrast, at: [u, v] }) => {
        const what = expected.features[feature - 1];
        const name: Sayable =
          what?.kind === 'joint'
            ? jointName(this.plan(), what.id)
            : what?.kind === 'heads'
              ? starting(say('element.heads'))
              : starting(say('wall.repair'));
        return {
          key: feature,
          name: this.texts.say(name),
          how: say('check.expect', { share: Math.abs(contrast), shows: this.shows() }),
          x: (100 * (u - u0)) / (u1 - u0),
          y: (100 * (v1 - v)) / (v1 - v0),
        };
      })
      .filter(({ name }) => !named.has(name) && named.add(name))
      .slice(0, MOST)
      .map((mark, i) => ({ ...mark, letter: LETTERS[i] ?? '' }));
  });

  constructor() {
    effect(() => {
      const job = this.jobs.job();
      const room = job?.rooms.find(({ id }) => id === this.plan().id);
      if (!job || !room) return;
      const request = {
        job: { ...job, rooms: [room] },
        face: this.face().id,
        stage: this.stage(),
        eyeMm: EYE_MM,
        cellMm: CELL_MM,
        lights: this.lamps().map(({ light }) => light),
        shows: this.shows(),
        primed: this.primed(),
      };
      untracked(() => void this.ask(request));
    });
  }

  private async ask(request: Parameters<WallClient['expect']>[0]): Promise<void> {
    this.expected.set(undefined);
    try {
      const found = await this.client.expect(request);
      if (request.face === this.face().id) this.expected.set(found);
    } catch {
      // One looks without it: the list of what to look for stands beside.
    }
  }
}
