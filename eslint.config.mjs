import js from '@eslint/js';
import globals from 'globals';

const rules = {
    'curly': ['error', 'multi-line'],
    'eqeqeq': 'error',
    'no-var': 'error',
    'prefer-const': 'error',
    'max-len': ['error', { code: 160 }],
    'max-lines-per-function': ['error', { max: 60 }],
};

export default [
    js.configs.recommended,
    { files: ['assets/js/*.js'], languageOptions: { sourceType: 'module', globals: globals.browser }, rules },
    {
        files: ['tests/browser/*.mjs', 'bin/build', 'bin/screenshots', '*.mjs'],
        languageOptions: { sourceType: 'module', globals: { ...globals.node, ...globals.browser } },
        rules: { ...rules, 'max-lines-per-function': 'off' },
    },
];
