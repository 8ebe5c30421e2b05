import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  input,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import {
  clamped,
  parseLength,
  say,
  within,
  type BareUnit,
  type Limit,
  type Message,
  type Sayable,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { Format } from '../state/format';
import { Field } from './field';

/** A moment after the last key, ms. */
const PAUSE_MS = 300;
/** How far a length as it is shown may be from itself: half a sixteenth of an inch, or half a millimetre. */
const SHOWN_MM = 0.8;
/** The same where it is shown as fine as it is measured: half a sixty-fourth of an inch. */
const SHOWN_FINE_MM = 0.2;

let count = 0;

/**
 * A length typed as people write it. The picture follows while one types; what cannot be understood is said
 * under the field and changes nothing.
 */
@Component({
  selector: 'ls-measure',
  imports: [Field],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ls-field [name]="id" [label]="label()" [trouble]="reason()">
      <input
        #box
        [id]="id"
        type="text"
        autocomplete="off"
        spellcheck="false"
        [value]="text()"
        [placeholder]="texts.say(hint())"
        [attr.aria-invalid]="reason() ? true : null"
        [attr.aria-describedby]="reason() ? id + '-why' : null"
        (focus)="focused.emit(); box.select()"
        (input)="typed(box.value)"
        (blur)="leave()"
        (keydown.enter)="$event.preventDefault(); leave(); entered.emit()"
      />
    </ls-field>
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
  protected readonly texts = inject(Texts);

  readonly label = input.required<Sayable>();
  /** mm; none leaves the field empty. */
  readonly mm = input<number>();
  /** What a bare number means in a feet-and-inches job. */
  readonly bareFeet = input<BareUnit>('ft');
  readonly limit = input<Limit>({ least: 0, most: 100000 });
  /** Small sizes are shown in inches only. */
  readonly small = input(false);
  /** Bows, humps and layers are shown as fine as they are measured. */
  readonly fine = input(false);
  /** Runs of joints are shown, and typed bare, in metres or feet. */
  readonly run = input(false);
  readonly changed = output<number>();
  readonly entered = output<void>();
  readonly focused = output<void>();

  private readonly box = viewChild.required<ElementRef<HTMLInputElement>>('box');
  protected readonly id = `measure-${count++}`;
  protected readonly typing = signal(false);
  protected readonly text = signal('');
  protected readonly reason = signal<Message | undefined>(undefined);
  private timer: ReturnType<typeof setTimeout> | undefined;

  private readonly bare = computed<BareUnit>(() =>
    this.format.units() === 'metric' ? (this.run() ? 'm' : 'mm') : this.bareFeet(),
  );
  protected readonly hint = computed<Sayable>(() => {
    if (this.bare() === 'mm' || this.bare() === 'm') return this.bare();
    return say(this.bare() === 'ft' ? 'unit.feet' : 'unit.inches');
  });

  constructor() {
    effect(() => {
      const shown = this.shown(this.mm());
      if (!untracked(this.typing)) this.text.set(shown);
    });
  }

  focus(): void {
    this.box().nativeElement.focus();
  }

  protected typed(text: string): void {
    this.typing.set(true);
    this.text.set(text);
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.read(), PAUSE_MS);
  }

  protected leave(): void {
    clearTimeout(this.timer);
    const took = this.read();
    this.typing.set(false);
    // A changed measure comes back through the input; an unchanged one is spelled out here.
    if (took === 'same') this.text.set(this.shown(this.mm()));
  }

  private shown(mm: number | undefined): string {
    if (mm === undefined) return '';
    if (this.run()) return this.format.run(mm);
    if (this.fine()) return this.format.fine(mm);
    return this.small() ? this.format.small(mm) : this.format.length(mm);
  }

  private read(): 'refused' | 'same' | 'changed' {
    const text = this.text();
    const before = this.mm();
    if (text === '' && before === undefined) {
      this.reason.set(undefined);
      return 'same';
    }
    const read = parseLength(text, this.bare(), this.limit().least < 0);
    if (!read.ok) {
      this.reason.set(read.reason);
      return 'refused';
    }
    const limit = this.limit();
    // What is shown is rounded: the least and the most are taken as they are shown, and kept as they are.
    const [per, off] = this.fine() ? [1000, SHOWN_FINE_MM] : [10, SHOWN_MM];
    const rounded = Math.round(read.mm * per) / per;
    const mm = Math.abs(clamped(rounded, limit) - rounded) <= off ? clamped(rounded, limit) : rounded;
    if (!within(mm, limit)) {
      this.reason.set(
        say('measure.between', {
          least: this.shown(limit.least),
          most: this.shown(limit.most),
          is: this.shown(read.mm),
        }),
      );
      return 'refused';
    }
    this.reason.set(undefined);
    // What is shown is rounded; leaving the field as it was must not round the job.
    if (before !== undefined && (text === this.shown(before) || Math.abs(mm - before) < 0.5 / per))
      return 'same';
    this.changed.emit(mm);
    return 'changed';
  }
}
