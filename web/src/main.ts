/** The page's start: zoneless Angular, the router, the service worker that keeps the page at hand without the server. */
import { provideHttpClient, withInterceptors } from '@angular/common/http';
import { ErrorHandler, isDevMode, provideBrowserGlobalErrorListeners } from '@angular/core';
import { bootstrapApplication } from '@angular/platform-browser';
import { provideRouter, withComponentInputBinding } from '@angular/router';
import { provideServiceWorker } from '@angular/service-worker';
import * as z from 'zod';
import { StageErrors } from './services/broken-stage';
import { withFolder } from './services/keeping/folder';
import { Root } from './shell/root';
import { routes } from './shell/stages';

// The page's security policy forbids made-up code, which Zod would otherwise try for speed.
z.config({ jitless: true });

bootstrapApplication(Root, {
  providers: [
    provideBrowserGlobalErrorListeners(),
    { provide: ErrorHandler, useClass: StageErrors },
    provideHttpClient(withInterceptors([withFolder])),
    provideRouter(routes, withComponentInputBinding()),
    provideServiceWorker('ngsw-worker.js', { enabled: !isDevMode(), registrationStrategy: 'registerWhenStable:3000' }),
  ],
}).catch((error: unknown) => console.error(error));
