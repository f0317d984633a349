import { createNodeResolver, importX } from 'eslint-plugin-import-x';
import vue from 'eslint-plugin-vue';
import typescript from 'typescript-eslint';

/** Imports go one way: web and server reach into contract and core, the simulator into core, core into nothing. */
const mayNotReach = (...rooms) => ({
  'no-restricted-imports': [
    'error',
    { patterns: [{ group: rooms.flatMap((room) => [`@wax-fist/${room}*`, `**/${room}/**`]), message: 'Imports go one way.' }] },
  ],
});
const tests = ['**/*.test.ts', 'e2e/**/*.ts', 'web/test/**/*.ts'];
/** The rooms of core in the order in which footage goes through them: each knows those before it, and none after. */
const rooms = ['film', 'sound', 'strikes', 'rounds', 'technique', 'calls', 'measure', 'review', 'correction'];
const outside = ['contract', 'server', 'web', 'simulator'].flatMap((room) => [`@wax-fist/${room}*`, `**/${room}/**`]);
const downTheList = rooms.map((room, place) => ({
  files: [`core/${room}/**/*.ts`],
  ignores: tests,
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            group: [...outside, ...rooms.slice(place + 1).map((later) => `**/${later}/**`)],
            message: 'Core knows only the rooms before.',
          },
        ],
      },
    ],
  },
}));

export default typescript.config(
  { ignores: ['**/dist/', '.local/', 'node_modules/'] },
  ...typescript.configs.strictTypeChecked,
  ...typescript.configs.stylisticTypeChecked,
  ...vue.configs['flat/recommended'],
  { languageOptions: { parserOptions: { projectService: true } } },
  {
    rules: {
      // A number that knows its unit is a number.
      '@typescript-eslint/no-unsafe-unary-minus': 'off',
      // What may be missing only where nobody asks for it is said in words, not with a sign that a chain forbids.
      '@typescript-eslint/non-nullable-type-assertion-style': 'off',
      // An empty text counts as none.
      '@typescript-eslint/prefer-nullish-coalescing': ['error', { ignorePrimitives: { string: true } }],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      // To act and leave on one line is how a guard reads here.
      '@typescript-eslint/no-confusing-void-expression': 'off',
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/method-signature-style': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', ignoreRestSiblings: true }],
      'no-console': 'error',
      eqeqeq: 'error',
      'vue/require-default-prop': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: tests,
    rules: {
      'no-restricted-globals': ['error', 'process', 'window', 'document', 'performance', 'setTimeout'],
    },
  },
  ...downTheList,
  {
    files: ['**/*.ts', '**/*.vue'],
    plugins: { 'import-x': importX },
    settings: {
      'import-x/resolver-next': [createNodeResolver({ extensions: ['.ts', '.vue', '.js'] })],
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts'] },
    },
    rules: { 'import-x/no-cycle': ['error', { ignoreExternal: true }] },
  },
  { files: ['contract/**/*.ts'], rules: mayNotReach('server', 'web', 'simulator') },
  { files: ['server/**/*.ts'], rules: mayNotReach('web', 'simulator') },
  { files: ['web/**/*.{ts,vue}'], rules: mayNotReach('server', 'simulator') },
  { files: ['web/player/**/*.ts'], rules: mayNotReach('contract', 'server', 'simulator', 'features') },
  { files: ['simulator/**/*.ts'], rules: mayNotReach('contract', 'server', 'web') },
  { files: ['cli/**/*.ts'], ignores: tests, rules: mayNotReach('web', 'simulator') },
  {
    files: tests,
    rules: {
      '@typescript-eslint/no-unused-expressions': 'off',
      // A test may look into any answer; what it finds there is what it checks.
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
      // What stands in for something that takes its time is async without waiting for anything.
      '@typescript-eslint/require-await': 'off',
    },
  },
  { files: ['**/*.js', '**/*.config.ts'], ...typescript.configs.disableTypeChecked },
  // With types a component is checked by vue-tsc alone: to this service each one is a new program, which takes minutes.
  {
    files: ['**/*.vue'],
    ...typescript.configs.disableTypeChecked,
    languageOptions: {
      parserOptions: { ...typescript.configs.disableTypeChecked.languageOptions.parserOptions, parser: typescript.parser },
    },
  },
  { files: ['bin/**', 'bench/**', '**/cli.ts'], rules: { 'no-console': 'off' } },
);
