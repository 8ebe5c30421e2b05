import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/** Lisse's own line drawings, 24 × 24. */
const PATHS = {
  rooms: 'M8 8V3h8v5h5v8h-5v5H8v-5H3V8zM8 8h8v8H8z',
  finish: 'M3 19h18M6 15h12M8.5 11h7M10.5 7h3',
  section: 'M3 17h18M3 13h4c3 0 3-6 5-6s2 6 5 6h4',
  order: 'M6 9h12l-1.5 11h-9zM8 9c0-6 8-6 8 0',
  days: 'M3 6h8M8 12h9M13 18h8',
  today: 'M7 3h10M7 21h10M8 3c0 6 4 6 4 9s-4 3-4 9M16 3c0 6-4 6-4 9s4 3 4 9',
  check: 'M10.5 4a6.5 6.5 0 1 0 .1 0zM15.5 15.5L21 21M8 10.5l2 2 3.5-4',
  jobs: 'M4 6h16M4 12h16M4 18h16',
  undo: 'M9 7L4 12l5 5M4 12h10c4 0 6 2 6 6',
  redo: 'M15 7l5 5-5 5M20 12H10c-4 0-6 2-6 6',
  lamp: 'M5 10l9-6 3 4-9 6zM9 14l-3 7M15 12h6M14 16l5 3',
  flag: 'M12 4l9 16H3z',
} as const;

export type IconName = keyof typeof PATHS;

@Component({
  selector: 'ls-icon',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg
    viewBox="0 0 24 24"
    [attr.width]="size()"
    [attr.height]="size()"
    aria-hidden="true"
    focusable="false"
  >
    <path
      [attr.d]="path()"
      [attr.fill]="name() === 'flag' ? 'currentColor' : 'none'"
      stroke="currentColor"
      stroke-width="1.6"
      stroke-linejoin="round"
      stroke-linecap="square"
    />
  </svg>`,
  styles: `
    :host {
      display: inline-flex;
    }
  `,
})
export class Icon {
  readonly name = input.required<IconName>();
  readonly size = input(20);
  protected readonly path = computed(() => PATHS[this.name()]);
}
