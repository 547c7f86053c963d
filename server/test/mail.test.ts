import type { AddressInfo } from 'node:net';
import { createServer, type Server } from 'node:net';
import { createInterface } from 'node:readline';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { smtpPost } from '../src/mail/post.ts';

let server: Server;
const heard: string[] = [];

/** As much of a mail server as takes one letter (RFC 5321): what it says to a line, the letter's own lines aside. */
function answerTo(line: string, inLetter: boolean): string | null {
  if (inLetter) return line === '.' ? '250 ok' : null;
  if (line === 'DATA') return '354 go on';
  return line === 'QUIT' ? '221 bye' : '250 ok';
}

beforeAll(async () => {
  server = createServer((socket) => {
    let inLetter = false;
    socket.write('220 here\r\n');
    createInterface({ input: socket }).on('line', (line) => {
      heard.push(line);
      const answer = answerTo(line, inLetter);
      inLetter = inLetter ? line !== '.' : line === 'DATA';
      if (answer !== null) socket.write(`${answer}\r\n`);
    });
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
});
afterAll(() => new Promise((resolve) => server.close(resolve)));

test('a letter goes to the mail server that is named, from whom the settings say', async () => {
  const { port } = server.address() as AddressInfo;
  await smtpPost(
    `smtp://127.0.0.1:${port}`,
    'The house <house@band.example>',
  )({ to: 'mel@band.example', subject: 'Your way back in', body: 'Open this: http://x/open#t' });
  expect(heard).toContain('MAIL FROM:<house@band.example>');
  expect(heard).toContain('RCPT TO:<mel@band.example>');
  expect(heard).toContain('Subject: Your way back in');
  expect(heard.join('\n')).toContain('Open this: http://x/open#t');
});
