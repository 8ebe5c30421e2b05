import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** A press that asks for a photo: the camera on a phone, a file at the desk. */
@Component({
  selector: 'ls-photo-press',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="big" [class.act]="!calm()" [class.quiet]="calm()">
      <ng-content />
      <input #box type="file" class="sr" accept="image/*" capture="environment" (change)="take(box)" />
    </label>
  `,
  styles: `
    :host {
      display: flex;
    }
    label {
      flex: 1;
      cursor: pointer;
    }
    label:focus-within {
      outline: 2px solid var(--accent);
      outline-offset: 2px;
    }
  `,
})
export class PhotoPress {
  /** Not the first thing to press here. */
  readonly calm = input(false);
  readonly taken = output<File>();

  protected take(box: HTMLInputElement): void {
    const [file] = box.files ?? [];
    box.value = '';
    if (file) this.taken.emit(file);
  }
}
