import { bootstrapApplication } from '@angular/platform-browser';
import { appConfig } from './app/app.config';
import { Shell } from './app/shell/shell';
import { useWording } from './app/state/texts';

/** The texts of the page's language, a file of its own. */
async function start(): Promise<void> {
  const { default: texts } = await import('@lisse/core/texts/en.json');
  useWording('en-US', texts);
  await bootstrapApplication(Shell, appConfig);
}

start().catch((error: unknown) => {
  const told = document.createElement('p');
  told.textContent = `Lisse could not start: ${error instanceof Error ? error.message : String(error)}. Reload the page; your jobs are safe in this browser.`;
  document.body.append(told);
});
