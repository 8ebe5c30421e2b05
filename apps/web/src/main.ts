import { bootstrapApplication } from '@angular/platform-browser';
import { appConfig } from './app/app.config';
import { Shell } from './app/shell/shell';

bootstrapApplication(Shell, appConfig).catch((error: unknown) => {
  const told = document.createElement('p');
  told.textContent = `Lisse could not start: ${error instanceof Error ? error.message : String(error)}. Reload the page; your jobs are safe in this browser.`;
  document.body.append(told);
});
