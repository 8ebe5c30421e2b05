import type { DayTask } from '../days';
import type { Mend } from '../mend';

/** Findings that are cured when a task is done: it is the last thing done to the spots that cure them. */
export function curedBy(
  { step, spots }: Pick<DayTask, 'step' | 'spots'>,
  mends: readonly Pick<Mend, 'id' | 'finding' | 'layers' | 'sandMin'>[],
): string[] {
  return mends.flatMap(({ id, finding, layers, sandMin }) => {
    const last = sandMin > 0 ? 'mend-sand' : layers.at(-1)?.pass;
    return finding !== undefined && last === step && spots?.includes(id) ? [finding] : [];
  });
}
