import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { say, type Consistency } from '@lisse/core';
import { Texts } from '../state/texts';

/** How the mud of each step hangs from a knife held edge down, in a box of 64 × 52. */
const SHAPE: Record<Consistency, { hanging: string; below: string }> = {
  C1: { hanging: 'M10 12H54L50 22Q42 28 32 26Q20 29 13 21Z', below: '' },
  C2: { hanging: 'M10 12H54L51 20Q46 30 36 29Q22 33 13 22Z', below: '' },
  C3: { hanging: 'M10 12H54L51 17Q44 22 40 34Q34 41 27 34Q22 22 13 17Z', below: '' },
  C4: {
    hanging: 'M10 12H54L52 15Q40 17 37 30Q35 44 31 44Q28 43 27 30Q24 17 12 15Z',
    below: 'M20 49Q32 44 44 49Z',
  },
  C5: {
    hanging: 'M10 12H54L52 14Q37 15 35 26L34 43H30L29 26Q27 15 12 14Z',
    below: 'M14 49Q22 45 28 46Q25 42 32 42Q39 42 36 46Q42 45 50 49Z',
  },
  C6: {
    hanging: 'M12 12H52L50 13Q36 13 34.5 22L33.5 47H30.5L29.5 22Q28 13 14 13Z',
    below: 'M4 49Q18 47.5 32 47.5Q46 47.5 60 49Z',
  },
};

/** One step of the consistency scale as it hangs from a blade. */
@Component({
  selector: 'ls-mix-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg viewBox="0 0 64 52" role="img" [attr.aria-label]="mix() + ', ' + behaves()">
    <path class="blade" d="M6 8H58V12H6Z M28 0H36V8H28Z" />
    <path class="mud" data-coat="fill" [attr.d]="shape().hanging + shape().below" />
    <line x1="2" x2="62" y1="49.5" y2="49.5" />
  </svg>`,
  styles: `
    svg {
      display: block;
      width: 64px;
      height: 52px;
    }
    .blade {
      fill: var(--ink);
    }
    .mud {
      fill: var(--tone);
      stroke: var(--coat-edge);
      stroke-width: 0.75;
    }
    line {
      stroke: var(--line);
    }
  `,
})
export class MixDrawing {
  protected readonly texts = inject(Texts);
  readonly mix = input.required<Consistency>();
  protected readonly shape = computed(() => SHAPE[this.mix()]);
  protected readonly behaves = computed(() => this.texts.say(say(`consistency.${this.mix()}`)));
}
