/** A sheet over the page: from below on a phone, in the middle on a wide screen. */
import X from 'lucide-react-native/icons/x';
import { Modal, Pressable, ScrollView, Text, View } from 'react-native';
import { useLayout } from './layout';
import { useTheme } from './theme';
import { useBackCloses } from './useBackCloses';

interface Props {
  title: string;
  onClose: () => void;
  children: React.ReactNode;
}

/** Closes by its cross, by Escape, by the browser's Back and by a touch beside it. */
export function Sheet({ title, onClose, children }: Props) {
  const { wide, height } = useLayout();
  const theme = useTheme();
  useBackCloses(onClose);
  return (
    <Modal transparent visible onRequestClose={onClose} aria-label={title}>
      <View className={`flex-1 ${wide ? 'items-center justify-center' : 'justify-end'}`}>
        <Pressable
          aria-hidden
          tabIndex={-1}
          onPress={onClose}
          style={{ position: 'absolute', inset: 0, backgroundColor: '#000000', opacity: 0.45 }}
        />
        <View
          className={`bg-sheet border-edge ${wide ? 'w-[520px] rounded-xl border' : 'rounded-t-2xl border-t'}`}
          style={{ maxHeight: height * 0.86 }}
        >
          <View className="flex-row items-center justify-between pl-5 pr-2 pt-2">
            <Text
              role="heading"
              aria-level={2}
              className="font-slab-semi text-ink text-[22px] flex-1"
            >
              {title}
            </Text>
            <Pressable
              role="button"
              accessibilityLabel="Close"
              onPress={onClose}
              className="h-12 w-12 items-center justify-center"
            >
              <X color={theme.ink} size={24} />
            </Pressable>
          </View>
          <ScrollView contentContainerClassName="px-5 pb-6 pt-2 gap-3">{children}</ScrollView>
        </View>
      </View>
    </Modal>
  );
}
