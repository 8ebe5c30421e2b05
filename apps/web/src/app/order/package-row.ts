import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { CompoundLine } from '@lisse/core';
import { ViewStore } from '../state/view.store';

interface Drawn {
  kind: 'pail' | 'bag';
  size: number;
  /** Share of this package that is used, 0 to 1. */
  used: number;
}

/** More packages than this are drawn as one with a count. */
const MOST = 14;

/** The packages of one compound as they will stand on the floor, filled as far as they will be used. */
@Component({
  selector: 'ls-package-row',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (one of drawn(); track $index) {
      <svg [attr.width]="30 * one.size" [attr.height]="36 * one.size" viewBox="0 0 30 36" aria-hidden="true">
        @if (one.kind === 'pail') {
          <path class="in" [attr.d]="level(one.used)" />
          <path class="out" d="M3 5h24l-2.5 29h-19z" />
          <path class="out" d="M2 5h26" />
        } @else {
          <path class="in" [attr.d]="bagLevel(one.used)" />
          <path class="out" d="M4 3l3 4h16l3-4v31H4z" />
        }
      </svg>
    }
    @if (more() > 0) {
      <span class="soft">and {{ more() }} more</span>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      align-items: flex-end;
      gap: 5px;
    }
    .out {
      fill: none;
      stroke: var(--ink);
      stroke-width: 1.4;
      stroke-linejoin: round;
    }
    .in {
      fill: var(--coat-finish);
    }
  `,
})
export class PackageRow {
  private readonly view = inject(ViewStore);
  readonly line = input.required<CompoundLine>();

  private readonly all = computed<Drawn[]>(() => {
    const { compound, packages, withWasteL } = this.line();
    const offered = this.view.book().compounds[compound].packages;
    const largest = Math.max(...offered.map((p) => p.yieldsL));
    let left = withWasteL;
    return packages.flatMap(({ id, count }) => {
      const found = offered.find((p) => p.id === id);
      if (!found) return [];
      return Array.from({ length: count }, (): Drawn => {
        const used = Math.max(0, Math.min(1, left / found.yieldsL));
        left -= found.yieldsL;
        return {
          kind: found.waterL === undefined ? 'pail' : 'bag',
          size: 0.72 + 0.28 * (found.yieldsL / largest),
          used,
        };
      });
    });
  });
  protected readonly drawn = computed(() =>
    this.all().length > MOST ? [...this.all().slice(0, MOST - 1), ...this.all().slice(-1)] : this.all(),
  );
  protected readonly more = computed(() => this.all().length - this.drawn().length);

  protected level(used: number): string {
    const y = 34 - 29 * used;
    const inset = (34 - y) * (2.5 / 29);
    return `M${5.5 - inset} ${y}H${24.5 + inset}L24.5 34H5.5Z`;
  }

  protected bagLevel(used: number): string {
    return `M4 ${34 - 27 * used}H26V34H4Z`;
  }
}
