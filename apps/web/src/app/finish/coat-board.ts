import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  COATS,
  COMPOUND,
  ELEMENTS,
  type Advice,
  type Cell,
  type Coat,
  type Element,
  type RoomPlan,
  type Way,
} from '@lisse/core';
import { Format } from '../state/format';
import { BladeBar } from '../ui/blade-bar';
import { Icon } from '../ui/icon';
import { COAT_NAME, ELEMENT_NAME } from '../ui/words';

interface Spot {
  cell: Cell;
  band: string;
  mud: string;
  advice: readonly Advice[];
}

interface Row {
  element: Element;
  name: string;
  amount: string;
  spots: (Spot | undefined)[];
}

/** Rows are what is coated, columns the coats; each cell draws its blade to one scale. */
@Component({
  selector: 'ls-coat-board',
  imports: [BladeBar, Icon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="scroll" tabindex="0" role="region" aria-label="Coat board">
      <table>
        <caption class="sr">
          The coats of this room: blade, band, compound and mud for each
        </caption>
        <thead>
          <tr>
            <td></td>
            @for (coat of coats(); track coat) {
              <th scope="col"><i [attr.data-coat]="coat"></i>{{ names[coat] }}</th>
            }
          </tr>
        </thead>
        <tbody>
          @for (row of rows(); track row.element) {
            <tr>
              <th scope="row">
                {{ row.name }}<small>{{ row.amount }}</small>
              </th>
              @for (spot of row.spots; track $index) {
                <td>
                  @if (spot) {
                    <ls-blade-bar [cell]="spot.cell" [scale]="scale()" />
                    <p class="band">
                      {{ spot.band }}<span class="litres"> {{ spot.mud }}</span>
                      @for (item of spot.advice; track item.code) {
                        <span class="flag" [class]="item.severity" [title]="item.reason"
                          ><ls-icon name="flag" [size]="12" /><span class="sr">{{ item.code }}</span></span
                        >
                      }
                    </p>
                    <p class="mud" [title]="spot.cell.aim">
                      {{ compounds[spot.cell.compound].name }} · {{ spot.cell.consistency }}
                    </p>
                  } @else {
                    <span class="soft" aria-label="none">–</span>
                  }
                </td>
              }
            </tr>
          }
        </tbody>
      </table>
    </div>
    <p class="soft small">Blades drawn to one scale; tone is the coat, earlier is darker.</p>
  `,
  styles: `
    .scroll {
      position: relative;
      overflow-x: auto;
    }
    table {
      width: 100%;
      border-collapse: collapse;
      table-layout: fixed;
      min-width: 720px;
    }
    thead td {
      width: 92px;
    }
    th {
      text-align: left;
      font-weight: 650;
      font-size: 13px;
      padding: 6px 8px 6px 0;
      vertical-align: top;
    }
    thead th {
      border-bottom: 1px solid var(--line);
    }
    i {
      display: inline-block;
      width: 10px;
      height: 10px;
      margin-right: 7px;
      border: 0.75px solid var(--coat-edge);
      background: var(--tone);
    }
    tbody tr {
      border-bottom: 1px solid var(--hair);
    }
    tbody th {
      padding-top: 9px;
      font-size: 14px;
    }
    tbody td {
      padding: 7px 8px 4px 0;
      vertical-align: top;
    }
    small {
      display: block;
      font-weight: 400;
      color: var(--soft);
      font-size: 12px;
    }
    .band {
      font-weight: 650;
      font-size: 13px;
    }
    .mud {
      font-size: 12px;
      color: var(--soft);
      line-height: 1.3;
    }
    .litres {
      font-weight: 450;
      color: var(--soft);
      white-space: nowrap;
    }
    .flag {
      color: var(--caution);
      font-size: 11.5px;
      white-space: nowrap;
    }
    .flag.stop {
      color: var(--stop);
    }
  `,
})
export class CoatBoard {
  protected readonly format = inject(Format);
  readonly plan = input.required<RoomPlan>();
  readonly way = input.required<Way>();
  readonly advice = input.required<readonly Advice[]>();
  protected readonly compounds = COMPOUND;
  protected readonly names = COAT_NAME;

  protected readonly coats = computed<Coat[]>(() =>
    COATS.filter((coat) => this.plan().cells.some((cell) => cell.coat === coat)),
  );

  /** As large as the widest finish leaves room for. */
  protected readonly scale = computed(() =>
    Math.min(0.22, 138 / Math.max(...this.plan().cells.map((cell) => cell.bandMm), 1)),
  );

  protected readonly rows = computed<Row[]>(() => {
    const { cells, use } = this.plan();
    return ELEMENTS.filter(
      (element) => cells.some((c) => c.element === element) && use.amounts[element] > 0,
    ).map((element) => ({
      element,
      name: ELEMENT_NAME[element],
      amount: this.amount(element, use.amounts[element]),
      spots: this.coats().map((coat) => {
        const cell = cells.find((c) => c.element === element && c.coat === coat);
        return cell && this.spot(cell);
      }),
    }));
  });

  private spot(cell: Cell): Spot {
    const wetL =
      this.plan().use.uses.find((u) => u.element === cell.element && u.coat === cell.coat)?.wetL ?? 0;
    return {
      cell,
      band: this.band(cell),
      mud: wetL > 0 ? this.format.volume(wetL) : 'none',
      advice: this.advice().filter(
        (a) =>
          a.place.coat === cell.coat && (a.place.element === undefined || a.place.element === cell.element),
      ),
    };
  }

  private band(cell: Cell): string {
    const { blade, small } = this.format;
    if (cell.coat === 'prefill')
      return this.way().prefillWhen === 'every'
        ? 'every gap'
        : `gaps over ${small(this.way().prefillOverMm)}`;
    if (cell.element === 'face') return `${blade(cell.bladeMm)} blade`;
    if (cell.element === 'heads') return `${blade(cell.bladeMm)} spot`;
    if (cell.element === 'angles') {
      if (cell.tape) return `tape, ${blade(cell.bandMm)} a face`;
      return cell.faces === 2
        ? `both faces, ${blade(cell.bandMm)}`
        : `${cell.coat === 'fill' ? 'one face' : 'other face'}, ${blade(cell.bandMm)}`;
    }
    if (cell.element === 'corners')
      return cell.coat === 'tape' ? `bead, ${blade(cell.bandMm)} a face` : `${blade(cell.bandMm)} a face`;
    if (cell.tape) return `bed, ${blade(cell.bandMm)}`;
    return cell.pulls.length > 1 ? `${cell.pulls.length} pulls, ${blade(cell.bandMm)}` : blade(cell.bandMm);
  }

  private amount(element: Element, amount: number): string {
    if (element === 'heads') return String(amount);
    return element === 'face' ? this.format.area(amount / 1e6) : this.format.run(amount);
  }
}
