import { join } from 'node:path';
import express, { type Router } from 'express';

/** Built files are named by their content and never change; the page itself is always asked for. */
export function webRoutes(webRoot: string): Router {
  const routes = express.Router();
  routes.use('/assets', express.static(join(webRoot, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  routes.use(express.static(webRoot, { index: false, cacheControl: false }));
  routes.get('/{*path}', (request, response, next) => {
    if (request.path.startsWith('/api') || request.accepts('html') === false) {
      next();
      return;
    }
    response.set('Cache-Control', 'no-cache').sendFile(join(webRoot, 'index.html'), { cacheControl: false });
  });
  return routes;
}
