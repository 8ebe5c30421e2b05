import { bounds, JOINT, type JointKind, type Point, type Room } from '../job';
import type { Say } from '../speech';
import { drawn, type Surveyed } from './drawn';
import { forXml } from './plain-text';

const tidy = (n: number): string => String(Math.round(n * 10) / 10);

/** The line of a joint kind: width, ends and dashes. */
function lineOf(kind: JointKind): string {
  const { widthMm, dashesMm, round } = JOINT[kind].line;
  const dashes = dashesMm ? ` stroke-dasharray="${dashesMm.join(' ')}"` : '';
  return `stroke-width="${widthMm}"${round ? ' stroke-linecap="round"' : ''}${dashes}`;
}

/** The unfolded room as an SVG picture at true scale: one unit is a millimetre. */
export function roomSvg(room: Room, survey: Surveyed, say: Say): string {
  const drawing = drawn(room, survey);
  const all = drawing.faces.flatMap((face) => face.rings.flat());
  const [x0, y0, x1, y1] = all.length > 0 ? bounds(all) : [0, 0, 100, 100];
  const margin = 200;
  const [width, height] = [x1 - x0 + 2 * margin, y1 - y0 + 2 * margin];
  const at = ([x, y]: Point): string => `${tidy(x - x0 + margin)} ${tidy(y1 - y + margin)}`;
  const path = (points: readonly Point[], close: boolean): string =>
    `M${points.map(at).join('L')}${close ? 'Z' : ''}`;
  const lines = [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${tidy(width)}mm" height="${tidy(height)}mm" viewBox="0 0 ${tidy(width)} ${tidy(height)}">`,
    `<title>${forXml(room.name)}</title>`,
    ...drawing.faces.map(
      (face) =>
        `<path id="${forXml(face.id)}" d="${face.rings.map((ring) => path(ring, true)).join('')}" fill="#fbfaf6" fill-rule="evenodd" stroke="#66635b" stroke-width="6"><title>${forXml(say(face.name))}</title></path>`,
    ),
    ...drawing.boards.map(
      (board) => `<path d="${path(board.ring, true)}" fill="none" stroke="#dcd6ca" stroke-width="4"/>`,
    ),
    ...drawing.openings.map(
      (o) =>
        `<path id="${forXml(o.id)}" d="${path(o.ring, true)}" fill="#e3ded2" stroke="#66635b" stroke-width="6"/>`,
    ),
    ...drawing.joints.map(
      (joint) =>
        `<path id="${forXml(joint.id)}" d="${path(joint.points, false)}" fill="none" stroke="#24262b" ${lineOf(joint.kind)}><title>${forXml(joint.kind)}</title></path>`,
    ),
    '</svg>',
  ];
  return `${lines.join('\n')}\n`;
}
