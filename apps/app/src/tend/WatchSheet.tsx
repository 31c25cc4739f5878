/** Who holds the watch, taking it, and handing it over with a fire sheet. */
import { localOf, type EntryBody, type HeldWatch, type Plan } from '@ostrin/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { useMe } from '../house/useHouse';
import { logDeeds } from '../store/logging';
import { Button } from '../ui/Button';
import { FormSheet, wordsField } from '../ui/FormSheet';
import { Notice } from '../ui/Notice';
import { Sheet } from '../ui/Sheet';
import { Paragraph } from '../ui/Text';
import { clockOf } from '../ui/words';

interface Props {
  plan: Plan;
  watch: HeldWatch;
  now: number;
  /** The fire sheet as it would be handed over now. */
  sheet: string;
  onClose: () => void;
}

const clock = (plan: Plan, ms: number): string => clockOf(localOf(ms, plan.request.timeZone));

/** Who holds the watch, in a sentence. */
export function watchWords(plan: Plan, { holder, since, offer }: HeldWatch): string {
  if (offer) return `${offer.from || 'Somebody'} offers the watch to ${offer.to}.`;
  return holder && since !== null
    ? `${holder} holds the watch since ${clock(plan, since)}.`
    : 'Nobody holds the watch.';
}

/** Taking the watch, which accepts what was offered. */
const takeWatch = ({ offer }: HeldWatch): EntryBody => ({
  kind: 'take-watch',
  ...(offer ? { offer: offer.id } : {}),
});

export function WatchSheet({ plan, watch, now, sheet, onClose }: Props) {
  const me = useMe();
  const [to, setTo] = useState<string | null>(null);
  const [other, setOther] = useState(false);
  const take = (): void => {
    void logDeeds([{ body: takeWatch(watch) }], now);
    onClose();
  };
  if (!me) {
    return (
      <Sheet title="The watch" onClose={onClose}>
        <Paragraph>Say who you are first: the watch is held by name.</Paragraph>
        <Button kind="primary" label="Say who you are" onPress={() => router.navigate('/house')} />
      </Sheet>
    );
  }
  if (other) {
    return (
      <FormSheet
        title="Hand the watch to"
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
      <Sheet title={`Hand the watch to ${to}`} onClose={() => setTo(null)}>
        <Paragraph>This goes with it. It is theirs when they say so on their phone.</Paragraph>
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
    <Sheet title="The watch" onClose={onClose}>
      <Paragraph>{watchWords(plan, watch)}</Paragraph>
      {watch.holder === me ? null : (
        <Button kind="primary" label={`${me} takes it`} testID="watch-take" onPress={take} />
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

/** Tells whoever is offered the watch, with its sheet, until somebody has taken it. */
export function WatchOffer({ watch, plan, now }: Pick<Props, 'watch' | 'plan' | 'now'>) {
  const me = useMe();
  const [open, setOpen] = useState(false);
  const { offer } = watch;
  if (!offer || offer.from === me || (me !== '' && offer.to.toLowerCase() !== me.toLowerCase())) {
    return null;
  }
  return (
    <View>
      <Notice
        tone="warn"
        testID="watch-offered"
        title={`${offer.from || 'Somebody'} offers ${offer.to} the watch`}
      >
        <Button label="Look at the fire sheet" testID="watch-look" onPress={() => setOpen(true)} />
      </Notice>
      {open ? (
        <Sheet title="The watch is offered to you" onClose={() => setOpen(false)}>
          <Paragraph>{`As it stood at ${clock(plan, offer.at)}:`}</Paragraph>
          <FireSheet text={offer.sheet} />
          {me ? (
            <Button
              kind="primary"
              label="I have the watch"
              testID="watch-accept"
              onPress={() => {
                void logDeeds([{ body: takeWatch(watch) }], now);
                setOpen(false);
              }}
            />
          ) : (
            <Button label="Say who you are" onPress={() => router.navigate('/house')} />
          )}
        </Sheet>
      ) : null}
    </View>
  );
}
