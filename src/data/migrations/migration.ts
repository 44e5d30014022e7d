/** What a migration may depend on. */
export interface MigrationContext {
  /** The role the application connects as, quoted for SQL: it owns nothing and cannot bypass row security. */
  readonly appRole: string;
}

/** One forward step of the schema: its statements run in one transaction, once. */
export interface Migration {
  readonly name: string;
  readonly statements: (context: MigrationContext) => readonly string[];
}
