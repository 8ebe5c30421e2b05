import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { RepairStep } from '@lisse/core';

/** What is seen of a repair at one of its steps: a board cut across, what is in it, and what is done. */
interface Drawn {
  /** The gap in the board, as shares of the width. */
  gap?: readonly [number, number];
  /** How deep it goes, a share of the board. */
  deep?: number;
  /** Edges cut slanting. */
  vee?: true;
  /** Mud in it: how full, from the bottom; over the face so far beyond it. */
  full?: number;
  over?: number;
  tape?: true;
  piece?: true;
  strips?: true;
  screws?: readonly number[];
  /** Stands out of the face. */
  bump?: true;
  /** Something that is done, from left to right or from above. */
  tool?: 'knife' | 'blade' | 'pad' | 'driver' | 'cut' | 'brush' | 'edge' | 'eye' | 'water' | 'roller';
}

const HOLE = { gap: [0.4, 0.6], deep: 1 } as const;
const DENT = { gap: [0.42, 0.58], deep: 0.4, vee: true } as const;

/** Every step, as it is drawn. */
const STEPS: Record<RepairStep, Drawn> = {
  'find-water': { ...DENT, tool: 'water' },
  'dry-out': { ...DENT, tool: 'eye' },
  'look-behind': { ...HOLE, tool: 'eye' },
  scuff: { ...DENT, tool: 'pad' },
  'cut-loose': { ...DENT, tool: 'cut' },
  'pull-anchor': { ...DENT, bump: true, tool: 'cut' },
  'screw-beside': { screws: [0.5, 0.64], bump: true, tool: 'driver' },
  'set-old': { screws: [0.5, 0.64], tool: 'driver' },
  'square-up': { ...HOLE, tool: 'cut' },
  flange: { ...HOLE, piece: true, over: 0.1, full: 0, tool: 'knife' },
  'cut-square': { gap: [0.25, 0.75], deep: 1, tool: 'cut' },
  backing: { gap: [0.25, 0.75], deep: 1, strips: true, screws: [0.2, 0.8], tool: 'driver' },
  piece: {
    gap: [0.25, 0.75],
    deep: 1,
    strips: true,
    piece: true,
    screws: [0.2, 0.33, 0.67, 0.8],
    tool: 'driver',
  },
  'score-tape': { gap: [0.36, 0.64], deep: 0.12, tool: 'cut' },
  'cut-ridge': { bump: true, tool: 'blade' },
  rake: { gap: [0.45, 0.55], deep: 0.8, vee: true, tool: 'cut' },
  'mist-scrape': { bump: true, tool: 'blade' },
  'cut-down': { bump: true, tool: 'blade' },
  'cut-out-bead': { bump: true, screws: [0.42, 0.58], tool: 'cut' },
  ring: { ...DENT, tool: 'edge' },
  'seal-paper': { gap: [0.36, 0.64], deep: 0.12, tool: 'brush' },
  'seal-stain': { gap: [0.36, 0.64], deep: 0.05, tool: 'brush' },
  pack: { gap: [0.44, 0.56], deep: 0.8, vee: true, full: 0.9, tool: 'knife' },
  bed: { gap: [0.44, 0.56], deep: 0.8, vee: true, full: 1, over: 0.12, tape: true, tool: 'knife' },
  'bed-bead': { bump: true, over: 0.2, full: 1, tool: 'knife' },
  screed: { gap: [0.3, 0.7], deep: 0.3, vee: true, full: 1, over: 0.05, tool: 'edge' },
  flush: { ...DENT, full: 1, over: 0.06, tool: 'knife' },
  feather: { ...DENT, full: 1, over: 0.28, tool: 'blade' },
  skim: { gap: [0.05, 0.95], deep: 0.06, full: 1, tool: 'roller' },
  'skim-across': { gap: [0.05, 0.95], deep: 0.06, full: 1, over: 0.03, tool: 'blade' },
  sand: { ...DENT, full: 1, over: 0.24, tool: 'pad' },
  prime: { ...DENT, full: 1, over: 0.24, tool: 'roller' },
};

const TOOLS: Record<NonNullable<Drawn['tool']>, string> = {
  knife: 'M62 8l22 20-3 4-24-18z',
  blade: 'M30 14h60l-6 17h-48z',
  pad: 'M40 22h40v8h-40zM58 22v-14',
  driver: 'M74 6l5 14h-3v8h-4v-8h-3z',
  cut: 'M56 6h6l-3 24-6-8z',
  brush: 'M52 6h8v12h-8zM50 18h12v11h-12z',
  edge: 'M14 26h92v5h-92z',
  eye: 'M44 20c8-10 24-10 32 0-8 10-24 10-32 0zM60 16a4 4 0 1 0 .1 0z',
  water: 'M60 6c6 9 8 12 8 16a8 8 0 0 1-16 0c0-4 2-7 8-16z',
  roller: 'M44 20h32v9h-32zM60 20v-10h14',
};

const [W, TOP, BOARD] = [120, 34, 26];

/** One step of a repair, drawn small: the board cut across, the mud in it, the tool at it. */
@Component({
  selector: 'ls-step-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 120 74" aria-hidden="true">
      <path class="board" fill-rule="evenodd" [attr.d]="board()" />
      @if (mud(); as d) {
        <path class="mud" [attr.d]="d" />
      }
      @if (drawn().piece) {
        <rect
          class="piece"
          [attr.x]="gap()[0] * 120 + 2"
          [attr.y]="34"
          [attr.width]="(gap()[1] - gap()[0]) * 120 - 4"
          height="26"
        />
      }
      @if (drawn().strips) {
        <rect class="strip" x="16" y="60" width="26" height="8" />
        <rect class="strip" x="78" y="60" width="26" height="8" />
      }
      @for (at of drawn().screws; track at) {
        <path class="screw" [attr.d]="'M' + (at * 120 - 4) + ' 34h8M' + at * 120 + ' 34v30'" />
      }
      @if (drawn().tape) {
        <path class="tape" d="M44 32h32" />
      }
      @if (drawn().bump) {
        <path class="bump" d="M44 34c6-1 9-9 16-9s10 8 16 9z" />
      }
      @if (drawn().tool; as tool) {
        <path class="tool" [attr.d]="tools[tool]" />
      }
    </svg>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      display: block;
      width: 100%;
    }
    .board {
      fill: var(--board);
      stroke: var(--soft);
      stroke-width: 1;
    }
    .piece {
      fill: var(--board);
      stroke: var(--ink);
      stroke-width: 1.2;
    }
    .strip {
      fill: var(--line);
      stroke: var(--soft);
    }
    .mud {
      fill: var(--coat-fill);
      stroke: var(--coat-edge);
      stroke-width: 0.8;
    }
    .tape {
      stroke: var(--ink);
      stroke-width: 2;
      stroke-dasharray: 5 2;
    }
    .bump {
      fill: var(--coat-tape);
      stroke: var(--coat-edge);
    }
    .screw {
      fill: none;
      stroke: var(--ink);
      stroke-width: 2.2;
    }
    .tool {
      fill: var(--paper);
      stroke: var(--ink);
      stroke-width: 1.4;
      stroke-linejoin: round;
    }
  `,
})
export class StepDrawing {
  readonly step = input.required<RepairStep>();
  protected readonly tools = TOOLS;
  protected readonly drawn = computed(() => STEPS[this.step()]);
  protected readonly gap = computed(() => this.drawn().gap ?? ([0.5, 0.5] as const));

  /** The gap as a shape from its left: square, or running to a point. */
  private cut(depth: number): string {
    const [a, b] = this.gap();
    const { vee } = this.drawn();
    const [left, right, low] = [a * W, b * W, TOP + depth * BOARD];
    const in_ = vee ? (right - left) / 2 - 2 : 0;
    return `M${left} ${TOP}L${left + in_} ${low}H${right - in_}L${right} ${TOP}Z`;
  }
  protected readonly board = computed(() => {
    const { gap, deep = 0 } = this.drawn();
    return `M4 ${TOP}H116V${TOP + BOARD}H4Z${gap ? this.cut(deep) : ''}`;
  });
  protected readonly mud = computed(() => {
    const { full, deep = 0, over = 0, piece } = this.drawn();
    if (full === undefined) return undefined;
    const [a, b] = this.gap();
    const [left, right] = [(a - over) * W, (b + over) * W];
    const skin = over > 0 ? `M${left} ${TOP}Q${W / 2} ${TOP - 6 - over * 12} ${right} ${TOP}Z` : '';
    return `${full > 0 && !piece ? this.cut(deep * full) : ''}${skin}`;
  });
}
