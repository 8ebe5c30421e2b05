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
import { routes } from './app.routes';
import { toldOfPlace, Unexpected } from './shell/unexpected';
import { whenToKeep } from './shell/keeping-offline';
import { PageTitle } from './shell/page-title';

export const appConfig: ApplicationConfig = {
  providers: [
    provideZonelessChangeDetection(),
    provideBrowserGlobalErrorListeners(),
    provideRouter(routes, withComponentInputBinding(), withNavigationErrorHandler(toldOfPlace)),
    { provide: ErrorHandler, useClass: Unexpected },
    { provide: TitleStrategy, useClass: PageTitle },
    provideServiceWorker('lisse-worker.js', {
      enabled: !isDevMode(),
      registrationStrategy: whenToKeep,
    }),
  ],
};
