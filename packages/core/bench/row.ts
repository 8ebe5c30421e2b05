/** One figure of the bench, with what it is held against. */
export interface BenchRow {
  what: string;
  took: string;
  /** Its ratio to another figure of the same run, or what else tells how to read it. */
  against?: string;
  /** What it should come to, and whether it does; none for a figure others are held against. */
  aim?: { text: string; met: boolean };
}

/** An aim that a figure must not be over. */
export const atMost = (figure: number, most: number, unit: string): BenchRow['aim'] => ({
  text: `${most}${unit.startsWith(' ') ? unit : ` ${unit}`} or less`,
  met: figure <= most,
});

export type Median = (runs: number, work: (i: number) => unknown) => number;

/** Median of several runs, ms. */
export const median: Median = (runs, work) => {
  const times = Array.from({ length: runs }, (_, i) => {
    const start = performance.now();
    work(i);
    return performance.now() - start;
  });
  return at(times, 0.5);
};

/** The same by what the processor worked, all threads together, ms. */
export const medianCpu: Median = (runs, work) => {
  const times = Array.from({ length: runs }, (_, i) => {
    const start = process.cpuUsage();
    work(i);
    const { user, system } = process.cpuUsage(start);
    return (user + system) / 1000;
  });
  return at(times, 0.5);
};

/** Of some figures the one that so great a share of them is not over. */
export const at = (figures: readonly number[], share: number): number =>
  [...figures].sort((a, b) => a - b)[Math.min(figures.length - 1, Math.floor(figures.length * share))] ?? NaN;
