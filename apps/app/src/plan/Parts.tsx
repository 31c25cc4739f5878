/** Words of the answer. */
import { Text } from 'react-native';
import { unbroken } from '../ui/words';

const kept = (children: React.ReactNode): React.ReactNode =>
  typeof children === 'string' ? unbroken(children) : children;

export const Say = ({ children }: { children: React.ReactNode }) => (
  <Text className="font-sans text-ink text-[16px] leading-[23px]">{kept(children)}</Text>
);
export const Bold = ({ children }: { children: React.ReactNode }) => (
  <Text className="font-sans-bold">{children}</Text>
);
export const Small = ({ children }: { children: React.ReactNode }) => (
  <Text className="font-sans text-soot text-[14px] leading-[20px]">{kept(children)}</Text>
);
