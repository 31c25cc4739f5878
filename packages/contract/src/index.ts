/** What app, server and command line say to each other. */
export * from './access';
export * from './archive';
export * from './problems';
export * from './validate';
export * from './cook';
export * from './csv';
export { exportedCook } from './exported';
export * from './instrument';
export * from './savedPlans';
export { readPit, readScenario } from './read';
export * from './readCook';
export { isObject } from './plain';
export { liftPlan } from './liftPlan';
export * from './readRequest';
export * from './types';
export { RequestDto } from './request';
export { ScenarioDto } from './scenario';
export { PlanDto } from './plan';
