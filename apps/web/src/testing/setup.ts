import 'reflect-metadata';
import 'fake-indexeddb/auto';
import { setupZonelessTestEnv } from 'jest-preset-angular/setup-env/zoneless';

setupZonelessTestEnv();

window.matchMedia ??= (query: string) =>
  ({
    matches: false,
    media: query,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }) as unknown as MediaQueryList;

/** Everything is in view: there is no layout to tell otherwise. */
window.IntersectionObserver ??= class {
  constructor(private readonly told: IntersectionObserverCallback) {}
  observe(target: Element): void {
    const entry = { isIntersecting: true, target } as IntersectionObserverEntry;
    queueMicrotask(() => this.told([entry], this as unknown as IntersectionObserver));
  }
  unobserve = () => undefined;
  disconnect = () => undefined;
} as unknown as typeof IntersectionObserver;
