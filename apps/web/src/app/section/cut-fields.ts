import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { bladeReaching, layersWithin, type CellEdit } from '@lisse/core';
import { Format } from '../state/format';
import { ViewStore } from '../state/view.store';
import { Choice, type Option } from '../ui/choice';
import { MeasureInput } from '../ui/measure-input';
import { Cut } from './cut';

/** What can be set of the coat looked at, and what was measured on the joint. */
@Component({
  selector: 'ls-cut-fields',
  imports: [Choice, MeasureInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <hr class="rule" />
    <h2>Change</h2>
    @if (cut.joint()) {
      <ls-choice label="For" [options]="scopes" [value]="cut.scope()" (changed)="cut.scope.set($event)" />
    }
    @if (cut.cell(); as cell) {
      @if (cell.coat !== 'skim') {
        <div class="two">
          <ls-measure
            [label]="'Band of the ' + cell.coat + (cell.perFace ? ', each face' : '')"
            bareFeet="in"
            [small]="true"
            [mm]="cell.bandMm"
            [min]="50"
            [max]="4000"
            (changed)="cut.change('bandMm', $event, 'Change the band')"
          />
          <label class="field">
            <span>Bow, mm</span>
            <input
              type="number"
              min="0"
              max="3"
              step="0.05"
              [value]="cell.camberMm"
              (change)="setBow($any($event.target).valueAsNumber)"
            />
          </label>
          @if (cut.flat() && cell.coat !== 'tape') {
            <label class="field">
              <span>Layers</span>
              <input
                type="number"
                min="1"
                max="8"
                step="1"
                [value]="cell.layers"
                (change)="setLayers($any($event.target).valueAsNumber)"
              />
            </label>
          }
          @if (cut.flat() && cell.coat === 'fill') {
            <label class="check">
              <input
                type="checkbox"
                [checked]="cell.float"
                (change)="cut.change('float', cell.float ? undefined : true, 'Float it')"
              />
              Floated with a straightedge
            </label>
          }
        </div>
        @if (enough(); as layers) {
          <button type="button" class="quiet" (click)="setLayers(layers)">
            Lay it in {{ layers }} layers, each hard before the next
          </button>
        }
        @if (cut.pulls().length > 0) {
          <p class="small soft">
            {{ cut.pulls().length }} {{ cut.pulls().length === 1 ? 'pull' : 'pulls' }} of a {{ blade() }}.
          </p>
        }
      }
    }
    @if (cut.shown(); as joint) {
      <h2>Measured</h2>
      <div class="two">
        <ls-measure
          label="Gap"
          bareFeet="in"
          [small]="true"
          [mm]="joint.gapMm"
          [max]="100"
          (changed)="cut.note('gapMm', $event, 'Measure the gap')"
        />
        <label class="field">
          <span>Hump, mm; hollow is less than 0</span>
          <input
            type="number"
            min="-50"
            max="50"
            step="0.1"
            [value]="joint.humpMm"
            (change)="number('humpMm', $any($event.target), 'Measure the hump')"
          />
        </label>
        <ls-measure
          label="It spreads, each side"
          bareFeet="in"
          [small]="true"
          [mm]="joint.spanMm"
          [min]="50"
          [max]="3000"
          (changed)="cut.note('spanMm', $event, 'Measure how far it spreads')"
        />
        <label class="field">
          <span>Step, mm; right side higher</span>
          <input
            type="number"
            min="-20"
            max="20"
            step="0.1"
            [value]="joint.lippageMm"
            (change)="number('lippageMm', $any($event.target), 'Measure the step')"
          />
        </label>
        @if (joint.kind === 'butt') {
          <label class="field">
            <span>Ends bevelled, mm deep</span>
            <input
              type="number"
              min="0"
              max="6"
              step="0.1"
              [value]="joint.notchMm ?? 0"
              (change)="number('notchMm', $any($event.target), 'Bevel the ends')"
            />
          </label>
        }
      </div>
    }
  `,
  styles: `
    .two {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 8px;
      margin: 8px 0;
      align-items: end;
    }
    .check {
      display: flex;
      gap: 8px;
      align-items: baseline;
      font-size: 13px;
    }
  `,
})
export class CutFields {
  protected readonly cut = inject(Cut);
  private readonly format = inject(Format);
  private readonly view = inject(ViewStore);

  protected readonly scopes: Option<'joint' | 'row'>[] = [
    { value: 'joint', name: 'this joint' },
    { value: 'row', name: 'its row in the room' },
  ];

  protected readonly blade = computed(() => {
    const [board, cell] = [this.cut.board(), this.cut.cell()];
    if (!board || !cell) return '';
    if (cell.float) return `${this.format.blade(this.cut.pulls()[0]?.widthMm ?? 0)} straightedge`;
    const tool = bladeReaching(board.kit, ['knife', 'flat', 'cambered', 'box', 'head', 'wide'], cell.bladeMm);
    return `${this.format.blade(cell.bladeMm)} ${tool?.name ?? 'blade'}`;
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
    if (mm >= 0 && mm <= 3) this.cut.change('camberMm', mm, 'Change the bow');
  }

  protected setLayers(layers: number): void {
    if (Number.isInteger(layers) && layers >= 1 && layers <= 8)
      this.cut.change(
        'layers',
        layers === 1 ? undefined : (layers as CellEdit['layers']),
        'Lay it in layers',
      );
  }

  /** Takes a number that lies in the field's own range; puts the old one back where it does not. */
  protected number(key: 'humpMm' | 'lippageMm' | 'notchMm', field: HTMLInputElement, label: string): void {
    const value = field.valueAsNumber;
    if (value >= Number(field.min) && value <= Number(field.max)) this.cut.note(key, value, label);
    else field.value = String(this.cut.shown()?.[key] ?? 0);
  }
}
