/** One worker for the app, started when first asked. */
import type {
  Forecast,
  FuelUse,
  Log,
  ForecastInput,
  VariantSources,
  Outlook,
  SteadyCase,
  Plan,
  Request,
  VentCard,
} from '@ostrin/core';
import { type PlanVariant } from '@ostrin/wording';
import type { FromWorker, ToWorker } from './messages';

type Listener = (message: FromWorker) => void;

let worker: Worker | null = null;
let lastId = 0;
const listeners = new Map<number, Listener>();

function send(message: ToWorker, listener: Listener): void {
  if (!worker) {
    worker = new Worker(new URL('./core.worker', import.meta.url));
    worker.onmessage = ({ data }: MessageEvent<FromWorker>) => listeners.get(data.id)?.(data);
  }
  listeners.set(message.id, listener);
  worker.postMessage(message);
}

/** Members of the ensemble behind a plan's windows. */
export const PLAN_MEMBERS = 60;

export interface PlanListener {
  onProgress(share: number): void;
  onPlan(plan: Plan, final: boolean): void;
  onFail(message: string): void;
}

/** Asks for a plan: a rough one first, then the full one. Returns how to stop listening. */
export function askPlan(request: Request, nowMs: number, to: PlanListener): () => void {
  const id = ++lastId;
  send({ id, kind: 'plan', request, nowMs, members: PLAN_MEMBERS }, (m) => {
    if (m.kind === 'progress') to.onProgress(m.share ?? 0);
    else if (m.kind === 'failed') to.onFail(m.message ?? '');
    else to.onPlan(m.result as Plan, m.kind === 'done');
  });
  return () => listeners.delete(id);
}

export interface VariantsListener {
  onRow(row: PlanVariant): void;
  onDone(): void;
  onFail(message: string): void;
}

/** Asks for other ways of a meal, one row after another. Returns how to stop listening; a newer question ends it. */
export function askVariants(
  request: Request,
  others: VariantSources,
  nowMs: number,
  to: VariantsListener,
): () => void {
  const id = ++lastId;
  send({ id, kind: 'variants', request, others, nowMs, members: PLAN_MEMBERS }, (m) => {
    if (m.kind === 'row') to.onRow(m.result as PlanVariant);
    else if (m.kind === 'failed') to.onFail(m.message ?? '');
    else if (m.kind === 'done') to.onDone();
  });
  return () => listeners.delete(id);
}

export interface VentCardListener {
  onProgress(share: number): void;
  onCard(card: VentCard): void;
  onFail(message: string): void;
}

/** Asks for a pit's vent card. Returns how to stop listening; a newer question ends an older one. */
export function askVentCard(of: SteadyCase, to: VentCardListener): () => void {
  const id = ++lastId;
  send({ id, kind: 'card', of }, (m) => {
    if (m.kind === 'progress') to.onProgress(m.share ?? 0);
    else if (m.kind === 'failed') to.onFail(m.message ?? '');
    else to.onCard(m.result as VentCard);
  });
  return () => listeners.delete(id);
}

type Question = Extract<ToWorker, { kind: 'forecast' | 'meat' | 'fuel-use' }>;
type WithoutId<T> = T extends unknown ? Omit<T, 'id'> : never;

/** Asks one question with one answer. */
function ask<T extends FromWorker['result']>(question: WithoutId<Question>): Promise<T> {
  const id = ++lastId;
  return new Promise((resolve, reject) => {
    send({ id, ...question }, (m) => {
      listeners.delete(id);
      if (m.kind === 'failed') reject(new Error(m.message));
      else resolve(m.result as T);
    });
  });
}

/** Asks for a forecast. */
export const askForecast = (input: ForecastInput): Promise<Forecast> =>
  ask({ kind: 'forecast', input });

/** Asks how the meat stands and what wrapping it now would do. */
export const askOutlook = (input: ForecastInput): Promise<Outlook> => ask({ kind: 'meat', input });

/** Asks what became of the fuel of a cook; null before its fire was lit. `nowMs`: the cook's clock. */
export const askFuelUse = (
  plan: Pick<Plan, 'scenarios'>,
  log: Log,
  nowMs: number,
): Promise<FuelUse | null> => ask({ kind: 'fuel-use', plan, log, nowMs });
