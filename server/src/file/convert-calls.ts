import { parseKey, readChart } from '@aurora/core';
import { FORMAT_FILES, type Loss, lossWords, readFormat, writeFormat } from '@aurora/core/format';
import { type ConvertAnswer, type ConvertRequest, convertAnswer, convertRequest } from '@aurora/wire';
import { type Call, openCall } from '../call/call.ts';
import { required } from '../validate.ts';
import { bytesOf } from './bytes-of.ts';
import { fileName } from './file-name.ts';

/** `/convert`: a song from one format into another, with what gets lost on the way. */
export const CONVERT_CALLS: readonly Call[] = [
  openCall(
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
  const read = required(readFormat(from, bytesOf(from, content, 'content')), 'content', content);
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
