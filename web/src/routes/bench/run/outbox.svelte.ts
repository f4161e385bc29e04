/** Runs that no server answered: kept in the browser under a name of their own, and sent once one does; the server logs each name once. */
import { anew } from '$lib/api/answers';
import { ask, ApiError, client, type Run, type Schemas } from '$lib/api/client';
import { typing } from '$lib/session/typing';
import type { RunForm } from './run-form';

export interface Waiting {
  body: Schemas['RunIn'] & { sent: string };
  /** What was typed, for who wants it back. */
  form: RunForm;
  setup_name: string;
  at: string;
  /** Why the server would not log it; empty while none has answered. */
  refused: string;
}

const AGAIN = 3000;
const kept = typing<Waiting[]>('waiting-runs');

export function logRun(department: string, body: Schemas['RunIn']): Promise<Run> {
  return ask(client.POST('/api/departments/{department}/runs', { params: { path: { department } }, body }));
}

export class Outbox {
  readonly department: string;
  waiting = $state.raw<Waiting[]>([]);
  /** The run that was sent last, and the name of its set-up. */
  sent = $state.raw<{ run: number; setup_name: string } | null>(null);
  #timer = 0;
  #busy = false;
  readonly #online = (): void => void this.send();

  constructor(department: string) {
    this.department = department;
  }

  /** Takes up what waits, from another time or tab too; stop ends it. */
  start(): () => void {
    this.#read();
    void this.send();
    addEventListener('online', this.#online);
    return () => {
      clearTimeout(this.#timer);
      removeEventListener('online', this.#online);
    };
  }

  add(one: Waiting): void {
    this.#read();
    this.#write([...this.waiting, one]);
    this.#later();
  }

  /** Takes a run out, for who wants to change it; gives what was typed. */
  takeOut(sent: string): RunForm | null {
    const found = this.waiting.find((one) => one.body.sent === sent);
    this.#write(this.waiting.filter((one) => one !== found));
    return found?.form ?? null;
  }

  /** Sends what waits, one after the other, until one finds no server. */
  async send(): Promise<void> {
    if (this.#busy) return;
    this.#busy = true;
    this.#read();
    for (const one of this.waiting.filter((each) => each.refused === '')) if (!(await this.#sendOne(one))) break;
    this.#busy = false;
    this.#later();
  }

  /** Whether a server answered. */
  async #sendOne(one: Waiting): Promise<boolean> {
    try {
      const run = await logRun(this.department, one.body);
      this.#write(this.waiting.filter((each) => each.body.sent !== one.body.sent));
      this.sent = { run: run.id, setup_name: one.setup_name };
      await anew(['runs', this.department]);
      return true;
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      if (error.lost || error.signedOut) return false;
      this.#write(
        this.waiting.map((each) => (each.body.sent === one.body.sent ? { ...each, refused: error.message } : each)),
      );
      return true;
    }
  }

  #later(): void {
    clearTimeout(this.#timer);
    if (this.waiting.some((one) => one.refused === '')) this.#timer = window.setTimeout(() => void this.send(), AGAIN);
  }

  #read(): void {
    this.waiting = kept.read(this.department) ?? [];
  }

  #write(waiting: Waiting[]): void {
    this.waiting = waiting;
    if (waiting.length > 0) kept.keep(this.department, waiting);
    else kept.drop(this.department);
  }
}
