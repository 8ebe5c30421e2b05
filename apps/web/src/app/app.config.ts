import {
  ErrorHandler,
  isDevMode,
  provideBrowserGlobalErrorListeners,
  provideZonelessChangeDetection,
  type ApplicationConfig,
} from '@angular/core';
import {
  provideRouter,
  TitleStrategy,
  withComponentInputBinding,
  withNavigationErrorHandler,
} from '@angular/router';
import { provideServiceWorker } from '@angular/service-worker';
import { providePrimeNG } from 'primeng/config';
import { routes } from './app.routes';
import { toldOfPlace, Unexpected } from './shell/unexpected';
import { LISSE_PRESET } from './shell/preset';
import { whenToKeep } from './shell/keeping-offline';
import { PageTitle } from './shell/page-title';

/** The nonce the server put into the page, for the style elements components add at run time. */
const nonce = document.querySelector('[ngCspNonce]')?.getAttribute('ngCspNonce') ?? undefined;

export const appConfig: ApplicationConfig = {
  providers: [
    provideZonelessChangeDetection(),
    provideBrowserGlobalErrorListeners(),
    provideRouter(routes, withComponentInputBinding(), withNavigationErrorHandler(toldOfPlace)),
    { provide: ErrorHandler, useClass: Unexpected },
    { provide: TitleStrategy, useClass: PageTitle },
    providePrimeNG({
      theme: { preset: LISSE_PRESET, options: { darkModeSelector: '[data-theme="site"]', cssLayer: false } },
      csp: { nonce },
      ripple: false,
    }),
    provideServiceWorker('lisse-worker.js', {
      enabled: !isDevMode(),
      registrationStrategy: whenToKeep,
    }),
  ],
};
