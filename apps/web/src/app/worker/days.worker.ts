import { searchDays, suppliedWith, TYPICAL } from '@lisse/core';
import { expose } from 'comlink';
import type { DaysApi, Underway } from './api';

/** Told no more often than somebody sees, ms. */
const TELL_MS = 100;

const api: DaysApi = {
  search({ job, rooms, site, kept }) {
    const search = searchDays(job, rooms, suppliedWith(TYPICAL, job), site, { kept });
    let told = performance.now();
    for (;;) {
      const next = search.next();
      if (next.done) return { run: next.value.run, proved: next.value.proved };
      if (performance.now() - told < TELL_MS) continue;
      told = performance.now();
      postMessage({ share: next.value } satisfies Underway);
    }
  },
};

expose(api);
