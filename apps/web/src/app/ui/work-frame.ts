import { ChangeDetectionStrategy, Component } from '@angular/core';

/**
 * The frame of a place: a `section` that is worked on, and an `aside` of class `side` with what it is held against, each
 * scrolling by itself; one under the other where the page is narrow, and on paper. A place sets `--side` for a side of
 * another width, and `--list` for a list before its work.
 */
@Component({
  selector: 'ls-work-frame',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<ng-content />',
  styles: `
    :host {
      height: 100%;
      display: grid;
      grid-template-columns: var(--list,) minmax(0, 1fr) var(--side, 304px);
    }
    @media (max-width: 1000px) {
      :host {
        display: block;
        height: auto;
      }
    }
    @media print {
      :host {
        display: block;
        height: auto;
      }
    }
  `,
})
export class WorkFrame {}
