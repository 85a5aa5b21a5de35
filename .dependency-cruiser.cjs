// The arrows: web -> core, server -> core, never back; inside core a stage imports only itself, lower numbers, the model and base.
const stages = [
  '0-base',
  '1-load',
  '2-frame',
  '3-balance',
  '4-strength',
  '5-stock',
  '6-build',
  '7-field',
  '8-log',
  '9-design',
];
const ground = 'core/src/(0-base|model)/';
const test = '(\\.spec\\.ts$|^core/src/testing/)';
module.exports = {
  forbidden: [
    {
      name: 'core-imports-nothing-outside',
      severity: 'error',
      from: { path: '^core/src', pathNot: '(\\.spec\\.ts$|/testing)' },
      to: { path: '^(web|server|e2e|scripts)/' },
    },
    {
      // Of the library that cuts solids only the types: whoever has its file loads it and hands it over.
      name: 'core-only-needs-zod',
      severity: 'error',
      from: { path: '^core/src', pathNot: '(\\.spec\\.ts$|/testing|/solids/solidKit\\.ts$|/0-base/fourier\\.ts$)' },
      to: { path: 'node_modules', pathNot: 'node_modules/zod' },
    },
    {
      name: 'core-has-no-node',
      severity: 'error',
      from: { path: '^core/src', pathNot: '(\\.spec\\.ts$|/testing)' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'services-have-no-looks',
      severity: 'error',
      from: { path: '^web/src/(services|workers|devices)/', pathNot: test },
      to: { path: '^web/src/(ui|screens|shell)/', dependencyTypesNot: ['type-only'] },
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
      name: 'only-the-store-sees-the-driver',
      severity: 'error',
      from: { path: '^server/src', pathNot: '^server/src/(store|testing)' },
      to: { path: 'node_modules/better-sqlite3' },
    },
  ],
  // Closed: what is not named here is refused, so a new folder has to say where it stands.
  allowedSeverity: 'error',
  allowed: [
    { from: { pathNot: '^core/src/' }, to: {} },
    { from: { path: test }, to: {} },
    { from: { path: '^core/src/0-base/' }, to: { path: '^core/src/0-base/' } },
    { from: { path: '^core/src/0-base/fourier' }, to: { path: 'node_modules/fft\\.js/' } },
    { from: { path: '^core/src/model/' }, to: { path: `^(${ground}|(core/)?node_modules/zod/)` } },
    ...stages.slice(1).map((stage, i) => ({
      from: { path: `^core/src/${stage}/` },
      // Whoever designs reads files too.
      to: {
        path: `^(${ground}|core/src/(${[...stages.slice(1, i + 2), ...(stage === '9-design' ? ['contract'] : [])].join('|')})/)`,
      },
    })),
    {
      from: { path: '^core/src/contract/' },
      to: { path: '^(core/src/([0-9]-[a-z]+|model|contract)/|(core/)?node_modules/zod/)' },
    },
    {
      from: { path: '^core/src/2-frame/solids/solidKit' },
      to: { path: 'node_modules/manifold-3d/manifold\\.d\\.ts$' },
    },
    // The doors.
    { from: { path: '^core/src/[a-z]+\\.ts$' }, to: { path: '^core/src/' } },
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
