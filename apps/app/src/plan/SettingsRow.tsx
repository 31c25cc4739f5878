/** Units and light, set once. */
import { Text, View } from 'react-native';
import { useSettings, type Light } from '../store/settings';
import { Choice } from '../ui/Choice';

interface RowProps<T> {
  label: string;
  options: readonly T[];
  value: T;
  onChange: (value: T) => void;
}

function Row<T extends string>({ label, options, value, onChange }: RowProps<T>) {
  return (
    <View className="flex-row items-center">
      <Text className="font-sans-semi text-ink text-[16px] w-[104px]">{label}</Text>
      <View className="flex-1">
        <Choice
          label={label}
          columns={options.length}
          options={options.map((o) => ({ value: o, label: o }))}
          value={value}
          onChange={onChange}
        />
      </View>
    </View>
  );
}

export function SettingsRow() {
  const { units, light, setTemperature, setMass, setLight } = useSettings();
  return (
    <View className="gap-1" testID="settings">
      <Row
        label="Degrees"
        options={['C', 'F'] as const}
        value={units.temperature}
        onChange={setTemperature}
      />
      <Row label="Weight" options={['kg', 'lb'] as const} value={units.mass} onChange={setMass} />
      <Row<Light>
        label="Light"
        options={['auto', 'day', 'night']}
        value={light}
        onChange={setLight}
      />
    </View>
  );
}
