/** Units and light, set once. */
import { Text, View } from 'react-native';
import { useSettings, type Light } from '../store/settings';
import { Choice } from '../ui/Choice';

const Label = ({ children }: { children: string }) => (
  <Text className="font-sans-semi text-ink text-[16px] w-[104px]">{children}</Text>
);

export function SettingsRow() {
  const { units, light, setTemperature, setMass, setLight } = useSettings();
  return (
    <View className="gap-1" testID="settings">
      <View className="flex-row items-center">
        <Label>Degrees</Label>
        <View className="flex-1">
          <Choice
            label="Degrees"
            columns={2}
            options={[
              { value: 'C', label: 'C' },
              { value: 'F', label: 'F' },
            ]}
            value={units.temperature}
            onChange={(v) => setTemperature(v as 'C' | 'F')}
          />
        </View>
      </View>
      <View className="flex-row items-center">
        <Label>Weight</Label>
        <View className="flex-1">
          <Choice
            label="Weight"
            columns={2}
            options={[
              { value: 'kg', label: 'kg' },
              { value: 'lb', label: 'lb' },
            ]}
            value={units.mass}
            onChange={(v) => setMass(v as 'kg' | 'lb')}
          />
        </View>
      </View>
      <View className="flex-row items-center">
        <Label>Light</Label>
        <View className="flex-1">
          <Choice
            label="Light"
            columns={3}
            options={[
              { value: 'auto', label: 'auto' },
              { value: 'day', label: 'day' },
              { value: 'night', label: 'night' },
            ]}
            value={light}
            onChange={(v) => setLight(v as Light)}
          />
        </View>
      </View>
    </View>
  );
}
