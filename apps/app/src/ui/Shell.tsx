/** The frame: places below on a phone, at the left on a wide screen. */
import { Link, router, usePathname } from 'expo-router';
import BookOpen from 'lucide-react-native/icons/book-open';
import ChartGantt from 'lucide-react-native/icons/chart-gantt';
import Fence from 'lucide-react-native/icons/fence';
import TextAlignStart from 'lucide-react-native/icons/text-align-start';
import { Pressable, Text, View } from 'react-native';
import { SignedOut } from '../devices/SignedOut';
import { Away } from '../connection/Away';
import { NewVersion } from '../connection/NewVersion';
import { lazyComponent } from './lazyComponent';
import { useKeyDown } from './useKeyDown';
import { useLayout } from './layout';
import { useTheme } from './theme';

const RefusedTaps = lazyComponent(async () => ({
  default: (await import('../outbox/RefusedTaps')).RefusedTaps,
}));

const PLACES = [
  { href: '/tend', name: 'Tend', icon: ChartGantt },
  { href: '/', name: 'Plan', icon: TextAlignStart },
  { href: '/log', name: 'Log', icon: BookOpen },
  { href: '/yard', name: 'Yard', icon: Fence },
] as const;

const isAt = (path: string, href: string): boolean =>
  href === '/' ? path === '/' : path === href || path.startsWith(`${href}/`);

export function Shell({ children }: { children: React.ReactNode }) {
  const path = usePathname();
  const theme = useTheme();
  const { wide } = useLayout();
  useKeyDown((e) => {
    const place = PLACES[Number(e.key) - 1];
    if (place) router.navigate(place.href);
  });
  const bar = (
    <View
      role="navigation"
      aria-label="Places"
      className={
        wide
          ? 'print:!hidden w-[88px] border-r border-rule bg-sheet pt-4'
          : 'print:!hidden flex-row border-t border-rule bg-sheet'
      }
    >
      {PLACES.map(({ href, name, icon: Icon }) => {
        const on = isAt(path, href);
        return (
          <Link key={href} href={href} asChild>
            <Pressable
              role="link"
              aria-current={on ? 'page' : undefined}
              className={`items-center justify-center gap-1 active:opacity-70 ${wide ? 'h-[72px] border-l-4' : 'flex-1 h-[60px] border-t-4'} ${on ? 'border-pit' : 'border-transparent'}`}
            >
              <Icon color={on ? theme.ink : theme.soot} size={22} />
              <Text
                className={`text-[14px] ${on ? 'font-sans-bold text-ink' : 'font-sans text-soot'}`}
              >
                {name}
              </Text>
            </Pressable>
          </Link>
        );
      })}
    </View>
  );
  return (
    <View className={`flex-1 bg-paper ${wide ? 'flex-row' : ''}`}>
      {wide ? bar : null}
      <View className="flex-1 min-h-0" role="main">
        <Away />
        <NewVersion />
        <SignedOut />
        <RefusedTaps />
        {children}
      </View>
      {wide ? null : bar}
    </View>
  );
}
