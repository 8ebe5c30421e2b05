import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import {
  isFaceSeen,
  LAMP_SIDES,
  lampsFor,
  LIMITS,
  say,
  type Four,
  type LampSide,
  type Message,
  type Photo,
  type Pixels,
} from '@lisse/core';
import { JobStore } from '../state/job.store';
import { LogStore } from '../state/log.store';
import { starting, Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { JobStorage } from '../storage/job-storage';
import { Choice } from '../ui/choice';
import { MeasureInput } from '../ui/measure-input';
import { Segmented } from '../ui/segmented';
import { PhotoPress } from '../ui/photo-press';
import type { Spot } from '../ui/pin-drawing';
import { SitePictures } from '../ui/small-picture';
import { WallClient } from '../worker/wall-client';
import { CheckStore } from './check.store';
import { CornerPicker } from './corner-picker';
import { FaceLook } from './face-look';
import { FacePress } from './face-press';
import { FindCard } from './find-card';
import { StraightPhoto } from './straight-photo';

/** Where the corners are looked for first: a hand's breadth inside the picture. */
const FIRST: [number, number][] = [
  [0.1, 0.9],
  [0.9, 0.9],
  [0.9, 0.1],
  [0.1, 0.1],
];
/** The wall seen straight on is made so wide at most, px. */
const WIDE_PX = 1000;

/** Check, a photo under the lamp: laid over the face by its corners, pinned on, and held beside what was expected. */
@Component({
  selector: 'ls-lamp-photo-page',
  imports: [
    Choice,
    CornerPicker,
    FaceLook,
    FacePress,
    FindCard,
    MeasureInput,
    Segmented,
    PhotoPress,
    StraightPhoto,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './lamp-photo-page.html',
  styleUrls: ['../ui/large.css', './check.css'],
  styles: `
    ls-photo-press {
      flex: 1;
    }
    .pair {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
      gap: var(--apart);
      align-items: start;
    }
    .places {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: var(--close);
    }
  `,
})
export class LampPhotoPage {
  protected readonly texts = inject(Texts);
  protected readonly store = inject(CheckStore);
  private readonly jobs = inject(JobStore);
  private readonly logs = inject(LogStore);
  private readonly pictures = inject(SitePictures);
  private readonly storage = inject(JobStorage);
  private readonly view = inject(ViewStore);
  private readonly client = inject(WallClient);
  protected readonly limits = LIMITS;

  private readonly chosen = signal<string | undefined>(undefined);
  protected readonly told = signal<Message | undefined>(undefined);
  protected readonly spot = signal<Spot | undefined>(undefined);
  protected readonly address = signal<string | undefined>(undefined);
  protected readonly straight = signal<Pixels | undefined>(undefined);
  private readonly picture = signal<Pixels | undefined>(undefined);
  /** Put by hand, and not yet kept. */
  private readonly put = signal<{ of: string; corners: [number, number][] } | undefined>(undefined);

  protected readonly faces = computed(() => this.store.walk().map(({ id, name }) => ({ value: id, name })));
  protected readonly photos = computed((): Photo[] =>
    this.store
      .pins()
      .photos.filter(({ room, face }) => room === this.store.room()?.id && face === this.store.face()?.id),
  );
  protected readonly photo = computed((): Photo | undefined => {
    const photos = this.photos();
    return photos.find(({ photo }) => photo === this.chosen()) ?? photos.at(-1);
  });
  /** By itself: what is told of it anew does not load it again. */
  private readonly photoId = computed(() => this.photo()?.photo);
  protected readonly corners = computed((): [number, number][] => {
    const [photo, put] = [this.photo(), this.put()];
    return (put && put.of === photo?.photo ? put.corners : photo?.corners) ?? FIRST;
  });
  protected readonly seen = computed(() => isFaceSeen(this.corners() as unknown as Four));

  private readonly usualOff = computed(() => this.view.book().lampOffMm.value);
  private readonly sideChosen = signal<LampSide>('left');
  private readonly offChosen = signal<number | undefined>(undefined);
  protected readonly sides = LAMP_SIDES.map((side) => ({
    value: side,
    name: starting(say(`lamp-side.${side}`)),
  }));
  protected readonly side = computed((): LampSide => {
    const [face, lamp] = [this.store.face(), this.photo()?.lamp];
    const kept =
      face &&
      lamp &&
      lampsFor(face, lamp.offMm).find(
        ({ light }) => Math.hypot(light.u - lamp.at[0], light.v - lamp.at[1]) < 1,
      );
    return kept?.side ?? this.sideChosen();
  });
  protected readonly off = computed(() => this.photo()?.lamp?.offMm ?? this.offChosen() ?? this.usualOff());
  protected readonly lamp = computed(() => {
    const face = this.store.face();
    return face && lampsFor(face, this.off()).find(({ side }) => side === this.side());
  });

  constructor() {
    effect(() => {
      const [job, photo] = [this.jobs.id(), this.photoId()];
      untracked(() => void this.load(job, photo));
    });
    effect((over) => {
      const [picture, corners, face, seen] = [this.picture(), this.corners(), this.store.face(), this.seen()];
      if (!picture || !face || !seen) return this.straight.set(undefined);
      // Dragged on, the last place counts.
      const timer = setTimeout(() => void this.rectify(picture, corners, face.box), 120);
      over(() => clearTimeout(timer));
    });
  }

  private async load(job: string | undefined, photo: string | undefined): Promise<void> {
    const before = this.address();
    if (before !== undefined) URL.revokeObjectURL(before);
    this.address.set(undefined);
    this.picture.set(undefined);
    if (job === undefined || photo === undefined) return;
    const bytes = await this.storage.photo(job, photo).catch(() => undefined);
    if (this.photo()?.photo !== photo) return;
    if (!bytes) return this.told.set(say('photo.elsewhere'));
    const file = new Blob([bytes], { type: 'image/jpeg' });
    this.address.set(URL.createObjectURL(file));
    const bitmap = await createImageBitmap(file);
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [bitmap.width, bitmap.height];
    const context = canvas.getContext('2d', { willReadFrequently: true });
    context?.drawImage(bitmap, 0, 0);
    bitmap.close();
    const data = context?.getImageData(0, 0, canvas.width, canvas.height).data;
    if (data && this.photo()?.photo === photo)
      this.picture.set({ width: canvas.width, height: canvas.height, data: new Uint8ClampedArray(data) });
  }

  private async rectify(
    picture: Pixels,
    corners: [number, number][],
    [u0, v0, u1, v1]: readonly [number, number, number, number],
  ): Promise<void> {
    const scale = WIDE_PX / Math.max(u1 - u0, v1 - v0);
    try {
      this.straight.set(
        await this.client.straight({
          picture,
          corners: corners as unknown as Four,
          width: Math.max(1, Math.round((u1 - u0) * scale)),
          height: Math.max(1, Math.round((v1 - v0) * scale)),
        }),
      );
    } catch {
      this.told.set(say('lamp-photo.not'));
    }
  }

  protected async take(file: File): Promise<void> {
    const [room, face, lamp] = [this.store.room()?.id, this.store.face()?.id, this.lamp()];
    if (room === undefined || face === undefined) return;
    try {
      const bytes = await this.pictures.kept(file);
      const light = lamp ? this.under(lamp.light) : {};
      if (await this.logs.photograph(bytes, { room, face, ...light })) {
        this.chosen.set(undefined);
        this.told.set(say('lamp-photo.now-corners'));
      }
    } catch {
      this.told.set(say('photo.not', { file: file.name }));
    }
  }

  private under = ({ u, v, offMm }: { u: number; v: number; offMm: number }) => ({
    lamp: [Math.round(u), Math.round(v)] as [number, number],
    lampOffMm: offMm,
  });

  protected place(corners: [number, number][]): void {
    const photo = this.photo();
    if (photo) this.put.set({ of: photo.photo, corners });
  }

  /** Keeps the corners and the lamp with the photo. */
  protected async keep(): Promise<void> {
    const [photo, lamp] = [this.photo(), this.lamp()];
    if (!photo) return;
    const { id, photo: kept, room, face } = photo;
    const written = await this.logs.tell('undo.log-photo-laid', {
      kind: 'photo',
      photo: kept,
      corrects: id,
      corners: this.corners(),
      ...(room === undefined ? {} : { room }),
      ...(face === undefined ? {} : { face }),
      ...(lamp ? this.under(lamp.light) : {}),
    });
    if (written) this.told.set(say('lamp-photo.kept'));
  }

  protected choose(photo: string): void {
    this.chosen.set(photo);
    this.told.set(undefined);
  }

  protected setSide(side: LampSide): void {
    this.sideChosen.set(side);
    void this.relamp(side, this.off());
  }
  protected setOff(offMm: number): void {
    this.offChosen.set(offMm);
    void this.relamp(this.side(), offMm);
  }
  /** The lamp of a photo that is kept was another: told again. */
  private async relamp(side: LampSide, offMm: number): Promise<void> {
    const [photo, face] = [this.photo(), this.store.face()];
    const lamp = face && lampsFor(face, offMm).find((one) => one.side === side);
    if (!photo || !lamp) return;
    await this.logs.tell('undo.log-photo-laid', {
      kind: 'photo',
      photo: photo.photo,
      corrects: photo.id,
      ...(photo.room === undefined ? {} : { room: photo.room }),
      ...(photo.face === undefined ? {} : { face: photo.face }),
      ...(photo.corners ? { corners: photo.corners } : {}),
      ...this.under(lamp.light),
    });
  }
}
