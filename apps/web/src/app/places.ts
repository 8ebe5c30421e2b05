import type { Type } from '@angular/core';
import type { IconName } from './ui/icon';

type Load = () => Promise<Type<unknown>>;

/** A part of a place, with a page of its own. */
interface Part {
  /** Below its place; the first part stands at the place itself. */
  path: string;
  name: string;
  /** What the page is called where its name would not do alone. */
  title?: string;
  /** Words it is found by besides. */
  words?: string;
  /** One room of the job is looked at, and chosen at the top. */
  ofRoom?: true;
  load: Load;
}

/** A place of a job. */
export interface Place extends Omit<Part, 'load'> {
  icon: IconName;
  /** Goes there when pressed. */
  key: string;
  page: Load | readonly Part[];
}

/**
 * The places of a job in the order of the work. Addresses, the rail, the keys, what is found by a few letters and
 * the room at the top go by this table: a place is a folder and an entry here.
 */
export const PLACES: readonly Place[] = [
  {
    path: 'rooms',
    name: 'Rooms',
    icon: 'rooms',
    key: '1',
    page: () => import('./rooms/rooms-page').then((m) => m.RoomsPage),
  },
  {
    path: 'finish',
    name: 'Finish',
    icon: 'finish',
    key: '2',
    page: [
      {
        path: '',
        name: 'Grade and coats',
        ofRoom: true,
        load: () => import('./finish/coats-page').then((m) => m.CoatsPage),
      },
      {
        path: 'way',
        name: 'Way of working',
        load: () => import('./finish/way-page').then((m) => m.WayPage),
      },
      {
        path: 'compounds',
        name: 'Compounds',
        words: 'peel tests products figures',
        ofRoom: true,
        load: () => import('./finish/compounds-page').then((m) => m.CompoundsPage),
      },
      {
        path: 'tools',
        name: 'Tools',
        words: 'owned knives boxes',
        load: () => import('./finish/tools-page').then((m) => m.ToolsPage),
      },
      {
        path: 'agreement',
        name: 'Agreement',
        title: 'Finish agreement',
        load: () => import('./finish/agreement-page').then((m) => m.AgreementPage),
      },
    ],
  },
  {
    path: 'section',
    name: 'Section',
    icon: 'section',
    key: '3',
    page: [
      {
        path: '',
        name: 'Cut across',
        ofRoom: true,
        load: () => import('./section/section-page').then((m) => m.SectionPage),
      },
      {
        path: 'wall',
        name: 'Whole wall',
        words: 'light lamp shows',
        ofRoom: true,
        load: () => import('./section/wall-page').then((m) => m.WallPage),
      },
    ],
  },
  {
    path: 'order',
    name: 'Order',
    icon: 'order',
    key: '4',
    page: () => import('./order/order-page').then((m) => m.OrderPage),
  },
  {
    path: 'days',
    name: 'Days',
    icon: 'days',
    key: '5',
    page: () => import('./days/days-page').then((m) => m.DaysPage),
  },
];

/** Parts of a place; none where it is one page. */
export const partsOf = ({ page }: Place): readonly Part[] => (typeof page === 'function' ? [] : page);
