/** Several property decorators as one. */
export const applyAll =
  (...decorators: PropertyDecorator[]): PropertyDecorator =>
  (target, property) => {
    for (const d of decorators) d(target, property);
  };
