import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { Finding } from '@lisse/core';

/** A ring as it is drawn round a finding on the wall: heavy while it is open, dashed once mended, thin when closed. */
@Component({
  selector: 'ls-defect-badge',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<b class="figure" [attr.data-state]="state()">{{ ring() }}</b>`,
  styles: `
    :host {
      flex: none;
    }
    b {
      display: block;
      min-width: 44px;
      line-height: 40px;
      padding: 0 4px;
      border: 2.5px solid var(--stop);
      border-radius: 24px;
      background: color-mix(in srgb, var(--paper) 80%, transparent);
      text-align: center;
      font-size: var(--title);
    }
    b[data-state='cured'] {
      border: 2.5px dashed var(--caution);
    }
    b[data-state='closed'] {
      border: 1px solid var(--good);
    }
    /* On a picture. */
    :host(.small) b {
      min-width: 28px;
      line-height: 24px;
      font-size: var(--text);
    }
  `,
})
export class DefectBadge {
  readonly ring = input.required<string>();
  readonly state = input.required<Finding['state']>();
}
