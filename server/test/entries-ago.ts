import { randomUUID } from 'node:crypto';
import { Attempt, Task } from '../src/models/bench.ts';

/** Stores what one student was set and has entered as if another one had done the same some minutes ago: entries themselves never change. */
export async function sameSomeMinutesAgo(
  where: { readonly classId: string; readonly personId: string },
  other: string,
  minutes: number,
): Promise<void> {
  const createdAt = new Date(Date.now() - minutes * 60_000);
  const ids = new Map<string, string>();
  const tasks = await Task.findAll({ where });
  await Task.bulkCreate(
    tasks.map((task) => {
      const id = randomUUID();
      ids.set(task.id, id);
      return { ...task.get(), id, personId: other };
    }),
  );
  const entries = await Attempt.findAll({
    attributes: { exclude: ['serverOrder'] },
    where,
    order: [['serverOrder', 'ASC']],
  });
  await Attempt.bulkCreate(
    entries.map((entry) => ({
      ...entry.get(),
      id: randomUUID(),
      taskId: ids.get(entry.taskId) ?? '',
      personId: other,
      createdAt,
    })),
  );
}
