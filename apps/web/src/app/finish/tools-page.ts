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

const GROUPS: { name: string; kinds: ToolKind[] }[] = [
  { name: 'Knives', kinds: ['knife'] },
  { name: 'Trowels and wide blades', kinds: ['cambered', 'flat', 'wide'] },
  { name: 'What holds the mud', kinds: ['pan', 'hawk'] },
  { name: 'Machine tools', kinds: ['taper', 'roller', 'tube', 'box', 'head', 'spotter'] },
];

/** What each step of the consistency scale is usually mixed for. */
const USED_FOR: Record<Consistency, string> = {
  C1: 'prefill',
  C2: 'prefill, fill by trowel',
  C3: 'tape by hand, fill, boxes',
  C4: 'machine taper, finish',
  C5: 'corner tube and heads, skim by knife',
  C6: 'skim by roller',
};

/** The blades and machines owned, and the consistency scale. */
@Component({
  selector: 'ls-tools-page',
  imports: [NumberInput, MixDrawing, WorkFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ls-work-frame>
      <section class="main" aria-label="Tools owned">
        <h1>Tools owned</h1>
        <p class="soft small">
          {{
            own()
              ? 'Your own kit; it travels with the job.'
              : 'What is usual for the tools of this way, until you mark your own.'
          }}
          Coats are planned with these; a blade you do not own is asked for only where no owned one will do.
          @if (own()) {
            <button type="button" class="link" (click)="asUsual()">As usual again</button>
          }
        </p>
        <div class="groups">
          @for (group of groups(); track group.name) {
            <fieldset>
              <legend>{{ group.name }}</legend>
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
      <aside class="side" aria-label="Consistency">
        <h2>How stiff it is mixed</h2>
        <p class="soft small">
          Water added to a {{ format.volume(17) }} pail of drying compound, and how it hangs from a knife.
          Thinner step by step; it cannot be stiffened again. Typical: yours may want more or less.
        </p>
        <ul>
          @for (mix of mixes; track mix.id) {
            <li>
              <ls-mix-drawing [mix]="mix.id" />
              <p>
                <strong>{{ mix.id }}</strong>
                {{ mix.waterL > 0 ? '+ ' + format.volume(mix.waterL) : 'as delivered' }}
                <span class="small soft">{{ texts.say(behaves(mix.id)) }}</span>
                <span class="small">{{ mix.used }}</span>
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
    @media (max-width: 760px) {
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
        ? [`${this.unit()} in a fill, ${this.ownFill(id) !== undefined ? 'yours' : 'typical'}`]
        : []),
      ...(used ? [`pulls ${used} of the planned coats`] : []),
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
    return String(Number((litres / this.litres()).toFixed(2)));
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
