/** Learning a pit from its cooks: which there are, how far it is, what came of it. */
import { leadMeat } from '@ostrin/core';
import { foldLog, withHandReadings } from '@ostrin/core/log';
import type { CookSummary, PitRecord } from '@ostrin/contract/types';
import type { LoggedCook } from '@ostrin/core/learning';
import { useEffect, useRef, useState } from 'react';
import { askLearned } from '../api/learn';
import type { CookToLearn, LearnAnswer } from '../api/messages';
import { fetchCook, useCooks } from '../api/queries';

/** As many of its newest cooks as are learned from at once. */
const MOST_COOKS = 8;

/** The newest cooks of a pit, the one under way too. */
export function useCooksOf(pit: PitRecord): readonly CookSummary[] {
  const cooks = useCooks();
  return (cooks.data ?? [])
    .filter((c) => c.pitId === pit.id)
    .sort((a, b) => b.startMs - a.startMs)
    .slice(0, MOST_COOKS);
}

/** The figures that a pit had before anything was learned of it: learning begins there each time. */
const figuresBefore = ({ overrides, learned }: PitRecord): PitRecord['overrides'] =>
  learned?.[0]?.before ?? overrides;

type LearnState =
  | { kind: 'idle' }
  | { kind: 'working'; share: number; burn: boolean }
  | { kind: 'learned'; answer: LearnAnswer }
  | { kind: 'failed'; message: string };

async function cookToLearn(id: string): Promise<CookToLearn & { preset: string | undefined }> {
  const cook = await fetchCook(id);
  const log = foldLog(cook.entries);
  const [scenario] = cook.plan.scenarios;
  return {
    id,
    plan: { scenarios: cook.plan.scenarios, request: cook.plan.request },
    log,
    readings: withHandReadings(cook.readings, log, leadMeat(cook.plan).id),
    preset: scenario?.cooker.preset,
  };
}

/** A cook that was brought in from elsewhere may not say how its vents or its fan stood: it teaches nothing. */
const tellsItsVents = ({ log }: CookToLearn): boolean =>
  log.lines.some(
    ({ body }) =>
      body.kind === 'act' && (body.action.do === 'set-vents' || body.action.do === 'fan'),
  );

/** What is learned of a pit; `learn` begins with the cooks of those ids, `learnBurn` with a test burn, `forget` puts the answer away. */
export function useLearned(pit: PitRecord) {
  const [state, setState] = useState<LearnState>({ kind: 'idle' });
  const stop = useRef<() => void>(() => undefined);
  useEffect(() => () => stop.current(), []);
  const ask = (from: Parameters<typeof askLearned>[1]): void => {
    const burn = !from.cooks;
    setState({ kind: 'working', share: 0, burn });
    stop.current = askLearned({ preset: pit.preset, overrides: figuresBefore(pit) }, from, {
      onProgress: (share) => setState({ kind: 'working', share, burn }),
      onLearned: (answer) => setState({ kind: 'learned', answer }),
      onFail: (message) => setState({ kind: 'failed', message }),
    });
  };
  const learn = async (ids: readonly string[]): Promise<void> => {
    setState({ kind: 'working', share: 0, burn: false });
    try {
      const all = await Promise.all(ids.map(cookToLearn));
      const cooks = all.filter((c) => c.preset === pit.preset && tellsItsVents(c));
      if (cooks.length === 0) {
        throw new Error('None of these cooks recorded its vents: nothing can be learned.');
      }
      ask({ cooks });
    } catch (error) {
      setState({ kind: 'failed', message: (error as Error).message });
    }
  };
  const learnBurn = (burn: LoggedCook): void => ask({ burns: [burn] });
  return { state, learn, learnBurn, forget: () => setState({ kind: 'idle' }) };
}
