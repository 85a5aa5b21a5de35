// Style and safety; which layer may import which is the dependency rule's business (.dependency-cruiser.cjs).
import js from '@eslint/js';
import angular from 'angular-eslint';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['dist/**', '**/node_modules/**', '.angular/**', 'web/karma.conf.cjs', '.dependency-cruiser.cjs'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    files: ['**/*.ts'],
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': [
        'error',
        { fixStyle: 'inline-type-imports', disallowTypeAnnotations: false },
      ],
      eqeqeq: 'error',
      'no-console': 'error',
    },
  },
  {
    // What only the types can tell: a promise nobody waits for, a switch that forgot a kind.
    files: ['{core,server,web,e2e,bench,scripts}/**/*.ts'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/await-thenable': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }],
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
    },
  },
  {
    files: ['scripts/**', 'e2e/soak/**', 'server/src/main.ts', 'server/src/problem.ts', 'web/src/main.ts', 'bench/**'],
    rules: { 'no-console': 'off' },
  },
  {
    files: ['**/*.mjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        setTimeout: 'readonly',
        fetch: 'readonly',
        performance: 'readonly',
        Buffer: 'readonly',
        localStorage: 'readonly',
        document: 'readonly',
        requestAnimationFrame: 'readonly',
      },
    },
  },
  {
    files: ['core/**/*.ts'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      'no-restricted-globals': ['error', 'Date', 'window', 'document', 'process', 'fetch', 'setTimeout'],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random', message: 'chance needs a seed' }],
    },
  },
  {
    files: ['web/**/*.ts'],
    extends: [...angular.configs.tsRecommended],
    processor: angular.processInlineTemplates,
    rules: {
      '@angular-eslint/prefer-on-push-component-change-detection': 'error',
      '@angular-eslint/component-selector': ['error', { type: 'element', prefix: 'tp', style: 'kebab-case' }],
    },
  },
  {
    files: ['web/**/*.html'],
    extends: [...angular.configs.templateRecommended, ...angular.configs.templateAccessibility],
    rules: {
      '@angular-eslint/template/interactive-supports-focus': 'off',
      '@angular-eslint/template/mouse-events-have-key-events': 'off',
      '@angular-eslint/template/no-any': 'off',
      '@angular-eslint/template/label-has-associated-control': 'off',
      'no-restricted-syntax': [
        'error',
        {
          selector: 'BoundEvent[name="change"] Chain',
          message: 'A select that acts and empties itself acts at the first arrow key: use tp-pick, or a menu.',
        },
      ],
    },
  },
);
