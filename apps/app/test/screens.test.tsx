import { jobWords } from '@ostrin/wording';
import { pitOf, piecesPerMeat, type PlanJob } from '@ostrin/core';
import type { Order } from '@ostrin/core/tending';
import { METRIC } from '@ostrin/core/quantity';
import { cutOf } from '@ostrin/core/catalogue';
import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { PlanSentence } from '../src/plan/PlanSentence';
import { useSettings } from '../src/store/settings';
import { firstDraft, usePlanDraft } from '../src/store/planDraft';
import { stepMass } from '../src/store/masses';
import { openLog } from '../src/store/logging';
import { doOrder } from '../src/tend/actions';
import { OrderCard } from '../src/tend/OrderCard';
import { importBody } from '../src/log/importFiles';
import { taken } from '../src/ui/useKeyDown';
import { BOSUN, JAR, YARD } from './help';
import { freshCook, kept, OnCook, PLAN, press, T0 } from './openCook';
// Parts that are fetched later are compiled now, not while a test waits for them.
import { PlanSheet } from '../src/plan/PlanSheet';
import '../src/ui/FieldsForm';

const noop = (): void => {};

beforeEach(freshCook);

describe('the planning sentence', () => {
  it('is a whole, sensible sentence at first sight', () => {
    render(<PlanSentence yard={[BOSUN]} />);
    for (const word of [
      /^People: 8 people/,
      /18:30/,
      /^Meat: 2 mutton shoulders/,
      /^Mass of one piece: 1.9 kg/,
      /^Pit: 121 °C/,
      /in paper at 74 °C/,
      /^Done: it probes tender/,
      /12 °C, light wind/,
    ]) {
      expect(screen.getByRole('button', { name: word })).toBeTruthy();
    }
    expect(PLAN.problems).toEqual([]);
  });

  it('changes with a touch, in the units of the user', async () => {
    render(<PlanSentence yard={[BOSUN]} />);
    press(/^People/);
    fireEvent.press(await screen.findByRole('button', { name: 'People: more' }));
    fireEvent.press(screen.getByRole('radio', { name: '12' }));
    expect(usePlanDraft.getState().people).toBe(12);
    press('Done');
    act(() => {
      useSettings.setState({ units: { temperature: 'F', mass: 'lb' } });
    });
    expect(screen.getByRole('button', { name: /^Pit: 250 °F/ })).toBeTruthy();
    press(/^Pit/);
    fireEvent.press(await screen.findByRole('radio', { name: /^275 °F/ }));
    expect(usePlanDraft.getState().fires.bosun!.pitC).toBe(135);
  });

  it('opens the sheet of the word that was touched, also where its meat or pit has just become another', async () => {
    const wrap = render(
      <PlanSheet opened={{ field: 'wrap', meat: 0 }} yard={YARD} onClose={noop} />,
    );
    act(() => {
      const { meats, changeMeat } = usePlanDraft.getState();
      changeMeat(meats[0]!.id, { cut: 'pork-shoulder' });
    });
    fireEvent.press(await screen.findByRole('radio', { name: /^Foil boat/ }));
    expect(usePlanDraft.getState().meats[0]).toMatchObject({ cut: 'pork-shoulder', wrap: 'boat' });
    wrap.unmount();
    act(() => {
      usePlanDraft.getState().addMeat('whole-chicken', JAR.id);
    });
    const yard = [...YARD, { ...JAR, id: 'old-jar', name: 'Old Jar' }];
    render(<PlanSheet opened={{ field: 'pit', pit: 1 }} yard={yard} onClose={noop} />);
    for (const [name, id] of [
      [/^Old Jar/, 'old-jar'],
      [/^Clay Jar/, 'jar'],
    ] as const) {
      fireEvent.press(screen.getByRole('radio', { name }));
      expect(usePlanDraft.getState().meats.map((m) => m.pitId)).toEqual([null, id]);
    }
    expect(screen.queryByRole('radio', { name: /^the Bosun/ })).toBeNull();
  });

  it('keeps masses in the cut’s range and counts pieces from people', () => {
    const cut = cutOf('mutton-shoulder');
    expect(stepMass(cut, 4.5, 1)).toBe(4.5);
    expect(stepMass(cut, 2.5, -1)).toBe(2.4);
    expect(stepMass(cutOf('sausages'), 0.1, 1)).toBe(0.15);
    const draft = firstDraft(0, 'UTC');
    const pieces = (people: number): number => piecesPerMeat({ ...draft, people })[0]!.pieces;
    expect(pieces(1)).toBe(1);
    expect(pieces(40)).toBeGreaterThan(5);
  });
});

describe('the order card', () => {
  const orderOf = (job: PlanJob): Order => ({
    kind: 'job',
    id: `job/${job.id}`,
    ms: T0,
    jobIds: [job.id],
    job,
  });

  it('counts down, can wait, says why, and is done once by a double touch', async () => {
    const job = PLAN.jobs.find((j) => j.id === 'wrap')!;
    render(
      <OnCook part={{ jobs: [{ job, ms: T0 + 9 * 60_000 }] }}>
        <OrderCard onDone={() => void doOrder(orderOf(job), T0)} onList={() => undefined} />
      </OnCook>,
    );
    expect(screen.getByTestId('job-due')).toHaveTextContent('in 9 min');
    press(/^Later/);
    expect(screen.getByTestId('job-due')).toHaveTextContent('in 19 min');
    press('How?');
    expect(screen.getByText('Signs, in this order')).toBeTruthy();
    expect(screen.getByText(/8 of 10/)).toBeTruthy();
    fireEvent.press(screen.getAllByRole('button', { name: 'Close' })[0]!);
    fireEvent.press(screen.getByTestId('job-done'));
    fireEvent.press(screen.getByTestId('job-done'));
    await kept();
    expect(openLog().map((e) => e.jobId)).toEqual(['wrap', 'wrap']);
  });

  it('keeps meat off a pit that is far too hot, and says why', () => {
    const on = PLAN.jobs.find((j) => j.id === 'meat-on')!;
    render(
      <OnCook part={{ jobs: [{ job: on, ms: T0 - 60_000 }], pitC: 260 }}>
        <OrderCard onDone={() => undefined} onList={() => undefined} />
      </OnCook>,
    );
    expect(screen.getByTestId('job-card')).toHaveTextContent(/reads 260 °C.*come down first/);
    expect(screen.getByTestId('job-due')).toHaveTextContent('in 9 min');
  });

  it('names what else is due', () => {
    const [check, wrap] = ['check', 'wrap'].map((id) => PLAN.jobs.find((j) => j.id === id)!);
    const list = jest.fn();
    const jobs = [
      { job: wrap!, ms: T0 - 60_000 },
      { job: check!, ms: T0 },
    ];
    render(
      <OnCook part={{ jobs, pitC: 260 }}>
        <OrderCard onDone={() => undefined} onList={list} />
      </OnCook>,
    );
    expect(screen.getByText(/^Also due: /)).toHaveTextContent(
      jobWords(check!.facts, pitOf(PLAN), METRIC).inWords,
      { exact: false },
    );
    fireEvent.press(screen.getByTestId('jobs-list'));
    expect(list).toHaveBeenCalled();
  });

  it('gives the advised move alone, with its effect and reason, and what it stands in for is no second order', async () => {
    const vents = PLAN.jobs.find((j) => j.do === 'set-vents' && j.id !== 'light')!;
    const cook = { jobs: [{ job: vents, ms: T0 + 60_000 * 90 }] };
    const logs = [{ do: 'set-vents', intakeFraction: 0.5, exhaustFraction: 1 } as const];
    const move = { do: 'set-vents', intake: 0.5, exhaust: 1, opens: true } as const;
    const row = Array<number>(13).fill(120);
    const advice = {
      move,
      logs,
      waitMin: 20,
      atMin: 100,
      everyMin: 5,
      withC: row,
      leaveC: row.map((c) => c - 15),
      inBandWith: 0.9,
      inBandLeave: 0.1,
    };
    const done = jest.fn();
    render(
      <OnCook part={cook} advice={advice}>
        <OrderCard onDone={done} onList={() => undefined} />
      </OnCook>,
    );
    expect(screen.getByTestId('order')).toHaveTextContent(
      /^Open the bowl vent to 1\/2|^Open the bowl vent to ½/,
    );
    expect(screen.getByTestId('job-due')).toHaveTextContent('now');
    expect(screen.getAllByRole('heading')).toHaveLength(1);
    press('Why?');
    expect(screen.getByText('Effect')).toBeTruthy();
    fireEvent.press(screen.getAllByRole('button', { name: 'Close' })[0]!);
    press('I did it');
    expect(done).toHaveBeenCalled();
    // Done once by a double touch, whether it stands in for a job or not.
    const orderFor = (jobIds: readonly string[]): Order => ({
      kind: 'move',
      id: 'm',
      ms: T0,
      jobIds,
      advice: { ...advice },
    });
    for (const order of [orderFor([vents.id]), orderFor([])]) {
      await Promise.all([doOrder(order, T0), doOrder(order, T0)]);
      await doOrder(order, T0);
    }
    await kept();
    expect(openLog().map((e) => e.jobId)).toEqual([vents.id, undefined]);
  });

  it('ends with finishing when all is done', () => {
    const finish = jest.fn();
    render(
      <OnCook part={{ jobs: [] }}>
        <OrderCard onDone={finish} onList={() => undefined} />
      </OnCook>,
    );
    press('Finish this cook');
    expect(finish).toHaveBeenCalled();
  });
});

describe('bringing in and keys', () => {
  const file = (name: string, text: string): File =>
    ({ name, text: () => Promise.resolve(text) }) as File;

  it('tells a document from a pair of tables and refuses the rest', async () => {
    expect(await importBody([file('a.json', '{"a":1}')])).toEqual({ body: { a: 1 } });
    const pair = [file('r.csv', 'at,pit_c\n'), file('a.csv', 'id,at,kind\n')];
    expect(await importBody(pair)).toEqual({
      body: { actionsCsv: 'id,at,kind\n', readingsCsv: 'at,pit_c\n' },
    });
    for (const files of [[file('a.json', '{')], [pair[0]!], [file('x.txt', '')], []]) {
      expect(await importBody(files)).toHaveProperty('wrong');
    }
  });

  it('leaves keys alone while somebody types or a control has focus', () => {
    const key = (k: string, tagName: string | null, ctrlKey = false) =>
      // Only what `taken` reads of an event, which this world without a page cannot make.
      taken({ key: k, ctrlKey, target: tagName ? { tagName } : null } as unknown as KeyboardEvent);
    expect(key('f', 'TEXTAREA')).toBe(true);
    expect(key('f', 'DIV')).toBe(false);
    expect(key(' ', 'BODY')).toBe(false);
    expect(key('f', 'DIV', true)).toBe(true);
    expect(key(' ', 'BUTTON')).toBe(true);
    expect(key(' ', null)).toBe(false);
  });
});
