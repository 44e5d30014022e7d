import tseslint from 'typescript-eslint';
import reactHooks from 'eslint-plugin-react-hooks';
import regexp from 'eslint-plugin-regexp';

const GLOSSARY = {
  selector: 'Identifier[name=/([eE]rrand|[sS]titch|(^l|L)ane|[sS]etAsides)/]',
  message: 'docs/glossary.md has the word for it: job, weave, queue, reservation.',
};

const TWICE = {
  selector: "CallExpression[callee.name='expectOk'] > CallExpression.arguments[callee.name=/^(parse|read)/]",
  message: 'What was read once is handed on as the value that it was read as.',
};

/** Readers of what is typed, which input classes call. */
const READERS = [
  ['@/core/units/length', ['parseLength', 'parseLengths']],
  ['@/core/units/mass', ['parseMass']],
  ['@/core/units/money', ['parseAmount']],
  ['@/core/units/percent', ['parsePercent']],
  ['@/core/stock/amount', ['parseCount']],
].map(([name, importNames]) => ({
  name,
  importNames,
  message: 'An input class reads it, and yields the value.',
}));

const TEXT =
  '/\\b(SELECT|INSERT INTO|DELETE FROM|LOCK TABLE|CREATE TABLE|ALTER (TABLE|ROLE)|UPDATE [a-z_]+( [a-z])? SET)\\b/';
const SQL = [`Literal[value=${TEXT}]`, `TemplateElement[value.raw=${TEXT}]`].map((selector) => ({
  selector,
  message: 'SQL stands in src/data/sql; a single table is asked through its model.',
}));

/** Tables that one room alone writes, and the statements that write them. */
const WRITERS = [
  {
    room: 'batches',
    tables: 'Batch|BatchLineRow|BatchCutRow|BatchPiece|CuttingPlanRow',
    statements: 'addActs|forgetLostCuts|bearWaste',
  },
  {
    room: 'reservations',
    tables: 'Reservation|ReservationLoss',
    statements: '(reserve(CutWires|Stock|ByHand)|release(Uncut|Excess)|emptyTray)',
  },
  { room: 'ledger', tables: 'Movement|MadeLabour', statements: 'setBalances|closeMonth' },
];

const notWriting = ({ room, tables, statements }) =>
  [
    `CallExpression[callee.property.name=/^(add|put|change|remove)$/][arguments.0.name=/^(${tables})$/]`,
    `Identifier[name=/^(${statements})Sql$/]`,
  ].map((selector) => ({ selector, message: `src/studio/${room} alone writes this.` }));

/** What a room may not say; rules of one name do not add up, so that the rules of all come with those of each. */
const restrict = (files, writers) => ({
  files: [files],
  ignores: ['**/*.test.ts'],
  rules: { 'no-restricted-syntax': ['error', GLOSSARY, TWICE, ...SQL, ...writers.flatMap(notWriting)] },
});

export default tseslint.config(
  { ignores: ['node_modules/', '.next/', '.data/', 'next-env.d.ts', 'test-results/', 'playwright-report/'] },
  ...tseslint.configs.recommended,
  {
    files: ['**/*.ts', '**/*.tsx'],
    plugins: { regexp },
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      // What is typed may be long: no expression takes more than its length.
      'regexp/no-super-linear-backtracking': 'error',
      'regexp/no-super-linear-move': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      '@typescript-eslint/await-thenable': 'error',
      '@typescript-eslint/no-unsafe-argument': 'error',
      '@typescript-eslint/no-unsafe-assignment': 'error',
      '@typescript-eslint/no-unsafe-call': 'error',
      '@typescript-eslint/no-unsafe-member-access': 'error',
      '@typescript-eslint/no-unsafe-return': 'error',
      'no-console': 'error',
      eqeqeq: 'error',
    },
  },
  // Components and hooks: what has none need not be looked through for them.
  {
    files: ['src/{app,ui}/**'],
    plugins: { 'react-hooks': reactHooks },
    rules: reactHooks.configs['recommended-latest']?.rules ?? {},
  },
  // What a matcher like expect.closeTo() stands for has no type.
  {
    files: ['**/*.test.ts', '**/*.test.tsx'],
    rules: {
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
    },
  },
  {
    files: ['src/**'],
    ignores: ['src/ui/Link.tsx'],
    rules: {
      'no-restricted-imports': [
        'error',
        { name: 'next/link', message: 'Use @/ui/Link: it fetches nothing before it is followed.' },
      ],
    },
  },
  // A use case is handed values; a file that is imported and a device have texts of their own.
  {
    files: ['src/studio/**'],
    ignores: ['**/*.input.ts', '**/*.test.ts', 'src/studio/{kernel,lists,instruments}/**'],
    rules: { 'no-restricted-imports': ['error', { paths: READERS }] },
  },
  // The import rules are read by a program that takes nothing else.
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  // One word for one thing: the glossary’s.
  {
    files: ['src/{app,data,demo,studio}/**', 'scripts/**'],
    rules: { 'no-restricted-syntax': ['error', GLOSSARY] },
  },
  // Statements stand in one folder, where a test compares each with the database. Tests bring about by hand what only time would.
  {
    files: ['src/**'],
    ignores: ['src/data/sql/**', 'src/data/migrations/**', 'src/core/**', 'src/ui/**', '**/*.test.ts'],
    rules: { 'no-restricted-syntax': ['error', GLOSSARY, TWICE, ...SQL] },
  },
  restrict('src/studio/**', WRITERS),
  ...WRITERS.map(({ room }) =>
    restrict(
      `src/studio/${room}/**`,
      WRITERS.filter((each) => each.room !== room),
    ),
  ),
  // The commands a person runs talk to that person through the console.
  { files: ['scripts/**', 'tests/**'], rules: { 'no-console': 'off' } },
);
