import { computed, inject, Injectable, signal } from '@angular/core';
import {
  cureOf,
  lampWalk,
  lookedKey,
  lowOf,
  nextRing,
  punchList,
  say,
  type Damage,
  type EdgeReading,
  type Face,
  type Fault,
  type Finding,
  type Mend,
  type Round,
  type RoundStage,
} from '@lisse/core';
import { JobStore } from '../state/job.store';
import { LogStore, type Told } from '../state/log.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import { entryNow } from '../storage/entry-ids';
import { Clock } from '../state/clock';

/** What the parts of Check are about: a room, a face of it, the round that is open, what was found. */
@Injectable({ providedIn: 'root' })
export class CheckStore {
  private readonly jobs = inject(JobStore);
  private readonly plans = inject(PlanStore);
  private readonly logs = inject(LogStore);
  private readonly view = inject(ViewStore);
  private readonly clock = inject(Clock);

  private readonly roomChosen = signal<string | undefined>(undefined);
  private readonly faceChosen = signal<string | undefined>(undefined);
  /** The finding that is looked at. */
  readonly findingChosen = signal<string | undefined>(undefined);

  readonly rooms = computed(() =>
    (this.jobs.job()?.rooms ?? []).map(({ id, name }) => ({ value: id, name })),
  );
  readonly room = computed(() => {
    const rooms = this.jobs.job()?.rooms ?? [];
    const chosen = this.roomChosen() ?? this.view.room()?.id;
    return rooms.find(({ id }) => id === chosen) ?? rooms[0];
  });
  readonly plan = computed(() => this.planOf(this.room()?.id));
  readonly walk = computed((): Face[] => {
    const [plan, room] = [this.plan(), this.room()];
    return plan && room ? lampWalk(plan.faces, room) : [];
  });

  readonly pins = this.logs.pins;
  /** The round that is open; the latest of them where two are. */
  readonly round = computed((): Round | undefined => this.pins().rounds.findLast(({ signed }) => !signed));
  readonly stage = computed((): RoundStage => this.round()?.stage ?? 'before-primer');
  readonly looked = computed((): string[] => {
    const [round, room] = [this.round(), this.room()];
    return round && room
      ? this.walk()
          .map(({ id }) => id)
          .filter((face) => round.looked.includes(lookedKey(room.id, face)))
      : [];
  });
  /** The face that is looked at: as it was pressed, or the next one that was not looked at. */
  readonly face = computed((): Face | undefined => {
    const walk = this.walk();
    const looked = this.looked();
    return (
      walk.find(({ id }) => id === this.faceChosen()) ??
      walk.find(({ id }) => !looked.includes(id)) ??
      walk[0]
    );
  });

  readonly inRoom = computed((): Finding[] =>
    this.pins().findings.filter(({ room }) => room === this.room()?.id),
  );
  readonly punch = computed(() => {
    const job = this.jobs.job();
    return job ? punchList(this.pins(), job) : [];
  });
  /** How many are open, fixed and closed, in a sentence. */
  readonly counts = computed(() => {
    const of = (state: Finding['state']): number =>
      this.punch().filter((line) => line.state === state).length;
    return say('check.counts', { open: of('open'), cured: of('cured'), closed: of('closed') });
  });
  readonly edges = computed((): EdgeReading[] =>
    this.pins().edges.filter(({ room, face }) => room === this.room()?.id && face === this.face()?.id),
  );

  planOf = (room: string | undefined) => this.plans.plan()?.rooms.find(({ id }) => id === room);

  chooseRoom(id: string): void {
    this.roomChosen.set(id);
    this.faceChosen.set(undefined);
  }

  chooseFace(id: string | undefined): void {
    this.faceChosen.set(id);
  }

  open(stage: RoundStage): Promise<boolean> {
    return this.logs.tell('undo.log-round', { kind: 'round', stage });
  }

  /** A face was looked at all over: the next one. */
  async lookedAt(): Promise<void> {
    const [round, room, face] = [this.round(), this.room(), this.face()];
    if (!round || !room || !face) return;
    if (!this.looked().includes(face.id))
      await this.logs.tell('undo.log-looked', {
        kind: 'looked',
        round: round.id,
        room: room.id,
        face: face.id,
      });
    this.faceChosen.set(undefined);
  }

  /** Pins a finding; the number for its ring where it was kept. */
  async find(
    fault: Fault,
    at: Pick<Told, 'room' | 'face' | 'place'>,
    more: Pick<Told, 'sizeMm' | 'depthMm' | 'note'> = {},
  ): Promise<number | undefined> {
    const round = this.round()?.id;
    const ring = nextRing(this.pins());
    const told: Told = {
      kind: 'finding',
      fault,
      ring,
      ...at,
      ...more,
      ...(round === undefined ? {} : { round }),
    };
    return (await this.logs.tell('undo.log-finding', told)) ? ring : undefined;
  }

  private about(finding: string, kind: 'cured' | 'closed' | 'reopened'): Promise<boolean> {
    // It stays the one that is looked at, wherever it comes to stand in the list.
    this.findingChosen.set(finding);
    const round = this.round()?.id;
    return this.logs.tell(`undo.log-${kind}`, { kind, finding, ...(round === undefined ? {} : { round }) });
  }
  cured = (finding: string): Promise<boolean> => this.about(finding, 'cured');
  closed = (finding: string): Promise<boolean> => this.about(finding, 'closed');
  reopened = (finding: string): Promise<boolean> => this.about(finding, 'reopened');

  /** The damage that cures a finding, where its cure was taken. */
  takenFor({ id, room }: Pick<Finding, 'id' | 'room'>): Damage | undefined {
    return this.jobs
      .job()
      ?.rooms.find((one) => one.id === room)
      ?.damage?.find(({ finding }) => finding === id);
  }

  mendOf(finding: Finding): Mend | undefined {
    const spot = this.takenFor(finding);
    return this.planOf(finding.room)?.mends.find(({ id }) => id === spot?.id);
  }

  private newSpot = (): string => `mend-${entryNow(this.clock.whatTime()).id}`.toLowerCase();

  /** Takes the cure of a finding into the job: mud, work and days follow. */
  takeCure(finding: Finding): void {
    const primed = this.stage() === 'after-primer' || this.stage() === 'handover';
    const spot = cureOf(finding, this.newSpot(), primed ? 'painted' : undefined);
    if (spot) this.add(finding.room, spot, 'undo.take-cure');
  }

  /** A low under the straightedge is floated out. */
  floatOut(edge: EdgeReading): void {
    this.add(edge.room, { ...lowOf(edge, this.newSpot()), finding: edge.id }, 'undo.float-low');
  }

  /** The damage that is to fill it. */
  floatOf(edge: EdgeReading): Damage | undefined {
    return this.takenFor(edge);
  }

  add(room: string | undefined, spot: Damage, deed: 'undo.take-cure' | 'undo.float-low'): void {
    this.jobs.editRoom(room, deed, (found) => void (found.damage = [...(found.damage ?? []), { ...spot }]));
  }

  dropCure(finding: Finding): void {
    this.jobs.editRoom(
      finding.room,
      'undo.drop-cure',
      (room) => void (room.damage = (room.damage ?? []).filter((spot) => spot.finding !== finding.id)),
    );
  }

  /** How a finding stands, in a few words. */
  stateWords = (finding: Finding) => say(`finding.${this.stateOf(finding)}`);
  stateOf = (finding: Finding) =>
    finding.state === 'open' && this.takenFor(finding) ? ('planned' as const) : finding.state;
}
