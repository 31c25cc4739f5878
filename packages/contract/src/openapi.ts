/** The HTTP API as an OpenAPI 3.1 document, with the bodies it takes from the classes that validate them. */
import './instrument';
import { schemaDefinitions, type Json } from './schema';
import {
  ID,
  body,
  ref,
  answer,
  problem,
  OBJECT,
  listOf,
  MISSING,
  operation,
  read,
  parametersOf,
  STORED,
  CHANGED,
  file,
} from './openapiParts';
import { logPaths } from './openapiLog';
import { wirePaths } from './openapiWire';
import { ROUTES } from './types';

/** The yard, saved plans and the shelf. */
const yardPaths = (): Json => ({
  [ROUTES.health]: { get: read('Whether the server answers', OBJECT) },
  [ROUTES.pits]: { get: read('The pits of the yard', listOf(OBJECT)) },
  [ROUTES.pit(ID)]: {
    get: read('One pit', OBJECT, MISSING),
    put: operation({
      summary: 'Make or change a pit; its cooks follow it to another name',
      body: body(ref('PitDto')),
      answers: { ...STORED, ...CHANGED },
    }),
    delete: operation({
      summary: 'Take a pit out of the yard; its cooks stay',
      answers: {
        '200': answer('Deleted', OBJECT),
        '409': problem('A cook is under way on it'),
        ...MISSING,
      },
    }),
  },
  [ROUTES.plans]: { get: read('The saved plans', listOf(OBJECT)) },
  [ROUTES.plan(ID)]: {
    put: operation({
      summary: 'Save a plan',
      body: body(ref('SavedPlanDto')),
      answers: { ...STORED, ...CHANGED },
    }),
    delete: operation({
      summary: 'Delete a saved plan',
      answers: { '200': answer('Deleted', OBJECT), ...MISSING, ...CHANGED },
    }),
  },
  [ROUTES.shelf]: {
    get: read('Fuel on the shelf, and prices', OBJECT),
    put: operation({
      summary: 'Change the shelf',
      body: body(ref('ShelfDto')),
      answers: { ...STORED, ...CHANGED },
    }),
  },
});

/** Cooks and their logs. */
const cookPaths = (): Json => ({
  [ROUTES.cooks]: {
    get: read('All cooks, newest first', listOf(OBJECT)),
    post: operation({
      summary: 'Begin cooks together, all or none; a retry begins each once',
      body: body(ref('NewCooksDto')),
      answers: {
        '201': answer('Begun', OBJECT),
        '200': answer('They were begun before', OBJECT),
        '409': problem('An id or a pit is in use'),
      },
    }),
  },
  [ROUTES.events]: {
    get: operation({
      summary: 'Everything that happens, as it comes (server-sent events)',
      answers: file('text/event-stream'),
    }),
  },
  [ROUTES.cook(ID)]: {
    get: read('One cook with its log, its readings and its clock', OBJECT, MISSING),
    delete: operation({
      summary: 'Delete a finished cook; it can be brought back for at least thirty days',
      answers: {
        '200': answer('Deleted', OBJECT),
        '409': problem('It is still under way'),
        ...MISSING,
      },
    }),
    put: operation({
      summary: 'Begin a cook under an id of the caller, a UUID; a retry begins it once',
      body: body(ref('NewCookDto')),
      answers: {
        '201': answer('Begun', OBJECT),
        '200': answer('It was begun before', OBJECT),
        '409': problem('The id or the pit is in use'),
      },
    }),
  },
  [ROUTES.entries(ID)]: {
    post: operation({
      summary: 'Add entries to the log; an id that is there already is passed over',
      body: body(ref('EntriesDto')),
      answers: {
        '201': answer('Stored', OBJECT),
        '200': answer('All were there before', OBJECT),
        '409': problem(
          'An id was used for something else, the cook is finished, or another device logged the like; the last two are stored when they are confirmed',
        ),
        ...MISSING,
      },
    }),
  },
  [ROUTES.clock(ID)]: {
    put: operation({
      summary: "Change the speed of the simulated thermometer's clock, or skip ahead",
      body: body(ref('ClockDto')),
      answers: { ...STORED, ...MISSING, '409': problem('The cook is finished') },
    }),
  },
  [ROUTES.cookEvents(ID)]: {
    get: operation({
      summary: 'The same of one cook (server-sent events)',
      answers: file('text/event-stream'),
    }),
  },
  [ROUTES.imports]: {
    post: operation({
      summary: 'Import a cook: its document, or its pair of CSV files',
      body: body({ anyOf: [ref('CookDocDto'), ref('CsvPairDto')] }),
      answers: {
        '201': answer('Imported', OBJECT),
        '200': answer('It was in the log before', OBJECT),
        '409': problem('A different cook of that id is in the log'),
      },
    }),
  },
});

const PROBLEM_DETAILS: Json = {
  type: 'object',
  description: 'RFC 9457 problem details, with a field for every problem.',
  required: ['type', 'title', 'status'],
  properties: {
    type: { type: 'string' },
    title: { type: 'string' },
    status: { type: 'integer' },
    detail: { type: 'string' },
    errors: {
      type: 'array',
      items: {
        type: 'object',
        required: ['field', 'message'],
        properties: { field: { type: 'string' }, message: { type: 'string' } },
      },
    },
  },
};

/** Who may come in. Devices and invitations are there only on a server that is open to the home network. */
const accessPaths = (): Json => ({
  [ROUTES.access]: { get: read('How the server is open, and the device that asks', OBJECT) },
  [ROUTES.signIn]: {
    post: operation({
      summary: 'Sign a device in with the passcode or an invitation; sets a cookie',
      body: body(ref('SignInDto')),
      answers: {
        '200': answer('Signed in', OBJECT),
        '401': problem('Neither the passcode nor an invitation'),
        '429': problem('Too many tries'),
      },
    }),
  },
  [ROUTES.signOut]: {
    post: operation({
      summary: 'Sign this device out',
      body: body(OBJECT),
      answers: { '200': answer('Signed out', OBJECT) },
    }),
  },
  [ROUTES.devices]: { get: read('The devices that are signed in', listOf(OBJECT)) },
  [ROUTES.device(ID)]: {
    put: operation({
      summary: 'Give a device another role',
      body: body(ref('RoleDto')),
      answers: { ...STORED, ...MISSING, '409': problem('It is the last cook') },
    }),
    delete: operation({
      summary: 'Sign a device out',
      answers: { '200': answer('Signed out', OBJECT), ...MISSING },
    }),
  },
  [ROUTES.invites]: {
    post: operation({
      summary: 'Make an invitation for one device; its code is told once',
      body: body(ref('RoleDto')),
      answers: { '201': answer('Made', OBJECT) },
    }),
  },
});

/** The whole document. */
export function openApi(): Json {
  const withId = Object.entries({
    ...yardPaths(),
    ...wirePaths(),
    ...cookPaths(),
    ...logPaths(),
    ...accessPaths(),
  }).map(([path, item]) => [
    path,
    path.includes('{') ? { parameters: parametersOf(path), ...(item as Json) } : item,
  ]);
  return {
    openapi: '3.1.0',
    info: {
      title: 'Ostrin',
      version: '0.1.0',
      description:
        'Cooks, their logs, pits, saved plans and the shelf. Times are epoch ms or local times.',
      license: { name: 'MIT', identifier: 'MIT' },
    },
    paths: Object.fromEntries(withId) as Json,
    components: {
      schemas: {
        ...schemaDefinitions('#/components/schemas/'),
        ProblemDetails: PROBLEM_DETAILS,
      },
    },
  };
}
