import { sheetRequest } from '@aurora/wire';
import { Router } from 'express';
import { bodyOf } from '../validate.ts';
import { writePdf } from './pdf.ts';

/** `/sheets/pdf`: drawn pages as a PDF with its fonts inside. */
export function sheetRoutes(): Router {
  const routes = Router();

  routes.post('/pdf', async (request, response) => {
    const pdf = await writePdf(bodyOf(request, sheetRequest));
    response.type('application/pdf').setHeader('Content-Disposition', 'attachment; filename="sheet.pdf"');
    response.send(pdf);
  });

  return routes;
}
