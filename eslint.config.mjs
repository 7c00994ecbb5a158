import js from '@eslint/js';
import jsxA11y from 'eslint-plugin-jsx-a11y';
import * as regexp from 'eslint-plugin-regexp';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  {
    ignores: [
      '**/.next/',
      '.cache/',
      '.data/',
      'node_modules/',
      'test-results/',
      'next-env.d.ts',
      '.dependency-cruiser.cjs',
    ],
  },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [...tseslint.configs.strictTypeChecked],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      '@typescript-eslint/no-unnecessary-condition': [
        'error',
        { allowConstantLoopConditions: 'only-allowed-literals' },
      ],
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      // Does not know branded bigints; the compiler refuses a minus before anything else.
      '@typescript-eslint/no-unsafe-unary-minus': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      eqeqeq: ['error', 'always', { null: 'ignore' }],
    },
  },
  {
    files: ['src/**/*.tsx', 'src/ui/**/*.ts'],
    plugins: { 'react-hooks': reactHooks },
    // The last one speaks to a compiler that is not used here.
    rules: { ...reactHooks.configs.recommended.rules, 'react-hooks/incompatible-library': 'off' },
  },
  {
    files: ['src/**/*.tsx'],
    ...jsxA11y.flatConfigs.strict,
    rules: {
      ...jsxA11y.flatConfigs.strict.rules,
      // What scrolls has to be reached by keyboard (axe: scrollable-region-focusable).
      'jsx-a11y/no-noninteractive-tabindex': 'off',
      // The focus goes where a person has just opened something.
      'jsx-a11y/no-autofocus': 'off',
      // In a grid its cells take the focus (W3C grid pattern); keys are heard by what holds them.
      'jsx-a11y/interactive-supports-focus': 'off',
      'jsx-a11y/no-noninteractive-element-interactions': 'off',
      'jsx-a11y/click-events-have-key-events': 'off',
      'jsx-a11y/label-has-associated-control': ['error', { depth: 4 }],
      // Files are dropped on what also has a button for them.
      'jsx-a11y/no-static-element-interactions': 'off',
    },
  },
  {
    // No pattern over somebody's text may take more than linear time, nor hide what it matches.
    files: ['src/**/*.{ts,tsx}'],
    ...regexp.configs['flat/recommended'],
    rules: {
      ...regexp.configs['flat/recommended'].rules,
      'regexp/no-super-linear-backtracking': ['error', { report: 'potential' }],
      'regexp/no-super-linear-move': ['error', { report: 'potential', ignoreSticky: true }],
      // Matters of taste.
      'regexp/use-ignore-case': 'off',
      'regexp/prefer-d': 'off',
      'regexp/no-obscure-range': 'off',
      'regexp/no-unused-capturing-group': 'off',
      'regexp/prefer-character-class': 'off',
      'regexp/optimal-quantifier-concatenation': 'off',
      'regexp/control-character-escape': 'off',
      'regexp/negation': 'off',
      'regexp/no-useless-character-class': 'off',
    },
  },
  {
    // Money never passes through a float, and core never reads the clock, chance or the machine.
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'parseFloat', 'process', 'window', 'document', 'fetch', 'performance'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Randomness is passed in.' },
        { object: 'Date', property: 'now', message: 'The clock is passed in.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date']",
          message: 'Dates are Temporal.PlainDate; the clock is passed in.',
        },
        {
          selector:
            'CallExpression[callee.property.name=/^(localeCompare|toLocaleString|toLocaleDateString|toLocaleUpperCase|toLocaleLowerCase)$/][arguments.length<2]:not([arguments.0.value=/^[a-z]{2}/])',
          message: 'What the machine speaks must not matter: name the language, or compare code points.',
        },
        {
          selector: 'NewExpression[callee.object.name="Intl"][arguments.length=0]',
          message: 'What the machine speaks must not matter: name the language.',
        },
      ],
    },
  },
  {
    // A page that is asked for anew while its session has ended leads away, with all that was typed.
    files: ['src/ui/**/*.{ts,tsx}'],
    ignores: ['src/ui/parts/use-refresh.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'router', property: 'refresh', message: 'Use useRefresh: it waits while the session has ended.' },
      ],
    },
  },
  {
    files: ['**/*.mjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        fetch: 'readonly',
        setTimeout: 'readonly',
        clearTimeout: 'readonly',
        performance: 'readonly',
        URL: 'readonly',
        AbortSignal: 'readonly',
        Buffer: 'readonly',
      },
    },
  },
);
