/** Words of the answer. */
import { Text } from 'react-native';

export const Say = ({ children }: { children: React.ReactNode }) => (
  <Text className="font-sans text-ink text-[16px] leading-[23px]">{children}</Text>
);
export const Bold = ({ children }: { children: React.ReactNode }) => (
  <Text className="font-sans-bold">{children}</Text>
);
export const Small = ({ children }: { children: React.ReactNode }) => (
  <Text className="font-sans text-soot text-[14px] leading-[20px]">{children}</Text>
);
