/** Variants of the plan beside it: other pit temperatures, wraps, fires, and pits of the yard. */
import { METRIC } from '@ostrin/core/quantity';
import type { VariantSources } from '@ostrin/core/engine';
import type { Plan } from '@ostrin/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../ui/Button';
import { useLayout } from '../ui/layout';
import { lazyComponent } from '../ui/lazyComponent';
import { Heading } from '../ui/Title';
import { Paragraph, SmallText } from '../ui/Text';
import { useVariants } from './useVariants';

const VariantTable = lazyComponent(async () => ({
  default: (await import('./VariantTable')).VariantTable,
}));

interface Props {
  plan: Plan;
  settled: boolean;
  others: VariantSources;
}

export function CompareVariants({ plan, settled, others }: Props) {
  const [open, setOpen] = useState(false);
  const { wide } = useLayout();
  const { rows, done, failure } = useVariants(plan.request, others, open && settled);
  const units = plan.request.units ?? METRIC;
  return (
    <View className="gap-2" testID="variants">
      <Heading>Compare plans</Heading>
      {open ? null : (
        <>
          <Paragraph>
            Slower, faster, wrapped differently, fed more or less often, on another fire, on your
            other pits: each planned for the same table.
          </Paragraph>
          <View className={wide ? 'w-[240px]' : ''}>
            <Button label="Compare" onPress={() => setOpen(true)} />
          </View>
        </>
      )}
      {failure ? <Paragraph>{failure}</Paragraph> : null}
      {rows.length > 0 ? <VariantTable plan={plan} rows={rows} units={units} /> : null}
      {open && !done && !failure ? <SmallText>Working out the next one.</SmallText> : null}
    </View>
  );
}
