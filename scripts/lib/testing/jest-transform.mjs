// @ts-check
import swc from '@swc/jest';

/**
 * What a module asks for by name on every other line. Inside Jest's sandbox each such name is looked up by an
 * interceptor, a hundred times slower than a constant of the module, which doubles what the search for shapes takes.
 */
const NAMES = ['Array', 'Boolean', 'Infinity', 'Map', 'Math', 'NaN', 'Number', 'Object', 'Set', 'String', 'WeakMap'];
const CONSTANTS = `const {${NAMES.join(',')}} = globalThis;`;
/** A module that calls something of its own so is left as it is. */
const OWN = new RegExp(
  `\\b(?:as|class|const|function|let|var|import)\\s+(?:${NAMES.join('|')})\\b|import\\s*{[^}]*\\b(?:${NAMES.join('|')})\\b[^}]*}`,
);

/** swc's transformer for Jest, with the language's own names as constants of each module. */
export default {
  /** @param {object} options of swc */
  createTransformer(options) {
    const inner = /** @type {any} */ (swc).createTransformer(options);
    /** @param {string} source @param {{ code: string }} done */
    const withConstants = (source, done) => (OWN.test(source) ? done : { ...done, code: `${CONSTANTS}${done.code}` });
    return {
      ...inner,
      /** @param {string} source @param {string} path @param {object} about */
      process: (source, path, about) => withConstants(source, inner.process(source, path, about)),
      /** @param {string} source @param {string} path @param {object} about */
      processAsync: async (source, path, about) => withConstants(source, await inner.processAsync(source, path, about)),
      /** @param {...unknown} rest */
      getCacheKey: (...rest) => inner.getCacheKey(...rest) + CONSTANTS,
    };
  },
};
