/** The app's workers, started when first asked: one plans with its helpers, one looks ahead of a cook. */
import type {
  Advice,
  AdviseQuestion,
  ChangeOption,
  ChangeQuestion,
  FoodOutcome,
  FoodWish,
  Forecasts,
  FuelUse,
  ForecastInput,
  Outlook,
} from '@ostrin/core/tending';
import type { CookToExplain, MinutesByCause, NotTold, WhyLate } from '@ostrin/core/afterwards';
import type { Log } from '@ostrin/core/log';
import type { VariantSources, SteadyCase, VentCard } from '@ostrin/core/engine';
import type { PitPlan, Plan, Request } from '@ostrin/core';
import { type PlanVariant } from '@ostrin/wording';
import type { FromWorker, PlanQuestion, ToTendWorker, ToWorker, WhyLateOf } from './messages';

type Listener = (message: FromWorker) => void;

/** More workers than a plan has likely pits are of no use. */
const MOST_WORKERS = 8;
let planWorker: Worker | null = null;
let lastId = 0;
const listeners = new Map<number, Listener>();

/** How many workers the machine has room for. */
const roomFor = (): number =>
  Math.max(1, Math.min(navigator.hardwareConcurrency || 1, MOST_WORKERS));

/** The worker that plans, started when first asked, with a helper for each further one that the machine has room for. */
function planner(): Worker {
  if (planWorker) return planWorker;
  planWorker = coreWorker();
  for (let n = 1; n < roomFor(); n++) {
    const { port1, port2 } = new MessageChannel();
    coreWorker().postMessage({ kind: 'help', port: port1 } satisfies ToWorker, [port1]);
    planWorker.postMessage({ kind: 'helper', port: port2 } satisfies ToWorker, [port2]);
  }
  return planWorker;
}

const coreWorker = (): Worker => heard(new Worker(new URL('./core.worker', import.meta.url)));

let tendWorker: Worker | null = null;

/** The worker that looks ahead of a cook under way, started when first used. */
function lookAhead(): Worker {
  tendWorker ??= heard(new Worker(new URL('./tend.worker', import.meta.url)));
  return tendWorker;
}

/** A worker whose answers reach whoever asked. */
function heard(worker: Worker): Worker {
  worker.onmessage = ({ data }: MessageEvent<FromWorker>) => listeners.get(data.id)?.(data);
  return worker;
}

function send(message: PlanQuestion, listener: Listener): void {
  listeners.set(message.id, listener);
  planner().postMessage(message);
}

/** What browser tests set before the page is loaded, so that they do not spend their time on the sixty. */
declare global {
  var ostrinPlanMembers: number | undefined;
}

/** Members of the ensemble behind a plan's windows. */
const PLAN_MEMBERS = globalThis.ostrinPlanMembers ?? 60;

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

interface VariantsListener {
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

type WithoutId<T> = T extends unknown ? Omit<T, 'id'> : never;

/** Asks one question about a cook under way. */
function ask<T extends FromWorker['result']>(question: WithoutId<ToTendWorker>): Promise<T> {
  const id = ++lastId;
  return new Promise((resolve, reject) => {
    listeners.set(id, (m) => {
      listeners.delete(id);
      if (m.kind === 'failed') reject(new Error(m.message));
      else resolve(m.result as T);
    });
    lookAhead().postMessage({ id, ...question } satisfies ToTendWorker);
  });
}

/** Asks for the forecasts of some pieces. */
export const askForecasts = (inputs: Record<string, ForecastInput>): Promise<Forecasts> =>
  ask({ kind: 'forecasts', inputs });

/** Asks how the meat stands and what wrapping it now would do. */
export const askOutlook = (input: ForecastInput): Promise<Outlook> => ask({ kind: 'meat', input });

/** Asks what each change of mind would do. */
export const askChanges = (
  input: ForecastInput,
  question: ChangeQuestion,
): Promise<ChangeOption[]> => ask({ kind: 'changes', input, question });

/** Asks what comes of food that is put on now. */
export const askFood = (input: ForecastInput, wish: FoodWish): Promise<FoodOutcome> =>
  ask({ kind: 'food', input, wish });

/** Asks for the smallest move that helps; null for a cook without a fire. */
export const askAdvice = (question: AdviseQuestion): Promise<Advice | null> =>
  ask({ kind: 'advise', question });

/** Asks what became of the fuel of a cook; null before its fire was lit. `nowMs`: the cook's clock. */
export const askFuelUse = (
  plan: Pick<PitPlan, 'scenarios'>,
  log: Log,
  nowMs: number,
): Promise<FuelUse | null> => ask({ kind: 'fuel-use', plan, log, nowMs });

/** Asks why a piece was early or late; null where its log does not tell. */
export const askWhyLate = (cook: CookToExplain, ready: WhyLateOf): Promise<WhyLate | null> =>
  ask({ kind: 'why-late', cook, ready });

/** Asks what makes each other cook longer or shorter than the first. */
export const askComparedTimes = (cooks: CookToExplain[]): Promise<(MinutesByCause | NotTold)[]> =>
  ask({ kind: 'compare-times', cooks });
