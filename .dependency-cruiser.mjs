/** Imports point one way: web → contract → core and server → contract → core. */
export default {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-depends-on-nothing',
      severity: 'error',
      from: { path: '^core/src', pathNot: '\\.test\\.ts$' },
      to: { pathNot: '^core/src' },
    },
    {
      name: 'shop-is-the-top-room',
      comment: 'core/shop joins what the other rooms of core work out; none of them knows it.',
      severity: 'error',
      from: { path: '^core/src/(?!shop/|plan/|index\\.ts)', pathNot: '\\.(test|spec)\\.ts$|/test/' },
      to: { path: '^core/src/shop/' },
    },
    {
      name: 'plan-stands-on-the-shop',
      comment: 'core/plan asks the shop and all below it; nothing of core asks a plan.',
      severity: 'error',
      from: { path: '^core/src/(?!plan/|index\\.ts)', pathNot: '\\.(test|spec)\\.ts$|/test/' },
      to: { path: '^core/src/plan/' },
    },
    {
      name: 'the-checker-knows-no-maker',
      comment:
        'core/plan/check judges plans by itself: clocks, air and sheets, and nothing that plans are made with.',
      severity: 'error',
      from: { path: '^core/src/plan/check' },
      to: { path: '^core/src/plan/(?!check|problem|ids)' },
    },
    {
      name: 'product-never-imports-tests',
      severity: 'error',
      from: { pathNot: '\\.(test|spec)\\.tsx?$|/test/' },
      to: { path: '\\.(test|spec)\\.tsx?$|/src/test/|/route/test/|/plan/test/' },
    },
    {
      name: 'contract-knows-core-only',
      severity: 'error',
      from: { path: '^contract/src' },
      to: { path: '^(server|web)/' },
    },
    { name: 'server-never-web', severity: 'error', from: { path: '^server/src' }, to: { path: '^web/' } },
    { name: 'web-never-server', severity: 'error', from: { path: '^web/src' }, to: { path: '^server/' } },
    {
      name: 'drawings-are-pictures',
      comment: 'Drawings take core results as props; they never fetch.',
      severity: 'error',
      from: { path: '^web/src/drawings' },
      to: { path: '^web/src/(api|places)' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)dist/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      conditionNames: ['@calvetta/source', 'import', 'node', 'default'],
      exportsFields: ['exports'],
    },
  },
};
