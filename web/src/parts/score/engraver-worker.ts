import { expose } from 'comlink';
import { VerovioToolkit } from 'verovio/esm';
import createVerovioModule from 'verovio/wasm';

/** How a score is set: the width it has, in pixels, and how large its notes are, in percent. */
export interface EngravingWish {
  readonly xml: string;
  readonly width: number;
  readonly scale: number;
}

const PAGE_HEIGHT = 24_000;

let toolkit: Promise<VerovioToolkit> | null = null;

function opened(): Promise<VerovioToolkit> {
  toolkit ??= createVerovioModule().then((module) => new VerovioToolkit(module));
  return toolkit;
}

let loaded = '';

/** Sets music in print, away from the page. */
const worker = {
  /** Lays a score out; answers how many pages it has. */
  async layOut({ xml, width, scale }: EngravingWish): Promise<number> {
    const engraver = await opened();
    engraver.setOptions({
      scale,
      pageWidth: Math.round((width * 100) / scale),
      pageHeight: Math.round(PAGE_HEIGHT / scale),
      adjustPageHeight: true,
      footer: 'none',
      header: 'none',
      svgViewBox: true,
      breaks: 'auto',
      pageMarginTop: 20,
      pageMarginBottom: 20,
      pageMarginLeft: 10,
      pageMarginRight: 10,
      lyricSize: 4.2,
    });
    loaded = engraver.loadData(xml) ? xml : '';
    return loaded === '' ? 0 : engraver.getPageCount();
  },
  /** A page as SVG, from 1. */
  async page(place: number): Promise<string> {
    return loaded === '' ? '' : (await opened()).renderToSVG(place);
  },
};

export type EngraverWorker = typeof worker;

expose(worker);
