import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { CardId } from '@lisse/core';

/** What a line of a drawing is: steel, mud, water, board, or how something moves. */
type Ink = 'tool' | 'mud' | 'water' | 'wall' | 'move' | 'light';
type Line = readonly [ink: Ink, d: string];

/** Each tool by itself, upright, its working end down at 0 0. */
const TOOL: Partial<Record<CardId, readonly Line[]>> = {
  paddle: [
    ['tool', 'M-1.5 -44H1.5V-8H-1.5Z'],
    ['tool', 'M-9 -8H9L6 0H-6Z'],
  ],
  knife: [
    ['tool', 'M-14 0H14L9 -16H-9Z'],
    ['tool', 'M-3.5 -16H3.5V-38H-3.5Z'],
  ],
  hawk: [
    ['tool', 'M-20 -3H20V0H-20Z'],
    ['tool', 'M-2.5 0H2.5V16H-2.5Z'],
    ['mud', 'M-13 -3Q-9 -14 0 -14Q9 -14 13 -3Z'],
  ],
  taper: [
    ['tool', 'M-4 -48H4V-8H-4Z'],
    ['tool', 'M-7 -8H7L4 0H-4Z'],
    ['light', 'M7 -14a6 6 0 1 0 0.1 0'],
  ],
  roller: [
    ['tool', 'M-1.5 -44H1.5V-10H-1.5Z'],
    ['tool', 'M-11 -6a5 5 0 1 0 0.1 0Z'],
    ['tool', 'M11 -6a5 5 0 1 0 0.1 0Z'],
  ],
  tube: [
    ['tool', 'M-5 -36H5V-8H-5Z'],
    ['tool', 'M-1 -48H1V-36H-1Z'],
    ['tool', 'M-3 -8H3L1 0H-1Z'],
  ],
  head: [
    ['tool', 'M-1.5 -44H1.5V-14H-1.5Z'],
    ['tool', 'M-12 -14H12L0 0Z'],
  ],
  box: [
    ['tool', 'M-1.5 -46H1.5V-16H-1.5Z'],
    ['tool', 'M-18 -16H18V-4H-18Z'],
    ['light', 'M-13 -4a3.5 3.5 0 1 0 0.1 0M13 -4a3.5 3.5 0 1 0 0.1 0'],
  ],
  spotter: [
    ['tool', 'M-1.5 -44H1.5V-12H-1.5Z'],
    ['tool', 'M-8 -12H8V0H-8Z'],
  ],
  pole: [
    ['tool', 'M-1.5 -46H1.5V-6H-1.5Z'],
    ['tool', 'M-16 -6H16V0H-16Z'],
  ],
};

const PAIL: readonly Line[] = [
  ['light', 'M70 44L74 78H104L108 44'],
  ['mud', 'M71.5 56L74 77H104L106.5 56Z'],
];
const BUCKET: readonly Line[] = [
  ['light', 'M38 46L42 78H78L82 46'],
  ['water', 'M40 58Q46 54 52 58T64 58T80 58M42 66Q48 62 54 66T66 66T78 66'],
];
const WALL: Line = ['wall', 'M6 70H114'];

/** Where the tool stands in a scene, and what stands round it. */
interface Scene {
  at: readonly [x: number, y: number];
  turn?: number;
  round: readonly Line[];
}

/** What one does with a tool, whichever it is. */
const SCENE: Record<string, Scene> = {
  load: { at: [89, 58], round: [...PAIL, ['move', 'M58 20V44M53 38L58 44L63 38']] },
  prime: {
    at: [48, 58],
    round: [
      ['mud', 'M44 62Q48 72 52 62Z'],
      ['move', 'M72 34H92M86 29L92 34L86 39'],
    ],
  },
  run: {
    at: [76, 66],
    turn: 16,
    round: [WALL, ['mud', 'M10 66H74V70H10Z'], ['move', 'M22 50H52M46 45L52 50L46 55']],
  },
  lift: {
    at: [86, 50],
    turn: 40,
    round: [WALL, ['mud', 'M10 67Q60 64 78 70H10Z'], ['move', 'M58 60Q74 58 80 34M73 39L80 34L85 42']],
  },
  cut: {
    at: [70, 66],
    turn: 10,
    round: [WALL, ['mud', 'M10 66H66V70H10Z'], ['move', 'M88 50V78M84 54L92 54']],
  },
  refill: {
    at: [40, 64],
    round: [...PAIL, ['move', 'M74 34Q58 18 48 34M48 26L48 34L56 33']],
  },
  dial: {
    at: [40, 70],
    round: [
      ['light', 'M84 26a18 18 0 1 0 0.1 0'],
      ['tool', 'M82.5 44L86 28H82Z'],
      ['move', 'M64 62Q84 84 104 62M98 62L104 62L105 68M70 62L64 62L63 68'],
    ],
  },
  edges: {
    at: [72, 66],
    turn: 20,
    round: [
      ['wall', 'M6 70H96V10'],
      ['light', 'M82 70V56H96'],
    ],
  },
  clean: { at: [60, 62], round: [...BUCKET, ['move', 'M92 62V40M87 46L92 40L97 46']] },
  store: {
    at: [60, 66],
    round: [
      ['wall', 'M30 10H90'],
      ['light', 'M60 10V18'],
    ],
  },
};

/** Mixing has scenes of its own, and so has every move of the hand. */
const OWN: Partial<Record<CardId, Record<string, readonly Line[]>>> = {
  paddle: {
    water: [...BUCKET, ['water', 'M60 8V40'], ['move', 'M54 34L60 42L66 34']],
    powder: [...BUCKET, ['mud', 'M44 57L60 42L76 57Z'], ['move', 'M60 10V34M54 28L60 34L66 28']],
    rest: [...BUCKET, ['light', 'M60 12a12 12 0 1 0 0.1 0M60 16V24H66']],
    stop: [
      ['light', 'M38 46L42 78H78L82 46'],
      ['mud', 'M40 56H80L78 77H42Z'],
      ['tool', 'M58.5 8H61.5V56H58.5Z'],
      ['move', 'M48 50Q60 40 72 50M67 44L72 50L64 51'],
    ],
  },
  bead: {
    one: [
      ['wall', 'M60 12V70H112'],
      ['tool', 'M50 8V74H56V8Z'],
      ['move', 'M36 76H50M50 70V80'],
    ],
    two: [
      ['wall', 'M60 12V70H112'],
      ['mud', 'M54 12H60V70H54ZM60 70H104V76H60Z'],
    ],
    three: [
      ['wall', 'M60 12V70H112'],
      ['mud', 'M54 12H60V70H54Z'],
      ['tool', 'M49 10H52V74H49Z'],
      ['move', 'M28 42H44M38 37L44 42L38 47M60 30V14M60 54V66'],
    ],
    four: [
      ['wall', 'M12 60H84V78'],
      ['mud', 'M12 60Q50 62 84 54V60Z'],
      ['tool', 'M8 50L92 50V46L8 46Z'],
      ['move', 'M48 50V58'],
    ],
  },
  angle: {
    one: [
      ['wall', 'M60 10V70H112'],
      ['mud', 'M60 44V70H90Q66 66 60 44Z'],
    ],
    two: [
      ['wall', 'M60 10V70H112'],
      ['mud', 'M60 44V70H90Q66 66 60 44Z'],
      ['light', 'M62 40V68H92'],
      ['move', 'M92 36L72 58M73 50L72 58L80 57'],
    ],
    three: [
      ['wall', 'M60 10V70H112'],
      ['light', 'M62 34V68H98'],
      ['tool', 'M64 44L84 36L86 41L66 50Z'],
      ['move', 'M74 30V12M69 18L74 12L79 18'],
    ],
    four: [
      ['wall', 'M14 24H106M14 24V76M106 24V76'],
      ['light', 'M14 32H106'],
      ['move', 'M24 44H50M44 39L50 44L44 49M96 44H70M76 39L70 44L76 49'],
    ],
  },
  corner: {
    one: [
      ['wall', 'M60 40L14 16M60 40L106 16M60 40V80'],
      ['mud', 'M60 40L14 16L14 24L60 48ZM60 40L106 16V24L66 44ZM60 40V80H68V44Z'],
    ],
    two: [
      ['wall', 'M60 40L14 16M60 40L106 16M60 40V80'],
      ['move', 'M54 30L30 17M32 23L30 17L36 16M68 30L92 17M86 16L92 17L90 23M70 50V76M65 70L70 76L75 70'],
    ],
    three: [
      ['wall', 'M60 40L14 16M60 40L106 16M60 40V80'],
      ['tool', 'M66 44L86 36L88 41L68 50Z'],
      ['move', 'M88 46H104M98 41L104 46L98 51'],
    ],
  },
  crossing: {
    one: [
      ['wall', 'M10 10H110V78H10Z'],
      ['mud', 'M54 10H66V78H54Z'],
      ['move', 'M76 18V66M71 60L76 66L81 60'],
    ],
    two: [
      ['wall', 'M10 10H110V78H10Z'],
      ['mud', 'M54 10H66V78H54ZM10 38H40V50H10Z'],
      ['tool', 'M40 34H48V54H40Z'],
      ['move', 'M52 44H78M72 39L78 44L72 49'],
    ],
    three: [
      ['wall', 'M10 10H110V78H10Z'],
      ['mud', 'M54 10H66V78H54ZM10 38H110V50H10Z'],
      ['tool', 'M52 30H68L64 26H56Z'],
      ['move', 'M60 26Q60 14 74 12'],
    ],
  },
};

/** One step of a tool or a move, drawn. */
@Component({
  selector: 'ls-card-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg viewBox="0 0 120 84" aria-hidden="true">
    @for (line of round(); track $index) {
      <path [attr.class]="line[0]" data-coat="fill" [attr.d]="line[1]" />
    }
    <g [attr.transform]="place()">
      @for (line of tool(); track $index) {
        <path [attr.class]="line[0]" data-coat="fill" [attr.d]="line[1]" />
      }
    </g>
  </svg>`,
  styles: `
    svg {
      display: block;
      width: 132px;
      height: 92px;
    }
    path {
      fill: none;
      stroke-width: 1.6;
      stroke-linejoin: round;
    }
    .tool {
      fill: var(--ink);
    }
    .mud {
      fill: var(--tone);
      stroke: var(--coat-edge);
      stroke-width: 0.75;
    }
    .water {
      stroke: var(--soft);
    }
    .wall {
      stroke: var(--ink);
      stroke-width: 2.5;
    }
    .light {
      stroke: var(--soft);
    }
    .move {
      stroke: var(--accent);
      stroke-width: 3;
    }
  `,
})
export class CardDrawing {
  readonly card = input.required<CardId>();
  readonly act = input.required<string>();
  private readonly own = computed(() => OWN[this.card()]?.[this.act()]);
  private readonly scene = computed(() => SCENE[this.act()]);
  protected readonly round = computed((): readonly Line[] => this.own() ?? this.scene()?.round ?? []);
  protected readonly tool = computed((): readonly Line[] => (this.own() ? [] : (TOOL[this.card()] ?? [])));
  protected readonly place = computed(() => {
    const { at: [x, y] = [0, 0], turn = 0 } = this.scene() ?? {};
    return `translate(${x} ${y}) rotate(${turn})`;
  });
}
