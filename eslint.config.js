import vue from 'eslint-plugin-vue';
import ts from 'typescript-eslint';

// what comes out of a .vue file is of no type to ESLint, which does not read their templates; vue-tsc holds those
const UNSEEN = Object.fromEntries(
  ['argument', 'assignment', 'call', 'member-access', 'return'].map((use) => [
    `@typescript-eslint/no-unsafe-${use}`,
    'off',
  ]),
);

export default ts.config(
  { ignores: ['web/dist*/**', 'web/src/api/schema.d.ts', 'node_modules/**'] },
  ...ts.configs.recommendedTypeChecked,
  ...vue.configs['flat/essential'],
  {
    languageOptions: {
      parserOptions: {
        project: ['web/tsconfig.json', 'tests/e2e/tsconfig.json'],
        tsconfigRootDir: import.meta.dirname,
        extraFileExtensions: ['.vue'],
      },
    },
  },
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: ts.parser } } },
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      // t and the like are taken out of what vue-i18n gives, as its own pages say
      '@typescript-eslint/unbound-method': 'off',
      'no-console': 'error',
      eqeqeq: ['error', 'smart'],
      'vue/multi-word-component-names': 'off',
    },
  },
  {
    files: ['**/*.vue', 'web/src/main.ts', 'tests/e2e/*.mjs'],
    rules: {
      ...UNSEEN,
      '@typescript-eslint/no-redundant-type-constituents': 'off',
      '@typescript-eslint/no-unnecessary-type-assertion': 'off',
    },
  },
);
