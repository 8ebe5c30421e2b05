import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { say, type Fault } from '@lisse/core';
import { Texts } from '../state/texts';
import { PixelPicture } from '../ui/pixel-picture';
import { FaultPictures } from './fault-pictures';

/** A kind of finding as a lamp along the wall shows it. */
@Component({
  selector: 'ls-fault-look',
  imports: [PixelPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<ls-pixels [picture]="picture()()" [label]="label()" />`,
  styles: `
    :host {
      display: block;
      aspect-ratio: 3 / 2;
      background: var(--board);
      overflow: hidden;
    }
  `,
})
export class FaultLook {
  private readonly texts = inject(Texts);
  private readonly pictures = inject(FaultPictures);
  readonly fault = input.required<Fault>();
  protected readonly picture = computed(() => this.pictures.of(this.fault()));
  protected readonly label = computed(() =>
    this.texts.t('check.look-of', { fault: say(`fault.${this.fault()}`) }),
  );
}
