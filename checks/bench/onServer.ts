/** A server of the build, for benches that measure one. */
import { existsSync } from 'node:fs';
import path from 'node:path';
import { MeasuredServer } from '../server/measured';

const PORT = 8691;

/** The folder of the project, from wherever this was built to. */
function projectFolder(): string {
  let folder = import.meta.dirname;
  while (!existsSync(path.join(folder, 'package-lock.json'))) folder = path.dirname(folder);
  return folder;
}

/** Runs something on a server of its own, `offset` ports on. */
export async function onServer<T>(
  offset: number,
  work: (server: MeasuredServer) => Promise<T>,
): Promise<T> {
  const server = new MeasuredServer(projectFolder(), PORT + offset);
  await server.start();
  try {
    return await work(server);
  } finally {
    await server.end();
  }
}
