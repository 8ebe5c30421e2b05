import { inject, Injectable, untracked } from '@angular/core';
import { PrimeNG } from 'primeng/config';
import { LISSE_PRESET } from './preset';

/** Puts the component library into Lisse's clothes, when the first part of it is made: no page before that waits for it. */
@Injectable({ providedIn: 'root' })
class Dressing {
  constructor() {
    // The nonce the server put into the page, for the style elements components add at run time.
    const nonce = document.querySelector('[ngCspNonce]')?.getAttribute('ngCspNonce') ?? undefined;
    const library = inject(PrimeNG);
    untracked(() =>
      library.setConfig({
        theme: {
          preset: LISSE_PRESET,
          options: { darkModeSelector: '[data-theme="site"]', cssLayer: false },
        },
        csp: { nonce },
        ripple: false,
      }),
    );
  }
}

/** For a component that holds one of the library's; called while it is constructed. */
export const dressed = (): unknown => inject(Dressing);
