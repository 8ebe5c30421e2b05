import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  provideZonelessChangeDetection,
  signal,
  viewChild,
} from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { seenOf } from './visibility';
import { watchSize } from './watch-size';

/** What the browser would tell of an element's size, told by hand. */
class Told {
  static all: Told[] = [];
  readonly seen: Element[] = [];
  ended = false;
  constructor(private readonly tell: ResizeObserverCallback) {
    Told.all.push(this);
  }
  observe = (target: Element) => void this.seen.push(target);
  unobserve = () => undefined;
  disconnect = () => void (this.ended = true);
  size(inlineSize: number, blockSize: number): void {
    const entry = { borderBoxSize: [{ inlineSize, blockSize }] } as unknown as ResizeObserverEntry;
    this.tell([entry], this);
  }
}

@Component({
  selector: 'ls-watched',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div #frame>{{ known() ? size().join(' × ') : 'not yet' }}</div>`,
})
class Watched {
  private readonly frame = viewChild<ElementRef<HTMLElement>>('frame');
  readonly size = signal<readonly number[]>([]);
  readonly known = watchSize(this.frame, (...size) => this.size.set(size));
  readonly seen = seenOf(this.frame);
}

let fixture: ComponentFixture<Watched>;
const text = () => (fixture.nativeElement as HTMLElement).textContent.trim();
const real = window.ResizeObserver;

beforeEach(async () => {
  Told.all = [];
  window.ResizeObserver = Told;
  TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
  fixture = TestBed.createComponent(Watched);
  await fixture.whenStable();
});
afterEach(() => {
  window.ResizeObserver = real;
});

it('draws nothing to a size before it is told one, in whole pixels, and follows it', async () => {
  expect(text()).toBe('not yet');
  const [watch] = Told.all;
  expect(watch!.seen).toHaveLength(1);
  watch!.size(840.6, 600.2);
  await fixture.whenStable();
  expect(text()).toBe('840 × 600');
  watch!.size(390, 500);
  await fixture.whenStable();
  expect(text()).toBe('390 × 500');
});

it('keeps the last size of what is hidden', async () => {
  Told.all[0]!.size(840, 600);
  Told.all[0]!.size(0, 0);
  await fixture.whenStable();
  expect(text()).toBe('840 × 600');
});

it('draws little of a tall element before it is laid out, then what is on the screen, and all of it for paper', () => {
  const { seen } = fixture.componentInstance;
  expect(seen().to).toBeLessThan(innerHeight);
  const host = (fixture.nativeElement as HTMLElement).querySelector('div')!;
  host.getBoundingClientRect = () => ({ top: -2000 }) as DOMRect;
  Told.all[1]!.size(800, 9000);
  expect(seen().from).toBeLessThan(2000);
  expect(seen().from).toBeGreaterThan(900);
  expect(seen().to).toBeGreaterThan(2000 + innerHeight);
  dispatchEvent(new Event('beforeprint'));
  expect(seen()).toEqual({ from: 0, to: Infinity });
  dispatchEvent(new Event('afterprint'));
  expect(seen().from).toBeGreaterThan(900);
});

it('watches nothing once it is gone', () => {
  fixture.destroy();
  expect(Told.all.map(({ ended }) => ended)).toEqual([true, true]);
});
