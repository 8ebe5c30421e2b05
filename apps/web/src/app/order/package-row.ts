import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { ItemPackage, OrderItem } from '@lisse/core';
import { Texts } from '../state/texts';

interface Drawn {
  kind: ItemPackage['kind'];
  size: number;
  /** Share of this package that is used, 0 to 1. */
  used: number;
}

/** More packages than this are drawn as some with a count. */
const MOST = 12;

/** The packages of one ware as they will stand on the floor, filled as far as they will be used. */
@Component({
  selector: 'ls-package-row',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (one of drawn(); track $index) {
      <svg
        [attr.width]="box(one).width * one.size"
        [attr.height]="box(one).height * one.size"
        [attr.viewBox]="'0 0 ' + box(one).width + ' ' + box(one).height"
        aria-hidden="true"
      >
        @switch (one.kind) {
          @case ('bag') {
            <path class="in" [attr.d]="bagLevel(one.used)" />
            <path class="out" d="M4 3l3 4h16l3-4v31H4z" />
          }
          @case ('roll') {
            <circle class="in" cx="15" cy="16" r="13" />
            <circle class="out" cx="15" cy="16" r="13" />
            <circle class="hole" cx="15" cy="16" r="4.5" />
            <path class="out" d="M15 29h14" />
          }
          @case ('stick') {
            <path class="in" d="M2 74V4l5-3v70zM7 71V1l5 3v70z" />
            <path class="out" d="M2 74V4l5-3v70zM7 71V1l5 3v70z" />
          }
          @case ('pack') {
            <path class="in" d="M3 10h22v14H3z" />
            <path class="out" d="M3 10h22v14H3zM3 10l5-6h22l-5 6M25 24l5-6V4" />
          }
          @case ('tool') {
            <path class="out" d="M4 22h22v4H4zM15 22V8M12 8h6V2h-6z" />
          }
          @case ('box') {
            <path class="in" [attr.d]="boxLevel(one.used)" />
            <path class="out" d="M3 8h24v26H3zM3 8l4-5h16l4 5M15 3v5" />
          }
          @default {
            <path class="in" [attr.d]="level(one.used)" />
            <path class="out" d="M3 5h24l-2.5 29h-19z" />
            <path class="out" d="M2 5h26" />
          }
        }
      </svg>
    }
    @if (more() > 0) {
      <span class="soft">{{ texts.t('order.more-of', { count: more() }) }}</span>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      align-items: flex-end;
      gap: var(--near);
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
    .hole {
      fill: var(--ground);
      stroke: var(--ink);
    }
  `,
})
export class PackageRow {
  protected readonly texts = inject(Texts);
  readonly item = input.required<Pick<OrderItem, 'packages' | 'buy' | 'leftover'>>();

  private readonly all = computed<Drawn[]>(() => {
    const { packages, buy, leftover } = this.item();
    const largest = Math.max(...packages.map(({ holds }) => holds));
    let left = buy - leftover;
    return packages.flatMap(({ kind, count, holds }) =>
      Array.from({ length: count }, (): Drawn => {
        const used = Math.max(0, Math.min(1, left / holds));
        left -= holds;
        return { kind, size: 0.72 + 0.28 * (holds / largest), used };
      }),
    );
  });
  protected readonly drawn = computed(() =>
    this.all().length > MOST ? [...this.all().slice(0, MOST - 1), ...this.all().slice(-1)] : this.all(),
  );
  protected readonly more = computed(() => this.all().length - this.drawn().length);

  protected box = ({ kind }: Drawn): { width: number; height: number } =>
    kind === 'stick' ? { width: 14, height: 76 } : { width: 30, height: kind === 'pack' ? 26 : 36 };

  protected level(used: number): string {
    const y = 34 - 29 * used;
    const inset = (34 - y) * (2.5 / 29);
    return `M${5.5 - inset} ${y}H${24.5 + inset}L24.5 34H5.5Z`;
  }

  protected bagLevel = (used: number): string => `M4 ${34 - 27 * used}H26V34H4Z`;
  protected boxLevel = (used: number): string => `M3 ${34 - 26 * used}H27V34H3Z`;
}
