/** The fire to build, drawn to scale, and the vents to set, in the pit's own units: of a plan for one pit. */
import { METRIC } from '@ostrin/core/quantity';
import { pitWith, presetOf, type VentName } from '@ostrin/core/catalogue';
import { pitOf, type PitPlan } from '@ostrin/core';
import {
  massWords,
  openingWords,
  spanOfTime,
  ventNames,
  ventedPit,
  type WordedPlan,
} from '@ostrin/wording';
import { View } from 'react-native';
import { Vent } from '../drawings/Vent';
import { lazyComponent } from '../ui/lazyComponent';
import { Heading, Subhead } from '../ui/Title';
import { clockOf } from '../ui/words';
import { Paragraph, SmallText } from '../ui/Text';

// The drawings come after the figures that they show.
const FireSide = lazyComponent(async () => ({
  default: (await import('../drawings/FireSide')).FireSide,
}));
const GrateLoads = lazyComponent(async () => ({
  default: (await import('./GrateLoads')).GrateLoads,
}));

/** Width of the drawings, px. */
const DRAWN_PX = 340;
/** Vents that are one slot with a slide; the others are drawn as discs. */
const SLOTS: readonly VentName[] = ['bottom-slot', 'firebox-damper', 'slots'];
const round15 = (minutes: number): number => Math.floor(minutes / 15) * 15;

interface FireProps {
  plan: PitPlan;
  /** The fire of that plan, with its sentences. */
  fire: WordedPlan['fires'][number];
}

export function BuildFire({ plan, fire }: FireProps) {
  const units = plan.request.units ?? METRIC;
  const { cooker } = pitOf(plan);
  const parameters = pitWith(presetOf(cooker.preset), cooker.overrides);
  return (
    <View className="gap-2">
      <Heading>Build the fire</Heading>
      <FireSide preset={cooker.preset} fire={fire} units={units} size={DRAWN_PX} />
      <GrateLoads
        preset={cooker.preset}
        diameterM={parameters.diameterM}
        fire={fire}
        grate={plan.grates[0] ?? { pit: fire.pit, laid: [] }}
        meats={plan.request.meats}
        size={DRAWN_PX}
      />
      {fire.inWords.map((step, i) => (
        <Paragraph key={step}>{`${i + 1}. ${step}`}</Paragraph>
      ))}
      {fire.feeding.map((f) => (
        <Paragraph key={f.what}>{`Then ${f.inWords}.`}</Paragraph>
      ))}
      <SmallText>
        {fire.feeding.some((f) => f.what === 'splits')
          ? `Stack ${massWords(fire.reserveKg, units)} more wood than that for wind and cold.`
          : `${massWords(fire.massKg, units)} in all. Lasts about ${spanOfTime(round15(fire.lastsMin))}; about ${massWords(fire.leftKg, units)} should be left over. ${
              fire.reserveKg > 0
                ? `Keep ${massWords(fire.reserveKg, units)} at hand for wind and cold.`
                : 'That is the reserve for wind and cold: nothing is put on under a hot deflector.'
            }`}
      </SmallText>
    </View>
  );
}

interface VentsProps {
  plan: Pick<PitPlan, 'request'>;
  /** Its settings, the first to set first, with their sentences. */
  vents: WordedPlan['vents'];
  /** How it is held by hand, sentence by sentence. */
  rule: readonly string[];
}

/** The first setting drawn, the later ones in words, and how the pit is held from there. */
export function SetVents({ plan, vents, rule }: VentsProps) {
  const pit = ventedPit(pitOf(plan));
  const { preset } = pit;
  const names = ventNames(preset);
  const [first, ...later] = vents;
  if (!first) return null;
  return (
    <View className="gap-2">
      <Heading>{pit.hasFan ? 'Set the fan' : 'Set the vents'}</Heading>
      {pit.hasFan ? null : (
        <View className="flex-row items-center gap-8">
          <Vent
            name={names.intake}
            slot={SLOTS.includes(preset.ventNames.intake)}
            fraction={first.intakeFraction}
            says={openingWords(pit, 'intake', first.intakeFraction)}
          />
          <Vent
            name={names.exhaust}
            fraction={first.exhaustFraction}
            says={openingWords(pit, 'exhaust', first.exhaustFraction)}
          />
        </View>
      )}
      <Paragraph>{`From ${clockOf(first.at)}: ${first.inWords}.`}</Paragraph>
      {first.ifHigh ? <Paragraph>{`If it settles high: ${first.ifHigh}`}</Paragraph> : null}
      {first.ifLow ? <Paragraph>{`If it settles low: ${first.ifLow}`}</Paragraph> : null}
      {rule.length > 0 ? (
        <View className="gap-1" testID="rule">
          <Subhead>Hold it by this rule</Subhead>
          {rule.map((line) => (
            <Paragraph key={line}>{line}</Paragraph>
          ))}
        </View>
      ) : null}
      {later.length > 0 ? (
        <SmallText>{`Later, as the fire changes: ${later.map((v) => `${clockOf(v.at)} ${v.inWords}`).join('; ')}.`}</SmallText>
      ) : null}
    </View>
  );
}
