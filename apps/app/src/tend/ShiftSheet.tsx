/** Who has the shift, taking it, and handing it over with a fire sheet. */
import { localOf } from '@ostrin/core/quantity';
import type { EntryBody, CurrentShift } from '@ostrin/core/log';
import type { PitPlan } from '@ostrin/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { useMe } from '../devices/useDevices';
import { logDeeds } from '../store/logging';
import { Button } from '../ui/Button';
import { FormSheet, wordsField } from '../ui/FormSheet';
import { Notice } from '../ui/Notice';
import { Sheet } from '../ui/Sheet';
import { Paragraph } from '../ui/Text';
import { clockOf } from '../ui/words';
import { useTendedCook } from './cookContext';

interface Props {
  plan: PitPlan;
  shift: CurrentShift;
  now: number;
  /** The fire sheet as it would be handed over now. */
  sheet: string;
  onClose: () => void;
}

const clock = (plan: PitPlan, ms: number): string => clockOf(localOf(ms, plan.request.timeZone));

/** Who has the shift, in a sentence. */
export function shiftWords(plan: PitPlan, { holder, since, offer }: CurrentShift): string {
  if (offer) return `${offer.from || 'Somebody'} offers the shift to ${offer.to}.`;
  return holder && since !== null
    ? `${holder} has had the shift since ${clock(plan, since)}.`
    : 'Nobody has the shift.';
}

/** Taking the shift, which accepts what was offered. */
const takeShift = ({ offer }: CurrentShift): EntryBody => ({
  kind: 'take-watch',
  ...(offer ? { offer: offer.id } : {}),
});

export function ShiftSheet({ plan, shift, now, sheet, onClose }: Props) {
  const me = useMe();
  const [to, setTo] = useState<string | null>(null);
  const [other, setOther] = useState(false);
  const take = (): void => {
    void logDeeds([{ body: takeShift(shift) }], now);
    onClose();
  };
  if (!me) {
    return (
      <Sheet title="Shift" onClose={onClose}>
        <Paragraph>Enter your name first: a shift is taken by name.</Paragraph>
        <Button kind="primary" label="Enter your name" onPress={() => router.navigate('/house')} />
      </Sheet>
    );
  }
  if (other) {
    return (
      <FormSheet
        title="Hand the shift to"
        fields={[wordsField('Name', 40, { testID: 'watch-name' })]}
        save="Go on"
        saveID="watch-name-save"
        onSave={({ text }) => {
          setTo(text!);
          setOther(false);
        }}
        onClose={() => setOther(false)}
      />
    );
  }
  if (to !== null) {
    return (
      <Sheet title={`Hand the shift to ${to}`} onClose={() => setTo(null)}>
        <Paragraph>
          This fire sheet goes with it. The shift is theirs once they accept it on their phone.
        </Paragraph>
        <FireSheet text={sheet} />
        <Button
          kind="primary"
          label={`Offer it to ${to}`}
          testID="watch-offer"
          onPress={() => {
            void logDeeds([{ body: { kind: 'hand-over', to, sheet } }], now);
            onClose();
          }}
        />
      </Sheet>
    );
  }
  const crew = (plan.request.crew ?? []).filter((name) => name !== me);
  return (
    <Sheet title="Shift" onClose={onClose}>
      <Paragraph>{shiftWords(plan, shift)}</Paragraph>
      {shift.holder === me ? null : (
        <Button kind="primary" label={`${me} takes the shift`} testID="watch-take" onPress={take} />
      )}
      {crew.map((name) => (
        <Button key={name} label={`Hand it to ${name}`} onPress={() => setTo(name)} />
      ))}
      <Button
        label="Hand it to somebody else"
        testID="watch-other"
        onPress={() => setOther(true)}
      />
    </Sheet>
  );
}

/** The lines of a fire sheet. */
function FireSheet({ text }: { text: string }) {
  return (
    <View testID="fire-sheet" className="border-l-4 border-edge bg-paper px-4 py-3 gap-2">
      {text.split('\n').map((line) => (
        <Text key={line} className="font-sans text-ink text-[16px] leading-[22px]">
          {line}
        </Text>
      ))}
    </View>
  );
}

/** Shown to whoever is offered the shift, with its sheet, until somebody has taken it. */
export function ShiftOffer() {
  const me = useMe();
  const [open, setOpen] = useState(false);
  const { shift, plan, nowMs: now } = useTendedCook().cook;
  const { offer } = shift;
  if (!offer || offer.from === me || (me !== '' && offer.to.toLowerCase() !== me.toLowerCase())) {
    return null;
  }
  return (
    <View>
      <Notice
        tone="warn"
        testID="watch-offered"
        title={`${offer.from || 'Somebody'} offers ${offer.to} the shift`}
      >
        <Button label="Look at the fire sheet" testID="watch-look" onPress={() => setOpen(true)} />
      </Notice>
      {open ? (
        <Sheet title="The shift is offered to you" onClose={() => setOpen(false)}>
          <Paragraph>{`The fire at ${clock(plan, offer.at)}:`}</Paragraph>
          <FireSheet text={offer.sheet} />
          {me ? (
            <Button
              kind="primary"
              label="I have the shift"
              testID="watch-accept"
              onPress={() => {
                void logDeeds([{ body: takeShift(shift) }], now);
                setOpen(false);
              }}
            />
          ) : (
            <Button label="Enter your name" onPress={() => router.navigate('/house')} />
          )}
        </Sheet>
      ) : null}
    </View>
  );
}
