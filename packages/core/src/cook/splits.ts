/** A stick burner: the next split before the fall, its weight by how the last round went, dampers for the rest. */
import { CHARCOALS } from '../fuel/catalogue';
import { mean } from '../quantity/statistics';
import { clamp, shown } from '../quantity/units';
import type { SplitGuide } from './guide';
import type { Look } from './hand';
import type { Action } from './scenario';
import { setVents, trend, type Tender } from './tending';

/** What is done about the splits and the damper at a look. */
export function feedSplits(t: Tender, by: SplitGuide, now: Look): Action[] {
  const { atMin } = now;
  const under = t.targetC - now.pitC;
  const actions: Action[] = [];
  if (!t.up && under < t.guide.closeBelowK) t.up = true;
  const since = atMin - t.fedMin;
  const first = t.fedMin === 0;
  // Before the fall, not after it: where the pit will stand when the next split has caught.
  const low = under - Math.min(trend(t), 0) > -2;
  const spent = now.woodKg < 0.35 * t.splitKg;
  const due = first
    ? atMin >= by.firstMin && under > -25
    : (since >= by.leastMin && low && spent) || since >= by.mostMin;
  if (due && under > (spent ? -by.skipOverK : -by.skipOverK / 2)) {
    // A lighter piece while the pit stands high.
    let massKg = t.splitKg;
    if (!first) {
      const round = t.seen.filter((s) => s.atMin > t.fedMin).map((s) => s.pitC);
      const off = t.targetC - mean(round);
      // The charcoal base runs hot at first: no lesson for the splits to come.
      const lesson = atMin < by.learnFromMin ? 0 : clamp(off * by.learnPerK, -0.1, 0.1);
      t.splitKg = clamp(t.splitKg * (1 + lesson), by.lightestKg, by.heaviestKg);
      massKg = t.splitKg * (1 + clamp(off * by.nowPerK, -0.35, 0.35));
    }
    t.fedMin = atMin;
    massKg = clamp(massKg, by.lightestKg, by.heaviestKg);
    actions.push(
      {
        atMin,
        do: 'add-fuel',
        fuel: 'splits',
        pieces: 1,
        massKg: shown(massKg, 2),
        lit: false,
        preheated: true,
      },
      { atMin, do: 'door', openFraction: 0.15, seconds: 60 },
    );
    // Coals burnt down too far to carry wood: a little charcoal with it.
    const lumpKg = now.litKg < 0.44 * by.bedKg ? Math.max(by.bedKg, by.lumpKg) : by.lumpKg;
    if (lumpKg > 0) {
      const pieces = Math.max(1, Math.round(lumpKg / CHARCOALS.lump.pieceKg));
      actions.push({ atMin, do: 'add-fuel', fuel: 'lump', pieces, lit: false });
    }
  }
  // Damper: half when well over, wide again when the fire needs its breath.
  if (t.up && under < -by.dampOverK && t.exhaust > 0.6)
    actions.push(setVents(t, atMin, t.intake, 0.5));
  else if (under > -4 && t.exhaust < 1) actions.push(setVents(t, atMin, t.intake, 1));
  return actions;
}
