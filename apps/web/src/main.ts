import { bootstrapApplication } from '@angular/platform-browser';
import { appConfig } from './app/app.config';
import { Shell } from './app/shell/shell';
import { preferred, speak } from './app/state/language';

async function start(): Promise<void> {
  // Without what is said otherwise in a language, it is still said in the base language.
  await speak(preferred()).catch(() => speak('en-US'));
  await bootstrapApplication(Shell, appConfig);
}

start().catch((error: unknown) => {
  const told = document.createElement('p');
  told.textContent = `Lisse could not start: ${error instanceof Error ? error.message : String(error)}. Reload the page; your jobs are safe in this browser.`;
  document.body.append(told);
});
