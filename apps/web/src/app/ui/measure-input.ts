import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, signal, untracked } from '@angular/core';
import { parseLength, type BareUnit } from '@lisse/core';
import { Format } from '../state/format';

/** A moment after the last key, ms. */
const PAUSE_MS = 300;

let count = 0;

/**
 * A length typed as people write it. The picture follows while one types; what cannot be understood is said
 * under the field and changes nothing.
 */
@Component({
  selector: 'ls-measure',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="field">
      <span>{{ label() }}</span>
      <input
        type="text"
        autocomplete="off"
        spellcheck="false"
        [value]="text()"
        [placeholder]="hint()"
        [attr.aria-invalid]="reason() ? true : null"
        [attr.aria-describedby]="reason() ? id : null"
        (focus)="typing.set(true)"
        (input)="typed($any($event.target).value)"
        (blur)="leave()"
        (keydown.enter)="leave(); entered.emit()"
      />
    </label>
    @if (reason(); as why) {
      <p class="wrong" [id]="id">{{ why }}</p>
    }
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
  `,
})
export class MeasureInput {
  private readonly format = inject(Format);

  readonly label = input.required<string>();
  /** mm; none leaves the field empty. */
  readonly mm = input<number>();
  /** What a bare number means in a feet-and-inches job. */
  readonly bareFeet = input<BareUnit>('ft');
  readonly min = input(0);
  readonly max = input(100000);
  /** Small sizes are shown in inches only. */
  readonly small = input(false);
  readonly changed = output<number>();
  readonly entered = output<void>();

  protected readonly id = `measure-${count++}`;
  protected readonly typing = signal(false);
  protected readonly text = signal('');
  protected readonly reason = signal<string | undefined>(undefined);
  private timer: ReturnType<typeof setTimeout> | undefined;

  private readonly bare = computed<BareUnit>(() => (this.format.units() === 'metric' ? 'mm' : this.bareFeet()));
  protected readonly hint = computed(() => {
    if (this.bare() === 'mm') return 'mm';
    return this.bare() === 'ft' ? 'feet' : 'inches';
  });

  constructor() {
    effect(() => {
      const mm = this.mm();
      const shown = mm === undefined ? '' : this.small() ? this.format.small(mm) : this.format.length(mm);
      if (!untracked(this.typing)) this.text.set(shown);
    });
  }

  protected typed(text: string): void {
    this.text.set(text);
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.read(), PAUSE_MS);
  }

  protected leave(): void {
    clearTimeout(this.timer);
    const good = this.read();
    this.typing.set(false);
    const mm = this.mm();
    if (good && mm !== undefined && !this.pendingChange) this.text.set(this.small() ? this.format.small(mm) : this.format.length(mm));
    this.pendingChange = false;
  }

  private pendingChange = false;

  private read(): boolean {
    const text = this.text();
    if (text === '' && this.mm() === undefined) {
      this.reason.set(undefined);
      return false;
    }
    const read = parseLength(text, this.bare());
    if (!read.ok) {
      this.reason.set(read.reason);
      return false;
    }
    const [min, max] = [this.min(), this.max()];
    if (read.mm < min - 0.5 || read.mm > max + 0.5) {
      const show = this.small() ? this.format.small : this.format.length;
      this.reason.set(`Between ${show(min)} and ${show(max)}, please; this is ${show(read.mm)}.`);
      return false;
    }
    this.reason.set(undefined);
    const before = this.mm();
    // What is shown is rounded; leaving the field untouched must not round the job.
    const same = before !== undefined && Math.abs(read.mm - before) < 0.8;
    if (!same) {
      this.pendingChange = true;
      this.changed.emit(Math.round(read.mm * 10) / 10);
    }
    return true;
  }
}
