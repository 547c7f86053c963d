import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { failure, type Result, success } from '../../fault.ts';
import { textOf } from '../letters.ts';
import { child, childrenOf, parseXml } from './xml.ts';

const CONTAINER = 'META-INF/container.xml';
const MOST_BYTES = 20_000_000;
const MOST_FILES = 200;

/** Compressed MusicXML: a zip that says which of its files is the score. */
export function writeMxl(xml: string): Uint8Array {
  const container =
    '<?xml version="1.0" encoding="UTF-8"?>\n<container><rootfiles><rootfile full-path="score.musicxml" media-type="application/vnd.recordare.musicxml+xml"/></rootfiles></container>\n';
  return zipSync({
    mimetype: [strToU8('application/vnd.recordare.musicxml'), { level: 0 }],
    [CONTAINER]: strToU8(container),
    'score.musicxml': strToU8(xml),
  });
}

/** The MusicXML text inside. What would unfold to more than a score can be is not unfolded. */
export function readMxl(bytes: Uint8Array): Result<string> {
  const broken = (detail: string) => failure({ code: 'format-broken', format: 'MXL', detail }, 0, 0);
  let total = 0;
  let files = 0;
  let tooLarge = false;
  let unzipped: Record<string, Uint8Array>;
  try {
    unzipped = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (!/\.(xml|musicxml)$/i.test(name)) return false;
        total += originalSize;
        files += 1;
        tooLarge ||= total > MOST_BYTES || files > MOST_FILES;
        return !tooLarge;
      },
    });
  } catch {
    return broken('the zip is damaged or ends too early');
  }
  if (tooLarge) return failure({ code: 'format-large', format: 'MXL' }, 0, 0);
  const path = rootPath(unzipped[CONTAINER]) ?? Object.keys(unzipped).find((name) => name !== CONTAINER);
  const score = path === undefined ? undefined : unzipped[path];
  return score === undefined ? broken('there is no score in the zip') : success(textOf(score));
}

function rootPath(container: Uint8Array | undefined): string | undefined {
  if (container === undefined) return undefined;
  const read = parseXml(strFromU8(container));
  if (!read.ok) return undefined;
  return childrenOf(child(read.value, 'rootfiles'), 'rootfile')[0]?.attributes['full-path'];
}
