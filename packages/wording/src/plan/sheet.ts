/** A plan as a sheet of plain text (Markdown): to print, to hand over, to keep. */
import { cutOf } from '@ostrin/core/catalogue';
import { epochOf, localOf, METRIC, MINUTE_MS } from '@ostrin/core/quantity';
import { lookTimesMs, type Plan } from '@ostrin/core';
import type { WordedJob, WordedPlan } from './plan';
import { capital, countWords, massWords, spanOfTime } from '../quantities';

/** Jobs that are alike and follow each other are told in one line. */
export interface SheetLine {
  /** The job it tells, the first of a round. */
  job: string;
  /** When, local time. */
  at: string;
  /** The sentence. */
  inWords: string;
  /** How it is done, in a sentence or two. */
  detail: string;
  /** A round of them: how many, and how far apart, min. */
  round?: { count: number; everyMin: number };
}

/** The jobs as a sheet tells them: each round of feeding at a pit in one line. */
export function linesOf(plan: WordedPlan): SheetLine[] {
  const lines: SheetLine[] = [];
  // The round under way at each pit, and the line that tells it.
  const rounds = new Map<string, { jobs: WordedJob[]; line: SheetLine }>();
  for (const job of plan.jobs) {
    const pit = job.pit ?? '';
    const under = rounds.get(pit);
    const feeds = job.id.startsWith('feed-');
    if (feeds && under && isIfSlow(job) === isIfSlow(under.jobs[0]!)) {
      under.jobs.push(job);
      under.line.round = roundOf(under.jobs);
      under.line.detail = roundWords(under.jobs, under.line.round);
      continue;
    }
    const line = { job: job.id, at: job.at, inWords: atPit(plan, job), detail: withName(job) };
    lines.push(line);
    if (feeds) rounds.set(pit, { jobs: [job], line });
    else rounds.delete(pit);
  }
  return lines;
}

/** Whether fuel only goes on where the cook is slow. */
const isIfSlow = ({ facts }: WordedJob): boolean => facts.kind === 'feed' && facts.ifSlow;

/** How a job is done, after the name of whoever has the watch then. */
const withName = ({ by, detail }: WordedJob): string => (by ? `${by}. ${detail}` : detail);

function roundOf(jobs: readonly WordedJob[]): { count: number; everyMin: number } {
  const [first, last] = [jobs[0]!, jobs.at(-1)!];
  return {
    count: jobs.length,
    everyMin: Math.round((last.atMin - first.atMin) / (jobs.length - 1)),
  };
}

/** A round of feeding: how often, how far apart, until when. */
const roundWords = (
  jobs: readonly WordedJob[],
  { count, everyMin }: { count: number; everyMin: number },
): string =>
  `${countWords(count, 'time', 'times')}, every ${spanOfTime(everyMin)} until ${jobs.at(-1)!.at.slice(11)}. ${jobs[0]!.detail}`;

/** What rings: the jobs, and every look of the rules in the place of the looks that the plan expects something of. */
export function ringingLines(plan: WordedPlan): SheetLine[] {
  const looks = lookLines(plan);
  const expected = new Set(plan.jobs.filter((j) => j.facts.kind === 'look').map((j) => j.id));
  return [...linesOf(plan).filter((l) => !expected.has(l.job)), ...looks];
}

/** How a pit is held by hand, sentence by sentence; nothing where a fan does it. */
export const ruleLines = (plan: WordedPlan, pit: string): string[] =>
  plan.rules.find((r) => r.pit === pit)?.inWords ?? [];

/** When somebody is at the pits: for jobs, and for looks. */
export function visitWords(plan: WordedPlan): string[] {
  const { visits, longestFreeMin } = plan.watch;
  return [
    `${countWords(visits, 'visit', 'visits')} with a job, longest break between them ${spanOfTime(longestFreeMin)}.`,
    ...plan.rules.flatMap((rule) => {
      const times = looksAt(plan, rule);
      if (times.length === 0) return [];
      const at = plan.fires.length > 1 ? ` at ${pitName(plan, rule.pit)}` : '';
      const seldom = times.length < rule.looks.count ? ', less often by night' : '';
      return `Besides them a look${at} every ${spanOfTime(rule.everyMin)}${seldom}, ${times.length} in all, where no thermometer sends its readings.`;
    }),
  ];
}

/** When a pit is looked at by its rule, epoch ms: by night no oftener than it needs. */
function looksAt(plan: WordedPlan, rule: WordedPlan['rules'][number]): number[] {
  const { pit, everyMin, looks, notches } = rule;
  if (notches.by === 'splits' || looks.count < 1) return [];
  const zone = plan.request.timeZone;
  const lit = plan.fires.find((f) => f.pit === pit)?.lightAt ?? plan.lightAt;
  const firstMs = epochOf(lit, zone) + looks.fromMin * MINUTE_MS;
  return lookTimesMs(rule, [firstMs, firstMs + (looks.count - 1) * everyMin * MINUTE_MS], zone);
}

/** Times in rounds: as many as follow each other at the same distance. */
function roundsOf(timesMs: readonly number[]): { atMs: number; count: number; everyMin: number }[] {
  const rounds: { atMs: number; count: number; everyMin: number }[] = [];
  timesMs.forEach((atMs, i) => {
    const everyMin = Math.round((atMs - (timesMs[i - 1] ?? atMs)) / MINUTE_MS);
    const round = rounds.at(-1);
    if (round && (round.count === 1 || round.everyMin === everyMin)) {
      Object.assign(round, { everyMin, count: round.count + 1 });
    } else rounds.push({ atMs, count: 1, everyMin });
  });
  return rounds;
}

/** The looks at each pit as lines of their own: where a fire is fed at each look, that is one already. */
const lookLines = (plan: WordedPlan): SheetLine[] =>
  plan.rules.flatMap((rule) =>
    roundsOf(looksAt(plan, rule)).map(({ atMs, count, everyMin }, n): SheetLine => ({
      job: n === 0 ? `look-${rule.pit}` : `look-${rule.pit}-${n + 1}`,
      at: localOf(atMs, plan.request.timeZone),
      inWords: `Look at ${plan.fires.length > 1 ? pitName(plan, rule.pit) : 'the pit'}`,
      detail: rule.inWords.join(' '),
      ...(count > 1 ? { round: { count, everyMin } } : {}),
    })),
  );

/** A job in words, with the name of its pit where there are several. */
const atPit = (plan: Plan, { pit, do: what, inWords }: WordedJob): string => {
  if (!pit || what === 'prepare') return inWords;
  const name = pitName(plan, pit);
  return `${capital(name)}: ${inWords}`;
};

/** What a pit of a plan is called. */
export function pitName(plan: Plan, id: string): string {
  const pit = plan.request.pits.find((p) => p.id === id);
  return pit?.name ?? id;
}

/** A heading for one pit's part where there are several. */
const ofPit = (plan: Plan, id: string): string[] =>
  plan.fires.length > 1 ? [`### ${plainMarkdown(pitName(plan, id))}`] : [];

/**
 * A text that people may have written, inside Markdown: what would be read as HTML, a link or another mark is
 * shown as it was written.
 */
const plainMarkdown = (text: string): string =>
  text
    .replaceAll('&', '&amp;')
    .replace(/[\\`*_[\]<>#]/g, (mark) => `\\${mark}`)
    .replaceAll(/[\r\n]+/g, ' ');

const list = (lines: readonly string[]): string =>
  lines.map((l) => `- ${plainMarkdown(l)}`).join('\n');

const ventLine = (v: WordedPlan['vents'][number]): string =>
  `${v.at.slice(11)} ${v.inWords}${v.ifHigh ? ` If high: ${v.ifHigh}` : ''}${v.ifLow ? ` If low: ${v.ifLow}` : ''}`;

/** The whole plan as Markdown. */
export function markdownOf(plan: WordedPlan, title: string): string {
  const units = plan.request.units ?? METRIC;
  const day = plan.serveAt.slice(0, 10);
  const cell = (text: string): string => plainMarkdown(text).replaceAll('|', '/');
  return [
    `# ${plainMarkdown(title)}`,
    `Serve ${countWords(plan.request.people, 'person', 'people')} at ${plan.serveAt.slice(11)} on ${day}. Coals in at ${plan.lightAt.slice(11)} (${plan.lightAt.slice(0, 10)}).`,
    '## Ready',
    list(
      plan.ready.map((r, i) => {
        const meat = plan.request.meats[i]!;
        return `${cutOf(meat.cut).name}: between ${r.p10.slice(11)} and ${r.p90.slice(11)} in 8 of 10 cooks`;
      }),
    ),
    '## Build the fire',
    ...plan.fires.flatMap((f) => [
      ...ofPit(plan, f.pit),
      list([...f.inWords, ...f.feeding.map((x) => `Feed: ${x.inWords}.`)]),
    ]),
    '## Vents',
    ...plan.fires.flatMap((f) => [
      ...ofPit(plan, f.pit),
      list([...plan.vents.filter((v) => v.pit === f.pit).map(ventLine), ...ruleLines(plan, f.pit)]),
    ]),
    ...plan.preparation.flatMap((p) => [`## ${plainMarkdown(capital(p.heading))}`, list(p.lines)]),
    '## Jobs',
    '| Time | What | How |\n|---|---|---|\n' +
      linesOf(plan)
        .map((l) => `| ${l.at.slice(11)} | ${cell(l.inWords)} | ${cell(l.detail)} |`)
        .join('\n'),
    ...plan.holds.flatMap((h) => [`## ${plainMarkdown(capital(h.heading))}`, list(h.lines)]),
    '## Shifts',
    visitWords(plan).join(' '),
    ...(plan.watch.shifts.length > 0
      ? [
          list(
            plan.watch.shifts.map(
              (s) =>
                `${s.name}: ${s.from.slice(11)} to ${s.to.slice(11)}, ${countWords(s.visits, 'visit', 'visits')}`,
            ),
          ),
        ]
      : []),
    '## Shopping',
    list(plan.shopping.map((s) => `${s.item}: ${s.amount}${s.buy ? ` (${s.buy})` : ''}`)),
    `Gives ${massWords(plan.cookedKg[0], units)} to ${massWords(plan.cookedKg[1], units)} cooked.`,
    '## What could go wrong',
    list(plan.risks.map((r) => `${r.sign}: ${r.move}`)),
    '## Plan B',
    list(plan.planB),
    ...(plan.cautions.length > 0 ? ['## Food safety', list(plan.cautions)] : []),
    '',
  ].join('\n\n');
}
