import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { PartBar } from '../ui/part-bar';

/** Finish: what is agreed, how it is done, with what. */
@Component({
  selector: 'ls-finish-page',
  imports: [PartBar, RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ls-part-bar label="Parts of Finish" [parts]="parts" />
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
export class FinishPage {
  protected readonly parts = [
    { path: './', name: 'Grade and coats' },
    { path: 'way', name: 'Way of working' },
    { path: 'compounds', name: 'Compounds' },
    { path: 'tools', name: 'Tools' },
    { path: 'agreement', name: 'Agreement' },
  ];
}
