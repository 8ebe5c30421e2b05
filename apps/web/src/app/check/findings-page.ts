import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { say, type Finding, type PunchLine } from '@lisse/core';
import { Format } from '../state/format';
import { starting, Texts } from '../state/texts';
import { EmptyPlace } from '../ui/empty-place';
import { firstOf } from '../ui/first-of';
import { FilesOut } from '../ui/files-out';
import { Segmented } from '../ui/segmented';
import { DefectBadge } from '../ui/defect-badge';
import { faceName } from '../ui/words';
import { CheckStore } from './check.store';
import { FaultLook } from './fault-look';
import { FindingLine } from './finding-line';
import { StateWord } from './state-word';

const COLUMNS = ['ring', 'room', 'face', 'what', 'size', 'state', 'found', 'by', 'closed', 'note'] as const;
type Column = (typeof COLUMNS)[number];

/** Check, findings: all that was found in every room, and the punch list of it. */
@Component({
  selector: 'ls-findings-page',
  imports: [EmptyPlace, FaultLook, FindingLine, Segmented, DefectBadge, RouterLink, StateWord],
  providers: [FilesOut],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="large">
      <div class="column">
        <header class="head">
          <h1>{{ texts.t('place.check.findings') }}</h1>
          <p class="soft">{{ texts.say(store.counts()) }}</p>
        </header>
        @if (store.pins().findings.length > 0) {
          <ls-segmented
            class="no-print"
            [label]="texts.t('check.show')"
            [options]="filters"
            [value]="filter()"
            (changed)="filter.set($event)"
          />
          <div class="acts no-print">
            <button type="button" class="quiet" [disabled]="store.punch().length === 0" (click)="csv()">
              {{ texts.t('check.csv') }}
            </button>
            <button type="button" class="quiet" [disabled]="store.punch().length === 0" (click)="print()">
              {{ texts.t('check.print') }}
            </button>
          </div>
        }
        @if (store.pins().findings.length > 0 && lines().length === 0) {
          <p class="one">{{ texts.t('sign.none-open') }}</p>
        } @else if (lines().length === 0) {
          <ls-empty-place picture="punch" [what]="texts.t('check.no-findings')">
            <a class="act" routerLink="..">{{ texts.t('sign.to-round') }}</a>
          </ls-empty-place>
        }
        <ul class="list">
          @for (line of listed.shown(); track line.finding) {
            <li>
              <button
                type="button"
                [attr.aria-pressed]="line.finding === chosen()?.id"
                (click)="store.findingChosen.set(line.finding)"
              >
                <ls-defect-badge [ring]="line.ring" [state]="line.state" />
                <span>
                  <b>{{ texts.say(faultName(line)) }}</b>
                  <span class="soft">{{ texts.say(where(line)) }}</span>
                  @if (line.note) {
                    <span>{{ line.note }}</span>
                  }
                </span>
                @if (finding(line.finding); as found) {
                  <ls-state-word [finding]="found" />
                }
              </button>
            </li>
          }
        </ul>
        @if (listed.left(); as count) {
          <button type="button" class="big quiet no-print" (click)="listed.more()">
            {{ texts.t('list.more', { count }) }}
          </button>
        }
      </div>
      @if (chosen(); as finding) {
        <div class="column no-print">
          <ls-fault-look [fault]="finding.fault" />
          <p class="soft">{{ texts.say(sign(finding)) }}</p>
          <ls-finding-line [finding]="finding" />
        </div>
      }
    </div>
  `,
  styleUrls: ['../ui/large.css', './check.css'],
  styles: `
    .list button {
      display: flex;
      align-items: center;
      gap: var(--apart);
      width: 100%;
      min-height: 60px;
      padding: 8px 6px;
      border: 0;
      background: none;
      text-align: left;
      font-size: var(--large);
      cursor: pointer;
    }
    .list button > span:nth-child(2) {
      flex: 1;
      display: grid;
    }
    .list [aria-pressed='true'] {
      background: var(--wash);
    }
  `,
})
export class FindingsPage {
  protected readonly texts = inject(Texts);
  protected readonly store = inject(CheckStore);
  private readonly format = inject(Format);
  private readonly out = inject(FilesOut);
  protected readonly filter = signal<'left' | 'all'>('left');
  protected readonly filters = [
    { value: 'left' as const, name: say('check.left') },
    { value: 'all' as const, name: say('check.all') },
  ];
  protected readonly lines = computed(() =>
    this.store.punch().filter(({ state }) => this.filter() === 'all' || state !== 'closed'),
  );
  protected readonly chosen = computed((): Finding | undefined => {
    const id = this.store.findingChosen() ?? this.lines()[0]?.finding;
    return this.finding(id);
  });
  protected readonly listed = firstOf(this.lines);
  private readonly byId = computed(() => new Map(this.store.pins().findings.map((one) => [one.id, one])));
  protected finding = (id: string | undefined): Finding | undefined =>
    id === undefined ? undefined : this.byId().get(id);
  protected faultName = ({ fault }: PunchLine) => starting(say(`fault.${fault}`));
  protected sign = ({ fault }: Finding) => say(`fault.${fault}.sign`);
  protected state = ({ finding }: PunchLine) => {
    const found = this.finding(finding);
    return found ? this.store.stateWords(found) : '';
  };
  protected where = (line: PunchLine) => {
    const face = this.face(line);
    return face === '' ? line.room : say('check.where', { room: line.room, face });
  };
  private face({ face, finding }: PunchLine): string {
    const plan = this.store.planOf(this.finding(finding)?.room);
    return face === undefined || !plan ? '' : this.texts.say(faceName(plan, face));
  }

  /** The punch list as a table, in words. */
  protected csv(): void {
    const name = (column: Column): string => this.texts.t(`check.column.${column}`);
    const rows = this.store.punch().map((line) => {
      const cells: Record<Column, string> = {
        ring: line.ring,
        room: line.room,
        face: this.face(line),
        what: this.texts.say(this.faultName(line)),
        size: line.sizeMm === undefined ? '' : this.format.small(line.sizeMm),
        state: this.texts.say(this.state(line)),
        found: line.found,
        by: line.by,
        closed: line.closed ?? '',
        note: line.note,
      };
      return Object.fromEntries(COLUMNS.map((column) => [name(column), cells[column]]));
    });
    this.out.csv({ name: say('check.punch'), columns: COLUMNS.map(name), rows });
  }

  protected print(): void {
    window.print();
  }
}
