import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { DamageKind } from '@lisse/core';

/** How a part of a picture is drawn: an edge, a dark hole, bare gypsum or tape, or something faint. */
type Ink = 'edge' | 'hole' | 'bare' | 'faint';

const circle = (x: number, y: number, r: number): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0z`;
const FLAT_JOINT = 'M0 32H96';

/** What each kind looks like on the wall, seen from the front; 96 by 64. */
const PICTURES: Record<DamageKind, readonly (readonly [Ink, string])[]> = {
  dent: [
    ['bare', 'M34 32c0-8 28-8 28 0s-28 9-28 0z'],
    ['edge', 'M34 32c0-8 28-8 28 0'],
    ['faint', 'M38 36c6 5 14 5 20 0'],
  ],
  'popped-head': [
    ['faint', circle(48, 32, 13)],
    ['bare', circle(48, 32, 7)],
    ['edge', `${circle(48, 32, 7)}M44 28l8 8m0-8l-8 8`],
  ],
  'anchor-hole': [
    ['bare', circle(48, 32, 7)],
    ['hole', circle(48, 32, 4)],
    ['faint', 'M41 32l-5-2m19 4l6 3'],
  ],
  'small-hole': [
    ['bare', 'M36 30l8-10 14 1 4 12-9 10-14-2z'],
    ['hole', 'M39 31l6-7 10 1 3 8-6 7-10-2z'],
  ],
  'large-hole': [
    ['bare', 'M20 24l16-14 28 2 14 16-4 20-26 8-20-6z'],
    ['hole', 'M24 26l14-11 23 2 12 13-4 15-21 7-17-6z'],
    ['edge', 'M48 16v36'],
  ],
  'failed-tape': [
    ['bare', 'M0 25h96v14H0z'],
    ['edge', 'M0 25h30c8 0 10-9 20-8 9 1 12 8 20 8h26M0 39h96'],
    ['faint', 'M34 30c10-6 20-5 30 0'],
  ],
  'crushed-joint': [
    ['bare', 'M26 26h44v12H26z'],
    ['edge', 'M0 32h28l5-6 6 11 7-12 6 12 7-11 5 6h32'],
  ],
  step: [
    ['bare', 'M0 32h96v7H0z'],
    ['edge', FLAT_JOINT],
    ['faint', 'M0 39h96'],
  ],
  texture: [
    ['faint', [10, 24, 38, 66, 80].map((x) => [14, 32, 50].map((y) => circle(x, y, 3)).join('')).join('')],
    ['edge', 'M44 20c12-4 18 6 14 16s-16 8-18-2 0-12 4-14z'],
  ],
  blister: [
    ['faint', 'M0 24h96M0 40h96'],
    ['bare', 'M34 32c0-10 28-10 28 0s-28 10-28 0z'],
    ['edge', 'M34 32c0-10 28-10 28 0s-28 10-28 0zM42 30c3-3 8-3 12 0'],
  ],
  ridge: [
    ['bare', 'M0 28h96v8H0z'],
    ['edge', 'M0 32H96'],
    ['faint', 'M0 28h96M0 36h96'],
  ],
  stain: [
    ['bare', 'M30 20c14-10 34-4 38 10s-14 24-28 20-20-22-10-30z'],
    [
      'faint',
      'M30 20c14-10 34-4 38 10s-14 24-28 20-20-22-10-30zM38 26c8-6 20-2 22 6s-8 12-16 10-12-12-6-16z',
    ],
  ],
  'corner-crack': [
    ['hole', 'M0 36h40v28H0z'],
    ['edge', 'M40 36l8-7 2-8 10-4 4-9 12-6'],
  ],
  bead: [
    ['bare', 'M44 0h8v64h-8z'],
    ['edge', 'M48 0v22l6 4-8 6 6 5-4 3v24'],
    ['faint', 'M44 0v64M52 0v64'],
  ],
  low: [
    ['faint', 'M16 32c0-22 64-22 64 0s-64 22-64 0zM28 32c0-12 40-12 40 0s-40 12-40 0z'],
    ['edge', 'M48 24v12m-5-5l5 6 5-6'],
  ],
  proud: [
    ['faint', 'M16 32c0-22 64-22 64 0s-64 22-64 0z'],
    ['edge', 'M42 26l12 12m0-12l-12 12'],
  ],
  rough: [
    ['bare', 'M22 22l18-8 26 4 10 14-12 14-28 4-16-10z'],
    ['edge', 'M30 26l8 3m6-9l6 5m8 0l5 4m-30 5l7 3m8-4l6 5m7-4l5 3'],
  ],
  angle: [
    ['bare', 'M43 0h10v64H43z'],
    ['faint', 'M43 0v64M53 0v64'],
    ['edge', 'M48 0v16l3 5-5 6 4 7-3 6 2 8-1 16'],
  ],
};

/** A kind of damage as it looks on the wall. */
@Component({
  selector: 'ls-damage-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 96 64" aria-hidden="true">
      @for (part of parts(); track $index) {
        <path [class]="part[0]" [attr.d]="part[1]" />
      }
    </svg>
  `,
  styles: `
    :host,
    svg {
      display: block;
    }
    svg {
      width: 100%;
      background: var(--paper);
      border: 1px solid var(--line);
    }
    path {
      fill: none;
      stroke: var(--ink);
      stroke-width: 1.6;
    }
    .hole {
      fill: var(--rail);
      stroke: none;
    }
    .bare {
      fill: var(--coat-finish);
      stroke: none;
    }
    .faint {
      stroke: var(--soft);
      stroke-width: 1;
    }
  `,
})
export class DamagePicture {
  readonly kind = input.required<DamageKind>();
  protected readonly parts = computed(() => PICTURES[this.kind()]);
}
