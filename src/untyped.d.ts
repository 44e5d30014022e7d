/** Where class-transformer keeps its decorators; class-validator-jsonschema reads them to describe nested classes. */
declare module 'class-transformer/cjs/storage' {
  type Reading = typeof import('class-validator-jsonschema').validationMetadatasToSchemas;
  type Options = NonNullable<Parameters<Reading>[0]>;
  export const defaultMetadataStorage: NonNullable<Options['classTransformerMetadataStorage']>;
}
