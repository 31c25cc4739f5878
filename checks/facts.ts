/** `ostrin facts`: the engine against the outside world, as text. */
import { movableParameters, rowsWithParametersMoved } from './movedParameters';
import { factsTable, runFacts } from './run';
import { syntheticRows } from './syntheticCooks';

export interface FactsOptions {
  /** As JSON instead of a table. */
  json?: boolean;
  /** The pit's rows with each parameter moved by a tenth; always JSON. */
  moved?: boolean;
  /** Windows and readings against synthetic cooks. */
  twins?: boolean;
}

/** What `ostrin facts` prints, without its last line's end. */
export function facts({ json, moved, twins }: FactsOptions): string {
  if (moved) return JSON.stringify({ moved: rowsWithParametersMoved(movableParameters()) });
  const rows = twins ? syntheticRows() : runFacts();
  return json ? JSON.stringify({ rows }) : factsTable(rows).trimEnd();
}
