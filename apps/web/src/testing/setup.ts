import 'reflect-metadata';
import 'fake-indexeddb/auto';
import EN from '@lisse/core/texts/en.json';
import { setupZonelessTestEnv } from 'jest-preset-angular/setup-env/zoneless';
import { useWording } from '../app/state/texts';

setupZonelessTestEnv();
useWording('en-US', EN);

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

/** Everything is as large as a page on a desk shows it. */
window.ResizeObserver ??= class {
  constructor(private readonly told: ResizeObserverCallback) {}
  observe(target: Element): void {
    const borderBoxSize = [{ inlineSize: 840, blockSize: 600 }];
    this.told([{ target, borderBoxSize }] as unknown as ResizeObserverEntry[], this);
  }
  unobserve = () => undefined;
  disconnect = () => undefined;
};
