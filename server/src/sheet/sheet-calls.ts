import { sheetRequest } from '@aurora/wire';
import { z } from 'zod';
import { type Call, fileCall } from '../call/call.ts';
import { writePdf } from './pdf.ts';

/** `/sheets/pdf`: drawn pages as a PDF with its fonts inside. */
export const SHEET_CALLS: readonly Call[] = [
  fileCall(
    {
      id: 'writeSheet',
      method: 'post',
      path: '/sheets/pdf',
      tag: 'files',
      summary: 'Set drawn pages as a PDF',
      body: sheetRequest,
      answer: z.string().meta({ format: 'binary' }),
      content: 'application/pdf',
      bodyLimit: '4mb',
      isLimited: true,
    },
    async ({ body, response }) => {
      const pdf = await writePdf(body);
      response.type('application/pdf').setHeader('Content-Disposition', 'attachment; filename="sheet.pdf"');
      response.send(pdf);
    },
  ),
];
