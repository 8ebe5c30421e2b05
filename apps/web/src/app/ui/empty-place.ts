import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Sayable } from '@lisse/core';
import { Texts } from '../state/texts';

/** What an empty place will hold, drawn: faint lines, what is filled, and what is marked. */
const PICTURES = {
  punch: {
    faint: 'M8 10h150v100H8zM8 60h150M180 24h92M180 60h92M180 96h92',
    filled: '',
    marked:
      'M52 40m-11 0a11 11 0 1 0 22 0a11 11 0 1 0-22 0M118 84m-11 0a11 11 0 1 0 22 0a11 11 0 1 0-22 0M180 18h8v8h-8zM180 54h8v8h-8z',
  },
  sign: {
    faint: 'M70 4h140v112H70zM86 22h108M86 36h108M86 50h70M86 96h108',
    filled: '',
    marked: 'M92 92c8-24 14-22 14-8s8 4 12-8 8-8 8 2 10 6 18-2 12-4 18 4',
  },
  stock: {
    faint: 'M10 110h260M20 52l6 58h48l6-58zM110 52l6 58h48l6-58zM200 62h52v48h-52z',
    filled: 'M23 78l3 32h48l3-32zM112 64l4 46h48l4-46z',
    marked: 'M20 52h60M110 52h60M200 62h52',
  },
  jobs: {
    faint: 'M100 36h80v48h-80zM100 36l-44-10v68l44-10M180 36l44-10v68l-44-10M100 36L90 8h100l-10 28',
    filled: '',
    marked: 'M100 60h80M140 36v24M120 60v24M160 60v24',
  },
} as const;

/** A place that holds nothing yet: what will be there, in a picture and in words, and the press that starts it. */
@Component({
  selector: 'ls-empty-place',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 280 120" aria-hidden="true">
      <path class="filled" [attr.d]="drawn().filled" />
      <path class="faint" [attr.d]="drawn().faint" />
      <path class="marked" [attr.d]="drawn().marked" />
    </svg>
    <p>{{ texts.say(what()) }}</p>
    <ng-content />
  `,
  styles: `
    :host {
      display: grid;
      justify-items: start;
      gap: var(--apart);
      max-width: 460px;
      padding: 24px 0;
      font-size: var(--large);
    }
    svg {
      width: 100%;
      max-width: 360px;
    }
    path {
      fill: none;
      stroke-width: 1.5;
    }
    .faint {
      stroke: var(--line);
    }
    .filled {
      fill: var(--coat-finish);
    }
    .marked {
      stroke: var(--accent);
      stroke-width: 2;
    }
  `,
})
export class EmptyPlace {
  protected readonly texts = inject(Texts);
  readonly picture = input.required<keyof typeof PICTURES>();
  readonly what = input.required<Sayable>();
  protected readonly drawn = computed(() => PICTURES[this.picture()]);
}
