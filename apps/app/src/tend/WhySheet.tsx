/** Why this order, and no other: the reasoning behind it, and how it is done. */
import { pitOf } from '@ostrin/core';
import type { Order } from '@ostrin/core/tending';
import { causeWords, jobReason } from '@ostrin/wording';
import { effectWords, faultRemedy, waitWords } from '@ostrin/wording/tending';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { Checklist } from '../ui/Checklist';
import { Sheet } from '../ui/Sheet';
import { Paragraph } from '../ui/Text';
import { Heading } from '../ui/Title';
import { useTendedCook } from './cookContext';
import { useOrderWords } from './useOrderWords';

export function WhySheet({ order, onClose }: { order: Order; onClose: () => void }) {
  const { cook } = useTendedCook();
  const units = useSettings((s) => s.units);
  const words = useOrderWords()(order);
  const { plan, forecast, state } = cook;
  return (
    <Sheet title={words.inWords} onClose={onClose}>
      {order.kind === 'move' ? (
        <>
          <Heading>Effect</Heading>
          <Paragraph>{effectWords(order.advice, units)}</Paragraph>
          <Paragraph>{waitWords(order.advice)}</Paragraph>
          <Heading>Why</Heading>
          <Paragraph>{causeWords(state.cause, pitOf(plan))}</Paragraph>
          {state.cause.code === 'suspected' ? (
            <Paragraph>{faultRemedy(state.cause.fault, pitOf(plan))}</Paragraph>
          ) : null}
        </>
      ) : (
        <Paragraph>{words.detail}</Paragraph>
      )}
      {words.checklist ? <Checklist {...words.checklist} /> : null}
      {order.kind === 'job' ? (
        <Paragraph>{jobReason(order.job, plan, forecast, units)}</Paragraph>
      ) : null}
      <Button label="Close" onPress={onClose} />
    </Sheet>
  );
}
