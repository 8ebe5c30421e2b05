import { expose, transfer } from 'comlink';
import { faultPicture, rectified } from '@lisse/core';
import type { WallApi } from './api';
import { WallRenderer } from './wall-renderer';

const walls = new WallRenderer();

const api: WallApi = {
  draw: (request) => walls.draw(request),
  light(request) {
    const lit = walls.light(request);
    return lit && transfer(lit, [lit.pixels.buffer]);
  },
  expect(request) {
    const found = walls.expect(request);
    return found && transfer(found, [found.pixels.buffer]);
  },
  fault(fault) {
    const made = faultPicture(fault);
    return transfer(made, [made.pixels.buffer]);
  },
  straight({ picture, corners, width, height }) {
    const made = rectified(picture, corners, { width, height });
    return made && transfer(made, [made.data.buffer]);
  },
  widths: (request) => walls.widths(request),
  shorten: (job, site, n) => walls.shorten(job, site, n),
  tryCures: (job, advice) => walls.tryCures(job, advice),
  hide: (job, light, shown, limit) => walls.hide(job, light, shown, limit),
};

expose(api);
