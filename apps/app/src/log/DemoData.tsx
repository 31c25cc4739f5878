/** Removing the demo data, with one touch and one question. */
import { ROUTES, type DemoRemoved } from '@ostrin/contract/types';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { View } from 'react-native';
import { requestJson } from '../api/http';
import { queryClient } from '../api/queries';
import { useRole } from '../devices/useDevices';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { Paragraph } from '../ui/Text';
import { Heading } from '../ui/Title';

export function DemoData() {
  const isCook = useRole() === 'cook';
  const { data } = useQuery({
    queryKey: ['demo'],
    queryFn: () => requestJson<{ left: number }>(ROUTES.demo),
  });
  const [asked, setAsked] = useState(false);
  const remove = useMutation({
    mutationFn: () => requestJson<DemoRemoved>(ROUTES.demo, 'DELETE'),
    onSuccess: () => queryClient.invalidateQueries(),
  });
  if (!isCook || !data || data.left === 0) return null;
  return (
    <View className="gap-2" testID="demo-data">
      <Heading>Demo data</Heading>
      <Paragraph>
        Example cooks, pits, plans and a shelf came with this start. What you changed, and pits that
        your own cooks use, stay.
      </Paragraph>
      {remove.isError ? <Notice tone="warn" title={remove.error.message} /> : null}
      <Button
        label={asked ? 'Yes, remove the demo data' : 'Remove the demo data'}
        testID="demo-remove"
        disabled={remove.isPending}
        onPress={() => (asked ? remove.mutate() : setAsked(true))}
      />
    </View>
  );
}
