/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    {
      name: 'core-stands-alone',
      comment:
        'The core is pure: it may use itself and its numeric libraries, and what reads a sum that somebody typed; nothing else.',
      severity: 'error',
      from: { path: '^src/lib/core' },
      to: {
        pathNot: [
          '^src/lib/core',
          '^node_modules/(pure-rand|d3-polygon|@types/d3-polygon|polylabel|@types/polylabel|ml-levenberg-marquardt|yalps|jsep)'
        ]
      }
    },
    {
      name: 'formats-on-core-only',
      comment:
        'Formats turn records into text or bytes; they know the core, the shared contract and format libraries.',
      severity: 'error',
      from: { path: '^src/lib/formats' },
      to: { path: '^src/(lib/(server|ui|browser|workers)|routes)' }
    },
    {
      name: 'contract-knows-no-side',
      comment: 'The contract is what browser and server agree on; it may not lean on either.',
      severity: 'error',
      from: { path: '^src/lib/contract' },
      to: { path: '^src/(lib/(server|ui|browser|workers|formats|workbench)|routes)' }
    },
    {
      name: 'words-on-core-only',
      comment: 'Sentences and the formatting of figures; the contract takes its sentences from there.',
      severity: 'error',
      from: { path: '^src/lib/words' },
      to: { path: '^src/(lib/(contract|workbench|server|ui|browser|workers|formats)|routes)' }
    },
    {
      name: 'workbench-knows-no-side',
      comment:
        'Rules over records that browser and server decide alike; they know the core, the contract and the words.',
      severity: 'error',
      from: { path: '^src/lib/workbench' },
      to: { path: '^src/(lib/(server|ui|browser|workers|formats)|routes)' }
    },
    {
      name: 'ui-not-server',
      comment: 'What runs in the browser never imports the server.',
      severity: 'error',
      from: { path: '^src/lib/(ui|browser|workers)' },
      to: { path: '^src/(lib/server|routes)' }
    },
    {
      name: 'browser-draws-nothing',
      comment: 'The queue, the clock, calls and workers serve every component and know none.',
      severity: 'error',
      from: { path: '^src/lib/browser' },
      to: { path: '^src/lib/ui' }
    },
    {
      name: 'server-not-ui',
      comment: 'What runs on the server knows no component: what both sides decide is in the workbench.',
      severity: 'error',
      from: { path: '^src/(lib/server|hooks\\.server|routes/.*(\\.server|\\+server)\\.ts$)' },
      to: { path: '^src/lib/(ui|browser|workers)' }
    },
    {
      name: 'server-not-routes',
      severity: 'error',
      from: { path: '^src/lib/server' },
      to: { path: '^src/routes' }
    },
    {
      name: 'workers-hold-no-logic',
      comment: 'A worker is a thin end of the core.',
      severity: 'error',
      from: { path: '^src/lib/workers' },
      to: { pathNot: ['^src/lib/(core|workers)', 'node_modules/comlink'] }
    },
    {
      name: 'no-cycles',
      severity: 'error',
      from: {},
      to: { circular: true }
    },
    {
      name: 'no-folder-cycles',
      comment: 'Of two folders one stands on the other, never each on the other.',
      severity: 'error',
      scope: 'folder',
      from: {},
      to: { circular: true }
    },
    {
      name: 'nothing-unresolved',
      severity: 'error',
      from: {},
      to: {
        couldNotResolve: true,
        pathNot: '^\\$(app|env|service-worker)|\\./\\$types|^svelte/internal|^pdfmake/interfaces'
      }
    }
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.deps.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      extensions: ['.ts', '.js', '.svelte', '.svelte.ts', '.json'],
      exportsFields: ['exports'],
      conditionNames: ['svelte', 'import', 'types', 'node', 'default']
    }
  }
};
