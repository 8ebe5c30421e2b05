import type { Route, Routes } from '@angular/router';
import { say } from '@lisse/core';
import { partsOf, PLACES, type Place } from './places';
import { JobFrame } from './shell/job-frame';
import { leavesJob, opensJob } from './shell/leaving';
import { openLast } from './shell/open-last';

const [FIRST] = PLACES as [Place, ...Place[]];

/** The place a job is opened at is on its way while the job is looked for. */
const ahead = () => {
  if (typeof FIRST.page === 'function') void FIRST.page().catch(() => undefined);
  return true;
};

function routeOf(place: Place): Route {
  const { path, name, page } = place;
  if (typeof page === 'function') return { path, data: { title: name }, loadComponent: page };
  const parts = partsOf(place);
  return {
    path,
    loadComponent: () => import('./ui/part-frame').then((m) => m.PartFrame),
    data: {
      title: name,
      label: say('place.parts', { place: name }),
      parts: parts.map((p) => ({ path: p.path || './', name: p.name })),
    },
    children: [
      ...parts.map((part): Route => ({
        path: part.path,
        ...(part.path === '' ? { pathMatch: 'full' } : { data: { title: part.title ?? part.name } }),
        loadComponent: part.load,
      })),
      { path: '**', redirectTo: '' },
    ],
  };
}

export const routes: Routes = [
  { path: '', pathMatch: 'full', canActivate: [ahead, openLast], children: [] },
  {
    path: 'jobs',
    data: { title: say('jobs') },
    loadComponent: () => import('./jobs/jobs-page').then((m) => m.JobsPage),
  },
  {
    path: 'job/:id',
    component: JobFrame,
    canActivate: [opensJob],
    canDeactivate: [leavesJob],
    children: [
      { path: '', pathMatch: 'full', redirectTo: FIRST.path },
      ...PLACES.map(routeOf),
      { path: '**', redirectTo: FIRST.path },
    ],
  },
  { path: '**', redirectTo: 'jobs' },
];
