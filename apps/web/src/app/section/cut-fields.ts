import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { bladeReaching, layersWithin, LIMITS, say, type CellEdit } from '@lisse/core';
import { COAT_NAME } from '../ui/words';
import { Texts } from '../state/texts';
import { Check } from '../ui/check';
import { Format } from '../state/format';
import { ViewStore } from '../state/view.store';
import { Choice, type Option } from '../ui/choice';
import { NumberInput } from '../ui/number-input';
import { JointMeasuresFields } from '../ui/joint-measures';
import { MeasureInput } from '../ui/measure-input';
import { CutStore } from './cut.store';

/** What can be set of the coat looked at, and what was measured on the joint. */
@Component({
  selector: 'ls-cut-fields',
  imports: [Check, Choice, JointMeasuresFields, MeasureInput, NumberInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <hr class="rule" />
    <h2>{{ texts.t('cut-fields.edit') }}</h2>
    @if (cut.joint()) {
      <ls-choice
        [label]="texts.t('cut-fields.for')"
        [options]="scopes"
        [value]="cut.scope()"
        (changed)="cut.changeFor($event)"
      />
    }
    @if (cut.cell(); as cell) {
      @if (cell.coat !== 'skim') {
        <div class="two">
          <ls-measure
            [label]="
              texts.t(cell.perFace ? 'cut-fields.width-each' : 'cut-fields.width', {
                coat: coatName[cell.coat],
              })
            "
            bareFeet="in"
            [small]="true"
            [mm]="cell.bandMm"
            [limit]="limits.cell.bandMm"
            (changed)="cut.change('bandMm', $event, 'undo.change-band')"
          />
          <ls-measure
            [label]="texts.t('cut-fields.camber')"
            bareFeet="in"
            [fine]="true"
            [mm]="cell.camberMm"
            [limit]="limits.cell.camberMm"
            (changed)="setBow($event)"
          />
          @if (cut.flat() && cell.coat !== 'tape') {
            <ls-number
              [label]="texts.t('cut-fields.layers')"
              [step]="1"
              [whole]="true"
              [limit]="limits.cell.layers"
              [value]="cell.layers"
              (changed)="setLayers($event ?? 1)"
            />
          }
          @if (cut.flat() && cell.coat === 'fill') {
            <ls-check
              [on]="cell.float"
              (turned)="cut.change('float', cell.float ? undefined : true, 'undo.float')"
              >{{ texts.t('cut-fields.floated-straightedge') }}</ls-check
            >
          }
        </div>
        @if (enough(); as layers) {
          <button type="button" class="quiet" (click)="setLayers(layers)">
            {{ texts.t('cut-fields.layers-of', { layers }) }}
          </button>
        }
        @if (cut.pulls().length > 0) {
          <p class="small soft">
            {{ texts.t('cut-fields.passes', { passes: cut.pulls().length, blade: blade() }) }}
          </p>
        }
      }
    }
    @if (cut.shown(); as joint) {
      <h2>{{ texts.t('cut-fields.measured') }}</h2>
      <div class="two">
        <ls-joint-measures
          [of]="joint"
          [bevelled]="joint.kind === 'butt'"
          [typical]="!joint.measured"
          (noted)="cut.note($event.change, $event.label)"
        />
      </div>
    }
  `,
  styles: `
    .two {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: var(--close);
      margin: 8px 0;
      align-items: end;
    }
    .check {
      display: flex;
      gap: var(--close);
      align-items: baseline;
      font-size: var(--text);
    }
  `,
})
export class CutFields {
  protected readonly texts = inject(Texts);
  protected readonly limits = LIMITS;
  protected readonly cut = inject(CutStore);
  private readonly format = inject(Format);
  private readonly view = inject(ViewStore);

  protected readonly scopes: Option<'joint' | 'row'>[] = [
    { value: 'joint', name: say('cut-fields.joint') },
    { value: 'row', name: say('cut-fields.its-whole-row') },
  ];

  protected readonly coatName = COAT_NAME;

  protected readonly blade = computed(() => {
    const [board, cell] = [this.cut.board(), this.cut.cell()];
    if (!board || !cell) return '';
    if (cell.float)
      return this.texts.t('cut-fields.straightedge', {
        wide: this.format.blade(this.cut.pulls()[0]?.widthMm ?? 0),
      });
    const tool = bladeReaching(board.kit, ['knife', 'flat', 'cambered', 'box', 'head', 'wide'], cell.bladeMm);
    return this.texts.t('cut-fields.blade', {
      wide: this.format.blade(cell.bladeMm),
      tool: tool?.name ?? say('blade'),
    });
  });

  /** Layers that keep each within what its class takes, where one is too thick. */
  protected readonly enough = computed(() => {
    const [cell, input] = [this.cut.cell(), this.cut.input()];
    const at = this.cut.upTo();
    const result = this.cut.results()?.[at];
    if (!cell || !input || !result || !this.cut.flat()) return undefined;
    const { maxMm } = this.view.book().compounds[cell.compound];
    if (result.layerMm <= maxMm) return undefined;
    const layers = layersWithin(input.bare, input.coats, at, maxMm, 9);
    return layers <= 8 ? layers : undefined;
  });

  protected setBow(mm: number): void {
    this.cut.change('camberMm', mm, 'undo.change-bow');
  }

  protected setLayers(layers: number): void {
    this.cut.change(
      'layers',
      layers === 1 ? undefined : (layers as CellEdit['layers']),
      'undo.lay-in-layers',
    );
  }

  /** Takes a number that lies in the field's own range; puts the old one back where it does not. */
}
