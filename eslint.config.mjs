import { readdirSync } from 'node:fs';
import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

/** The kinds of shells and interiors: the folders that they live in. */
const folders = (under) =>
  readdirSync(under, { withFileTypes: true })
    .filter((e) => e.isDirectory())
    .map((e) => e.name);
const KINDS = [...folders('core/shells'), ...folders('core/interiors')];

/** No one asks which kind something is but the kind itself. */
function noKindsNamed(kinds) {
  const name = `Literal[value=/^(${kinds.join('|')})$/]`;
  const message = 'What belongs to one kind is known in its own folder: put it into the kind, and ask that.';
  const where = [`BinaryExpression[operator=/^[!=]=/] > ${name}`, `SwitchCase > ${name}`];
  return { 'no-restricted-syntax': ['error', ...where.map((selector) => ({ selector, message }))] };
}

export default ts.config(
  { ignores: ['build/**', 'node_modules/**', '/data/**', 'server/data/migrations/**', 'test-results/**'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  {
    files: ['**/*.ts', '**/*.tsx'],
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports', disallowTypeAnnotations: false }],
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      eqeqeq: 'error',
      'no-console': 'error',
    },
  },
  // Classes that Nest injects must be imported as values.
  { files: ['server/**/*.ts'], rules: { '@typescript-eslint/consistent-type-imports': 'off' } },
  {
    files: ['web/**/*.tsx', 'web/**/*.ts'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    files: ['scripts/**', '*.mjs', '*.cjs', 'cli/*.mjs', 'bench/**'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        fetch: 'readonly',
        setTimeout: 'readonly',
        performance: 'readonly',
        module: 'writable',
      },
    },
    rules: { 'no-console': 'off' },
  },
  { files: ['**/*.ts', '**/*.tsx'], ignores: ['**/*.test.ts', '**/*.test.tsx'], rules: noKindsNamed(KINDS) },
  ...KINDS.map((kind) => ({
    files: [`core/*/${kind}/**`, `web/kinds/${kind}/**`],
    ignores: ['**/*.test.ts', '**/*.test.tsx'],
    rules: noKindsNamed(KINDS.filter((k) => k !== kind)),
  })),
  prettier,
);
