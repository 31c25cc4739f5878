/** The way back to the page that this one belongs to. */
import { Link, type Href } from 'expo-router';
import { Pressable, Text, View } from 'react-native';

export const BackLink = ({ href, label }: { href: Href; label: string }) => (
  <View className="print:!hidden flex-row">
    <Link href={href} asChild>
      <Pressable role="link" className="min-h-[48px] justify-center pr-4 active:opacity-70">
        <Text className="font-sans text-ink text-[16px] underline">{label}</Text>
      </Pressable>
    </Link>
  </View>
);
