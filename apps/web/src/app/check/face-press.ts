import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import type { Face, Finding } from '@lisse/core';
import { Texts } from '../state/texts';
import type { Spot } from '../ui/pin-drawing';
import { DefectBadge } from '../ui/defect-badge';

/** An arrow key moves the place by this, mm; ten times as far with Shift. */
const STEP_MM = 20;

/** A picture of a face straight on, with the rings on it; pressed, it tells where on the face. */
@Component({
  selector: 'ls-face-press',
  imports: [DefectBadge],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div
      class="face"
      #frame
      role="application"
      tabindex="0"
      [style.aspect-ratio]="aspect()"
      [style.--aspect]="aspect()"
      [attr.aria-label]="texts.t('check.press-face', { face: face().name })"
      (click)="press($event, frame)"
      (keydown)="key($event)"
    >
      <ng-content />
      @for (ring of rings(); track ring.id) {
        <ls-defect-badge
          class="small"
          [ring]="ring.ring"
          [state]="ring.state"
          [style.left.%]="ring.x"
          [style.top.%]="ring.y"
        />
      }
      @if (here(); as at) {
        <i class="here" [style.left.%]="at[0]" [style.top.%]="at[1]" aria-hidden="true"></i>
      }
    </div>
  `,
  styles: `
    .face {
      position: relative;
      width: min(100%, calc(44vh * var(--aspect)));
      cursor: crosshair;
      background: var(--board);
    }
    ls-defect-badge {
      position: absolute;
      margin: -14px;
      pointer-events: none;
    }
    .here {
      position: absolute;
      width: 26px;
      height: 26px;
      margin: -13px;
      background:
        linear-gradient(var(--accent), var(--accent)) center / 4px 100% no-repeat,
        linear-gradient(var(--accent), var(--accent)) center / 100% 4px no-repeat;
      pointer-events: none;
    }
  `,
})
export class FacePress {
  protected readonly texts = inject(Texts);
  readonly face = input.required<Face>();
  readonly findings = input.required<readonly Finding[]>();
  readonly spot = input<Spot>();
  readonly pick = output<Spot>();

  protected readonly aspect = computed(() => {
    const [u0, v0, u1, v1] = this.face().box;
    return (u1 - u0) / (v1 - v0);
  });
  private share([u, v]: readonly [number, number]): [number, number] {
    const [u0, v0, u1, v1] = this.face().box;
    return [(100 * (u - u0)) / (u1 - u0), (100 * (v1 - v)) / (v1 - v0)];
  }
  protected readonly rings = computed(() =>
    this.findings().flatMap(({ id, ring, face, place, state }) => {
      if (face !== this.face().id || !place || state === 'closed') return [];
      const [x, y] = this.share(place);
      return [{ id, ring, state, x, y }];
    }),
  );
  protected readonly here = computed(() => {
    const spot = this.spot();
    return spot?.face === this.face().id ? this.share(spot.place) : undefined;
  });

  private put(u: number, v: number): void {
    const [u0, v0, u1, v1] = this.face().box;
    const within = (n: number, lo: number, hi: number): number => Math.round(Math.min(hi, Math.max(lo, n)));
    this.pick.emit({ face: this.face().id, place: [within(u, u0, u1), within(v, v0, v1)] });
  }

  protected press(event: MouseEvent, frame: HTMLElement): void {
    const box = frame.getBoundingClientRect();
    const [u0, v0, u1, v1] = this.face().box;
    this.put(
      u0 + ((event.clientX - box.left) / box.width) * (u1 - u0),
      v1 - ((event.clientY - box.top) / box.height) * (v1 - v0),
    );
  }

  protected key(event: KeyboardEvent): void {
    const step = event.shiftKey ? 10 * STEP_MM : STEP_MM;
    const by = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, step],
      ArrowDown: [0, -step],
    }[event.key];
    if (!by) return;
    event.preventDefault();
    const [u0, v0, u1, v1] = this.face().box;
    const [u, v] = this.spot()?.place ?? [(u0 + u1) / 2, (v0 + v1) / 2];
    this.put(u + (by[0] ?? 0), v + (by[1] ?? 0));
  }
}
