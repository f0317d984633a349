import vue from 'eslint-plugin-vue';
import typescript from 'typescript-eslint';

/** What is asked of the templates of components; what TypeScript is asked is in oxlint.config.js, what types say is vue-tsc's. */
export default [
  { ignores: ['**/dist/', '.local/', 'node_modules/'] },
  ...vue.configs['flat/recommended'].map((part) => ({ ...part, files: ['**/*.vue'] })),
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: typescript.parser } },
    rules: {
      'vue/require-default-prop': 'off',
      // How a template is laid out is Prettier's.
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
    },
  },
];
