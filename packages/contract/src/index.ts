/** What app, server and command line say to each other. */
export * from './validate';
export * from './cook';
export * from './csv';
export * from './savedPlans';
export * from './read';
export * from './readRequest';
export * from './types';
export { RequestDto } from './request';
export { ScenarioDto } from './scenario';
export { PlanDto } from './plan';
