import { bestCutting, type Solve } from '@lisse/core';
import { expose } from 'comlink';
import highs from 'highs';
import compiled from 'highs/runtime';
import type { CutsApi } from './api';
import { solveWith } from './solve';

let solver: Promise<Solve> | undefined;

/** The solver is fetched when it is first wanted: most jobs have so few pieces that every way is tried without it. */
const ready = (): Promise<Solve> => (solver ??= highs({ locateFile: () => compiled }).then(solveWith));

const api: CutsApi = {
  best: async (toCut) => bestCutting(toCut, await ready()),
};

expose(api);
