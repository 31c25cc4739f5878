/** What several of the app's tests share. */
import { firstDraft, newMeat, type PlanDraft } from '../src/store/planDraft';

/** The club's kettle, as new. */
export const BOSUN = {
  id: 'bosun',
  name: 'the Bosun',
  preset: 'kettle-57',
  overrides: {},
  ventWay: 'quarters',
} as const;
/** A kamado, as new. */
export const JAR = {
  id: 'jar',
  name: 'Clay Jar',
  preset: 'kamado-46',
  overrides: {},
  ventWay: 'mm',
} as const;
export const YARD = [BOSUN, JAR];

/** A moment to plan at, epoch ms; the draft that a newcomer sees then, and one of two meats on two pits. */
export const NOW = Date.UTC(2027, 4, 14);
export const FIRST = firstDraft(NOW, 'UTC');
export const TWO: PlanDraft = {
  ...FIRST,
  people: 12,
  meats: [
    { ...FIRST.meats[0]!, pieces: 1 },
    { ...newMeat('whole-chicken', 'jar', FIRST.meats), pieces: 1, prepare: 'dry-brine' },
  ],
};

/** A server's answer, as much of it as the app reads: a text as it is, anything else as JSON. */
export const reply = (status: number, body: unknown): Promise<Response> =>
  Promise.resolve({
    ok: status < 400,
    status,
    text: () => Promise.resolve(typeof body === 'string' ? body : JSON.stringify(body)),
  } as Response);

/** A call of the app to its server. */
export interface Call {
  path: string;
  method: string;
  body: any;
}

/** Answers the app's calls with what `answer` gives. */
export function answerCalls(answer: (call: Call) => Promise<Response>): void {
  global.fetch = jest.fn((path: unknown, init?: RequestInit) =>
    answer({
      path: String(path),
      method: init?.method ?? 'GET',
      body: init?.body ? JSON.parse(init.body as string) : undefined,
    }),
  );
}

/** An event stream that says what a test wants it to say. */
export class FakeStream {
  static all: FakeStream[] = [];
  onmessage: ((e: { data: string }) => void) | null = null;
  onerror: (() => void) | null = null;
  closed = false;
  constructor(readonly url: string) {
    FakeStream.all.push(this);
  }
  close(): void {
    this.closed = true;
  }
  say(event: unknown): void {
    this.onmessage?.({ data: JSON.stringify(event) });
  }
}
