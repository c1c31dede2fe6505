import { randomUUID } from 'node:crypto';

/** Somebody signed in: what is sent with every request. */
export interface SignedIn {
  readonly classId: string;
  readonly headers: Readonly<Record<string, string>>;
}

const PIN = '2468';

class Door {
  private readonly cookies = new Map<string, string>();
  private token = '';

  constructor(private readonly base: string) {}

  get headers(): Record<string, string> {
    const cookie = [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; ');
    return { cookie, 'content-type': 'application/json', 'x-csrf-token': this.token };
  }

  async ask<Answer>(method: string, path: string, body?: unknown): Promise<Answer> {
    const response = await fetch(`${this.base}/api${path}`, {
      method,
      headers: this.headers,
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    for (const line of response.headers.getSetCookie()) {
      const [name = '', value = ''] = (line.split(';')[0] ?? '').split('=');
      this.cookies.set(name, value);
    }
    if (!response.ok) throw new Error(`${method} ${path} answered ${response.status}: ${await response.text()}`);
    const answer = (await response.json()) as Answer & { csrfToken?: string };
    if (answer.csrfToken) this.token = answer.csrfToken;
    return answer;
  }
}

async function enter(base: string, path: string, body: unknown): Promise<Door> {
  const door = new Door(base);
  await door.ask('GET', '/session');
  await door.ask('POST', path, body);
  return door;
}

/** A new class of so many students, all signed in. */
export async function classOf(base: string, count: number): Promise<SignedIn[]> {
  const teacher = await enter(base, '/session/demo', { role: 'teacher' });
  const { id: classId } = await teacher.ask<{ id: string }>('POST', '/classes', {
    id: randomUUID(),
    name: `Load ${randomUUID().slice(0, 8)}`,
  });
  const { code } = await teacher.ask<{ code: string }>('GET', `/classes/${classId}`);
  const rows = Array.from({ length: count }, (_, i) => ({
    id: randomUUID(),
    firstName: 'Student',
    lastName: `Number${i}`,
  }));
  await teacher.ask('POST', `/classes/${classId}/students`, { rows });
  const visitor = new Door(base);
  await visitor.ask('GET', '/session');
  const { students } = await visitor.ask<{ students: { id: string }[] }>('POST', '/session/class', { code });
  const pins = await teacher.ask<{ id: string; pin: string }[]>('POST', `/classes/${classId}/first-pins`, {
    studentIds: students.map(({ id }) => id),
  });
  const signedIn: SignedIn[] = [];
  for (const { id: studentId, pin } of pins) {
    const { headers } = await enter(base, '/session/student', { code, studentId, pin, newPin: PIN });
    signedIn.push({ classId, headers });
  }
  return signedIn;
}

/** The sample teacher, at the first of the sample classes. */
export async function teacherOf(base: string): Promise<SignedIn & { readonly personId: string }> {
  const teacher = await enter(base, '/session/demo', { role: 'teacher' });
  const { signedIn } = await teacher.ask<{ signedIn: { person: { id: string } } }>('GET', '/session');
  const [first] = await teacher.ask<{ id: string }[]>('GET', '/classes');
  return { classId: first?.id ?? '', headers: teacher.headers, personId: signedIn.person.id };
}

async function answerOf<Answer>(path: string, response: Response): Promise<Answer> {
  if (!response.ok) throw new Error(`${path} answered ${response.status}: ${await response.text()}`);
  return (await response.json()) as Answer;
}

/** Fetches something. */
export async function ask<Answer>(base: string, { headers }: SignedIn, path: string): Promise<Answer> {
  return answerOf(path, await fetch(`${base}/api${path}`, { headers }));
}

/** Asks for something as JSON. */
export async function post<Answer>(base: string, { headers }: SignedIn, path: string, body: unknown): Promise<Answer> {
  return answerOf(path, await fetch(`${base}/api${path}`, { method: 'POST', headers, body: JSON.stringify(body) }));
}
