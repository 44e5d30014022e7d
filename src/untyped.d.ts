/** Where class-transformer keeps its decorators; class-validator-jsonschema reads them to describe nested classes. */
declare module 'class-transformer/cjs/storage' {
  // An import statement would make this file a module, which cannot declare one that has no types.
  // eslint-disable-next-line @typescript-eslint/consistent-type-imports
  type Reading = typeof import('class-validator-jsonschema').validationMetadatasToSchemas;
  type Options = NonNullable<Parameters<Reading>[0]>;
  export const defaultMetadataStorage: NonNullable<Options['classTransformerMetadataStorage']>;
}
