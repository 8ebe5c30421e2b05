import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Texts } from '../state/texts';
import { FileReading } from '../worker/file-reader';

/** How far the reading of a file is within the time it may take, and a press to end it. */
@Component({
  selector: 'ls-file-progress',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (files.reading(); as now) {
      <p role="status">
        <label>
          {{ texts.t('file.reading', { name: now.name }) }}
          <progress [value]="now.ms" [max]="files.mostMs"></progress>
        </label>
        <button type="button" class="quiet" (click)="files.cancel()">{{ texts.t('cancel') }}</button>
      </p>
    }
  `,
  styles: `
    p {
      display: flex;
      flex-wrap: wrap;
      gap: var(--close);
      align-items: center;
      margin: 8px 0;
    }
    progress {
      accent-color: var(--accent);
      vertical-align: middle;
    }
  `,
})
export class FileProgress {
  protected readonly texts = inject(Texts);
  protected readonly files = inject(FileReading);
}
