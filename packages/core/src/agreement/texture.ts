import type { Decoration } from '../job';
import { sequence } from '../units';

/** Decorations with a drawing of their own. */
export const TEXTURES = [
  'knockdown',
  'heavy-spray',
  'skip-trowel',
  'light-spray',
  'imperfect-smooth',
] as const;
export type Texture = (typeof TEXTURES)[number];

export const isTexture = (decoration: Decoration): decoration is Texture =>
  (TEXTURES as readonly string[]).includes(decoration);

const WIDTH = 160;
const HEIGHT = 100;

const n = (value: number): string => value.toFixed(1);

/** A closed, uneven outline about a place. */
function blob(next: () => number, x: number, y: number, size: number): string {
  const corners = 9;
  const points = Array.from({ length: corners }, (_, i) => {
    const r = size * (0.65 + 0.5 * next());
    const a = (2 * Math.PI * i) / corners;
    return `${n(x + r * Math.cos(a))} ${n(y + 0.75 * r * Math.sin(a))}`;
  });
  return `M${points.join('L')}Z`;
}

/** A drop or a mound: a dark rim below, a light one above, as a lamp from the top shows it. */
const raised = (path: string): string =>
  `<path d="${path}" transform="translate(0.8 1.2)" fill="#b9ab97"/><path d="${path}" fill="#f6f2ea"/>`;

const DRAW: Record<Texture, (next: () => number) => string> = {
  knockdown: (next) =>
    Array.from({ length: 26 }, () =>
      raised(blob(next, next() * WIDTH, next() * HEIGHT, 6 + 9 * next())),
    ).join(''),
  'heavy-spray': (next) =>
    Array.from({ length: 190 }, () =>
      raised(blob(next, next() * WIDTH, next() * HEIGHT, 2 + 3 * next())),
    ).join(''),
  'light-spray': (next) =>
    Array.from({ length: 120 }, () =>
      raised(blob(next, next() * WIDTH, next() * HEIGHT, 0.8 + 1.1 * next())),
    ).join(''),
  'skip-trowel': (next) =>
    Array.from({ length: 15 }, () => {
      const [x, y, turn, r] = [next() * WIDTH, next() * HEIGHT, next() * 360, 12 + 14 * next()];
      const arc = `M${n(-r)} 0Q0 ${n(-r * 0.9)} ${n(r)} 0Q0 ${n(-r * 0.35)} ${n(-r)} 0Z`;
      return `<g transform="translate(${n(x)} ${n(y)}) rotate(${n(turn)})">${raised(arc)}</g>`;
    }).join(''),
  'imperfect-smooth': (next) =>
    Array.from({ length: 16 }, () => {
      const [x, y, long, turn] = [next() * WIDTH, next() * HEIGHT, 30 + 50 * next(), -12 + 24 * next()];
      const stroke = `M${n(-long)} 0Q0 ${n(-3 - 4 * next())} ${n(long)} 0Q0 ${n(2 + 3 * next())} ${n(-long)} 0Z`;
      return `<g transform="translate(${n(x)} ${n(y)}) rotate(${n(turn)})" opacity="0.75">${raised(stroke)}</g>`;
    }).join(''),
};

/** Our own drawing of a texture, as an SVG document. */
export function textureSvg(texture: Texture): string {
  const seed = TEXTURES.indexOf(texture) * 7919 + 17;
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}" viewBox="0 0 ${WIDTH} ${HEIGHT}">` +
    `<rect width="${WIDTH}" height="${HEIGHT}" fill="#e4ddd0"/>${DRAW[texture](sequence(seed))}</svg>`
  );
}
