/** Takes what a cook really burnt off the shelf, once: by what was weighed back. */
import { CHARCOALS, type CharcoalId } from '@ostrin/core/catalogue';
import { massWords } from '@ostrin/wording';
import { View } from 'react-native';
import { useSaveShelf, useShelf, type CookView } from '../api/queries';
import { useRole } from '../devices/useDevices';
import { useSettings } from '../store/settings';
import { Failure } from '../ui/AskedTwice';
import { Button } from '../ui/Button';
import { SmallText } from '../ui/Text';
import type { CookLog } from './useCookLog';

/** The line of the log that says it was done. */
const TAKEN_OFF = 'off-shelf';

interface Props {
  cook: CookView;
  of: CookLog;
  /** Charcoal that was laid and put on, kg. */
  givenKg: number;
}

export function OffTheShelf({ cook, of, givenKg }: Props) {
  const units = useSettings((s) => s.units);
  const shelf = useShelf().data;
  const save = useSaveShelf();
  const role = useRole();
  const { fuelLeftKg } = of.after;
  const fuel: CharcoalId = cook.plan.fires[0].fuel;
  const stock = shelf?.fuelOnHand.find((s) => s.fuel === fuel);
  if (role !== 'cook' || fuelLeftKg === null || !shelf || !stock) return null;
  const done = of.log.lines.some((l) => l.jobId === TAKEN_OFF);
  const burntKg = Math.max(0, givenKg - fuelLeftKg);
  const said = `${massWords(burntKg, units)} of ${CHARCOALS[fuel].name}`;
  if (done) return <SmallText>The fuel it burnt has been taken off the shelf.</SmallText>;
  const take = (): void => {
    const massKg = Math.max(0, Number((stock.massKg - burntKg).toFixed(3)));
    const fuelOnHand = shelf.fuelOnHand.map((s) => (s.fuel === fuel ? { ...s, massKg } : s));
    save.mutate(
      { base: shelf, shelf: { fuelOnHand, prices: shelf.prices } },
      {
        onSuccess: () =>
          void of.writeDeeds([
            { jobId: TAKEN_OFF, body: { kind: 'note', text: `${said} taken off the shelf` } },
          ]),
      },
    );
  };
  return (
    <View className="gap-2">
      <Button
        label={`Take ${said} off the shelf`}
        testID="off-shelf"
        disabled={save.isPending}
        onPress={take}
      />
      <SmallText>{`There are ${massWords(stock.massKg, units)} on it.`}</SmallText>
      <Failure error={save.error} />
    </View>
  );
}
