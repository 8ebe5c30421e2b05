/** What each of these must come to before anything else does. */
const ENDS: Record<string, string> = {
  SECTION: 'ENDSEC',
  TABLE: 'ENDTAB',
  BLOCK: 'ENDBLK',
  POLYLINE: 'SEQEND',
};
const ENDINGS = new Set(Object.values(ENDS));
/** All that may stand in these before they end. */
const INSIDE: Record<string, ReadonlySet<string>> = {
  SEQEND: new Set(['VERTEX']),
  ENDTAB: new Set(['APPID', 'BLOCK_RECORD', 'DIMSTYLE', 'LAYER', 'LTYPE', 'STYLE', 'UCS', 'VIEW', 'VPORT']),
};
/** Group codes whose values are numbers: coordinates, lengths, counts. */
const isNumbered = (code: number): boolean => code >= 10 && code <= 99;
/** The group codes of a corner, and of how many corners a light polyline has. */
const [X, Y, CORNERS] = [10, 20, 90];
const LIGHT = 'LWPOLYLINE';

/**
 * Whether a DXF drawing is whole: lines in pairs of a code and a value, numbers where numbers belong, everything that is
 * begun ended in its order, and as many corners as are told. The package that reads drawings goes round for ever in
 * one that is not.
 */
export function isWholeDrawing(text: string): boolean {
  const lines = text.split(/\r\n|\r|\n/);
  const open: string[] = [];
  /** Of the light polyline that is being read: corners told, and seen so far. */
  let [told, corners] = [NaN, 0];
  let [entity, last] = ['', 0];
  for (let i = 0; i + 1 < lines.length; i += 2) {
    const written = (lines[i] as string).trim();
    const value = (lines[i + 1] as string).trim();
    if (!/^-?\d{1,4}$/.test(written)) return false;
    const code = Number(written);
    if (isNumbered(code) && (value === '' || !Number.isFinite(Number(value)))) return false;
    if (entity === LIGHT) {
      if (last === X && code !== Y) return false;
      if (code === CORNERS) told = Number(value);
      if (code === X) corners++;
      if (code === 0 && told > 0 && told !== corners) return false;
    }
    last = code;
    if (code !== 0) continue;
    [entity, told, corners] = [value, NaN, 0];
    const inside = open.at(-1);
    if (value === 'EOF') return open.length === 0;
    if (value === inside) open.pop();
    else if (ENDINGS.has(value)) return false;
    else if ((inside === undefined) !== (value === 'SECTION')) return false;
    else if (inside !== undefined && INSIDE[inside]?.has(value) === false) return false;
    else if (ENDS[value] !== undefined) open.push(ENDS[value]);
  }
  return false;
}
