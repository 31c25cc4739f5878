/** A piece that comes late, and what stands round the plan. */
import { METRIC } from '@ostrin/core/quantity';
import type { WeatherFromHour } from '@ostrin/core';
import { type WordedPlan } from '@ostrin/wording';
import { planDocument } from '@ostrin/wording/documents';
import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { Cautions, Risks, Shopping, Watch } from '../src/plan/PlanExtras';
import { Jobs } from '../src/plan/Jobs';
import { BeforeAndAfter } from '../src/plan/MoreChoices';
import { othersWords } from '../src/plan/meatWords';
import { PlanSentence } from '../src/plan/PlanSentence';
import { movedToComingWeek, requestOf, draftOf } from '../src/store/request';
import { useSettings } from '../src/store/settings';
import { firstDraft, usePlanDraft } from '../src/store/planDraft';
import { BOSUN } from './help';

const NOW = Date.UTC(2027, 4, 14, 12);
const FIRST = firstDraft(NOW, 'UTC');
const meat = () => usePlanDraft.getState().meats[0]!;

beforeEach(() => usePlanDraft.setState({ ...FIRST }));

describe('a piece that comes late', () => {
  const show = () => render(<BeforeAndAfter meat={meat()} />);

  it('is said with one touch, moved in quarters of an hour, and taken back', () => {
    const page = show();
    expect(screen.queryByText(/^from /)).toBeNull();
    fireEvent.press(screen.getByRole('radio', { name: /^Arrives later/ }));
    expect(meat().notBefore).toBe('2027-05-15T12:30');
    page.rerender(<BeforeAndAfter meat={meat()} />);
    expect(screen.getByText('from 12:30 Sat')).toBeTruthy();
    fireEvent.press(screen.getByRole('button', { name: 'Not before: less' }));
    expect(meat().notBefore).toBe('2027-05-15T12:15');
    page.rerender(<BeforeAndAfter meat={meat()} />);
    fireEvent.press(screen.getByRole('button', { name: 'Not before: more' }));
    fireEvent.press(screen.getByRole('button', { name: 'Not before: more' }));
    page.rerender(<BeforeAndAfter meat={meat()} />);
    fireEvent.press(screen.getByRole('radio', { name: /^Here already/ }));
    expect(meat().notBefore).toBeUndefined();
  });

  it('goes into the request, comes back from it, and moves on with the week', () => {
    const draft = { ...FIRST, meats: [{ ...FIRST.meats[0]!, notBefore: '2027-05-15T11:00' }] };
    const request = requestOf(draft, [BOSUN], METRIC);
    expect(request.meats[0]!.notBefore).toBe('2027-05-15T11:00');
    expect(draftOf(request, [BOSUN]).meats[0]!.notBefore).toBe('2027-05-15T11:00');
    expect(movedToComingWeek(draft, Date.UTC(2027, 4, 17)).meats[0]!.notBefore).toBe(
      '2027-05-22T11:00',
    );
    expect(othersWords(draft.meats[0]!, draft.serveAt)).toBe(
      'not there before 11:00, rested in a cool box',
    );
  });
});

it('takes a night that is colder than the day, and never one that is warmer', async () => {
  const page = render(<PlanSentence yard={[BOSUN]} />);
  fireEvent.press(screen.getByRole('button', { name: /^Weather: 12 °C, light wind/ }));
  const press = (name: string): void => fireEvent.press(screen.getByRole('button', { name }));
  await screen.findByText('as by day');
  expect(screen.getByRole('button', { name: 'Air at night: more' })).toBeDisabled();
  for (let i = 0; i < 3; i++) press('Air at night: less');
  expect(usePlanDraft.getState()).toMatchObject({ airC: 12, nightC: 9 });
  expect(screen.getByText('9 °C')).toBeTruthy();
  page.rerender(<PlanSentence yard={[BOSUN]} />);
  expect(
    await screen.findByRole('button', { name: /^Weather: 12 °C, 9 °C at night, light wind/ }),
  ).toBeTruthy();
  const { weather } = requestOf(usePlanDraft.getState(), [BOSUN], METRIC);
  expect((weather as WeatherFromHour[]).find((w) => w.at === '2027-05-14T23:00')!.airC).toBe(9);
  for (let i = 0; i < 3; i++) press('Air by day: less');
  expect(usePlanDraft.getState()).toMatchObject({ airC: 9, nightC: null });
  // A yard in the hills: its height is asked for here and goes into every plan.
  for (let i = 0; i < 6; i++) press('Height of the yard above the sea: more');
  expect(screen.getByText('300 m')).toBeTruthy();
  const { altitudeM } = useSettings.getState();
  const high = requestOf(usePlanDraft.getState(), [BOSUN], METRIC, undefined, altitudeM);
  expect(high.weather).toMatchObject({ altitudeM: 300 });
  act(() => {
    useSettings.setState({ altitudeM: 0 });
  });
});

it('feeds splits as often as was chosen, and only splits', async () => {
  const TOM = { ...BOSUN, id: 'tom', name: 'Long Tom', preset: 'offset-heavy' } as const;
  usePlanDraft.getState().changeFire('tom', { fireId: 'splits', everyMin: 45 });
  const request = () => requestOf(usePlanDraft.getState(), [TOM], METRIC);
  expect(request().pits[0]!.fire).toMatchObject({ fuel: 'splits', everyMin: 45 });
  expect(draftOf(request(), [TOM]).fires.tom).toMatchObject({ everyMin: 45 });
  render(<PlanSentence yard={[TOM]} />);
  fireEvent.press(screen.getByRole('button', { name: /^Fire: splits every 45 min, cherry/ }));
  fireEvent.press(await screen.findByRole('radio', { name: /^As is usual/ }));
  expect(request().pits[0]!.fire.everyMin).toBeUndefined();
  fireEvent.press(screen.getByRole('radio', { name: 'As you wish' }));
  expect(request().pits[0]!.fire.everyMin).toBe(40);
  fireEvent.press(screen.getByRole('button', { name: 'Minutes between splits: less' }));
  expect(request().pits[0]!.fire.everyMin).toBe(35);
  // Any interval, within what a fire bears.
  for (const [typed, kept] of [
    ['52', 52],
    ['5', 15],
  ] as const) {
    fireEvent.press(screen.getByRole('button', { name: /^Minutes between splits: .*Type it/ }));
    fireEvent.changeText(screen.getByLabelText('Minutes between splits, typed'), typed);
    fireEvent(screen.getByLabelText('Minutes between splits, typed'), 'submitEditing');
    expect(request().pits[0]!.fire.everyMin).toBe(kept);
  }
  // A fire on splits swings more: what is asked for is what such fires hold.
  expect(request().pits[0]!.pace.bandC).toBe(12);
  // Charcoal is put on when it is needed.
  fireEvent.press(screen.getByRole('radio', { name: /^Briquettes and chunks/ }));
  expect(request().pits[0]!.fire.everyMin).toBeUndefined();
  expect(
    await screen.findByRole('button', { name: /^Fire: briquettes and chunks, / }),
  ).toBeTruthy();
});

describe('round the answer', () => {
  let made: WordedPlan;
  beforeAll(() => {
    const draft = { ...FIRST, crew: ['Pell', 'Anka'] };
    const shelf = {
      fuelOnHand: [{ fuel: 'briquette' as const, massKg: 1 }],
      prices: [{ fuel: 'briquette' as const, bagKg: 4, each: 6.5 }],
    };
    made = planDocument(requestOf(draft, [BOSUN], METRIC, shelf), {
      nowMs: NOW - 86_400_000,
      members: 8,
    });
  });

  it('names the day of the first job where it is not the day of the meal', () => {
    render(<Jobs plan={made} />);
    expect(made.jobs[0]!.at.slice(0, 10)).toBe('2027-05-14');
    expect(screen.getByText('Fri 14 May')).toBeTruthy();
    expect(screen.getByText('Sat 15 May')).toBeTruthy();
    expect(screen.getByTestId('job-shop')).toHaveTextContent(/2 mutton shoulders/);
  });

  it('says who watches when, what to buy and what it costs', () => {
    render(
      <>
        <Watch plan={made} />
        <Shopping plan={made} />
      </>,
    );
    expect(screen.getByText(/^The pit is in its band about \d+ minutes in 100/)).toBeTruthy();
    expect(screen.getByText(/^Pell: \d\d:\d\d to \d\d:\d\d, \d+ visits?\.$/)).toBeTruthy();
    expect(screen.getByText(/1 kg on the shelf · buy 1 bag of 4 kg · 6.50/)).toBeTruthy();
    expect(screen.getByText(/^Fuel to buy: 6.50/)).toBeTruthy();
    expect(screen.getByText(/^Gives .* cooked and off the bone/)).toBeTruthy();
  });

  it('tells troubles with their moves, and plan B; no heading where nothing is unsafe', () => {
    render(<Risks plan={made} />);
    for (const r of made.risks) expect(screen.getByText(r.sign)).toBeTruthy();
    for (const b of made.planB) expect(screen.getByText(b)).toBeTruthy();
    const quiet = render(<Cautions plan={{ ...made, cautions: [] }} />);
    expect(quiet.toJSON()).toBeNull();
    act(() => quiet.rerender(<Cautions plan={{ ...made, cautions: ['Rare is rare.'] }} />));
    expect(screen.getByText('Rare is rare.')).toBeTruthy();
  });
});
