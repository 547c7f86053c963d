import type { Drawing } from '@aurora/core';
import { ApiFault } from '../../api/client.ts';
import { ANSWER_WORDS } from '../../wording/answers.ts';

/** Hands a file to the browser to keep. */
export function saveFile(name: string, content: Blob): void {
  const url = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  window.setTimeout(() => URL.revokeObjectURL(url), KEPT_MS);
}

const KEPT_MS = 10_000;

/** A title as a file name: letters, digits and hyphens. */
export function fileName(title: string, ending: string): string {
  const plain = title
    .replaceAll('♭', 'b')
    .replaceAll('♯', '#')
    .replace(/[^\p{L}\p{N}#]+/gu, '-')
    .replace(/^-+|-+$/g, '');
  return `${plain || 'sheet'}.${ending}`;
}

/**
 * The pages as a PDF of the author's, set by the server.
 * @throws ApiFault when the server does not answer or refuses.
 */
export async function pdfOf(title: string, author: string, pages: readonly Drawing[]): Promise<Blob> {
  let response: Response;
  try {
    response = await fetch('/api/v1/sheets/pdf', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ title, author, pages }),
    });
  } catch {
    throw new ApiFault(0, ANSWER_WORDS.noPdf);
  }
  if (!response.ok) throw new ApiFault(response.status, ANSWER_WORDS.pdfUnset);
  return response.blob();
}
