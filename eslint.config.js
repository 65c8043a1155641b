import js from '@eslint/js';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const acrossRooms = (...rooms) =>
  rooms.flatMap((room) => [`#${room}/*`, `../${room}/*`, `../../${room}/*`, `../../../${room}/*`]);
const fence = (message, ...group) => [
  'error',
  {
    patterns: [
      { group, message },
      {
        group: ['**/core/**', '**/server/**', '**/web/**', '!#core/**', '!#server/**'],
        message: 'Across rooms, import by #core/ or #server/.',
      },
    ],
  },
];
const clockless = [
  'error',
  {
    selector: "MemberExpression[object.name='Date'][property.name='now']",
    message: 'Core takes the time as an argument.',
  },
  { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'Core takes the time as an argument.' },
  {
    selector: "MemberExpression[object.name='Math'][property.name='random']",
    message: 'Core takes a seed as an argument.',
  },
  { selector: 'ExportDefaultDeclaration', message: 'Export by name.' },
];

export default tseslint.config(
  { ignores: ['dist', 'data', 'node_modules', 'test-results', 'playwright-report'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  ...tseslint.configs.stylistic,
  {
    rules: {
      '@typescript-eslint/consistent-type-definitions': 'off',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-invalid-void-type': 'off',
      'no-throw-literal': 'error',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
    },
  },
  {
    files: ['scripts/*.mjs', 'eslint.config.js'],
    languageOptions: { globals: { process: 'readonly', console: 'readonly', URL: 'readonly' } },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': fence(
        'Core imports neither interface nor machine.',
        ...acrossRooms('server', 'web'),
        'node:*',
        'react',
        'react/*',
        'fastify',
        'drizzle-orm',
      ),
      'no-restricted-syntax': clockless,
    },
  },
  {
    files: ['server/**/*.ts'],
    rules: { 'no-restricted-imports': fence('The server imports core alone.', ...acrossRooms('web')) },
  },
  {
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: {
      ...reactHooks.configs.recommended.rules,
      'no-restricted-imports': fence('The web imports core alone.', ...acrossRooms('server'), 'node:*'),
    },
  },
);
