import { OverlayContainer } from '@angular/cdk/overlay';
import { provideHttpClient, withFetch } from '@angular/common/http';
import { inject, provideZonelessChangeDetection, type ApplicationConfig } from '@angular/core';
import {
  provideRouter,
  RouteReuseStrategy,
  withComponentInputBinding,
  withNavigationErrorHandler,
  withPreloading,
} from '@angular/router';
import { routes } from './app.routes';
import { OnceItIsQuiet } from './once-it-is-quiet';
import { OneDesignAWorkspace } from './one-design-a-workspace';
import { OverlayRegion } from './parts/overlay-region';
import { Notices } from './services/notices';

export const appConfig: ApplicationConfig = {
  providers: [
    provideZonelessChangeDetection(),
    { provide: RouteReuseStrategy, useClass: OneDesignAWorkspace },
    { provide: OverlayContainer, useClass: OverlayRegion },
    provideHttpClient(withFetch()),
    provideRouter(
      routes,
      withComponentInputBinding(),
      withPreloading(OnceItIsQuiet),
      withNavigationErrorHandler(({ error }) => {
        console.error(error);
        inject(Notices).say('This page can’t be fetched while the program isn’t reached. Go there again once it is.');
      }),
    ),
  ],
};
