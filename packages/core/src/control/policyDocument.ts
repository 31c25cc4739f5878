/** A control policy as plan documents keep it: their field names are older than the code's. */
import type { ControlPolicy, SplitFeedPolicy } from './controlPolicy';

/** Stands for "never" in a document where the policy says null. */
const NEVER = 9999;

/** `guides[]` of `plan/1`. Kelvin and minutes of 9999 mean never. */
export interface PolicyDocument extends Omit<
  ControlPolicy,
  'kelvinPerEFold' | 'deadbandK' | 'untilMin' | 'feed'
> {
  /** What opening the intake by a factor e is worth, K. */
  perFoldK: number;
  /** Differences from the target that are left alone, K. */
  leaveK: number;
  /** Minute after lighting at which the fire is no longer needed. */
  untilMin: number;
  /** How splits are fed; null where the fire is not kept on splits. */
  feed: (Omit<SplitFeedPolicy, 'dampOverK'> & { dampOverK: number }) | null;
}

const orNever = (value: number | null): number => value ?? NEVER;
const orNull = (value: number): number | null => (value >= NEVER ? null : value);

/** The document of a policy. */
export function policyDocument(policy: ControlPolicy): PolicyDocument {
  const { kelvinPerEFold, deadbandK, untilMin, feed, ...same } = policy;
  return {
    ...same,
    perFoldK: kelvinPerEFold,
    leaveK: orNever(deadbandK),
    untilMin: orNever(untilMin),
    feed: feed && { ...feed, dampOverK: orNever(feed.dampOverK) },
  };
}

/** The policy that a document describes. */
export function policyOf(document: PolicyDocument): ControlPolicy {
  const { perFoldK, leaveK, untilMin, feed, ...same } = document;
  return {
    ...same,
    kelvinPerEFold: perFoldK,
    deadbandK: orNull(leaveK),
    untilMin: orNull(untilMin),
    feed: feed && { ...feed, dampOverK: orNull(feed.dampOverK) },
  };
}
