import type { Routes } from '@angular/router';
import { JobFrame } from './shell/job-frame';
import { leavesJob, opensJob } from './shell/leaving';
import { openLast } from './shell/open-last';

const rooms = () => import('./rooms/rooms-page').then((m) => m.RoomsPage);

/** The place a job is opened at is on its way while the job is looked for. */
const ahead = () => {
  void rooms().catch(() => undefined);
  return true;
};

export const routes: Routes = [
  { path: '', pathMatch: 'full', canActivate: [ahead, openLast], children: [] },
  { path: 'jobs', title: 'Jobs', loadComponent: () => import('./jobs/jobs-page').then((m) => m.JobsPage) },
  {
    path: 'job/:id',
    component: JobFrame,
    canActivate: [opensJob],
    canDeactivate: [leavesJob],
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'rooms' },
      {
        path: 'rooms',
        title: 'Rooms',
        loadComponent: rooms,
      },
      {
        path: 'finish',
        title: 'Finish',
        loadComponent: () => import('./ui/part-frame').then((m) => m.PartFrame),
        data: {
          label: 'Parts of Finish',
          parts: [
            { path: './', name: 'Grade and coats' },
            { path: 'way', name: 'Way of working' },
            { path: 'compounds', name: 'Compounds' },
            { path: 'tools', name: 'Tools' },
            { path: 'agreement', name: 'Agreement' },
          ],
        },
        children: [
          {
            path: '',
            pathMatch: 'full',
            loadComponent: () => import('./finish/coats-page').then((m) => m.CoatsPage),
          },
          {
            path: 'way',
            title: 'Way of working',
            loadComponent: () => import('./finish/way-page').then((m) => m.WayPage),
          },
          {
            path: 'compounds',
            title: 'Compounds',
            loadComponent: () => import('./finish/compounds-page').then((m) => m.CompoundsPage),
          },
          {
            path: 'tools',
            title: 'Tools',
            loadComponent: () => import('./finish/tools-page').then((m) => m.ToolsPage),
          },
          {
            path: 'agreement',
            title: 'Finish agreement',
            loadComponent: () => import('./finish/agreement-page').then((m) => m.AgreementPage),
          },
          { path: '**', redirectTo: '' },
        ],
      },
      {
        path: 'section',
        title: 'Section',
        loadComponent: () => import('./ui/part-frame').then((m) => m.PartFrame),
        data: {
          label: 'Parts of Section',
          parts: [
            { path: './', name: 'Cut across' },
            { path: 'wall', name: 'Whole wall' },
          ],
        },
        children: [
          {
            path: '',
            pathMatch: 'full',
            loadComponent: () => import('./section/section-page').then((m) => m.SectionPage),
          },
          {
            path: 'wall',
            title: 'Whole wall',
            loadComponent: () => import('./section/wall-page').then((m) => m.WallPage),
          },
          { path: '**', redirectTo: '' },
        ],
      },
      {
        path: 'order',
        title: 'Order',
        loadComponent: () => import('./order/order-page').then((m) => m.OrderPage),
      },
      {
        path: 'days',
        title: 'Days',
        loadComponent: () => import('./days/days-page').then((m) => m.DaysPage),
      },
      { path: '**', redirectTo: 'rooms' },
    ],
  },
  { path: '**', redirectTo: 'jobs' },
];
