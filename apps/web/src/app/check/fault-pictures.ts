import { inject, Injectable, signal, type Signal } from '@angular/core';
import type { Fault, FaultPicture } from '@lisse/core';
import { WallClient } from '../worker/wall-client';

/** Pictures of the kinds of findings, each made once, when it is first looked at. */
@Injectable({ providedIn: 'root' })
export class FaultPictures {
  private readonly client = inject(WallClient);
  private readonly made = new Map<Fault, Signal<FaultPicture | undefined>>();

  of(fault: Fault): Signal<FaultPicture | undefined> {
    const known = this.made.get(fault);
    if (known) return known;
    const picture = signal<FaultPicture | undefined>(undefined);
    this.made.set(fault, picture);
    // Without its picture a kind is told by its words; the next look asks again.
    this.client.fault(fault).then(picture.set.bind(picture), () => this.made.delete(fault));
    return picture;
  }
}
