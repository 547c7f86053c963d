import { join } from 'node:path';
import { PAGES } from '@aurora/wire';
import express, { type Request, type Response, Router } from 'express';
import { firstData } from './first-data.ts';

/** Built files are named by their content and never change; the page and what it is installed by are always asked for. */
export function webRoutes(webRoot: string): Router {
  const routes = Router();
  const sendPage = (request: Request, response: Response, status: number) => {
    const first = firstData(request.path, request.headers.cookie);
    if (first !== null) response.set('Link', first);
    // what is asked for with it depends on the band the browser has open
    response.status(status).set('Cache-Control', 'no-cache').vary('Cookie').sendFile(join(webRoot, 'index.html'), { cacheControl: false });
  };
  routes.use('/assets', express.static(join(webRoot, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  routes.use(express.static(webRoot, { index: false, setHeaders: (response) => void response.setHeader('Cache-Control', 'no-cache') }));
  for (const page of PAGES) routes.get(`/${page.replace(/\/:(\w+)\?/, '{/:$1}')}`, (request, response) => sendPage(request, response, 200));
  // who follows a wrong link in a browser is told so in the application; a script is told in its own words
  routes.get('/{*path}', (request, response, next) => {
    if (!request.path.startsWith('/api') && request.get('Accept')?.includes('text/html')) sendPage(request, response, 404);
    else next();
  });
  return routes;
}
