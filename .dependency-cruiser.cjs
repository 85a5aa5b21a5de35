// The arrows: web -> core, server -> core, never back; inside core a stage imports only lower numbers, the model and base.
const stages = ['0-base', '1-load', '2-frame', '3-balance', '4-strength', '5-stock', '6-build', '7-field', '8-log'];
const above = (i) => stages.slice(i + 1).join('|');
module.exports = {
  forbidden: [
    {
      name: 'core-imports-nothing-outside',
      severity: 'error',
      from: { path: '^core/src', pathNot: '(\\.spec\\.ts$|/testing)' },
      to: { path: '^(web|server|e2e|scripts)/' },
    },
    {
      name: 'core-only-needs-zod',
      severity: 'error',
      from: { path: '^core/src', pathNot: '(\\.spec\\.ts$|/testing)' },
      to: { path: 'node_modules', pathNot: 'node_modules/zod' },
    },
    {
      name: 'core-has-no-node',
      severity: 'error',
      from: { path: '^core/src', pathNot: '(\\.spec\\.ts$|/testing)' },
      to: { dependencyTypes: ['core'] },
    },
    { name: 'web-and-server-do-not-meet', severity: 'error', from: { path: '^web/src' }, to: { path: '^server/' } },
    { name: 'server-and-web-do-not-meet', severity: 'error', from: { path: '^server/src' }, to: { path: '^web/' } },
    {
      name: 'no-cycles',
      severity: 'error',
      from: { pathNot: '(\\.spec\\.ts$|/testing)' },
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'base-is-the-ground',
      severity: 'error',
      from: { path: '^core/src/0-base', pathNot: '\\.spec\\.ts$' },
      to: { path: '^core/src/(?!0-base)' },
    },
    {
      name: 'the-model-stands-on-zod',
      severity: 'error',
      from: { path: '^core/src/model', pathNot: '\\.spec\\.ts$' },
      to: { path: '^core/src/(?!model|0-base)' },
    },
    {
      name: 'no-stage-imports-the-contract',
      severity: 'error',
      from: { path: '^core/src/[0-9]-', pathNot: '\\.spec\\.ts$' },
      to: { path: '^core/src/(contract|derive|analyse|index|measuring|tables|making)' },
    },
    {
      name: 'only-the-store-sees-the-driver',
      severity: 'error',
      from: { path: '^server/src', pathNot: '^server/src/(store|testing)' },
      to: { path: 'node_modules/better-sqlite3' },
    },
    ...stages.slice(1, -1).map((stage, i) => ({
      name: `${stage}-looks-down-only`,
      severity: 'error',
      from: { path: `^core/src/${stage}`, pathNot: '\\.spec\\.ts$' },
      to: { path: `^core/src/(${above(i + 1)})` },
    })),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
