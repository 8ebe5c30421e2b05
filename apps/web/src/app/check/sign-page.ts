import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  frozenOf,
  gradeName,
  lampWalk,
  say,
  sealOfSigned,
  shortSeal,
  type Frozen,
  type Round,
} from '@lisse/core';
import { Clock } from '../state/clock';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { LogStore } from '../state/log.store';
import { Me } from '../state/me';
import { PlanStore } from '../state/plan.store';
import { starting, Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { EmptyPlace } from '../ui/empty-place';
import { FilesOut } from '../ui/files-out';
import { TextInput } from '../ui/text-input';
import { decorationName } from '../ui/words';
import { CheckStore } from './check.store';
import { NameDrawn } from './name-drawn';
import { NamePad } from './name-pad';
import { SignSheet } from './sign-sheet';

/** Check, sign-off: what was agreed, what was looked at and in which light, what is open, and who signs. */
@Component({
  selector: 'ls-sign-page',
  imports: [EmptyPlace, NameDrawn, NamePad, RouterLink, TextInput],
  providers: [FilesOut],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sign-page.html',
  styleUrls: ['../ui/large.css', './check.css'],
  styles: `
    section {
      display: grid;
      gap: var(--close);
    }
    .table {
      overflow-x: auto;
    }
    .short {
      color: var(--stop);
      font-weight: 600;
    }
  `,
})
export class SignPage {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly store = inject(CheckStore);
  private readonly jobs = inject(JobStore);
  private readonly plans = inject(PlanStore);
  private readonly logs = inject(LogStore);
  private readonly view = inject(ViewStore);
  private readonly clock = inject(Clock);
  private readonly me = inject(Me);
  private readonly sheets = inject(SignSheet);
  protected readonly out = inject(FilesOut);

  private readonly typed = signal<string | undefined>(undefined);
  protected readonly name = computed(() => this.typed() ?? this.me.name());
  private readonly light = signal<string | undefined>(undefined);
  protected readonly lightWords = computed(() => this.light() ?? this.texts.t('sign.lamp'));
  protected readonly strokes = signal<number[][]>([]);
  protected readonly trouble = signal('');

  /** What would be signed now. */
  protected readonly draft = computed((): Frozen | undefined => {
    const [round, job, plan] = [this.store.round(), this.jobs.job(), this.plans.plan()];
    if (!round || !job || !plan) return undefined;
    const rooms = plan.rooms.map(({ id, faces }) => {
      const room = job.rooms.find((one) => one.id === id);
      return { id, walk: room ? lampWalk(faces, room).map((face) => face.id) : [] };
    });
    const at = this.clock.minute();
    return frozenOf(round, this.store.pins(), job, rooms, {
      at,
      light: this.lightWords(),
      book: this.view.book(),
    });
  });
  protected readonly left = computed(
    () => this.draft()?.findings.filter(({ state }) => state !== 'closed') ?? [],
  );
  protected readonly unlooked = computed(
    () => this.draft()?.rooms.reduce((sum, { looked, faces }) => sum + faces - looked, 0) ?? 0,
  );
  protected readonly heading = computed(() => {
    const round = this.store.round();
    return round
      ? say('check.round-of', { stage: say(`round.${this.store.stage()}`), at: this.format.day(round.at) })
      : say('sign.nothing');
  });
  protected readonly signed = computed(() =>
    [...this.store.pins().rounds]
      .reverse()
      .flatMap(({ stage, signed, alsoSigned }) =>
        [...(signed ? [signed] : []), ...alsoSigned].flatMap((one) =>
          one.frozen ? [{ stage, signed: one, frozen: one.frozen, first: one === signed }] : [],
        ),
      ),
  );
  protected grade = (room: Frozen['rooms'][number]) => starting(gradeName(room.finish));
  protected decoration = (room: Frozen['rooms'][number]) => decorationName(room.decoration);
  protected fault = ({ fault }: Frozen['findings'][number]) => say(`fault.${fault}`);
  protected stageName = (stage: Round['stage']) => starting(say(`round.${stage ?? 'handover'}`));

  protected short = shortSeal;

  protected rename(name: string): void {
    this.typed.set(name);
  }
  protected lit(words: string): void {
    this.light.set(words);
  }

  protected async sign(): Promise<void> {
    const [round, frozen] = [this.store.round(), this.draft()];
    const by = this.name().trim();
    if (!round || !frozen) return;
    if (by === '') return this.trouble.set(this.texts.t('sign.no-name'));
    const strokes = this.strokes();
    const content = { round: round.id, frozen, ...(strokes.length > 0 ? { strokes } : {}) };
    const seal = sealOfSigned({ by, ...content });
    const signed = await this.logs.tellAs(by, 'undo.log-signed', { kind: 'signed', ...content, seal });
    if (!signed) return;
    this.strokes.set([]);
    this.trouble.set('');
  }

  protected pdf({ frozen, stage, signed }: ReturnType<SignPage['signed']>[number]): Promise<void> {
    return this.out.paper(this.sheets.of(frozen, stage, signed));
  }
}
