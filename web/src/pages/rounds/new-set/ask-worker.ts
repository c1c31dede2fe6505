import type { AimsRequest, Example, ExampleRequest, WorkerAnswer } from './aims.worker.ts';

let worker: Worker | null = null;
let asked = 0;
const waiting = new Map<number, (answer: WorkerAnswer['answer']) => void>();

function started(): Worker {
  if (worker) return worker;
  worker = new Worker(new URL('./aims.worker.ts', import.meta.url), { type: 'module' });
  worker.addEventListener('message', ({ data }: MessageEvent<WorkerAnswer>) => {
    waiting.get(data.id)?.(data.answer);
    waiting.delete(data.id);
  });
  return worker;
}

function askWorker(request: Omit<AimsRequest, 'id'> | Omit<ExampleRequest, 'id'>): Promise<WorkerAnswer['answer']> {
  asked += 1;
  const id = asked;
  return new Promise((answered) => {
    waiting.set(id, answered);
    started().postMessage({ ...request, id });
  });
}

/** The slips that can be told apart on a tool or in a kind of exercise. */
export async function askAims(request: Omit<AimsRequest, 'id' | 'kind'>): Promise<readonly string[]> {
  return ((await askWorker({ ...request, kind: 'aims' })) ?? []) as readonly string[];
}

/** One item as a set would have it; null where its aims cannot be met. */
export async function askExample(request: Omit<ExampleRequest, 'id' | 'kind'>): Promise<Example | null> {
  return (await askWorker({ ...request, kind: 'example' })) as Example | null;
}
