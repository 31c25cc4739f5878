/** Words of the answer. */
import { Text } from 'react-native';
import { keepUnitsTogether } from './words';

const kept = (children: React.ReactNode): React.ReactNode =>
  typeof children === 'string' ? keepUnitsTogether(children) : children;

export const Paragraph = ({ children }: { children: React.ReactNode }) => (
  <Text className="font-sans text-ink text-[16px] leading-[23px]">{kept(children)}</Text>
);
export const SmallText = ({ children }: { children: React.ReactNode }) => (
  <Text className="font-sans text-soot text-[14px] leading-[20px]">{kept(children)}</Text>
);
