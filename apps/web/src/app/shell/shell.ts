import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { Toast } from 'primeng/toast';
import { ViewStore } from '../state/view.store';
import { Newer } from './newer';

@Component({
  selector: 'ls-root',
  imports: [RouterOutlet, Toast, Newer],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ls-newer />
    <router-outlet />
    <p-toast position="bottom-center" key="plain" />
  `,
})
export class Shell {
  // Started here so that the theme is on before any place is shown.
  protected readonly view = inject(ViewStore);
}
