import { expose, transfer } from 'comlink';
import type { WallApi } from './api';
import { WallDesk } from './wall-desk';

const walls = new WallDesk();

const api: WallApi = {
  drawWall: (request) => walls.draw(request),
  lightWall(request) {
    const lit = walls.light(request);
    return lit && transfer(lit, [lit.pixels.buffer]);
  },
  widths: (request) => walls.widths(request),
  shorten: (job, site, n) => walls.shorten(job, site, n),
  tryCures: (job, advice) => walls.tryCures(job, advice),
  hide: (job, light, shown, limit) => walls.hide(job, light, shown, limit),
};

expose(api);
