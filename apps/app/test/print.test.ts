/** The printed page: set as large as it stands on one page, told whole, safe to put into HTML. */
import { METRIC } from '@ostrin/core/quantity';
import type { Request } from '@ostrin/core';
import { type WordedPlan } from '@ostrin/wording';
import { planDocument } from '@ostrin/wording/documents';
import fc from 'fast-check';
import { pointsFor, sheetHtml } from '../src/plan/printSheet';
import { requestOf } from '../src/store/request';
import { firstDraft, newMeat } from '../src/store/planDraft';
import { BOSUN } from './help';

const NOW = Date.UTC(2027, 4, 14, 12);
const TOM = {
  id: 'tom',
  name: 'Long <Tom> & son',
  preset: 'offset-heavy',
  overrides: {},
  ventWay: 'fingers',
} as const;
const SLIP = firstDraft(NOW, 'UTC');
const planned = (request: Request): WordedPlan => planDocument(request, { nowMs: NOW, members: 1 });
const one = planned(requestOf(SLIP, [BOSUN], METRIC));
const two = planned(
  requestOf(
    {
      ...SLIP,
      crew: ['Pell', 'Anka'],
      meats: [...SLIP.meats, newMeat('brisket', 'tom', SLIP.meats)],
      fires: { tom: { fireId: 'splits', species: 'oak', pitC: 121 } },
    },
    [BOSUN, TOM],
    METRIC,
  ),
);

describe('how large it is set', () => {
  const piece = fc.record({ text: fc.string({ maxLength: 200 }) });

  it('never grows when there is more to say', () => {
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 150 }), piece, (pieces, more) => {
        const before = pointsFor(pieces);
        const after = pointsFor([...pieces, more]);
        if (before === null) expect(after).toBeNull();
        else if (after !== null) expect(after).toBeLessThanOrEqual(before);
      }),
    );
  });

  it('is roomy for a short plan and says so when nothing fits', () => {
    expect(pointsFor([])).toBe(10);
    expect(pointsFor(['heading', { text: 'Light the coals' }])).toBe(10);
    const long = Array.from({ length: 400 }, () => ({ text: 'x'.repeat(150) }));
    expect(pointsFor(long)).toBeNull();
    const some = Array.from({ length: 40 }, () => ({ text: 'x'.repeat(150) }));
    expect(pointsFor(some)!).toBeLessThan(10);
    // What stands beside a time has less room.
    const beside = some.map((p) => ({ ...p, less: 20 }));
    expect(pointsFor(beside)!).toBeLessThan(pointsFor(some)!);
  });
});

describe('what it says', () => {
  it('tells fire, vents, jobs, watch and troubles of one pit', () => {
    const html = sheetHtml(one, 'Mutton for 8');
    for (const heading of ['Fire and vents', 'Jobs', 'Shifts', 'What could go wrong']) {
      expect(html).toContain(`<h2>${heading}</h2>`);
    }
    expect(html).toContain('briquettes, 2 wide and 2 high');
    expect(html).toContain('Over 125 °C: close by one notch. Under 117 °C: open by one notch.');
    expect(html).toContain('The notches, tight to wide: Bowl vent a crack, lid vent');
    expect(html).toContain('carbon monoxide');
    expect(html).not.toContain('<h3>');
    for (const job of one.jobs) expect(html).toContain(job.at.slice(11));
  });

  it('names both pits, their days and the shifts, and keeps names from being taken for marks', () => {
    const html = sheetHtml(two, 'Lunch <b>& more</b>');
    expect(html).toContain('<h1>Lunch &lt;b&gt;&amp; more&lt;/b&gt;,');
    expect(html).toContain('<h3>the Bosun</h3>');
    expect(html).toContain('<h3>Long &lt;Tom&gt; &amp; son</h3>');
    expect(html).toContain('Feed: a split of');
    expect(html).toMatch(/Pell: \d\d:\d\d/);
    expect(html).toMatch(/Anka: \d\d:\d\d/);
    expect(html).not.toContain('<Tom>');
    // The day before the meal is named.
    const early = two.jobs.find((j) => j.at.slice(0, 10) !== two.serveAt.slice(0, 10));
    if (early) expect(html).toMatch(/<td>\d\d:\d\d (Fri|Thu)<\/td>/);
  });

  it('leaves out how a job is done before it leaves out the job', () => {
    const jobs = Array.from({ length: 300 }, (_, i) => ({
      ...one.jobs[0]!,
      id: `look-${i}`,
      inWords: `Look ${i}`,
      detail: `${'If it stands off its target, move the vent by a rung. '.repeat(3)}`,
    }));
    const html = sheetHtml({ ...one, jobs: [...one.jobs, ...jobs] }, 'Long');
    expect(html).toContain('Look 299');
    expect(html).not.toContain('move the vent by a rung');
    expect(sheetHtml({ ...one, jobs: [...one.jobs, ...jobs.slice(0, 3)] }, 'Short')).toContain(
      'move the vent by a rung',
    );
  });
});
