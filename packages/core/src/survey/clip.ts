import * as packaged from 'polygon-clipping';
import { signedArea2, type Point } from '../job';
import { shapeOf, type Shape } from './geometry';

// The package exports by name for types and as one default where it is an ES module.
const clipping = (packaged as unknown as { default?: typeof packaged }).default ?? packaged;

type Ring = [number, number][];
type Many = Ring[][];

/** A millionth of a metre: exact enough for board, coarse enough that equal edges are equal. */
const snap = (n: number): number => Math.round(n * 1000) / 1000;
const asPolygon = (ring: readonly Point[]): Ring[] => [
  ring.map(([u, v]): [number, number] => [snap(u), snap(v)]),
];

/** Slivers under this are not surfaces, mm². */
const LEAST_MM2 = 100;

function asShape(many: Many): Shape {
  const outlines: Point[][] = [];
  const holes: Point[][] = [];
  for (const polygon of many) {
    polygon.forEach((closed, i) => {
      const ring = closed.slice(0, -1);
      if (Math.abs(signedArea2(ring)) / 2 < LEAST_MM2) return;
      (i === 0 ? outlines : holes).push(ring);
    });
  }
  return shapeOf(outlines, holes);
}

/** What lies in `ring` and, where any are given, in every one of `within`, but in none of `without`. */
export function cutOut(
  ring: readonly Point[],
  without: readonly (readonly Point[])[],
  within: readonly (readonly Point[])[] = [],
): Shape {
  if (without.length === 0 && within.length === 0) return shapeOf([ring]);
  let left: Many = [asPolygon(ring)];
  if (within.length > 0) left = clipping.intersection(left, ...within.map(asPolygon));
  if (without.length > 0 && left.length > 0) left = clipping.difference(left, ...without.map(asPolygon));
  return asShape(left);
}

/** The part of a shape on one side of an upright or level line. */
export function sideOf(shape: Shape, runs: 'up' | 'along', atMm: number, keep: 'low' | 'high'): Shape {
  const far = 1e6;
  const [a, b] = keep === 'low' ? [-far, atMm] : [atMm, far];
  const half: Point[] =
    runs === 'up'
      ? [
          [a, -far],
          [b, -far],
          [b, far],
          [a, far],
        ]
      : [
          [-far, a],
          [far, a],
          [far, b],
          [-far, b],
        ];
  const outlines = shape.rings.filter((ring) => signedArea2(ring) > 0).map(asPolygon);
  const holes = shape.rings.filter((ring) => signedArea2(ring) < 0).map(asPolygon);
  let left: Many = clipping.intersection(outlines as Many, asPolygon(half));
  if (holes.length > 0 && left.length > 0) left = clipping.difference(left, ...holes);
  return asShape(left);
}
