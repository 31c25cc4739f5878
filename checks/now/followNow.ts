/**
 * A true cook tended by nothing but the order on the card, by somebody with habits: who is late, leaves jobs out, reads
 * wrongly, whose thermometer falls silent, who takes all of it off early. Each five minutes what is said is checked.
 */
import {
  ADVICE_MIN,
  advance,
  adviseNow,
  applyAction,
  celsius,
  cookNow,
  coreProbeC,
  createCook,
  drawPieceVariation,
  FollowedFire,
  forecastInputs,
  forecastsOf,
  isDue,
  knownCook,
  leadPiece,
  MINUTE_MS,
  ordersOf,
  SEEN_FOR_MIN,
  steadied,
  seeded,
  seedFrom,
  wantsAdvice,
  type Advice,
  type Cook,
  type CookNow,
  type Entry,
  type EntryBody,
  type Forecasts,
  type Order,
  type PlanLog,
  type Random,
  type ReadingRow,
} from '@ostrin/core/internals';
import type { Case } from '../plans/requests';
import { FIRE_SD, trueScenario, type PlannedCase } from '../tend/truePit';
import type { Followed } from './followed';
import { Hearing } from './hearing';
import { habitsOf, tendsExactly, type Habits } from './habits';
import { violationsOf } from './rules';

const EVERY_MIN = 5;
/** Forecasts are worked out anew so often when nothing happens, min. */
const FORECAST_MIN = 30;
/** Likely cooks behind a forecast: the app's twelve cost more than all the rest. */
const MEMBERS = 4;
/** Cooks end this long after their plan at the latest, min. */
const LONGEST_MIN = 1400;
const PROBE = { biasK: 1.5, noiseK: 0.5 };
const WRONG_BY_K = 180;

class Follower {
  private readonly entries: Entry[] = [];
  private readonly readings: ReadingRow[] = [];
  private readonly fire = new FollowedFire();
  private readonly cook: Cook;
  private readonly biasK: number;
  private readonly meat: string;
  private readonly habits: Habits;
  private readonly out: Followed;
  private forecasts: Forecasts = {};
  private forecastAtMin = -Infinity;
  private advice: Advice | null = null;
  private adviceAtMin = -Infinity;
  private actedAtMin = 0;
  private changed = true;
  private acted = true;
  private readonly seen = new Map<string, number>();
  private readonly hearing = new Hearing();
  private readonly decided = new Map<string, { doAtMin: number; skip: boolean }>();
  private before: readonly (number | null)[] | null = null;
  private inBandMin = 0;
  private countedMin = 0;
  private visits = 0;
  private ended = false;

  constructor(
    private readonly c: Case,
    private readonly made: PlannedCase,
    private readonly random: Random,
  ) {
    this.meat = made.plan.request.meats[0].id;
    const truth = trueScenario(made, random);
    // Whoever tends puts the meat on, wraps it and takes it off.
    const scenario = {
      ...truth,
      actions: [],
      meats: truth.meats.map((m) => ({ ...m, wrap: undefined })),
    };
    const variation = drawPieceVariation(random);
    this.cook = createCook(scenario, {
      variations: scenario.meats.map(() => variation),
      pieceOverrides: { cells: 24 },
    });
    this.cook.pit!.unlit.paceFactor *= random.logNormal(FIRE_SD.pace);
    this.cook.pit!.unlit.kg *= random.logNormal(FIRE_SD.load);
    this.biasK = PROBE.biasK * random.normal();
    this.habits = habitsOf(random);
    this.out = {
      id: c.id,
      family: c.family,
      exactly: tendsExactly(this.habits),
      moments: 0,
      violations: {},
      examples: [],
      inBand: null,
      visitsPerH: 0,
    };
  }

  run(): Followed {
    // What comes before the fire is lit is behind it, and so is lighting: the true fire burns from minute 0 on.
    for (const job of this.made.plan.jobs) {
      if (job.atMin > 0 || job.do.startsWith('meat')) continue;
      this.log(0, job.logs.length === 0 ? [{ kind: 'job' }] : this.acts(0, job.logs), job.id);
    }
    for (let min = 1; min <= LONGEST_MIN && !this.ended; min++) {
      advance(this.cook, min);
      this.read(min);
      this.count();
      if (min % EVERY_MIN === 0) this.moment(min);
    }
    this.out.inBand = this.countedMin > 0 ? this.inBandMin / this.countedMin : null;
    this.out.visitsPerH = this.visits / Math.max(this.countedMin / 60, 1);
    return this.out;
  }

  private at = (min: number): number => min * MINUTE_MS;

  private log(min: number, bodies: readonly EntryBody[], jobId?: string): void {
    for (const body of bodies) {
      const id = `e${this.entries.length}`;
      this.entries.push({ id, at: this.at(min), ...(jobId ? { jobId } : {}), ...body });
    }
    this.changed = true;
  }

  /** Does actions at the true pit, and says what the log holds of them. */
  private acts(min: number, logs: readonly PlanLog[]): EntryBody[] {
    this.acted = true;
    this.actedAtMin = min;
    return logs.map((log): EntryBody => {
      applyAction(this.cook, { ...log, atMin: min });
      return { kind: 'act', action: log };
    });
  }

  private read(min: number): void {
    const { byHandMin, silentFromMin, wrongAtMin } = this.habits;
    const silent = silentFromMin !== null && min >= silentFromMin && min < silentFromMin + 120;
    const noise = (): number => PROBE.noiseK * this.random.normal();
    const piece = this.cook.pieces[0]!;
    const pitC = celsius(this.cook.pit!.probeK) + this.biasK + noise();
    const coreC = piece.stage === 'on' ? coreProbeC(piece.piece, 0) + noise() : null;
    if (byHandMin === null) {
      if (!silent) this.readings.push({ at: this.at(min), pitC, coreC });
      return;
    }
    if (min % byHandMin !== 0 || silent) return;
    const wrong = wrongAtMin !== null && min >= wrongAtMin && min < wrongAtMin + byHandMin;
    this.log(min, [{ kind: 'read', spot: 'grate', c: pitC + (wrong ? WRONG_BY_K : 0) }]);
    if (coreC !== null && min % (2 * byHandMin) === 0)
      this.log(min, [{ kind: 'read', spot: 'meat', c: coreC, meat: this.meat }]);
  }

  private count(): void {
    const { pitC, bandC } = this.made.plan.request.pits[0].pace;
    const inside = Math.abs(celsius(this.cook.pit!.probeK) - pitC) <= bandC;
    const on = this.cook.pieces[0]!.stage === 'on';
    if (!on || (this.countedMin === 0 && !inside)) return;
    this.countedMin++;
    if (inside) this.inBandMin++;
  }

  private moment(min: number): void {
    const cook = this.now(min);
    const seen = new Set(
      [...this.seen].filter(([, at]) => min - at < SEEN_FOR_MIN).map(([id]) => id),
    );
    const advice = this.advised(cook, min);
    const orders = ordersOf(cook, { advice, seen });
    const found = violationsOf({
      cook,
      orders,
      before: { readyMin: this.before, changed: this.changed },
      heard: this.hearing.at(min, cook, orders.order),
      nowMin: min,
    });
    this.out.moments++;
    for (const v of found) {
      if (!this.out.violations[v])
        this.out.examples.push(`${this.c.id} ${min} min: ${v}, ${orders.order.id}`);
      this.out.violations[v] = (this.out.violations[v] ?? 0) + 1;
    }
    this.before = cook.forecast?.readyMin ?? null;
    this.changed = false;
    this.follow(cook, orders.order, min);
  }

  private now(min: number): CookNow {
    const known = knownCook({
      id: this.c.id,
      plan: this.made.plan,
      startMs: 0,
      entries: this.entries,
      readings: this.readings,
    });
    if (this.acted || min - this.forecastAtMin >= FORECAST_MIN) {
      const inputs = Object.entries(forecastInputs(known, this.at(min)));
      this.forecasts = steadied(
        this.forecasts,
        forecastsOf(
          Object.fromEntries(inputs.map(([id, input]) => [id, { ...input, members: MEMBERS }])),
          this.fire,
        ),
      );
      this.acted = false;
      this.forecastAtMin = min;
    }
    return cookNow(known, this.forecasts, this.at(min));
  }

  private advised(cook: CookNow, min: number): Advice | null {
    if (!wantsAdvice(cook)) return null;
    if (this.adviceAtMin < this.actedAtMin || min - this.adviceAtMin >= ADVICE_MIN.every) {
      const lead = leadPiece(cook).id;
      const input = forecastInputs(cook, cook.nowMs, [lead])[lead]!;
      const { plan, log, nowMs } = cook;
      this.advice = adviseNow({ input, plan, lines: log.lines, nowMs }, this.fire);
      this.adviceAtMin = min;
    }
    return this.advice && min < this.advice.atMin + ADVICE_MIN.holds ? this.advice : null;
  }

  private follow(cook: CookNow, order: Order, min: number): void {
    const { offAtMin, lateMin, skips } = this.habits;
    if (offAtMin !== null && min >= offAtMin && this.cook.pieces[0]!.stage === 'on') {
      this.log(min, this.acts(min, [{ do: 'meat-off', meat: this.meat }]));
      this.visits++;
      return;
    }
    for (const id of this.decided.keys())
      if (id.startsWith('move/') && id !== order.id) this.decided.delete(id);
    if (order.kind === 'finish') {
      this.ended = true;
      return;
    }
    if (!isDue(order, cook.nowMs)) return;
    // Whoever is late does what is asked by then, also where that was worked out anew meanwhile.
    const decided = this.decided.get(order.id) ?? {
      doAtMin: min + lateMin * this.random.next(),
      skip: order.kind === 'job' && this.random.next() < skips,
    };
    this.decided.set(order.id, decided);
    if (min < decided.doAtMin) return;
    this.decided.delete(order.id);
    this.visits++;
    this.carryOut(order, min, decided.skip);
  }

  private carryOut(order: Order, min: number, skip: boolean): void {
    switch (order.kind) {
      case 'job': {
        const { job } = order;
        // Meat is not left out: without it there is no cook.
        if (skip && !job.do.startsWith('meat')) this.log(min, [{ kind: 'skip' }], job.id);
        else this.log(min, job.logs.length ? this.acts(min, job.logs) : [{ kind: 'job' }], job.id);
        return;
      }
      case 'move':
        this.log(min, this.acts(min, order.advice.logs), order.jobIds[0]);
        return;
      case 'make-safe':
        // It is finished in an oven, and read there.
        this.log(min, [
          { kind: 'read', spot: 'meat', c: order.notSafe.safeC + 5, meat: order.meat },
        ]);
        return;
      default:
        this.seen.set(order.id, min);
    }
  }
}

/** Follows one case of a seed in its plan. */
export const followNow = (c: Case, made: PlannedCase): Followed =>
  new Follower(c, made, seeded(seedFrom(`now/${c.truth}`))).run();
