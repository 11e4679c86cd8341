import js from '@eslint/js'
import prettier from '@vue/eslint-config-prettier/skip-formatting'
import { defineConfigWithVueTs, vueTsConfigs } from '@vue/eslint-config-typescript'
import vue from 'eslint-plugin-vue'

export default defineConfigWithVueTs(
  { ignores: ['target/**', 'src/api/schema.d.ts'] },
  js.configs.recommended,
  vue.configs['flat/recommended'],
  vueTsConfigs.strict,
  { rules: { 'vue/multi-word-component-names': 'off', 'no-undef': 'off' } },
  prettier,
)
