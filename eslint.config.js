import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

export default ts.config(
    { ignores: ['resources/js/api/contract.ts'] },
    js.configs.recommended,
    ...ts.configs.strictTypeChecked,
    {
        files: ['**/*.{ts,tsx}'],
        plugins: { 'react-hooks': hooks },
        languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
        rules: {
            ...hooks.configs.recommended.rules,
            '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
            '@typescript-eslint/no-confusing-void-expression': 'off',
            '@typescript-eslint/no-unnecessary-type-parameters': 'off',
            // Lists of classes, drawings and sentences stay whole.
            'max-len': ['error', { code: 160, ignoreStrings: true, ignoreTemplateLiterals: true, ignorePattern: 'className=|<p |<svg |<path ' }],
        },
    },
    // Markup takes a line for everything; what computes has to be seen at once.
    { files: ['**/*.tsx'], rules: { 'max-lines-per-function': ['error', { max: 190, skipBlankLines: true, skipComments: true }] } },
    { files: ['resources/**/*.ts'], rules: { 'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }] } },
);
