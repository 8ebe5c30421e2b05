import { computed, effect, inject, Injectable, signal, untracked } from '@angular/core';
import {
  angleAcross,
  COATS,
  DECORATION_FACTS,
  grazingOf,
  inSpace,
  onFace,
  flashOf,
  PRESETS,
  rowOfJoint,
  showsAbove,
  sourceAt,
  withWay,
  say,
  type Face,
  type FaceLight,
  type Job,
  type Rect,
  type Sheen,
  type Stage,
  type ToHide,
  type Vec,
  type Sayable,
} from '@lisse/core';
import { starting } from '../state/texts';
import { JobStore } from '../state/job.store';
import { ViewStore } from '../state/view.store';
import type { Option } from '../ui/choice';
import { COAT_NAME, damageName, jointName } from '../ui/words';
import { WallClient } from '../worker/wall-client';
import type { WallRequest } from '../worker/wall-desk';
import { WallPainter } from './wall-painter';

/** Something that shows on the wall, in words. */
export interface Shown {
  key: string;
  name: Sayable;
  contrast: number;
  over: boolean;
  at?: readonly [number, number];
  joint?: string;
  line?: Rect;
}

/** Cells of the picture of a whole wall, and at their finest, mm. */
const WHOLE_MM = 4;
const FINEST_MM = 1;
/** The picture is at least so much wider than high, where the screen is wide. */
const LEAST_ASPECT = 1.85;
const NARROW_PX = 1000;
/** A picture has no more cells than this. */
const MOST_CELLS = 3e6;

/** The wall that is looked at, the lamp before it, and what it shows. */
@Injectable()
export class WallView {
  private readonly jobs = inject(JobStore);
  private readonly view = inject(ViewStore);
  private readonly client = inject(WallClient);

  private readonly narrow = globalThis.innerWidth <= NARROW_PX;

  readonly faceId = signal<string | undefined>(undefined);
  /** How far the work has come; to the last coat where nothing was chosen. */
  readonly chosen = signal<Stage | undefined>(undefined);
  readonly primed = signal(true);
  readonly flash = signal(true);
  readonly eyeMm = signal(2000);
  /** A sheen tried here; none is as planned. */
  readonly sheenTried = signal<Sheen | undefined>(undefined);
  /** How much closer than the whole wall, and about which place. */
  readonly zoom = signal(1);
  readonly middle = signal<readonly [number, number] | undefined>(undefined);
  /** What the wall is held against: nothing, the plan as pinned, or a way of working. */
  readonly against = signal<'nothing' | 'pinned' | number>('nothing');
  readonly pinned = signal<Job | undefined>(undefined);
  private readonly moved = signal<{ face: string; light: FaceLight } | undefined>(undefined);

  private readonly painter = inject(WallPainter);
  readonly drawn = this.painter.drawn;
  readonly picture = this.painter.picture;
  readonly failed = this.painter.failed;
  readonly busy = this.painter.busy;

  readonly faces = computed<Face[]>(() => {
    const plan = this.view.roomPlan();
    const shaped = plan?.faces.filter((f) => f.kind !== 'reveal' && f.boarded) ?? [];
    return shaped.sort((a, b) => b.areaM2 - a.areaM2);
  });
  readonly face = computed<Face | undefined>(() => {
    const faces = this.faces();
    const joint = this.view.joint();
    return (
      faces.find((f) => f.id === this.faceId()) ??
      faces.find((f) => f.id === joint?.face) ??
      faces.find((f) => f.kind === 'wall') ??
      faces[0]
    );
  });
  readonly faceOptions = computed<Option<string>[]>(() =>
    [...this.faces()]
      .sort((a, b) => a.id.localeCompare(b.id, 'en', { numeric: true }))
      .map((f) => ({ value: f.id, name: f.name })),
  );
  readonly area = computed(() => {
    const id = this.face()?.id;
    const areas = this.view.roomPlan()?.areas ?? [];
    return areas.find((a) => id !== undefined && a.faces.includes(id)) ?? areas[0];
  });
  readonly sheen = computed(
    () => this.sheenTried() ?? DECORATION_FACTS[this.area()?.decoration ?? 'none'].sheen,
  );
  /** Contrast from which on something is seen. */
  readonly limit = computed(() => {
    const sheen = this.sheen();
    return sheen && showsAbove(sheen, this.view.book());
  });
  /** How much darker compound stands beside paper in the sheen that is looked at. */
  readonly flashes = computed(() => {
    const [drawn, sheen] = [this.drawn(), this.sheen()];
    return drawn && sheen ? flashOf(sheen, this.view.book()) * drawn.flashLeft : 0;
  });

  /** Coats that lie on this face, as far as its grade goes. */
  readonly stages = computed<Option<Stage>[]>(() => {
    const rows = this.area()?.rows ?? [];
    const done = COATS.filter((c) => c !== 'prefill' && rows.some((r) => r.cells.some((x) => x.coat === c)));
    return [
      { value: 'boards', name: say('wall.boards') },
      ...done.map((coat) => ({ value: coat, name: COAT_NAME[coat], coat })),
    ];
  });
  readonly stage = computed<Stage>(() => {
    const stages = this.stages();
    return stages.find((s) => s.value === this.chosen())?.value ?? stages.at(-1)?.value ?? 'boards';
  });

  /** Where light comes from in this room, as it stands before this face. */
  readonly sources = computed<{ id: string; name: string; light: FaceLight }[]>(() => {
    const [room, plan, face] = [this.view.room(), this.view.roomPlan(), this.face()];
    if (!room || !plan || !face) return [];
    const named = [
      ...room.openings.map((o, i) => ({
        id: o.id,
        name: `${o.kind} ${i + 1}, wall ${o.wall + 1}`,
      })),
      ...(room.lamps ?? []).map((l, i) => ({ id: l.id, name: `lamp ${i + 1}` })),
    ];
    return named.flatMap(({ id, name }) => {
      const from = sourceAt(room, plan, id);
      const light = from && before(face, from);
      return light ? [{ id, name, light }] : [];
    });
  });

  /** The lamp: where it was put, the room's light, or beside the wall at the angle that is planned with. */
  readonly light = computed<FaceLight>(() => {
    const face = this.face();
    const moved = this.moved();
    if (!face) return { u: 0, v: 0, offMm: 300 };
    if (moved?.face === face.id) return moved.light;
    const light = this.area()?.light;
    const source = this.sources().find((s) => s.id === light?.from);
    if (source) return source.light;
    const [u0, v0, u1, v1] = face.box;
    const aside = 0.06 * (u1 - u0);
    const offMm = Math.tan((grazingOf(light ?? { kind: 'ordinary' }) * Math.PI) / 180) * (u1 - u0 + aside);
    return { u: u0 - aside, v: v0 + 0.6 * (v1 - v0), offMm: Math.max(60, Math.round(offMm)) };
  });
  readonly tried = computed(() => this.moved()?.face === this.face()?.id);

  /** The part of the face that is looked at, with room round it for the lamp. */
  readonly window = computed<Rect>(() => {
    const face = this.face();
    if (!face) return [0, 0, 1, 1];
    const [u0, v0, u1, v1] = face.box;
    const zoom = this.zoom();
    const pad = 0.08 * Math.max(u1 - u0, v1 - v0);
    const [mu, mv] = (zoom === 1 ? undefined : this.middle()) ?? [(u0 + u1) / 2, (v0 + v1) / 2];
    const h = (v1 - v0 + pad) / zoom;
    // A tall face leaves room at its sides, so that it stands on the screen whole.
    const w = Math.max((u1 - u0 + 2 * pad) / zoom, this.narrow ? 0 : LEAST_ASPECT * h);
    return [mu - w / 2, mv - h / 2, mu + w / 2, mv + h / 2];
  });

  private readonly request = computed<WallRequest | undefined>(() => {
    const [job, room, face] = [this.jobs.job(), this.view.room(), this.face()];
    if (!job || !room || !face || !this.view.roomPlan()) return undefined;
    const only = (of: Job): Job => ({ ...of, rooms: of.rooms.filter((r) => r.id === room.id) });
    const [a0, b0, a1, b1] = face.box;
    const [c0, d0, c1, d1] = this.window();
    const rect: Rect = [Math.max(a0, c0), Math.max(b0, d0), Math.min(a1, c1), Math.min(b1, d1)];
    const area = Math.max(1, (rect[2] - rect[0]) * (rect[3] - rect[1]));
    const asked = this.zoom() === 1 ? WHOLE_MM : Math.max(FINEST_MM, WHOLE_MM / this.zoom());
    const than = this.against();
    const preset = typeof than === 'number' ? PRESETS[than] : undefined;
    const against = than === 'pinned' ? this.pinned() : preset && withWay(job, preset.way);
    return {
      job: only(job),
      face: face.id,
      stage: this.stage(),
      eyeMm: this.eyeMm(),
      cellMm: Math.max(asked, Math.sqrt(area / MOST_CELLS)),
      ...(rect[2] > rect[0] && rect[3] > rect[1] ? { rect } : {}),
      ...(against ? { against: only(against) } : {}),
    };
  });
  readonly differs = computed(() => this.request()?.against !== undefined);

  constructor() {
    effect(() => {
      const light = {
        light: this.light(),
        primed: this.primed() && this.stage() !== 'boards',
        flash: this.flash() ? this.flashes() : 0,
      };
      untracked(() => this.painter.shineFrom(light));
    });
    effect(() => {
      const request = this.request();
      if (request) untracked(() => void this.painter.draw(request));
    });
    // A wall that is picked elsewhere is shown whole.
    effect(() => {
      this.face();
      untracked(() => {
        this.zoom.set(1);
        this.middle.set(undefined);
      });
    });
  }

  // What shows.

  /** Everything that shapes this wall, what shows most first. */
  readonly list = computed<Shown[]>(() => {
    const [drawn, plan, room] = [this.drawn(), this.view.roomPlan(), this.view.room()];
    if (!drawn || !plan || !room) return [];
    const limit = this.limit();
    const flashes = this.flashes();
    const shown = this.painter.seen().flatMap(({ feature, contrast, at }): Shown[] => {
      const what = drawn.features[feature - 1];
      if (!what) return [];
      const over = limit !== undefined && Math.abs(contrast) > limit;
      if (what.kind === 'heads')
        return [{ key: 'heads', name: starting(say('element.heads')), contrast, over, at }];
      if (what.kind === 'repair') {
        const spot = room.damage?.find((d) => d.id === what.id);
        const name = spot ? starting(damageName(spot.kind)) : say('wall.repair');
        return [{ key: what.id, name, contrast, over, at }];
      }
      return [
        { key: what.id, name: jointName(plan, what.id), contrast, over, at, joint: what.id, line: what.line },
      ];
    });
    if (this.flash() && flashes > 0 && this.stage() !== 'boards')
      shown.push({
        key: 'flash',
        name: say('wall.flash'),
        contrast: -flashes,
        over: limit !== undefined && flashes > limit,
      });
    return shown.sort((a, b) => Math.abs(b.contrast) - Math.abs(a.contrast));
  });
  readonly showing = computed(() => this.list().filter((s) => s.over));
  /** Of what shows when all is done, the joints that a wider finish or a float may hide. */
  readonly hideable = computed<ToHide[]>(() => {
    if (this.stage() !== this.stages().at(-1)?.value) return [];
    const plan = this.view.roomPlan();
    return this.showing().flatMap(({ joint, line, contrast }) => {
      const row = plan?.areas.flatMap((a) => rowOfJoint(a.rows, { id: joint ?? '' }) ?? [])[0];
      const flat = row && ['flats', 'mixed', 'recessed', 'butts'].includes(row.element);
      return joint && line && flat ? [{ joint, line, contrast }] : [];
    });
  });

  /** The flattest the light falls anywhere on this face, degrees. */
  readonly flattest = computed(() => {
    const face = this.face();
    if (!face) return 90;
    const [u0, v0, u1, v1] = face.box;
    const light = this.light();
    const across = (line: Rect) => angleAcross(line, light);
    return Math.min(
      across([u0, v0, u0, v1]),
      across([u1, v0, u1, v1]),
      across([u0, v0, u1, v0]),
      across([u0, v1, u1, v1]),
    );
  });

  // The lamp.

  put(light: Partial<FaceLight>): void {
    const face = this.face();
    if (!face) return;
    const now = { ...this.light(), ...light };
    const clamp = (value: number, lo: number, hi: number) => Math.round(Math.min(hi, Math.max(lo, value)));
    const [u0, v0, u1, v1] = face.box;
    const beyond = 20000;
    this.moved.set({
      face: face.id,
      light: {
        u: clamp(now.u, u0 - beyond, u1 + beyond),
        v: clamp(now.v, v0 - beyond, v1 + beyond),
        offMm: clamp(now.offMm, 20, 20000),
      },
    });
  }

  back(): void {
    this.moved.set(undefined);
  }

  /** The lamp as it stands in the room: its place in the plan and its height. */
  readonly inRoom = computed(() => {
    const face = this.face();
    const room = this.view.room();
    const { u, v, offMm } = this.light();
    if (!face || !room) return undefined;
    const at = inSpace(face.frame, [u, v]);
    const [x, y, z] = at.map((place, i) => place + offMm * (face.frame.inward[i] as number)) as [
      number,
      number,
      number,
    ];
    return {
      at: [Math.round(x), Math.round(y)] as [number, number],
      heightMm: Math.round(Math.min(30000, Math.max(0, z))),
    };
  });

  closer(by: number, about?: readonly [number, number]): void {
    const zoom = Math.min(8, Math.max(1, this.zoom() * by));
    if (about) this.middle.set(about);
    this.zoom.set(zoom < 1.05 ? 1 : zoom);
  }

  hide(shown: readonly ToHide[]) {
    const request = this.request();
    return request ? this.client.hide(request.job, this.light(), shown, this.limit()) : Promise.resolve([]);
  }
}

/** A place in the room as it stands before a face; none behind it. */
function before({ frame }: Face, from: Vec): FaceLight | undefined {
  const [u, v] = onFace(frame, from);
  const offMm = from.reduce(
    (sum, x, i) => sum + (x - (frame.origin[i] as number)) * (frame.inward[i] as number),
    0,
  );
  return offMm < 20 ? undefined : { u, v, offMm };
}
