/** The API's own description: it keeps to OpenAPI 3.1, and every reference in it leads somewhere. */
import { openApi } from '../src/openapi';
import { ROUTES } from '../src/types';

const document = openApi() as {
  openapi: string;
  paths: Record<string, Record<string, unknown>>;
  components: { schemas: Record<string, unknown> };
};

function references(node: unknown): string[] {
  if (typeof node !== 'object' || node === null) return [];
  return Object.entries(node).flatMap(([key, value]) =>
    key === '$ref' ? [String(value)] : references(value),
  );
}

it('names every route of the API', () => {
  const routes = Object.values(ROUTES).map((r) =>
    typeof r === 'string' ? r : r('{id}', '{photo}'),
  );
  expect(Object.keys(document.paths).sort()).toEqual([...new Set(routes)].sort());
  expect(document.openapi).toBe('3.1.0');
});

it('refers only to what it holds', () => {
  const all = [...new Set(references(document))];
  expect(all.length).toBeGreaterThan(10);
  for (const r of all) {
    expect(r).toMatch(/^#\/components\/schemas\//);
    expect(document.components.schemas).toHaveProperty([r.replace('#/components/schemas/', '')]);
  }
});

it('says of every operation what it does and how it may fail', () => {
  for (const item of Object.values(document.paths)) {
    for (const [method, operation] of Object.entries(item)) {
      if (method === 'parameters') continue;
      const { summary, responses } = operation as { summary: string; responses: object };
      expect(summary.length).toBeGreaterThan(5);
      expect(Object.keys(responses)).toContain('500');
      if (method === 'put' || method === 'post') expect(Object.keys(responses)).toContain('422');
    }
  }
});
