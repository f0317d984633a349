/** What is asked of TypeScript, with its types; what templates of components are asked is in eslint.config.js. */

const tests = ['**/*.test.ts', 'e2e/**/*.ts', 'web/test/**/*.ts'];

/** Of these rooms each may reach into what it names and not into what is listed: imports go one way. */
const reach = {
  contract: ['server', 'web', 'simulator'],
  server: ['web', 'simulator'],
  web: ['server', 'simulator'],
  'web/player': ['contract', 'server', 'simulator', 'features'],
  simulator: ['contract', 'server', 'web'],
  cli: ['web', 'simulator'],
};
/** The rooms of core in the order in which footage goes through them: each knows those before it, and none after. */
const rooms = ['film', 'sound', 'strikes', 'rounds', 'technique', 'calls', 'measure', 'review', 'correction'];
const outsideOfCore = ['contract', 'server', 'web', 'simulator'];

const inRoom = (room) => [`@wax-fist/${room}*`, `**/${room}/**`];
const mayNotReach = (files, group, message) => ({
  files,
  rules: { 'no-restricted-imports': ['error', { patterns: [{ group, message }] }] },
});
const all = (names, level = 'error') => Object.fromEntries(names.map((name) => [name, level]));
const typescript = (names, level) =>
  all(
    names.map((name) => `typescript/${name}`),
    level,
  );

export default {
  plugins: ['typescript', 'import', 'vue'],
  categories: { correctness: 'error' },
  options: { typeAware: true },
  ignorePatterns: ['**/dist/', '.local/', 'node_modules/'],
  rules: {
    ...all([
      'eqeqeq',
      'import/no-cycle',
      'no-array-constructor',
      'no-console',
      'no-empty-function',
      'no-unused-expressions',
      'no-useless-constructor',
      'no-var',
      'prefer-const',
      'prefer-rest-params',
      'prefer-spread',
    ]),
    'no-unused-vars': ['error', { argsIgnorePattern: '^_', ignoreRestSiblings: true }],
  },
  overrides: [
    {
      files: ['**/*.ts'],
      rules: {
        ...typescript([
          'adjacent-overload-signatures',
          'array-type',
          'ban-ts-comment',
          'ban-tslint-comment',
          'class-literal-property-style',
          'consistent-generic-constructors',
          'consistent-indexed-object-style',
          'consistent-type-assertions',
          'consistent-type-definitions',
          'consistent-type-imports',
          'dot-notation',
          'method-signature-style',
          'no-base-to-string',
          'no-confusing-non-null-assertion',
          'no-deprecated',
          'no-dynamic-delete',
          'no-empty-object-type',
          'no-explicit-any',
          'no-extraneous-class',
          'no-generated-empty-object-type',
          'no-inferrable-types',
          'no-misused-promises',
          'no-mixed-enums',
          'no-namespace',
          'no-non-null-asserted-nullish-coalescing',
          'no-require-imports',
          'no-unnecessary-boolean-literal-compare',
          'no-unnecessary-condition',
          'no-unnecessary-template-expression',
          'no-unnecessary-type-arguments',
          'no-unnecessary-type-assertion',
          'no-unnecessary-type-constraint',
          'no-unnecessary-type-conversion',
          'no-unnecessary-type-parameters',
          'no-unsafe-argument',
          'no-unsafe-assignment',
          'no-unsafe-call',
          'no-unsafe-enum-comparison',
          'no-unsafe-function-type',
          'no-unsafe-member-access',
          'no-unsafe-return',
          'only-throw-error',
          'prefer-find',
          'prefer-for-of',
          'prefer-function-type',
          'prefer-includes',
          'prefer-literal-enum-member',
          'prefer-optional-chain',
          'prefer-promise-reject-errors',
          'prefer-reduce-type-parameter',
          'prefer-regexp-exec',
          'prefer-return-this-type',
          'prefer-string-starts-ends-with',
          'related-getter-setter-pairs',
          'require-await',
          'unified-signatures',
          'use-unknown-in-catch-callback-variable',
        ]),
        // An empty text counts as none.
        'typescript/prefer-nullish-coalescing': ['error', { ignorePrimitives: { string: true } }],
        'typescript/restrict-plus-operands': [
          'error',
          { allowAny: false, allowBoolean: false, allowNullish: false, allowNumberAndString: false, allowRegExp: false },
        ],
        'typescript/restrict-template-expressions': ['error', { allowNumber: true }],
        'typescript/return-await': ['error', 'error-handling-correctness-only'],
        // A number that knows its unit is a number.
        'typescript/no-unsafe-unary-minus': 'off',
      },
    },
    // A script is run as it is written: nobody has said its types.
    {
      files: ['**/*.js', '**/*.config.ts'],
      rules: typescript(
        [
          'no-unsafe-argument',
          'no-unsafe-assignment',
          'no-unsafe-call',
          'no-unsafe-member-access',
          'no-unsafe-return',
          'no-floating-promises',
          'unbound-method',
        ],
        'off',
      ),
    },
    {
      files: ['core/**/*.ts'],
      rules: { 'no-restricted-globals': ['error', 'process', 'window', 'document', 'performance', 'setTimeout'] },
    },
    ...rooms.map((room, place) =>
      mayNotReach(
        [`core/${room}/**/*.ts`],
        [...outsideOfCore.flatMap(inRoom), ...rooms.slice(place + 1).map((later) => `**/${later}/**`)],
        'Core knows only the rooms before.',
      ),
    ),
    ...Object.entries(reach).map(([room, closed]) =>
      mayNotReach([`${room}/**/*.{ts,vue}`], closed.flatMap(inRoom), 'Imports go one way.'),
    ),
    {
      files: tests,
      rules: {
        'no-restricted-imports': 'off',
        'no-restricted-globals': 'off',
        'no-unused-expressions': 'off',
        // A test may look into any answer; what it finds there is what it checks.
        ...typescript(
          ['no-unsafe-argument', 'no-unsafe-assignment', 'no-unsafe-call', 'no-unsafe-member-access', 'no-unsafe-return'],
          'off',
        ),
        // What stands in for something that takes its time is async without waiting for anything.
        'typescript/require-await': 'off',
        'typescript/require-array-sort-compare': 'off',
      },
    },
    { files: ['bin/**', 'bench/**', '**/cli.ts'], rules: { 'no-console': 'off' } },
  ],
};
