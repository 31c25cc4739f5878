import '../global.css';
import { PublicSans_400Regular } from '@expo-google-fonts/public-sans/400Regular';
import { PublicSans_600SemiBold } from '@expo-google-fonts/public-sans/600SemiBold';
import { PublicSans_700Bold } from '@expo-google-fonts/public-sans/700Bold';
import { ZillaSlab_500Medium } from '@expo-google-fonts/zilla-slab/500Medium';
import { ZillaSlab_600SemiBold } from '@expo-google-fonts/zilla-slab/600SemiBold';
import { ZillaSlab_700Bold } from '@expo-google-fonts/zilla-slab/700Bold';
import { QueryClientProvider } from '@tanstack/react-query';
import { useFonts } from 'expo-font';
import { Slot, useNavigationContainerRef } from 'expo-router';
import { useEffect } from 'react';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { queryClient } from '../src/api/queries';
import { keepApp } from '../src/connection/newVersion';
import { openLine, keepLists } from '../src/connection/serverConnection';
import '../src/screens';
import { loadLazyComponents } from '../src/ui/lazyComponent';
import { hearBackFirst, pageMoved } from '../src/ui/sheetHistory';
import { Shell } from '../src/ui/Shell';
import { useThemeVariables } from '../src/ui/theme';

hearBackFirst();

/** When the first page stands and has its first answer, ms. */
const SETTLED_MS = 3000;

export default function Root() {
  useThemeVariables();
  useFonts({
    PublicSans_400Regular,
    PublicSans_600SemiBold,
    PublicSans_700Bold,
    ZillaSlab_500Medium,
    ZillaSlab_600SemiBold,
    ZillaSlab_700Bold,
  });
  const navigation = useNavigationContainerRef();
  useEffect(() => navigation.addListener('state', pageMoved), [navigation]);
  useEffect(openLine, []);
  useEffect(() => void keepApp(keepLists), []);
  useEffect(() => {
    const timer = setTimeout(loadLazyComponents, SETTLED_MS);
    return () => clearTimeout(timer);
  }, []);
  return (
    <SafeAreaProvider>
      <QueryClientProvider client={queryClient}>
        <Shell>
          <Slot />
        </Shell>
      </QueryClientProvider>
    </SafeAreaProvider>
  );
}
