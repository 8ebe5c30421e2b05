import { inject, Injectable } from '@angular/core';
import { curedBy, type DayTask } from '@lisse/core';
import { LogStore } from '../state/log.store';
import { PlanStore } from '../state/plan.store';

/** What is told of tasks that more hangs on than the task alone. */
@Injectable({ providedIn: 'root' })
export class TaskActions {
  private readonly logs = inject(LogStore);
  private readonly plans = inject(PlanStore);

  /** A task is done, and with it the findings it was the last of. */
  done(task: DayTask): Promise<boolean> {
    const mends = this.plans.plan()?.rooms.find(({ id }) => id === task.room)?.mends ?? [];
    return this.logs.done(task, curedBy(task, mends));
  }
}
