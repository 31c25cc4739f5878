/**
 * class-validator gathers the rules of a class anew for every object of it, which is nine tenths of what checking a long list
 * takes (measured: 43 of 47 microseconds for a reading). The rules of a class stand once it is declared: they are gathered
 * once.
 */
import { getMetadataStorage } from 'class-validator';

type Storage = ReturnType<typeof getMetadataStorage>;
type Rules = ReturnType<Storage['getTargetValidationMetadatas']>;

const storage = getMetadataStorage();
const gather = storage.getTargetValidationMetadatas.bind(storage);
const gathered = new Map<unknown, Map<string, Rules>>();

storage.getTargetValidationMetadatas = (cls, ...options) => {
  const ofClass = gathered.get(cls) ?? new Map<string, Rules>();
  gathered.set(cls, ofClass);
  const key = JSON.stringify(options);
  const rules = ofClass.get(key) ?? gather(cls, ...options);
  ofClass.set(key, rules);
  return rules;
};
