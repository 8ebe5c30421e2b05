import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { PartBar } from '../ui/part-bar';

/** Section: a joint cut across, and the whole wall in its light. */
@Component({
  selector: 'ls-section-frame',
  imports: [PartBar, RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ls-part-bar label="Parts of Section" [parts]="parts" />
    <router-outlet />
  `,
  styles: `
    :host {
      flex: 1;
      min-height: 0;
      display: flex;
      flex-direction: column;
    }
  `,
})
export class SectionFrame {
  protected readonly parts = [
    { path: './', name: 'Cut across' },
    { path: 'wall', name: 'Whole wall' },
  ];
}
