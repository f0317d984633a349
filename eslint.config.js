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
const tests = ['**/*.test.ts', 'e2e/**/*.ts'];
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
  ...typescript.configs.strict,
  ...typescript.configs.stylistic,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: typescript.parser } },
  },
  {
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
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
    rules: { 'import-x/no-cycle': 'error' },
  },
  { files: ['contract/**/*.ts'], rules: mayNotReach('server', 'web', 'simulator') },
  { files: ['server/**/*.ts'], rules: mayNotReach('web', 'simulator') },
  { files: ['web/**/*.{ts,vue}'], rules: mayNotReach('server', 'simulator') },
  { files: ['web/player/**/*.ts'], rules: mayNotReach('contract', 'server', 'simulator', 'features') },
  { files: ['simulator/**/*.ts'], rules: mayNotReach('contract', 'server', 'web') },
  { files: ['cli/**/*.ts'], ignores: tests, rules: mayNotReach('web', 'simulator') },
  { files: tests, rules: { '@typescript-eslint/no-unused-expressions': 'off' } },
  { files: ['bin/**', 'bench/**', '**/cli.ts'], rules: { 'no-console': 'off' } },
);
