import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

export default ts.config(
  { ignores: ['build/', '.svelte-kit/', 'node_modules/', 'drizzle/', 'data/', 'test-results/'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  { languageOptions: { globals: { ...globals.browser, ...globals.node } } },
  {
    rules: {
      'no-undef': 'off',
      'no-console': ['error', { allow: ['error', 'warn', 'info'] }],
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      eqeqeq: 'error'
    }
  },
  // The bench stands at the root of its address.
  { rules: { 'svelte/no-navigation-without-resolve': 'off' } },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { extraFileExtensions: ['.svelte'], parser: ts.parser, svelteConfig } },
    rules: {
      'svelte/prefer-svelte-reactivity': 'off',
      'no-restricted-syntax': [
        'error',
        {
          selector:
            'SvelteAttribute[key.name="class"] SvelteLiteral[value=/(?:^|[\\s:])(?:(?:p|m|gap)[trblxy]?(?:-[xy])?-(?:\\[|\\d\\d|px)|text-\\[|rounded-(?:\\[|sm|md|lg|xl))/]',
          message: 'Sizes of type, gaps and radii come from the scales in ui/theme/scales.css.'
        }
      ]
    }
  },
  {
    // What is there though its type cannot say so goes through `known`, which says why.
    files: ['src/**'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'error' }
  },
  {
    files: ['tests/**', '.dependency-cruiser.cjs', 'bench/**', 'scripts/**', 'demo/**'],
    rules: {
      '@typescript-eslint/no-unused-expressions': 'off',
      'no-console': 'off'
    }
  }
);
