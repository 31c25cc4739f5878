/** The jobs of the cook of this page in words, in the reader's units. */
import { pitOf, type JobWords, type PlanJob } from '@ostrin/core';
import { jobWords } from '@ostrin/wording';
import { useSettings } from '../store/settings';
import { useTendedCook } from './cookContext';

export function useJobWords(): (job: PlanJob) => JobWords {
  const { plan } = useTendedCook().cook;
  const units = useSettings((s) => s.units);
  return (job) => jobWords(job.facts, pitOf(plan), units);
}
