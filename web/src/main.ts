import { bootstrapApplication } from '@angular/platform-browser';
import { App } from './app/app';
import { appConfig } from './app/app.config';

bootstrapApplication(App, appConfig).catch((error: unknown) => {
  const note = document.createElement('p');
  note.textContent = 'Aurantia could not start in this browser. Reload the page; if that doesn’t help, update the browser.';
  document.body.append(note);
  console.error(error);
});
