declare module 'verovio/wasm' {
  /** Compiles the engraver. */
  export default function createVerovioModule(): Promise<object>;
}

declare module 'verovio/esm' {
  /** The engraver, as far as it is used here. */
  export class VerovioToolkit {
    constructor(module: object);
    setOptions(options: Readonly<Record<string, unknown>>): void;
    loadData(data: string): boolean;
    getPageCount(): number;
    renderToSVG(page: number): string;
  }
}
