const project = (name) => ({
  displayName: name,
  rootDir: `./${name}`,
  testMatch: ['<rootDir>/src/**/*.test.ts?(x)', '<rootDir>/test/**/*.test.ts', '<rootDir>/lib/**/*.test.mjs'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: {
    '^.+\\.tsx?$': [
      '<rootDir>/../scripts/lib/testing/jest-transform.mjs',
      {
        jsc: { target: 'es2022', parser: { syntax: 'typescript', tsx: true }, transform: { react: { runtime: 'automatic' } } },
        module: { type: 'es6' },
      },
    ],
  },
});

// generous: a time limit here only ends what hangs; speed is asked of the benchmarks
export default { projects: ['core', 'server', 'web', 'scripts'].map(project), testTimeout: 60_000 };
