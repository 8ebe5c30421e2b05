import { computed, inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router } from '@angular/router';
import type { Message } from '@lisse/core';
import { filter, map, startWith } from 'rxjs';
import { partsOf, PLACES } from '../places';

interface Shows {
  name: Message;
  ofRoom: boolean;
  ofDays: boolean;
  steady: boolean;
}

/** What is shown at each address below a job. */
const SHOWS = new Map<string, Shows>(
  PLACES.flatMap((place) => {
    const parts = partsOf(place);
    return (parts.length > 0 ? parts : [{ ...place, path: '' }]).map(
      ({ path, name, title, ofRoom, ofDays, steady }) => [
        path ? `${place.path}/${path}` : place.path,
        {
          name: title ?? (path ? name : place.name),
          ofRoom: ofRoom === true,
          ofDays: (ofDays ?? place.ofDays) === true,
          steady: steady === true,
        },
      ],
    );
  }),
);

/** The place of the open job, or the part of it, that is looked at. */
@Injectable({ providedIn: 'root' })
export class Here {
  private readonly router = inject(Router);
  /** The address, from the root of the page. */
  readonly url = toSignal(
    this.router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      map(() => this.router.url),
      startWith(this.router.url),
    ),
    { requireSync: true },
  );
  /** The job and the place in it, without its part: `/job/tarn-ferry/finish`. */
  readonly place = computed(() => this.url().split(/[?#]/)[0]?.split('/').slice(0, 4).join('/'));
  private readonly shows = computed(() => SHOWS.get(this.url().split('/').slice(3).join('/')));

  /** What it is called; nothing outside a job. */
  readonly name = computed(() => this.shows()?.name);
  /** One room of the job is looked at. */
  readonly ofRoom = computed(() => this.shows()?.ofRoom === true);
  /** What is shown rests on the plan of the days. */
  readonly ofDays = computed(() => this.shows()?.ofDays === true);
  /** Nothing in it moves while it comes. */
  readonly steady = computed(() => this.shows()?.steady === true);
}
