import { FORMAT_FILES, type FormatName } from '@aurora/core/format';
import { HttpFault } from '../http-fault.ts';

const BASE64 = /^[A-Za-z0-9+/\s]*={0,2}\s*$/;

/** The bytes of a file in a request: text as it stands, other formats in base64. `path` is the field it stands in. */
export function bytesOf(format: FormatName, content: string, path: string): Uint8Array {
  if (FORMAT_FILES[format].isText) return Buffer.from(content, 'utf8');
  if (BASE64.test(content)) return new Uint8Array(Buffer.from(content, 'base64'));
  const message = `${FORMAT_FILES[format].label} is no text: send it as base64.`;
  throw new HttpFault('invalid', message, { errors: [{ message, path }] });
}
