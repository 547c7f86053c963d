import { parseKey, readChart } from '@aurora/core';
import { FORMAT_FILES, type FormatName, type Loss, lossWords, readFormat, writeFormat } from '@aurora/core/format';
import { type ConvertAnswer, type ConvertRequest, convertAnswer, convertRequest } from '@aurora/wire';
import { type Call, call } from '../call/call.ts';
import { HttpFault } from '../http-fault.ts';
import { required } from '../validate.ts';
import { fileName } from './file-name.ts';

/** `/convert`: a song from one format into another, with what gets lost on the way. */
export const CONVERT_CALLS: readonly Call[] = [
  call(
    {
      id: 'convertSong',
      method: 'post',
      path: '/convert',
      tag: 'charts',
      summary: 'A song from one format into another, with what gets lost',
      body: convertRequest,
      answer: convertAnswer,
      isLimited: true,
    },
    ({ body }) => convert(body),
  ),
];

function convert({ from, to, content, key, reader, show }: ConvertRequest): ConvertAnswer {
  const tonic = key === undefined ? null : required(parseKey(key), 'key').tonic;
  const read = required(readFormat(from, bytesOf(from, content)), 'content', content);
  const written = writeFormat(to, read.content, tonic, {
    transpose: reader?.transpose ?? 0,
    octave: reader?.octave ?? 0,
    show: show ?? 'both',
  });
  const { mediaType, ending, isText } = FORMAT_FILES[to];
  return {
    content: Buffer.from(written.content).toString(isText ? 'utf8' : 'base64'),
    encoding: isText ? 'text' : 'base64',
    fileName: `${fileName(readChart(read.content).head.title || 'Song')}.${ending}`,
    mediaType,
    losses: [...read.losses, ...written.losses].map(describeLoss),
  };
}

function describeLoss(loss: Loss): ConvertAnswer['losses'][number] {
  return { code: loss.code, message: lossWords(loss), bars: [...loss.bars] };
}

const BASE64 = /^[A-Za-z0-9+/\s]*={0,2}\s*$/;

function bytesOf(from: FormatName, content: string): Uint8Array {
  if (FORMAT_FILES[from].isText) return Buffer.from(content, 'utf8');
  if (BASE64.test(content)) return new Uint8Array(Buffer.from(content, 'base64'));
  const message = `${FORMAT_FILES[from].label} is no text: send it as base64.`;
  throw new HttpFault('invalid', message, { errors: [{ message, path: 'content' }] });
}
