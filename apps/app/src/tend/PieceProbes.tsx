/** Which connected probe is in a piece, and since when: put right from the fire, without leaving the cook. */
import type { Channel } from '@ostrin/contract/types';
import { localOf } from '@ostrin/core/quantity';
import type { PieceNow } from '@ostrin/core/tending';
import { SPOT_NAMES } from '@ostrin/wording/tending';
import { useState } from 'react';
import { useInstruments, useMoveProbe } from '../instruments/useInstruments';
import { useLive } from '../store/live';
import { pieceNamed } from '../store/names';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Notice } from '../ui/Notice';
import { Heading } from '../ui/Title';
import { clockOf, degrees } from '../ui/words';
import { useTendedCook } from './cookContext';
import { TimeStepper } from './TimeStepper';

/** A probe that may be in a piece of this pit. */
interface Probe {
  id: string;
  instrument: string;
  channel: Channel;
  label: string;
}

/** What stands for no probe among the choices. */
const NONE = 'none';

export function PieceProbes({ piece }: { piece: PieceNow }) {
  const { cook, mayLog } = useTendedCook();
  const { plan, nowMs } = cook;
  const units = useSettings((s) => s.units);
  const pitName = useLive((s) => s.pitName);
  const practice = useLive((s) => s.fire === 'practice');
  const { data: instruments = [] } = useInstruments();
  const move = useMoveProbe(cook.id);
  const [chosen, setChosen] = useState<string | null>(null);
  const [fromMs, setFromMs] = useState<number | null>(null);
  const number = plan.request.meats.findIndex((m) => m.id === piece.id) + 1;
  const probes = instruments
    .filter((i) => i.pitName === pitName)
    .flatMap((i) =>
      i.channels
        .filter((c) => c.spot === 'none' || c.spot === 'meat')
        .map((channel): Probe => {
          const last = i.values[channel.key];
          const read = last ? `, ${degrees(last.value - channel.offsetK, units)}` : '';
          return {
            id: `${i.id}/${channel.key}`,
            instrument: i.id,
            channel,
            label: `${i.name} ${channel.key}${read}`,
          };
        }),
    );
  if (practice || !mayLog || probes.length === 0) return null;
  const within = probes.find((p) => p.channel.spot === 'meat' && p.channel.piece === number);
  const now = within?.id ?? NONE;
  const whereNow = ({ channel }: Probe): string => {
    const meat = channel.spot === 'meat' ? plan.request.meats[(channel.piece ?? 1) - 1] : undefined;
    return meat ? `in ${pieceNamed(plan, meat.id)}` : SPOT_NAMES.none;
  };
  const to = chosen ?? now;
  const from = Math.round(fromMs ?? nowMs);
  const put = (): void => {
    const probe = probes.find((p) => p.id === (to === NONE ? now : to));
    if (!probe) return;
    move.mutate(
      {
        instrument: probe.instrument,
        channel: probe.channel.key,
        meat: to === NONE ? null : piece.id,
        from,
      },
      {
        onSuccess: () => {
          setChosen(null);
          setFromMs(null);
        },
      },
    );
  };
  return (
    <>
      <Heading>Probe in this piece</Heading>
      <Choice
        label="Probe in this piece"
        options={[
          { value: NONE, label: 'None' },
          ...probes.map((p) => ({ value: p.id, label: p.label, note: whereNow(p) })),
        ]}
        value={to}
        onChange={setChosen}
      />
      {to === now ? null : (
        <>
          <TimeStepper
            at={from}
            now={nowMs}
            timeZone={plan.request.timeZone}
            onChange={setFromMs}
          />
          {piece.onMs === null ? null : (
            <Button
              label={`Since it went on, ${clockOf(localOf(piece.onMs, plan.request.timeZone))}`}
              onPress={() => setFromMs(piece.onMs)}
            />
          )}
          {move.isError ? <Notice tone="warn" title={move.error.message} /> : null}
          <Button
            kind="primary"
            testID="probe-move"
            disabled={move.isPending}
            label={`${to === NONE ? 'Out of it' : 'In this piece'} since ${clockOf(localOf(from, plan.request.timeZone))}`}
            onPress={put}
          />
        </>
      )}
    </>
  );
}
