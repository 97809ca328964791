/* The walls between the folders: arrows point only downward, and core stands alone. */
const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  comment: `${from} may import only from ${allowed.join(', ')} and packages`,
  from: { path: `^${from}/` },
  to: {
    path: '^(core|text|contract|flora|server|web|tests|e2e|bench|scripts)/',
    pathNot: allowed.map((a) => `^${a}/`),
  },
})

/* Inside the core: what a folder may take besides itself. */
const inCore = (folder, allowed) => ({
  name: `core-${folder}`,
  severity: 'error',
  comment: `core/${folder} may import only from ${allowed.join(', ') || 'itself'} in core`,
  from: { path: `^core/${folder}/` },
  to: { path: '^core/', pathNot: [folder, 'coded.ts', ...allowed].map((a) => `^core/${a}`) },
})
const basis = ['flora', 'records', 'stats', 'geo']

module.exports = {
  forbidden: [
    inCore('flora', []),
    inCore('stats', []),
    inCore('geo', []),
    inCore('records', ['flora', 'geo']),
    inCore('naming', basis),
    inCore('drawing', basis),
    inCore('likeness', basis),
    inCore('methods', basis),
    inCore('picture', basis),
    inCore('survey', [...basis, 'methods']),
    inCore('assess', [...basis, 'methods', 'survey', 'naming']),
    inCore('formats', [...basis, 'methods', 'survey', 'naming', 'assess']),
    inCore('practice', [...basis, 'methods', 'survey', 'naming', 'assess', 'drawing', 'likeness', 'formats']),
    only('core-stands-alone', 'core', ['core']),
    only('text-uses-core', 'text', ['text', 'core', 'contract']),
    only('contract-uses-core', 'contract', ['contract', 'core']),
    only('server-uses-core', 'server', ['server', 'core', 'text', 'contract', 'flora']),
    only('web-uses-core', 'web', ['web', 'core', 'text', 'contract']),
    {
      name: 'features-stand-apart',
      severity: 'error',
      comment: 'a feature takes what several share from entities, ui or data, never from another feature',
      from: { path: '^web/features/([^/]+)/' },
      to: { path: '^web/features/', pathNot: '^web/features/$1/' },
    },
    {
      name: 'entities-below-features',
      severity: 'error',
      from: { path: '^web/(entities|data|parts|ui|stores|language|api|workers|instruments)/' },
      to: { path: '^web/features/' },
    },
    {
      name: 'parts-below-entities',
      severity: 'error',
      from: { path: '^web/(parts|ui|stores|language|api|workers|instruments)/' },
      to: { path: '^web/entities/' },
    },
    only('e2e-drives-the-page', 'e2e', ['e2e']),
    { name: 'nothing-imports-tests', severity: 'error', from: { pathNot: '^tests/' }, to: { path: '^tests/' } },
    {
      name: 'no-cycles',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^core/' },
      to: {
        dependencyTypes: ['core', 'npm'],
        path: '^(node:|fs|path|http)|node_modules/(react|react-dom|express|pg|zustand|@electric-sql)/',
      },
    },
    { name: 'resolvable', severity: 'error', from: {}, to: { couldNotResolve: true, pathNot: '\\.css$|\\?' } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'types', 'default'] },
  },
}
