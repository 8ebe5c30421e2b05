import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { lShape, newRoom, type FloorPlan } from '@lisse/core';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { ViewStore } from '../state/view.store';
import { MeasureInput } from '../ui/measure-input';

/** A room in three numbers; everything else has a usual value that can be changed later. */
@Component({
  selector: 'ls-add-room',
  imports: [MeasureInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="$event.preventDefault(); add()" aria-label="Add a room">
      <label class="field name">
        <span>Name</span>
        <input
          type="text"
          maxlength="200"
          [value]="name()"
          [placeholder]="usualName()"
          (input)="name.set($any($event.target).value)"
        />
      </label>
      <ls-measure
        label="Length"
        [mm]="length()"
        [min]="300"
        (changed)="length.set($event)"
        (entered)="add()"
      />
      <ls-measure label="Width" [mm]="width()" [min]="300" (changed)="width.set($event)" (entered)="add()" />
      <ls-measure
        label="Height"
        [mm]="height()"
        [min]="300"
        [max]="30000"
        (changed)="height.set($event)"
        (entered)="add()"
      />
      @if (ell()) {
        <p class="row small">An L: how much of the far right corner is missing.</p>
        <ls-measure
          label="Missing length"
          [mm]="missingLength()"
          [min]="100"
          [max]="(length() ?? 100000) - 100"
          (changed)="missingLength.set($event)"
          (entered)="add()"
        />
        <ls-measure
          label="Missing width"
          [mm]="missingWidth()"
          [min]="100"
          [max]="(width() ?? 100000) - 100"
          (changed)="missingWidth.set($event)"
          (entered)="add()"
        />
      }
      <div class="row">
        <button type="submit" class="act" [disabled]="!plan()">Add room</button>
        <button type="button" class="quiet" [attr.aria-pressed]="ell()" (click)="ell.set(!ell())">
          L-shaped
        </button>
      </div>
    </form>
  `,
  styles: `
    form {
      display: grid;
      grid-template-columns: repeat(3, minmax(0, 1fr));
      gap: 8px;
      padding: 12px 16px;
      background: var(--ground);
      border-block: 1px solid var(--line);
    }
    .name,
    .row {
      grid-column: 1 / -1;
    }
    .row {
      display: flex;
      gap: 8px;
    }
  `,
})
export class AddRoom {
  private readonly jobs = inject(JobStore);
  private readonly view = inject(ViewStore);
  private readonly format = inject(Format);
  readonly done = output<void>();

  protected readonly name = signal('');
  protected readonly length = signal<number | undefined>(undefined);
  protected readonly width = signal<number | undefined>(undefined);
  protected readonly height = signal<number | undefined>(undefined);

  protected readonly usualName = computed(() => `Room ${(this.jobs.job()?.rooms.length ?? 0) + 1}`);
  protected readonly ell = signal(false);
  protected readonly missingLength = signal<number | undefined>(undefined);
  protected readonly missingWidth = signal<number | undefined>(undefined);

  /** The plan, once every number it needs is there. */
  protected readonly plan = computed<FloorPlan | undefined>(() => {
    const [lengthMm, widthMm, heightMm] = [this.length(), this.width(), this.height()];
    if (!lengthMm || !widthMm || !heightMm) return undefined;
    const size = { lengthMm, widthMm, heightMm };
    if (!this.ell()) return size;
    const [u, v] = [this.missingLength(), this.missingWidth()];
    return u && v && u < lengthMm && v < widthMm ? lShape(size, { lengthMm: u, widthMm: v }) : undefined;
  });

  protected add(): void {
    const plan = this.plan();
    if (!plan) return;
    const room = newRoom(
      crypto.randomUUID(),
      this.name().trim() || this.usualName(),
      this.format.units(),
      plan,
    );
    this.jobs.edit(`Add ${room.name}`, (job) => void job.rooms.push(structuredClone(room)));
    this.view.showRoom(room.id);
    this.done.emit();
  }
}
