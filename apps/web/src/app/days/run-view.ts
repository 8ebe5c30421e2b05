import { CdkDrag, CdkDragHandle, CdkDropList, type CdkDragDrop } from '@angular/cdk/drag-drop';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  signal,
  viewChild,
} from '@angular/core';
import type { CoatRun, Room, RoomPlan } from '@lisse/core';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { Texts } from '../state/texts';
import { Play } from '../ui/play';
import { watchSize } from '../ui/watch-size';
import { COAT_NAME, faceName, jointName } from '../ui/words';
import { drawRun } from '../ui/run-drawing';

/** The joints of a coat in the order they are run: numbered on the unfolded room, played, and put in another order. */
@Component({
  selector: 'ls-run-view',
  imports: [CdkDrag, CdkDragHandle, CdkDropList, Play],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './run-view.html',
  styleUrl: './run-view.css',
})
export class RunView {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  readonly room = input.required<Room>();
  readonly plan = input.required<RoomPlan>();
  readonly run = input.required<CoatRun>();

  private readonly frame = viewChild<ElementRef<HTMLElement>>('frame');
  protected readonly size = signal({ width: 520, height: 374 });
  protected readonly coats = COAT_NAME;
  /** The joint that is at hand; all are drawn where none is. */
  protected readonly at = signal<number | undefined>(undefined);
  /** The joints as they were put in order last, also while that is still being planned: the next move goes on from it. */
  protected readonly order = computed((): readonly string[] => {
    const { room, coat, joints } = this.run();
    const own = this.jobs.job()?.rooms.find(({ id }) => id === room)?.runs?.[coat];
    const named = new Set(own);
    return own && named.size === joints.length && joints.every((id) => named.has(id)) ? own : joints;
  });
  protected readonly drawn = computed(() => {
    const { width, height } = this.size();
    return drawRun(this.plan(), { ...this.run(), joints: this.order() }, width, height);
  });
  private readonly refilled = computed(() => {
    const all = new Map<string, number[]>();
    for (const { joint, atMm } of this.run().refills) all.set(joint, [...(all.get(joint) ?? []), atMm]);
    return all;
  });
  private readonly faces = computed(() => new Map(this.run().faces.map(({ joint, face }) => [joint, face])));
  private readonly broken = computed(
    () => new Map(this.run().broken.map(({ joint, said }) => [joint, said])),
  );
  protected readonly isOwn = computed(() => this.room().runs?.[this.run().coat] !== undefined);

  constructor() {
    watchSize(this.frame, (width) => this.size.set({ width, height: Math.round(width * 0.72) }));
  }

  protected name = (id: string): string => this.texts.say(jointName(this.plan(), id));

  protected notes(id: string): string[] {
    const face = this.faces().get(id);
    return [
      ...(face === undefined ? [] : [this.texts.t('days.run.face', { face: faceName(this.plan(), face) })]),
      ...(this.refilled().get(id) ?? []).map((mm) =>
        this.texts.t('days.run.refill', { run: this.format.run(mm) }),
      ),
    ];
  }

  protected trouble = (id: string): string | undefined => {
    const said = this.broken().get(id);
    return said && this.texts.say(said);
  };

  protected corner = (id: string): string =>
    this.texts.say(id.split('+').map((face) => faceName(this.plan(), face)));

  protected wipe = computed(() => {
    const [first] = this.run().corners;
    return first && this.texts.say(first.faces.map((face) => faceName(this.plan(), face)));
  });

  /** Moves a joint along the run by so many places. */
  protected move(event: Event, id: string, by: number): void {
    event.preventDefault();
    const from = this.order().indexOf(id);
    if (!this.put(id, from + by)) return;
    // The row is drawn anew where it went to; whoever moved it goes with it.
    setTimeout(() => (event.target as HTMLElement | null)?.focus());
  }

  protected drop({ previousIndex, currentIndex }: CdkDragDrop<unknown>): void {
    this.put(this.order()[previousIndex], currentIndex);
  }

  /** Puts a joint at a place of the run; false where it stands there already. */
  private put(id: string | undefined, place: number): boolean {
    const { coat } = this.run();
    const joints = this.order();
    const to = Math.max(0, Math.min(joints.length - 1, place));
    if (id === undefined || joints.indexOf(id) === to) return false;
    const order = joints.filter((one) => one !== id);
    order.splice(to, 0, id);
    this.jobs.editRoom(
      this.room().id,
      'undo.run',
      (room) => (room.runs = { ...room.runs, [coat]: order }),
      `run.${coat}`,
    );
    this.at.set(to);
    return true;
  }

  protected reset(): void {
    const { coat } = this.run();
    this.jobs.editRoom(this.room().id, 'undo.run', (room) => {
      const rest = { ...room.runs };
      Reflect.deleteProperty(rest, coat);
      if (Object.keys(rest).length > 0) room.runs = rest;
      else delete room.runs;
    });
  }
}
