import { readdirSync } from 'node:fs';
import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

/** The kinds of shells and interiors: the folders that they live in. */
const folders = (under) =>
  readdirSync(under, { withFileTypes: true })
    .filter((e) => e.isDirectory())
    .map((e) => e.name);
const KINDS = [...folders('core/shells'), ...folders('core/interiors')];

/** Colours are those of the theme, and parts are laid out by their styles; only where something lies may follow from its figures. */
const STYLED = [
  ['JSXAttribute[name.name="style"] Property > Literal.value', 'A styled part says this: see web/shared/laid.ts.'],
  ['Literal[value=/^#[0-9a-f]{3,8}$/i]', 'The colours of the page are in web/theme/tokens.ts.'],
  ['TemplateElement[value.raw=/#[0-9a-f]{3,8}(?![0-9a-z])|rgba?\\(/i]', 'The colours of the page are in web/theme/tokens.ts.'],
].map(([selector, message]) => ({ selector, message }));

/** No one asks which kind something is but the kind itself. */
function noKindsNamed(kinds, others = []) {
  const name = `Literal[value=/^(${kinds.join('|')})$/]`;
  const message = 'What belongs to one kind is known in its own folder: put it into the kind, and ask that.';
  const where = [
    `BinaryExpression[operator=/^[!=]=/] > ${name}`,
    `SwitchCase > ${name}`,
    `CallExpression[callee.property.name=/^(toBe|toEqual)$/] > ${name}`,
  ];
  return { 'no-restricted-syntax': ['error', ...where.map((selector) => ({ selector, message })), ...others] };
}

/**
 * What the compiler of React objects to takes as long to find as all else: it is asked of what was changed, and of everything
 * by `npm run test:long`.
 */
const HOOKS =
  process.env.RUVOK_LINT === 'quick'
    ? { plugins: { 'react-hooks': hooks }, rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'warn' } }
    : hooks.configs.flat['recommended-latest'];

// What needs the types of what is linted is in .oxlintrc.json: asked of the native compiler, it takes a tenth of the time.
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
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  // Classes that Nest injects must be imported as values.
  { files: ['server/**/*.ts'], rules: { '@typescript-eslint/consistent-type-imports': 'off' } },
  { files: ['web/**/*.tsx', 'web/**/*.ts'], extends: [HOOKS] },
  {
    files: ['web/**/*.tsx'],
    extends: [a11y.flatConfigs.recommended],
    // What the controls of the library do with a focus is theirs; a native element may not take it.
    rules: { 'jsx-a11y/no-autofocus': ['error', { ignoreNonDOM: true }] },
  },
  {
    files: ['scripts/**', 'print/test/**', 'web/test/*.cjs', '*.mjs', '*.cjs', 'cli/*.mjs', 'bench/**', 'hard/**'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        fetch: 'readonly',
        setTimeout: 'readonly',
        performance: 'readonly',
        module: 'writable',
        require: 'readonly',
        document: 'readonly',
      },
    },
    rules: { 'no-console': 'off' },
  },
  // A step between versions of documents names kinds as they were called then, whatever they have become.
  { files: ['**/*.ts', '**/*.tsx'], ignores: ['core/formats/versions/**'], rules: noKindsNamed(KINDS) },
  {
    files: ['web/**/*.ts', 'web/**/*.tsx'],
    ignores: ['**/*.test.ts', '**/*.test.tsx', 'web/theme/**'],
    rules: noKindsNamed(KINDS, STYLED),
  },
  ...KINDS.flatMap((kind) => {
    const files = [`core/*/${kind}/**`, `web/kinds/${kind}/**`];
    const others = KINDS.filter((k) => k !== kind);
    return [
      { files, rules: noKindsNamed(others, STYLED) },
      { files: files.map((f) => `${f}/*.test.{ts,tsx}`), rules: noKindsNamed(others) },
    ];
  }),
  prettier,
);
