/** One printed page: fire, vents, jobs. It is laid out in a frame of its own, so that the page itself stays as it is. */
import { cutOf } from '@ostrin/core/catalogue';
import { linesOf, pitName, ruleLines, visitWords, type WordedPlan } from '@ostrin/wording';
import { clockAndDay, clockOf } from '../ui/words';

/** Sizes of type it is set in, pt: the largest in which all of it stands on one page. */
const SIZES = [10, 9.5, 9, 8.5, 8, 7.5, 7, 6.5, 6];
/** The page: A4 less its margins, in two columns, pt; leading; mean width of a letter of this face, share of its size. */
const PAGE = { columnPt: 244, highPt: 2 * 735, leading: 1.3, letter: 0.49 };
/** What a paragraph and a heading take besides their lines, share of a line; what the time of a job takes, letters. */
const EXTRA = { paragraph: 0.28, heading: 1.1, time: 11 };

/** A piece of the page by what it takes: its letters, or a heading. */
type Piece = { text: string; less?: number } | 'heading';

/** The largest type in which the pieces stand on one page, pt; null where they do not even in the smallest. */
export function pointsFor(pieces: readonly Piece[]): number | null {
  const high = (pt: number): number => {
    const letters = PAGE.columnPt / (PAGE.letter * pt);
    const lines = pieces.reduce(
      (sum, p) =>
        sum +
        (p === 'heading'
          ? 1 + EXTRA.heading
          : Math.ceil(p.text.length / (letters - (p.less ?? 0))) + EXTRA.paragraph),
      0,
    );
    return lines * PAGE.leading * pt;
  };
  return SIZES.find((pt) => high(pt) <= PAGE.highPt) ?? null;
}

const styleOf = (points: number): string => `
  @page { size: A4; margin: 12mm }
  body { font: ${points}pt/${PAGE.leading} Georgia, serif; color: #000; columns: 2; column-gap: 8mm; margin: 0 }
  h1 { font-size: 15pt; margin: 0 0 2mm; column-span: all }
  h3 { font-size: 1em; margin: 1mm 0 }
  h2 { font-size: 1.1em; margin: .8em 0 .3em; break-after: avoid }
  p, li { margin: 0 0 .2em } ol, ul { margin: 0; padding-left: 4mm }
  table { border-collapse: collapse; width: 100% } td { border-top: .2mm solid #999; padding: .1em 1mm; vertical-align: top }
`;

const SAFETY = 'Charcoal gives off carbon monoxide: outdoors only. Local fire rules come first.';

const safe = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');

/** A heading of the page with what stands under it. */
interface Section {
  heading: string;
  /** Paragraphs over the list, such as the name of a pit. */
  parts: { name?: string; items: string[] }[];
  jobs?: { at: string; what: string; how: string }[];
}

/** What the page says, in order. */
function sectionsOf(plan: WordedPlan): Section[] {
  // The day is told where it is not the day of the meal.
  const when = (at: string): string =>
    at.slice(0, 10) === plan.serveAt.slice(0, 10) ? clockOf(at) : clockAndDay(at);
  return [
    {
      heading: 'Fire and vents',
      parts: plan.fires.map((f) => {
        const vents = plan.vents.filter((v) => v.pit === f.pit);
        return {
          name: plan.fires.length > 1 ? pitName(plan, f.pit) : undefined,
          items: [
            ...f.inWords,
            ...f.feeding.map((x) => `Feed: ${x.inWords}`),
            ...vents.slice(0, 6).map((v) => `${clockOf(v.at)} ${v.inWords}`),
            ...ruleLines(plan, f.pit),
            ...vents
              .filter((v) => v.ifHigh)
              .flatMap((v) => [`If high: ${v.ifHigh}`, `If low: ${v.ifLow ?? ''}`]),
          ],
        };
      }),
    },
    {
      heading: 'Jobs',
      parts: [],
      jobs: linesOf(plan).map((l) => ({ at: when(l.at), what: l.inWords, how: l.detail })),
    },
    {
      heading: 'Shifts',
      parts: [
        {
          items: [
            ...visitWords(plan),
            ...plan.watch.shifts.map((s) => `${s.name}: ${when(s.from)} to ${when(s.to)}`),
          ],
        },
      ],
    },
    {
      heading: 'What could go wrong',
      parts: [{ items: plan.risks.map((r) => `${r.sign}: ${r.move}`) }],
    },
  ];
}

const withoutHow = (s: Section): Section => ({
  ...s,
  jobs: s.jobs?.map((j) => ({ ...j, how: '' })),
});

const piecesOf = (sections: readonly Section[]): Piece[] =>
  sections.flatMap(({ parts, jobs = [] }): Piece[] => [
    'heading',
    ...parts.flatMap(({ name, items }): Piece[] => [
      ...(name ? [{ text: name }] : []),
      ...items.map((text) => ({ text, less: 4 })),
    ]),
    ...jobs.map((j) => ({ text: `${j.what} ${j.how}`, less: EXTRA.time })),
  ]);

/** The page as HTML. */
export function sheetHtml(plan: WordedPlan, title: string): string {
  const whole = sectionsOf(plan);
  const ready = plan.ready
    .map(
      (r, i) =>
        `${cutOf(plan.request.meats[i]!.cut).name} ready ${clockOf(r.p10)} to ${clockOf(r.p90)}`,
    )
    .join('; ');
  const head = `Coals in ${plan.lightAt.replace('T', ' ')}. ${ready}.`;
  const fit = (of: readonly Section[]) =>
    pointsFor([{ text: head }, ...piecesOf(of), { text: SAFETY }]);
  // A table too long for one page keeps what is done and when, and leaves out how.
  const sections = fit(whole) === null ? whole.map(withoutHow) : whole;
  const points = fit(sections) ?? SIZES.at(-1)!;
  return [
    `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${safe(title)}</title><style>${styleOf(points)}</style></head><body>`,
    `<h1>${safe(title)}, ${plan.serveAt.replace('T', ' ')}</h1>`,
    `<p>${safe(head)}</p>`,
    ...sections.flatMap(({ heading, parts, jobs }) => [
      `<h2>${heading}</h2>`,
      ...parts.flatMap(({ name, items }) => [
        name ? `<h3>${safe(name)}</h3>` : '',
        `<ul>${items.map((l) => `<li>${safe(l)}</li>`).join('')}</ul>`,
      ]),
      ...(jobs
        ? [
            '<table>',
            ...jobs.map(
              (j) => `<tr><td>${j.at}</td><td><b>${safe(j.what)}</b> ${safe(j.how)}</td></tr>`,
            ),
            '</table>',
          ]
        : []),
    ]),
    `<p>${SAFETY}</p>`,
    '</body></html>',
  ].join('');
}

const PRINT_ID = 'print-sheet';

/** What the browser's own print command prints is that page too. Returns how to stop. */
export function printAs(plan: WordedPlan, title: string): () => void {
  if (typeof document === 'undefined') return () => undefined;
  const before = (): void => {
    const sheet = document.createElement('div');
    sheet.id = PRINT_ID;
    const page = new DOMParser().parseFromString(sheetHtml(plan, title), 'text/html');
    const style = document.createElement('style');
    style.textContent = `@media print { body > :not(#${PRINT_ID}) { display: none !important } }`;
    // In a tree of its own, so that its style and the page's do not meet.
    sheet
      .attachShadow({ mode: 'open' })
      .append(...page.head.querySelectorAll('style'), ...page.body.childNodes);
    style.id = `${PRINT_ID}-style`;
    document.head.append(style);
    document.body.append(sheet);
  };
  const after = (): void => {
    document.getElementById(PRINT_ID)?.remove();
    document.getElementById(`${PRINT_ID}-style`)?.remove();
  };
  window.addEventListener('beforeprint', before);
  window.addEventListener('afterprint', after);
  return () => {
    after();
    window.removeEventListener('beforeprint', before);
    window.removeEventListener('afterprint', after);
  };
}

/** Opens the print dialogue with that page. */
export function printSheet(plan: WordedPlan, title: string): void {
  const frame = document.createElement('iframe');
  frame.style.display = 'none';
  frame.title = title;
  frame.onload = () => {
    frame.contentWindow?.print();
    setTimeout(() => frame.remove(), 60_000);
  };
  frame.srcdoc = sheetHtml(plan, title);
  document.body.appendChild(frame);
}
