/** Says that this device was signed out, and that nothing it logged is lost. */
import { useSignedOut } from '../api/http';
import { Bar } from '../ui/Bar';
import { Button } from '../ui/Button';

export function SignedOut() {
  const out = useSignedOut((s) => s.out);
  if (!out) return null;
  return (
    <Bar
      tone="warn"
      testID="signed-out"
      text="This device was signed out. What you log is kept here until you are back."
    >
      <Button label="Sign in" onPress={() => window.location.assign('/sign-in')} />
    </Bar>
  );
}
