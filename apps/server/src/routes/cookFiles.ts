/** A cook as files: its document, its readings and its log; and what a strip shows of a part of it. */
import { SpanDto, validate } from '@ostrin/contract';
import type { Response, Router } from 'express';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { invalid } from '../http/problems';
import { actionsText, cookJson, readingsText } from '../record/cookTexts';
import type { CookStore } from '../store/cooks';
import type { CookHead } from '../store/heads';
import { headOf } from './cookHead';

/** Sends texts as they are made; whoever goes away meanwhile ends it. */
async function send(res: Response, texts: AsyncIterable<string>): Promise<void> {
  try {
    await pipeline(Readable.from(texts), res);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'ERR_STREAM_PREMATURE_CLOSE') throw error;
  }
}

/** The routes of a cook as files. */
export function addExports(router: Router, services: { store: CookStore }): void {
  const { store } = services;
  router.get('/:id/cook.json', async (req, res) => {
    const head = await headOf(services, req);
    res.attachment(`${fileName(head)}.json`).type('application/json');
    await send(res, cookJson(store, head, store.readingSlices(head)));
  });
  router.get('/:id/readings.csv', async (req, res) => {
    const head = await headOf(services, req);
    res.attachment(`${fileName(head)}-readings.csv`).type('text/csv');
    await send(res, readingsText(store, head));
  });
  router.get('/:id/actions.csv', async (req, res) => {
    const head = await headOf(services, req);
    res.attachment(`${fileName(head)}-actions.csv`).type('text/csv');
    res.send(await actionsText(store, head));
  });
  router.get('/:id/readings', async (req, res) => {
    const head = await headOf(services, req);
    const { from, to } = req.query;
    const checked = validate(SpanDto, { from: Number(from), to: Number(to) });
    if (!checked.ok) throw invalid(checked.problems);
    if (checked.value.to <= checked.value.from) {
      throw invalid([{ field: 'to', message: 'must come after from' }]);
    }
    res.json(await store.readingsShown(head, [checked.value.from, checked.value.to]));
  });
}

const fileName = (head: CookHead): string =>
  head.name
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase() || 'cook';
