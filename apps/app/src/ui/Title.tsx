/** Headings of a page. */
import { Text } from 'react-native';

export const Title = ({ children }: { children: string }) => (
  <Text role="heading" aria-level={1} className="font-slab-semi text-ink text-[26px]">
    {children}
  </Text>
);

export const Heading = ({ children }: { children: string }) => (
  <Text role="heading" aria-level={2} className="font-slab-semi text-ink text-[20px]">
    {children}
  </Text>
);

/** Over a group of choices on a sheet. */
export const Subhead = ({ children }: { children: string }) => (
  <Text role="heading" aria-level={3} className="font-sans-bold text-ink text-[16px] pt-2">
    {children}
  </Text>
);
