/** One printed page: fire, vents, jobs. It is laid out in a frame of its own, so that the page itself stays as it is. */
import { linesOf, pitName, type Plan } from '@ostrin/core';

const STYLE = `
  @page { size: A4; margin: 12mm }
  body { font: 10pt/1.3 Georgia, serif; color: #000; columns: 2; column-gap: 8mm }
  h1 { font-size: 15pt; margin: 0 0 2mm; column-span: all }
  h3 { font-size: 10pt; margin: 1mm 0 }
  h2 { font-size: 11pt; margin: 3mm 0 1mm; break-after: avoid }
  p, li { margin: 0 0 .6mm } ol, ul { margin: 0; padding-left: 5mm }
  table { border-collapse: collapse; width: 100% } td { border-top: .2mm solid #999; padding: .5mm 1mm; vertical-align: top }
`;

const safe = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');

/** The page as HTML. */
export function sheetHtml(plan: Plan, title: string): string {
  const items = (lines: readonly string[]): string =>
    `<ul>${lines.map((l) => `<li>${safe(l)}</li>`).join('')}</ul>`;
  return [
    `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${safe(title)}</title><style>${STYLE}</style></head><body>`,
    `<h1>${safe(title)}, ${plan.serveAt.replace('T', ' ')}</h1>`,
    `<p>Light ${plan.lightAt.replace('T', ' ')}. ${plan.ready.map((r) => `Ready ${r.p10.slice(11)} to ${r.p90.slice(11)}`).join('; ')}.</p>`,
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
    ...linesOf(plan).map(
      (l) =>
        `<tr><td>${l.at.slice(11)}</td><td><b>${safe(l.inWords)}</b> ${safe(l.detail)}</td></tr>`,
    ),
    '</table>',
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
