import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { Router } from '@angular/router';
import {
  cutKey,
  cutPieces,
  LIMITS,
  say,
  type BeadKind,
  type BeadLine,
  type BeadStick,
  type CutPiece,
  type Message,
  type StickOnHand,
} from '@lisse/core';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { LogStore } from '../state/log.store';
import { PlanStore } from '../state/plan.store';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { MeasureInput } from '../ui/measure-input';
import { NumberInput } from '../ui/number-input';
import { jointName } from '../ui/words';

/** A piece on its stick, in shares of the longest. */
interface Drawn {
  piece: CutPiece;
  x: number;
  width: number;
}

interface Row {
  stick: BeadStick;
  width: number;
  pieces: Drawn[];
  rest: number;
}

const without = (sticks: readonly StickOnHand[], kind: BeadKind, lengthMm: number): StickOnHand[] =>
  sticks.filter((one) => one.kind !== kind || one.lengthMm !== lengthMm);

/** The cutting bench: every stick to one scale with its numbered pieces, and the corner each goes on. */
@Component({
  selector: 'ls-cut-bench',
  imports: [MeasureInput, NumberInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cut-bench.html',
  styleUrl: './cut-bench.css',
})
export class CutBench {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  private readonly plans = inject(PlanStore);
  private readonly jobs = inject(JobStore);
  private readonly logs = inject(LogStore);
  private readonly view = inject(ViewStore);
  private readonly router = inject(Router);
  readonly line = input.required<BeadLine>();
  /** The corner whose piece is picked first: `room|joint`. */
  readonly shown = input('');
  private readonly chosen = signal<number | undefined>(undefined);
  protected readonly picked = computed(
    () => this.chosen() ?? this.pieces().find(({ room, joint }) => `${room}|${joint}` === this.shown())?.n,
  );
  protected pick = (n: number): void => this.chosen.set(n);
  private readonly pieces = computed(() => this.line().cuts.flatMap((stick) => stick.pieces));
  private readonly cut = computed(() => cutPieces(this.logs.entries()));
  protected isCut = ({ room, joint, nth }: CutPiece): boolean => this.cut().has(cutKey(room, joint, nth));
  protected readonly done = computed(() => ({
    cut: this.pieces().filter((piece) => this.isCut(piece)).length,
    of: this.pieces().length,
  }));

  /** Ticks a piece off as cut, or takes that back. */
  protected async tick(piece: CutPiece): Promise<void> {
    const { room, joint, nth } = piece;
    if (!this.isCut(piece)) {
      await this.logs.tell('undo.log-cut', { kind: 'cut', room, joint, part: nth });
      return;
    }
    const told = this.logs
      .entries()
      .filter(
        (one) => one.kind === 'cut' && one.room === room && one.joint === joint && (one.part ?? 1) === nth,
      );
    for (const { id } of told) await this.logs.takeBack('undo.log-not-cut', id);
  }

  protected readonly rows = computed((): Row[] => {
    const { cuts } = this.line();
    const longest = Math.max(...cuts.map(({ stockMm }) => stockMm));
    return cuts.map((stick) => {
      let at = 0;
      const pieces = stick.pieces.map((piece): Drawn => {
        const x = at / longest;
        at += piece.mm + stick.kerfMm;
        return { piece, x: x * 100, width: (piece.mm / longest) * 100 };
      });
      return {
        stick,
        width: (stick.stockMm / longest) * 100,
        pieces,
        rest: (stick.offcutMm / longest) * 100,
      };
    });
  });
  protected readonly piece = computed(() => this.pieces().find(({ n }) => n === this.picked()));
  /** How near to the least that can be bought it is. */
  protected readonly standing = computed((): Message => {
    const { boughtMm, boundMm } = this.line();
    return boughtMm <= boundMm + 0.5
      ? say('cut.proved', { bought: boughtMm })
      : say('cut.gap', { bought: boughtMm, gap: boughtMm / boundMm - 1 });
  });

  protected readonly limits = LIMITS;
  protected readonly length = signal(2400);
  protected readonly count = signal(1);
  protected readonly onHand = computed(() =>
    (this.jobs.job()?.shop?.sticks ?? []).filter(({ kind }) => kind === this.line().kind),
  );

  /** So many sticks of a length are on hand, with those that were. */
  protected put(): void {
    const [kind, lengthMm, count] = [this.line().kind, this.length(), this.count()];
    if (count > 0)
      this.rack((sticks) => {
        const had = sticks.find((one) => one.kind === kind && one.lengthMm === lengthMm)?.count ?? 0;
        return [...without(sticks, kind, lengthMm), { kind, lengthMm, count: had + count }];
      });
  }

  protected take(lengthMm: number): void {
    this.rack((sticks) => without(sticks, this.line().kind, lengthMm));
  }

  private rack(change: (sticks: readonly StickOnHand[]) => StickOnHand[]): void {
    this.jobs.edit('undo.sticks-on-hand', (job) => {
      const sticks = change(job.shop?.sticks ?? []);
      if (sticks.length > 0) (job.shop ??= {}).sticks = sticks;
      else delete job.shop?.sticks;
    });
  }

  protected kind = (kind: BeadKind): Message => say(`bead-line.${kind}`);

  protected where({ room, joint }: CutPiece): string {
    const plan = this.plans.plan()?.rooms.find(({ id }) => id === room);
    const name = this.jobs.job()?.rooms.find(({ id }) => id === room)?.name ?? room;
    return this.texts.t('cut.where', { room: name, joint: plan ? jointName(plan, joint) : joint });
  }

  protected named = (piece: CutPiece): string =>
    this.texts.t(this.isCut(piece) ? 'cut.piece-cut' : 'cut.piece', {
      n: piece.n,
      length: this.format.small(piece.mm),
      where: this.where(piece),
    });

  /** Shows the corner of a piece on the unfolded room. */
  protected show({ room, joint }: CutPiece): void {
    this.view.showRoom(room);
    this.view.showJoint(joint);
    void this.router.navigate(['/job', this.jobs.job()?.id, 'rooms']);
  }
}
