/** The one internal of class-transformer that the schema generator asks its users for. */
declare module 'class-transformer/cjs/storage.js' {
  export { defaultMetadataStorage } from 'class-transformer/types/storage';
}
