import type { Request, RequestHandler, Response } from 'express';

/** Has a request pass a handler of the framework; what the handler throws or hands on is thrown here. */
export function passed(handler: RequestHandler, request: Request, response: Response): Promise<void> {
  return new Promise((resolve, reject) => {
    // a handler that throws within its promise says so there
    Promise.resolve(handler(request, response, (error?: unknown) => (error === undefined ? resolve() : reject(error)))).catch(reject);
  });
}
