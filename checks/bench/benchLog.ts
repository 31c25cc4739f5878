/** `ostrin bench --log`: a log of five hundred cooks of twelve hours, read each thirty seconds. */
import { planOnePit } from '@ostrin/core/engine';
import { manyCooks } from '../log/manyCooks';
import { request } from '@ostrin/testing';
import { onServer } from './onServer';

const SIZE = { cooks: 500, hours: 12, everyS: 30 };

const rounded = (value: number): number => Number(value.toFixed(1));

/** The measured log, with what is asked of it. */
export async function benchLog() {
  const plan = planOnePit(request(), { nowMs: 0, members: 60 });
  const measured = await onServer(3, (server) => manyCooks(server, plan, SIZE));
  const got = Object.fromEntries(
    Object.entries(measured).map(([key, value]) => [key, rounded(value)]),
  );
  return {
    ostrin: 'bench-log/1',
    ...got,
    asked: {
      listMs: { asked: 'under 300', got: got.listMs },
      oneCookMs: { asked: 'under 500', got: got.oneCookMs },
      fourCooksMs: { asked: 'under 1000', got: got.fourCooksMs },
    },
  };
}
