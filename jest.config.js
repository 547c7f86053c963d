import { fileURLToPath } from 'node:url';

/** swc, and what makes it quick inside the sandbox. */
const TRANSFORM = fileURLToPath(new URL('./scripts/lib/testing/jest-transform.mjs', import.meta.url));
/** React's runtime for development keeps a stack trace with every element, which nothing here reads. */
const ELEMENTS = fileURLToPath(new URL('./node_modules/react/cjs/react-jsx-runtime.production.js', import.meta.url));

const project = (name) => ({
  displayName: name,
  rootDir: `./${name}`,
  testMatch: ['<rootDir>/src/**/*.test.ts?(x)', '<rootDir>/test/**/*.test.ts', '<rootDir>/lib/**/*.test.mjs'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  moduleNameMapper: { '^react/jsx-runtime$': ELEMENTS },
  transform: {
    '^.+\\.tsx?$': [
      TRANSFORM,
      {
        jsc: { target: 'es2022', parser: { syntax: 'typescript', tsx: true }, transform: { react: { runtime: 'automatic' } } },
        module: { type: 'es6' },
      },
    ],
  },
});

// generous: a time limit here only ends what hangs; speed is asked of the benchmarks
export default { projects: ['core', 'server', 'web', 'scripts'].map(project), testTimeout: 60_000 };
