import { computed, effect, inject, Injectable, signal, untracked } from '@angular/core';
import {
  applyChanges,
  bareSurface,
  cellChange,
  coatedCells,
  DECORATION_FACTS,
  spotDepthMm,
  grazingOf,
  halfFor,
  headInput,
  isPrefilled,
  kitOf,
  needsOf,
  rowCells,
  rowOfJoint,
  sanded,
  scraped,
  sectionInput,
  showsAbove,
  simulate,
  skimOver,
  USUAL_SANDING,
  withCoats,
  say,
  isCut,
  type AreaPlan,
  type BoardRow,
  type CellEdit,
  type Coat,
  type Joint,
  type Scope,
  type Surface,
  type Message,
  fieldInRoom,
} from '@lisse/core';
import { starting } from '../state/texts';
import { JobStore, type Deed } from '../state/job.store';
import { ViewStore } from '../state/view.store';
import type { Option } from '../ui/choice';
import type { JointMeasures } from '../ui/joint-measures';
import { damageName, jointName } from '../ui/words';
import type { Layer } from './cut-drawing';

/** What can be cut across: a joint, the heads of an area, a spot of damage. */
interface Target {
  id: string;
  /** What is cut that is no joint. */
  name?: Message;
  area: AreaPlan;
  row: BoardRow;
  joint?: Joint;
  /** A head or a spot instead of a joint. */
  dimple?: { depthMm: number; widthMm: number };
}

/** What is being dragged, on which target. */
export interface JointInHand {
  id: string;
  bandMm?: number;
  camberMm?: number;
  humpMm?: number;
  gapMm?: number;
}

/** No longer a list of joints than this is offered. */
const MOST = 400;

/** What is cut across, with what is being dragged laid over it: its cells, its coats, its surfaces. */
@Injectable()
export class Cut {
  private readonly jobs = inject(JobStore);
  private readonly view = inject(ViewStore);

  readonly wet = signal(false);
  readonly dressed = signal(false);
  readonly sanding = signal(USUAL_SANDING);
  readonly draft = signal<JointInHand>({ id: '' });
  readonly scope = signal<'joint' | 'row'>('joint');
  /** Light tried here, °; none is the room's. */
  readonly tried = signal<number | undefined>(undefined);

  constructor() {
    // What was dragged on one joint is nothing to the next.
    effect(() => {
      this.target();
      untracked(() => this.draft.set({ id: '' }));
    });
  }

  /** Everything of this room that can be cut across, what shows most first. */
  private readonly targets = computed<Target[]>(() => {
    const [plan, room] = [this.view.roomPlan(), this.view.room()];
    if (!plan || !room) return [];
    const seen = new Map(plan.use.sections.flatMap((s) => s.joints.map((id) => [id, s.contrast] as const)));
    const joints = plan.joints.flatMap((joint): Target[] => {
      const area = plan.areas.find((a) => rowOfJoint(a.rows, joint));
      const row = area && rowOfJoint(area.rows, joint);
      return row ? [{ id: joint.id, area, row, joint }] : [];
    });
    joints.sort(
      (a, b) =>
        (seen.get(b.id) ?? -1) - (seen.get(a.id) ?? -1) ||
        (b.joint?.lengthMm ?? 0) - (a.joint?.lengthMm ?? 0),
    );
    const book = this.view.book();
    const spots = plan.areas.flatMap((area): Target[] =>
      area.rows.flatMap((row): Target[] => {
        if (row.element === 'heads') {
          const dimple = { depthMm: book.dimpleMm.value, widthMm: book.dimpleWidthMm.value };
          const name = plan.areas.length > 1 ? say('cut.head-on', { area: area.name }) : say('cut.head');
          return [{ id: `heads/${area.id}`, name, area, row, dimple }];
        }
        if (row.element !== 'repairs') return [];
        return withCoats(room)
          .filter((d) => area.faces.includes(d.face ?? '') || plan.areas.length === 1)
          .map((d) => ({
            id: `repair/${d.id}`,
            name: starting(damageName(d.kind)),
            area,
            row,
            dimple: { depthMm: spotDepthMm(d.kind, book), widthMm: Math.max(20, d.sizeMm) },
          }));
      }),
    );
    return [...joints, ...spots];
  });
  readonly target = computed<Target | undefined>(() => {
    const targets = this.targets();
    return targets.find((t) => t.id === this.view.jointId()) ?? targets[0];
  });
  readonly options = computed<Option<string>[]>(() => {
    const plan = this.view.roomPlan();
    const now = this.target();
    const all = this.targets();
    const spots = all.filter((t) => !t.joint);
    const joints = all.filter((t) => t.joint).slice(0, MOST);
    if (now?.joint && !joints.includes(now)) joints.push(now);
    return plan
      ? [...joints, ...spots].map((t) => ({ value: t.id, name: t.name ?? jointName(plan, t.id) }))
      : [];
  });
  readonly name = computed(() => {
    const [plan, target] = [this.view.roomPlan(), this.target()];
    return plan && target ? (target.name ?? jointName(plan, target.id)) : '';
  });

  readonly joint = computed(() => this.target()?.joint);
  readonly area = computed(() => this.target()?.area);
  readonly row = computed(() => this.target()?.row);
  readonly flat = computed(() => {
    const row = this.row();
    return row !== undefined && isCut(row.element);
  });

  private readonly dragged = computed<JointInHand>(() => {
    const draft = this.draft();
    return draft.id === this.target()?.id ? draft : { id: '' };
  });
  /** The joint with what is being dragged laid over it. */
  readonly shown = computed<Joint | undefined>(() => {
    const joint = this.joint();
    const { humpMm, gapMm } = this.dragged();
    return (
      joint && {
        ...joint,
        ...(humpMm === undefined ? {} : { humpMm }),
        ...(gapMm === undefined ? {} : { gapMm }),
      }
    );
  });
  readonly board = computed(() => {
    const [job, area, room] = [this.jobs.job(), this.area(), this.view.room()];
    if (!job || !area || !room) return undefined;
    const { bead } = this.row() ?? {};
    return {
      needs: needsOf(area.finish),
      way: job.way,
      kit: kitOf(job.shop, job.way.tools),
      room: room.cells,
      ...(bead ? { bead } : {}),
    };
  });
  readonly own = computed<Partial<Record<Coat, CellEdit>>>(() => {
    const joint = this.joint();
    return (joint && this.view.room()?.joints?.[joint.id]?.cells) ?? {};
  });
  private readonly cells = computed(() => {
    const [row, board, { bandMm, camberMm }] = [this.row(), this.board(), this.dragged()];
    if (!row || !board) return [];
    if (bandMm === undefined && camberMm === undefined) return row.cells;
    const [coat, own] = [this.at(), this.own()];
    const edit = {
      ...own[coat],
      ...(bandMm === undefined ? {} : { bandMm }),
      ...(camberMm === undefined ? {} : { camberMm }),
    };
    return rowCells(row.element, { ...board, joint: { ...own, [coat]: edit } });
  });
  readonly coated = computed(() => coatedCells(this.cells()));
  /** The skim over it all, where its area has one. */
  readonly skim = computed(() => {
    const [area, room] = [this.area(), this.view.room()];
    return area && room && this.joint()
      ? skimOver(area.rows, { ...room, finish: area.finish }, this.view.book())
      : undefined;
  });
  readonly coats = computed<Coat[]>(() => [
    ...this.coated().map((cell) => cell.coat),
    ...(this.skim() ? ['skim' as const] : []),
  ]);
  /** The coat looked at; the last where the chosen one is not done. */
  readonly at = computed<Coat>(() => {
    const row = this.row();
    const coats: Coat[] = coatedCells(row?.cells ?? []).map((c) => c.coat);
    if (this.skim()) coats.push('skim');
    const chosen = this.view.coat();
    return chosen && coats.includes(chosen) ? chosen : (coats.at(-1) ?? 'tape');
  });
  readonly cell = computed(() => {
    const cells = this.at() === 'skim' ? (this.area()?.rows.at(-1)?.cells ?? []) : this.coated();
    return cells.find((c) => c.coat === this.at());
  });

  readonly input = computed(() => {
    const [target, board, joint] = [this.target(), this.board(), this.shown()];
    if (!target || !board) return undefined;
    const book = this.view.book();
    if (target.dimple) return headInput(this.cells(), target.dimple, book);
    return (
      joint &&
      sectionInput(joint, this.cells(), board.way, book, { bead: target.row.bead, skim: this.skim() })
    );
  });
  readonly results = computed(() => {
    const input = this.input();
    return input && simulate(input.bare, input.coats);
  });
  /** The pulls of the coat looked at, as they are laid on this joint. */
  readonly pulls = computed(() => this.input()?.coats[this.upTo()]?.pulls ?? []);
  /** The bed the tape lies in, where one is bedded. */
  readonly bed = computed(() => {
    const coat = this.input()?.coats.find((c) => c.bed);
    return coat?.bed && { ...coat.bed, dryMm: coat.bed.bedMm * (1 - coat.shrink) };
  });
  readonly bare = computed<Surface>(() => {
    const input = this.input();
    return input ? bareSurface(input.bare, halfFor(input.bare, input.coats)) : new Float64Array(1801);
  });
  readonly edge = computed(() => this.input()?.bare.edge);
  /** The gap is packed before the tape. */
  readonly packed = computed(() => {
    const [joint, row, way] = [this.shown(), this.row(), this.board()?.way];
    const coat = row?.cells.some((cell) => cell.coat === 'prefill') ?? false;
    return joint !== undefined && way !== undefined && coat && isPrefilled(joint, way);
  });
  readonly upTo = computed(() => this.coats().indexOf(this.at()));

  /** The coats so far; the last of them wet, hardened, or scraped and sanded. */
  readonly layers = computed<Layer[]>(() => {
    const results = this.results() ?? [];
    const last = this.upTo();
    return results.slice(0, last + 1).map((result, i) => ({
      coat: this.coats()[i] as Coat,
      surface: i < last ? result.surface : this.wet() ? result.wet : this.dress(result.surface),
      bandMm: this.bandOf(i),
    }));
  });

  private bandOf(i: number): number {
    const cell = this.coated()[i];
    return cell ? cell.bandMm * (cell.perFace ? 2 : 1) : 0;
  }

  private dress(surface: Surface): Surface {
    return this.dressed() ? sanded(scraped(surface), this.sanding()).surface : surface;
  }
  /** What sanding takes off the last coat, mL a metre. */
  readonly sandedMl = computed(() => {
    const last = this.results()?.[this.upTo()];
    return last && this.dressed() && !this.wet() ? sanded(scraped(last.surface), this.sanding()).offMl : 0;
  });

  readonly surface = computed<Surface>(() => this.layers().at(-1)?.surface ?? this.bare());
  /** mm each side of the joint that are drawn. */
  readonly reach = computed(() => {
    const most = (this.bare().length - 1) / 2;
    const band = this.bandOf(this.upTo()) || this.bandOf(this.upTo() - 1);
    return Math.min(most, Math.max(300, Math.ceil((band / 2 + 110) / 50) * 50));
  });

  // The light it is seen in.

  readonly angle = computed(() => this.tried() ?? grazingOf(this.area()?.light ?? { kind: 'ordinary' }));
  readonly sheen = computed(() => DECORATION_FACTS[this.area()?.decoration ?? 'none'].sheen);
  readonly limit = computed(() => {
    const sheen = this.sheen();
    return sheen && showsAbove(sheen, this.view.book());
  });

  // Writing back.

  change<K extends keyof CellEdit>(key: K, value: CellEdit[K], label: Deed, coat = this.at()): void {
    this.changeAll({ [coat]: { [key]: value } }, label);
  }

  /** Several values of several coats at once, undone at once. */
  changeAll(edits: Partial<Record<Coat, CellEdit>>, label: Deed): void {
    const [room, row, target] = [this.view.room(), this.row(), this.target()];
    if (!room || !row || !target) return;
    this.hold();
    const alone = this.scope() === 'joint' && target.joint !== undefined;
    const only = alone ? { ...row, joints: [target.id] } : row;
    const scope: Scope = alone || row.apart ? 'joint' : 'room';
    const changes = (Object.entries(edits) as [Coat, CellEdit][]).flatMap(([coat, edit]) =>
      (Object.keys(edit) as (keyof CellEdit)[]).flatMap((key) =>
        cellChange(room, only, coat, key, edit[key], scope),
      ),
    );
    const what = changes.map((c) => c.path.join('.')).join();
    this.jobs.edit(label, (job) => applyChanges(job, changes), `section.${room.id}.${what}`);
  }

  /** Measures of this joint, one edit while one of them is dragged. */
  note(change: JointMeasures, label: Deed): void {
    const [room, joint] = [this.view.room(), this.joint()];
    if (!room || !joint) return;
    this.hold();
    const keys = Object.keys(change) as (keyof JointMeasures)[];
    this.jobs.edit(
      label,
      (job) =>
        applyChanges(
          job,
          keys.map((key) => fieldInRoom(room.id, ['joints', joint.id], key, change[key])),
        ),
      `section.${joint.id}.${keys.join('.')}`,
    );
  }

  /** What is changed stays the one looked at, though another may now show more. */
  hold(): void {
    const target = this.target();
    if (target && this.view.jointId() !== target.id) this.view.showJoint(target.id);
  }
}
