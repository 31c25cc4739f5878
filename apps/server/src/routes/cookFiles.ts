/** A cook as files: its document, its readings and its log. */
import { actionsCsv, exportedCook, readingsCsv } from '@ostrin/contract';
import type { Router } from 'express';
import type { CookHead, CookStore } from '../store/cooks';
import { headOf } from './cookHead';

/** The routes of a cook as files. */
export function addExports(router: Router, services: { store: CookStore }): void {
  const { store } = services;
  router.get('/:id/cook.json', async (req, res) => {
    const head = await headOf(services, req);
    const doc = await store.doc(head.id);
    res.attachment(`${fileName(head)}.json`).json(exportedCook(doc!));
  });
  router.get('/:id/readings.csv', async (req, res) => {
    const head = await headOf(services, req);
    res.attachment(`${fileName(head)}-readings.csv`).type('text/csv');
    res.send(readingsCsv(await store.readings(head.id)));
  });
  router.get('/:id/actions.csv', async (req, res) => {
    const head = await headOf(services, req);
    const doc = await store.doc(head.id);
    res.attachment(`${fileName(head)}-actions.csv`).type('text/csv');
    res.send(actionsCsv(doc!));
  });
}

const fileName = (head: CookHead): string =>
  head.name
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase() || 'cook';
