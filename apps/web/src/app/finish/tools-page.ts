import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import {
  applyChanges,
  CONSISTENCIES,
  kitOf,
  TOOL,
  TOOLS,
  WATER_L,
  LIMITS,
  say,
  fillOf,
  type Consistency,
  type Tool,
  type ToolId,
  type ToolKind,
  type Message,
  type Figure,
  fieldInJob,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { NumberInput } from '../ui/number-input';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { MixDrawing } from '../ui/mix-drawing';
import { WorkFrame } from '../ui/work-frame';

const GROUPS: { name: Message; kinds: ToolKind[] }[] = [
  { name: say('tools.knives'), kinds: ['knife'] },
  { name: say('tools.trowels-wide-blades'), kinds: ['cambered', 'flat', 'wide'] },
  { name: say('tools.pans-hawks-tubes'), kinds: ['pan', 'hawk'] },
  { name: say('tools.machine-tools'), kinds: ['taper', 'roller', 'tube', 'box', 'head', 'spotter'] },
];

/** What each step of the consistency scale is usually mixed for. */
const USED_FOR = {
  C1: say('tools.mix-for-C1'),
  C2: say('tools.mix-for-C2'),
  C3: say('tools.mix-for-C3'),
  C4: say('tools.mix-for-C4'),
  C5: say('tools.mix-for-C5'),
  C6: say('tools.mix-for-C6'),
} as const satisfies Record<Consistency, Message>;

/** The blades and machines owned, and the consistency scale. */
@Component({
  selector: 'ls-tools-page',
  imports: [NumberInput, MixDrawing, WorkFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ls-work-frame>
      <section class="main" [attr.aria-label]="texts.t('tools.tools-owned')">
        <h1>{{ texts.t('tools.tools-owned') }}</h1>
        <p class="soft small">
          {{ texts.t(own() ? 'tools.own' : 'tools.typical') }}
          @if (own()) {
            <button type="button" class="link" (click)="asUsual()">
              {{ texts.t('tools.reset-typical') }}
            </button>
          }
        </p>
        <div class="groups">
          @for (group of groups(); track group.name.key) {
            <fieldset>
              <legend>{{ texts.say(group.name) }}</legend>
              @for (tool of group.tools; track tool.id) {
                <label class="tool">
                  <input type="checkbox" [checked]="has(tool.id)" (change)="toggle(tool.id)" />
                  <span class="name">
                    {{ tool.widthMm ? format.blade(tool.widthMm) + ' ' : '' }}{{ texts.say(tool.name) }}
                    <span class="soft small">{{ told(tool) }}</span>
                  </span>
                  @if (fillOf(tool.id); as fill) {
                    <ls-number
                      class="fill"
                      [label]="texts.t('tools.fill', { tool: tool.name, unit: unit() })"
                      [hideLabel]="true"
                      [optional]="true"
                      [step]="0.1"
                      [per]="litres()"
                      [limit]="limits.tool.fillL"
                      [placeholder]="usual(fill.value)"
                      [value]="ownFill(tool.id)"
                      (changed)="setFill(tool, $event)"
                    />
                  }
                  @if (tool.widthMm) {
                    <svg [attr.width]="tool.widthMm / 4" height="8" aria-hidden="true">
                      <rect [attr.width]="tool.widthMm / 4" height="6" />
                      <line x1="0" [attr.x2]="tool.widthMm / 4" y1="7" y2="7" />
                    </svg>
                  }
                </label>
              }
            </fieldset>
          }
        </div>
      </section>
      <aside class="side" [attr.aria-label]="texts.t('tools.consistency')">
        <h2>{{ texts.t('tools.consistency') }}</h2>
        <p class="soft small">
          {{ texts.t('tools.thinning', { pail: format.volume(17) }) }}
        </p>
        <ul>
          @for (mix of mixes; track mix.id) {
            <li>
              <ls-mix-drawing [mix]="mix.id" />
              <p>
                <strong>{{ mix.id }}</strong>
                {{
                  mix.waterL > 0
                    ? texts.t('tools.water', { water: format.volume(mix.waterL) })
                    : texts.t('tools.as-delivered')
                }}
                <span class="small soft">{{ texts.say(behaves(mix.id)) }}</span>
                <span class="small">{{ texts.say(mix.used) }}</span>
              </p>
            </li>
          }
        </ul>
      </aside>
    </ls-work-frame>
  `,
  styleUrl: './part.css',
  styles: `
    :host {
      --side: 330px;
    }
    .groups {
      columns: 2;
      column-gap: var(--wide);
      margin-top: 12px;
    }
    fieldset {
      break-inside: avoid;
      margin-bottom: 16px;
    }
    legend {
      font-weight: 650;
      font-size: var(--text);
      padding: 0 0 4px;
    }
    .tool {
      display: grid;
      grid-template-columns: 20px 1fr auto auto;
      gap: var(--close);
      align-items: center;
      padding: 4px 0;
      border-bottom: 1px solid var(--hair);
    }
    input[type='checkbox'] {
      width: 16px;
      height: 16px;
      accent-color: var(--accent);
      margin: 0;
    }
    .fill {
      width: 80px;
      min-height: 26px;
    }
    rect {
      fill: var(--board);
    }
    line {
      stroke: var(--ink);
      stroke-width: 2;
    }
    li {
      display: grid;
      grid-template-columns: 64px 1fr;
      gap: var(--apart);
      align-items: center;
      padding: 6px 0;
      border-bottom: 1px solid var(--hair);
    }
    li .small {
      display: block;
      line-height: 1.3;
    }
    @media screen and (max-width: 760px) {
      .groups {
        columns: 1;
      }
      .tool {
        min-height: 44px;
      }
      input[type='checkbox'] {
        width: 22px;
        height: 22px;
      }
    }
  `,
})
export class ToolsPage {
  protected readonly texts = inject(Texts);
  protected readonly limits = LIMITS;
  protected readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  private readonly plans = inject(PlanStore);
  private readonly view = inject(ViewStore);

  protected readonly own = computed(() => this.jobs.job()?.shop?.kit !== undefined);
  private readonly kit = computed<readonly ToolId[]>(() => {
    const job = this.jobs.job();
    return job ? kitOf(job.shop, job.way.tools) : [];
  });
  protected readonly groups = computed(() =>
    GROUPS.map(({ name, kinds }) => ({
      name,
      tools: TOOLS.map((id) => TOOL[id]).filter((t) => kinds.includes(t.kind)),
    })),
  );
  protected readonly behaves = (id: Consistency): Message => say(`consistency.${id}`);
  protected readonly mixes = CONSISTENCIES.map((id) => ({ id, waterL: WATER_L[id], used: USED_FOR[id] }));

  /** Coats of the plan each tool pulls. */
  private readonly uses = computed(() => {
    const count = new Map<string, number>();
    for (const room of this.plans.plan()?.rooms ?? [])
      for (const area of room.areas)
        for (const row of area.rows)
          for (const { tool } of row.cells) if (tool) count.set(tool, (count.get(tool) ?? 0) + 1);
    return count;
  });

  protected has(id: ToolId): boolean {
    return this.kit().includes(id);
  }

  protected told({ id }: Tool): string {
    const used = this.uses().get(id);
    const parts = [
      ...(this.fillOf(id)
        ? [
            this.texts.t('tools.per-fill', {
              unit: this.unit(),
              whose: this.ownFill(id) !== undefined ? 'yours' : 'typical',
            }),
          ]
        : []),
      ...(used ? [this.texts.t('tools.used-for', { coats: used })] : []),
    ];
    return parts.join(' · ');
  }

  protected readonly unit = computed(() => (this.format.units() === 'metric' ? 'L' : 'gal'));
  protected readonly litres = computed(() => (this.format.units() === 'metric' ? 1 : 3.785412));

  protected fillOf = (id: ToolId): Figure | undefined => fillOf(id, this.view.book());

  protected ownFill(id: ToolId): number | undefined {
    return this.jobs.job()?.shop?.figures?.[`fill-${id}`];
  }

  /** A typical fill, no more exact than it is. */
  protected usual(litres: number): string {
    return this.format.number(litres / this.litres(), 2);
  }

  /** A measured fill; an empty field is the typical one again. */
  protected setFill({ id, name }: Tool, value: number | undefined): void {
    this.jobs.edit(say('undo.fill', { tool: name }), (job) =>
      applyChanges(job, [fieldInJob(['shop', 'figures'], `fill-${id}`, value)]),
    );
  }

  protected toggle(id: ToolId): void {
    const kit = this.kit();
    const next = kit.includes(id)
      ? kit.filter((t) => t !== id)
      : TOOLS.filter((t) => t === id || kit.includes(t));
    this.jobs.edit(
      say(kit.includes(id) ? 'undo.leave-tool' : 'undo.own-tool', { tool: TOOL[id].name }),
      (job) => {
        job.shop = { ...job.shop, kit: [...next] };
      },
    );
  }

  protected asUsual(): void {
    this.jobs.edit('undo.tools-as-usual', (job) => {
      if (job.shop) delete job.shop.kit;
    });
  }
}
