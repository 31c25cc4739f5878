/** Says that this device was signed out, and that nothing it logged is lost. */
import { Text, View } from 'react-native';
import { useSignedOut } from '../api/http';
import { Button } from '../ui/Button';

export function SignedOut() {
  const out = useSignedOut((s) => s.out);
  if (!out) return null;
  return (
    <View
      role="alert"
      testID="signed-out"
      className="print:!hidden flex-row items-center gap-3 border-b border-rule border-l-4 border-l-pit bg-sheet px-4 py-2"
    >
      <Text className="font-sans-semi text-ink text-[16px] leading-[21px] flex-1">
        This device was signed out. What you log is kept here until you are back.
      </Text>
      <Button label="Sign in" onPress={() => window.location.assign('/sign-in')} />
    </View>
  );
}
