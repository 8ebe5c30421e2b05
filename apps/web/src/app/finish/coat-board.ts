import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  input,
  output,
  viewChild,
} from '@angular/core';
import {
  beadText,
  COATS,
  possibleCoats,
  say,
  useOf,
  type Advice,
  type AreaPlan,
  type BoardRow,
  type Cell,
  type CellUse,
  type Coat,
  type Way,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { Format } from '../state/format';
import { ViewStore } from '../state/view.store';
import { cellWidth } from './cell-width';
import { BladeBar } from '../ui/blade-bar';
import { Icon } from '../ui/icon';
import { COAT_NAME, ELEMENT_NAME } from '../ui/words';

export interface Picked {
  row: string;
  coat: Coat;
}

interface Spot {
  coat: Coat;
  cell: Cell | undefined;
  /** The coat means something here, though it is not done. */
  possible: boolean;
  band: string;
  mix: string;
  takes: string;
  changed: boolean;
  advice: readonly Advice[];
  label: string;
}

interface Line {
  id: string;
  name: string;
  amount: string;
  spots: Spot[];
}

/** Rows are what is coated, columns the coats; each cell draws its blade to one scale. Arrows walk the cells. */
@Component({
  selector: 'ls-coat-board',
  imports: [BladeBar, Icon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="scroll" #box>
      <table
        role="grid"
        tabindex="-1"
        [attr.aria-label]="texts.t('coats.coat-board')"
        (keydown)="key($event)"
      >
        <thead>
          <tr role="row">
            <td></td>
            @for (coat of coats(); track coat) {
              <th scope="col" role="columnheader">
                <i [attr.data-coat]="coat"></i>{{ texts.say(names[coat]) }}
              </th>
            }
          </tr>
        </thead>
        <tbody>
          @for (line of lines(); track line.id; let r = $index) {
            <tr role="row">
              <th scope="row" role="rowheader">
                {{ line.name }}<small>{{ line.amount }}</small>
              </th>
              @for (spot of line.spots; track spot.coat; let c = $index) {
                <td
                  role="gridcell"
                  [attr.data-at]="r + ',' + c"
                  [attr.aria-selected]="picked()?.row === line.id && picked()?.coat === spot.coat"
                  [attr.aria-label]="spot.label"
                  [class.can]="spot.possible"
                  [tabindex]="tab(r, c)"
                  (click)="spot.possible && pick(line.id, spot.coat)"
                  (keydown.enter)="spot.possible && pick(line.id, spot.coat)"
                >
                  @if (spot.cell; as cell) {
                    <ls-blade-bar [cell]="cell" [scale]="scale()" />
                    <p class="band">
                      {{ spot.band }}
                      @if (spot.changed) {
                        <span class="changed">{{ texts.t('coats.changed') }}</span>
                      }
                      @for (item of spot.advice; track $index) {
                        <span class="flag" [class]="item.severity" [title]="texts.say(item.reason)"
                          ><ls-icon name="flag" [size]="12" /><span class="sr">{{ item.code }}</span></span
                        >
                      }
                    </p>
                    <div class="mud">
                      <p>{{ spot.mix }}</p>
                      <p class="takes">{{ spot.takes }}</p>
                    </div>
                  } @else {
                    <span class="soft" aria-hidden="true">{{
                      spot.changed ? texts.t('coats.cell-skipped') : '–'
                    }}</span>
                  }
                </td>
              }
            </tr>
          }
        </tbody>
      </table>
    </div>
    <p class="soft small">
      {{ texts.t('coats.blades-are-drawn') }}
    </p>
  `,
  styleUrl: './coat-board.css',
})
export class CoatBoard {
  protected readonly texts = inject(Texts);
  private readonly format = inject(Format);
  private readonly view = inject(ViewStore);
  readonly area = input.required<AreaPlan>();
  readonly way = input.required<Way>();
  readonly advice = input.required<readonly Advice[]>();
  readonly picked = input<Picked>();
  readonly changed = output<Picked | undefined>();
  private readonly box = viewChild.required<ElementRef<HTMLElement>>('box');
  protected readonly names = COAT_NAME;

  constructor() {
    this.keepFocus(inject<ElementRef<HTMLElement>>(ElementRef).nativeElement);
  }

  protected readonly coats = computed<Coat[]>(() => {
    const has = (coat: Coat) =>
      this.area().rows.some(
        (row) => row.cells.some((c) => c.coat === coat) || row.left.some((l) => l.coat === coat),
      );
    const skimmed = has('skim');
    return COATS.filter((coat) => coat !== 'skim' || skimmed);
  });

  /** As large as the widest finish leaves room for. */
  protected readonly scale = computed(() => {
    const widest = Math.max(1, ...this.area().rows.flatMap((row) => row.cells.map((cell) => cell.bandMm)));
    return Math.min(0.22, 128 / widest);
  });

  protected readonly lines = computed<Line[]>(() => {
    const { rows, use } = this.area();
    // The face has no coat below a skim; its row would be empty.
    return rows
      .filter((row) => row.cells.length > 0 || row.left.length > 0 || row.element !== 'face')
      .map((row) => ({
        id: row.id,
        name: this.name(row),
        amount: this.amount(row, use.uses),
        spots: this.coats().map((coat) => this.spot(row, coat)),
      }));
  });

  /** A coat or a row that goes takes the keyboard's cell with it: the nearest one that is left has it then. */
  private keepFocus(host: HTMLElement): void {
    let stood: string | undefined;
    effect(() => {
      this.lines();
      const on = document.activeElement;
      stood = on instanceof HTMLElement && host.contains(on) ? on.dataset['at'] : undefined;
    });
    afterRenderEffect(() => {
      const lines = this.lines();
      if (stood === undefined || host.contains(document.activeElement)) return;
      const [r = 0, c = 0] = stood.split(',').map(Number);
      this.cellAt(Math.min(r, lines.length - 1), Math.min(c, this.coats().length - 1))?.focus();
    });
  }

  private cellAt(r: number, c: number): HTMLElement | null {
    return this.box().nativeElement.querySelector(`[data-at="${r},${c}"]`);
  }

  private name(row: BoardRow): string {
    if (row.bead && row.bead !== 'nail-on') return this.texts.start(beadText(row.bead).name);
    const finish = row.cells.find((cell) => cell.coat === 'finish');
    const wide = row.apart && finish ? `, ${this.format.blade(finish.bandMm)}` : '';
    return `${this.texts.say(ELEMENT_NAME[row.element])}${wide}`;
  }

  private spot(row: BoardRow, coat: Coat): Spot {
    const cell = row.cells.find((c) => c.coat === coat);
    const use = useOf(this.area().use, row, { coat });
    const left = row.left.some((l) => l.coat === coat);
    const band = cell ? this.band(row, cell) : '';
    const mix = cell
      ? `${this.texts.say(this.view.book().compounds[cell.compound].name)} · ${cell.consistency}`
      : '';
    const takes = use && use.wetL > 0 ? this.takes(use) : cell ? this.texts.t('coats.not-needed') : '';
    const possible = possibleCoats(row.element).includes(coat);
    const advice = this.advice().filter(
      ({ place }) =>
        place.coat === coat &&
        (place.row === undefined
          ? place.element === undefined || place.element === row.element
          : place.row === row.id),
    );
    return {
      coat,
      cell,
      possible,
      band,
      mix,
      takes,
      changed: left || (cell !== undefined && Object.keys(cell.own).length > 0),
      advice: cell ? advice : [],
      label: this.texts.t('coats.cell', {
        row: this.name(row),
        coat: say(`coat.${coat}`),
        what: cell
          ? say('coats.cell-laid', { width: band, mix, takes })
          : say(left ? 'coats.cell-skipped' : possible ? 'coats.cell-none' : 'coats.cell-nothing'),
        changed: cell && Object.keys(cell.own).length > 0 ? 'yes' : 'no',
      }),
    };
  }

  private takes({ wetL, minutes, waitMin }: CellUse): string {
    const { volume, duration } = this.format;
    const litres = volume(wetL);
    return this.texts.t('coats.takes', {
      mud: /^0\s/.test(litres) ? say('coats.little') : litres,
      work: duration(minutes),
      wait: duration(waitMin),
    });
  }

  private band(row: BoardRow, cell: Cell): string {
    return this.texts.say(cellWidth(row, cell, this.way(), this.format));
  }

  private amount(row: BoardRow, uses: readonly CellUse[]): string {
    const use =
      uses.find((u) => u.row === row.id && u.coat !== 'prefill') ?? uses.find((u) => u.row === row.id);
    if (row.element === 'face') return this.format.area(this.area().boardAreaM2);
    if (row.element === 'heads' || row.element === 'repairs')
      return use ? this.format.number(use.amount) : '';
    const run = use ? this.format.run(use.amount) : '';
    return row.apart ? this.texts.t('coats.own-joints', { run, joints: row.joints.length }) : run;
  }

  protected pick(row: string, coat: Coat): void {
    this.changed.emit({ row, coat });
  }

  /** One cell takes the tab: the picked one, or the first. */
  protected tab(r: number, c: number): number {
    const at = this.picked();
    const lines = this.lines();
    const row = at ? lines.findIndex((l) => l.id === at.row) : 0;
    const col = at ? this.coats().indexOf(at.coat) : 1;
    return r === Math.max(0, row) && c === Math.max(0, col) ? 0 : -1;
  }

  /** Arrows, Home and End walk the cells; Enter opens one, Escape closes it. */
  protected key(event: KeyboardEvent): void {
    const at = (event.target as HTMLElement).dataset['at']?.split(',').map(Number);
    if (!at || event.altKey || event.ctrlKey || event.metaKey) return;
    const [r = 0, c = 0] = at;
    const last = this.coats().length - 1;
    const to: Partial<Record<string, [number, number]>> = {
      ArrowLeft: [r, c - 1],
      ArrowRight: [r, c + 1],
      ArrowUp: [r - 1, c],
      ArrowDown: [r + 1, c],
      Home: [r, 0],
      End: [r, last],
    };
    const next = to[event.key];
    if (event.key === 'Escape' && this.picked()) this.changed.emit(undefined);
    else if (next) {
      this.cellAt(...next)?.focus();
      // With a cell open, walking the board walks what is shown of it.
      const line = this.lines()[next[0]];
      const spot = line?.spots[next[1]];
      if (this.picked() && line && spot?.possible) this.pick(line.id, spot.coat);
    } else return;
    event.preventDefault();
    event.stopPropagation();
  }
}
