import angular from '@angular-eslint/eslint-plugin';
import template from '@angular-eslint/eslint-plugin-template';
import * as templateParser from '@angular-eslint/template-parser';
import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import globals from 'globals';
import { readdirSync, readFileSync } from 'node:fs';
import ts from 'typescript-eslint';

/** The core's folders from the ground up: each may import from those before it, never after. */
const CORE = [
  'texts',
  'units',
  'speech',
  'book',
  'job',
  'log',
  'measure',
  'repair',
  'survey',
  'exchange',
  'finish',
  'compound',
  'way',
  'coat',
  'section',
  'light',
  'drying',
  'cutting',
  'takeoff',
  'mend',
  'days',
  'runs',
  'goods',
  'bid',
  'today',
  'rank',
  'advice',
  'wall',
  'check',
  'agreement',
];
/** What the places of the application stand on, from the ground up, by the same rule. */
const GROUND = ['devices', 'worker', 'storage', 'state', 'ui'];
/** Places stand on that, never on each other. */
const APP = 'apps/web/src/app';
const PLACES = [
  'jobs',
  ...Array.from(
    readFileSync(`${APP}/places.ts`, 'utf8').matchAll(/^ {4}path: '(\w+)'/gm),
    ([, path]) => path,
  ),
];

/** Tables of what is typical; a plan and its pages go by the job's own book laid over them. */
const TYPICAL = ['TYPICAL', 'COMPOUND'];
const OWN_BOOK = 'Read the book in hand: the job may have figures and products of its own.';

const forbid = (group, message) => ({ group, message });
const restrict = (...patterns) => ({ 'no-restricted-imports': ['error', { patterns }] });

const downward = CORE.map((folder, i) => ({
  files: [`packages/core/src/${folder}/**/*.ts`],
  ignores: ['**/*.spec.ts'],
  rules: restrict(
    {
      regex: `^\\.\\.(/(${[...CORE.slice(i + 1), 'plan', 'plan-room', 'figures', 'index'].join('|')})(/.*)?)?$`,
      message: `core/${folder} may import only from: ${CORE.slice(0, i).join(', ') || 'nothing'}.`,
    },
    forbid(['@angular/*', 'dexie', 'node:*', 'd3'], 'The core is plain TypeScript.'),
    ...(i > CORE.indexOf('compound')
      ? [{ regex: '(^|/)(book|compound)(/.*)?$', importNames: TYPICAL, message: OWN_BOOK }]
      : []),
  ),
}));

const dexie = forbid(['dexie', '*/storage/db', '../storage/db'], 'Only storage knows the database.');

const ground = GROUND.map((folder, i) => ({
  files: [`${APP}/${folder}/**/*.ts`],
  ignores: ['**/*.spec.ts'],
  rules: restrict(
    forbid(
      [...GROUND.slice(i + 1), 'shell', ...PLACES].flatMap((above) => [`../${above}`, `../${above}/*`]),
      `${folder} may import only from: ${GROUND.slice(0, i).join(', ') || 'nothing'}.`,
    ),
    ...(folder === 'storage' ? [] : [dexie]),
  ),
}));
const pipeline = {
  name: '@lisse/core',
  importNames: ['plan', 'Reuse', 'surveyRoom', 'orderFor', 'planDays'],
  message: 'Only worker and state call the pipeline.',
};

const apart = PLACES.map((place) => ({
  files: [`${APP}/${place}/**/*.ts`],
  ignores: ['**/*.spec.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        paths: [
          {
            ...pipeline,
            importNames: [...pipeline.importNames, ...TYPICAL],
            message: `${pipeline.message} ${OWN_BOOK}`,
          },
        ],
        patterns: [
          forbid(
            [...PLACES.filter((p) => p !== place).map((p) => `../${p}/*`), '../shell/*'],
            'A place never imports another place.',
          ),
          dexie,
        ],
      },
    ],
  },
}));

export default ts.config(
  {
    ignores: [
      '**/dist/**',
      '**/.angular/**',
      '**/test-results/**',
      '**/playwright-report/**',
      '**/coverage/**',
      'packages/core/src/texts/takes.ts',
    ],
  },
  js.configs.recommended,
  ...ts.configs.strict,
  ...ts.configs.stylistic,
  {
    files: ['**/*.ts'],
    rules: {
      '@typescript-eslint/no-extraneous-class': 'off',
      // The compiler says so.
      '@typescript-eslint/no-unused-vars': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
      eqeqeq: 'error',
      // Outputs carry nothing, and a cure takes a field away by its name.
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/no-dynamic-delete': 'off',
    },
  },
  {
    // What is made on one day must be the same on another; only the page has a clock, and in one place.
    files: ['packages/core/src/**/*.ts', `${APP}/**/*.ts`],
    ignores: ['**/*.spec.ts', `${APP}/what-time.ts`],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...[
          'NewExpression[callee.name="Date"][arguments.length=0]',
          'CallExpression[callee.object.name="Date"][callee.property.name="now"]',
        ].map((selector) => ({ selector, message: 'Ask WHAT_TIME, so that a test can say what day it is.' })),
        {
          selector: 'MemberExpression[property.name="randomUUID"]',
          message: 'Ask newId: the browser has none where the page came by plain http.',
        },
      ],
    },
  },
  {
    files: ['**/*.mjs'],
    languageOptions: {
      globals: {
        ...globals.node,
        document: 'readonly',
        window: 'readonly',
        MutationObserver: 'readonly',
        PerformanceObserver: 'readonly',
        KeyboardEvent: 'readonly',
        requestAnimationFrame: 'readonly',
      },
    },
  },
  {
    files: [`${APP}/shell/**/*.ts`],
    ignores: ['**/*.spec.ts'],
    rules: restrict(
      dexie,
      forbid(
        PLACES.map((place) => `../${place}/*`),
        'The frame knows places by their table only.',
      ),
    ),
  },
  ...ground,
  ...downward,
  {
    files: ['packages/core/src/job/{document,room,shop}.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'PropertyDefinition[decorators.length=0]',
          message:
            'A field of a document says what it may hold: what nobody checks reaches the core as it came.',
        },
      ],
    },
  },
  ...apart,
  {
    files: ['apps/web/**/*.ts'],
    plugins: { '@angular-eslint': angular },
    processor: template.processors['extract-inline-html'],
    rules: {
      ...angular.configs.recommended.rules,
      '@angular-eslint/component-selector': ['error', { type: 'element', prefix: 'ls', style: 'kebab-case' }],
      '@angular-eslint/component-class-suffix': 'off',
      '@angular-eslint/prefer-on-push-component-change-detection': 'error',
      // Angular's tokens and class-validator's types are read at run time.
      '@typescript-eslint/consistent-type-imports': 'off',
    },
  },
  {
    // What the browser runs as it is.
    files: ['apps/web/public/**/*.js'],
    languageOptions: { globals: globals.serviceworker },
  },
  {
    files: ['apps/web/**/*.html'],
    languageOptions: { parser: templateParser },
    plugins: { '@angular-eslint/template': template },
    rules: { ...template.configs.recommended.rules, ...template.configs.accessibility.rules },
  },
  {
    files: ['**/*.spec.ts', 'e2e/**/*.ts', '**/testing/**/*.ts'],
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@angular-eslint/prefer-on-push-component-change-detection': 'off',
    },
  },
  prettier,
);

// A folder that is not in the order has no rule: that is a mistake, not a freedom.
const folders = readdirSync('packages/core/src', { withFileTypes: true }).filter(
  (entry) => entry.isDirectory() && entry.name !== 'testing',
);
for (const { name } of folders)
  if (!CORE.includes(name))
    throw new Error(`packages/core/src/${name} is missing from CORE in eslint.config.mjs.`);
