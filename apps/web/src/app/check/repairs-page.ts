import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  DAMAGES,
  DECORATION_FACTS,
  isMend,
  MENDINGS,
  say,
  spotsSaid,
  type CompoundId,
  type DamageKind,
  type Mending,
  type Message,
  type Visit,
} from '@lisse/core';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { starting, Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { Cautions } from '../ui/cautions';
import { Segmented } from '../ui/segmented';
import { TextInput } from '../ui/text-input';
import { damageName, faceName, spotName, STEP_NAME } from '../ui/words';
import { WorkFrame } from '../ui/work-frame';
import { DamagePicture } from './damage-picture';
import { MendCard } from './mend-card';
import { RepairsStore, type Listed } from './repairs.store';

/** Kinds that are counted by thumb. */
const THUMBED: readonly DamageKind[] = [
  'popped-head',
  'dent',
  'anchor-hole',
  'small-hole',
  'large-hole',
  'failed-tape',
  'corner-crack',
  'stain',
];

/** Check, repairs: a line of text in, out come methods, visits, materials and the price. */
@Component({
  selector: 'ls-repairs-page',
  imports: [Cautions, DamagePicture, MendCard, Segmented, RouterLink, TextInput, WorkFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './repairs-page.html',
  styleUrls: ['../ui/large.css', './check.css', './repairs-page.css'],
})
export class RepairsPage {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly store = inject(RepairsStore);
  private readonly jobs = inject(JobStore);
  private readonly plans = inject(PlanStore);
  private readonly view = inject(ViewStore);
  protected readonly line = signal('');
  protected readonly steps = STEP_NAME;
  protected readonly thumbed = THUMBED;
  protected readonly kinds = DAMAGES;

  /** What the line would put in, while it is typed. */
  protected readonly preview = computed((): Message | undefined => {
    const text = this.line().trim();
    if (text === '') return undefined;
    const { spots } = spotsSaid(text, this.jobs.job()?.units ?? 'feet');
    if (spots.length === 0) return undefined;
    return say('repairs.preview', {
      spots: spots.map(spotName),
    });
  });
  protected kindName = (kind: DamageKind): Message => starting(damageName(kind));
  protected spotName = ({ mend }: Listed): Message => spotName(mend);
  protected whereOf = ({ room, spot }: Listed): string => {
    const plan = this.plans.plan()?.rooms.find(({ id }) => id === room.id);
    const face = spot.face === undefined || !plan ? [] : [faceName(plan, spot.face)];
    return this.texts.say([...face, ...(spot.note === undefined ? [] : [spot.note])]);
  };

  protected readonly mending = computed(() => this.plans.plan()?.mending);
  protected readonly ways = computed(() => {
    const visits = this.mending()?.visits ?? [];
    return MENDINGS.map((value) => ({
      value,
      name: say('repairs.way', {
        way: starting(say(`mending.${value}`)),
        visits: visits.find((one) => one.mending === value)?.visits ?? 0,
      }),
    }));
  });
  protected readonly headline = computed((): Message => {
    const visits = this.store.visits();
    const ready = this.plans
      .plan()
      ?.days.tasks.filter(({ step }) => isMend(step))
      .map(({ end }) => end)
      .sort()
      .at(-1);
    return say('repairs.headline', {
      spots: this.store.totals().spots,
      visits: visits.length,
      work: this.format.duration(this.store.totals().workMin),
      ready: ready === undefined ? '' : this.format.time(ready),
    });
  });
  protected readonly price = computed(() => {
    const bid = this.plans.plan()?.bid;
    return bid && this.format.sum(bid.total, bid.digits);
  });
  /** Only repairs: the price is theirs. */
  protected readonly repairsOnly = computed(() =>
    (this.jobs.job()?.rooms ?? []).every((room) => room.standing),
  );
  protected readonly materials = computed((): Message[] => {
    const { litres, tapeMm, screws, patchM2, stripsMm, beadMm, sealL } = this.store.totals();
    const muds = Object.entries(litres) as [CompoundId, number][];
    return [
      ...muds.map(([id, wetL]) =>
        say('repairs.material', { compound: this.compound(id), litres: this.format.pot(wetL) }),
      ),
      ...(tapeMm > 0 ? [say('repairs.tape', { mm: tapeMm })] : []),
      ...(screws > 0 ? [say('repairs.screws', { screws })] : []),
      ...(patchM2 > 0 ? [say('repairs.patch', { area: patchM2 })] : []),
      ...(stripsMm > 0 ? [say('repairs.strips', { mm: stripsMm })] : []),
      ...(beadMm > 0 ? [say('repairs.bead', { mm: beadMm })] : []),
      ...(sealL > 0 ? [say('repairs.seal', { litres: sealL })] : []),
    ];
  });
  /** Faces where skimming it all comes to less than mending spot by spot, or nearly. */
  protected readonly instead = computed(() => {
    const plan = this.plans.plan();
    return (plan?.rooms ?? []).flatMap((room) =>
      room.instead.map((one) => ({
        key: `${room.id} ${one.face}`,
        said: say(one.skimIsLess ? 'repairs.skim' : 'repairs.spots', {
          room: this.jobs.job()?.rooms.find(({ id }) => id === room.id)?.name ?? '',
          face: faceName(room, one.face),
          mend: this.format.money(one.mendCost),
          skim: this.format.money(one.skimCost),
        }),
      })),
    );
  });
  /** How what is there is matched: by what is on the face of the room. */
  protected readonly match = computed((): Message[] => {
    const { kind, sheen } = DECORATION_FACTS[this.store.chosen()?.room.decoration ?? 'flat-paint'];
    return [
      say(
        kind === 'texture'
          ? 'repairs.match-texture'
          : kind === 'covering'
            ? 'repairs.match-covering'
            : 'repairs.match-smooth',
      ),
      say(sheen === undefined || sheen === 'flat' ? 'repairs.match-flat' : 'repairs.match-sheen'),
    ];
  });

  protected compound = (id: CompoundId) => this.view.book().compounds[id].name;
  protected taskWords = ({ tasks }: Visit) =>
    tasks.map((task) => ({
      id: task.id,
      at: this.format.clock(task.start),
      to: this.format.clock(task.end),
      said: say('today.line', {
        step: STEP_NAME[task.step],
        room: this.jobs.job()?.rooms.find(({ id }) => id === task.room)?.name ?? '',
      }),
      ready:
        task.readyLate.slice(0, 10) === task.end.slice(0, 10)
          ? this.format.clock(task.readyLate)
          : this.format.time(task.readyLate),
      waits: task.readyLate > task.end,
    }));
  protected carry = ({ muds, washL, vacuum, sealer }: Visit): Message[] => [
    ...muds.map(({ compound, litres, powderKg, waterL, vessel }) =>
      say(powderKg > 0 ? 'repairs.carry-powder' : 'repairs.carry-ready', {
        compound: this.compound(compound),
        litres: this.format.pot(litres),
        powder: powderKg,
        water: this.format.pot(waterL),
        vessel,
      }),
    ),
    ...(washL > 0 ? [say('repairs.carry-wash', { litres: washL })] : []),
    ...(sealer ? [say('repairs.carry-sealer')] : []),
    ...(vacuum ? [say('repairs.carry-vacuum')] : []),
  ];

  protected put(): void {
    this.line.set(this.store.put(this.line()));
  }

  /** One of a kind more, in the room that is looked at. */
  protected more(kind: DamageKind): void {
    const room = this.store.chosen()?.room ?? this.jobs.job()?.rooms.find((one) => one.standing);
    this.store.more(kind, room);
  }

  protected setMending(mending: Mending): void {
    this.jobs.edit('undo.mending', (job) => void (job.way.mending = mending));
  }
  protected freeMending(): void {
    this.jobs.edit('undo.mending', (job) => void delete job.way.mending);
  }
}
