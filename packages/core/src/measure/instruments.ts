/** Air as a made-up hygrometer shows it in a room under work: warmer and drier by day, damp from the mud. */
export function madeUpAir(at: string, random: () => number): { tempC: number; rhPct: number } {
  const hour = Number(at.slice(11, 13)) + Number(at.slice(14, 16)) / 60;
  const day = Number(at.slice(8, 10));
  // Coldest before dawn, warmest in the afternoon; each day a little otherwise.
  const swing = Math.sin(((hour - 9) / 24) * 2 * Math.PI);
  const tempC = 18.5 + 2 * swing + Math.sin(day * 1.7) + (random() - 0.5) * 0.8;
  const rhPct = 58 - 5 * swing + 4 * Math.sin(day * 2.3) + (random() - 0.5) * 4;
  return { tempC: Math.round(tempC * 10) / 10, rhPct: Math.round(rhPct) };
}

/**
 * Moisture as a made-up meter shows it on a coat: much at first, next to nothing once it is dry.
 * @param share how much of its drying time has passed, 0 to 1 and more
 * @returns percent
 */
export function madeUpMoisture(share: number, random: () => number): number {
  const left = Math.max(0, 1 - share);
  const wet = 0.4 + 4.6 * left + (random() - 0.5) * 0.2;
  return Math.round(Math.max(0, wet) * 10) / 10;
}
