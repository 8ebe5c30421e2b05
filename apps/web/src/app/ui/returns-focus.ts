import { DestroyRef, Directive, inject } from '@angular/core';

/** What opens over the page gives the focus back, when it goes, to what had it when it came. */
@Directive()
export class ReturnsFocus {
  constructor() {
    const before = document.activeElement;
    // After the dialog has let go of it.
    inject(DestroyRef).onDestroy(() =>
      setTimeout(() => {
        if (before instanceof HTMLElement && before.isConnected) before.focus();
      }),
    );
  }
}
