/** What app, server and command line say to each other. */
export * from './check';
export * from './cook';
export * from './csv';
export * from './kept';
export * from './read';
export * from './readRequest';
export * from './types';
export * from './words';
export { RequestDto } from './request';
export { ScenarioDto } from './scenario';
export { PlanDto } from './plan';
