/** Imports go one way: web, server and cli → core; inside core from what is made to what it is made of. */
module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-stands-alone',
      severity: 'error',
      comment: 'The computation knows zod and nothing else.',
      from: { path: '^packages/core/src', pathNot: '(\\.test\\.ts$|/testing/)' },
      to: { pathNot: '^packages/core/src|node_modules/zod' },
    },
    {
      name: 'core-by-its-front-door',
      severity: 'error',
      from: { path: '^(packages/(web|server|cli|paper)|e2e)' },
      to: { path: '^packages/core/(src|dist)/(?!index\\.)' },
    },
    {
      name: 'packages-apart',
      severity: 'error',
      from: { path: '^packages/(web|server|cli|paper)/' },
      to: { path: '^packages/(web|server|cli)/', pathNot: '^packages/$1/' },
    },
    {
      name: 'paper-by-its-front-door',
      severity: 'error',
      comment: 'What writes files for paper and machines runs where Node does.',
      from: { path: '^packages/(web|server|cli)/' },
      to: { path: '^packages/paper/(src|dist)/(?!index\\.)' },
    },
    {
      name: 'no-paper-in-the-browser',
      severity: 'error',
      from: { path: '^packages/(web|core)/' },
      to: { path: '^packages/paper/' },
    },
    {
      name: 'no-family-to-family',
      severity: 'error',
      from: { path: '^packages/core/src/(families|extras)/([^/]+)/' },
      to: { path: '^packages/core/src/$1/[^/]+/', pathNot: '^packages/core/src/$1/$2/' },
    },
    {
      name: 'only-the-registry-names-a-family',
      severity: 'error',
      from: {
        path: '^packages/core/src',
        pathNot: '^packages/core/src/(families|extras)/((steps-)?registry\\.ts|[^/]+/)',
      },
      to: { path: '^packages/core/src/(families|extras)/[^/]+/' },
    },
    {
      name: 'foundations-below',
      severity: 'error',
      comment: 'What families are made of does not know them, nor files, drawings or the API.',
      from: {
        path: '^packages/core/src/(length|material|object|piece|fit|finding)/',
        pathNot: '\\.test\\.ts$',
      },
      to: { path: '^packages/core/src/(families|extras|file|drawing|api|plan\\.ts)' },
    },
    {
      name: 'nest-knows-rectangles',
      severity: 'error',
      comment: 'The cutting layout is about rectangles on cloth; what they are is known above.',
      from: { path: '^packages/core/src/nest/', pathNot: '\\.test\\.ts$' },
      to: { path: '^packages/core/src/(families|extras|file|drawing|api|object|piece|material|plan\\.ts)' },
    },
    {
      name: 'length-lowest',
      severity: 'error',
      from: { path: '^packages/core/src/length/' },
      to: { path: '^packages/core/src/(?!length/)' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)dist/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.tests.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['types', 'import', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.mjs'],
    },
  },
}
