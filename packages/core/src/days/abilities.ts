import type { Step } from '../job';
import type { RowDone } from '../log';
import { does, type CrewMember } from './crew';
import type { RowStep } from './work';

/** Who does what, asked for every task. */
export class Abilities {
  private readonly everybody: readonly number[];
  private readonly all: boolean;

  constructor(private readonly crew: readonly CrewMember[]) {
    this.everybody = crew.map((_, i) => i);
    this.all = crew.every(({ leaves }) => leaves.length === 0);
  }

  /** Who works on it now; none where it is not begun, rests, or several do. */
  whoBegan(nodes: readonly { done: RowDone }[]): readonly number[] | undefined {
    for (const { done } of nodes) {
      const spell = done.spells?.at(-1);
      if (done.by === undefined || !spell || spell.to !== undefined || spell.crew > 1) continue;
      const i = this.crew.findIndex(({ name }) => name === done.by);
      if (i >= 0) return [i];
    }
    return undefined;
  }

  /** People who do it, by their indices; what nobody does falls to all. */
  who(step: Step, rows: readonly RowStep[]): readonly number[] {
    if (this.all) return this.everybody;
    const machine = rows.some((row) => row.machine);
    const able = this.everybody.filter((i) => does(this.crew[i] as CrewMember, step, machine));
    return able.length > 0 ? able : this.everybody;
  }
}
