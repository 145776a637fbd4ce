import query from '@tanstack/eslint-plugin-query';
import a11y from 'eslint-plugin-jsx-a11y';
import imports, { createNodeResolver } from 'eslint-plugin-import-x';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

export default ts.config(
  ...ts.configs.strict,
  hooks.configs.flat.recommended,
  a11y.flatConfigs.recommended,
  ...query.configs['flat/recommended'],
  {
    files: ['src/**/*.{ts,tsx}'],
    rules: {
      // Two strings in one are words, or classes: a blank stands between them.
      'no-restricted-syntax': [
        'error',
        ...['left', 'left.right'].map((left) => ({
          selector: `BinaryExpression[operator="+"][${left}.value=/[^ ]$/][right.value=/^[a-z[]/]`,
          message: 'Two strings are joined without a blank between them.',
        })),
      ],
      // No compiler is used that would have to leave a component out.
      'react-hooks/incompatible-library': 'off',
      // What scrolls is a region that can be reached by keys.
      'jsx-a11y/no-noninteractive-tabindex': ['error', { roles: ['region', 'tabpanel'] }],
      // Where a window opens, its first field has the focus: that is what a window is expected to do.
      'jsx-a11y/no-autofocus': 'off',
      // What is heard is what is read beside it, or a reader's own recording.
      'jsx-a11y/media-has-caption': 'off',
    },
  },
  {
    // A view is read at one look, and so is each of its components.
    files: ['src/**/*.tsx'],
    rules: {
      'max-lines': ['error', 250],
      'max-lines-per-function': ['error', 120],
      'no-nested-ternary': 'error',
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { projectService: true } },
    rules: {
      // A message is said, never glued into a text.
      '@typescript-eslint/no-base-to-string': 'error',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    plugins: { 'import-x': imports },
    settings: {
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx'] },
      'import-x/resolver-next': [createNodeResolver({ extensions: ['.ts', '.tsx', '.js'] })],
    },
    rules: {
      // Nothing imports itself, however far round.
      'import-x/no-cycle': ['error', { ignoreExternal: true }],
      // The three sides know the kit and what is shared, and nothing of each other.
      'import-x/no-restricted-paths': [
        'error',
        {
          zones: [
            { target: './src/teacher', from: ['./src/reader', './src/guardian', './src/kit'] },
            { target: './src/reader', from: ['./src/teacher', './src/guardian', './src/kit'] },
            { target: './src/guardian', from: ['./src/teacher', './src/reader', './src/kit'] },
            { target: ['./src/ui', './src/shared'], from: ['./src/teacher', './src/reader', './src/guardian'] },
          ],
        },
      ],
    },
  },
  { ignores: ['dist', 'src/shared/schema.d.ts'] },
);
