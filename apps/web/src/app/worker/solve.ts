import type { Solve } from '@lisse/core';

/** A solver of integer programs in text. */
export interface Solver {
  solve(
    program: string,
    options: { time_limit: number; mip_rel_gap: number },
  ): { Status: string; Columns: Record<string, object> };
}

/** It is left at what it has found by then, s. */
const MOST_S = 10;

/** What the solver says, by the number of the column. */
export const solveWith =
  (solver: Solver): Solve =>
  (program) => {
    const { Status, Columns } = solver.solve(program, { time_limit: MOST_S, mip_rel_gap: 0 });
    const times: number[] = [];
    for (const [name, column] of Object.entries(Columns))
      if ('Primal' in column && typeof column.Primal === 'number')
        times[Number(name.slice(1))] = column.Primal;
    return times.some((n) => n > 0.5) ? { times, proved: Status === 'Optimal' } : undefined;
  };
