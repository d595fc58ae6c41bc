import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import a11y from 'eslint-plugin-jsx-a11y'
import hooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

export default tseslint.config(
    { ignores: ['resources/js/lib/generated/[aer]*s.ts', 'public', 'vendor', 'node_modules', 'core/vendor', 'var', 'e2e/results', 'bootstrap'] },
    js.configs.recommended,
    ...tseslint.configs.strict,
    a11y.flatConfigs.recommended,
    hooks.configs.flat['recommended-latest'],
    prettier,
    {
        rules: {
            '@typescript-eslint/no-non-null-assertion': 'off', // lists are indexed where their length is known
            '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
            'react-hooks/set-state-in-effect': 'off', // what the server has answered is taken over in an effect
            'max-len': ['error', { code: 120, ignoreUrls: true, ignoreStrings: true, ignoreTemplateLiterals: true }],
        },
    },
    { files: ['**/*.mjs', 'e2e/**'], languageOptions: { globals: { process: 'readonly', console: 'readonly', document: 'readonly', fetch: 'readonly' } } },
)
