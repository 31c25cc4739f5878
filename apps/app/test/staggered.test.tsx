/** How a page follows: part after part, behind the touch. */
import { act, render, screen } from '@testing-library/react-native';
import { useEffect } from 'react';
import { Text } from 'react-native';
import { useStaggered } from '../src/plan/useStaggered';
import { firstDraft, usePlanDraft } from '../src/store/planDraft';
import { useDeferredDraft } from '../src/store/useDeferredDraft';

const settle = () => act(() => new Promise((done) => setTimeout(done, 30)));

function Parts({ value, seen }: { value: string; seen: string[] }) {
  const shown = useStaggered(value, 3);
  const text = shown.join(' ');
  useEffect(() => void seen.push(text), [text, seen]);
  return <Text>{text}</Text>;
}

describe('a value taken up in turn', () => {
  it('stands at once at first, then goes through the parts in order', async () => {
    const seen: string[] = [];
    const page = render(<Parts value="a" seen={seen} />);
    expect(screen.getByText('a a a')).toBeTruthy();
    page.rerender(<Parts value="b" seen={seen} />);
    expect(await screen.findByText('b b b')).toBeTruthy();
    // Never a later part before an earlier one, and not all in one.
    expect(seen.slice(0, 2)).toEqual(['a a a', 'b a a']);
    for (const text of seen) expect(text).toMatch(/^(b ?)*(a ?)*$/);
  });

  it('gives a value up for a newer one, and nothing is left of it', async () => {
    const seen: string[] = [];
    const page = render(<Parts value="a" seen={seen} />);
    page.rerender(<Parts value="b" seen={seen} />);
    page.rerender(<Parts value="c" seen={seen} />);
    expect(await screen.findByText('c c c')).toBeTruthy();
    expect(seen.at(-1)).toBe('c c c');
    expect(seen.some((text) => text.endsWith('b'))).toBe(false);
  });

  it('forgets about it when the page goes away', async () => {
    const seen: string[] = [];
    const page = render(<Parts value="a" seen={seen} />);
    page.rerender(<Parts value="b" seen={seen} />);
    page.unmount();
    await settle();
    expect(seen.length).toBeLessThan(4);
  });
});

describe('the page behind a sheet', () => {
  const Behind = () => <Text>{`${useDeferredDraft().people} people`}</Text>;

  beforeEach(() => usePlanDraft.setState(firstDraft(Date.UTC(2027, 4, 14, 12), 'UTC')));

  it('follows what is chosen, also what was chosen before it listened', async () => {
    render(<Behind />);
    expect(screen.getByText('8 people')).toBeTruthy();
    act(() => usePlanDraft.getState().change({ people: 21 }));
    expect(await screen.findByText('21 people')).toBeTruthy();
  });

  it('stops listening when it goes away', async () => {
    const page = render(<Behind />);
    page.unmount();
    act(() => usePlanDraft.getState().change({ people: 30 }));
    await settle();
    render(<Behind />);
    expect(screen.getByText('30 people')).toBeTruthy();
  });
});
