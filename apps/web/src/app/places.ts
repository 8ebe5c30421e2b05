import type { Type } from '@angular/core';
import { say, type Message } from '@lisse/core';
import type { IconName } from './ui/icon';

type Load = () => Promise<Type<unknown>>;

/** A part of a place, with a page of its own. */
interface Part {
  /** Below its place; the first part stands at the place itself. */
  path: string;
  name: Message;
  /** What the page is called where its name would not do alone. */
  title?: Message;
  /** Words it is found by besides. */
  words?: Message;
  /** One room of the job is looked at, and chosen at the top. */
  ofRoom?: true;
  /** What it shows rests on the plan of the days: the best one is searched for while it is looked at. */
  ofDays?: true;
  /** What comes later has its room kept: it is shown as soon as there is a plan, and fills up. */
  steady?: true;
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
    name: say('place.rooms'),
    icon: 'rooms',
    key: '1',
    steady: true,
    page: () => import('./rooms/rooms-page').then((m) => m.RoomsPage),
  },
  {
    path: 'finish',
    name: say('place.finish'),
    icon: 'finish',
    key: '2',
    page: [
      {
        path: '',
        name: say('place.finish.main'),
        ofRoom: true,
        load: () => import('./finish/coats-page').then((m) => m.CoatsPage),
      },
      {
        path: 'way',
        name: say('place.finish.way'),
        ofDays: true,
        load: () => import('./finish/way-page').then((m) => m.WayPage),
      },
      {
        path: 'compounds',
        name: say('place.finish.compounds'),
        words: say('place.finish.compounds.words'),
        ofRoom: true,
        load: () => import('./finish/compounds-page').then((m) => m.CompoundsPage),
      },
      {
        path: 'tools',
        name: say('place.finish.tools'),
        words: say('place.finish.tools.words'),
        load: () => import('./finish/tools-page').then((m) => m.ToolsPage),
      },
      {
        path: 'agreement',
        name: say('place.finish.agreement'),
        title: say('place.finish.agreement.title'),
        ofDays: true,
        load: () => import('./finish/agreement-page').then((m) => m.AgreementPage),
      },
    ],
  },
  {
    path: 'section',
    name: say('place.section'),
    icon: 'section',
    key: '3',
    page: [
      {
        path: '',
        name: say('place.section.main'),
        ofRoom: true,
        load: () => import('./section/section-page').then((m) => m.SectionPage),
      },
      {
        path: 'wall',
        name: say('place.section.wall'),
        words: say('place.section.wall.words'),
        ofRoom: true,
        load: () => import('./section/wall-page').then((m) => m.WallPage),
      },
    ],
  },
  {
    path: 'order',
    name: say('place.order'),
    icon: 'order',
    key: '4',
    ofDays: true,
    page: [
      {
        path: '',
        name: say('place.order.main'),
        load: () => import('./order/van-page').then((m) => m.VanPage),
      },
      {
        path: 'list',
        name: say('place.order.list'),
        words: say('place.order.list.words'),
        load: () => import('./order/list-page').then((m) => m.ListPage),
      },
      {
        path: 'cutting',
        name: say('place.order.cutting'),
        words: say('place.order.cutting.words'),
        load: () => import('./order/cutting-page').then((m) => m.CuttingPage),
      },
      {
        path: 'stock',
        name: say('place.order.stock'),
        words: say('place.order.stock.words'),
        load: () => import('./order/stock-page').then((m) => m.StockPage),
      },
      {
        path: 'bid',
        name: say('place.order.bid'),
        words: say('place.order.bid.words'),
        load: () => import('./order/bid-page').then((m) => m.BidPage),
      },
    ],
  },
  {
    path: 'days',
    name: say('place.days'),
    icon: 'days',
    key: '5',
    ofDays: true,
    page: () => import('./days/days-page').then((m) => m.DaysPage),
  },
  {
    path: 'today',
    name: say('place.today'),
    icon: 'today',
    key: '6',
    ofDays: true,
    page: [
      {
        path: '',
        name: say('place.today.main'),
        load: () => import('./today/now-page').then((m) => m.NowPage),
      },
      {
        path: 'run',
        name: say('place.today.run'),
        words: say('place.today.run.words'),
        load: () => import('./today/run-page').then((m) => m.RunPage),
      },
      {
        path: 'pins',
        name: say('place.today.pins'),
        words: say('place.today.pins.words'),
        load: () => import('./today/pins-page').then((m) => m.PinsPage),
      },
      {
        path: 'tools',
        name: say('place.today.tools'),
        words: say('place.today.tools.words'),
        load: () => import('./today/tools-page').then((m) => m.ToolsPage),
      },
      {
        path: 'day',
        name: say('place.today.day'),
        words: say('place.today.day.words'),
        load: () => import('./today/day-page').then((m) => m.DayPage),
      },
      {
        path: 'phones',
        name: say('place.today.phones'),
        words: say('place.today.phones.words'),
        load: () => import('./today/phones-page').then((m) => m.PhonesPage),
      },
    ],
  },
  {
    path: 'check',
    name: say('place.check'),
    icon: 'check',
    key: '7',
    ofDays: true,
    page: [
      {
        path: '',
        name: say('place.check.round'),
        words: say('place.check.round.words'),
        load: () => import('./check/round-page').then((m) => m.RoundPage),
      },
      {
        path: 'findings',
        name: say('place.check.findings'),
        words: say('place.check.findings.words'),
        load: () => import('./check/findings-page').then((m) => m.FindingsPage),
      },
      {
        path: 'photo',
        name: say('place.check.photo'),
        words: say('place.check.photo.words'),
        load: () => import('./check/lamp-photo-page').then((m) => m.LampPhotoPage),
      },
      {
        path: 'sign',
        name: say('place.check.sign'),
        words: say('place.check.sign.words'),
        load: () => import('./check/sign-page').then((m) => m.SignPage),
      },
      {
        path: 'repairs',
        name: say('place.check.repairs'),
        words: say('place.check.repairs.words'),
        load: () => import('./check/repairs-page').then((m) => m.RepairsPage),
      },
    ],
  },
];

/** Parts of a place; none where it is one page. */
export const partsOf = ({ page }: Place): readonly Part[] => (typeof page === 'function' ? [] : page);
