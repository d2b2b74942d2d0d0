const js = require('@eslint/js');
const globals = require('globals');

module.exports = [
  { ignores: ['node_modules/', 'vendor/', 'var/', 'public/'] },
  js.configs.recommended,
  { files: ['assets/scripts/*.js'], languageOptions: { sourceType: 'module', globals: { ...globals.browser, htmx: 'readonly' } } },
  { files: ['*.js', 'bench/**/*.js', 'docs/**/*.js', 'tests/**/*.js'], languageOptions: { sourceType: 'commonjs', globals: { ...globals.node, ...globals.browser } } },
  { files: ['tests/**/*.mjs', 'bench/**/*.mjs'], languageOptions: { sourceType: 'module', globals: globals.node } },
  { rules: { eqeqeq: 'error', 'no-var': 'error', 'prefer-const': 'error', 'no-implicit-globals': 'error', 'no-unused-vars': 'error' } },
];
