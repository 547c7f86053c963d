/** The nouns of the core, in order: each may use only those before it. `fault.ts` comes before all. */
const NOUNS = [
  'pitch',
  'interval',
  'scale',
  'key',
  'chord',
  'degree',
  'naming',
  'harmony',
  'chart',
  'edit',
  'progression',
  'analysis',
  'check',
  'fretboard',
  'voicing',
  'run',
  'notation',
  'reader',
  'capo',
  'bridge',
  'singer',
  'setlist',
  'part',
  'sound',
  'wording',
  'format',
];

const nounRules = NOUNS.map((noun, index) => ({
  name: `core-order-${noun}`,
  comment: `${noun} may only use the nouns before it`,
  severity: 'error',
  from: { path: `^core/src/${noun}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^core/src/(${NOUNS.slice(index + 1).join('|') || 'none'})/` },
}));

module.exports = {
  forbidden: [
    ...nounRules,
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-is-pure',
      comment: 'the core knows music and nothing else: no packages, no Node',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '\\.test\\.ts$|^core/src/format/' },
      to: { pathNot: '^core/src/' },
    },
    {
      name: 'formats-read-files',
      comment: 'other formats are read by well-kept packages, and still no Node',
      severity: 'error',
      from: { path: '^core/src/format/', pathNot: '\\.test\\.ts$' },
      to: { pathNot: '^core/src/|node_modules/(fast-xml-parser|fflate|midi-file|abcjs|papaparse)/' },
    },
    {
      name: 'core-through-its-index',
      severity: 'error',
      from: { path: '^(wire|server|web)/' },
      to: { path: '^core/src/', pathNot: '^core/src/(format/)?index\\.ts$' },
    },
    { name: 'wire-knows-no-wing', severity: 'error', from: { path: '^wire/src/' }, to: { path: '^(core|server|web)/' } },
    { name: 'server-knows-no-web', severity: 'error', from: { path: '^server/' }, to: { path: '^web/' } },
    { name: 'web-knows-no-server', severity: 'error', from: { path: '^web/src/' }, to: { path: '^server/' } },
    { name: 'ui-has-no-domain', severity: 'error', from: { path: '^web/src/ui/' }, to: { path: '^(core|wire)/' } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    exclude: { path: '(^|/)(node_modules|build|\\.data)/' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.json'],
    },
  },
};
