/** One printed page: fire, vents, jobs. It is laid out in a frame of its own, so that the page itself stays as it is. */
import { countWords, cutOf, linesOf, pitName, spanOfTime, type Plan } from '@ostrin/core';
import { clockAndDay, clockOf } from '../ui/words';

/** More lines than this are set smaller, so that it stays one page. */
const ROOMY_LINES = 20;

const styleOf = (points: number): string => `
  @page { size: A4; margin: 12mm }
  body { font: ${points}pt/1.3 Georgia, serif; color: #000; columns: 2; column-gap: 8mm }
  h1 { font-size: 15pt; margin: 0 0 2mm; column-span: all }
  h3 { font-size: 1em; margin: 1mm 0 }
  h2 { font-size: 11pt; margin: 3mm 0 1mm; break-after: avoid }
  p, li { margin: 0 0 .6mm } ol, ul { margin: 0; padding-left: 5mm }
  table { border-collapse: collapse; width: 100% } td { border-top: .2mm solid #999; padding: .5mm 1mm; vertical-align: top }
`;

const safe = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');

/** The page as HTML. */
export function sheetHtml(plan: Plan, title: string): string {
  const lines = linesOf(plan);
  const items = (list: readonly string[]): string =>
    `<ul>${list.map((l) => `<li>${safe(l)}</li>`).join('')}</ul>`;
  // The day is told where it is not the day of the meal.
  const when = (at: string): string =>
    at.slice(0, 10) === plan.serveAt.slice(0, 10) ? clockOf(at) : clockAndDay(at);
  return [
    `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${safe(title)}</title><style>${styleOf(lines.length > ROOMY_LINES ? 8.5 : 10)}</style></head><body>`,
    `<h1>${safe(title)}, ${plan.serveAt.replace('T', ' ')}</h1>`,
    `<p>Light ${plan.lightAt.replace('T', ' ')}. ${plan.ready
      .map(
        (r, i) =>
          `${cutOf(plan.request.meats[i]!.cut).name} ready ${clockOf(r.p10)} to ${clockOf(r.p90)}`,
      )
      .join('; ')}.</p>`,
    '<h2>Fire and vents</h2>',
    ...plan.fires.flatMap((f) => {
      const vents = plan.vents.filter((v) => v.pit === f.pit);
      return [
        plan.fires.length > 1 ? `<h3>${safe(pitName(plan, f.pit))}</h3>` : '',
        items([...f.inWords, ...f.feeding.map((x) => `Feed: ${x.inWords}`)]),
        items([
          ...vents.slice(0, 6).map((v) => `${v.at.slice(11)} ${v.inWords}`),
          ...vents
            .filter((v) => v.ifHigh)
            .flatMap((v) => [`If high: ${v.ifHigh}`, `If low: ${v.ifLow ?? ''}`]),
        ]),
      ];
    }),
    '<h2>Jobs</h2><table>',
    ...lines.map(
      (l) => `<tr><td>${when(l.at)}</td><td><b>${safe(l.inWords)}</b> ${safe(l.detail)}</td></tr>`,
    ),
    '</table>',
    '<h2>Watch</h2>',
    items([
      `${countWords(plan.watch.visits, 'visit', 'visits')}, longest free stretch ${spanOfTime(plan.watch.longestFreeMin)}`,
      ...plan.watch.shifts.map((s) => `${s.name}: ${when(s.from)} to ${when(s.to)}`),
    ]),
    '<h2>What could go wrong</h2>',
    items(plan.risks.map((r) => `${r.sign}: ${r.move}`)),
    '<p>Charcoal gives off carbon monoxide: outdoors only. Local fire rules come first.</p>',
    '</body></html>',
  ].join('');
}

/** Opens the print dialogue with that page. */
export function printSheet(plan: Plan, title: string): void {
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
