import { sheetRequest } from '@aurora/wire';
import { z } from 'zod';
import { type Call, openCall } from '../call/call.ts';
import { writePdf } from './pdf.ts';

/** `/sheets/pdf`: drawn pages as a PDF with its fonts inside. */
export const SHEET_CALLS: readonly Call[] = [
  openCall(
    {
      id: 'writeSheet',
      method: 'post',
      path: '/sheets/pdf',
      tag: 'files',
      summary: 'Set drawn pages as a PDF',
      body: sheetRequest,
      answer: z.custom<Uint8Array>().meta({ type: 'string', format: 'binary' }),
      content: 'application/pdf',
      attachment: 'sheet.pdf',
      bodyLimit: '4mb',
      isLimited: true,
      isHeavy: true,
    },
    ({ body }) => writePdf(body),
  ),
];
