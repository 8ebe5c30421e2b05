import { delay, first, merge, Subject, timer } from 'rxjs';

/** The latest that the application is kept for use offline, where no plan is made on the first page, ms. */
const LATEST_MS = 15000;
/** What the first place builds and fetches after its first plan goes before, ms. */
const AFTER_MS = 3000;

/** When the first plan of this page is shown. */
export const firstPlan = new Subject<void>();

/**
 * When the service worker is registered: it fetches every file, and whoever comes for the first time waits for
 * none but those of the first page.
 */
export const whenToKeep = () => merge(firstPlan.pipe(delay(AFTER_MS)), timer(LATEST_MS)).pipe(first());
