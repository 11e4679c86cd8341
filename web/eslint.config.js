import js from '@eslint/js'
import prettier from '@vue/eslint-config-prettier/skip-formatting'
import { defineConfigWithVueTs, vueTsConfigs } from '@vue/eslint-config-typescript'
import vue from 'eslint-plugin-vue'

/** What pages take from the library. */
const CONTROLS = [
  'autocomplete',
  'button',
  'chart',
  'column',
  'config',
  'datatable',
  'datepicker',
  'inputnumber',
  'inputtext',
  'menu',
  'menuitem',
  'multiselect',
  'popover',
  'progressbar',
  'textarea',
  'toast',
  'toastservice',
  'usetoast',
]

export default defineConfigWithVueTs(
  { ignores: ['target/**', 'src/api/schema.d.ts', 'src/api/limits.ts'] },
  js.configs.recommended,
  vue.configs['flat/recommended'],
  vueTsConfigs.strict,
  {
    rules: {
      'vue/multi-word-component-names': 'off',
      'no-undef': 'off',
      'max-lines': ['error', 400],
    },
  },
  {
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['primevue/*', ...CONTROLS.map((one) => `!primevue/${one}`)],
              message:
                'Our controls are few: src/controls/ControlsPage.vue says which is used when.',
            },
          ],
        },
      ],
    },
  },
  // Choosing acts at once there, within a sentence or among many; forms have the browser's own.
  {
    files: [
      'src/controls/ControlsPage.vue',
      'src/controls/Dialog.ts',
      'src/criteria/**',
      'src/files/ReadAs.vue',
      'src/records/NeverSeen.vue',
      'src/records/OutsideTerms.vue',
      'src/sharing/**',
      'src/sidebyside/SideChooser.vue',
    ],
    rules: { 'no-restricted-imports': 'off' },
  },
  {
    rules: {
      'no-restricted-properties': [
        'error',
        {
          object: 'vi',
          property: 'mock',
          message: 'The files of tests share their modules: what is replaced in one is in all.',
        },
      ],
    },
  },
  prettier,
)
