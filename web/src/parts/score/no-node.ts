/** Stands for a module of Node's that the engraver names and never reaches in a browser. */
export const createRequire = undefined;
