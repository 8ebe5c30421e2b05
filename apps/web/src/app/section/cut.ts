import { computed, effect, inject, Injectable, signal, untracked } from '@angular/core';
import {
  bareSurface,
  coatedCells,
  kitOf,
  needsOf,
  rowCells,
  rowOfJoint,
  sanded,
  scraped,
  sectionInput,
  simulate,
  USUAL_SANDING,
  type AreaPlan,
  type CellEdit,
  type Coat,
  type Joint,
  type Surface,
} from '@lisse/core';
import { JobStore } from '../state/job.store';
import { ViewStore } from '../state/view.store';
import type { Option } from '../ui/choice';
import { jointName } from '../ui/words';
import type { Layer } from './cut-drawing';

/** The joint that is cut across, with what is being dragged laid over it: its cells, its coats, its surfaces. */
@Injectable()
export class Cut {
  private readonly jobs = inject(JobStore);
  private readonly view = inject(ViewStore);

  /** The coat looked at, as it was chosen. */
  readonly coat = signal<Coat>('finish');
  readonly wet = signal(false);
  readonly dressed = signal(false);
  /** What is being dragged, and on which joint. */
  readonly draft = signal<{ joint: string; bandMm?: number; humpMm?: number }>({ joint: '' });

  constructor() {
    // What was dragged on one joint is nothing to the next.
    effect(() => {
      this.joint();
      untracked(() => this.draft.set({ joint: '' }));
    });
  }

  /** Joints of the board in this room, what shows most first. */
  readonly joints = computed<Joint[]>(() => {
    const plan = this.view.roomPlan();
    if (!plan) return [];
    const seen = new Map(plan.use.sections.flatMap((s) => s.joints.map((id) => [id, s.contrast] as const)));
    return plan.joints
      .filter((joint) => seen.has(joint.id))
      .sort((a, b) => (seen.get(b.id) ?? 0) - (seen.get(a.id) ?? 0) || b.lengthMm - a.lengthMm);
  });
  readonly joint = computed<Joint | undefined>(
    () => this.joints().find((j) => j.id === this.view.jointId()) ?? this.joints()[0],
  );
  readonly options = computed<Option<string>[]>(() => {
    const plan = this.view.roomPlan();
    return plan
      ? this.joints()
          .slice(0, 400)
          .map((j) => ({ value: j.id, name: jointName(plan, j.id) }))
      : [];
  });

  readonly area = computed<AreaPlan | undefined>(() => {
    const joint = this.joint();
    return joint && this.view.roomPlan()?.areas.find((a) => rowOfJoint(a.rows, joint));
  });
  readonly row = computed(() => {
    const joint = this.joint();
    return joint && rowOfJoint(this.area()?.rows ?? [], joint);
  });

  /** The joint with what is being dragged laid over it. */
  readonly shown = computed<Joint | undefined>(() => {
    const joint = this.joint();
    const draft = this.draft();
    if (!joint || draft.joint !== joint.id || draft.humpMm === undefined) return joint;
    return { ...joint, humpMm: draft.humpMm };
  });
  readonly board = computed(() => {
    const job = this.jobs.job();
    const area = this.area();
    const room = this.view.room();
    if (!job || !area || !room) return undefined;
    return {
      needs: needsOf(area.finish),
      way: job.way,
      kit: kitOf(job.shop, job.way.tools),
      room: room.cells,
    };
  });
  readonly own = computed<Partial<Record<Coat, CellEdit>>>(() => {
    const joint = this.joint();
    return (joint && this.view.room()?.joints?.[joint.id]?.cells) ?? {};
  });
  private readonly cells = computed(() => {
    const [row, board, draft] = [this.row(), this.board(), this.draft()];
    if (!row || !board) return [];
    if (draft.joint !== this.joint()?.id || draft.bandMm === undefined) return row.cells;
    const coat = this.at();
    const own = this.own();
    return rowCells(row.element, {
      ...board,
      joint: { ...own, [coat]: { ...own[coat], bandMm: draft.bandMm } },
    });
  });
  readonly coated = computed(() => coatedCells(this.cells()));
  readonly coats = computed(() => this.coated().map((cell) => cell.coat));
  /** The coat looked at; the last where the chosen one is not done. */
  readonly at = computed<Coat>(() => {
    const coats = untracked(() => coatedCells(this.row()?.cells ?? []).map((c) => c.coat));
    this.row();
    return coats.includes(this.coat()) ? this.coat() : (coats.at(-1) ?? 'tape');
  });
  readonly cell = computed(() => this.coated().find((c) => c.coat === this.at()));

  readonly results = computed(() => {
    const [joint, board] = [this.shown(), this.board()];
    if (!joint || !board) return undefined;
    const { bare, coats } = sectionInput(joint, this.cells(), board.way, this.view.book());
    return { bare: bareSurface(bare), results: simulate(bare, coats) };
  });
  readonly bare = computed<Surface>(() => this.results()?.bare ?? new Float64Array(1801));
  readonly upTo = computed(() => this.coats().indexOf(this.at()));

  /** The coats so far; the last of them wet, hardened, or scraped and sanded. */
  readonly layers = computed<Layer[]>(() => {
    const results = this.results()?.results ?? [];
    const last = this.upTo();
    return results.slice(0, last + 1).map((result, i) => ({
      coat: this.coats()[i] as Coat,
      surface: i < last ? result.surface : this.wet() ? result.wet : this.dress(result.surface),
    }));
  });

  private dress(surface: Surface): Surface {
    return this.dressed() ? sanded(scraped(surface), USUAL_SANDING).surface : surface;
  }

  readonly surface = computed<Surface>(() => this.layers().at(-1)?.surface ?? this.bare());
  readonly reach = computed(() =>
    Math.min(900, Math.max(300, Math.ceil(((this.cell()?.bandMm ?? 0) / 2 + 110) / 50) * 50)),
  );
}
